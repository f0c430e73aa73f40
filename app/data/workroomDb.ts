import Dexie, { type Table, type Transaction } from 'dexie'
import { replay, type RunState } from '@core/process/run'
import { placeOf, type SheetPlace } from '@core/process/standing'
import type { Sample } from '@core/light/dose'
import type { SheetEvent } from '@core/record/event'
import type { Base, Calibration, LightEntry, MadeNegative, Tablet, TabletPrint } from '@core/record/light'
import type { Bath } from '@core/record/bath'
import type { Diagnosis } from '@core/record/judgement'
import type { DayPlan } from '@core/record/plan'
import type { RegisterCheck } from '@core/record/register'
import { logsBySheet } from '@core/record/logs'
import { migrate, MIGRATIONS } from '@core/record/migrations'
import type {
  Bottle,
  Dropper,
  Light,
  OwnProcess,
  Paper,
  PaperRun,
  Photo,
  Piece,
  Sheet,
  Taking,
  Waste,
} from '@core/record/records'

/** Goes up with every new version of the records, and whenever they are stored in another way. */
export const STORAGE_VERSION = 6

/** What the log of a sheet or a treatment amounts to, kept beside it so that lists need not replay every log. Rebuilt, never exported. */
export interface StandingRow {
  sheetId: string
  place: SheetPlace
  /** New with every event, so that a list sees which rows it has to read again. */
  revision: string
  state: RunState
}

/** What the meter read during one exposure, a stretch at a time. It serves the running clock; what it came to is in the log. */
export interface TraceRow {
  id: string
  sheetId: string
  samples: Sample[]
}

/**
 * The log of a sheet or a treatment: an event a line, in order, each as JSON. One row a log and not one an event, since
 * the browser takes its time for every row.
 */
export interface LogRow {
  sheetId: string
  lines: string
}

/** Pictures laid one behind the other in one file. */
export interface PackRow {
  id: string
  bytes: Blob
}

/** Where the pixels of one photograph lie, under the photo's id: the pack, and from which byte to which. */
export interface PixelsRow {
  id: string
  pack: string
  original: readonly [from: number, to: number]
  thumbnail: readonly [from: number, to: number]
}

export const logRowOf = (sheetId: string, events: readonly SheetEvent[]): LogRow => ({
  sheetId,
  lines: events.map((event) => JSON.stringify(event)).join('\n'),
})

/** JSON has no line breaks of its own, so a log is one list when they are read as commas. */
export const eventsIn = (row: LogRow | undefined): SheetEvent[] =>
  row ? (JSON.parse(`[${row.lines.replaceAll('\n', ',')}]`) as SheetEvent[]) : []

export const rowOf = (state: RunState): StandingRow => ({
  sheetId: state.sheetId,
  place: placeOf(state),
  revision: `${state.length}/${state.last?.id ?? ''}`,
  state,
})

/** The file of a photograph as it was added, and a small JPEG of it for lists. */
export interface Picture<Bytes = Blob> {
  id: string
  original: Bytes
  thumbnail: Bytes
}

/** Lays pictures one behind the other. */
export function packOf(
  packId: string,
  pictures: readonly Picture<Blob | Uint8Array>[],
): { pack: PackRow; rows: PixelsRow[] } {
  let at = 0
  const span = (bytes: Blob | Uint8Array) =>
    [at, (at += bytes instanceof Blob ? bytes.size : bytes.length)] as const
  const rows = pictures.map(({ id, original, thumbnail }): PixelsRow => ({
    id,
    pack: packId,
    original: span(original),
    thumbnail: span(thumbnail),
  }))
  const bytes = new Blob(pictures.flatMap(({ original, thumbnail }) => [original, thumbnail]) as BlobPart[])
  return { pack: { id: packId, bytes }, rows }
}

