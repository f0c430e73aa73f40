import { until } from '@vueuse/core'
import { computed, type ComputedRef } from 'vue'
import { useRouter } from 'vue-router'
import { stateWritten } from '../../state/actions/sheet.actions'
import type { SheetInRoom } from '../../state/workroom.store'

/** The screen follows what is written well within this time. */
const LONGEST_MS = 5000

/** The way back to the plan of a sheet. Until the first drop it can be changed: the start is undone for that. */
export function useEditPlan(inHand: ComputedRef<SheetInRoom | null>, undoLast: () => Promise<void>) {
  const router = useRouter()
  const mayEditPlan = computed(() => inHand.value?.state.last?.type === 'begun')
  const begunAt = computed(() => inHand.value?.state.begunAt ?? null)
  async function editPlan(): Promise<void> {
    const sheetId = inHand.value?.sheet.id
    if (!sheetId) return
    // The start may have been pressed just before: then it is written, and not on screen yet.
    if (mayEditPlan.value || (await stateWritten(sheetId))?.last?.type === 'begun') {
      await until(mayEditPlan).toBe(true, { timeout: LONGEST_MS })
      await undoLast()
      await until(begunAt).toBe(null, { timeout: LONGEST_MS })
      // It could not be undone, which was said: the plan stays as it is.
      if (begunAt.value !== null) return
    }
    await router.push({ name: 'begin', query: { sheet: sheetId } })
  }
  return { mayEditPlan, editPlan }
}
