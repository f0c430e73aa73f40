<script setup lang="ts">
import { ElAutocomplete } from 'element-plus/es/components/autocomplete/index.mjs'
import { ElInput } from 'element-plus/es/components/input/index.mjs'
import 'element-plus/es/components/autocomplete/style/css'
import 'element-plus/es/components/input/style/css'
import { computed, onMounted, useId, useTemplateRef } from 'vue'
import type { Refusal } from '@core/errors'

/** One line to write on, with its name above and, when it cannot be read, what is wrong and what would do below. */
const props = defineProps<{
  label: string
  fault?: Refusal
  placeholder?: string
  options?: readonly string[]
  large?: boolean
  hint?: string
  autofocus?: boolean
}>()
const text = defineModel<string>({ required: true })
const id = useId()

const field = useTemplateRef<{ focus: () => void }>('field')
const focus = () => field.value?.focus()
onMounted(() => {
  if (props.autofocus) focus()
})
/** The library points at suggestions that are not there until the field is used. */
const tidy = () =>
  setTimeout(() => {
    const input = document.getElementById(id)
    for (const name of ['aria-activedescendant', 'aria-controls']) input?.removeAttribute(name)
  })
defineExpose({ focus })

const offered = (typed: string, answer: (rows: { value: string }[]) => void) =>
  answer(
    (props.options ?? [])
      .filter((option) => option.toLowerCase().includes(typed.toLowerCase()))
      .map((value) => ({ value })),
  )
const shared = computed(() => ({
  id,
  placeholder: props.placeholder,
  'aria-invalid': props.fault !== undefined,
  'aria-describedby': `${id}-said`,
}))
</script>

<template>
  <div class="TextField" :class="{ 'is-large': large }">
    <label :for="id">{{ label }}</label>
    <ElAutocomplete
      v-if="options?.length"
      ref="field"
      v-model="text"
      v-bind="shared"
      :fetch-suggestions="offered"
      :debounce="0"
      @vue:mounted="tidy"
    />
    <ElInput v-else ref="field" v-model="text" v-bind="shared" />
    <p :id="`${id}-said`" :class="fault ? 'TextField-fault' : 'es-quiet'">
      {{ fault ? `${fault.problem} ${fault.remedy}` : hint }}
    </p>
  </div>
</template>

<style scoped>
.TextField label {
  color: var(--es-quiet);
  font-size: var(--es-size-small);
}

.TextField :deep(.el-autocomplete) {
  width: 100%;
}

.TextField.is-large :deep(.el-input__inner) {
  height: 44px;
  font: 500 var(--es-size-figure) var(--es-serif);
}

p {
  min-height: 1.35em;
  font-size: var(--es-size-small);
}

.TextField-fault {
  color: var(--es-ember);
}
</style>
