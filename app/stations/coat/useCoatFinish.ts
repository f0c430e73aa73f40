import { computed, type ComputedRef } from 'vue'
import type { Lot } from '@core/chemistry/lots'
import { planMix, type MixPlan } from '@core/process/mixPlan'
import type { StepState } from '@core/run/runState'
import type { StepDefinition } from '@core/schema/definition'
import type { Happening } from '@core/schema/event'
import type { SheetInRoom } from '../../state/workroom.store'

interface Coating {
  inHand: ComputedRef<SheetInRoom | null>
  step: ComputedRef<StepState | null>
  stepWords: ComputedRef<StepDefinition | null>
  /** The plan of the mix that is counted. */
  plan: ComputedRef<MixPlan | null>
  lots: ComputedRef<Record<string, readonly Lot[]>>
  record: (happening: Happening, said?: string) => Promise<boolean>
  move: (said?: string) => Promise<void>
}

/** The end of a step on Coat. The end of a count takes what was really counted off the shelf, and an undo gives it back. */
export function useCoatFinish({ inHand, step, stepWords, plan, lots, record, move }: Coating) {
  const finishWords = computed(() => stepWords.value?.press.finish ?? '')
  const said = () => `Sheet ${inHand.value?.sheet.number}: ${stepWords.value?.title.toLowerCase()}, done.`

  async function endCount(counted: StepState, dropsOf: (component: string) => number): Promise<void> {
    if (!inHand.value || !plan.value) return
    const { definition, sheet } = inHand.value
    const drops = plan.value.pours.map(({ component }) => dropsOf(component.id))
    const { draws } = planMix(definition, plan.value.mix, sheet, lots.value, drops)
    const measured = plan.value.pours.flatMap(({ component }, i) =>
      drops[i] === counted.drops[component.id] ? [] : [{ component: component.id, count: drops[i] ?? 0 }],
    )
    await record(
      {
        type: 'stepFinished',
        step: counted.planned.id,
        drawn: draws,
        ...(measured.length && { drops: measured }),
      },
      said(),
    )
  }
  async function finish(): Promise<void> {
    const counted = step.value
    if (!plan.value || counted?.planned.kind !== 'count') return move(said())
    await endCount(counted, (component) => counted.drops[component] ?? 0)
  }
  /** Everything was measured as planned, without being counted one by one. */
  async function finishAsPlanned(): Promise<void> {
    const counted = step.value
    if (counted?.planned.kind !== 'count') return
    const planned = counted.planned.drops ?? []
    await endCount(counted, (id) => planned.find(({ component }) => component === id)?.count ?? 0)
  }
  return { finishWords, finish, finishAsPlanned }
}
