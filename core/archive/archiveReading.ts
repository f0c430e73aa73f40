import { strFromU8 } from 'fflate'
import { z } from 'zod'
import { CoreError } from '../errors'
import { LIMITS, listZip, unpackedTotal, unpackEntry, type ZipEntry, type ZipLimits } from '../formats/zip'
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
import { linked } from './links'
import { lookThroughLogs, type LogLook, type LogsFound } from './logReading'
import { linesOf, logsBySheet } from './logs'
import { checkVersion, migrate } from './migrations'
import { emptyHoldings, type Holdings, type Kind } from '../schema/records'
import { Salvage, type SalvageNote } from './salvage'

/** An archive whose files are exactly those that its list names. What they hold is not looked at yet. */
export interface OpenArchive {
  manifest: Manifest
  entries: ReadonlyMap<string, ZipEntry>
}

/** Records and pictures of an archive, each looked at. What could not be read is with the salvage. */
export interface ReadRecords {
  records: Holdings
  pixels: ReadonlyMap<string, PhotoPixels>
  /** Logs as archives before version 6 had them, among their records. */
  oldLogs: string[]
}

/** What of an archive is sound, with what each of its logs amounts to. */
export interface ReadWorkroom {
  records: Holdings
  /** Of those photographs whose pictures are in it: others are in its other parts, or were gone when it was written. */
  pixels: ReadonlyMap<string, PhotoPixels>
  logs: ReadonlyMap<string, LogLook>
  /** Which of several archives it is. */
  part: Manifest['part']
  /** What was not as it was written. Originals of what was changed or not used are among the records. */
  notes: SalvageNote[]
}

/** The first version whose logs are in files of their own. */
const LOGS_APART = 6

/** Every kind of record as a list, of whatever. */
const LISTS = Object.fromEntries(Object.keys(emptyHoldings()).map((kind) => [kind, z.array(z.unknown())]))
const OLD_EVENT = z.looseObject({ sheetId: z.string(), index: z.number() })

/** So many records are looked at between two reports. */
const PIECE = 5000

/** Whether a path of an archive is a file of logs. */
export const isLog = (path: string) => path.startsWith('logs/')

/**
 * Reads a small archive that may be broken, foreign or hostile. What is sound in it is returned, the rest is noted.
 *
 * @throws CoreError `not-ours`, `newer-version`, `damaged`, `missing-file` where no records could be read at all, and
 *   those of `listZip` and `unpackEntry` for what is unsafe to open.
 */
export function readArchive(bytes: Uint8Array, limits: ZipLimits = LIMITS): ReadWorkroom {
  const open = openArchive(listZip(bytes, limits), limits)
  const salvage = new Salvage(open.manifest.writtenAt)
  const count = unpackedTotal(limits)
  const files = new Map<string, Uint8Array>()
  for (const [path, entry] of open.entries) {
    const file = unpackedFile(path, entry, limits)
    count(file?.length ?? 0)
    if (file) files.set(path, file)
  }
  noteFiles(open, sumsOf(files), salvage)
  const reading = recordsIn(open.manifest, files, salvage)
  let step = reading.next()
  while (!step.done) step = reading.next()
  const { oldLogs, ...read } = step.value
  const texts = [...files].flatMap(([path, file]) => (isLog(path) ? [textOf(file)] : []))
  const logs = [...texts, ...oldLogs].flatMap((text) => logsIn(lookThroughLogs(text), salvage))
  return { ...read, ...linked(read.records, logs, salvage), part: open.manifest.part, notes: salvage.notes }
}

/** Opens an archive that was listed. What its files hold is not looked at yet. */
export function openArchive(entries: ReadonlyMap<string, ZipEntry>, limits?: ZipLimits): OpenArchive {
  return { manifest: readManifest(entries, limits), entries }
}

/**
 * A file of an archive, unpacked; `null` where it cannot be.
 *
 * @throws CoreError `too-large`.
 */
export function unpackedFile(path: string, entry: ZipEntry, limits?: ZipLimits): Uint8Array | null {
  try {
    return unpackEntry(path, entry, limits)
  } catch (error) {
    if (error instanceof CoreError && error.code === 'damaged') return null
    throw error
  }
}

/**
 * Notes which files of an archive are missing, do not belong to it, or are not what was written.
 *
 * @param sums SHA-256 in hexadecimal of every file that could be unpacked, by path.
 * @param isMeant which files are looked at now, where some are looked at later.
 */
