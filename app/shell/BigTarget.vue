<script setup lang="ts">
import { keyCap } from './keys.store'

defineProps<{ label: string; hint?: string; quiet?: boolean; plain?: boolean; disabled?: boolean }>()
defineEmits<{ press: [] }>()
</script>

<template>
  <button
    class="BigTarget"
    type="button"
    :class="{ 'is-quiet': quiet, 'is-plain': plain }"
    :disabled="disabled"
    @click="$emit('press')"
  >
    {{ label }}
    <kbd v-if="hint" aria-hidden="true">{{ keyCap(hint) }}</kbd>
  </button>
</template>

<style scoped>
.BigTarget {
  display: inline-flex;
  gap: 18px;
  align-items: center;
  min-height: 58px;
  padding: 12px 28px;
  border: 2px solid var(--es-target);
  border-radius: 3px;
  background: var(--es-target);
  color: var(--es-target-ink);
  cursor: pointer;
  font-size: 20px;
}

.BigTarget.is-quiet {
  border-color: var(--es-line);
  background: none;
  color: var(--es-ink);
}

/* Words only, for what is seldom pressed. */
.BigTarget.is-plain {
  padding-inline: 12px;
  border-color: transparent;
  background: none;
  color: var(--es-quiet);
  font-size: 17px;
}

/* A filled target would be the brightest thing in the coating room. */
html[data-palette='dim'] .BigTarget:not(.is-plain, .is-quiet) {
  background: none;
  color: var(--es-ink);
}

.BigTarget:hover {
  border-color: var(--es-ember);
}

.BigTarget:disabled {
  opacity: 0.45;
  cursor: default;
}

kbd {
  padding: 1px 7px;
  border: 1px solid currentcolor;
  border-radius: 3px;
  font: inherit;
  font-size: 14px;
  opacity: 0.8;
}

@media (width <= 820px) {
  kbd {
    display: none;
  }
}
</style>
