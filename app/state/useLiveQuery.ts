import { liveQuery } from 'dexie'
import { onScopeDispose, shallowRef, watch, type ShallowRef, type WatchSource } from 'vue'
import { useNotice } from './notice.store'

/**
 * A ref that follows a query over the workroom, whichever window changes it.
 *
 * @param query asked again whenever what it read changes, or a source in `sources` does.
 * @param initial value until the first answer, and again from the moment a source changes: what was read for one sheet
 *   must never be beside another.
 */
export function useLiveQuery<Value>(
  query: () => Promise<Value>,
  initial: Value,
  sources: WatchSource[] = [],
): ShallowRef<Value> {
  const value = shallowRef(initial) as ShallowRef<Value>
  const notice = useNotice()
  let stop = () => {}
  const follow = () => {
    stop()
    const subscription = liveQuery(query).subscribe({
      next: (answer) => {
        value.value = answer
      },
      error: (error: unknown) => notice.refuse(error, 'loading the workroom'),
    })
    stop = () => subscription.unsubscribe()
  }
  if (sources.length)
    watch(
      sources,
      () => {
        value.value = initial
        follow()
      },
      { flush: 'sync' },
    )
  follow()
  onScopeDispose(() => stop())
  return value
}
