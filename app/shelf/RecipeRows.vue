<script setup lang="ts">
import { numberOrNull } from '@core/quantity/number'
import { digits } from '@core/quantity/format'
import { ElOption, ElSelect, ElSelectV2 } from 'element-plus'
import 'element-plus/es/components/select/style/css'
import 'element-plus/es/components/option/style/css'
import 'element-plus/es/components/select-v2/style/css'
import { computed } from 'vue'
import type { Measure } from '@core/chemistry/solution'
import type { Bottle } from '@core/schema/records'
import { substances } from '@library/index'
import FigureValue from '../shell/FigureValue.vue'
import type { ReadSolution, RecipeRow } from './solutionDraft'

/** The lines of a recipe: what, how much in which measure, from which jar, and what that comes to. */
const props = defineProps<{ read: ReadSolution; bottles: readonly Bottle[] }>()
defineEmits<{ add: [] }>()
const rows = defineModel<RecipeRow[]>({ required: true })

const MEASURES: readonly { id: Measure; name: string }[] = [
  { id: 'percentWv', name: '% w/v' },
  { id: 'percentVv', name: '% v/v' },
  { id: 'percentWw', name: '% w/w' },
  { id: 'gramsPerLitre', name: 'g/l' },
  { id: 'molar', name: 'mol/l' },
  { id: 'parts', name: 'parts' },
  { id: 'grams', name: 'g' },
  { id: 'millilitres', name: 'ml' },
  { id: 'drops', name: 'drops' },
  { id: 'spoonMillilitres', name: 'ml by spoon' },
]
/** A stock is poured by volume, in parts, or until so much of its first solute stands in the whole. */
const STOCK_MEASURES = MEASURES.filter(({ id }) => ['millilitres', 'parts', 'percentWv'].includes(id))

/** Substances by name, with what else they are called, so that either finds them; then solutions that stand ready. */
const sources = computed(() => [
  ...Object.values(substances).map((one) => ({
    id: one.id,
    name: one.synonyms.length ? `${one.name} (${one.synonyms.join(', ')})` : one.name,
  })),
  ...props.bottles
    .filter((one) => one.kind === 'solution' && !one.ended)
    .map((one) => ({ id: one.id, name: `bottle ${one.label}, ${one.name}` })),
])
const NAMED = { value: 'id', label: 'name' }
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
/** What a percentage of a bought liquid means: of the pure substance by weight, or of the concentrate by volume. */
function percentWords(row: RecipeRow): string {
  const liquid = substances[row.source]?.liquid
  const percent = numberOrNull(row.amount) ?? 0
  if (!liquid || liquid.percentWw >= 99 || !(percent > 0)) return ''
  if (!['percentWv', 'percentVv'].includes(row.measure)) return ''
  const byWeight = (1000 * percent) / liquid.gramsPerMillilitre / liquid.percentWw
  return `${digits(percent)} % w/v, by weight: ${digits(byWeight)} ml of ${digits(liquid.percentWw)} % concentrate in a litre. ${digits(percent)} % v/v, by volume: ${digits(10 * percent)} ml.`
}
/** Portions stand in the order of the rows that name something. */
const portionOf = (row: RecipeRow) => {
  const at = rows.value.filter((one) => one.source).indexOf(row)
  return props.read.solution?.portions[at]
}
const figureOf = (row: RecipeRow) => portionOf(row)?.grams ?? portionOf(row)?.millilitres ?? null
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
      <ElSelectV2
        :model-value="row.source"
        :options="sources"
        :props="NAMED"
        :item-height="40"
        filterable
        placeholder="what"
        :aria-label="`What goes in, ${at + 1}`"
        @update:model-value="choose(row, $event)"
      />
      <input
        v-model="row.amount"
        class="RecipeRows-amount"
        inputmode="decimal"
        :aria-label="`How much, ${at + 1}`"
      />
      <ElSelect v-model="row.measure" :aria-label="`In which measure, ${at + 1}`">
        <ElOption
          v-for="one in isBottle(row) ? STOCK_MEASURES : MEASURES"
          :key="one.id"
          :value="one.id"
          :label="one.name"
        />
      </ElSelect>
      <ElSelectV2
        v-if="jarsFor(row).length"
        v-model="row.jarId"
        :options="jarsFor(row)"
        :props="NAMED"
        :item-height="40"
        clearable
        value-on-clear=""
        placeholder="from no jar here"
        :aria-label="`From which jar, ${at + 1}`"
      />
      <span v-else class="es-quiet">{{ row.source && !isBottle(row) ? 'no jar on the shelf' : '' }}</span>
      <FigureValue
        v-if="figureOf(row)"
        :label="`${portionOf(row)?.grams ? 'weigh' : 'pour'} ${portionOf(row)?.name ?? ''}${figureOf(row)?.uncertainty ? `, ± ${Number(figureOf(row)?.uncertainty?.toPrecision(2))}` : ''}`"
        :figure="figureOf(row)!"
      />
      <span v-else />
      <button type="button" :aria-label="`Leave ingredient ${at + 1} out`" @click="remove(row)">
        leave out
      </button>
      <p v-if="percentWords(row)" class="RecipeRows-percent es-quiet">{{ percentWords(row) }}</p>
      <p v-if="read.faults[row.key]" class="RecipeRows-fault">
        {{ read.faults[row.key]?.problem }} {{ read.faults[row.key]?.remedy }}
      </p>
    </div>
    <button type="button" class="RecipeRows-add" @click="$emit('add')">Add something</button>
  </div>
</template>

<style scoped>
.RecipeRows {
  display: grid;
  gap: 4px;
  border-top: 1px solid var(--es-rule);
}

.RecipeRows-row {
  display: grid;
  grid-template-columns: minmax(150px, 1.7fr) 74px 112px minmax(90px, 1fr) 96px auto;
  gap: 4px 14px;
  align-items: center;
  padding: 4px 0;
  border-bottom: 1px solid var(--es-rule);
}

.RecipeRows-amount {
  min-width: 0;
  min-height: 36px;
  border: 0;
  border-bottom: 1px solid var(--es-line);
  background: none;
  color: var(--es-ink);
  font: inherit;
}

button {
  min-height: 36px;
  padding: 0 6px;
  border: 0;
  background: none;
  color: var(--es-quiet);
  cursor: pointer;
  text-decoration: underline;
}

.RecipeRows-add {
  justify-self: start;
}

.RecipeRows-fault {
  grid-column: 1 / -1;
  color: var(--es-ember);
  font-size: 14px;
}

@media (width <= 760px) {
  .RecipeRows-row {
    grid-template-columns: 1fr 74px 112px;
  }
}
.RecipeRows-percent {
  grid-column: 1 / -1;
  font-size: 14px;
}
</style>
