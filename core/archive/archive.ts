import { sha256 } from '@noble/hashes/sha2.js'
import { bytesToHex } from '@noble/hashes/utils.js'
import { strFromU8, strToU8 } from 'fflate'
import { z } from 'zod'
import { refusalAt } from '../errors'
import { LIMITS, packZip, type ZipLimits } from '../formats/zip'
import { Id, Stamp } from '../schema/common'
import { SheetEvent } from '../schema/event'
import { lengthOf, logBook, type LogLines } from './logs'
import { Holdings, RECORD_VERSION, type Photo, type WorkroomRecords } from '../schema/records'

export const ARCHIVE_FORMAT = 'ember-sheet-archive'

export const Manifest = z.strictObject({
  format: z.literal(ARCHIVE_FORMAT),
  recordVersion: z.int().min(1),
  writtenAt: Stamp,
  workroom: z.string().max(200),
  /** Which of several archives this is: each holds every record and every log, and its share of the pictures. */
  part: z.strictObject({ number: z.int().min(1), of: z.int().min(2) }).optional(),
  /** Photographs whose pictures are not in this file: they are in its other parts, or were gone. */
  without: z.array(Id).optional(),
  /** Every other file of the archive, with its SHA-256 in hexadecimal. */
  files: z.record(
    z.string(),
    z.strictObject({ bytes: z.int().min(0), sha256: z.string().regex(/^[0-9a-f]{64}$/) }),
  ),
})

export type Manifest = z.infer<typeof Manifest>

/** The archive as its readers need it: one schema a JSON file. Exported as JSON Schema to docs/schema. */
export const ARCHIVE_SCHEMAS = {
  'manifest.json': Manifest,
  'records.json': Holdings,
  /** One line of `logs/0001.jsonl` and its like. */
  'event.json': SheetEvent,
} as const

/** Pixels of one photograph: the file as it was added, and a small one for lists. */
export interface PhotoPixels {
  original: Uint8Array
  thumbnail: Uint8Array
}

export interface Workroom {
  records: Holdings
  /** By sheet or treatment. */
  logs: ReadonlyMap<string, LogLines>
  /** By photo id. */
  pixels: ReadonlyMap<string, PhotoPixels>
}

const EXTENSION: Readonly<Record<Photo['mime'], string>> = {
  'image/jpeg': 'jpg',
  'image/png': 'png',
  'image/webp': 'webp',
}

/** Where a photograph's picture is found in an archive. */
export const photoPath = (photo: Photo) => `photos/${photo.id}.${EXTENSION[photo.mime]}`
/** Where a photograph's thumbnail is found in an archive. */
export const thumbnailPath = (photo: Photo) => `thumbnails/${photo.id}.jpg`

/** What an archive holds, but for its manifest. */
export interface ArchiveContent {
  /** By path. */
  files: ReadonlyMap<string, Uint8Array>
  /** Photographs whose pictures are not among them. */
  without: string[]
}

/**
 * Lays out an archive of a workroom and of as many of its pictures as are given.
 *
 * @throws CoreError `too-large` for what no import would take again.
 */
export function archiveContent(workroom: Workroom, limits: ZipLimits = LIMITS): ArchiveContent {
  const files = new Map<string, Uint8Array>([['records.json', strToU8(recordsJson(workroom.records))]])
  for (const [i, text] of logTexts(workroom.logs.values()).entries())
    files.set(`logs/${String(i + 1).padStart(4, '0')}.jsonl`, strToU8(text))
  const without: string[] = []
  for (const photo of workroom.records.photos) {
    const pixels = workroom.pixels.get(photo.id)
    if (!pixels || !isPicture(photo, pixels)) {
      without.push(photo.id)
      continue
    }
    files.set(photoPath(photo), pixels.original)
    files.set(thumbnailPath(photo), pixels.thumbnail)
  }
  const total = [...files.values()].reduce((sum, bytes) => sum + bytes.length, 0)
  if (total > limits.totalBytes || files.size >= limits.entries)
    throw refuse(
      'too-large',
      `This archive would have ${Math.ceil(total / 2 ** 20)} MiB in ${files.size} files, which is too large.`,
      'Empty the bin, then export again.',
    )
  return { files, without }
}

/** Whether what is there is a picture still, of the kind that the photograph says. */
export const isPicture = (photo: Photo, { original, thumbnail }: PhotoPixels): boolean =>
  mimeOf(original) === photo.mime && mimeOf(thumbnail) === 'image/jpeg'

