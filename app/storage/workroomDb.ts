import Dexie, { type Table, type Transaction } from 'dexie'
import { replay } from '@core/run/run'
import type { Sample } from '@core/run/dose'
import type { SheetEvent } from '@core/schema/event'
import type { Base, Calibration, LightEntry, MadeNegative, Tablet, TabletPrint } from '@core/schema/light'
import type { Bath } from '@core/schema/bath'
import type { Diagnosis } from '@core/schema/judgement'
import type { DayPlan } from '@core/schema/plan'
import type { RegisterCheck } from '@core/schema/register'
import type { SetAside } from '@core/schema/setAside'
import { linesOf, logsBySheet } from '@core/archive/logs'
import { migrate, MIGRATIONS } from '@core/archive/migrations'
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
} from '@core/schema/records'
import { bundleKey, Bundles, type BundleRow } from './bundles'
import { recordGuard } from './recordGuard'
import { stateEntry } from './runStates'

/** Goes up with every new version of the records, and whenever they are stored in another way. */
export const STORAGE_VERSION = 15

/** What the meter read during one exposure, a stretch at a time. It serves the running clock; what it came to is in the log. */
export interface TraceRow {
  id: string
  sheetId: string
  samples: Sample[]
}

/** Something that belongs to this browser and not to the workroom, so no archive has it. */
export interface DeviceRow {
  id: string
  value: unknown
}

/** Where the pixels of one photograph are in their pack, from which byte to which. */
export interface Spans {
  original: readonly [from: number, to: number]
  thumbnail: readonly [from: number, to: number]
}

/** Pictures laid one behind the other in one file. */
export interface PackRow {
  id: string
  /** Photographs whose pictures are in it. */
  photoIds: string[]
  spans: Spans[]
  bytes: Blob
}

/** The file of a photograph as it was added, and a small JPEG of it for lists. */
export interface Picture<Bytes = Blob> {
  id: string
  original: Bytes
  thumbnail: Bytes
}

/** Lays pictures one behind the other. */
export function packOf(packId: string, pictures: readonly Picture<Blob | Uint8Array>[]): PackRow {
  let at = 0
  const span = (bytes: Blob | Uint8Array) =>
    [at, (at += bytes instanceof Blob ? bytes.size : bytes.length)] as const
  return {
    id: packId,
    photoIds: pictures.map(({ id }) => id),
    spans: pictures.map(({ original, thumbnail }) => ({
      original: span(original),
      thumbnail: span(thumbnail),
    })),
    bytes: new Blob(pictures.flatMap(({ original, thumbnail }) => [original, thumbnail]) as BlobPart[]),
  }
}

/** Index of sheets: the last has the highest number, and whatever changes is new in it. One of these costs less than two. */
export const BY_NUMBER = '[number+id+changedAt]'

export class WorkroomDb extends Dexie {
  declare sheets: Table<Sheet, string>
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
  declare setAside: Table<SetAside, string>
  declare device: Table<DeviceRow, string>
  declare traces: Table<TraceRow, string>
  declare packs: Table<PackRow, string>
  declare logBundles: Table<BundleRow, string>
  declare standingBundles: Table<BundleRow, string>
  /** The log of each sheet and treatment: an event a line, in order, each as JSON. */
  readonly logs: Bundles
  /** What each log amounts to, as JSON, kept beside it so that lists need not replay every log. Rebuilt, never exported. */
  readonly standings: Bundles

