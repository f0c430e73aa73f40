import type { Table } from 'dexie'

/** Rows read at once: few enough that the page stays answerable while thousands are read. */
const PIECE = 400

/** Where many rows come from. */
export interface Rows<Row> {
  /** Identity of every row, with something that is new whenever the row is. Followed as it changes. */
  revisions(): Promise<[id: string, revision: unknown][]>
  /** Some of them, as many as are here. */
  some(ids: readonly string[]): Promise<Iterable<readonly [id: string, row: Row]>>
  /** All of them, one after the other as they are: several times faster than asking for each. */
  pieces(): AsyncIterable<Iterable<readonly [id: string, row: Row]>>
}

/** The rows of a table, of which an index tells when they change. */
export function rowsOf<Row extends { id: string }>(
  table: Table<Row, string>,
  revisions: Rows<Row>['revisions'],
): Rows<Row> {
  return {
    revisions,
    some: async (ids) =>
      (await table.bulkGet([...ids])).flatMap((row) => (row ? [[row.id, row] as const] : [])),
    async *pieces() {
      for (let last = ''; ;) {
        const piece = await table.where(':id').above(last).limit(PIECE).toArray()
        yield piece.map((row) => [row.id, row] as const)
        last = piece.at(-1)?.id ?? ''
        if (piece.length < PIECE) return
      }
    },
  }
}
