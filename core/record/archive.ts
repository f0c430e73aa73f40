import { sha256 } from '@noble/hashes/sha2.js'
import { bytesToHex } from '@noble/hashes/utils.js'
import { strFromU8, strToU8 } from 'fflate'
import { z } from 'zod'
import { CoreError } from '../errors'
import { LIMITS, packZip, unpackZip, type ZipLimits } from '../formats/zip'
import { replay } from '../process/run'
import { Stamp } from './common'
import { logsBySheet } from './logs'
import { checkVersion, migrate } from './migrations'
import { RECORD_VERSION, WorkroomRecords, type Photo } from './records'

export const ARCHIVE_FORMAT = 'ember-sheet-archive'

const Manifest = z.strictObject({
  format: z.literal(ARCHIVE_FORMAT),
  recordVersion: z.int().min(1),
  writtenAt: Stamp,
  workroom: z.string().max(200),
  /** Every other file of the archive, with its SHA-256 in hexadecimal. */
  files: z.record(
    z.string(),
    z.strictObject({ bytes: z.int().min(0), sha256: z.string().regex(/^[0-9a-f]{64}$/) }),
  ),
})

/** The archive as its readers need it: one schema a JSON file. Exported as JSON Schema to docs/schema. */
export const ARCHIVE_SCHEMAS = { 'manifest.json': Manifest, 'records.json': WorkroomRecords } as const

/** Schema of one record of each kind. */
export const RECORD_SCHEMAS = Object.fromEntries(
  Object.entries(WorkroomRecords.shape).map(([kind, list]) => [kind, list.element]),
) as unknown as Readonly<Record<keyof WorkroomRecords, z.ZodType>>

/** Pixels of one photograph: the file as it was added, and a small one for lists. */
export interface PhotoPixels {
  original: Uint8Array
  thumbnail: Uint8Array
}

export interface Workroom {
  records: WorkroomRecords
  /** By photo id. */
  pixels: ReadonlyMap<string, PhotoPixels>
}

const EXTENSION: Readonly<Record<Photo['mime'], string>> = {
  'image/jpeg': 'jpg',
  'image/png': 'png',
  'image/webp': 'webp',
}

const photoPath = (photo: Photo) => `photos/${photo.id}.${EXTENSION[photo.mime]}`
const thumbnailPath = (photo: Photo) => `thumbnails/${photo.id}.jpg`

/**
 * Writes a workroom as one archive.
 *
 * @param workroomName shown to whoever opens it.
 * @param at moment of writing, milliseconds.
 * @throws CoreError `missing-file` for a photo without pixels; `too-large` for what no import would take again.
 */
export function writeArchive(
  workroom: Workroom,
  workroomName: string,
  at: number,
  limits: ZipLimits = LIMITS,
): Uint8Array {
  const files = new Map<string, Uint8Array>([['records.json', json(workroom.records)]])
  for (const photo of workroom.records.photos) {
    const pixels = workroom.pixels.get(photo.id)
    if (!pixels) throw missing(photoPath(photo))
    files.set(photoPath(photo), pixels.original)
    files.set(thumbnailPath(photo), pixels.thumbnail)
  }
  const total = [...files.values()].reduce((sum, bytes) => sum + bytes.length, 0)
  if (total > limits.totalBytes || files.size >= limits.entries)
    throw refuse(
      'too-large',
      `This workroom comes to ${Math.ceil(total / 2 ** 20)} MiB in ${files.size} files, more than one archive holds.`,
      'Take large photographs out of it, or add smaller ones.',
    )
  const manifest: z.infer<typeof Manifest> = {
    format: ARCHIVE_FORMAT,
    recordVersion: RECORD_VERSION,
    writtenAt: at,
    workroom: workroomName,
    files: Object.fromEntries(
      [...files].map(([path, bytes]) => [path, { bytes: bytes.length, sha256: bytesToHex(sha256(bytes)) }]),
    ),
  }
  const all = new Map([['manifest.json', json(manifest)], ...files])
  return packZip(all, (path) => !path.endsWith('.json'), at)
}

/**
 * Reads an archive that may be broken, foreign or hostile. Either all of it is sound or nothing is returned.
 *
 * @throws CoreError `not-ours`, `newer-version`, `damaged`, `missing-file`, `stranger-file`, `wrong-record`,
 *   `loose-end` or those of `unpackZip`.
 */
export function readArchive(bytes: Uint8Array, limits?: ZipLimits): Workroom {
  const files = unpackZip(bytes, limits)
  const manifest = readManifest(files)
  for (const path of files.keys())
    if (path !== 'manifest.json' && !manifest.files[path])
      throw refuse(
        'stranger-file',
        `“${path}” is not in the archive's own list.`,
        'Something was added to it; use an untouched copy.',
      )
  for (const [path, { bytes: size, sha256: sum }] of Object.entries(manifest.files)) {
    const file = files.get(path)
    if (!file) throw missing(path)
    if (file.length !== size || bytesToHex(sha256(file)) !== sum)
      throw refuse(
        'damaged',
        `“${path}” is not what was written: its checksum differs.`,
        'Copy or export it again.',
      )
  }
  const migrated = migrate(parseJson(files, 'records.json'), manifest.recordVersion)
  const records = checked(WorkroomRecords, migrated, 'records.json')
  checkEnds(records)

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
  return { records, pixels }
}

