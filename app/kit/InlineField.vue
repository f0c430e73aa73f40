<script setup lang="ts">
import { ElInput } from 'element-plus/es/components/input/index.mjs'
import 'element-plus/es/components/input/style/css'
import { useTemplateRef } from 'vue'

/** One short field inside a row, whose name is read but not seen. */
defineProps<{ label: string }>()
const text = defineModel<string>({ required: true })
const field = useTemplateRef<{ focus: () => void }>('field')
defineExpose({ focus: () => field.value?.focus() })
</script>

<template>
  <ElInput ref="field" v-model="text" class="InlineField" :aria-label="label" />
</template>
