import { CoreError } from '@core/errors'
import {
  archiveContent,
  isPicture,
  packArchive,
  partsOf,
  type PartLimits,
  type PhotoPixels,
} from '@core/archive/archive'
import { KINDS, planMerge, type Contents } from '@core/archive/merge'
import type { Photo } from '@core/schema/records'
import type { SalvageNote } from '@core/archive/salvage'
import { legibleContents, type Damage } from '../storage/holdings'
import { pictureSizes } from '../storage/pictures'
import { lookAtStored, repairStored } from './repair'
import type { WorkroomDb } from '../storage/workroomDb'
import { readArchiveFile } from './archiveFile'
import type { LogsReader } from './lookAtLogs'
import { within, type Pace } from './pace'
import { sumOf, sumsOfAll } from './sums'

/** An archive in its files, and what could not go into it. */
export interface Written {
  files: Blob[]
  /** Photographs that have no picture any more. */
  bare: number
  /** Sheets and treatments whose log is lost. */
  silent: number
  /** Records and logs that had to be repaired or set aside before they could be written. */
  repaired: SalvageNote[]
}

/** How an archive is to be written. */
export interface About {
  /** Of the workroom, shown when it is opened. */
  name: string
  at: number
  /** Whether pictures are left out, since they are kept elsewhere. */
  withoutPictures?: boolean
}

/**
 * Writes a workroom as one archive, or as several where its pictures are more than one holds, and reads each back before
 * it counts as written. What an import could not read is repaired or set aside first.
 *
 * @param readers look through logs while an archive is read back.
 * @throws CoreError those of `archiveContent`, `not-as-written` where a file does not say what is stored, and what
 *   `pulse` throws.
 */
export async function writeParts(
  db: WorkroomDb,
  about: About,
  readers: LogsReader,
  pace: Pace,
  most?: PartLimits,
): Promise<Written> {
  const first = await writtenAndRead(db, about, readers, pace, most)
  if (!first.notes.length) return { ...first.written, repaired: [] }
  const repaired = await repairStored(db, await lookAtStored(db, readers, about.at, within(pace, 0, 0.2)))
  const second = await writtenAndRead(db, about, readers, within(pace, 0.2, 1), most)
  const [left] = second.notes
  if (left) throw notAsWritten(`${left.name}: ${left.problem}`)
  return { ...second.written, repaired }
}

/** Notes of what no repair of records or logs would change. */
const isLeft = ({ kind }: SalvageNote) => kind === 'picture'

async function writtenAndRead(
  db: WorkroomDb,
  { name, at, withoutPictures }: About,
  readers: LogsReader,
  pace: Pace,
  most?: PartLimits,
): Promise<{ written: Omit<Written, 'repaired'>; notes: SalvageNote[] }> {
  const { progress, pulse, breathe } = pace
  progress(0, 'reading')
  const { records, logs, lost } = await legibleContents(db)
  const known = new Set(records.photos.map(({ id }) => id))
  const pictures = withoutPictures ? [] : await pictureSizes(db)
  const parts = partsOf(
    pictures.filter(([id]) => known.has(id)),
    most,
  )
  const files: Blob[] = []
  const bare = new Set(known)
  for (const [i, ids] of parts.entries()) {
    const ofPart = within(pace, i / parts.length, (i + 1) / parts.length)
    const pixels = new Map<string, PhotoPixels>()
    const wanted = new Set(ids)
    const take = (id: string, picture: PhotoPixels) => wanted.has(id) && pixels.set(id, picture)
    if (ids.length) await eachPicture(db, take, within(ofPart, 0, 0.3), wanted)
    const content = archiveContent({ records, logs, pixels })
    const without = new Set(content.without)
    for (const id of ids) if (!without.has(id)) bare.delete(id)
    ofPart.progress(0.35, 'computing checksums')
    await breathe()
    const sums = await sumsOfAll(content.files, pulse)
    ofPart.progress(0.4, 'packing')
    await breathe()
    const part = parts.length > 1 ? { number: i + 1, of: parts.length } : undefined
    const bytes = packArchive(content, sums, name, at, part)
    const file = new Blob([bytes as Uint8Array<ArrayBuffer>], { type: 'application/zip' })
    const notes = await readBack(file, { records, logs, pictures: pixels.size - bareIn(ids, without) }, readers, within(ofPart, 0.6, 1)) // prettier-ignore
    if (notes.length) return { written: { files: [], bare: 0, silent: 0 }, notes }
    files.push(file)
  }
  return { written: { files, bare: bare.size, silent: lost.logs.length }, notes: [] }
}

const bareIn = (ids: readonly string[], without: ReadonlySet<string>) =>
  ids.filter((id) => without.has(id)).length

