<script setup lang="ts">
import KitButton from './KitButton.vue'
import type { Finding, Correction } from '@core/chemistry/audits'
import { correctionWords } from '../words/findingWords'

/** Slips that were noticed: each said once, plainly, with what would correct it. One may go on. */
defineProps<{ findings: readonly Finding[] }>()
const emit = defineEmits<{ correct: [finding: Finding, correction: Correction] }>()
</script>

<template>
  <ul v-if="findings.length" class="FindingList" aria-label="Check this">
    <li v-for="finding in findings" :key="`${finding.code}/${finding.subject}/${finding.problem}`">
      <p>
        <strong>{{ finding.subject }}</strong>
        {{ finding.problem }} {{ finding.remedy }}
      </p>
      <KitButton
        v-for="correction in finding.corrections"
        :key="correction.act"
        @click="emit('correct', finding, correction)"
      >
        {{ correctionWords(correction) }}
      </KitButton>
    </li>
  </ul>
</template>

<style scoped>
.FindingList {
  display: grid;
  gap: var(--es-space-3);
  margin: 0;
  padding: 0 0 0 var(--es-space-5);
  border-left: 3px solid var(--es-ember);
  list-style: none;
}

p {
  max-width: 46em;
}

strong {
  font-weight: 700;
}
</style>
