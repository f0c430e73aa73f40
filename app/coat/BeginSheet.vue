<script setup lang="ts">
import { v4 as uuid } from 'uuid'
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { classicCyanotype } from '@library/processes/classicCyanotype'
import { firstExposure, leastTime, startingChoices } from '@core/process/plan'
import { formatSize, formatSpan } from '@core/quantity/format'
import type { LightKind } from '@core/record/definition'
import { Sheet } from '@core/record/records'
import { db } from '../data/db'
import { rowOf } from '../data/log'
import { emptyRun } from '@core/process/run'
import { useWorkroom } from '../data/workroom.store'
import BigTarget from '../shell/BigTarget.vue'
import ChoiceRow from '../shell/ChoiceRow.vue'
import FigureValue from '../shell/FigureValue.vue'
import { cautionNotes } from '../shell/stepNotes'
import { useMarginNotes } from '../shell/margin.store'
import { useNotice } from '../shell/notice.store'
import { usePreferences } from '../shell/preferences.store'
import TextField from '../shell/TextField.vue'
import CoatFigures from './CoatFigures.vue'
import { draftOf, readDraft, type DraftFaults, type SheetDraft } from './sheetDraft'
import { isPlan, useCoatPlan } from './useCoatPlan'

const [route, router, workroom, preferences, notice] = [
  useRoute(),
  useRouter(),
  useWorkroom(),
  usePreferences(),
  useNotice(),
]
const definition = classicCyanotype

/** A plan that is being changed, as long as its work has not begun. */
const changing = computed(() => {
  const found = typeof route.query.sheet === 'string' ? workroom.find(route.query.sheet) : undefined
  return found && found.state.begunAt === null ? found.sheet : null
})
const draft = ref<SheetDraft>(firstDraft())
const isTried = ref(false)

/** The next sheet starts from the last one: same paper, bottles and light, another picture. */
function firstDraft(): SheetDraft {
  const shown = (sheet: Sheet) =>
    formatSize(sheet, { length: preferences.chosen.length, temperature: 'degC' })
  if (changing.value) return draftOf(changing.value, workroom, shown(changing.value))
  const last = workroom.sheets[0]?.sheet
  const fresh: SheetDraft = {
    title: '',
    portfolio: '',
    subject: '',
    size:
      preferences.chosen.length === 'in'
        ? '8 x 10 in'
        : preferences.chosen.length === 'cm'
          ? '20 x 25 cm'
          : '200 x 250 mm',
    coats: '1',
    paperName: '',
    paperWeight: '',
    choices: startingChoices(definition),
    light: 'uvBox',
    exposure: '',
    bottles: {},
    ratio: definition.parts.join(' : '),
    coverage: String(preferences.chosen.coverageMillilitresPerM2),
    dropper: String(preferences.chosen.dropsPerMillilitre),
  }
  return last ? { ...draftOf(last, workroom, shown(last)), title: '', subject: '', exposure: '' } : fresh
}

const reading = (typed: SheetDraft) =>
  readDraft(definition, typed, {
    papers: workroom.papers,
    bottles: workroom.bottles,
    lights: workroom.lights,
    lengthUnit: preferences.chosen.length,
    now: Date.now(),
    newId: uuid,
  })
const result = computed(() => reading(draft.value))
/** A missing title is no fault until one tries to go on without. */
const shownFaults = computed<DraftFaults>(() =>
  isTried.value ? result.value.faults : { ...result.value.faults, title: undefined },
)
// Without a title the figures are shown all the same: the draft is read once more under a stand-in.
const figured = computed(() => reading({ ...draft.value, title: draft.value.title || 'untitled' }).read)
const coatPlan = useCoatPlan(
  () => definition,
  // A bottle that is not on the shelf yet holds what the chosen school says, which is what the plan falls back to.
  () => figured.value?.sheet ?? null,
)

/** Lights by their own names, then kinds of which there may be another. */
const lightOptions = computed(() => [
  ...workroom.lights.map((light) => ({ id: light.id, name: light.name })),
  ...definition.lights
    .filter((range) => !workroom.lights.some((light) => light.name === range.name))
    .map((range) => {
      const isOwned = workroom.lights.some((light) => light.kind === range.kind)
      return { id: range.kind, name: isOwned ? `another ${range.name}` : range.name }
    }),
])
const light = computed(() => workroom.lights.find((one) => one.id === draft.value.light))
const lightKind = computed<LightKind>(() => light.value?.kind ?? (draft.value.light as LightKind))
const exposure = computed(() =>
  firstExposure(definition, {
    kind: lightKind.value,
    choices: draft.value.choices,
    usualSeconds: light.value?.usualSeconds,
  }),
)
const paperWeight = computed(
  () => workroom.papers.find((one) => one.name === draft.value.paperName.trim())?.gramsPerM2,
)
const wash = computed(() => {
  const step = definition.steps.find((one) => one.heavyPaper)
  const typed = Number.parseFloat(draft.value.paperWeight)
  return step ? leastTime(step, Number.isFinite(typed) ? typed : paperWeight.value) : null
})
watch(
  () => draft.value.paperName,
  () => {
    if (paperWeight.value) draft.value.paperWeight = String(paperWeight.value)
  },
)
const bottleOptions = (component: string) =>
  workroom.bottles.filter((one) => one.component === component).map((one) => one.label)

