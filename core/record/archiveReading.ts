import { strFromU8 } from 'fflate'
import { z } from 'zod'
import { LIMITS, listZip, unpackAll, unpackEntry, type ZipEntry, type ZipLimits } from '../formats/zip'
import {
  ARCHIVE_FORMAT,
  logTexts,
  Manifest,
  isPicture,
  missing,
  photoPath,
  refuse,
  sumsOf,
  thumbnailPath,
  type PhotoPixels,
} from './archive'
import { looseEnds } from './looseEnds'
import { lookThroughLogs, type LogLook, type WrongLine } from './logReading'
import { linesOf, logsBySheet } from './logs'
import { checkVersion, migrate } from './migrations'
import { emptyHoldings, RECORD_SCHEMAS, type Holdings } from './records'

/** An archive whose files are exactly those that its list names. What they hold is not looked at yet. */
export interface OpenArchive {
  manifest: Manifest
  entries: ReadonlyMap<string, ZipEntry>
}

/** Records and pictures of an archive, each looked at by itself. */
export interface ReadRecords {
  records: Holdings
  pixels: ReadonlyMap<string, PhotoPixels>
  /** Logs as archives before version 6 had them, among their records. */
  oldLogs: string[]
}

/** A sound archive, with what each of its logs amounts to. */
export interface ReadWorkroom {
  records: Holdings
  /** Of those photographs whose pictures are in it: others lie in its other parts, or were gone when it was written. */
  pixels: ReadonlyMap<string, PhotoPixels>
  logs: ReadonlyMap<string, LogLook>
  /** Which of several archives it is. */
  part: Manifest['part']
}

/** The first version whose logs lie in files of their own. */
const LOGS_APART = 6

/** Every kind of record as a list, of whatever. */
const LISTS = Object.fromEntries(Object.keys(emptyHoldings()).map((kind) => [kind, z.array(z.unknown())]))
const OLD_EVENT = z.looseObject({ sheetId: z.string(), index: z.number() })

/** So many records are looked at between two reports. */
const PIECE = 5000

export const isLog = (path: string) => path.startsWith('logs/')

/**
 * Reads an archive that may be broken, foreign or hostile. Either all of it is sound or nothing is returned.
 *
 * @throws CoreError `not-ours`, `newer-version`, `damaged`, `missing-file`, `stranger-file`, `wrong-record`,
 *   `loose-end` or those of `listZip` and `unpackEntry`.
 */
export function readArchive(bytes: Uint8Array, limits: ZipLimits = LIMITS): ReadWorkroom {
  const open = openArchive(listZip(bytes, limits), limits)
  const files = unpackAll(open.entries, limits)
  for (const [path, sum] of sumsOf(files)) checkSum(open, path, files.get(path)?.length ?? 0, sum)
  const reading = recordsIn(open.manifest, files)
  let step = reading.next()
  while (!step.done) step = reading.next()
  const { oldLogs, ...read } = step.value
  const texts = [...files].flatMap(([path, file]) => (isLog(path) ? [[path, textOf(file)] as const] : []))
  const logs = [...texts, ...oldLogs.map((text) => ['records.json', text] as const)].flatMap(([path, text]) =>
    soundLines(path, lookThroughLogs(text)),
  )
  return { ...read, logs: tiedTogether(read.records, logs), part: open.manifest.part }
}

/** Opens an archive that was listed. What its files hold is not looked at yet. */
export function openArchive(entries: ReadonlyMap<string, ZipEntry>, limits?: ZipLimits): OpenArchive {
  const manifest = readManifest(entries, limits)
  for (const path of entries.keys())
    if (path !== 'manifest.json' && !manifest.files[path])
      throw refuse(
        'stranger-file',
        `“${path}” is not in the archive's own list.`,
        'Something was added to it; use an untouched copy.',
      )
  for (const path of Object.keys(manifest.files)) if (!entries.has(path)) throw missing(path)
  return { manifest, entries }
}

/**
 * Compares a file that was unpacked with what was written.
 *
 * @param sum SHA-256 in hexadecimal.
 * @throws CoreError `damaged`.
 */
export function checkSum({ manifest }: OpenArchive, path: string, bytes: number, sum: string): void {
  const listed = manifest.files[path]
  if (listed && (listed.bytes !== bytes || listed.sha256 !== sum))
    throw refuse(
      'damaged',
      `“${path}” is not what was written: its checksum differs.`,
      'Copy or export it again.',
    )
}

/**
 * The records and pictures of an archive, each looked at.
 *
 * @param files every unpacked file of it but its logs.
 * @returns all of it; yields the share that is done.
 * @throws CoreError `damaged` or `wrong-record`.
 */
