import { defineStore } from 'pinia'
import { computed, onActivated, onDeactivated, onUnmounted, ref, shallowRef } from 'vue'
import type { Figure } from '@core/quantity/figure'

/** One note in the margin: why a step is done, what to look for, a caution. */
export interface MarginNote {
  title: string
  lines: readonly string[]
  tone?: 'plain' | 'caution'
  /** Says what a chemical or a lamp can do to someone: the margin then names the safety data sheet once. */
  isHazard?: boolean
}

/** The margin beside the page: the working of the chosen figure, then what the page has to say. */
export const useMargin = defineStore('margin', () => {
  const opened = ref<{ label: string; figure: Figure } | null>(null)
  const source = shallowRef<() => readonly MarginNote[]>(() => [])
  const notes = computed(() => source.value())

  const isShowing = (label: string) => opened.value?.label === label
  /** Opens a figure to its working, or closes it again. */
  const toggle = (label: string, figure: Figure) => {
    opened.value = isShowing(label) ? null : { label, figure }
  }
  return { opened, notes, source, isShowing, toggle }
})

/** Fills the margin for as long as a view is on the page. */
export function useMarginNotes(notes: () => readonly MarginNote[]): void {
  const margin = useMargin()
  function fill(): void {
    margin.source = notes
    margin.opened = null
  }
  function leave(): void {
    if (margin.source === notes) margin.source = () => []
  }
  fill()
  onActivated(fill)
  onDeactivated(leave)
  onUnmounted(leave)
}
