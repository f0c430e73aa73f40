<script setup lang="ts">
import { texts } from '../words'
import { parseNumber } from '@core/quantity/number'
import { computed, ref, watch } from 'vue'
import { needsOf, shoppingList } from '@core/shelf/readiness'
import { startingParts } from '@core/process/mixPlan'
import { startingChoices } from '@core/process/plan'
import { CoreError, type Refusal } from '@core/errors'
import { digits, formatQuantity, formatSize } from '@core/quantity/format'
import { parseSize } from '@core/quantity/size'
import { gearFor } from '@core/shelf/gear'
import { isShort } from '@core/shelf/toMake'
import { gear } from '@library/gear'
import { HANDWORK, substances } from '@library/index'
import { useNow } from '../../../state/useNow'
import { useWorkroom } from '../../../state/workroom.store'
import ChoiceRow from '../../../kit/ChoiceRow.vue'
import MakeIt from '../../../kit/MakeIt.vue'
import { useMarginNotes } from '../../../state/margin.store'
import { usePreferences } from '../../../state/preferences.store'
import SelectField from '../../../kit/SelectField.vue'
import TextField from '../../../kit/TextField.vue'
import { useCoverage, useDropper } from '../../../state/useCoverage'

const [workroom, preferences, now] = [useWorkroom(), usePreferences(), useNow()]
const last = workroom.sheets[0]?.sheet
const processId = ref(last?.process.id ?? 'classic-cyanotype')
const definition = computed(() => workroom.definitionOf(processId.value))
const choices = ref(startingChoices(definition.value))
watch(definition, (chosen) => {
  choices.value = startingChoices(chosen)
})
const size = ref(
  last ? formatSize(last, { length: preferences.chosen.length, temperature: 'degC' }) : '8 x 10 in',
)
const sheets = ref('4')
const fault = ref<Refusal | undefined>()
const coverage = useCoverage(
  () => definition.value,
  () => definition.value.tools[0] ?? 'brush',
)
const dropper = useDropper()

const plan = computed(() => {
  try {
    const read = parseSize(size.value, { field: 'size', bareUnit: preferences.chosen.length })
    const count = parseNumber(sheets.value, {
      field: 'sheets',
      isWhole: true,
      min: 1,
      max: 999,
      example: '4',
    })
    const input = {
      ...read,
      coats: 1,
      choices: choices.value,
      parts: startingParts(definition.value, choices.value),
      coverageMillilitresPerM2: coverage.value.value,
      dropsPerMillilitre: dropper.value.dropsPerMillilitre,
      ...(count > 1 && { batch: { id: '', of: count, place: 1 } }),
    }
    const shelf = { bottles: workroom.bottles, taken: workroom.taken, book: substances }
    const needs = needsOf(definition.value, { ...shelf, input, now: Math.floor(now.now / 60_000) * 60_000 })
    return {
      needs,
      lines: shoppingList(needs, workroom.bottles, workroom.taken, substances),
      fault: undefined,
    }
  } catch (error) {
    if (error instanceof CoreError) return { needs: [], lines: [], fault: error.refusal }
    throw error
  }
})
watch(plan, (found) => (fault.value = found.fault), { immediate: true })
const gearLists = computed(() => {
  const { toTry, toDoWell, trays } = gearFor(definition.value, choices.value, gear)
  const asked = trays ? [texts.traysToBuy({ trays, size: size.value })] : []
  return [
    { title: 'To try it', things: [...toTry, ...asked] },
    { title: 'To do it well', things: toDoWell },
  ]
})
const processOptions = computed(() => workroom.allProcesses.map((one) => ({ id: one.id, name: one.name })))
const ml = (value: number) => formatQuantity(value, 'volume')
const g = (value: number) => formatQuantity(value, 'mass')
useMarginNotes(() => [
  {
    title: 'How amounts are computed',
    lines: [texts.coatsAreaCoverageNumberSheets, texts.onlyRestedSolutionsWithinTheir],
  },
  ...(plan.value.lines.length
    ? [
        {
          title: 'Before you buy',
          lines: [texts.askForSafetyDataSheet],
          tone: 'caution' as const,
        },
      ]
    : []),
])
</script>

