import { computed } from 'vue'
import { saltBalance, USUAL_UPTAKE, type SaltBalance } from '@core/chemistry/saltBalance'
import { layingsOf } from '@core/process/silverOnPaper'
import type { ProcessDefinition } from '@core/schema/definition'
import type { Sheet } from '@core/schema/records'
import { useWorkroom } from '../../state/workroom.store'
import { useLots, type Planned } from './useMixPlans'

type Balanced = Planned & Pick<Sheet, 'paperId'>

/** Salt against silver on the sheet, for processes that lay both; `null` for all others. */
export function useBalance(definition: () => ProcessDefinition | null, sheet: () => Balanced | null) {
  const workroom = useWorkroom()
  const lots = useLots(definition, sheet)
  return computed((): SaltBalance | null => {
    const [process, planned] = [definition(), sheet()]
    if (!process || !planned) return null
    const laid = layingsOf(process, planned, (component) => lots.value[component]?.[0]?.solutes ?? [])
    const gramsPerM2 = workroom.papers.find((paper) => paper.id === planned.paperId)?.gramsPerM2
    const balance = saltBalance(laid, {
      ...USUAL_UPTAKE,
      brushMillilitresPerM2: planned.coverageMillilitresPerM2,
      ...(gramsPerM2 && { gramsPerM2 }),
    })
    return balance.halide.value > 0 && balance.silver.value > 0 ? balance : null
  })
}
