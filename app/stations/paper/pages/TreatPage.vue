<script setup lang="ts">
import KitButton from '../../../kit/KitButton.vue'
import { parseNumber } from '@core/quantity/number'
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { acidCapacity, hardenerDrops, trayVolume } from '@core/paper/amounts'
import { BRUSH_COVERAGE, coatVolume } from '@core/coating/coatVolume'
import { CoreError, type Refusal } from '@core/errors'
import { schoolStocks, startingChoices, stepsFor } from '@core/process/plan'
import type { Figure } from '@core/quantity/figure'
import { digits, formatOnRule } from '@core/quantity/format'
import { parseSize } from '@core/quantity/size'
import { substances, treatments } from '@library/index'
import { useWorkroom } from '../../../state/workroom.store'
import BigTarget from '../../../kit/BigTarget.vue'
import ChoiceRow from '../../../kit/ChoiceRow.vue'
import FigureValue from '../../../kit/FigureValue.vue'
import { useMarginNotes, type MarginNote } from '../../../state/margin.store'
import { useNotice } from '../../../state/notice.store'
import { usePreferences } from '../../../state/preferences.store'
import { cautionNotes } from '../../../words/stepNotes'
import TextField from '../../../kit/TextField.vue'
import { beginTreatment } from '../../../state/actions/paper.actions'

const [router, workroom, notice, preferences] = [useRouter(), useWorkroom(), useNotice(), usePreferences()]

const treatmentId = ref('acid-bath')
const definition = computed(() => workroom.definitionOf(treatmentId.value))
const choices = ref(startingChoices(definition.value))
watch(definition, (chosen) => {
  choices.value = startingChoices(chosen)
})
const length = computed(() => preferences.chosen.length)
const rule = (millimetres: number) => formatOnRule(millimetres, length.value)
const size = ref('')
const count = ref('')
const chosenPieces = ref<string[]>([])
const halfPieceId = ref('')
const DEPTH = 15

const pieces = computed(() => {
  const taken = new Set(
    workroom.sheets.filter((one) => one.state.begunAt !== null).map((one) => one.sheet.pieceId),
  )
  return workroom.pieces
    .filter((one) => !one.goneAt && !taken.has(one.id))
    .sort((a, b) => a.label.localeCompare(b.label, 'en', { numeric: true }))
})
const picked = computed(() => pieces.value.filter((one) => chosenPieces.value.includes(one.id)))
const paper = computed(() => workroom.papers.find((one) => one.id === picked.value[0]?.paperId))
const asked = computed(
  (): {
    sheet: { widthMillimetres: number; heightMillimetres: number } | null
    sheets: number
    faults: Record<string, Refusal>
  } => {
    const faults: Record<string, Refusal> = {}
    const largest = [...picked.value].sort(
      (a, b) => b.widthMillimetres * b.heightMillimetres - a.widthMillimetres * a.heightMillimetres,
    )[0]
    if (largest) return { sheet: largest, sheets: picked.value.length, faults }
    try {
      const sheets = count.value.trim()
        ? parseNumber(count.value, { field: 'sheets', isWhole: true, min: 1, example: '6' })
        : 4
      return {
        sheet: parseSize(size.value.trim() || '11 x 10 in', { field: 'size', bareUnit: length.value }),
        sheets,
        faults,
      }
    } catch (error) {
      if (!(error instanceof CoreError)) throw error
      faults[error.refusal.field] = error.refusal
      return { sheet: null, sheets: 0, faults }
    }
  },
)
const grams = computed(() => paper.value?.gramsPerM2)
const stock = computed(() => {
  const tray = stepsFor(definition.value, choices.value).find((step) => step.tray)?.tray
  const component = definition.value.components.find((one) => one.id === tray)
  return component
    ? {
        name: component.name,
        solutes: schoolStocks(definition.value, choices.value)[component.id] ?? [],
        making: component.stock.making,
      }
    : null
})
/** Moles of chalk that a mole of each acid turns: oxalic acid gives two protons, citric three. */
const CHALK_PER_MOLE: Readonly<Record<string, number>> = {
  'oxalic-acid': 1,
  'citric-acid': 1.5,
  'sulfamic-acid': 0.5,
}

