<script setup lang="ts">
import type { Finding, Mend } from '@core/chemistry/audits'
import { mendWords } from './mendWords'

/** Slips that were noticed: each said once, plainly, with what would mend it. One may go on. */
defineProps<{ findings: readonly Finding[] }>()
const emit = defineEmits<{ mend: [finding: Finding, mend: Mend] }>()
</script>

<template>
  <ul v-if="findings.length" class="FindingList" aria-label="Worth a second look">
    <li v-for="finding in findings" :key="`${finding.code}/${finding.subject}/${finding.problem}`">
      <p>
        <strong>{{ finding.subject }}</strong>
        {{ finding.problem }} {{ finding.remedy }}
      </p>
      <button
        v-for="mend in finding.mends"
        :key="mend.act"
        type="button"
        @click="emit('mend', finding, mend)"
      >
        {{ mendWords(mend) }}
      </button>
    </li>
  </ul>
</template>

<style scoped>
.FindingList {
  display: grid;
  gap: 8px;
  margin: 0;
  padding: 0 0 0 14px;
  border-left: 3px solid var(--es-ember);
  list-style: none;
}

p {
  max-width: 46em;
}

strong {
  font-weight: 700;
}

button {
  min-height: 36px;
  margin: 4px 10px 0 0;
  padding: 4px 12px;
  border: 1px solid var(--es-line);
  background: none;
  cursor: pointer;
}

button:hover {
  border-color: var(--es-ember);
}
</style>
