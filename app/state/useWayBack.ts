import { computed } from 'vue'
import { useRoute, useRouter, type RouteLocationRaw } from 'vue-router'

/** Pages that one leaves for something that is missing, and returns to, with the words on the way. */
const PAGES: Readonly<Record<string, string>> = { start: 'your first print', begin: 'the new sheet' }

/** The page from which a detour was made, whole as it was: the address says `?back=/coat/begin?over=…`. */
export function useWayBack() {
  const [route, router] = [useRoute(), useRouter()]
  const back = computed(() => {
    const { back: path } = route.query
    if (typeof path !== 'string' || !path.startsWith('/')) return null
    const name = String(router.resolve(path).name)
    return name in PAGES ? { path, said: `Back to ${PAGES[name] ?? ''}` } : null
  })
  /** Goes back to where the detour began, or on to what would come next without one. */
  const goOn = (next: RouteLocationRaw) => router.push(back.value?.path ?? next)
  return { back, goOn }
}
