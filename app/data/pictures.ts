import { v4 as uuid } from 'uuid'
import { packOf, type Picture, type WorkroomDb } from './workroomDb'

/** Stores pictures, many in one file: two small files a print take the browser longer than all the rest of it. */
export async function storePictures(
  db: WorkroomDb,
  pictures: readonly Picture<Blob | Uint8Array>[],
): Promise<void> {
  if (!pictures.length) return
  const { pack, rows } = packOf(uuid(), pictures)
  await db.packs.add(pack)
  await db.pixels.bulkPut(rows)
}

/** One kind of picture of photographs, by photo id, for as many of them as are here. */
export async function picturesIn(
  db: WorkroomDb,
  ids: readonly string[],
  which: 'original' | 'thumbnail',
): Promise<Map<string, Blob>> {
  const rows = (await db.pixels.bulkGet([...ids])).filter((row) => row !== undefined)
  const packs = [...new Set(rows.map((row) => row.pack))]
  const bytes = new Map((await db.packs.bulkGet(packs)).map((pack) => [pack?.id, pack?.bytes]))
  return new Map(
    rows.flatMap((row) => {
      const file = bytes.get(row.pack)
      return file ? [[row.id, file.slice(...row[which])]] : []
    }),
  )
}

/** Removes pictures for good. What else lies in their packs is packed anew, so that nothing of them stays on the disk. */
export async function dropPictures(db: WorkroomDb, ids: readonly string[]): Promise<void> {
  const going = (await db.pixels.bulkGet([...ids])).filter((row) => row !== undefined)
  await db.pixels.bulkDelete([...ids])
  for (const pack of new Set(going.map((row) => row.pack))) {
    const staying = await db.pixels.where('pack').equals(pack).primaryKeys()
    const [originals, thumbnails] = [
      await picturesIn(db, staying, 'original'),
      await picturesIn(db, staying, 'thumbnail'),
    ]
    await db.packs.delete(pack)
    await storePictures(
      db,
      [...originals].flatMap(([id, original]) => {
        const thumbnail = thumbnails.get(id)
        return thumbnail ? [{ id, original, thumbnail }] : []
      }),
    )
  }
}
