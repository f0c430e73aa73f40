import { computed, ref, type ComputedRef } from 'vue'
import { beginning } from '@core/process/plan'
import { formatSpan } from '@core/quantity/format'
import type { Glass } from '@core/run/glass'
import { nextToCoat } from '@core/run/row'
import type { StepState } from '@core/run/runState'
import { useRecording } from '../../state/useRecording'
import { useWorkroom, type SheetInRoom } from '../../state/workroom.store'
import { texts } from './words'

interface Coating {
  inHand: ComputedRef<SheetInRoom | null>
  step: ComputedRef<StepState | null>
  glass: ComputedRef<Glass | null>
  /** Ends the step in hand. */
  finish: () => Promise<unknown>
  choose: (sheetId: string) => void
}

/** From sheet to sheet of a row, each coated by one press while the glass is fresh. */
export function useCoatRow({ inHand, step, glass, finish, choose }: Coating) {
  const workroom = useWorkroom()
  const target = ref<string | null>(null)
  const { record } = useRecording(() => target.value)

  const isCoating = computed(() => step.value?.planned.kind === 'act' && step.value.status === 'running')
  /** The next sheet of the row, while one is coated or has just been coated. */
  const nextOfRow = computed(() => {
    const one = inHand.value
    const isBetween = isCoating.value || step.value?.planned.kind === 'wait'
    return one && isBetween && glass.value ? nextToCoat(one, workroom.open) : null
  })
  const nextOfRowWords = computed(() => {
    if (!nextOfRow.value || !glass.value) return ''
    const minutes = Math.floor(glass.value.ageSeconds / 60) * 60
    const said = { number: nextOfRow.value.sheet.number, age: minutes ? formatSpan(minutes) : null }
    return isCoating.value ? texts.coatedCoatNext(said) : texts.coatNext(said)
  })
  async function coatNextOfRow(): Promise<void> {
    const next = nextOfRow.value
    if (!next) return
    if (isCoating.value) await finish()
    target.value = next.sheet.id
    let first = next.state.steps[next.state.current]?.planned
    if (next.state.begunAt === null) {
      const paper = workroom.papers.find(({ id }) => id === next.sheet.paperId)
      const begun = beginning(next.definition, next.sheet, {}, paper?.gramsPerM2)
      if (!(await record(begun))) return
      first = begun.steps[0]
    }
    if (first?.kind === 'act') await record({ type: 'stepStarted', step: first.id })
    choose(next.sheet.id)
  }
  return { nextOfRow, nextOfRowWords, coatNextOfRow }
}
