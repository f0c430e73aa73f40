import { useSessionStorage } from '@vueuse/core'
import { ref, type Ref } from 'vue'
import { whichWorkroom } from '../storage/whichWorkroom'

const isLike = <Draft extends object>(kept: unknown, fresh: Draft): kept is Draft =>
  typeof kept === 'object' && kept !== null && Object.keys(fresh).every((key) => key in kept)

/**
 * What is typed in a form, kept while this window is open: a detour to another page or a reload leaves it as it was.
 *
 * @param name of the form, with what it is for where it can be for several.
 * @param fresh the form before anything is typed; what was kept in another shape is not taken.
 */
export function useFormDraft<Draft extends object>(
  name: string,
  fresh: () => Draft,
): { draft: Ref<Draft>; wasKept: Ref<boolean>; forget: () => void; startOver: () => void } {
  const key = `ember-sheet/${whichWorkroom()}/form/${name}`
  const initial = fresh()
  const kept = useSessionStorage<Draft | null>(key, null, {
    deep: true,
    serializer: { read: (text) => JSON.parse(text) as Draft, write: (draft) => JSON.stringify(draft) },
    // A window whose storage is full or barred still has its form.
    onError: () => undefined,
  })
  const wasKept = ref(isLike(kept.value, initial))
  if (!wasKept.value) kept.value = initial
  const forget = () => {
    try {
      sessionStorage.removeItem(key)
    } catch {
      // Where storage is barred nothing was kept.
    }
  }
  const startOver = () => {
    kept.value = fresh()
    wasKept.value = false
  }
  return { draft: kept as Ref<Draft>, wasKept, forget, startOver }
}
