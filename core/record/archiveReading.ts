import { strFromU8 } from 'fflate'
import { z } from 'zod'
import { unpackZip, type ZipLimits } from '../formats/zip'
import type { RunState } from '../process/run'
import {
  ARCHIVE_FORMAT,
  Manifest,
  mimeOf,
  missing,
  photoPath,
  RECORD_SCHEMAS,
  refuse,
  sumsOf,
  thumbnailPath,
  type PhotoPixels,
  type Workroom,
} from './archive'
import { looseEnds } from './looseEnds'
import { checkVersion, migrate } from './migrations'
import { emptyRecords, type WorkroomRecords } from './records'

/** An archive that was unpacked: every file its list names, and no other. */
export interface OpenArchive {
  manifest: Manifest
  files: ReadonlyMap<string, Uint8Array>
}

/** A sound archive, with what each of its logs amounts to. */
export interface ReadWorkroom extends Workroom {
  states: ReadonlyMap<string, RunState>
}

/** Every kind of record as a list, of whatever. */
const LISTS = z.strictObject(
  Object.fromEntries(Object.keys(emptyRecords()).map((kind) => [kind, z.array(z.unknown())])),
)

/** So many records are looked at between two reports. */
const PIECE = 5000

/**
 * Reads an archive that may be broken, foreign or hostile. Either all of it is sound or nothing is returned.
 *
 * @throws CoreError `not-ours`, `newer-version`, `damaged`, `missing-file`, `stranger-file`, `wrong-record`,
 *   `loose-end` or those of `unpackZip`.
 */
export function readArchive(bytes: Uint8Array, limits?: ZipLimits): ReadWorkroom {
  const open = openArchive(bytes, limits)
  checkSums(open, sumsOf(open.files))
  const reading = recordsIn(open)
  let step = reading.next()
  while (!step.done) step = reading.next()
  return step.value
}

/** Unpacks an archive. What its files hold is not looked at yet. */
export function openArchive(bytes: Uint8Array, limits?: ZipLimits): OpenArchive {
  const files = unpackZip(bytes, limits)
  const manifest = readManifest(files)
  for (const path of files.keys())
    if (path !== 'manifest.json' && !manifest.files[path])
      throw refuse(
        'stranger-file',
        `“${path}” is not in the archive's own list.`,
        'Something was added to it; use an untouched copy.',
      )
  for (const path of Object.keys(manifest.files)) if (!files.has(path)) throw missing(path)
  return { manifest, files }
}

/**
 * Compares what was unpacked with what was written.
 *
 * @param sums SHA-256 of each file in hexadecimal, by path.
 * @throws CoreError `damaged`.
 */
export function checkSums({ manifest, files }: OpenArchive, sums: ReadonlyMap<string, string>): void {
  for (const [path, { bytes, sha256 }] of Object.entries(manifest.files))
    if (files.get(path)?.length !== bytes || sums.get(path) !== sha256)
      throw refuse(
        'damaged',
        `“${path}” is not what was written: its checksum differs.`,
        'Copy or export it again.',
      )
}

/**
 * The records and pictures of an archive, each looked at.
 *
 * @returns all of it; yields the share that is done.
 * @throws CoreError `damaged`, `wrong-record` or `loose-end`.
 */
export function* recordsIn({ manifest, files }: OpenArchive): Generator<number, ReadWorkroom> {
  const migrated = migrate(parseJson(files, 'records.json'), manifest.recordVersion)
  yield 0.2
  const records = yield* checkedRecords(migrated)
  const states = new Map<string, RunState>()
  for (const problem of looseEnds(records, (state) => states.set(state.sheetId, state)))
    throw refuse('loose-end', problem, 'Use an untouched copy of the archive.')
  yield 0.95

  const pixels = new Map<string, PhotoPixels>()
  for (const photo of records.photos) {
    const [original, thumbnail] = [files.get(photoPath(photo)), files.get(thumbnailPath(photo))]
    if (!original) throw missing(photoPath(photo))
    if (!thumbnail) throw missing(thumbnailPath(photo))
    if (mimeOf(original) !== photo.mime || mimeOf(thumbnail) !== 'image/jpeg')
      throw refuse(
        'wrong-record',
        `The photograph ${photo.id} is not the kind of picture it says.`,
        'Use an untouched copy of the archive.',
      )
    pixels.set(photo.id, { original, thumbnail })
  }
  return { records, pixels, states }
}

/** Lists of records, each record by its schema. */
function* checkedRecords(value: unknown): Generator<number, WorkroomRecords> {
  const lists = checked(LISTS, value, 'records.json')
  const total = Object.values(lists).reduce((sum, list) => sum + list.length, 0)
  const records = emptyRecords()
  let done = 0
  for (const [kind, list] of Object.entries(lists)) {
    const schema = RECORD_SCHEMAS[kind as keyof WorkroomRecords]
    for (const [i, row] of list.entries()) {
      ;(records[kind as keyof WorkroomRecords] as unknown[]).push(
        checked(schema, row, 'records.json', [kind, i]),
      )
      if (++done % PIECE === 0) yield 0.2 + (0.45 * done) / total
    }
  }
  return records
}

function readManifest(files: ReadonlyMap<string, Uint8Array>): Manifest {
  const found = files.has('manifest.json') ? parseJson(files, 'manifest.json') : null
  if ((found as { format?: unknown } | null)?.format !== ARCHIVE_FORMAT)
    throw refuse(
      'not-ours',
      'This ZIP was not written by Ember Sheet.',
      'Choose a file that Ember Sheet exported.',
    )
  // The version is looked at before the rest, since a newer manifest may hold what this one does not know.
  const version = (found as { recordVersion?: unknown }).recordVersion
  if (typeof version === 'number') checkVersion(version)
  return checked(Manifest, found, 'manifest.json')
}

function parseJson(files: ReadonlyMap<string, Uint8Array>, path: string): unknown {
  const bytes = files.get(path)
  if (!bytes) throw missing(path)
  try {
    return JSON.parse(strFromU8(bytes))
  } catch {
    throw refuse('damaged', `“${path}” is not readable as JSON.`, 'Copy or export it again.')
  }
}

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