/** The kind of picture a file's first bytes show, or `null` for one that is not kept here. */
export function mimeOf(bytes: Uint8Array): Photo['mime'] | null {
  const starts = (...head: number[]) => head.every((byte, i) => bytes[i] === byte)
  if (starts(0xff, 0xd8, 0xff)) return 'image/jpeg'
  if (starts(0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a)) return 'image/png'
  if (starts(0x52, 0x49, 0x46, 0x46) && strFromU8(bytes.subarray(8, 12), true) === 'WEBP') return 'image/webp'
  return null
}

function readManifest(files: ReadonlyMap<string, Uint8Array>): z.infer<typeof Manifest> {
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

function checked<Schema extends z.ZodType>(schema: Schema, value: unknown, path: string): z.infer<Schema> {
  const result = schema.safeParse(value)
  if (result.success) return result.data
  const issue = result.error.issues[0]
  const where = issue?.path.length ? `${path}, ${issue.path.join('.')}` : path
  throw refuse(
    'wrong-record',
    `${where}: ${issue?.message ?? 'not as it should be'}.`,
    'Mend that place, or use an untouched copy.',
  )
}

/** Records that point at nothing, identities used twice and logs that could not have happened, one by one. */
export function* looseEnds(records: WorkroomRecords): Generator<string> {
  for (const [kind, list] of Object.entries(records)) {
    const ids = new Set<string>()
    for (const { id } of list as { id: string }[]) {
      if (ids.has(id)) yield `Two ${kind} share the identity ${id}.`
      ids.add(id)
    }
  }
  const sheets = new Set(records.sheets.map((sheet) => sheet.id))
  for (const photo of records.photos)
    if (!sheets.has(photo.sheetId)) yield `A photograph belongs to no sheet: ${photo.id}.`
  for (const sheet of records.sheets)
    if (sheet.over !== undefined && !sheets.has(sheet.over))
      yield `Sheet ${sheet.number} is a layer over a sheet that is not here.`
  for (const check of records.registerChecks)
    if (!sheets.has(check.sheetId)) yield `A register check belongs to no sheet: ${check.id}.`
  for (const diagnosis of records.diagnoses)
    if (!sheets.has(diagnosis.sheetId)) yield `A diagnosis belongs to no sheet: ${diagnosis.id}.`
  const logged = new Set([...sheets, ...records.paperRuns.map((run) => run.id)])
  for (const event of records.events)
    if (!logged.has(event.sheetId)) yield `An event belongs to no sheet: ${event.id}.`
  const photos = new Set(records.photos.map((photo) => photo.id))
  for (const event of records.events)
    if (event.type === 'photographed' && !photos.has(event.photoId))
      yield `An event names a photograph that is not here: ${event.photoId}.`

  const logs = logsBySheet(records.events)
  const owners = [
    ...records.sheets.map(({ id, number }) => ({ id, name: `sheet ${number}` })),
    ...records.paperRuns.map(({ id, number }) => ({ id, name: `treatment ${number}` })),
  ]
  for (const { id, name } of owners) {
    try {
      replay(id, logs.get(id) ?? [])
    } catch (error) {
      const reason = error instanceof CoreError ? error.refusal.problem : String(error)
      yield `The log of ${name} could not have happened. ${reason}`
    }
  }
  const bottles = new Set(records.bottles.map((bottle) => bottle.id))
  for (const taking of records.takings)
    if (!bottles.has(taking.bottleId))
      yield `Something was taken from a bottle that is not here: ${taking.id}.`
  const papers = new Set(records.papers.map((paper) => paper.id))
  for (const piece of records.pieces)
    if (!papers.has(piece.paperId)) yield `A piece was torn from a paper that is not here: ${piece.label}.`
  const lights = new Set(records.lights.map((light) => light.id))
  for (const entry of [...records.lightEntries, ...records.bases])
    if (!lights.has(entry.lightId)) yield `Something is told of a light that is not here: ${entry.id}.`
}

function checkEnds(records: WorkroomRecords): void {
  for (const problem of looseEnds(records))
    throw refuse('loose-end', problem, 'Use an untouched copy of the archive.')
}

const json = (value: unknown) => strToU8(JSON.stringify(value, null, 1))

const refuse = (code: string, problem: string, remedy: string) =>
  new CoreError({ code, field: 'archive', problem, remedy })
const missing = (path: string) => refuse('missing-file', `“${path}” is missing.`, 'Copy or export it again.')
