<script setup lang="ts">
import SelectField from '../../../kit/SelectField.vue'
import InlineField from '../../../kit/InlineField.vue'
import KitButton from '../../../kit/KitButton.vue'
import { digits } from '@core/quantity/format'
import { toSignificant } from '@core/quantity/number'
import { computed } from 'vue'
import type { Bottle } from '@core/schema/records'
import { substances } from '@library/index'
import { dropsOfSolution } from '@core/chemistry/smallAmount'
import { usePreferences } from '../../../state/preferences.store'
import { texts } from '../words'
import FigureValue from '../../../kit/FigureValue.vue'
import { percentWords, type ReadSolution, type RecipeRow, type WrittenMeasure } from '../recipeRows'

/** The lines of a recipe: what, how much in which measure, from which jar, and what that comes to. */
const props = defineProps<{ read: ReadSolution; bottles: readonly Bottle[] }>()
defineEmits<{ add: [] }>()
const rows = defineModel<RecipeRow[]>({ required: true })

const preferences = usePreferences()

const MEASURES: readonly { id: WrittenMeasure; name: string }[] = [
  { id: 'percentWv', name: '% w/v' },
  { id: 'percentVv', name: '% v/v' },
  { id: 'percentWw', name: '% w/w' },
  { id: 'gramsPerLitre', name: 'g/l' },
  { id: 'millilitresPerLitre', name: 'ml to a litre' },
  { id: 'molar', name: 'mol/l' },
  { id: 'parts', name: 'parts' },
  { id: 'grams', name: 'g' },
  { id: 'millilitres', name: 'ml' },
  { id: 'drops', name: 'drops' },
  { id: 'spoonMillilitres', name: 'ml by spoon' },
]
/** A stock is poured by volume, in parts, or until so much of its first solute is in the whole. */
const STOCK_MEASURE_IDS: readonly WrittenMeasure[] = [
  'millilitres',
  'millilitresPerLitre',
  'parts',
  'percentWv',
]
const STOCK_MEASURES = MEASURES.filter(({ id }) => STOCK_MEASURE_IDS.includes(id))

/** Substances by name, with what else they are called, so that either finds them; then solutions that stand ready. */
const sources = computed(() => [
  ...Object.values(substances).map((one) => ({
    id: one.id,
    name: one.name,
    also: one.synonyms,
  })),
  ...props.bottles
    .filter((one) => one.kind === 'solution' && !one.ended)
    .map((one) => ({ id: one.id, name: `bottle ${one.label}, ${one.name}` })),
])
const bottleIds = computed(() => new Set(props.bottles.map((one) => one.id)))
const isBottle = (row: RecipeRow) => bottleIds.value.has(row.source)
/** Jars on the shelf by the substance that they hold. */
const jars = computed(() => {
  const bySubstance = new Map<string, { id: string; name: string }[]>()
  for (const { id, label, kind, ended, contents } of props.bottles) {
    if (kind === 'solution' || ended) continue
    for (const substanceId of new Set(contents.map((held) => held.substanceId))) {
      const list = bySubstance.get(substanceId)
      if (list) list.push({ id, name: `from ${label}` })
      else bySubstance.set(substanceId, [{ id, name: `from ${label}` }])
    }
  }
  return bySubstance
})
const NONE: { id: string; name: string }[] = []
const jarsFor = (row: RecipeRow) => jars.value.get(row.source) ?? NONE
/** Portions are in the order of the rows that name something. */
const portionOf = (row: RecipeRow) => {
  const at = rows.value.filter((one) => one.source).indexOf(row)
  return props.read.solution?.portions[at]
}
const figureOf = (row: RecipeRow) => portionOf(row)?.grams ?? portionOf(row)?.millilitres ?? null
/** What to do with a portion, and how far its figure may be out. */
function figureWords(row: RecipeRow): string {
  const [portion, spread] = [portionOf(row), figureOf(row)?.uncertainty]
  const doing = portion?.grams ? 'weigh' : 'pour'
  const counted =
    portion?.grams && dropsOfSolution(portion.grams.value, preferences.chosen.dropsPerMillilitre)
  const poured = portion?.grams ? 0 : (portion?.millilitres?.value ?? 0)
  const toLitre = (1000 * poured) / (props.read.volumeMillilitres ?? Infinity)
  return [
    `${doing} ${portion?.name ?? ''}`,
    // As labels say it of what is diluted.
    toLitre > 0 && toLitre < 500 && row.measure !== 'millilitresPerLitre'
      ? `${digits(toLitre)} ml to a litre`
      : '',
    spread ? `± ${toSignificant(spread, 2)}` : '',
    counted ? texts.orCountDrops(counted) : '',
  ]
    .filter(Boolean)
    .join(', ')
}
function choose(row: RecipeRow, source: string): void {
  row.source = source
  row.jarId = jarsFor(row)[0]?.id ?? ''
  row.measure = isBottle(row) ? 'millilitres' : row.measure
}
const remove = (row: RecipeRow) => {
  rows.value = rows.value.filter((one) => one.key !== row.key)
}
</script>

