import { computed, type ComputedRef } from 'vue'
import type { Lot } from '@core/chemistry/lots'
import { glassCoverage } from '@core/coating/glassCoverage'
import { partsOf, planMix, type MixPlan } from '@core/process/mixPlan'
import type { StepState } from '@core/run/runState'
import type { ProcessDefinition } from '@core/schema/definition'
import type { Sheet } from '@core/schema/records'

interface Counted {
  definition: () => ProcessDefinition | null
  sheet: () => Sheet | null
  lots: ComputedRef<Record<string, readonly Lot[]>>
  plan: ComputedRef<MixPlan | null>
  step: ComputedRef<StepState | null>
}

/** What is in the glass while it is counted: its ratio, its strength and the coat that it gives, as counted and not as planned. */
export function useCountedGlass({ definition, sheet, lots, plan, step }: Counted) {
  /** Drops of each solution so far; `null` while one is missing. */
  const counted = computed(() => {
    const drops = plan.value?.pours.map(({ component }) => step.value?.drops[component.id] ?? 0)
    return drops?.length && drops.every((count) => count > 0) ? drops : null
  })
  /** The mix as it was counted, and as it is planned until something of everything is in. */
  const shownPlan = computed(() => {
    const [process, planned] = [definition(), sheet()]
    if (!process || !planned || !plan.value || !counted.value) return plan.value
    return planMix(process, plan.value.mix, planned, lots.value, counted.value)
  })
  const coverage = computed(() => {
    const planned = sheet()
    if (!planned || !plan.value || !counted.value) return null
    return glassCoverage({
      ...planned,
      drops: counted.value.reduce((sum, count) => sum + count, 0),
      coats: plan.value.mix.coats ?? planned.coats,
      sheets: plan.value.sheets,
    })
  })
  /** The ratio that is counted, in the order of the solutions. */
  const parts = computed(() => {
    const [process, planned] = [definition(), sheet()]
    if (!process || !planned || !plan.value) return []
    const { mix } = plan.value
    return planned.parts[mix.id] ?? partsOf(process, mix, planned.choices).map((part) => part.parts)
  })
  return { shownPlan, coverage, parts }
}
