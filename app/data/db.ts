import Dexie, { type Table } from 'dexie'
import type { SheetPlace } from '@core/process/standing'
import type { RunState } from '@core/process/run'
import type { SheetEvent } from '@core/record/event'
import type { Bottle, Light, Paper, Photo, Sheet } from '@core/record/records'

/** What a sheet's log amounts to, kept beside it so that lists need not replay every log. Rebuilt, never exported. */
export interface StandingRow {
  sheetId: string
  place: SheetPlace
  state: RunState
}

/** Pixels of one photograph, under the photo's id. */
export interface PixelsRow {
  id: string
  original: Blob
  thumbnail: Blob
}

export class WorkroomDb extends Dexie {
  declare sheets: Table<Sheet, string>
  declare events: Table<SheetEvent, string>
  declare standings: Table<StandingRow, string>
  declare papers: Table<Paper, string>
  declare bottles: Table<Bottle, string>
  declare lights: Table<Light, string>
  declare photos: Table<Photo, string>
  declare pixels: Table<PixelsRow, string>

  constructor(name: string) {
    // Strict: an event counts as written only once it lies on the disk, since a clock may hang on it.
    super(name, { chromeTransactionDurability: 'strict' })
    this.version(1).stores({
      sheets: 'id, number',
      // The pair is unique: two windows cannot both write the fifth event of a sheet.
      events: 'id, &[sheetId+index]',
      standings: 'sheetId, place',
      papers: 'id',
      bottles: 'id, component',
      lights: 'id',
      photos: 'id, sheetId',
      pixels: 'id',
    })
  }
}

/** The server says in the page which workroom this is; the demo never touches one's own. */
export const isDemo =
  document.querySelector<HTMLMetaElement>('meta[name="ember-workroom"]')?.content === 'demo'

export const db = new WorkroomDb(isDemo ? 'ember-sheet-demo' : 'ember-sheet')
