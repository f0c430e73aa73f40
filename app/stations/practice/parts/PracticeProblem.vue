<script setup lang="ts">
import { ref } from 'vue'
import KitButton from '../../../kit/KitButton.vue'
import SelectField from '../../../kit/SelectField.vue'
import type { PracticeTest } from '../usePracticeFaults'
import { texts } from '../words'

/** What is wrong with a print: test sheets with one thing changed, then the cause. */
const props = defineProps<{
  /** How many things are wrong. */
  count: number
  offered: readonly { id: string; name: string; doing: string }[]
  tests: readonly PracticeTest[]
  shown: PracticeTest | null
  causes: readonly { id: string; name: string }[]
  guesses: readonly string[]
  verdict: string
}>()
const emit = defineEmits<{
  test: [id: string]
  show: [test: PracticeTest | null]
  name: [at: number, id: string]
}>()
const chosen = ref('')
function make(): void {
  if (!chosen.value) return
  emit('test', chosen.value)
  chosen.value = ''
}
const labelOf = (at: number) =>
  props.count === 1 ? texts.chooseCause : at === 0 ? 'First cause' : 'Second cause'
</script>

<template>
  <div class="PracticeProblem">
    <div class="PracticeProblem-test">
      <SelectField v-model="chosen" label="Test sheet" :options="offered" placeholder="choose a test" />
      <KitButton :disabled="!chosen" @click="make">Make the test sheet</KitButton>
    </div>
    <ul v-if="tests.length" aria-label="Test sheets">
      <li v-for="test in tests" :key="test.test.id">
        <KitButton kind="quiet" @click="$emit('show', shown === test ? null : test)">
          {{ shown === test ? 'Show the print' : `Show: ${test.test.name}` }}
        </KitButton>
        <span>{{ test.test.name }}: {{ test.said }}</span>
      </li>
    </ul>
    <SelectField
      v-for="at in count"
      :key="at"
      :model-value="guesses[at - 1] ?? ''"
      :label="labelOf(at - 1)"
      :options="causes"
      placeholder="choose a cause"
      @update:model-value="$emit('name', at - 1, $event)"
    />
    <p v-if="verdict" role="status">{{ verdict }}</p>
  </div>
</template>

<style scoped>
.PracticeProblem,
.PracticeProblem-test {
  display: grid;
  gap: var(--es-space-3);
  justify-items: start;
  width: 100%;
}

ul {
  margin: 0;
  padding: 0;
  list-style: none;
}

li {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-3);
  align-items: center;
}

.PracticeProblem :deep(.SelectField) {
  width: 100%;
}

.PracticeProblem p {
  margin: 0;
}
</style>
