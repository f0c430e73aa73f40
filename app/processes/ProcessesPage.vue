<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { startingChoices } from '@core/process/plan'
import { writeProcessFile } from '@core/process/processFile'
import { orderNotes } from '../coat/planNotes'
import { useWorkroom } from '../data/workroom.store'
import { saveFile } from '../shell/saveFile'
import BigTarget from '../shell/BigTarget.vue'
import { useMarginNotes } from '../shell/margin.store'
import { hazardNote } from '../shell/stepNotes'
import { useNotice } from '../shell/notice.store'
import { copyOwn, removeOwn, takeInProcess } from './processActions'
import ProcessEditor from './ProcessEditor.vue'
import ProcessSteps from './ProcessSteps.vue'

const [route, router, workroom, notice] = [useRoute(), useRouter(), useWorkroom(), useNotice()]

const found = ref('')
const chosenId = computed(
  () =>
    (typeof route.params.processId === 'string' && route.params.processId) ||
    workroom.allProcesses[0]?.id ||
    '',
)
const chosen = computed(() => workroom.definitionOf(chosenId.value))
const own = computed(() => workroom.ownProcesses.find((one) => one.definition.id === chosenId.value) ?? null)
const isChanging = ref(false)
/** Long lists are drawn as far as they are looked for: a page of names, narrowed by typing. */
const SHOWN = 60
const listed = computed(() =>
  workroom.allProcesses.filter((one) => one.name.toLowerCase().includes(found.value.trim().toLowerCase())),
)
const choose = (id: string) => {
  isChanging.value = false
  void router.replace({ name: 'processes', params: { processId: id } })
}
const isUsed = computed(() => workroom.everySheet.some((one) => one.sheet.process.id === chosenId.value))

async function copy(): Promise<void> {
  try {
    const { definition } = await copyOwn(chosen.value, `${chosen.value.name}, mine`)
    notice.say(`Copied: ${definition.name}.`)
    choose(definition.id)
    isChanging.value = true
  } catch (error) {
    notice.refuse(error, 'copying the process')
  }
}
const share = () =>
  saveFile(
    new Blob([writeProcessFile(chosen.value)], { type: 'application/json' }),
    `${chosen.value.id}.process.json`,
  )
const file = ref<HTMLInputElement | null>(null)
async function takeIn(): Promise<void> {
  const picked = file.value?.files?.[0]
  if (!picked) return
  try {
    const { definition } = await takeInProcess(await picked.text())
    notice.say(`Taken in: ${definition.name}.`)
    choose(definition.id)
  } catch (error) {
    notice.refuse(error, 'the process file')
  }
  if (file.value) file.value.value = ''
}
async function remove(): Promise<void> {
  if (!own.value) return
  const back = await removeOwn(own.value.id)
  notice.say(`${chosen.value.name} is gone.`, () => back())
  choose('')
}

useMarginNotes(() => [
  { title: chosen.value.name, lines: [chosen.value.summary] },
  ...orderNotes(chosen.value, startingChoices(chosen.value)),
  ...chosen.value.choices.map((choice) => ({
    title: choice.name,
    lines: choice.options.map(
      (option) =>
        `${option.name}${option.id === choice.startsWith ? ' (starts here)' : ''}: ${option.reason}`,
    ),
  })),
  ...chosen.value.cautions.map((caution) => hazardNote(caution.title, caution)),
])
</script>

<template>
  <section class="ProcessesPage">
    <header>
      <p class="es-kicker">The library and yours</p>
      <h1>Processes</h1>
    </header>
    <div class="ProcessesPage-both">
      <nav aria-label="Processes">
        <input v-model="found" type="search" placeholder="find" aria-label="find a process" />
        <button
          v-for="one in listed.slice(0, SHOWN)"
          :key="one.id"
          type="button"
          :aria-pressed="one.id === chosenId"
          @click="choose(one.id)"
        >
          <span class="ProcessesPage-mark" :style="{ background: `var(--es-${one.mark})` }" />
          {{ one.name }}
          <em v-if="one.copyOf" class="es-quiet">yours</em>
        </button>
        <p v-if="listed.length > SHOWN" class="es-quiet">
          and {{ listed.length - SHOWN }} more: type a part of the name
        </p>
        <p v-if="!listed.length" class="es-quiet">Nothing is called that.</p>
      </nav>
      <div class="ProcessesPage-one">
        <ProcessEditor v-if="isChanging && own" :key="own.id" :own="own" @done="isChanging = false" />
        <template v-else>
          <h2>{{ chosen.name }}</h2>
          <div class="ProcessesPage-acts">
            <BigTarget
              label="Begin a sheet of it"
              @press="router.push({ name: 'begin', query: { process: chosenId } })"
            />
            <button type="button" @click="copy">Copy and change</button>
            <button v-if="own" type="button" @click="isChanging = true">Change</button>
            <button type="button" @click="share">Save as a file</button>
            <button type="button" @click="file?.click()">Take in a file</button>
            <button v-if="own && !isUsed" type="button" @click="remove">Remove</button>
            <input
              ref="file"
              class="es-unseen"
              type="file"
              accept=".json,application/json"
              aria-label="process file"
              tabindex="-1"
              @change="takeIn"
            />
          </div>
          <ProcessSteps :definition="chosen" />
        </template>
      </div>
    </div>
  </section>
</template>

<style scoped>
.ProcessesPage {
  display: grid;
  gap: 14px;
}

.ProcessesPage-both {
  display: grid;
  grid-template-columns: 230px minmax(0, 1fr);
  gap: 34px;
}

nav {
  display: grid;
  align-content: start;
}

nav input {
  min-height: 36px;
  border: 0;
  border-bottom: 1px solid var(--es-line);
  background: none;
  color: var(--es-ink);
  font: inherit;
}

nav button {
  min-height: 38px;
  position: relative;
  padding: 8px 6px 8px 24px;
  border: 0;
  border-bottom: 1px solid var(--es-rule);
  background: none;
  cursor: pointer;
  text-align: left;
}

nav button[aria-pressed='true'] {
  box-shadow: inset 3px 0 0 var(--es-ember);
}

.ProcessesPage-mark {
  position: absolute;
  top: 14px;
  left: 9px;
  width: 9px;
  height: 9px;
  border-radius: 50%;
}

.ProcessesPage-one {
  display: grid;
  gap: 12px;
  align-content: start;
}

.ProcessesPage-acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
}

.ProcessesPage-acts > button:not(.BigTarget) {
  min-height: 44px;
  padding: 4px 14px;
  border: 1px solid var(--es-line);
  background: none;
  cursor: pointer;
}

@media (width <= 900px) {
  .ProcessesPage-both {
    grid-template-columns: 1fr;
  }
}
</style>