const figures = computed((): { label: string; figure: Figure; text?: string }[] => {
  const { sheet, sheets } = asked.value
  const solute = stock.value?.solutes[0]
  if (!sheet || !stock.value || !solute) return []
  const area = (sheet.widthMillimetres * sheet.heightMillimetres * sheets) / 1e6
  if (treatmentId.value === 'gelatin-size') {
    const own = definition.value.coverage
    const volume = coatVolume({
      ...sheet,
      coverageMillilitresPerM2: own?.millilitresPerM2 ?? BRUSH_COVERAGE,
      coverageStanding: own?.standing,
      coverageSource: own?.source,
      coats: 1,
      sheets,
    })
    const hardener =
      choices.value.hardener === 'none'
        ? []
        : [{ label: 'of hardener, at the last moment', figure: hardenerDrops(volume.value) }]
    return [
      { label: `size for ${sheets} ${sheets === 1 ? 'sheet' : 'sheets'}`, figure: volume },
      { label: 'gelatin for it', figure: weighed(volume, solute.percentWv) },
      ...hardener,
    ]
  }
  const tray = trayVolume(sheet, DEPTH)
  const formula = substances[solute.substanceId]?.forms[0]?.formula
  const per = CHALK_PER_MOLE[solute.substanceId]
  const capacity =
    formula && per
      ? acidCapacity(
          { percentWv: solute.percentWv, formula, chalkPerMole: per, millilitres: tray.value },
          grams.value ?? 300,
        )
      : null
  return [
    { label: 'in the tray', figure: tray },
    {
      label: `${substances[solute.substanceId]?.name ?? ''} for it`,
      figure: weighed(tray, solute.percentWv),
    },
    ...(capacity
      ? [
          {
            label: `it frees of chalk; this is ${digits(area)} m²`,
            figure: capacity,
            text: `${digits(capacity.value)} m²`,
          },
        ]
      : []),
  ]
})
const weighed = (volume: Figure, percentWv: number): Figure => ({
  value: (volume.value * percentWv) / 100,
  unit: 'g',
  working: {
    words: 'volume × strength',
    formula: 'm = V·c / 100',
    inputs: [
      { name: 'volume', symbol: 'V', value: volume.value, unit: 'ml' },
      { name: 'strength', symbol: 'c', value: percentWv, unit: '% w/v', standing: 'practice' },
    ],
    standing: 'practice',
    source: 'Definition of per cent weight in volume, for the strength of common practice',
  },
})
const isOverCapacity = computed(() => {
  const { sheet, sheets } = asked.value
  const capacity = figures.value[2]?.figure
  return Boolean(
    sheet &&
    capacity?.unit === 'm²' &&
    (sheet.widthMillimetres * sheet.heightMillimetres * sheets) / 1e6 > capacity.value,
  )
})
const whoNeeds = computed(() => {
  if (treatmentId.value !== 'acid-bath') return []
  return workroom.papers.filter((one) => one.buffered === 'yes').map((one) => one.name)
})
const treatmentOptions = Object.values(treatments).map(({ id, name }) => ({ id, name }))
const toggle = (id: string) => {
  chosenPieces.value = chosenPieces.value.includes(id)
    ? chosenPieces.value.filter((one) => one !== id)
    : [...chosenPieces.value, id]
  if (!chosenPieces.value.includes(halfPieceId.value)) halfPieceId.value = ''
}
const halfOptions = computed(() => [
  { id: '', name: 'No' },
  ...picked.value.map((one) => ({ id: one.id, name: `one half of ${one.label}` })),
])

