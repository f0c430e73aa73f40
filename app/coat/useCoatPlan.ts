import { computed, type ComputedRef } from 'vue'
import { CoreError, type Refusal } from '@core/errors'
import { planCoat, schoolStrengths, type CoatInput, type CoatPlan } from '@core/process/plan'
import type { ProcessDefinition } from '@core/record/definition'
import type { Sheet } from '@core/record/records'
import { substances } from '@library/index'
import { useWorkroom } from '../data/workroom.store'

type Planned = CoatInput & Pick<Sheet, 'choices' | 'bottles'>

/** The coat of a sheet, from the bottles chosen for it, or from the school's strengths where none is. */
export function useCoatPlan(
  definition: () => ProcessDefinition | null,
  sheet: () => Planned | null,
): ComputedRef<CoatPlan | Refusal | null> {
  const workroom = useWorkroom()
  return computed(() => {
    const [process, planned] = [definition(), sheet()]
    if (!process || !planned) return null
    const strengths = schoolStrengths(process, planned.choices)
    for (const bottle of workroom.bottles)
      if (planned.bottles[bottle.component] === bottle.id) strengths[bottle.component] = bottle.percentWv
    try {
      return planCoat(process, planned, strengths, substances)
    } catch (error) {
      if (error instanceof CoreError) return error.refusal
      throw error
    }
  })
}

export const isPlan = (plan: CoatPlan | Refusal | null): plan is CoatPlan => plan !== null && 'volume' in plan
