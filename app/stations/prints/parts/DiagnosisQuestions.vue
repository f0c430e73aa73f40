<script setup lang="ts">
import { texts } from '../words'
import { computed, ref } from 'vue'
import type { FaultFact } from '@core/judge/faultBook'
import KitButton from '../../../kit/KitButton.vue'
import SelectField from '../../../kit/SelectField.vue'
import WhenSeen from './WhenSeen.vue'

/** What is asked of the printer: a few questions at a time, in any order, and everything else that can be told. */
const props = defineProps<{
  asked: readonly FaultFact[]
  /** Everything that is not known yet. */
  untold: readonly FaultFact[]
  answers: readonly { fact: FaultFact; said: 'yes' | 'no' }[]
}>()
const emit = defineEmits<{
  answer: [factId: string, said: 'yes' | 'no']
  skip: [factId: string]
  forget: [factId: string]
}>()

const chosenId = ref('')
/** The moments are one question, whichever of them is asked. */
const moments = computed(() => props.untold.filter(({ moment }) => moment))
const asks = ({ moment, ask }: FaultFact) => (moment ? texts.whenFirstSeen : ask)
const others = computed(() => {
  const isAsked = (fact: FaultFact) =>
    fact.moment
      ? fact !== moments.value[0] || props.asked.some(({ moment }) => moment)
      : props.asked.includes(fact)
  // What can be answered of every fault comes first.
  const open = props.untold.filter((fact) => !isAsked(fact))
  return [...open.filter(({ moment }) => moment), ...open.filter(({ moment }) => !moment)].map((fact) => ({
    id: fact.id,
    name: asks(fact) ?? '',
  }))
})
const chosen = computed(() => props.untold.find(({ id }) => id === chosenId.value))
function tell(factId: string, said: 'yes' | 'no'): void {
  emit('answer', factId, said)
  if (factId === chosenId.value || chosen.value?.moment) chosenId.value = ''
}
</script>

<template>
  <section v-if="asked.length || untold.length || answers.length" aria-label="Questions">
    <ul v-if="asked.length" class="DiagnosisQuestions-asked">
      <li v-for="(fact, i) in asked" :key="fact.id">
        <component :is="i === 0 ? 'h2' : 'p'">{{ asks(fact) }}</component>
        <WhenSeen v-if="fact.moment" :facts="moments" @answer="tell($event, 'yes')">
          <KitButton kind="quiet" :aria-label="`Not sure: ${asks(fact)}`" @click="emit('skip', fact.id)">
            Not sure
          </KitButton>
        </WhenSeen>
        <span v-else class="DiagnosisQuestions-acts">
          <KitButton :aria-label="`Yes: ${fact.ask}`" @click="tell(fact.id, 'yes')">Yes</KitButton>
          <KitButton :aria-label="`No: ${fact.ask}`" @click="tell(fact.id, 'no')">No</KitButton>
          <KitButton kind="quiet" :aria-label="`Not sure: ${fact.ask}`" @click="emit('skip', fact.id)">
            Not sure
          </KitButton>
        </span>
      </li>
    </ul>
    <div v-if="others.length" class="DiagnosisQuestions-more">
      <SelectField
        v-model="chosenId"
        label="Something else that you know"
        :options="others"
        clearable
        placeholder="choose a question"
      />
      <WhenSeen v-if="chosen?.moment" :facts="moments" @answer="tell($event, 'yes')" />
      <span v-else-if="chosen" class="DiagnosisQuestions-acts">
        <KitButton @click="tell(chosen.id, 'yes')">Yes</KitButton>
        <KitButton @click="tell(chosen.id, 'no')">No</KitButton>
      </span>
    </div>
    <ul v-if="answers.length" aria-label="Your answers" class="DiagnosisQuestions-answers">
      <li v-for="{ fact, said } in answers" :key="fact.id">
        {{ said === 'yes' ? fact.yes : fact.no }}
        <KitButton
          v-if="!fact.moment"
          kind="quiet"
          @click="emit('answer', fact.id, said === 'yes' ? 'no' : 'yes')"
        >
          change to {{ said === 'yes' ? 'no' : 'yes' }}
        </KitButton>
        <KitButton kind="quiet" @click="emit('forget', fact.id)">remove</KitButton>
      </li>
    </ul>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: var(--es-space-4);
  width: 100%;
  padding: var(--es-space-5) var(--es-space-6);
  border-left: 3px solid var(--es-line);
  background: var(--es-card);
}

ul {
  display: grid;
  gap: var(--es-space-3);
  margin: 0;
  padding: 0;
  list-style: none;
}

.DiagnosisQuestions-asked li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: var(--es-space-2) var(--es-space-5);
  align-items: center;
}

.DiagnosisQuestions-acts,
.DiagnosisQuestions-answers li {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-3);
  align-items: center;
}

.DiagnosisQuestions-more {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-3) var(--es-space-5);
  align-items: end;
}

.DiagnosisQuestions-more > :first-child {
  flex: 1 1 34rem;
  max-width: none;
}

@media (width <= 51.25em) {
  .DiagnosisQuestions-asked li {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
