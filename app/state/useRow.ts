import { computed, ref, watch, type ComputedRef } from 'vue'
import { alongside } from '@core/run/row'
import { stepInHand } from '@core/run/runState'
import { takeOutOfRow as takeOut } from './actions/batch.actions'
import { useNotice } from './notice.store'
import { useWorkroom, type SheetInRoom } from './workroom.store'

/** The sheets of a row that are worked with the one in hand by the same press, and those that are left out of it. */
export function useRow(inHand: ComputedRef<SheetInRoom | null>, now: { now: number }) {
  const [workroom, notice] = [useWorkroom(), useNotice()]
  // Which sheets have dried for long enough need not be asked at every beat.
  const second = computed(() => Math.floor(now.now / 1000) * 1000)
  const row = computed(() => (inHand.value ? alongside(inHand.value, workroom.open, second.value) : []))
  /** Sheets that wait for another press. */
  const leftOutOfPress = ref<ReadonlySet<string>>(new Set())
  watch(
    () => inHand.value && `${inHand.value.sheet.batch?.id}/${stepInHand(inHand.value.state)?.planned.id}`,
    () => (leftOutOfPress.value = new Set()),
  )
  function toggleInPress(sheetId: string): void {
    const next = new Set(leftOutOfPress.value)
    if (!next.delete(sheetId)) next.add(sheetId)
    leftOutOfPress.value = next
  }
  /** The one in hand goes its own way from here on. */
  async function takeOutOfRow(): Promise<void> {
    const sheet = inHand.value?.sheet
    if (!sheet?.batch) return
    try {
      const putBack = await takeOut(sheet)
      notice.say(`Sheet ${sheet.number} is out of the row.`, putBack)
    } catch (error) {
      notice.refuse(error, 'the row')
    }
  }
  return { row, leftOutOfPress, toggleInPress, takeOutOfRow }
}