export function noteFiles(
  { manifest, entries }: OpenArchive,
  sums: ReadonlyMap<string, string>,
  salvage: Salvage,
  isMeant: (path: string) => boolean = () => true,
): void {
  const note = (path: string, problem: string, outcome: 'leftOut' | 'doubtful') =>
    salvage.note({ kind: 'file', id: path, name: path, problem, outcome })
  const paths = new Set([...Object.keys(manifest.files), ...entries.keys()])
  paths.delete('manifest.json')
  for (const path of paths) {
    if (!isMeant(path)) continue
    const listed = Object.hasOwn(manifest.files, path) ? manifest.files[path] : undefined
    const sum = sums.get(path)
    if (!listed) note(path, 'This file is not listed in the archive.', 'leftOut')
    else if (!entries.has(path)) note(path, 'This file is missing.', 'leftOut')
    else if (sum === undefined) note(path, 'This file is damaged and cannot be unpacked.', 'leftOut')
    else if (sum !== listed.sha256)
      note(
        path,
        'This file was changed after it was written (checksum differs). Compare its content with your notes.',
        'doubtful',
      )
  }
}

/**
 * The records and pictures of an archive, each looked at. A picture whose file is missing or changed is left out.
 *
 * @param files every unpacked file of the archive but its logs.
 * @returns all that is sound; yields the share that is done.
 * @throws CoreError `missing-file` or `damaged` where the records cannot be read at all, `wrong-record` where they are
 *   no lists of records.
 */
export function* recordsIn(
  manifest: Manifest,
  files: ReadonlyMap<string, Uint8Array>,
  salvage: Salvage,
): Generator<number, ReadRecords> {
  const migrated = migrate(parseJson(files, 'records.json'), manifest.recordVersion)
  yield 0.2
  const [lists, oldLogs] = partedLogs(migrated, manifest.recordVersion)
  const records = yield* checkedRecords(lists, salvage)

  const pixels = new Map<string, PhotoPixels>()
  const without = new Set(manifest.without)
  const changed = new Set(salvage.notes.flatMap((note) => (note.kind === 'file' ? [note.id] : [])))
  for (const photo of records.photos) {
    if (without.has(photo.id)) continue
    const paths = [photoPath(photo), thumbnailPath(photo)] as const
    const [original, thumbnail] = [files.get(paths[0]), files.get(paths[1])]
    if (
      original &&
      thumbnail &&
      isPicture(photo, { original, thumbnail }) &&
      !paths.some((path) => changed.has(path))
    )
      // prettier-ignore
      pixels.set(photo.id, { original, thumbnail })
    else if (!paths.some((path) => changed.has(path)))
      salvage.note({
        kind: 'picture',
        id: photo.id,
        name: paths[0],
        problem: 'The file is missing or is not the expected kind of picture.',
        outcome: 'leftOut',
      })
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
  const isPlaced = (event: unknown) => OLD_EVENT.safeParse(event).success
  const placed = events.filter(isPlaced) as z.infer<typeof OLD_EVENT>[]
  const logs = [...logsBySheet(placed).values()].map((log) => ({ lines: linesOf(log) }))
  const others = events.filter((event) => !isPlaced(event)).map((event) => JSON.stringify(event))
  return [lists as Record<string, unknown[]>, [...logTexts(logs), ...others]]
}

/**
 * Lists of records, each record by its schema.
 *
 * @returns all that are sound or could be repaired; yields the share that is done.
 */
export function* checkedRecords(
  lists: Readonly<Record<string, readonly unknown[]>>,
  salvage: Salvage,
): Generator<number, Holdings> {
  const total = Object.values(lists).reduce((sum, list) => sum + list.length, 0)
  const records = emptyHoldings()
  let done = 0
  for (const [kind, list] of Object.entries(lists) as [Kind, unknown[]][])
    for (const row of list) {
      const sound = salvage.record(kind, row)
      if (sound !== null) (records[kind] as unknown[]).push(sound)
      if (++done % PIECE === 0) yield 0.2 + (0.8 * done) / total
    }
  return records
}

/** The logs of a file. Lines that belong to none of them are set aside. */
export function logsIn({ logs, strays }: LogsFound, salvage: Salvage): LogLook[] {
  for (const { line, problem, text } of strays)
    salvage.keep(
      {
        kind: 'log',
        id: '',
        name: 'Line of a log',
        problem: `Line ${line} ${problem}.`,
        outcome: 'setAside',
      },
      text,
    )
  return logs
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
    throw refuse('damaged', `“${path}” is not valid JSON.`, 'Copy or export it again.')
  }
}

/** The text of UTF-8 bytes. */
export const textOf = (bytes: Uint8Array): string => strFromU8(bytes)

function checked<Schema extends z.ZodType>(schema: Schema, value: unknown, path: string): z.infer<Schema> {
  const result = schema.safeParse(value)
  if (result.success) return result.data
  const issue = result.error.issues[0]
  const at = issue?.path ?? []
  const where = at.length ? `${path}, ${at.join('.')}` : path
  throw refuse(
    'wrong-record',
    `${where}: ${issue?.message ?? 'not valid'}.`,
    'Use an unchanged copy of the archive.',
  )
}
