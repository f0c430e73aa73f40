import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'

/** More than this cannot be stood back from. */
export const MOST_PICKS = 6

/** Prints that were picked out to be looked at together. */
export const usePicks = defineStore('picks', () => {
  const ids = shallowRef<readonly string[]>([])
  const isFull = computed(() => ids.value.length >= MOST_PICKS)
  const has = (id: string) => ids.value.includes(id)
  function toggle(id: string): void {
    if (has(id)) ids.value = ids.value.filter((one) => one !== id)
    else if (!isFull.value) ids.value = [...ids.value, id]
  }
  const clear = () => (ids.value = [])
  return { ids, isFull, has, toggle, clear }
})
