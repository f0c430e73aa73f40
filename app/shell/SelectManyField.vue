<script setup lang="ts">
import { ElSelectV2 } from 'element-plus'
import 'element-plus/es/components/select-v2/style/css'
import { useId } from 'vue'

/** Any number of many, found by typing. */
defineProps<{
  label: string
  options: readonly { id: string; name: string }[]
  hint?: string
  placeholder?: string
}>()
const chosen = defineModel<string[]>({ required: true })
const id = useId()
</script>

<template>
  <div class="SelectManyField">
    <label :for="id">{{ label }}</label>
    <ElSelectV2
      :id="id"
      v-model="chosen"
      :options="[...options]"
      :props="{ value: 'id', label: 'name' }"
      :placeholder="placeholder"
      :aria-label="label"
      :item-height="40"
      multiple
      filterable
      clearable
    />
    <p class="es-quiet">{{ hint }}</p>
  </div>
</template>

<style scoped>
label {
  color: var(--es-quiet);
  font-size: 14px;
}

p {
  min-height: 1.35em;
  font-size: 13px;
}
</style>
