import { liveQuery, type Table } from 'dexie'
import { onScopeDispose, shallowRef, type ShallowRef } from 'vue'
import { useNotice } from '../shell/notice.store'
import { onBroughtIn } from './broughtIn'

/** Rows read at once: few enough that the page stays answerable while thousands are read. */
const PIECE = 400

/**
 * Every row of a large table by its identity, kept up by reading only what changed: an index of identity and revision is
 * followed, and rows whose revision is new are fetched in pieces.
 *
 * @param index compound index of the identity and of something that is new whenever the row is.
 * @returns `null` until the whole table has been read once.
 */
export function useRowsById<Row extends object>(
  table: Table<Row, string>,
  index: string,
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
      notice.refuse(error, 'reading the workroom')
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
    if (fresh.length > PIECE) await takeWhole(new Map(fresh), next)
    else await takeEach(fresh, next)
    rows.value = next
  }

  /** Where much is new, rows are read one after the other as they lie, which is several times faster than asking for each. */
  async function takeWhole(fresh: ReadonlyMap<string, unknown>, next: Map<string, Row>): Promise<void> {
    const key = table.schema.primKey.keyPath as keyof Row
    for (let last = ''; ;) {
      const piece = await table.where(':id').above(last).limit(PIECE).toArray()
      for (const row of piece) {
        const id = (last = row[key] as string)
        if (!fresh.has(id)) continue
        next.set(id, row)
        revisions.set(id, fresh.get(id))
      }
      if (piece.length < PIECE) return
    }
  }

  async function takeEach(fresh: readonly [string, unknown][], next: Map<string, Row>): Promise<void> {
    for (let from = 0; from < fresh.length; from += PIECE) {
      const piece = fresh.slice(from, from + PIECE)
      const found = await table.bulkGet(piece.map(([id]) => id))
      for (const [i, [id, revision]] of piece.entries()) {
        const row = found[i]
        if (!row) continue
        next.set(id, row)
        revisions.set(id, revision)
      }
    }
  }

  const subscription = liveQuery(() => table.orderBy(index).keys()).subscribe({
    next: (keys) => {
      wanted = last = keys as unknown as [string, unknown][]
      void catchUp()
    },
    error: (error: unknown) => notice.refuse(error, 'reading the workroom'),
  })
  const stop = onBroughtIn(() => {
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