/**
 * Reads an archive that was just written, and compares it with what it was written from.
 *
 * @returns what an import could not read as it is.
 * @throws CoreError `not-as-written`.
 */
async function readBack(
  file: Blob,
  from: Contents & { pictures: number },
  readers: LogsReader,
  pace: Pace,
): Promise<SalvageNote[]> {
  const read = await readArchiveFile(file, readers, {
    ...pace,
    progress: (share) => pace.progress(share, 'reading it back'),
  })
  const notes = read.notes.filter((note) => !isLeft(note))
  if (notes.length) return notes
  const plan = planMerge(from, read)
  const isWhole =
    KINDS.every((kind) => plan.same[kind] === from.records[kind].length && !plan.added[kind].length) &&
    !plan.conflicts.length &&
    !plan.logs.length &&
    [...from.logs].every(([id, { lines }]) => read.logs.get(id)?.lines === (lines || undefined)) &&
    read.pixels.size === from.pictures
  if (!isWhole) throw notAsWritten('Its content differs from what is stored.')
  return []
}

/** @param skipped backups that could not be read, and why. */
export const noBackup = (skipped: readonly { name: string; problem: string }[]) =>
  new CoreError({
    code: 'no-backup',
    field: 'folder',
    problem: skipped.length
      ? `None of the ${skipped.length} backups in this folder can be read. ${skipped[0]?.name}: ${skipped[0]?.problem}`
      : 'This folder has no Ember Sheet backup.',
    remedy: 'Choose the folder with files such as ember-sheet-20261129T180512Z.zip.',
  })

export const notAsWritten = (problem: string) =>
  new CoreError({
    code: 'not-as-written',
    field: 'archive',
    problem: `The backup was read back and has an error. ${problem}`,
    remedy: 'Keep your last backup and try again. If it fails again, check the stored data in Workroom.',
  })

/**
 * Reads pack after pack. What cannot be read has no bytes: a file that is gone throws.
 *
 * @param wanted where not all are, those for whose sake a pack is read.
 */
export async function eachPicture(
  db: WorkroomDb,
  take: (photoId: string, pixels: PhotoPixels) => void,
  { progress, breathe }: Pace,
  wanted?: ReadonlySet<string>,
): Promise<void> {
  const packs = await db.packs.toCollection().primaryKeys()
  for (const [i, packId] of packs.entries()) {
    const pack = await db.packs.get(packId)
    if (!pack || (wanted && !pack.photoIds.some((id) => wanted.has(id)))) continue
    const read = () => pack.bytes.arrayBuffer()
    // A disk that is slow to answer is asked a second time before its file is taken for gone.
    const bytes = await read()
      .catch(read)
      .catch(() => new ArrayBuffer(0))
    for (const [n, id] of pack.photoIds.entries()) {
      const span = pack.spans[n]
      const part = ([start, end]: readonly [number, number]) => new Uint8Array(bytes).subarray(start, end)
      if (span) take(id, { original: part(span.original), thumbnail: part(span.thumbnail) })
    }
    progress((i + 1) / packs.length, 'checking pictures')
    await breathe()
  }
}

/**
 * Looks which pictures here an archive can replace: those that cannot be read, are cut short or have changed.
 *
 * @param theirs pictures of the archive, by photo.
 */
export async function damageOf(
  db: WorkroomDb,
  photos: readonly Photo[],
  theirs: ReadonlyMap<string, PhotoPixels>,
  pace: Pace,
): Promise<Omit<Damage, 'rows'>> {
  const spoilt: string[] = []
  const gone = new Set<string>()
  /** Here and there they differ; the sum that was taken when the picture was added tells which of them changed. */
  const doubtful: { photo: Photo; here: Uint8Array; there: Uint8Array }[] = []
  const byId = new Map(photos.map((photo) => [photo.id, photo]))
  const look = (id: string, here: PhotoPixels) => {
    if (!here.original.length) gone.add(id)
    const [photo, there] = [byId.get(id), theirs.get(id)]
    if (!photo || there?.original.length !== photo.bytes) return
    if (here.original.length !== photo.bytes || !isPicture(photo, here)) spoilt.push(id)
    else if (photo.sha256 !== undefined && !isSame(here.original, there.original))
      doubtful.push({ photo, here: here.original, there: there.original })
  }
  await eachPicture(db, look, pace, new Set(theirs.keys()))
  for (const { photo, here, there } of doubtful)
    if ((await sumOf(here)) !== photo.sha256 && (await sumOf(there)) === photo.sha256) spoilt.push(photo.id)
  return { spoilt, gone }
}

/** In a plain loop: there may be a thousand million of them. */
function isSame(a: Uint8Array, b: Uint8Array): boolean {
  for (let i = 0; i < a.length; i++) if (a[i] !== b[i]) return false
  return a.length === b.length
}
