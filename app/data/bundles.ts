import type { Table } from 'dexie'
import { inPieces } from './pieces'

/**
 * Texts of many sheets in one row: the browser takes its time for every row, and little of it for what the row holds.
 * A text that is written anew leaves its bundle for a row of its own, so that each lies in one place only.
 */
export interface BundleRow {
  id: string
  /** One a text: whose it is, and after a slash what is new whenever the text is. */
  keys: string[]
  texts: string[]
}

/** Sheets to a row: enough for the browser to lay the row into a file, few enough to be written anew when one leaves. */
const TOGETHER = 50

export const bundleKey = (sheetId: string, revision: string | number) => `${sheetId}/${revision}`
export const ownerOf = (key: string) => key.slice(0, key.indexOf('/'))

/** A table of bundles, asked by sheet. Every method may be called within a transaction that has the table. */
export class Bundles {
  constructor(readonly table: Table<BundleRow, string>) {}

  async textOf(sheetId: string): Promise<string | undefined> {
    return (await this.textsOf([sheetId])).get(sheetId)
  }

  /** The texts of some sheets, for as many of them as have one. */
  async textsOf(sheetIds: readonly string[]): Promise<Map<string, string>> {
    const texts = new Map<string, string>()
    for (const row of await this.rowsOf(sheetIds))
      for (const [i, key] of row.keys.entries()) texts.set(ownerOf(key), row.texts[i] as string)
    const wanted = new Set(sheetIds)
    return new Map([...texts].filter(([id]) => wanted.has(id)))
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

  /** Every text, a row at a time. */
  async *pieces(): AsyncGenerator<[sheetId: string, text: string][]> {
    for (const id of await this.table.toCollection().primaryKeys()) {
      const row = await this.table.get(id)
      if (row) yield row.keys.map((key, i) => [ownerOf(key), row.texts[i] as string])
    }
  }

  private rowsOf(sheetIds: readonly string[]): Promise<BundleRow[]> {
    // A slash is followed by nought, so that whatever comes after the slash lies between the two.
    return this.table
      .where('keys')
      .inAnyRange(
        sheetIds.map((id) => [`${id}/`, `${id}0`]),
        { includeLowers: true, includeUppers: false },
      )
      .distinct()
      .toArray()
  }
}
