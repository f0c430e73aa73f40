import { onScopeDispose, shallowRef, watch, type ShallowRef } from 'vue'
import { db } from './db'

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

  async function show(wanted: readonly string[]): Promise<void> {
    const known = addresses.value
    const missing = wanted.filter((id) => !known.has(id))
    const rows = (await db.pixels.bulkGet([...missing])).filter((row) => row !== undefined)
    const fresh = rows.map((row) => [row.id, URL.createObjectURL(row[which])] as const)
    const kept = [...known].filter(([id]) => wanted.includes(id))
    for (const [id, address] of known) if (!wanted.includes(id)) URL.revokeObjectURL(address)
    addresses.value = new Map([...kept, ...fresh])
  }
  watch(() => [...ids()], show, { immediate: true })
  onScopeDispose(() => {
    for (const address of addresses.value.values()) URL.revokeObjectURL(address)
  })
  return addresses
}
