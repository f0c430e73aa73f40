<script setup lang="ts">
import { ElProgress } from 'element-plus/es/components/progress/index.mjs'
import 'element-plus/es/components/progress/style/css'

/** How far something is, 0 to 1. */
defineProps<{ share: number; label: string }>()
</script>

<template>
  <ElProgress
    class="ProgressBar"
    :percentage="Math.round(100 * Math.min(1, Math.max(0, share)))"
    :stroke-width="6"
    :show-text="false"
    stroke-linecap="square"
    :aria-label="label"
  />
</template>

<style scoped>
.ProgressBar {
  --el-border-color-lighter: var(--es-rule);
  --el-color-primary: var(--es-ember);

  width: 13.75rem;
}

.ProgressBar :deep(.el-progress-bar__outer),
.ProgressBar :deep(.el-progress-bar__inner) {
  border-radius: 0;
  transition: none;
}
</style>
