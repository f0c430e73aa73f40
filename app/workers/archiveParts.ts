import { archiveContent, packArchive, partsOf, type PartLimits, type PhotoPixels } from '@core/record/archive'
import { contentsOf, type Progress } from '../data/holdings'
import { pictureSizes } from '../data/pictures'
import type { WorkroomDb } from '../data/workroomDb'
import { sumsOfAll } from './sums'

/** How long work says how far it is, and lets itself be called off. */
export interface Pace {
  progress: Progress
  /** Throws where it was called off. */
  pulse: () => void
  /** Lets a stop be heard between two pieces of work that never wait by themselves. */
  breathe: () => Promise<void>
}

/**
 * Writes a workroom as one archive, or as several where its pictures are more than one holds.
 *
 * @returns the files, and how many photographs have no picture any more.
 * @throws CoreError those of `archiveContent`, and what `pulse` throws.
 */
export async function writeParts(
  db: WorkroomDb,
  { name, at }: { name: string; at: number },
  { progress, pulse, breathe }: Pace,
  most?: PartLimits,
): Promise<{ files: Blob[]; bare: number }> {
  progress(0, 'reading')
  const { records, logs } = await contentsOf(db)
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
  return { files, bare: bare.size }
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
    const bytes = await pack.bytes.arrayBuffer().catch(() => new ArrayBuffer(0))
    for (const [n, id] of pack.photoIds.entries()) {
      const span = pack.spans[n]
      const part = ([start, end]: readonly [number, number]) => new Uint8Array(bytes).subarray(start, end)
      if (span) take(id, { original: part(span.original), thumbnail: part(span.thumbnail) })
    }
    progress(from + ((to - from) * (i + 1)) / packs.length, 'looking at pictures')
    await breathe()
  }
}
