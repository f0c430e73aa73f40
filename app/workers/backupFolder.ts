import { isPicture, photoPath, thumbnailPath, type PhotoPixels } from '@core/archive/archive'
import type { ReadWorkroom } from '@core/archive/archiveReading'
import type { Photo } from '@core/schema/records'
import type { SalvageNote } from '@core/archive/salvage'
import { picturedIds, packsOf, storePictures } from '../storage/pictures'
import type { WorkroomDb } from '../storage/workroomDb'
import { readArchiveFile } from './archiveFile'
import { eachPicture, noBackup, notAsWritten, writeParts, type Written } from './archiveParts'
import type { LogsReader } from './lookAtLogs'
import { within, type Pace } from './pace'
import { sumOf } from './sums'

/**
 * A folder of backups: an archive of every record and log a backup, and beside them each picture once, in the folders
 * that an archive has them in.
 */
type Folder = FileSystemDirectoryHandle

/** Backups that stay; older ones are removed once a new one was read back. */
export const KEPT = 10

const BACKUP = /^ember-sheet-\d{8}T\d{6}Z\.zip$/

/** `ember-sheet-20261129T180512Z.zip`: in the order of their names they are in the order of time. */
export const backupName = (at: number): string =>
  `ember-sheet-${new Date(at).toISOString().slice(0, 19).replaceAll(/[-:]/g, '')}Z.zip`

/** What was written into a folder. */
export interface FolderBackup extends Pick<Written, 'silent' | 'repaired'> {
  name: string
  /** Pictures that were not there before. */
  newPictures: number
  /** Photographs that have no picture any more, here or in the folder. */
  bare: number
}

/**
 * Backs a workroom up into a folder: pictures that are not there yet, then every record and log. All of it is read back.
 *
 * @throws CoreError `not-as-written`, and what the browser throws where the folder is gone or may not be written.
 */
export async function backUpInto(
  db: WorkroomDb,
  folder: Folder,
  { name, at }: { name: string; at: number },
  readers: LogsReader,
  pace: Pace,
): Promise<FolderBackup> {
  const photos = await db.photos.toArray()
  const { written, there } = await writePictures(db, folder, photos, within(pace, 0, 0.5))
  const archive = await writeParts(db, { name, at, withoutPictures: true }, readers, within(pace, 0.5, 0.8))
  const file = backupName(at)
  const [bytes] = archive.files
  if (!bytes) throw notAsWritten('No file was written.')
  await write(folder, [file], bytes)
  // Once more from the disk: it may be another one, or full.
  const again = await (await folder.getFileHandle(file)).getFile()
  if ((await sumOfFile(again)) !== (await sumOfFile(bytes)))
    throw notAsWritten(`“${file}” differs from what was written.`)
  await readArchiveFile(again, readers, within(pace, 0.8, 0.98))
  const backups = await backupsIn(folder)
  for (const old of backups.slice(0, -KEPT)) await folder.removeEntry(old)
  pace.progress(1, 'done')
  return {
    name: file,
    newPictures: written,
    bare: photos.filter(({ id }) => !there.has(id)).length,
    silent: archive.silent,
    repaired: archive.repaired,
  }
}

/** Names of the backups in a folder, the oldest first. */
export async function backupsIn(folder: Folder): Promise<string[]> {
  const names: string[] = []
  for await (const name of folder.keys()) if (BACKUP.test(name)) names.push(name)
  return names.sort()
}

/** Writes pictures that a folder has not got, or not whole. @returns those that are there now. */
async function writePictures(
  db: WorkroomDb,
  folder: Folder,
  photos: readonly Photo[],
  pace: Pace,
): Promise<{ written: number; there: Set<string> }> {
  const there = new Set<string>()
  const missing = new Map<string, Photo>()
  const sizes = await sizesIn(folder)
  for (const photo of photos)
    if (sizes.get(photoPath(photo)) === photo.bytes && sizes.get(thumbnailPath(photo))) there.add(photo.id)
    else missing.set(photo.id, photo)
  if (!missing.size) return { written: 0, there }
  const found: { photo: Photo; pixels: PhotoPixels }[] = []
  const flush = async () => {
    for (const { photo, pixels } of found.splice(0)) {
      pace.pulse()
      await write(folder, photoPath(photo).split('/'), pixels.original)
      await write(folder, thumbnailPath(photo).split('/'), pixels.thumbnail)
      const back = await pixelsIn(folder, photo)
      if (!back || (await sumOf(back.original)) !== (await sumOf(pixels.original)))
        throw notAsWritten(`“${photoPath(photo)}” differs from what was written.`)
      there.add(photo.id)
    }
  }
  const wanted = new Set(missing.keys())
  const packed: Pace = {
    ...pace,
    // Between two packs, so that no more than one is held.
    breathe: async () => {
      await flush()
      await pace.breathe()
    },
  }
  const take = (id: string, pixels: PhotoPixels) => {
    const photo = missing.get(id)
    if (photo && isPicture(photo, pixels)) found.push({ photo, pixels })
  }
  const before = there.size
  await eachPicture(db, take, packed, wanted)
  return { written: there.size - before, there }
}

