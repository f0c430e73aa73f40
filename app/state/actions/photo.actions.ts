import { v4 as uuid } from 'uuid'
import { Photo } from '@core/schema/records'
import { callWorker } from '../../workers/call'
import { startWorker } from '../../workers/start'
import type { ThumbnailAnswer } from '../../workers/thumbnail.worker'
import { db } from '../../storage/db'
import { append } from '../../storage/log'
import { storePictures } from '../../storage/pictures'

/**
 * Adds a photograph of a print: the file as it is, a small one made off the main thread, and a line in the log.
 *
 * @throws CoreError `unreadable-picture`; nothing is stored then.
 */
export async function addPhoto(sheetId: string, file: File): Promise<void> {
  const worker = startWorker.thumbnail()
  const { thumbnail, mime, widthPixels, heightPixels, sha256 } = await callWorker<Blob, ThumbnailAnswer>(
    worker,
    file,
  )
  const photo = Photo.parse({
    id: uuid(),
    sheetId,
    takenAt: Date.now(),
    mime,
    widthPixels,
    heightPixels,
    bytes: file.size,
    ...(sha256 && { sha256 }),
    note: file.name.slice(0, 200),
  })
  await db.transaction('rw', [db.photos, db.packs, db.logBundles, db.standingBundles], async () => {
    await db.photos.add(photo)
    await storePictures(db, [{ id: photo.id, original: file, thumbnail }])
    await append(sheetId, { type: 'photographed', photoId: photo.id })
  })
}
