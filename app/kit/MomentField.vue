<script setup lang="ts">
import { computed } from 'vue'
import type { Refusal } from '@core/errors'
import { dayIn, momentIn } from '../words/readMoment'
import { wholeDay, wholeMoment } from '../words/moments'
import TextField from './TextField.vue'

/** A field for a date and a time, or for a day, however they are written: below it stands what was understood. */
const props = defineProps<{
  label: string
  /** Moment whose day is meant where only a time is typed; without it the field is for a day. */
  near?: number
  /** A month and a year mean their last day. */
  isEnd?: boolean
  hint?: string
  fault?: Refusal
  placeholder?: string
}>()
const text = defineModel<string>({ required: true })
const echo = computed(() => {
  if (!text.value.trim()) return props.hint
  try {
    return props.near === undefined
      ? `= ${wholeDay(dayIn(text.value, props.label, props.isEnd))}`
      : `= ${wholeMoment(momentIn(text.value, props.near, props.label))}`
  } catch {
    // What is wrong is said when it is saved: half a date is no fault of who types it.
    return props.hint
  }
})
</script>

<template>
  <TextField v-model="text" :label="label" :fault="fault" :placeholder="placeholder" :hint="echo" />
</template>
