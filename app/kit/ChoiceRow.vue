<script setup lang="ts">
import { ElRadio, ElRadioGroup } from 'element-plus/es/components/radio/index.mjs'
import 'element-plus/es/components/radio/style/css'
import 'element-plus/es/components/radio-group/style/css'
import type { Refusal } from '@core/errors'

/** A question with a few answers in words, one of them chosen. */
defineProps<{ label: string; options: readonly { id: string; name: string }[]; fault?: Refusal }>()
const chosen = defineModel<string | undefined>({ required: true })
/** Lets go of an answer that was chosen by hand, so that space and enter do the next step again. */
function release({ detail, currentTarget }: MouseEvent): void {
  // A choice by arrow key makes a click too, without a count: that one keeps its place.
  if (!detail || !(currentTarget instanceof HTMLElement)) return
  const answers = currentTarget
  // The answer gets the focus only when this click is over.
  setTimeout(() => {
    const focused = document.activeElement
    if (focused instanceof HTMLElement && answers.contains(focused)) focused.blur()
  })
}
</script>

<template>
  <fieldset class="ChoiceRow">
    <legend>{{ label }}</legend>
    <ElRadioGroup v-model="chosen" class="ChoiceRow-answers" @click="release">
      <ElRadio v-for="option in options" :key="option.id" class="ChoiceRow-answer" :value="option.id" border>
        {{ option.name }}
      </ElRadio>
    </ElRadioGroup>
    <p v-if="fault" class="ChoiceRow-fault" role="alert">{{ fault.problem }} {{ fault.remedy }}</p>
  </fieldset>
</template>

<style scoped>
.ChoiceRow {
  min-width: 0;
  margin: 0;
  padding: 0;
  border: 0;
}

legend {
  padding: 0 0 var(--es-space-2);
  color: var(--es-quiet);
  font-size: var(--es-size-small);
}

.ChoiceRow-answers {
  gap: var(--es-space-2) var(--es-space-3);
}

.ChoiceRow-answer {
  --el-radio-text-color: inherit;
  --el-border: 1px solid var(--es-rule);

  height: auto;
  min-height: 2.75rem;
  margin: 0;
  padding: var(--es-space-2) var(--es-space-4);
  border-radius: 0;
  white-space: normal;
}

.ChoiceRow-answer:hover {
  border-color: var(--es-line);
}

.ChoiceRow-answer.is-checked {
  border-color: var(--es-ink);
  box-shadow: inset 0 -3px 0 var(--es-ember);
}

.ChoiceRow-answer:focus-within {
  outline: 2px solid var(--es-ember);
  outline-offset: 2px;
}

.ChoiceRow-answer :deep(.el-radio__label) {
  padding: 0;
  color: inherit;
  font: inherit;
}

/* The answer itself shows whether it is chosen, so the button beside it is not drawn. */
.ChoiceRow-answer :deep(.el-radio__inner) {
  width: 0;
  border: 0;
}

.ChoiceRow-fault {
  color: var(--es-ember);
  font-size: var(--es-size-small);
}
</style>