export class WorkroomDb extends Dexie {
  declare sheets: Table<Sheet, string>
  declare logs: Table<LogRow, string>
  declare standings: Table<StandingRow, string>
  declare papers: Table<Paper, string>
  declare pieces: Table<Piece, string>
  declare paperRuns: Table<PaperRun, string>
  declare bottles: Table<Bottle, string>
  declare takings: Table<Taking, string>
  declare wastes: Table<Waste, string>
  declare droppers: Table<Dropper, string>
  declare ownProcesses: Table<OwnProcess, string>
  declare lights: Table<Light, string>
  declare photos: Table<Photo, string>
  declare lightEntries: Table<LightEntry, string>
  declare bases: Table<Base, string>
  declare tablets: Table<Tablet, string>
  declare tabletPrints: Table<TabletPrint, string>
  declare calibrations: Table<Calibration, string>
  declare negatives: Table<MadeNegative, string>
  declare baths: Table<Bath, string>
  declare registerChecks: Table<RegisterCheck, string>
  declare plans: Table<DayPlan, string>
  declare diagnoses: Table<Diagnosis, string>
  declare traces: Table<TraceRow, string>
  declare pixels: Table<PixelsRow, string>
  declare packs: Table<PackRow, string>

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
    this.version(2)
      .stores({
        papers: 'id',
        pieces: 'id, paperId',
        paperRuns: 'id, number',
        bottles: 'id',
        takings: 'id, bottleId',
        wastes: 'id',
        droppers: 'id',
        ownProcesses: 'id',
      })
      .upgrade(toVersion2)
    this.version(3)
      .stores({
        lightEntries: 'id, lightId',
        bases: 'id, lightId',
        tablets: 'id',
        tabletPrints: 'id',
        calibrations: 'id',
        negatives: 'id, sheetId',
        traces: 'id, sheetId',
      })
      .upgrade(rebuildRows)
    this.version(4).stores({ baths: 'id', registerChecks: 'id, sheetId', plans: 'id, madeAt' })
    this.version(5)
      .stores({
        sheets: 'id, number, [id+changedAt]',
        standings: 'sheetId, place, [sheetId+revision]',
        diagnoses: 'id, sheetId',
      })
      .upgrade(rebuildRows)
    this.version(6)
      .stores({
        events: null,
        logs: 'sheetId',
        standings: 'sheetId, [sheetId+revision]',
        pixels: 'id, pack',
        packs: 'id',
      })
      .upgrade(toVersion6)
  }
}

/** Takes stored rows up by the same step that takes archives up, and works the standings out afresh. */
async function toVersion2(transaction: Transaction): Promise<void> {
  const table = <Row>(name: string) => transaction.table<Row, string>(name)
  const rows = {
    sheets: await table('sheets').toArray(),
    bottles: await table('bottles').toArray(),
  }
  const next = migrate(rows, 1, MIGRATIONS.slice(0, 1), 2) as { sheets: Sheet[]; bottles: Bottle[] }
  await table<Sheet>('sheets').bulkPut(next.sheets)
  await table<Bottle>('bottles').bulkPut(next.bottles)
  await rebuildRows(transaction)
}

/** What logs amount to has more in it with every version: it is worked out afresh. */
async function rebuildRows(transaction: Transaction): Promise<void> {
  const logs = logsBySheet(await transaction.table<SheetEvent>('events').toArray())
  await transaction
    .table<StandingRow>('standings')
    .bulkPut([...logs].map(([id, log]) => rowOf(replay(id, log))))
}

/** Events were a row each, and pictures two files each. */
async function toVersion6(transaction: Transaction): Promise<void> {
  const logs = logsBySheet(await transaction.table<SheetEvent>('events').toArray())
  await transaction.table<LogRow>('logs').bulkAdd([...logs].map(([id, log]) => logRowOf(id, log)))
  const pixels = transaction.table<PixelsRow, string>('pixels')
  for (const id of await pixels.toCollection().primaryKeys()) {
    const old = (await pixels.get(id)) as unknown as { original: Blob; thumbnail: Blob }
    const { pack, rows } = packOf(id, [{ id, ...old }])
    await transaction.table<PackRow>('packs').add(pack)
    await pixels.bulkPut(rows)
  }
}
