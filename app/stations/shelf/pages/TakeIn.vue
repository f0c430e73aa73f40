<script setup lang="ts">
import { ref } from 'vue'
import ChoiceRow from '../../../kit/ChoiceRow.vue'
import { useWayBack } from '../../../state/useWayBack'
import TakeInChemical from '../parts/TakeInChemical.vue'
import TakeInKit from '../parts/TakeInKit.vue'
import TakeInSolution from '../parts/TakeInSolution.vue'

/** What comes onto the shelf: a chemical to weigh from, a solution that was bought ready, or a kit of several bottles. */
const { back } = useWayBack()
const WHAT = [
  { id: 'chemical', name: 'A chemical, to weigh from' },
  { id: 'solution', name: 'A ready solution' },
  { id: 'kit', name: 'A kit' },
]
const what = ref<string | undefined>('chemical')
const recipeId = ref('')
function asSolution(id: string): void {
  recipeId.value = id
  what.value = 'solution'
}
</script>

<template>
  <div class="TakeIn">
    <header>
      <h1>Add a chemical</h1>
    </header>
    <ChoiceRow v-model="what" label="What did you get?" :options="WHAT" />
    <TakeInKit v-if="what === 'kit'" />
    <TakeInSolution v-else-if="what === 'solution'" :recipe-id="recipeId" />
    <TakeInChemical v-else @dissolved="asSolution" />
    <p>
      <RouterLink :to="back?.path ?? { name: 'shelf' }">{{ back?.said ?? 'Back to Shelf' }}</RouterLink>
    </p>
  </div>
</template>

<style scoped>
.TakeIn {
  display: grid;
  gap: var(--es-space-4);
  max-width: 51.25rem;
}
</style>
