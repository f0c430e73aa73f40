import { defineStore } from 'pinia'
import { ref } from 'vue'
import { refusalOf } from '@core/errors'

export interface Notice {
  text: string
  remedy: string
  tone: 'said' | 'refused'
  undo?: () => void
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
    if (notice.tone === 'said') timer = window.setTimeout(clear, SHOWN_MS)
  }
  function clear(): void {
    current.value = null
  }
  const say = (text: string, undo?: () => void) => show({ text, remedy: '', tone: 'said', undo })
  const refuse = (thrown: unknown, doing: string) => {
    const { problem, remedy } = refusalOf(thrown, doing)
    show({ text: problem, remedy, tone: 'refused' })
  }
  return { current, say, refuse, clear }
})