async function begin(): Promise<void> {
  const { sheet, sheets } = asked.value
  if (!sheet) return
  try {
    const id = await beginTreatment(
      definition.value,
      {
        choices: choices.value,
        pieceIds: picked.value.map((one) => one.id),
        ...(paper.value && { paperId: paper.value.id }),
        ...(halfPieceId.value && { halfPieceId: halfPieceId.value }),
        sheets,
        widthMillimetres: sheet.widthMillimetres,
        heightMillimetres: sheet.heightMillimetres,
        note: '',
      },
      grams.value,
    )
    await router.push({ name: 'treatment', params: { sheetId: id } })
  } catch (error) {
    notice.refuse(error, 'beginning the treatment')
  }
}
useMarginNotes((): MarginNote[] => [
  { title: definition.value.name, lines: [definition.value.summary] },
  ...(whoNeeds.value.length ? [{ title: 'Needs it', lines: whoNeeds.value, tone: 'caution' as const }] : []),
  ...[
    ...(definition.value.components.find((one) => one.name === stock.value?.name)?.cautions ?? []),
    ...stepsFor(definition.value, choices.value).flatMap((step) => step.cautions),
  ]
    .filter((id, i, all) => all.indexOf(id) === i)
    .flatMap((id) => cautionNotes(definition.value, id)),
  ...(stock.value
    ? [{ title: `Making the ${stock.value.name.toLowerCase()}`, lines: stock.value.making }]
    : []),
  {
    title: 'A half-treated test',
    lines: [
      'Dip one half of a piece only. Printed, it shows a hard line where the treatment matters, and none where it does not.',
    ],
  },
])
</script>

<template>
  <section class="TreatPage">
    <header>
      <p class="es-kicker">Getting paper ready</p>
      <h1>{{ definition.name }}</h1>
    </header>
    <ChoiceRow v-model="treatmentId" label="Treatment" :options="treatmentOptions" />
    <ChoiceRow
      v-for="choice in definition.choices"
      :key="choice.id"
      v-model="choices[choice.id]"
      :label="choice.name"
      :options="choice.options"
    />

    <fieldset v-if="pieces.length" class="TreatPage-pieces">
      <legend>Which pieces</legend>
      <KitButton
        v-for="piece in pieces"
        :key="piece.id"
        :aria-pressed="chosenPieces.includes(piece.id)"
        @click="toggle(piece.id)"
      >
        {{ piece.label }}
        <span class="es-quiet">{{ rule(piece.widthMillimetres) }} × {{ rule(piece.heightMillimetres) }}</span>
      </KitButton>
    </fieldset>
    <div v-if="!picked.length" class="TreatPage-row">
      <TextField
        v-model="size"
        label="Size of the sheets"
        placeholder="11 x 10 in"
        :fault="asked.faults.size"
      />
      <TextField v-model="count" label="How many" placeholder="4" :fault="asked.faults.sheets" />
    </div>
    <ChoiceRow v-else v-model="halfPieceId" label="Half-treated test" :options="halfOptions" />

    <section class="TreatPage-figures" aria-label="What it takes">
      <FigureValue
        v-for="one in figures"
        :key="one.label"
        :label="one.label"
        :figure="one.figure"
        :text="one.text"
      />
    </section>
    <p v-if="isOverCapacity" class="TreatPage-over" role="status">
      That is more paper than one tray frees of chalk: renew the acid when the fizzing stops coming, or use a
      deeper tray.
    </p>
    <div class="TreatPage-acts">
      <BigTarget label="Begin" :disabled="!asked.sheet" @press="begin" />
      <BigTarget
        v-if="stock"
        quiet
        :label="`Make ${stock.name.toLowerCase()}`"
        @press="router.push({ name: 'make', query: { substance: stock.solutes[0]?.substanceId } })"
      />
    </div>
  </section>
</template>

<style scoped>
.TreatPage {
  display: grid;
  gap: var(--es-space-5);
  max-width: 860px;
}

.TreatPage-row {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(140px, 200px));
  gap: var(--es-space-1) var(--es-space-6);
}

.TreatPage-pieces {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-3);
  margin: 0;
  padding: 0;
  border: 0;
}

legend {
  padding: 0;
  color: var(--es-quiet);
  font-size: var(--es-size-small);
}

.TreatPage-figures {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-2) var(--es-space-7);
  padding-top: var(--es-space-3);
  border-top: 1px solid var(--es-rule);
}

.TreatPage-over {
  color: var(--es-ember);
}

.TreatPage-acts {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-4);
}
</style>
