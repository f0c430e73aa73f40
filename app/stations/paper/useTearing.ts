import { texts } from './words'
import { ref, watch } from 'vue'
import { CoreError, type Refusal } from '@core/errors'
import type { TearingPlan } from '@core/paper/tearing'
import type { TearingQuestion } from '../../workers/tearing.worker'
import { callWorker } from '../../workers/call'
import { startWorker } from '../../workers/start'

/** The best plan for what is asked, worked out beside the page; the last question wins. */
export function useTearing(question: () => TearingQuestion | null) {
  const plan = ref<TearingPlan | null>(null)
  const fault = ref<Refusal | null>(null)
  const isBusy = ref(false)
  let asked = 0
  watch(
    question,
    async (now) => {
      const mine = ++asked
      fault.value = null
      if (!now) {
        plan.value = null
        return
      }
      isBusy.value = true
      try {
        const worker = startWorker.tearing()
        const found = await callWorker<TearingQuestion, TearingPlan>(worker, now)
        if (mine === asked) plan.value = found
      } catch (error) {
        if (mine !== asked) return
        plan.value = null
        fault.value =
          error instanceof CoreError
            ? error.refusal
            : {
                code: 'unexpected',
                field: 'tearing',
                problem: texts.tearingPlanCouldNotBe,
                remedy: 'Try again.',
              }
      } finally {
        if (mine === asked) isBusy.value = false
      }
    },
    { immediate: true, deep: true },
  )
  return { plan, fault, isBusy }
}
