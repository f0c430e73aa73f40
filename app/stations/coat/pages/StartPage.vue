<script setup lang="ts">
import ChoiceCard from '../../../kit/ChoiceCard.vue'
import { v4 as uuid } from 'uuid'
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { firstExposure, startingChoices } from '@core/process/plan'
import { needsOf } from '@core/shelf/readiness'
import { digits, formatSpan } from '@core/quantity/format'
import type { LightKind } from '@core/schema/definition'
import { processes, substances } from '@library/index'
import { classicCyanotype } from '@library/processes/classicCyanotype'
import { writeSheets } from '../../../state/actions/sheet.actions'
import { emptyDraft, ofProcess, readDraft, type SheetDraft } from '../sheet.draft'
import { hasServer } from '../../../storage/server'
import { goToWorkroom } from '../../../storage/whichWorkroom'
import { useWorkroom } from '../../../state/workroom.store'
import BigTarget from '../../../kit/BigTarget.vue'
import ChoiceRow from '../../../kit/ChoiceRow.vue'
import { useMarginNotes } from '../../../state/margin.store'
import { useNotice } from '../../../state/notice.store'
import { usePreferences } from '../../../state/preferences.store'
import SelectField from '../../../kit/SelectField.vue'
import TextField from '../../../kit/TextField.vue'
import TintedPicture from '../../../kit/TintedPicture.vue'
import { cautionNotes } from '../../../words/stepNotes'

/** From an empty workroom to a first real print, in the fewest questions: which process, which light, what size. */
const [router, workroom, preferences, notice] = [useRouter(), useWorkroom(), usePreferences(), useNotice()]

/** Where most people begin, the gentlest first; all others are a word away. */
const FIRST = [
  {
    id: 'classic-cyanotype',
    says: 'Blue. Two bottles, water, and nothing that bites. The one to begin with.',
  },
  { id: 'van-dyke', says: 'Brown. One bottle, with silver: gloves and goggles. Fixed in weak hypo.' },
  { id: 'salted-paper', says: 'Red-brown to violet. Salt and silver, seen as it prints.' },
  { id: 'kallitype', says: 'Brown to black. Developed; four baths, and a toner if you like.' },
] as const
const processId = ref<string>('classic-cyanotype')
const others = Object.values(processes).map((one) => ({ id: one.id, name: one.name }))
const definition = computed(() => processes[processId.value] ?? classicCyanotype)
const lightKind = ref<string | undefined>('sun')
const lightOptions = computed(() => definition.value.lights.map((one) => ({ id: one.kind, name: one.name })))
watch(lightOptions, (options) => {
  if (!options.some((one) => one.id === lightKind.value)) lightKind.value = options[0]?.id
})
const subject = ref<string | undefined>('things')
const SUBJECTS = [
  { id: 'things', name: 'Leaves, lace, things that lie flat' },
  { id: 'negative', name: 'A negative' },
]
const title = ref('')
const size = ref(emptyDraft(preferences.chosen.length).size)
const paperName = ref('')

const choices = computed(() => {
  const starting = startingChoices(definition.value)
  const asked = definition.value.choices.find((one) => one.id === 'subject')
  const wanted = subject.value === 'things' ? 'photogram' : 'negative'
  return asked?.options.some((one) => one.id === wanted) ? { ...starting, subject: wanted } : starting
})
const draft = computed<SheetDraft>(() => ({
  ...emptyDraft(preferences.chosen.length),
  ...ofProcess(definition.value),
  choices: choices.value,
  title: title.value,
  size: size.value,
  light: lightKind.value ?? 'sun',
  paperName: paperName.value,
}))
const isTried = ref(false)
const reading = computed(() =>
  readDraft(
    definition.value,
    { ...draft.value, title: draft.value.title.trim() || 'First print' },
    {
      papers: workroom.papers,
      bottles: workroom.bottles,
      lights: workroom.lights,
      lengthUnit: preferences.chosen.length,
      coverageMillilitresPerM2: definition.value.coverage?.millilitresPerM2 ?? 38.8,
      dropsPerMillilitre: preferences.chosen.dropsPerMillilitre,
      fromBase: null,
      now: Date.now(),
      newId: uuid,
    },
  ),
)
const exposure = computed(() =>
  firstExposure(definition.value, { kind: (lightKind.value ?? 'sun') as LightKind, choices: choices.value }),
)
/** What it takes from the shelf, for this one sheet. */
const needs = computed(() => {
  const { read } = reading.value
  return read
    ? needsOf(definition.value, {
        input: read.sheet,
        bottles: workroom.bottles,
        taken: workroom.taken,
        book: substances,
        now: Date.now(),
      })
    : []
})
async function begin(): Promise<void> {
  isTried.value = true
  const { read } = reading.value
  if (!read) return
  try {
    const id = await writeSheets(read)
    await router.push({ name: 'coat', params: { sheetId: id } })
  } catch (error) {
    notice.refuse(error, 'writing the sheet down')
  }
}

