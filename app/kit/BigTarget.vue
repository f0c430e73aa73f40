<script setup lang="ts">
import { ElButton } from 'element-plus/es/components/button/index.mjs'
import 'element-plus/es/components/button/style/css'
import { keyCap } from '../state/keys.store'

/** A large target for wet hands: filled for the next move, `quiet` for others, `plain` for what is seldom pressed. */
defineProps<{ label: string; hint?: string; quiet?: boolean; plain?: boolean; disabled?: boolean }>()
defineEmits<{ press: [] }>()
</script>

<template>
  <ElButton
    class="BigTarget"
    :class="{ 'is-quiet': quiet, 'is-bare': plain }"
    :disabled="disabled"
    @click="$emit('press')"
  >
    {{ label }}
    <kbd v-if="hint" aria-hidden="true">{{ keyCap(hint) }}</kbd>
  </ElButton>
</template>

<style scoped>
.BigTarget {
  --el-button-text-color: var(--es-target-ink);
  --el-button-bg-color: var(--es-target);
  --el-button-border-color: var(--es-target);
  --el-button-hover-text-color: var(--es-target-ink);
  --el-button-hover-bg-color: var(--es-target);
  --el-button-hover-border-color: var(--es-ember);
  --el-button-active-text-color: var(--es-target-ink);
  --el-button-active-bg-color: var(--es-target);
  --el-button-active-border-color: var(--es-ember);
  --el-button-disabled-text-color: var(--es-target-ink);
  --el-button-disabled-bg-color: var(--es-target);
  --el-button-disabled-border-color: var(--es-target);
  --el-button-outline-color: var(--es-ember);

  height: auto;
  min-height: 3.625rem;
  padding: var(--es-space-4) var(--es-space-6);
  border-width: 2px;
  border-radius: 3px;
  font: inherit;
  font-size: var(--es-size-lead);
  line-height: 1.2;
  text-align: start;
  white-space: normal;
  transition: none;
}

.BigTarget :deep(> span) {
  display: inline-flex;
  gap: var(--es-space-5);
  align-items: center;
}

.BigTarget.is-quiet,
.BigTarget.is-bare {
  --el-button-text-color: var(--es-ink);
  --el-button-bg-color: transparent;
  --el-button-border-color: var(--es-line);
  --el-button-hover-text-color: var(--es-ink);
  --el-button-hover-bg-color: transparent;
  --el-button-active-text-color: var(--es-ink);
  --el-button-active-bg-color: transparent;
  --el-button-disabled-text-color: var(--es-ink);
  --el-button-disabled-bg-color: transparent;
  --el-button-disabled-border-color: var(--es-line);
}

/* Words only, for what is seldom pressed. */
.BigTarget.is-bare {
  --el-button-text-color: var(--es-quiet);
  --el-button-border-color: transparent;
  --el-button-disabled-border-color: transparent;

  padding-inline: var(--es-space-4);
  font-size: var(--es-size-lead);
}

/* A filled target would be the brightest thing in the coating room. */
html[data-palette='dim'] .BigTarget {
  --el-button-text-color: var(--es-ink);
  --el-button-bg-color: transparent;
  --el-button-hover-text-color: var(--es-ink);
  --el-button-hover-bg-color: transparent;
  --el-button-active-text-color: var(--es-ink);
  --el-button-active-bg-color: transparent;
  --el-button-disabled-text-color: var(--es-ink);
  --el-button-disabled-bg-color: transparent;
}

.BigTarget.is-disabled {
  opacity: 0.45;
}

kbd {
  padding: 1px var(--es-space-3);
  border: 1px solid currentcolor;
  border-radius: 3px;
  font: inherit;
  font-size: var(--es-size-small);
  opacity: 0.8;
}

@media (width <= 51.25em) {
  kbd {
    display: none;
  }
}
</style>
