<script setup lang="ts">
import { useNotice } from './notice.store'

const notice = useNotice()
</script>

<template>
  <div class="NoticeLine" role="status" aria-live="polite">
    <div
      v-if="notice.current"
      class="NoticeLine-line"
      :class="{ 'is-refused': notice.current.tone === 'refused' }"
    >
      <p>
        <strong v-if="notice.current.tone === 'refused'">Not done.</strong>
        {{ notice.current.text }} {{ notice.current.remedy }}
      </p>
      <button v-if="notice.current.undo" type="button" @click="notice.undo()">
        {{ notice.current.undoLabel ?? 'Undo' }}
      </button>
      <button type="button" aria-label="Close this line" @click="notice.clear">Close</button>
    </div>
  </div>
</template>

<style scoped>
.NoticeLine-line {
  display: flex;
  align-items: baseline;
  gap: 16px;
  padding: 10px var(--es-pad);
  border-top: 1px solid var(--es-rule);
  background: var(--es-card);
}

.NoticeLine-line.is-refused {
  border-top: 2px solid var(--es-ember);
}

p {
  flex: 1;
  max-height: 30vh;
  overflow-y: auto;
  overflow-wrap: anywhere;
}

button {
  padding: 6px 4px;
  border: 0;
  background: none;
  cursor: pointer;
  text-decoration: underline;
}
</style>
