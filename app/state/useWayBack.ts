import { computed } from 'vue'
import { useRoute, useRouter, type RouteLocationRaw } from 'vue-router'

/** Pages that one leaves for something that is missing, and returns to, with the words on the way. */
const PAGES: Readonly<Record<string, string>> = { start: 'your first print', begin: 'the new sheet' }

/** The page from which a detour was made, as the address has it: `?back=begin`. */
export function useWayBack() {
  const [route, router] = [useRoute(), useRouter()]
  const back = computed(() => {
    const name = route.query.back
    return typeof name === 'string' && name in PAGES ? name : null
  })
  return {
    back,
    /** Words on the way back, or `null` where there is none. */
    backSaid: computed(() => (back.value ? `Back to ${PAGES[back.value] ?? ''}` : null)),
    /** Goes back to where the detour began, or on to what would come next without one. */
    goOn: (next: RouteLocationRaw) => router.push(back.value ? { name: back.value } : next),
  }
}
