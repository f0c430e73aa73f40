<script setup lang="ts" generic="Chosen extends string | string[]">
import { ElSelectV2 } from 'element-plus/es/components/select-v2/index.mjs'
import 'element-plus/es/components/select-v2/style/css'
import { computed, ref, useId } from 'vue'
import { findOptions, type Findable } from './findOptions'
import { texts } from './words'

/** One of many, or any number where the model is a list; found by typing. Long lists are drawn only as far as they are seen. */
const props = defineProps<{
  label: string
  options: readonly Findable[]
  hint?: string
  placeholder?: string
  clearable?: boolean
  /** Inside a row: its name is read but not seen. */
  bare?: boolean
}>()
const chosen = defineModel<Chosen>({ required: true })
const isMany = computed(() => Array.isArray(chosen.value))
const id = useId()
const search = ref('')
const found = computed(() => findOptions(props.options, search.value))
const listed = computed(() =>
  found.value.found.map(({ id: value, name, also }) => ({
    value,
    label: also?.length ? `${name} (${also.join(', ')})` : name,
  })),
)
const nameOf = (value: unknown) => props.options.find((one) => one.id === value)?.name ?? ''
</script>

<template>
  <div class="SelectField">
    <label v-if="!bare" :for="id">{{ label }}</label>
    <ElSelectV2
      :id="id"
      v-model="chosen"
      :options="listed"
      :placeholder="placeholder"
      :clearable="clearable"
      :aria-label="label"
      :item-height="40"
      :multiple="isMany"
      :value-on-clear="isMany ? undefined : ''"
      :filter-method="(text: string) => (search = text)"
      :no-data-text="texts.noOption"
      filterable
      @visible-change="search = ''"
    >
      <template v-if="found.isClose && listed.length" #header>{{ texts.onlyClose }}</template>
      <template #label="{ value }">{{ nameOf(value) }}</template>
    </ElSelectV2>
    <p v-if="!bare" class="es-quiet">{{ hint }}</p>
  </div>
</template>

<style scoped>
.SelectField label {
  color: var(--es-quiet);
  font-size: var(--es-size-small);
}

p {
  min-height: 1.35em;
  font-size: var(--es-size-small);
}
</style>
