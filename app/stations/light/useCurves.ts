import { shallowRef, watch } from 'vue'
import { callWorker } from '../../workers/call'
import { startWorker } from '../../workers/start'
import type { CurvesAnswer, CurvesQuestion } from '../../workers/curves.worker'

/** The curves of several tablet prints, fitted beside the page; the last question wins. */
export function useCurves(question: () => CurvesQuestion) {
  const curves = shallowRef<CurvesAnswer>({})
  let asked = 0
  watch(
    () => JSON.stringify(question()),
    async () => {
      const mine = ++asked
      const worker = startWorker.curves()
      const found = await callWorker<CurvesQuestion, CurvesAnswer>(worker, question())
      if (mine === asked) curves.value = found
    },
    { immediate: true },
  )
  return curves
}
