<script setup lang="ts">
import { ElSelectV2 } from 'element-plus'
import 'element-plus/es/components/select-v2/style/css'
import { useId } from 'vue'

/** One of many, found by typing: long lists are drawn only as far as they are seen. */
defineProps<{
  label: string
  options: readonly { id: string; name: string }[]
  hint?: string
  placeholder?: string
  clearable?: boolean
}>()
const chosen = defineModel<string>({ required: true })
const id = useId()
</script>

<template>
  <div class="SelectField">
    <label :for="id">{{ label }}</label>
    <ElSelectV2
      :id="id"
      v-model="chosen"
      :options="[...options]"
      :props="{ value: 'id', label: 'name' }"
      :placeholder="placeholder"
      :clearable="clearable"
      :aria-label="label"
      :item-height="40"
      filterable
      value-on-clear=""
    />
    <p class="es-quiet">{{ hint }}</p>
  </div>
</template>

<style scoped>
.SelectField label {
  color: var(--es-quiet);
  font-size: 14px;
}

p {
  min-height: 1.35em;
  font-size: 13px;
}
</style>