  constructor(name: string) {
    // Strict: an event counts as written only once it is on the disk, since a clock may hang on it.
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
    this.version(3).stores({
      lightEntries: 'id, lightId',
      bases: 'id, lightId',
      tablets: 'id',
      tabletPrints: 'id',
      calibrations: 'id',
      negatives: 'id, sheetId',
      traces: 'id, sheetId',
    })
    this.version(4).stores({ baths: 'id', registerChecks: 'id, sheetId', plans: 'id, madeAt' })
    this.version(5).stores({
      sheets: 'id, number, [id+changedAt]',
      standings: 'sheetId, place, [sheetId+revision]',
      diagnoses: 'id, sheetId',
    })
    this.version(6)
      .stores({
        sheets: `id, ${BY_NUMBER}`,
        photos: 'id',
        events: null,
        standings: null,
        pixels: null,
        logBundles: 'id, &*keys',
        standingBundles: 'id, &*keys',
        packs: 'id, *photoIds',
      })
      .upgrade(toVersion6)
    this.version(7).stores({}).upgrade(toVersion7)
    this.version(8).stores({ setAside: 'id', device: 'id' })
    this.version(9).stores({}).upgrade(toVersion9)
    // Logs may hold corrections, which an earlier version could not read: it may not open them.
    this.version(10).stores({})
    this.version(11).stores({}).upgrade(toVersion11)
    this.version(12).stores({}).upgrade(toVersion12)
    this.version(13).stores({})
    this.version(14).stores({})
    this.version(15).stores({})
    this.use(recordGuard)
    this.logs = new Bundles(this.logBundles)
    this.standings = new Bundles(this.standingBundles)
  }
}

/** Takes stored rows up by the same step that takes archives up. */
async function toVersion2(transaction: Transaction): Promise<void> {
  const table = <Row>(name: string) => transaction.table<Row, string>(name)
  const rows = {
    sheets: await table('sheets').toArray(),
    bottles: await table('bottles').toArray(),
  }
  const next = migrate(rows, 1, MIGRATIONS.slice(0, 1), 2) as { sheets: Sheet[]; bottles: Bottle[] }
  await table<Sheet>('sheets').bulkPut(next.sheets)
  await table<Bottle>('bottles').bulkPut(next.bottles)
}

/** Events were a row each, and so was what they amount to, and pictures two files each. */
async function toVersion6(transaction: Transaction): Promise<void> {
  const logs = logsBySheet(await transaction.table<SheetEvent>('events').toArray())
  const ids = [
    ...new Set([
      ...logs.keys(),
      ...((await transaction.table('sheets').toCollection().primaryKeys()) as string[]),
      ...((await transaction.table('paperRuns').toCollection().primaryKeys()) as string[]),
    ]),
  ]
  await new Bundles(transaction.table('logBundles')).add(
    [...logs].map(([id, log]) => [bundleKey(id, log.length), linesOf(log)]),
  )
  await new Bundles(transaction.table('standingBundles')).add(
    ids.map((id) => stateEntry(replay(id, logs.get(id) ?? []))),
  )
  const pixels = transaction.table<{ id: string; original: Blob; thumbnail: Blob }, string>('pixels')
  for (const id of await pixels.toCollection().primaryKeys()) {
    const picture = await pixels.get(id)
    if (picture) await transaction.table<PackRow>('packs').add(packOf(id, [picture]))
  }
}

/** Waste says what it holds. */
async function toVersion7(transaction: Transaction): Promise<void> {
  const rows = async (name: string) => transaction.table(name).toArray() as Promise<unknown[]>
  const old = { wastes: await rows('wastes'), bottles: await rows('bottles'), baths: await rows('baths') }
  const next = migrate(old, 6, MIGRATIONS, 7) as { wastes: Waste[] }
  await transaction.table<Waste>('wastes').bulkPut(next.wastes)
}

/** Baths say when they were filtered. */
async function toVersion11(transaction: Transaction): Promise<void> {
  const baths = (await transaction.table('baths').toArray()) as unknown[]
  const next = migrate({ baths }, 10, MIGRATIONS, 11) as { baths: Bath[] }
  await transaction.table<Bath>('baths').bulkPut(next.baths)
}

/** Plans say how many pairs of hands there are. */
async function toVersion12(transaction: Transaction): Promise<void> {
  const plans = (await transaction.table('plans').toArray()) as unknown[]
  const next = migrate({ plans }, 11, MIGRATIONS, 12) as { plans: DayPlan[] }
  await transaction.table<DayPlan>('plans').bulkPut(next.plans)
}

/** Washes of the user's own processes say that they are washes. */
async function toVersion9(transaction: Transaction): Promise<void> {
  const ownProcesses = (await transaction.table('ownProcesses').toArray()) as unknown[]
  const next = migrate({ ownProcesses }, 8, MIGRATIONS, 9) as { ownProcesses: OwnProcess[] }
  await transaction.table<OwnProcess>('ownProcesses').bulkPut(next.ownProcesses)
}
