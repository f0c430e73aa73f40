import { computed, type ComputedRef } from 'vue'
import { lotsFor, type Lot } from '@core/chemistry/lots'
import { CoreError, type Refusal } from '@core/errors'
import { mixesFor, planMix, type MixInput, type MixPlan } from '@core/process/mixPlan'
import { schoolStocks } from '@core/process/plan'
import type { ProcessDefinition } from '@core/schema/definition'
import type { Sheet } from '@core/schema/records'
import { substances } from '@library/index'
import { useWorkroom } from '../../state/workroom.store'

export type Planned = MixInput & Pick<Sheet, 'bottles'>

/** Lots that each component of a process can be poured from in this workroom. */
export function useLots(definition: () => ProcessDefinition | null, sheet: () => Planned | null) {
  const workroom = useWorkroom()
  return computed((): Record<string, readonly Lot[]> => {
    const [process, planned] = [definition(), sheet()]
    if (!process || !planned) return {}
    const stocks = schoolStocks(process, planned.choices)
    return Object.fromEntries(
      process.components.map(({ id, name }) => [
        id,
        lotsFor(name, stocks[id] ?? [], workroom.bottles, workroom.taken, substances, planned.bottles[id]),
      ]),
    )
  })
}

/** Every mix of a sheet, from the lots on the shelf, or from the school's strengths where there is none. */
export function useMixPlans(
  definition: () => ProcessDefinition | null,
  sheet: () => Planned | null,
): ComputedRef<MixPlan[] | Refusal> {
  const lots = useLots(definition, sheet)
  return computed(() => {
    const [process, planned] = [definition(), sheet()]
    if (!process || !planned) return []
    try {
      return mixesFor(process, planned.choices)
        .filter((mix, at, all) => all.indexOf(mix) === at)
        .map((mix) => planMix(process, mix, planned, lots.value))
    } catch (error) {
      if (error instanceof CoreError) return error.refusal
      throw error
    }
  })
}

export const arePlans = (plans: MixPlan[] | Refusal): plans is MixPlan[] => Array.isArray(plans)
