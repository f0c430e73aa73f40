<script setup lang="ts">
import KitButton from './KitButton.vue'
import type { Finding, Mend } from '@core/chemistry/audits'
import { mendWords } from '../words/findingWords'

/** Slips that were noticed: each said once, plainly, with what would mend it. One may go on. */
defineProps<{ findings: readonly Finding[] }>()
const emit = defineEmits<{ mend: [finding: Finding, mend: Mend] }>()
</script>

<template>
  <ul v-if="findings.length" class="FindingList" aria-label="Check this">
    <li v-for="finding in findings" :key="`${finding.code}/${finding.subject}/${finding.problem}`">
      <p>
        <strong>{{ finding.subject }}</strong>
        {{ finding.problem }} {{ finding.remedy }}
      </p>
      <KitButton v-for="mend in finding.mends" :key="mend.act" @click="emit('mend', finding, mend)">
        {{ mendWords(mend) }}
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
