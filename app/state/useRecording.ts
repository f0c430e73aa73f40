import { computed } from 'vue'
import type { Happening } from '@core/schema/event'
import { pressedTogether, undoneTogether } from '@core/run/row'
import { emptyRun } from '@core/run/runState'
import { useNotice } from './notice.store'
import { undoneWords } from './undoneWords'
import { appendToAll, redoOnAll, undoOnAll } from '../storage/log'
import { storageFault } from '../storage/storageFaults'
import { timeNow } from '../storage/time'
import { useUnsaved } from './unsaved.store'
import { useWorkroom } from './workroom.store'

/**
 * Ways to record what happens to one sheet, or to it and others at once, and to undo it. What is refused is said, and nothing
 * is written.
 */
export function useRecording(sheetId: () => string | null) {
  const [workroom, notice, unsaved] = [useWorkroom(), useNotice(), useUnsaved()]

  /**
   * @param along ids of other sheets to which the same happens at this press.
   * @returns whether it was recorded.
   */
  async function record(
    happening: Happening,
    said?: string,
    along: readonly string[] = [],
  ): Promise<boolean> {
    const id = sheetId()
    if (!id) return false
    const [at, ids] = [timeNow(), [id, ...along]]
    try {
      if (ids.some((one) => unsaved.stateOf(one))) ids.forEach((one) => keep(one, happening, at))
      else await appendToAll(ids, happening, at)
      if (said) notice.say(said, undoLast)
      return true
    } catch (error) {
      if (!storageFault(error)) {
        notice.refuse(error, 'recording this')
        return false
      }
      return keepInstead(error, ids, happening, at)
    }
  }
  const keep = (id: string, happening: Happening, at: number) =>
    unsaved.keep(id, happening, at, unsaved.stateOf(id) ?? workroom.work(id)?.state ?? emptyRun(id))

  /** What the disk had no room for is kept with its moment, and work goes on. */
  function keepInstead(fault: unknown, ids: readonly string[], happening: Happening, at: number): boolean {
    try {
      ids.forEach((id) => keep(id, happening, at))
      notice.refuse(fault, 'recording this')
      return true
    } catch (error) {
      notice.refuse(error, 'recording this')
      return false
    }
  }

  /** This sheet, and those of its row for which the same press was made, or undone. */
  function withRow(id: string, others: typeof pressedTogether): string[] {
    const one = workroom.find(id)
    return [id, ...(one ? others(one, workroom.sheets).map(({ sheet }) => sheet.id) : [])]
  }
  /** Said where an undo or a redo was for more than one sheet. */
  const forRow = (ids: readonly string[]) =>
    ids.length > 1 ? ` for ${workroom.nameOf(ids).toLowerCase()}` : ''
  async function undoLast(): Promise<void> {
    const id = sheetId()
    if (!id) return
    const last = workroom.work(id)?.state.last
    try {
      const ids = withRow(id, pressedTogether)
      if (ids.some((one) => unsaved.stateOf(one))) ids.forEach((one) => unsaved.dropLast(one))
      else await undoOnAll(ids)
      notice.say(`Undone${forRow(ids)}: ${undoneWords(last?.type)}.`)
    } catch (error) {
      notice.refuse(error, 'undo')
    }
  }
  async function redoLast(): Promise<void> {
    const id = sheetId()
    if (!id) return
    const next = workroom.work(id)?.state.redo
    try {
      const ids = withRow(id, undoneTogether)
      await redoOnAll(ids)
      notice.say(`Redone${forRow(ids)}: ${undoneWords(next?.type)}.`)
    } catch (error) {
      notice.refuse(error, 'redo')
    }
  }
  /** Whether what was undone last can still come back. */
  const mayRedo = computed(() => {
    const id = sheetId()
    return id !== null && !unsaved.stateOf(id) && workroom.work(id)?.state.redo !== undefined
  })
  return { record, undoLast, redoLast, mayRedo }
}
