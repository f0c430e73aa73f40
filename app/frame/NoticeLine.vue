<script setup lang="ts">
import { useCssVar, useElementSize } from '@vueuse/core'
import { useTemplateRef, watchEffect } from 'vue'
import KitButton from '../kit/KitButton.vue'
import { useNotice } from '../state/notice.store'

const notice = useNotice()
const line = useTemplateRef('line')
const { height } = useElementSize(line)
// On a narrow screen the notice is above the ledge; bars of actions stay above the notice.
const room = useCssVar('--es-notice-height', document.documentElement)
watchEffect(() => (room.value = `${height.value}px`))
</script>

<template>
  <div ref="line" class="NoticeLine" role="status" aria-live="polite">
    <div
      v-if="notice.current"
      class="NoticeLine-line"
      :class="{ 'is-refused': notice.current.tone === 'refused' }"
    >
      <p>
        <strong v-if="notice.current.tone === 'refused'">Failed:</strong>
        {{ notice.current.text }} {{ notice.current.remedy }}
      </p>
      <KitButton v-if="notice.current.undo" kind="quiet" @click="notice.undo()">
        {{ notice.current.undoLabel ?? 'Undo' }}
      </KitButton>
      <KitButton kind="quiet" aria-label="Close this message" @click="notice.clear">Close</KitButton>
    </div>
  </div>
</template>

<style scoped>
.NoticeLine-line {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: var(--es-space-3) var(--es-space-5);
  padding: var(--es-space-4) var(--es-space-6);
  border-top: 2px solid var(--es-rule-strong);
  border-left: 1px solid var(--es-rule);
  background: var(--es-card);
}

.NoticeLine-line.is-refused {
  border-top-color: var(--es-ember);
}

p {
  flex: 1 0 100%;
  max-height: 40vh;
  overflow-y: auto;
  overflow-wrap: anywhere;
}

@media (width <= 51.25em) {
  .NoticeLine-line {
    padding: var(--es-space-3) var(--es-pad);
    border-left: 0;
  }

  p {
    max-height: 25vh;
  }
}
</style>
