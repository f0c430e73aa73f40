<script setup lang="ts">
import { computed } from 'vue'
import type { Refusal } from '@core/errors'
import { momentIn } from '../words/readMoment'
import { wholeMoment } from '../words/moments'
import TextField from './TextField.vue'

/** A field for a date and a time, however they are written: below it stands what was understood. */
const props = defineProps<{
  label: string
  /** Moment whose day is meant where only a time is typed. */
  near: number
  fault?: Refusal
  placeholder?: string
}>()
const text = defineModel<string>({ required: true })
const echo = computed(() => {
  if (!text.value.trim()) return undefined
  try {
    return `= ${wholeMoment(momentIn(text.value, props.near, props.label))}`
  } catch {
    // What is wrong is said when it is saved: half a date is no fault of who types it.
    return undefined
  }
})
</script>

<template>
  <TextField v-model="text" :label="label" :fault="fault" :placeholder="placeholder" :hint="echo" />
</template>
