import { computed, ref, watch } from 'vue'
import { leftOutConsequence } from '@core/process/leavingOut'
import { stepInHand, type RunState } from '@core/run/runState'
import type { ProcessDefinition } from '@core/schema/definition'
import { incompatibilities, substances } from '@library/index'

/** What a step is thought of being left out of. */
export interface WorkInHand {
  state: RunState
  definition: ProcessDefinition
  choices: Readonly<Record<string, string>>
}

/** Leaving out the step in hand: what it would mean is read first. */
export function useLeaveOut(work: () => WorkInHand) {
  const planned = computed(() => stepInHand(work().state)?.planned ?? null)
  const isAsked = ref(false)
  // A question about one step is not one about the next.
  watch(
    () => planned.value?.id,
    () => (isAsked.value = false),
  )
  const title = computed(
    () => work().definition.steps.find(({ id }) => id === (planned.value?.of ?? planned.value?.id))?.title,
  )
  const consequence = computed(() => {
    const { state, definition, choices } = work()
    return planned.value && !hasDrops(state)
      ? leftOutConsequence(
          definition,
          choices,
          state.steps.map((step) => step.planned),
          planned.value,
          substances,
          incompatibilities,
        )
      : null
  })
  return { planned, isAsked, title, consequence }
}

/** A glass in which something is cannot be left out; it is coated from, or its drops are undone. */
const hasDrops = (state: RunState): boolean =>
  Object.values(stepInHand(state)?.drops ?? {}).some((count) => count > 0)
