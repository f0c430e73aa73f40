import { computed } from 'vue'
import type { Happening } from '@core/schema/event'
import { emptyRun } from '@core/run/runState'
import { useNotice } from './notice.store'
import { undoneWords } from './undoneWords'
import { append, redo, undo } from '../storage/log'
import { storageFault } from '../storage/storageFaults'
import { timeNow } from '../storage/time'
import { useUnsaved } from './unsaved.store'
import { useWorkroom } from './workroom.store'

/** Ways to record what happens to one sheet, and to undo it. What is refused is said, and nothing is written. */
export function useRecording(sheetId: () => string | null) {
  const [workroom, notice, unsaved] = [useWorkroom(), useNotice(), useUnsaved()]

  /** @returns whether it was recorded. */
  async function record(happening: Happening, said?: string): Promise<boolean> {
    const id = sheetId()
    if (!id) return false
    const at = timeNow()
    try {
      if (unsaved.stateOf(id)) keep(id, happening, at)
      else await append(id, happening, at)
      if (said) notice.say(said, undoLast)
      return true
    } catch (error) {
      if (!storageFault(error)) {
        notice.refuse(error, 'recording this')
        return false
      }
      return keepInstead(error, id, happening, at)
    }
  }
  const keep = (id: string, happening: Happening, at: number) =>
    unsaved.keep(id, happening, at, unsaved.stateOf(id) ?? workroom.work(id)?.state ?? emptyRun(id))

  /** What the disk had no room for is kept with its moment, and work goes on. */
  function keepInstead(fault: unknown, id: string, happening: Happening, at: number): boolean {
    try {
      keep(id, happening, at)
      notice.refuse(fault, 'recording this')
      return true
    } catch (error) {
      notice.refuse(error, 'recording this')
      return false
    }
  }

  async function undoLast(): Promise<void> {
    const id = sheetId()
    if (!id) return
    const last = workroom.work(id)?.state.last
    try {
      if (!unsaved.dropLast(id)) await undo(id)
      notice.say(`Undone: ${undoneWords(last?.type)}.`)
    } catch (error) {
      notice.refuse(error, 'undo')
    }
  }
  async function redoLast(): Promise<void> {
    const id = sheetId()
    if (!id) return
    const next = workroom.work(id)?.state.redo
    try {
      await redo(id)
      notice.say(`Redone: ${undoneWords(next?.type)}.`)
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
