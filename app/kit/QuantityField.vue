<script setup lang="ts">
import { computed } from 'vue'
import type { Refusal } from '@core/errors'
import { understood } from '@core/quantity/understood'
import type { Dimension } from '@core/quantity/units'
import TextField from './TextField.vue'

/** A field for a quantity: below it stands what was understood, so that a slip of unit or decimal sign is seen. */
const props = defineProps<{
  label: string
  dimension: Dimension
  /** Unit of a number that is typed without one. */
  unit: string
  fault?: Refusal
  placeholder?: string
  hint?: string
}>()
const text = defineModel<string>({ required: true })
const echo = computed(() => understood(text.value, props.dimension, props.unit))
</script>

<template>
  <TextField
    v-model="text"
    :label="label"
    :fault="fault"
    :placeholder="placeholder"
    :hint="echo ? `= ${echo}` : hint"
  />
</template>
