import { defineStore } from 'pinia'
import { computed, onActivated, onDeactivated, onUnmounted, shallowReactive } from 'vue'

/** A key and what it does here. */
export interface KeyRow {
  /** As `KeyboardEvent.key` names it, lower case. */
  key: string
  name: string
  run: () => void
}

const SHOWN: Readonly<Record<string, string>> = { ' ': 'space', enter: 'enter', escape: 'esc' }

/** How a key is written on a cap. */
export const keyCap = (key: string): string => SHOWN[key] ?? key

/** Every key that works at this moment: the shell's own, then those of the view on the page. */
export const useKeys = defineStore('keys', () => {
  const groups = shallowReactive(new Map<string, () => readonly KeyRow[]>())
  const rows = computed(() =>
    [...groups].map(([name, list]) => ({ name, rows: list() })).filter((group) => group.rows.length),
  )

  /** Runs what a key press asks for; leaves alone what is being typed, and the browser's own chords. */
  function answer(event: KeyboardEvent): void {
    if (event.ctrlKey || event.metaKey || event.altKey || event.repeat || isTyping(event.target)) return
    const key = event.key.toLowerCase()
    if ((key === ' ' || key === 'enter') && isPressable(event.target)) return
    const row = rows.value.flatMap((group) => group.rows).findLast((one) => one.key === key)
    if (!row) return
    event.preventDefault()
    row.run()
  }
  return { groups, rows, answer }
})

/** Adds keys for as long as the component is on the page. */
export function useKeyRows(group: string, rows: () => readonly KeyRow[]): void {
  const keys = useKeys()
  const add = () => void keys.groups.set(group, rows)
  const leave = () => {
    if (keys.groups.get(group) === rows) keys.groups.delete(group)
  }
  add()
  onActivated(add)
  onDeactivated(leave)
  onUnmounted(leave)
}

function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    (target.isContentEditable ||
      target.matches('input:not([type=checkbox], [type=radio]), textarea, select') ||
      target.closest('[role=dialog]') !== null)
  )
}

/** A control that was reached by keyboard answers space and enter itself. */
function isPressable(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    target.matches('button, a[href], [role=button], [role=radio], [role=tab], input')
  )
}
