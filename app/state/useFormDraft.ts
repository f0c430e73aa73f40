import { useSessionStorage } from '@vueuse/core'
import { ref, watch, type Ref } from 'vue'
import { whichWorkroom } from '../storage/whichWorkroom'

/** Whether what was kept has every field of the form, and every field of the records in it: an older version may have fewer. */
function isLike<Draft extends object>(kept: unknown, fresh: Draft, depth = 2): kept is Draft {
  if (typeof kept !== 'object' || kept === null) return false
  return Object.entries(fresh).every(([key, value]) => {
    // What is not there is not written down either.
    if (value === undefined) return true
    if (!(key in kept)) return false
    const isRecord = typeof value === 'object' && value !== null && depth > 1
    return !isRecord || isLike((kept as Record<string, unknown>)[key], value as object, depth - 1)
  })
}

/**
 * What is typed in a form, kept while this window is open: a detour to another page or a reload leaves it as it was. A form
 * in which nothing was typed is not kept: the next time it starts from what is known then.
 *
 * @param name of the form, with what it is for where it can be for several.
 * @param fresh the form before anything is typed; what was kept in another shape is not taken.
 */
export function useFormDraft<Draft extends object>(
  name: string,
  fresh: () => Draft,
): { draft: Ref<Draft>; wasKept: Ref<boolean>; forget: () => void; startOver: () => void } {
  const kept = useSessionStorage<Draft | null>(`ember-sheet/${whichWorkroom()}/form/${name}`, null, {
    flush: 'sync',
    serializer: { read: (text) => JSON.parse(text) as Draft, write: (draft) => JSON.stringify(draft) },
    // A window whose storage is full or barred still has its form.
    onError: () => undefined,
  })
  const initial = fresh()
  const untouched = JSON.stringify(initial)
  const wasKept = ref(isLike(kept.value, initial))
  const draft = ref(isLike(kept.value, initial) ? kept.value : initial) as Ref<Draft>
  const stop = watch(
    draft,
    (now) => {
      const text = JSON.stringify(now)
      kept.value = text === untouched ? null : (JSON.parse(text) as Draft)
    },
    { deep: true },
  )
  return {
    draft,
    wasKept,
    forget: () => {
      stop()
      kept.value = null
    },
    startOver: () => {
      draft.value = fresh()
      wasKept.value = false
    },
  }
}
