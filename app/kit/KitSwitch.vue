<script setup lang="ts">
import { ElSwitch } from 'element-plus/es/components/switch/index.mjs'
import 'element-plus/es/components/switch/style/css'

/** A setting that is on or off at once. */
defineProps<{ label: string }>()
const isOn = defineModel<boolean>({ required: true })
</script>

<template>
  <ElSwitch v-model="isOn" class="KitSwitch" :aria-label="label" />
</template>

<style scoped>
.KitSwitch {
  --el-switch-on-color: var(--es-ink);
  --el-switch-off-color: var(--es-line);
  --el-color-white: var(--es-page);
}
</style>