/** Pictures that go into one archive: as many as a worker holds in its memory twice over, and its readers take. */
export interface PartLimits {
  bytes: number
  pictures: number
}
const PART: PartLimits = { bytes: 2 ** 30, pictures: 20_000 }

/**
 * Shares pictures out over archives, in their order.
 *
 * @param pictures bytes of each with its small one, by photo.
 * @returns photos by archive; one archive where there are none.
 */
export function partsOf(
  pictures: Iterable<readonly [photoId: string, bytes: number]>,
  most: PartLimits = PART,
): string[][] {
  let open: string[] = []
  let bytes = 0
  const parts = [open]
  for (const [id, size] of pictures) {
    if (open.length && (bytes + size > most.bytes || open.length >= most.pictures)) {
      parts.push((open = []))
      bytes = 0
    }
    open.push(id)
    bytes += size
  }
  return parts
}

/**
 * Packs the files of an archive with the list of them.
 *
 * @param sums SHA-256 of each file in hexadecimal, by path.
 * @param workroomName shown to whoever opens it.
 * @param at moment of writing, milliseconds.
 * @param part which of several it is.
 */
export function packArchive(
  { files, without }: ArchiveContent,
  sums: ReadonlyMap<string, string>,
  workroomName: string,
  at: number,
  part?: Manifest['part'],
): Uint8Array {
  const manifest = {
    format: ARCHIVE_FORMAT,
    recordVersion: RECORD_VERSION,
    writtenAt: at,
    workroom: workroomName,
    ...(part && { part }),
    ...(without.length && { without }),
    files: Object.fromEntries(
      [...files].map(([path, bytes]) => [path, { bytes: bytes.length, sha256: sums.get(path) as string }]),
    ),
  } satisfies Manifest
  const all = new Map([['manifest.json', strToU8(JSON.stringify(manifest, null, 1))], ...files])
  return packZip(all, (path) => !/\.jsonl?$/.test(path), at)
}

/**
 * Writes a small workroom as one archive.
 *
 * @throws CoreError those of `archiveContent`.
 */
export function writeArchive(
  { records, pixels }: { records: WorkroomRecords; pixels: Workroom['pixels'] },
  workroomName: string,
  at: number,
  limits?: ZipLimits,
): Uint8Array {
  const { events, ...holdings } = records
  const content = archiveContent({ records: holdings, logs: logBook(events), pixels }, limits)
  return packArchive(content, sumsOf(content.files), workroomName, at)
}

/** Lines after which the next log begins a file of its own: a piece that is read in a part of a second. */
const FILE_LINES = 5000

/** Logs one behind the other, so many to a file. */
export function logTexts(logs: Iterable<LogLines>): string[] {
  const texts: string[] = []
  let open: string[] = []
  let count = 0
  const close = () => {
    if (open.length) texts.push(`${open.join('\n')}\n`)
    open = []
    count = 0
  }
  for (const log of logs) {
    if (!log.lines) continue
    open.push(log.lines)
    count += lengthOf(log)
    if (count >= FILE_LINES) close()
  }
  close()
  return texts
}

/** SHA-256 of each file in hexadecimal, by path. A browser's own is much faster, and has to be waited for. */
export const sumsOf = (files: ReadonlyMap<string, Uint8Array>): Map<string, string> =>
  new Map([...files].map(([path, bytes]) => [path, bytesToHex(sha256(bytes))]))

/** A record a line: any editor opens it, and what differs between two archives can be read. */
const recordsJson = (records: Holdings): string =>
  `{\n${Object.entries(records)
    .map(
      ([kind, list]) =>
        `${JSON.stringify(kind)}: [\n${list.map((row) => JSON.stringify(row)).join(',\n')}\n]`,
    )
    .join(',\n')}\n}\n`

/** The kind of picture a file's first bytes show, or `null` for one that is not kept here. */
export function mimeOf(bytes: Uint8Array): Photo['mime'] | null {
  const starts = (...head: number[]) => head.every((byte, i) => bytes[i] === byte)
  if (starts(0xff, 0xd8, 0xff)) return 'image/jpeg'
  if (starts(0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a)) return 'image/png'
  if (starts(0x52, 0x49, 0x46, 0x46) && strFromU8(bytes.subarray(8, 12), true) === 'WEBP') return 'image/webp'
  return null
}

/** The error of an archive that cannot be read. */
export const refuse = refusalAt('archive')
/** The error of a file that an archive lacks. */
export const missing = (path: string) =>
  refuse('missing-file', `“${path}” is missing.`, 'Copy or export it again.')
