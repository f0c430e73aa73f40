<script setup lang="ts">
import { ElDialog } from 'element-plus/es/components/dialog/index.mjs'
import 'element-plus/es/components/dialog/style/css'

/** A question in front of the page. It is there as long as it is drawn; Escape and a press beside it close it. */
const { width = 560 } = defineProps<{ title: string; width?: number }>()
const emit = defineEmits<{ close: []; opened: [] }>()
</script>

<template>
  <ElDialog
    class="KitDialog"
    model-value
    :title="title"
    :width="`min(${width}px, 94vw)`"
    @opened="emit('opened')"
    @close="emit('close')"
  >
    <slot />
  </ElDialog>
</template>
