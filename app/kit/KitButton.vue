<script setup lang="ts">
import { ElButton } from 'element-plus/es/components/button/index.mjs'
import 'element-plus/es/components/button/style/css'

/** A button with words: `plain`, or `quiet` and lower for what is pressed seldom. `aria-pressed` marks a choice. */
const { kind = 'plain', type = 'button' } = defineProps<{
  kind?: 'plain' | 'quiet'
  type?: 'button' | 'submit'
}>()
</script>

<template>
  <ElButton class="KitButton" :class="`is-${kind}`" :native-type="type"><slot /></ElButton>
</template>

<style scoped>
.KitButton {
  --el-button-text-color: inherit;
  --el-button-bg-color: transparent;
  --el-button-border-color: var(--es-line);
  --el-button-hover-text-color: inherit;
  --el-button-hover-bg-color: transparent;
  --el-button-hover-border-color: var(--es-ember);
  --el-button-active-text-color: inherit;
  --el-button-active-bg-color: transparent;
  --el-button-active-border-color: var(--es-ember);
  --el-button-disabled-text-color: inherit;
  --el-button-disabled-bg-color: transparent;
  --el-button-disabled-border-color: var(--es-line);
  --el-button-outline-color: var(--es-ember);

  height: auto;
  min-height: 2.75rem;
  padding: var(--es-space-2) var(--es-space-5);
  border-radius: 0;
  font: inherit;
  line-height: 1.2;
  text-align: start;
  white-space: normal;
  transition: none;
}

.KitButton.is-quiet {
  --el-button-border-color: var(--es-rule);

  justify-self: start;
  min-height: var(--es-touch, 1.875rem);
  padding: 0 var(--es-space-4);
  border-radius: 1.375rem;
  font-size: var(--es-size-small);
  vertical-align: baseline;
}

.KitButton.is-disabled {
  opacity: 0.45;
}

.KitButton[aria-pressed='true'] {
  border-color: var(--es-ink);
  box-shadow: inset 0 -3px 0 var(--es-ember);
}
</style>
