import type { Table } from 'dexie'
import { CoreError } from '@core/errors'
import { inPieces } from './pieces'

/**
 * Texts of many sheets in one row: the browser takes its time for every row, and little of it for what the row holds.
 * A text that is written again leaves its bundle for a row of its own, so that each is in one place only.
 */
export interface BundleRow {
  id: string
  /** One a text: whose it is, and after a slash what is new whenever the text is. */
  keys: string[]
  texts: string[]
}

/** Sheets to a row: enough for the browser to lay the row into a file, few enough to be written again when one leaves. */
const TOGETHER = 50

export const bundleKey = (sheetId: string, revision: string | number) => `${sheetId}/${revision}`
export const ownerOf = (key: string) => key.slice(0, key.indexOf('/'))

/** What can be read of all bundles. */
export interface Legible {
  texts: [sheetId: string, text: string][]
  /** Sheets whose text is in a row that was left out. */
  lost: string[]
}

/** A table of bundles, asked by sheet. Every method may be called within a transaction that has the table. */
export class Bundles {
  constructor(readonly table: Table<BundleRow, string>) {}

  async textOf(sheetId: string): Promise<string | undefined> {
    return (await this.textsOf([sheetId])).get(sheetId)
  }

  /**
   * The texts of some sheets, for as many of them as have one.
   *
   * @throws CoreError `lost-file`: no one may go on from a text that cannot be read as if there were none.
   */
  async textsOf(sheetIds: readonly string[]): Promise<Map<string, string>> {
    const texts = new Map<string, string>()
    const wanted = new Set(sheetIds)
    for (const row of await this.rowsOf(sheetIds))
      for (const [id, text] of textsIn(row)) if (wanted.has(id)) texts.set(id, text)
    return texts
  }

  /** Writes the text of one sheet in place of the one it had. */
  async put(sheetId: string, revision: string | number, text: string): Promise<void> {
    const row = await this.table.get(sheetId)
    if (row?.keys.length !== 1) await this.drop([sheetId])
    await this.table.put({ id: sheetId, keys: [bundleKey(sheetId, revision)], texts: [text] })
  }

  /** Lays the texts of sheets that have none yet into bundles. */
  async add(entries: readonly (readonly [key: string, text: string])[]): Promise<void> {
    await this.table.bulkAdd(
      inPieces(entries, TOGETHER).map((some): BundleRow => {
        const [keys, texts] = [some.map(([key]) => key), some.map(([, text]) => text)]
        // Named by its first sheet, whose own row it would be.
        return { id: ownerOf(keys[0] as string), keys, texts }
      }),
    )
  }

  /** @throws CoreError `lost-file`, where what is beside them cannot be laid elsewhere. */
  async drop(sheetIds: readonly string[]): Promise<void> {
    if (!sheetIds.length) return
    const going = new Set(sheetIds)
    for (const row of await this.rowsOf(sheetIds)) {
      await this.table.delete(row.id)
      const staying = row.keys.flatMap((key, i) =>
        going.has(ownerOf(key)) ? [] : [[key, row.texts[i] as string] as const],
      )
      if (staying.length) await this.add(staying)
    }
  }

  /** Whose texts are here, each with its key. */
  async revisions(): Promise<[sheetId: string, key: string][]> {
    const keys = (await this.table.orderBy('keys').keys()) as string[]
    return keys.map((key) => [ownerOf(key), key])
  }

  /** Every text that can be read, a row at a time; outside of any transaction. */
  async *pieces(): AsyncGenerator<[sheetId: string, text: string][]> {
    for (const id of await this.table.toCollection().primaryKeys()) {
      const row = await this.legibleRow(id)
      if (row) yield textsIn(row)
    }
  }

  /**
   * Every text.
   *
   * @param lostRows rows to leave out, see there.
   */
  async legible(lostRows: readonly string[] = []): Promise<Legible> {
    if (!lostRows.length) return { texts: (await this.table.toArray()).flatMap(textsIn), lost: [] }
    const lost = new Set(lostRows)
    // One by one: a walk over the others would step on those that are lost.
    const ids = (await this.table.toCollection().primaryKeys()).filter((id) => !lost.has(id))
    const keys = await this.revisions()
    const rows = ids.length ? await this.table.bulkGet(ids) : []
    const texts = rows.flatMap((row) => (row ? textsIn(row) : []))
    const read = new Set(texts.map(([id]) => id))
    return { texts, lost: keys.flatMap(([id]) => (read.has(id) ? [] : [id])) }
  }

  /**
   * Rows of which the browser has lost the file: it lays large ones into files of their own. To be asked outside of any
   * transaction, which a row that cannot be read brings to its end.
   */
  async lostRows(): Promise<string[]> {
    const lost: string[] = []
    for (const id of await this.table.toCollection().primaryKeys())
      if (!(await this.legibleRow(id))) lost.push(id)
    return lost
  }

  /** Lets go of rows that are lost. */
  forget(lostRows: readonly string[]): PromiseLike<void> {
    return this.table.bulkDelete([...lostRows])
  }

  /** A disk that is slow to answer is asked a second time before its file is taken for lost. */
  private legibleRow(id: string): PromiseLike<BundleRow | undefined> {
    const read = () => this.table.get(id)
    return read()
      .catch(read)
      .catch(() => undefined)
  }

  private async rowsOf(sheetIds: readonly string[]): Promise<BundleRow[]> {
    // Their keys first: a walk over whole rows would step on those between, which may be lost.
    const ids = await this.table
      .where('keys')
      // In the order of characters 0 follows the slash, so every key with the slash is between the two.
      .inAnyRange(
        sheetIds.map((id) => [`${id}/`, `${id}0`]),
        { includeLowers: true, includeUppers: false },
      )
      .distinct()
      .primaryKeys()
    if (!ids.length) return []
    try {
      return (await this.table.bulkGet(ids)).flatMap((row) => row ?? [])
    } catch (error) {
      throw isLostFile(error) ? lostFile() : error
    }
  }
}

/** What browsers answer where a file beside the database is gone or cut short. */
const isLostFile = (error: unknown) =>
  error instanceof Error &&
  ['NotReadableError', 'UnknownError', 'DataError', 'NotFoundError'].includes(error.name)

const lostFile = () =>
  new CoreError({
    code: 'lost-file',
    field: 'log',
    problem: 'What was written of this sheet cannot be read: the browser has lost the file it lay in.',
    remedy:
      'At Workroom, look through everything, then import your last export: it overwrites nothing that is sound.',
  })

const textsIn = ({ keys, texts }: BundleRow) =>
  keys.map((key, i): [sheetId: string, text: string] => [ownerOf(key), texts[i] as string])