export function* recordsIn(
  manifest: Manifest,
  files: ReadonlyMap<string, Uint8Array>,
): Generator<number, ReadRecords> {
  const migrated = migrate(parseJson(files, 'records.json'), manifest.recordVersion)
  yield 0.2
  const [lists, oldLogs] = partedLogs(migrated, manifest.recordVersion)
  const records = yield* checkedRecords(lists)

  const pixels = new Map<string, PhotoPixels>()
  const without = new Set(manifest.without)
  for (const photo of records.photos) {
    if (without.has(photo.id)) continue
    const [original, thumbnail] = [files.get(photoPath(photo)), files.get(thumbnailPath(photo))]
    if (!original) throw missing(photoPath(photo))
    if (!thumbnail) throw missing(thumbnailPath(photo))
    if (!isPicture(photo, { original, thumbnail }))
      throw refuse(
        'wrong-record',
        `The photograph ${photo.id} is not the kind of picture it says.`,
        'Use an untouched copy of the archive.',
      )
    pixels.set(photo.id, { original, thumbnail })
  }
  return { records, pixels, oldLogs }
}

/** Archives before version 6 had every event among their records, in whatever order. */
function partedLogs(value: unknown, version: number): [Record<string, unknown[]>, string[]] {
  if (version >= LOGS_APART) return [checked(z.strictObject(LISTS), value, 'records.json'), []]
  const { events, ...lists } = checked(
    z.strictObject({ ...LISTS, events: z.array(z.unknown()) }),
    value,
    'records.json',
  )
  const found = events.map((event, i) => checked(OLD_EVENT, event, 'records.json', ['events', i]))
  const logs = [...logsBySheet(found).values()].map((log) => ({ lines: linesOf(log) }))
  return [lists as Record<string, unknown[]>, logTexts(logs)]
}

/** Lists of records, each record by its schema. */
function* checkedRecords(lists: Record<string, unknown[]>): Generator<number, Holdings> {
  const total = Object.values(lists).reduce((sum, list) => sum + list.length, 0)
  const records = emptyHoldings()
  let done = 0
  for (const [kind, list] of Object.entries(lists)) {
    const schema = RECORD_SCHEMAS[kind as keyof Holdings]
    for (const [i, row] of list.entries()) {
      ;(records[kind as keyof Holdings] as unknown[]).push(checked(schema, row, 'records.json', [kind, i]))
      if (++done % PIECE === 0) yield 0.2 + (0.8 * done) / total
    }
  }
  return records
}

/** @throws CoreError `wrong-record`, where a line of a file of logs is no event. */
export function soundLines(
  path: string,
  { logs, wrong }: { logs: LogLook[]; wrong: WrongLine[] },
): LogLook[] {
  const [first] = wrong
  if (first)
    throw refuse(
      'wrong-record',
      `${path}, ${isLog(path) ? 'line' : 'event'} ${first.line}: ${first.problem}.`,
      'Mend that place, or use an untouched copy.',
    )
  return logs
}

/**
 * Records and logs that were each found sound, looked at together.
 *
 * @returns the logs by sheet.
 * @throws CoreError `loose-end`.
 */
export function tiedTogether(records: Holdings, logs: readonly LogLook[]): Map<string, LogLook> {
  for (const problem of looseEnds(records, logs))
    throw refuse('loose-end', problem, 'Use an untouched copy of the archive.')
  return new Map(logs.map((log) => [log.sheetId, log]))
}

function readManifest(entries: ReadonlyMap<string, ZipEntry>, limits?: ZipLimits): Manifest {
  const path = 'manifest.json'
  const entry = entries.get(path)
  const found = entry && parseJson(new Map([[path, unpackEntry(path, entry, limits)]]), path)
  if ((found as { format?: unknown } | undefined)?.format !== ARCHIVE_FORMAT)
    throw refuse(
      'not-ours',
      'This ZIP was not written by Ember Sheet.',
      'Choose a file that Ember Sheet exported.',
    )
  // The version is looked at before the rest, since a newer manifest may hold what this one does not know.
  const version = (found as { recordVersion?: unknown }).recordVersion
  if (typeof version === 'number') checkVersion(version)
  return checked(Manifest, found, path)
}

function parseJson(files: ReadonlyMap<string, Uint8Array>, path: string): unknown {
  const bytes = files.get(path)
  if (!bytes) throw missing(path)
  try {
    return JSON.parse(textOf(bytes))
  } catch {
    throw refuse('damaged', `“${path}” is not readable as JSON.`, 'Copy or export it again.')
  }
}

export const textOf = (bytes: Uint8Array): string => strFromU8(bytes)

function checked<Schema extends z.ZodType>(
  schema: Schema,
  value: unknown,
  path: string,
  within: readonly PropertyKey[] = [],
): z.infer<Schema> {
  const result = schema.safeParse(value)
  if (result.success) return result.data
  const issue = result.error.issues[0]
  const at = [...within, ...(issue?.path ?? [])]
  const where = at.length ? `${path}, ${at.join('.')}` : path
  throw refuse(
    'wrong-record',
    `${where}: ${issue?.message ?? 'not as it should be'}.`,
    'Mend that place, or use an untouched copy.',
  )
}
