import type { Happening } from '@core/record/event'
import { useNotice } from '../shell/notice.store'
import { undoneWords } from '../shell/undoneWords'
import { append, undo } from './log'
import { useWorkroom } from './workroom.store'

/** Ways to write down what happens to one sheet, and to take it back. A refusal is said, and nothing is written. */
export function useRecording(sheetId: () => string | null) {
  const [workroom, notice] = [useWorkroom(), useNotice()]

  /** @returns whether it was written. */
  async function record(happening: Happening, said?: string): Promise<boolean> {
    const id = sheetId()
    if (!id) return false
    try {
      await append(id, happening)
      if (said) notice.say(said, () => void takeBack())
      return true
    } catch (error) {
      notice.refuse(error, 'recording this')
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
