import { until } from '@vueuse/core'
import { computed, type ComputedRef } from 'vue'
import { useRouter } from 'vue-router'
import { stateWritten } from '../../state/actions/sheet.actions'
import type { SheetInRoom } from '../../state/workroom.store'

/** The way back to the plan of a sheet. Until the first drop it can be changed: the start is undone for that. */
export function useEditPlan(inHand: ComputedRef<SheetInRoom | null>, undoLast: () => Promise<void>) {
  const router = useRouter()
  const mayEditPlan = computed(() => inHand.value?.state.last?.type === 'begun')
  async function editPlan(): Promise<void> {
    const sheetId = inHand.value?.sheet.id
    if (!sheetId) return
    // What is written counts: the start may have been pressed just before, and not be on screen yet.
    const written = await stateWritten(sheetId)
    if (written?.last?.type === 'begun') {
      await undoLast()
      await until(() => inHand.value?.state.length ?? 0).toMatch((length) => length > written.length)
    }
    await router.push({ name: 'begin', query: { sheet: sheetId } })
  }
  return { mayEditPlan, editPlan }
}
