import { liveQuery } from 'dexie'
import { onScopeDispose, shallowRef, type ShallowRef } from 'vue'
import { useNotice } from './notice.store'
import { onImported } from '../storage/imported'
import type { Rows } from '../storage/rows'

/** Rows read at once: few enough that the page stays answerable while thousands are read. */
const PIECE = 400

/**
 * Many rows by their identity, kept up by reading only what changed: rows whose revision is new are fetched.
 *
 * @returns `null` until all have been read once.
 */
export function useRowsById<Row extends object>(
  source: Rows<Row>,
): ShallowRef<ReadonlyMap<string, Row> | null> {
  const rows = shallowRef<ReadonlyMap<string, Row> | null>(null)
  const notice = useNotice()
  const revisions = new Map<string, unknown>()
  let wanted: [string, unknown][] | null = null
  let last: [string, unknown][] = []
  let isReading = false

  async function catchUp(): Promise<void> {
    if (isReading) return
    isReading = true
    try {
      while (wanted) {
        const keys = wanted
        wanted = null
        await take(keys)
      }
    } catch (error) {
      notice.refuse(error, 'loading the workroom')
    } finally {
      isReading = false
    }
  }

  async function take(keys: readonly [string, unknown][]): Promise<void> {
    const next = new Map(rows.value)
    const stands = new Set(keys.map(([id]) => id))
    for (const id of [...next.keys()])
      if (!stands.has(id)) {
        next.delete(id)
        revisions.delete(id)
      }
    const fresh = keys.filter(([id, revision]) => revisions.get(id) !== revision || !next.has(id))
    const wants = new Map(fresh)
    const takeIn = (piece: Iterable<readonly [id: string, row: Row]>) => {
      for (const [id, row] of piece) {
        if (!wants.has(id)) continue
        next.set(id, row)
        revisions.set(id, wants.get(id))
      }
    }
    if (fresh.length > PIECE) for await (const piece of source.pieces()) takeIn(piece)
    else if (fresh.length) takeIn(await source.some(fresh.map(([id]) => id)))
    rows.value = next
  }

  const subscription = liveQuery(() => source.revisions()).subscribe({
    next: (keys) => {
      wanted = last = keys
      void catchUp()
    },
    error: (error: unknown) => notice.refuse(error, 'loading the workroom'),
  })
  const stop = onImported(() => {
    revisions.clear()
    wanted = last
    void catchUp()
  })
  onScopeDispose(() => {
    subscription.unsubscribe()
    stop()
  })
  return rows
}