<template>
  <div class="RecipeRows">
    <div
      v-for="(row, at) in rows"
      :key="row.key"
      class="RecipeRows-row"
      role="group"
      :aria-label="`Ingredient ${at + 1}`"
    >
      <SelectField
        bare
        :model-value="row.source"
        :options="sources"
        placeholder="what"
        :label="`Ingredient ${at + 1}, substance`"
        @update:model-value="choose(row, $event)"
      />
      <InlineField v-model="row.amount" inputmode="decimal" :label="`Ingredient ${at + 1}, amount`" />
      <SelectField
        v-model="row.measure"
        bare
        :options="isBottle(row) ? STOCK_MEASURES : MEASURES"
        :label="`Ingredient ${at + 1}, unit`"
      />
      <SelectField
        v-if="jarsFor(row).length"
        v-model="row.jarId"
        bare
        clearable
        :options="jarsFor(row)"
        placeholder="not from the shelf"
        :label="`Ingredient ${at + 1}, jar`"
      />
      <span v-else class="es-quiet">{{ row.source && !isBottle(row) ? 'no jar on the shelf' : '' }}</span>
      <FigureValue v-if="figureOf(row)" :label="figureWords(row)" :figure="figureOf(row)!" />
      <span v-else />
      <KitButton kind="quiet" :aria-label="`Remove ingredient ${at + 1}`" @click="remove(row)">
        remove
      </KitButton>
      <p v-if="percentWords(row)" class="RecipeRows-percent es-quiet">{{ percentWords(row) }}</p>
      <p v-if="read.faults[row.key]" class="RecipeRows-fault">
        {{ read.faults[row.key]?.problem }} {{ read.faults[row.key]?.remedy }}
      </p>
    </div>
    <KitButton kind="quiet" class="RecipeRows-add" @click="$emit('add')">Add ingredient</KitButton>
  </div>
</template>

<style scoped>
.RecipeRows {
  display: grid;
  gap: var(--es-space-2);
  border-top: 1px solid var(--es-rule);
}

.RecipeRows-row {
  display: grid;
  grid-template-columns: minmax(150px, 1.7fr) 74px 112px minmax(90px, 1fr) 96px auto;
  gap: var(--es-space-2) var(--es-space-5);
  align-items: center;
  padding: var(--es-space-2) 0;
  border-bottom: 1px solid var(--es-rule);
}

.RecipeRows-add {
  justify-self: start;
}

.RecipeRows-fault {
  grid-column: 1 / -1;
  color: var(--es-ember);
  font-size: var(--es-size-small);
}

@media (width <= 51.25em) {
  .RecipeRows-row {
    grid-template-columns: 1fr 74px 112px;
  }
}
.RecipeRows-percent {
  grid-column: 1 / -1;
  font-size: var(--es-size-small);
}
</style>
