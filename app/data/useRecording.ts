import type { Happening } from '@core/record/event'
import { useNotice } from '../shell/notice.store'
import { undoneWords } from '../shell/undoneWords'
import { append, undo } from './log'
import { storageFault } from './storageFaults'
import { useWorkroom } from './workroom.store'

/** Ways to write down what happens to one sheet, and to take it back. A refusal is said, and nothing is written. */
export function useRecording(sheetId: () => string | null) {
  const [workroom, notice] = [useWorkroom(), useNotice()]

  /** @returns whether it was written. */
  async function record(happening: Happening, said?: string): Promise<boolean> {
    const id = sheetId()
    return id ? write(id, happening, Date.now(), said) : false
  }

  /** What the disk had no room for is kept with its moment, and can be written once there is some. */
  async function write(id: string, happening: Happening, at: number, said?: string): Promise<boolean> {
    try {
      await append(id, happening, at)
      if (said) notice.say(said, takeBack)
      return true
    } catch (error) {
      const again = storageFault(error) ? () => void write(id, happening, at, said) : undefined
      notice.refuse(error, 'recording this', again)
      return false
    }
  }

  async function takeBack(): Promise<void> {
    const id = sheetId()
    if (!id) return
    const last = workroom.work(id)?.state.last
    try {
      await undo(id)
      notice.say(`Taken back: ${undoneWords(last?.type)}.`)
    } catch (error) {
      notice.refuse(error, 'undo')
    }
  }
  return { record, takeBack }
}
