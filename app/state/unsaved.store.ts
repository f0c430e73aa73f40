import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { v4 as uuid } from 'uuid'
import { CoreError } from '@core/errors'
import { advance } from '@core/run/run'
import { type RunState } from '@core/run/runState'
import { SheetEvent, type Happening } from '@core/schema/event'
import { db } from '../storage/db'
import { append } from '../storage/log'
import { useStorage } from './persistence'
import { storageFault } from '../storage/storageFaults'

/** Something that happened to a sheet and could not be written. */
export interface Unsaved {
  sheetId: string
  happening: Happening
  /** When it was pressed. */
  at: number
  /** What the sheet comes to with it. */
  state: RunState
}

/**
 * Presses that the disk had no room for, in the order in which they were made. Work goes on with them as if they were
 * written; they are written, each with its own moment, once there is room.
 */
export const useUnsaved = defineStore('unsaved', () => {
  const storage = useStorage()
  const presses = shallowRef<readonly Unsaved[]>([])
  const isSaving = ref(false)
  const states = computed(() => new Map(presses.value.map((one) => [one.sheetId, one.state])))
  /** What a sheet comes to with its unsaved presses; `undefined` where it has none. */
  const stateOf = (sheetId: string): RunState | undefined => states.value.get(sheetId)

  /**
   * Keeps a press.
   *
   * @param before what the sheet comes to without it.
   * @throws CoreError where it cannot have happened then.
   */
  function keep(sheetId: string, happening: Happening, at: number, before: RunState): void {
    const event = SheetEvent.parse({
      ...happening,
      id: uuid(),
      sheetId,
      index: before.length,
      at: Math.max(at, before.lastAt),
    })
    const state = advance(before, event)
    presses.value = [...presses.value, { sheetId, happening, at, state }]
  }
  /** Takes the last unsaved press of a sheet back. @returns whether it had one. */
  function dropLast(sheetId: string): boolean {
    const last = presses.value.findLastIndex((one) => one.sheetId === sheetId)
    presses.value = presses.value.filter((_, i) => i !== last)
    return last >= 0
  }

  /**
   * Writes every unsaved press, in order. One that another window has made impossible is left out.
   *
   * @returns how many were written, and why others were not.
   * @throws CoreError `disk-full` where there is still no room; the rest stays.
   */
  async function save(): Promise<{ saved: number; refused: string[] }> {
    if (isSaving.value) return { saved: 0, refused: [] }
    isSaving.value = true
    try {
      if (!db.isOpen()) await db.open()
      const refused: string[] = []
      let saved = 0
      for (let [next] = presses.value; next; [next] = presses.value) {
        try {
          await append(next.sheetId, next.happening, next.at)
          saved++
        } catch (error) {
          if (!(error instanceof CoreError)) throw storageFault(error) ?? error
          refused.push(error.refusal.problem)
        }
        // An undo may have taken another one back meanwhile.
        const written = next
        presses.value = presses.value.filter((one) => one !== written)
      }
      await storage.renew()
      return { saved, refused }
    } finally {
      isSaving.value = false
    }
  }
  return { presses, isSaving, stateOf, keep, dropLast, save }
})
