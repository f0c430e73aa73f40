<script setup lang="ts">
import { texts } from '../words'
import KitButton from '../../../kit/KitButton.vue'
import { computed, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import type { Finding, Correction } from '@core/chemistry/audits'
import { digits } from '@core/quantity/format'
import { substances } from '@library/index'
import { useWorkroom } from '../../../state/workroom.store'
import BigTarget from '../../../kit/BigTarget.vue'
import ChoiceRow from '../../../kit/ChoiceRow.vue'
import FigureValue from '../../../kit/FigureValue.vue'
import FindingList from '../../../kit/FindingList.vue'
import { useKeyRows } from '../../../state/keys.store'
import { useMarginNotes, type MarginNote } from '../../../state/margin.store'
import { useWayBack } from '../../../state/useWayBack'
import { useNotice } from '../../../state/notice.store'
import SelectField from '../../../kit/SelectField.vue'
import { hazardNotes } from '../../../words/stepNotes'
import TextField from '../../../kit/TextField.vue'
import QuantityField from '../../../kit/QuantityField.vue'
import RecipeRows from '../parts/RecipeRows.vue'
import { undoBottle } from '../../../state/actions/shelf.actions'
import { useSolutionForm } from '../useSolutionForm'
import { precursorNotes } from '../precursorNotes'
import WeighingOut from '../parts/WeighingOut.vue'

const [route, router, workroom, notice] = [useRoute(), useRouter(), useWorkroom(), useNotice()]
const { back, goOn } = useWayBack()
const askedFor = (what: string) => {
  const value = route.query[what]
  return typeof value === 'string' ? value : undefined
}
const form = useSolutionForm({
  recipe: askedFor('recipe'),
  substance: askedFor('substance'),
  volume: askedFor('volume'),
  dilute: askedFor('dilute'),
  topUp: askedFor('topUp'),
})
const { recipeId, recipes, recipe, draft, label, labelFault, read, isWeighing, suggestedLabel } = form

const recipeOptions = computed(() => [
  { id: 'own', name: 'My own recipe' },
  ...recipes.value.map((one) => ({
    id: one.id,
    name: `${one.name} ${one.stock.solutes.map((solute) => digits(solute.percentWv)).join(' + ')} %, ${one.usedFor[0]?.toLowerCase()}`,
  })),
])
const finishOptions = [
  { id: 'topUpTo', name: 'Top up to' },
  { id: 'addTo', name: 'Add to this much water' },
]
const solution = computed(() => read.value.solution)
/** Said once: a correction that was not taken is the user's choice, and the work goes on. */
const correct = (finding: Finding & { rowKey?: string }, what: Correction) =>
  form.correct(what, finding.rowKey)

async function save(): Promise<void> {
  try {
    const made = await form.save()
    if (!made) return
    notice.say(`${made.label} is on the shelf.`, () => undoBottle(made.id))
    await goOn({ name: 'shelf', params: { bottleId: made.id } })
  } catch (error) {
    notice.refuse(error, 'saving the solution')
  }
}

useKeyRows('Make a solution', () =>
  isWeighing.value || !solution.value
    ? []
    : [{ key: ' ', name: 'Start weighing', run: () => (isWeighing.value = true) }],
)
watch(recipeId, () => (isWeighing.value = false))

useMarginNotes((): MarginNote[] => {
  const used = draft.value.rows.flatMap((row) => [
    row.source,
    ...(workroom.bottles.find((one) => one.id === row.source)?.contents.map((one) => one.substanceId) ?? []),
  ])
  return [
    ...hazardNotes(
      'Before you open the jars',
      used.map((id) => substances[id]?.caution),
    ),
    ...(recipe.value?.stock.making.length
      ? [{ title: 'How to make it', lines: recipe.value.stock.making }]
      : []),
    ...precursorNotes(solution.value),
    ...(recipe.value
      ? [{ title: 'Used for', lines: [recipe.value.usedFor.join(', '), recipe.value.stock.source] }]
      : []),
    {
      title: 'Measuring',
      lines: [texts.readMeasuringCylinderAtEye],
    },
  ]
})
</script>

<template>
  <section class="MakeSolution">
    <header>
      <h1>{{ draft.name || 'Make a solution' }}</h1>
      <RouterLink v-if="back" :to="back.path">{{ back.said }}</RouterLink>
    </header>

    <WeighingOut
      v-if="isWeighing && solution"
      :draft="draft"
      :solution="solution"
      :making="recipe?.stock.making ?? []"
      @read="form.setReading"
      @back="isWeighing = false"
      @done="save"
    >
      <div class="MakeSolution-row">
        <TextField
          v-model="label"
          label="Bottle label"
          :fault="labelFault"
          :placeholder="suggestedLabel"
          hint="what you write on the bottle"
        />
        <QuantityField
          v-model="draft.stated"
          label="Strength on the label, %"
          placeholder="the actual strength"
          hint="of the first solute"
          dimension="fraction"
          unit="percent"
        />
      </div>
    </WeighingOut>

    <template v-else>
      <div class="MakeSolution-row">
        <SelectField v-model="recipeId" class="MakeSolution-recipe" label="Recipe" :options="recipeOptions" />
        <TextField v-model="draft.name" label="Name" placeholder="name" />
        <QuantityField
          v-model="draft.volume"
          label="Volume"
          :fault="read.faults.volume"
          hint="100 ml, 1/2 l"
          dimension="volume"
          unit="ml"
        />
        <QuantityField
          v-model="draft.stated"
          label="Strength on the label, %"
          placeholder="the actual strength"
          hint="of the first solute"
          dimension="fraction"
          unit="percent"
        />
      </div>
      <ChoiceRow v-model="draft.finish" label="Water" :options="finishOptions" />

      <RecipeRows v-model="draft.rows" :read="read" :bottles="workroom.bottles" @add="form.addRow" />
      <p v-if="read.faults.rows" role="alert" class="MakeSolution-fault">
        {{ read.faults.rows.field }}: {{ read.faults.rows.problem }} {{ read.faults.rows.remedy }}
      </p>

      <FindingList :findings="read.findings" @correct="correct" />
      <p v-if="read.fit.limitedBy && read.fit.factor > 0" class="MakeSolution-fit">
        {{ read.fit.limitedBy }} is enough for
        {{ digits(read.fit.factor * (read.volumeMillilitres ?? 0)) }} ml.
        <KitButton @click="form.scaleToHand">Scale to what you have</KitButton>
      </p>

      <section v-if="solution" class="MakeSolution-figures" aria-label="Result">
        <FigureValue label="finished" :figure="solution.volume" />
        <FigureValue label="water first, then fill up" :figure="solution.water" />
        <template v-for="one in solution.solutes" :key="one.substanceId">
          <FigureValue :label="`${one.name}, actual strength`" :figure="one.strength" />
          <FigureValue v-if="one.molarity" :label="`${one.name} by moles`" :figure="one.molarity" />
        </template>
        <p v-if="read.cost !== null">
          <strong>{{ digits(read.cost) }}</strong>
          <span class="es-quiet">cost</span>
        </p>
      </section>
      <div class="MakeSolution-acts">
        <BigTarget label="Start weighing" hint=" " :disabled="!solution" @press="isWeighing = true" />
        <BigTarget plain label="Back to Shelf" @press="router.push({ name: 'shelf' })" />
      </div>
    </template>
  </section>
</template>

<style scoped>
.MakeSolution {
  display: grid;
  gap: var(--es-space-4);
  max-width: 57.5rem;
}

.MakeSolution-row {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(130px, 1fr));
  gap: var(--es-space-1) var(--es-space-6);
}

.MakeSolution-recipe {
  grid-column: span 2;
}

.MakeSolution-figures {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-2) var(--es-space-7);
  padding-top: var(--es-space-3);
  border-top: 1px solid var(--es-rule);
}

.MakeSolution-figures p strong {
  display: block;
  padding-top: var(--es-space-3);
  font-size: var(--es-size-lead);
  font-weight: 400;
}

.MakeSolution-fault {
  color: var(--es-ember);
}

.MakeSolution-acts {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-4);
}

@media (width <= 40em) {
  .MakeSolution-recipe {
    grid-column: auto;
  }
}
</style>
