<script setup lang="ts">
import { ElCheckbox } from 'element-plus/es/components/checkbox/index.mjs'
import 'element-plus/es/components/checkbox/style/css'

/** Something that is so or not; its words are the slot. */
const isOn = defineModel<boolean>({ required: true })
</script>

<template>
  <ElCheckbox v-model="isOn" class="KitCheckbox"><slot /></ElCheckbox>
</template>

<style scoped>
.KitCheckbox {
  --el-checkbox-text-color: inherit;
  --el-checkbox-checked-text-color: inherit;
  --el-checkbox-input-height: 20px;
  --el-checkbox-input-width: 20px;
  --el-checkbox-bg-color: transparent;
  --el-checkbox-input-border: 1px solid var(--es-ink);
  --el-checkbox-input-border-color-hover: var(--es-ember);
  --el-checkbox-checked-bg-color: var(--es-ember);
  --el-checkbox-checked-input-border-color: var(--es-ember);
  --el-checkbox-checked-icon-color: var(--es-page);

  height: auto;
  min-height: 1.75rem;
  margin: 0;
  font: inherit;
  white-space: normal;
}

.KitCheckbox :deep(.el-checkbox__inner),
.KitCheckbox :deep(.el-checkbox__inner)::after {
  transition: none;
}

/* The tick is drawn for a box of 14 px. */
.KitCheckbox :deep(.el-checkbox__inner)::after {
  top: 3px;
  left: 6px;
  width: 5px;
  height: 9px;
}

/* The browser's own box is over the drawn one, unseen, so that the whole of it can be pressed. */
.KitCheckbox :deep(.el-checkbox__original) {
  inset: 0;
  z-index: 1;
  width: 20px;
  height: 20px;
}

.KitCheckbox :deep(.el-checkbox__label) {
  padding-left: var(--es-space-3);
  font: inherit;
  line-height: 1.35;
}
</style>