/** Size of every picture in a folder, by its path. */
async function sizesIn(folder: Folder): Promise<Map<string, number>> {
  const sizes = new Map<string, number>()
  for (const name of ['photos', 'thumbnails']) {
    const inner = await folder.getDirectoryHandle(name, { create: true })
    for await (const [file, handle] of inner.entries())
      if (handle.kind === 'file') sizes.set(`${name}/${file}`, (await handle.getFile()).size)
  }
  return sizes
}

async function write(folder: Folder, path: readonly string[], bytes: Blob | Uint8Array): Promise<void> {
  const [first, ...rest] = path as [string, ...string[]]
  if (rest.length) return write(await folder.getDirectoryHandle(first, { create: true }), rest, bytes)
  const writing = await (await folder.getFileHandle(first, { create: true })).createWritable()
  await writing.write(bytes as Blob | BufferSource as FileSystemWriteChunkType)
  await writing.close()
}

async function read(folder: Folder, path: readonly string[]): Promise<Uint8Array | null> {
  const [first, ...rest] = path as [string, ...string[]]
  try {
    if (rest.length) return await read(await folder.getDirectoryHandle(first), rest)
    const file = await (await folder.getFileHandle(first)).getFile()
    return new Uint8Array(await file.arrayBuffer())
  } catch (error) {
    if (error instanceof DOMException && error.name === 'NotFoundError') return null
    throw error
  }
}

/** The pictures of a photograph in a folder, where both are there and what they should be. */
async function pixelsIn(folder: Folder, photo: Photo): Promise<PhotoPixels | null> {
  const original = await read(folder, photoPath(photo).split('/'))
  const thumbnail = await read(folder, thumbnailPath(photo).split('/'))
  if (!original || !thumbnail || !isPicture(photo, { original, thumbnail })) return null
  if (photo.sha256 !== undefined && (await sumOf(original)) !== photo.sha256) return null
  return { original, thumbnail }
}

const sumOfFile = async (file: Blob) => sumOf(new Uint8Array(await file.arrayBuffer()))

/** A backup that was read from a folder. */
export interface FolderRead {
  name: string
  archive: ReadWorkroom
  /** Newer ones that could not be read, and why. */
  skipped: { name: string; problem: string }[]
}

/**
 * Reads the newest backup of a folder that can be read.
 *
 * @throws CoreError `no-backup` where there is none.
 */
export async function readNewest(folder: Folder, readers: LogsReader, pace: Pace): Promise<FolderRead> {
  const skipped: FolderRead['skipped'] = []
  for (const name of (await backupsIn(folder)).reverse()) {
    try {
      const file = await (await folder.getFileHandle(name)).getFile()
      return { name, archive: await readArchiveFile(file, readers, pace), skipped }
    } catch (error) {
      pace.pulse()
      skipped.push({ name, problem: error instanceof Error ? error.message : String(error) })
    }
  }
  throw noBackup(skipped)
}

/** Pictures of a folder that are not here yet. @returns how many came, and how many the folder has not got. */
export async function bringPictures(
  db: WorkroomDb,
  folder: Folder,
  photos: readonly Photo[],
  pace: Pace,
): Promise<{ brought: number; missing: number }> {
  const have = await picturedIds(db)
  const wanted = photos.filter(({ id }) => !have.has(id))
  let [brought, missing, done] = [0, 0, 0]
  for (const piece of packsOf(wanted, ({ bytes }) => bytes)) {
    const pictures: ({ id: string } & PhotoPixels)[] = []
    for (const photo of piece) {
      const pixels = await pixelsIn(folder, photo)
      if (pixels) pictures.push({ id: photo.id, ...pixels })
      else missing++
    }
    await storePictures(db, pictures)
    brought += pictures.length
    done += piece.length
    pace.progress(done / wanted.length, 'copying pictures')
    await pace.breathe()
  }
  return { brought, missing }
}

/** What trying a restore found. */
export interface TrialReport {
  name: string
  sheets: number
  pictures: number
  /** Pictures that the folder has not got, or not as they were. */
  missingPictures: number
  notes: SalvageNote[]
}

/** Looks at every picture of a backup as a restore would, without keeping any. */
export async function countPictures(
  folder: Folder,
  photos: readonly Photo[],
  pace: Pace,
): Promise<{ pictures: number; missingPictures: number }> {
  let pictures = 0
  for (const [i, photo] of photos.entries()) {
    if (await pixelsIn(folder, photo)) pictures++
    pace.progress(i / photos.length, 'checking pictures')
    await pace.breathe()
  }
  return { pictures, missingPictures: photos.length - pictures }
}