async function save(): Promise<void> {
  isTried.value = true
  const { read } = result.value
  if (!read) return
  try {
    const id = changing.value?.id ?? uuid()
    await db.transaction('rw', [db.sheets, db.papers, db.bottles, db.lights, db.standings], async () => {
      // The number is taken inside the transaction, so that two windows never give the same one twice.
      const number = changing.value?.number ?? ((await db.sheets.orderBy('number').last())?.number ?? 0) + 1
      const sheet = Sheet.parse({
        ...read.sheet,
        id,
        number,
        createdAt: changing.value?.createdAt ?? Date.now(),
      })
      await Promise.all([
        db.papers.bulkPut(read.papers),
        db.bottles.bulkPut(read.bottles),
        db.lights.bulkPut(read.lights),
      ])
      await db.sheets.put(sheet)
      if (!changing.value) await db.standings.add(rowOf(emptyRun(id)))
    })
    await router.push({ name: 'coat', params: { sheetId: id } })
  } catch (error) {
    notice.refuse(error, 'writing the sheet down')
  }
}

useMarginNotes(() => [
  {
    title: definition.name,
    lines: [definition.summary],
  },
  ...definition.choices.map((choice) => {
    const option = choice.options.find((one) => one.id === draft.value.choices[choice.id])
    return { title: `${choice.name}: ${option?.name ?? ''}`, lines: [option?.reason ?? ''] }
  }),
  ...definition.components.flatMap((component) =>
    component.cautions.flatMap((id) => cautionNotes(definition, id)),
  ),
])
</script>

<template>
  <form class="BeginSheet" @submit.prevent="save">
    <header>
      <h1 class="es-unseen">Begin a sheet</h1>
      <p class="es-kicker">
        {{
          changing
            ? `Change the plan of sheet ${changing.number}`
            : `Sheet ${workroom.nextNumber} · ${definition.name}`
        }}
      </p>
      <TextField
        v-model="draft.title"
        large
        autofocus
        label="What is the picture?"
        placeholder="Its title"
        :fault="shownFaults.title"
      />
      <BigTarget
        class="BeginSheet-go"
        :label="changing ? 'Keep the change' : 'To the bench'"
        hint="enter"
        @press="save"
      />
    </header>

    <div class="BeginSheet-row">
      <TextField
        v-model="draft.size"
        label="Size of the picture"
        :fault="shownFaults.size"
        hint="8x10, 20 x 25 cm"
      />
      <TextField
        v-model="draft.paperName"
        label="Paper"
        :options="workroom.papers.map((one) => one.name)"
        placeholder="as you call it"
      />
      <TextField
        v-model="draft.paperWeight"
        label="Its weight, g/m²"
        :fault="shownFaults.paperWeight"
        hint="from 250 the wash is longer"
      />
      <TextField
        v-model="draft.portfolio"
        label="Portfolio"
        :options="workroom.portfolios"
        placeholder="none"
      />
    </div>

    <div class="BeginSheet-choices">
      <ChoiceRow
        v-for="choice in definition.choices"
        :key="choice.id"
        v-model="draft.choices[choice.id]"
        :label="choice.name"
        :options="choice.options"
      />
    </div>
    <ChoiceRow v-model="draft.light" label="Light" :options="lightOptions" />

    <div class="BeginSheet-row">
      <TextField
        v-model="draft.exposure"
        label="Exposure"
        :fault="shownFaults.exposure"
        :placeholder="formatSpan(exposure.value)"
        hint="empty: the first guess"
      />
      <TextField
        v-model="draft.subject"
        :label="draft.choices.subject === 'photogram' ? 'What lies on it' : 'Negative'"
        placeholder="its name"
      />
      <TextField
        v-for="component in definition.components"
        :key="component.id"
        :model-value="draft.bottles[component.id] ?? ''"
        :label="`Bottle of ${component.name.toLowerCase()}`"
        :options="bottleOptions(component.id)"
        :placeholder="`${component.letter}-1`"
        @update:model-value="draft.bottles[component.id] = $event"
      />
    </div>

    <details class="BeginSheet-more">
      <summary>Coats, coverage, dropper and ratio</summary>
      <div class="BeginSheet-row">
        <TextField v-model="draft.coats" label="Coats" :fault="shownFaults.coats" />
        <TextField
          v-model="draft.coverage"
          label="Coverage, ml/m²"
          :fault="shownFaults.coverage"
          hint="brush about 38.8"
        />
        <TextField
          v-model="draft.dropper"
          label="Drops to the ml"
          :fault="shownFaults.dropper"
          hint="20 until you weigh yours"
        />
        <TextField
          v-model="draft.ratio"
          label="Ratio"
          :fault="shownFaults.ratio"
          hint="iron : ferricyanide"
        />
      </div>
    </details>

    <section class="BeginSheet-figures" aria-label="What it comes to">
      <CoatFigures v-if="isPlan(coatPlan)" :plan="coatPlan" />
      <FigureValue label="first exposure" :figure="exposure" />
      <FigureValue v-if="wash" label="wash at least" :figure="wash" />
    </section>

    <button type="submit" class="es-unseen" tabindex="-1" aria-hidden="true">To the bench</button>
  </form>
</template>

<style scoped>
.BeginSheet {
  display: grid;
  gap: 12px;
  max-width: 900px;
}

header {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 0 28px;
  align-items: center;
}

header .es-kicker {
  grid-column: 1 / -1;
}

.BeginSheet-row {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(140px, 1fr));
  gap: 2px 24px;
}

.BeginSheet-choices {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(300px, 1fr));
  gap: 10px 20px;
}

.BeginSheet-more summary {
  padding: 8px 0;
  color: var(--es-quiet);
  cursor: pointer;
}

.BeginSheet-figures {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 34px;
  padding-top: 8px;
  border-top: 1px solid var(--es-rule);
}
</style>
