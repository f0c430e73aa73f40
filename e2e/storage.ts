import type { Page } from '@playwright/test'

export interface StoredEvent {
  id: string
  sheetId: string
  index: number
  type: string
  at: number
  /** Of the event that begins a sheet. */
  steps?: { id: string; plannedSeconds?: number; mostSeconds?: number; leastSeconds?: number }[]
}

/** Every row of one table of one's own workroom, as it lies on the disk. */
const rowsOf = <Row>(page: Page, table: string): Promise<Row[]> =>
  page.evaluate(
    (name) =>
      new Promise<Row[]>((resolve) => {
        const opening = indexedDB.open('ember-sheet')
        opening.onsuccess = () => {
          const all = opening.result.transaction(name).objectStore(name).getAll()
          all.onsuccess = () => {
            opening.result.close()
            resolve(all.result as Row[])
          }
        }
      }),
    table,
  )

/** Every event, log by log. */
export async function storedEvents(page: Page): Promise<StoredEvent[]> {
  const rows = await rowsOf<{ texts: string[] }>(page, 'logBundles')
  return rows.flatMap(({ texts }) =>
    texts.flatMap((lines) => lines.split('\n').map((line) => JSON.parse(line) as StoredEvent)),
  )
}

export const storedSheets = (page: Page) => rowsOf<{ id: string; number: number }>(page, 'sheets')
