<script setup lang="ts">
import { ElInput } from 'element-plus/es/components/input/index.mjs'
import 'element-plus/es/components/input/style/css'
import { useTemplateRef } from 'vue'

/** Several lines to write on, as long as a note may be. */
const { rows = 3 } = defineProps<{ label: string; rows?: number; placeholder?: string }>()
const text = defineModel<string>({ required: true })
const field = useTemplateRef<{ focus: () => void }>('field')
defineExpose({ focus: () => field.value?.focus() })
</script>

<template>
  <ElInput
    ref="field"
    v-model="text"
    type="textarea"
    :rows="rows"
    maxlength="4000"
    :aria-label="label"
    :placeholder="placeholder"
  />
</template>
