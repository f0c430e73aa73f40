import { v4 as uuid } from 'uuid'
import { packOf, type Picture, type Spans, type WorkroomDb } from './workroomDb'

/** Pictures to a pack: enough to be quick, few enough to be read at once, and packed again when one of them goes. */
const TOGETHER = { pictures: 200, bytes: 64 * 2 ** 20 }

/** Pictures as they go into packs: a large one is by itself. */
export function packsOf<One>(pictures: readonly One[], bytesOf: (one: One) => number): One[][] {
  const packs: One[][] = []
  let room = 0
  for (const one of pictures) {
    const open = packs.at(-1)
    const bytes = bytesOf(one)
    if (open && open.length < TOGETHER.pictures && bytes <= room) {
      open.push(one)
      room -= bytes
    } else {
      packs.push([one])
      room = TOGETHER.bytes - bytes
    }
  }
  return packs
}

/** Stores pictures, many in one file: two small files a print take the browser longer than all the rest of it. */
export async function storePictures(
  db: WorkroomDb,
  pictures: readonly Picture<Blob | Uint8Array>[],
): Promise<void> {
  if (pictures.length) await db.packs.add(packOf(uuid(), pictures))
}

/** One kind of picture of photographs, by photo id, for as many of them as are here. */
export async function picturesIn(
  db: WorkroomDb,
  ids: readonly string[],
  which: 'original' | 'thumbnail',
): Promise<Map<string, Blob>> {
  const wanted = new Set(ids)
  const packs = await db.packs.where('photoIds').anyOf(ids).distinct().toArray()
  return new Map(
    packs.flatMap(({ photoIds, spans, bytes }) =>
      photoIds.flatMap((id, i) => {
        const span = wanted.has(id) && spans[i]
        return span ? [[id, bytes.slice(...span[which])] as const] : []
      }),
    ),
  )
}

/** Bytes of each picture with its small one, by photo, in the order in which they are. */
export const pictureSizes = async (db: WorkroomDb): Promise<[photoId: string, bytes: number][]> =>
  (await db.packs.toArray()).flatMap(({ photoIds, spans }) =>
    photoIds.map((id, i): [string, number] => [id, lengthsOf(spans[i])]),
  )
const lengthsOf = (span: Spans | undefined) =>
  span ? span.original[1] - span.original[0] + span.thumbnail[1] - span.thumbnail[0] : 0

/** Photographs whose pictures are here. */
export const picturedIds = async (db: WorkroomDb): Promise<Set<string>> =>
  new Set((await db.packs.orderBy('photoIds').keys()) as string[])

/**
 * Removes pictures for good. What else is in their packs is packed again, so that nothing of them stays on the disk.
 *
 * @param gone pictures of which nothing can be read: they cannot be packed again.
 */
export async function dropPictures(
  db: WorkroomDb,
  ids: readonly string[],
  gone: ReadonlySet<string> = new Set(),
): Promise<void> {
  const going = new Set([...ids, ...gone])
  for (const { id: pack, photoIds, spans, bytes } of await db.packs
    .where('photoIds')
    .anyOf(ids)
    .distinct()
    .toArray()) {
    await db.packs.delete(pack)
    const staying = photoIds.flatMap((id, i) => {
      const span = going.has(id) ? undefined : spans[i]
      return span
        ? [{ id, original: bytes.slice(...span.original), thumbnail: bytes.slice(...span.thumbnail) }]
        : []
    })
    await storePictures(db, staying)
  }
}