useMarginNotes(() => [
  { title: definition.value.name, lines: [definition.value.summary] },
  ...definition.value.components
    .flatMap((one) => one.cautions)
    .slice(0, 3)
    .flatMap((id) => cautionNotes(definition.value, id)),
  {
    title: 'What happens next',
    lines: [
      'The sheet is planned, with drops, times and baths of the usual way. At Coat the app counts the drops with you; then it goes with the sheet from place to place.',
      'Everything can be changed until the first drop falls.',
    ],
  },
])
</script>

<template>
  <div class="StartPage">
    <header>
      <p class="es-kicker">A first print</p>
      <h1>What would you like to make?</h1>
    </header>
    <ul class="StartPage-processes">
      <li v-for="one in FIRST" :key="one.id">
        <ChoiceCard kind="radio" name="process" :picked="processId === one.id" @pick="processId = one.id">
          <TintedPicture class="StartPage-swatch" aria-hidden="true">
            <i
              v-for="shade in [
                processes[one.id]?.colours.dryCoat,
                processes[one.id]?.colours.exposed,
                processes[one.id]?.colours.print,
              ]"
              :key="shade"
              :style="{ background: shade }"
            />
          </TintedPicture>
          <strong>{{ processes[one.id]?.name }}</strong>
          <span>{{ one.says }}</span>
        </ChoiceCard>
      </li>
    </ul>
    <SelectField v-model="processId" label="Or another process" :options="others" />
    <ChoiceRow v-model="subject" label="Printed from" :options="SUBJECTS" />
    <ChoiceRow v-model="lightKind" label="Under" :options="lightOptions" />
    <div class="StartPage-fields">
      <TextField v-model="size" label="Size" :fault="reading.faults.size" />
      <TextField
        v-model="paperName"
        label="Paper, if you know its name"
        :options="workroom.papers.map((one) => one.name)"
      />
      <TextField v-model="title" label="What is the picture?" placeholder="First print" />
    </div>
    <section aria-labelledby="takes">
      <h2 id="takes">What it takes</h2>
      <ul class="StartPage-takes">
        <li v-for="need in needs" :key="`${need.use}${need.id}`">
          {{ need.name }}, {{ digits(need.millilitres, 2) }}&nbsp;ml
          <span class="es-quiet">{{ need.use === 'coat' ? 'coated' : 'in a tray' }}</span>
        </li>
        <li>{{ formatSpan(exposure.value) }} of light to begin with</li>
      </ul>
      <RouterLink :to="{ name: 'make' }">Make the solutions first</RouterLink>
    </section>
    <div class="StartPage-acts">
      <BigTarget label="Plan this sheet" @press="begin" />
      <BigTarget v-if="hasServer" quiet label="Look round the demo first" @press="goToWorkroom('demo')" />
    </div>
  </div>
</template>

<style scoped>
.StartPage {
  display: grid;
  gap: var(--es-space-5);
}

.StartPage-processes {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(180px, 1fr));
  gap: var(--es-space-5);
  margin: 0;
  padding: 0;
  list-style: none;
}

.StartPage-processes label {
  display: grid;
  gap: var(--es-space-3);
  align-content: start;
  height: 100%;
  padding: var(--es-space-4);
  border: 1px solid var(--es-rule);
  cursor: pointer;
}

.StartPage-processes .is-picked {
  border-color: var(--es-ink);
  box-shadow: inset 0 -4px 0 var(--es-ember);
}

.StartPage-processes label:focus-within {
  outline: 2px solid var(--es-ember);
  outline-offset: 2px;
}

.StartPage-processes strong {
  font: 500 var(--es-size-lead)/1.1 var(--es-serif);
}

.StartPage-processes label > span:last-child {
  color: var(--es-quiet);
  font-size: var(--es-size-small);
}

.StartPage-swatch {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  height: 34px;
}

.StartPage-fields {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(190px, 1fr));
  gap: 0 var(--es-space-6);
}

.StartPage-takes {
  columns: 2;
  margin: var(--es-space-3) 0;
  padding-left: var(--es-space-5);
}

.StartPage :deep(.SelectField) {
  max-width: 300px;
}

/* In sight however small the window. */
.StartPage-acts {
  position: sticky;
  bottom: var(--es-bar-bottom);
  z-index: 2;
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-4);
  padding: var(--es-space-3) 0 var(--es-space-5);
  background: var(--es-page);
}
</style>
