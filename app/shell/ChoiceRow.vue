<script setup lang="ts">
import type { Refusal } from '@core/errors'
import { useId } from 'vue'

/** A question with a few answers in words, one of them chosen. */
defineProps<{ label: string; options: readonly { id: string; name: string }[]; fault?: Refusal }>()
const chosen = defineModel<string | undefined>({ required: true })
const id = useId()
</script>

<template>
  <fieldset class="ChoiceRow">
    <legend>{{ label }}</legend>
    <label v-for="option in options" :key="option.id" :class="{ 'is-chosen': option.id === chosen }">
      <input v-model="chosen" type="radio" :name="id" :value="option.id" />
      {{ option.name }}
    </label>
    <p v-if="fault" class="ChoiceRow-fault">{{ fault.problem }} {{ fault.remedy }}</p>
  </fieldset>
</template>

<style scoped>
.ChoiceRow {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 6px;
  align-content: start;
  min-width: 0;
  margin: 0;
  padding: 0;
  border: 0;
}

legend {
  padding: 0;
  color: var(--es-quiet);
  font-size: 14px;
}

label {
  display: inline-flex;
  align-items: center;
  align-self: start;
  min-height: 40px;
  padding: 4px 12px;
  border: 1px solid var(--es-rule);
  cursor: pointer;
}

label:hover {
  border-color: var(--es-line);
}

label.is-chosen {
  border-color: var(--es-ink);
  box-shadow: inset 0 -3px 0 var(--es-ember);
}

label:focus-within {
  outline: 2px solid var(--es-ember);
  outline-offset: 2px;
}

input {
  position: absolute;
  opacity: 0;
}

.ChoiceRow-fault {
  flex-basis: 100%;
  color: var(--es-ember);
  font-size: 13px;
}
</style>
