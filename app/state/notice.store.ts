import { defineStore } from 'pinia'
import { ref } from 'vue'
import { refusalOf } from '@core/errors'
import { storageFault } from '../storage/storageFaults'

export interface Notice {
  text: string
  remedy: string
  tone: 'said' | 'refused'
  undo?: () => unknown
  /** What the button of `undo` says, where that is not “Undo”. */
  undoLabel?: string
}

/** Long enough to read twice; a refusal stays until it is answered or something else is said. */
const SHOWN_MS = 9000

/** The one line above the ledge: what was just done, or why it was not. */
export const useNotice = defineStore('notice', () => {
  const current = ref<Notice | null>(null)
  let timer = 0

  function show(notice: Notice): void {
    clearTimeout(timer)
    current.value = notice
    // What offers something else than an undo asks a question: it stays until it is answered or closed.
    if (notice.tone === 'said' && !notice.undoLabel) timer = window.setTimeout(clear, SHOWN_MS)
  }
  function clear(): void {
    current.value = null
  }
  const say = (text: string, undo?: () => unknown, undoLabel?: string) =>
    show({ text, remedy: '', tone: 'said', undo, undoLabel })
  const refuse = (thrown: unknown, doing: string) => {
    const { problem, remedy } = refusalOf(storageFault(thrown) ?? thrown, doing)
    show({ text: problem, remedy, tone: 'refused' })
  }
  /** Undoes what the notice offers to undo; an undo that fails says so. */
  async function undo(): Promise<void> {
    const act = current.value?.undo
    clear()
    try {
      await act?.()
    } catch (error) {
      refuse(error, 'undo')
    }
  }
  return { current, say, refuse, clear, undo }
})