<template>
  <section class="ShoppingPage">
    <header>
      <h1>Shopping list</h1>
    </header>
    <div class="ShoppingPage-row">
      <SelectField v-model="processId" label="Process" :options="processOptions" />
      <TextField v-model="size" label="Picture size" :fault="fault?.field === 'size' ? fault : undefined" />
      <TextField v-model="sheets" label="Sheets" :fault="fault?.field === 'sheets' ? fault : undefined" />
    </div>
    <div class="ShoppingPage-choices">
      <ChoiceRow
        v-for="choice in definition.choices.filter(({ id }) => !HANDWORK.some((one) => one === id))"
        :key="choice.id"
        v-model="choices[choice.id]"
        :label="choice.name"
        :options="choice.options"
      />
    </div>

    <h2>Solutions</h2>
    <ul aria-label="Solutions">
      <li v-for="need in plan.needs" :key="need.id" :class="{ 'is-short': isShort(need) }">
        <span>
          {{ need.name }}
          <em class="es-quiet">
            {{ need.solutes.map((one) => `${digits(one.percentWv)} %`).join(' + ') }},
            {{ need.use === 'bath' ? 'in the tray' : 'in the coat' }}
          </em>
        </span>
        <strong>{{ ml(need.millilitres) }}</strong>
        <span class="es-quiet">
          {{
            need.readyMillilitres === null ? 'a bottle, amount unknown' : `${ml(need.readyMillilitres)} ready`
          }}
        </span>
        <MakeIt :need="need" />
      </li>
    </ul>
    <template v-if="plan.lines.length">
      <h2>Chemicals to weigh</h2>
      <ul aria-label="Chemicals">
        <li
          v-for="line in plan.lines"
          :key="line.substanceId"
          :class="{ 'is-short': line.haveGrams < line.grams }"
        >
          <span>
            {{ line.name }}
            <em class="es-quiet">{{ line.forWhat.join(', ').toLowerCase() }}</em>
          </span>
          <strong>{{ g(line.grams) }}</strong>
          <span class="es-quiet">
            {{ line.haveGrams > 0 ? `${g(line.haveGrams)} on the shelf` : 'none on the shelf' }}
          </span>
          <b v-if="line.haveGrams < line.grams">buy {{ g(line.grams - line.haveGrams) }}</b>
        </li>
      </ul>
    </template>
    <p v-else-if="plan.needs.length" class="es-quiet">Everything is ready.</p>
    <h2>Gear</h2>
    <div class="ShoppingPage-gear">
      <section v-for="{ title, things } in gearLists" :key="title" :aria-label="title">
        <h3>{{ title }}</h3>
        <p v-for="thing in things" :key="thing">{{ thing }}</p>
      </section>
    </div>
  </section>
</template>

<style scoped>
.ShoppingPage {
  display: grid;
  gap: var(--es-space-4);
  max-width: 53.75rem;
}

.ShoppingPage-row {
  display: grid;
  grid-template-columns: 2fr 1fr 1fr;
  gap: var(--es-space-1) var(--es-space-6);
}

.ShoppingPage-choices {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(280px, 1fr));
  gap: var(--es-space-3) var(--es-space-6);
}

.ShoppingPage-gear {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(16rem, 1fr));
  gap: var(--es-space-3) var(--es-space-6);
}

.ShoppingPage-gear p {
  padding: var(--es-space-2) 0;
  border-top: 1px solid var(--es-rule);
}

h3 {
  font-size: var(--es-size-body);
}

ul {
  margin: 0;
  padding: 0;
  border-top: 1px solid var(--es-rule);
  list-style: none;
}

li {
  display: grid;
  grid-template-columns: 1fr 90px 170px 96px;
  gap: var(--es-space-5);
  align-items: baseline;
  padding: var(--es-space-3) 0;
  border-bottom: 1px solid var(--es-rule);
}

li strong {
  font-weight: 400;
  text-align: right;
}

li.is-short strong,
li b {
  color: var(--es-ember);
  font-weight: 400;
}

@media (width <= 40em) {
  li {
    grid-template-columns: 1fr 90px;
  }
}
</style>
