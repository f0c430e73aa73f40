import { until } from '@vueuse/core'
import { computed, type ComputedRef } from 'vue'
import { useRouter } from 'vue-router'
import type { SheetInRoom } from '../../state/workroom.store'

/** The way back to the plan of a sheet. Until the first drop it can be changed: the start is undone for that. */
export function useEditPlan(inHand: ComputedRef<SheetInRoom | null>, undoLast: () => Promise<void>) {
  const router = useRouter()
  const mayEditPlan = computed(() => inHand.value?.state.last?.type === 'begun')
  async function editPlan(): Promise<void> {
    const sheetId = inHand.value?.sheet.id
    if (mayEditPlan.value) {
      await undoLast()
      // The form takes a plan only of a sheet whose work has not begun.
      await until(() => inHand.value?.state.begunAt ?? null).toBe(null)
    }
    await router.push({ name: 'begin', query: { sheet: sheetId } })
  }
  return { mayEditPlan, editPlan }
}
