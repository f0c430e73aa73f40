import {
  archiveContent,
  isPicture,
  packArchive,
  partsOf,
  type PartLimits,
  type PhotoPixels,
} from '@core/record/archive'
import type { Photo } from '@core/record/records'
import { legibleContents, type Damage, type Progress } from '../data/holdings'
import { pictureSizes } from '../data/pictures'
import type { WorkroomDb } from '../data/workroomDb'
import { sumOf, sumsOfAll } from './sums'

/** How long work says how far it is, and lets itself be called off. */
export interface Pace {
  progress: Progress
  /** Throws where it was called off. */
  pulse: () => void
  /** Lets a stop be heard between two pieces of work that never wait by themselves. */
  breathe: () => Promise<void>
}

/** An archive in its files, and what could not go into it. */
export interface Written {
  files: Blob[]
  /** Photographs that have no picture any more. */
  bare: number
  /** Sheets and treatments whose log is lost. */
  silent: number
}

/**
 * Writes a workroom as one archive, or as several where its pictures are more than one holds.
 *
 * @throws CoreError those of `archiveContent`, and what `pulse` throws.
 */
export async function writeParts(
  db: WorkroomDb,
  { name, at }: { name: string; at: number },
  { progress, pulse, breathe }: Pace,
  most?: PartLimits,
): Promise<Written> {
  progress(0, 'reading')
  const { records, logs, lost } = await legibleContents(db)
  const known = new Set(records.photos.map(({ id }) => id))
  const parts = partsOf(
    (await pictureSizes(db)).filter(([id]) => known.has(id)),
    most,
  )
  const files: Blob[] = []
  const bare = new Set(known)
  for (const [i, ids] of parts.entries()) {
    const say: Progress = (share, doing) => progress((i + share) / parts.length, doing)
    const pixels = new Map<string, PhotoPixels>()
    const wanted = new Set(ids)
    const pace = { progress: say, pulse, breathe }
    await eachPicture(db, (id, picture) => wanted.has(id) && pixels.set(id, picture), pace, 0, 0.5, wanted)
    const content = archiveContent({ records, logs, pixels })
    const without = new Set(content.without)
    for (const id of ids) if (!without.has(id)) bare.delete(id)
    say(0.6, 'summing')
    await breathe()
    const sums = await sumsOfAll(content.files, pulse)
    say(0.7, 'packing')
    await breathe()
    const part = parts.length > 1 ? { number: i + 1, of: parts.length } : undefined
    const bytes = packArchive(content, sums, name, at, part)
    files.push(new Blob([bytes as Uint8Array<ArrayBuffer>], { type: 'application/zip' }))
  }
  return { files, bare: bare.size, silent: lost.logs.length }
}

/**
 * Reads pack after pack. What cannot be read has no bytes: a file that is gone throws.
 *
 * @param wanted where not all are, those for whose sake a pack is read.
 */
export async function eachPicture(
  db: WorkroomDb,
  take: (photoId: string, pixels: PhotoPixels) => void,
  { progress, breathe }: Pace,
  from: number,
  to: number,
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
    progress(from + ((to - from) * (i + 1)) / packs.length, 'looking at pictures')
    await breathe()
  }
}

/**
 * Looks which pictures here an archive can mend: those that cannot be read, are cut short or have changed.
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
  await eachPicture(db, look, pace, 0.95, 0.99, new Set(theirs.keys()))
  for (const { photo, here, there } of doubtful)
    if ((await sumOf(here)) !== photo.sha256 && (await sumOf(there)) === photo.sha256) spoilt.push(photo.id)
  return { spoilt, gone }
}

/** In a plain loop: there may be a thousand million of them. */
function isSame(a: Uint8Array, b: Uint8Array): boolean {
  for (let i = 0; i < a.length; i++) if (a[i] !== b[i]) return false
  return a.length === b.length
}
