import type { Page } from '@playwright/test'

export interface StoredEvent {
  id: string
  sheetId: string
  index: number
  type: string
  at: number
}

/** Every event that lies on the disk of one's own workroom, log by log. */
export const storedEvents = (page: Page): Promise<StoredEvent[]> =>
  page.evaluate(
    () =>
      new Promise<StoredEvent[]>((resolve) => {
        const opening = indexedDB.open('ember-sheet')
        opening.onsuccess = () => {
          const all = opening.result.transaction('logs').objectStore('logs').getAll()
          all.onsuccess = () => {
            opening.result.close()
            const rows = all.result as { lines: string }[]
            resolve(
              rows.flatMap(({ lines }) => lines.split('\n').map((line) => JSON.parse(line) as StoredEvent)),
            )
          }
        }
      }),
  )
