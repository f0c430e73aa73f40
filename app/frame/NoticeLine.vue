<script setup lang="ts">
import KitButton from '../kit/KitButton.vue'
import { useNotice } from '../state/notice.store'

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
        <strong v-if="notice.current.tone === 'refused'">Failed:</strong>
        {{ notice.current.text }} {{ notice.current.remedy }}
      </p>
      <KitButton v-if="notice.current.undo" kind="link" @click="notice.undo()">
        {{ notice.current.undoLabel ?? 'Undo' }}
      </KitButton>
      <KitButton kind="link" aria-label="Close this message" @click="notice.clear">Close</KitButton>
    </div>
  </div>
</template>

<style scoped>
.NoticeLine-line {
  display: flex;
  align-items: baseline;
  gap: var(--es-space-5);
  padding: var(--es-space-3) var(--es-pad);
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
</style>
