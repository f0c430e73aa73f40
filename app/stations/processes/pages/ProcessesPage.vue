<script setup lang="ts">
import { texts } from '../words'
import FileChoice from '../../../kit/FileChoice.vue'
import InlineField from '../../../kit/InlineField.vue'
import KitButton from '../../../kit/KitButton.vue'
import PressCard from '../../../kit/PressCard.vue'
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { startingChoices } from '@core/process/plan'
import { writeProcessFile } from '@core/process/processFile'
import { orderNotes } from '../../../words/planNotes'
import { useWorkroom } from '../../../state/workroom.store'
import { saveFile } from '../../../state/saveFile'
import BigTarget from '../../../kit/BigTarget.vue'
import { useMarginNotes } from '../../../state/margin.store'
import { hazardNote } from '../../../words/stepNotes'
import { useNotice } from '../../../state/notice.store'
import { copyOwn, removeOwn, takeInProcess } from '../../../state/actions/process.actions'
import ProcessEditor from '../parts/ProcessEditor.vue'
import ProcessSteps from '../parts/ProcessSteps.vue'

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
const file = ref<InstanceType<typeof FileChoice> | null>(null)
async function takeIn([picked]: File[]): Promise<void> {
  if (!picked) return
  try {
    const { definition } = await takeInProcess(await picked.text())
    notice.say(`Added: ${definition.name}.`)
    choose(definition.id)
  } catch (error) {
    notice.refuse(error, 'the process file')
  }
}
async function remove(): Promise<void> {
  if (!own.value) return
  const back = await removeOwn(own.value.id)
  notice.say(`${chosen.value.name} removed.`, () => back())
  choose('')
}

useMarginNotes(() => [
  { title: chosen.value.name, lines: [chosen.value.summary] },
  ...orderNotes(chosen.value, startingChoices(chosen.value)),
  ...chosen.value.choices.map((choice) => ({
    title: choice.name,
    lines: choice.options.map(
      (option) => `${option.name}${option.id === choice.startsWith ? ' (default)' : ''}: ${option.reason}`,
    ),
  })),
  ...chosen.value.cautions.map((caution) => hazardNote(caution.title, caution)),
])
</script>

<template>
  <section class="ProcessesPage">
    <header>
      <h1>Processes</h1>
    </header>
    <div class="ProcessesPage-both">
      <nav aria-label="Processes">
        <InlineField v-model="found" label="Search" placeholder="find" />
        <PressCard
          v-for="one in listed.slice(0, SHOWN)"
          :key="one.id"
          :aria-pressed="one.id === chosenId"
          @click="choose(one.id)"
        >
          <span class="ProcessesPage-mark" :style="{ background: `var(--es-${one.mark})` }" />
          {{ one.name }}
          <em v-if="one.copyOf" class="es-quiet">yours</em>
        </PressCard>
        <p v-if="listed.length > SHOWN" class="es-quiet">
          {{ texts.moreSubstances({ count: listed.length - SHOWN }) }}
        </p>
        <p v-if="!listed.length" class="es-quiet">No process has that name.</p>
      </nav>
      <div class="ProcessesPage-one">
        <ProcessEditor v-if="isChanging && own" :key="own.id" :own="own" @done="isChanging = false" />
        <template v-else>
          <h2>{{ chosen.name }}</h2>
          <div class="ProcessesPage-acts">
            <BigTarget
              label="New sheet with this process"
              @press="router.push({ name: 'begin', query: { process: chosenId } })"
            />
            <KitButton @click="copy">Copy and edit</KitButton>
            <KitButton v-if="own" @click="isChanging = true">Edit</KitButton>
            <KitButton @click="share">Save as file</KitButton>
            <KitButton @click="file?.open()">Import file</KitButton>
            <KitButton v-if="own && !isUsed" @click="remove">Remove</KitButton>
            <FileChoice ref="file" label="process file" accept=".json,application/json" @chosen="takeIn" />
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
  gap: var(--es-space-5);
}

.ProcessesPage-both {
  display: grid;
  grid-template-columns: 230px minmax(0, 1fr);
  gap: var(--es-space-7);
}

nav {
  display: grid;
  align-content: start;
}

nav input {
  min-height: 2.25rem;
  border: 0;
  border-bottom: 1px solid var(--es-line);
  background: none;
  color: var(--es-ink);
  font: inherit;
}

nav .PressCard {
  min-height: 2.375rem;
  position: relative;
  padding: var(--es-space-3) var(--es-space-3) var(--es-space-3) var(--es-space-6);
  border-bottom: 1px solid var(--es-rule);
  text-align: left;
}

nav .PressCard[aria-pressed='true'] {
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
  gap: var(--es-space-4);
  align-content: start;
}

.ProcessesPage-acts {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-3);
  align-items: center;
}

@media (width <= 68.75em) {
  .ProcessesPage-both {
    grid-template-columns: 1fr;
  }
}
</style>
