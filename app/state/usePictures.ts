import { onScopeDispose, shallowRef, watch, type ShallowRef } from 'vue'
import { db } from '../storage/db'
import { picturesIn } from '../storage/pictures'

/** Pictures opened between two drawings of the page: each costs it a part of a millisecond. */
const AT_ONCE = 4

/**
 * Addresses of pictures for showing, by photo id; let go of when the view closes.
 *
 * @param ids which photographs; asked again when they change.
 */
export function usePictures(
  ids: () => readonly string[],
  which: 'original' | 'thumbnail',
): ShallowRef<ReadonlyMap<string, string>> {
  const addresses = shallowRef<ReadonlyMap<string, string>>(new Map())

  let asked: readonly string[] = []

  async function show(wanted: readonly string[]): Promise<void> {
    asked = wanted
    const known = addresses.value
    for (const [id, address] of known) if (!wanted.includes(id)) URL.revokeObjectURL(address)
    if ([...known.keys()].some((id) => !wanted.includes(id)))
      addresses.value = new Map([...known].filter(([id]) => wanted.includes(id)))
    const missing = wanted.filter((id) => !known.has(id))
    for (let from = 0; from < missing.length; from += AT_ONCE) {
      // Whoever scrolls past before a picture is there does not wait for it.
      if (asked !== wanted) return
      const found = await picturesIn(db, missing.slice(from, from + AT_ONCE), which)
      if (asked !== wanted) return
      const fresh = [...found].map(([id, bytes]) => [id, URL.createObjectURL(bytes)] as const)
      addresses.value = new Map([...addresses.value, ...fresh])
      await new Promise((resolve) => requestAnimationFrame(resolve))
    }
  }
  watch(() => [...ids()], show, { immediate: true })
  onScopeDispose(() => {
    for (const address of addresses.value.values()) URL.revokeObjectURL(address)
  })
  return addresses
}
