import 'fake-indexeddb/auto'
import { jpeg, workroom } from '@core/fixtures/workroom'
import { T0, uuid } from '@core/fixtures/logs'
import { writeArchive } from '@core/archive/archive'
import { readArchive } from '@core/archive/archiveReading'
import { contentsOf, writeImport } from '../storage/holdings'
import { picturesIn } from '../storage/pictures'
import { WorkroomDb } from '../storage/workroomDb'
import {
  backupName,
  backupsIn,
  backUpInto,
  bringPictures,
  countPictures,
  KEPT,
  readNewest,
} from './backupFolder'
import { lookAtLogs, type LogsQuestion } from './lookAtLogs'
import type { Pace } from './pace'

/** A folder as a browser gives it to a page, in memory. */
class FakeFolder {
  readonly kind = 'directory'
  readonly files = new Map<string, Blob>()
  readonly folders = new Map<string, FakeFolder>()
  /** A disk that keeps something else than it was given. */
  spoil: ((name: string, bytes: Blob) => Blob) | null = null
  writes: string[] = []

  async getDirectoryHandle(name: string, { create = false } = {}): Promise<FakeFolder> {
    const found = this.folders.get(name) ?? (create ? new FakeFolder() : null)
    if (!found) throw new DOMException('none', 'NotFoundError')
    found.spoil = this.spoil
    found.writes = this.writes
    this.folders.set(name, found)
    return Promise.resolve(found)
  }
  async getFileHandle(name: string, { create = false } = {}) {
    if (!this.files.has(name) && !create) throw new DOMException('none', 'NotFoundError')
    return Promise.resolve({
      kind: 'file',
      getFile: () => Promise.resolve(this.files.get(name)),
      createWritable: () => {
        const pieces: (Blob | Uint8Array<ArrayBuffer>)[] = []
        return Promise.resolve({
          write: (piece: Blob) => Promise.resolve(pieces.push(piece)),
          close: () => {
            const bytes = new Blob(pieces)
            this.writes.push(name)
            this.files.set(name, this.spoil?.(name, bytes) ?? bytes)
            return Promise.resolve()
          },
        })
      },
    })
  }
  removeEntry(name: string): Promise<void> {
    this.files.delete(name)
    return Promise.resolve()
  }
  async *keys() {
    yield* this.files.keys()
    yield* this.folders.keys()
    return Promise.resolve()
  }
  async *entries() {
    for (const name of this.files.keys()) yield [name, await this.getFileHandle(name)] as const
  }
}

const readers = { ask: async (make: () => LogsQuestion) => lookAtLogs(make()) }
const pace: Pace = { progress: () => undefined, pulse: () => undefined, breathe: () => Promise.resolve() }
const PHOTOS = [50, 51, 52].map(uuid)
let db: WorkroomDb
let other: WorkroomDb
let fake: FakeFolder
let folder: FileSystemDirectoryHandle
beforeEach(async () => {
  fake = new FakeFolder()
  folder = fake as unknown as FileSystemDirectoryHandle
  db = new WorkroomDb('here')
  other = new WorkroomDb('elsewhere')
  const { records, pixels } = workroom()
  const [photo] = records.photos
  records.photos = PHOTOS.map((id) => ({ ...photo!, id, bytes: 10 }))
  for (const [n, id] of PHOTOS.entries()) pixels.set(id, { original: new Uint8Array([...jpeg, n]), thumbnail: jpeg }) // prettier-ignore
  await writeImport(db, readArchive(writeArchive({ records, pixels }, 'Test', T0)), new Set())
})
afterEach(() => Promise.all([db.delete(), other.delete()]))

const backUp = (at: number) => backUpInto(db, folder, { name: 'Test', at }, readers, pace)
const originals = async (from: WorkroomDb) =>
  Promise.all(
    [...(await picturesIn(from, PHOTOS, 'original'))].map(async ([id, file]) => [id, ...new Uint8Array(await file.arrayBuffer())]), // prettier-ignore
  )

describe('a folder of backups', () => {
  it('brings everything back into an empty workroom, records, logs and pictures', async () => {
    const backup = await backUp(T0)
    expect(backup).toMatchObject({ name: 'ember-sheet-20260110T090000Z.zip', newPictures: 3, bare: 0 })
    const { name, archive, skipped } = await readNewest(folder, readers, pace)
    expect([name, archive.notes, skipped]).toEqual([backup.name, [], []])
    expect(await countPictures(folder, archive.records.photos, pace)).toEqual({ pictures: 3, missingPictures: 0 }) // prettier-ignore
    await writeImport(other, archive, new Set())
    expect(await bringPictures(other, folder, archive.records.photos, pace)).toEqual({ brought: 3, missing: 0 }) // prettier-ignore
    expect(await contentsOf(other)).toEqual(await contentsOf(db))
    expect(await originals(other)).toEqual(await originals(db))
    expect((await originals(other)).length).toBe(3)
  })

  it('writes a picture once, and again where it is gone or cut short', async () => {
    await backUp(T0)
    expect(fake.writes).toHaveLength(7)
    expect((await backUp(T0 + 1000)).newPictures).toBe(0)
    expect(fake.writes).toHaveLength(8)
    const photos = fake.folders.get('photos')!
    photos.files.delete(`${PHOTOS[0]}.jpg`)
    photos.files.set(`${PHOTOS[1]}.jpg`, new Blob(['cut']))
    expect((await backUp(T0 + 2000)).newPictures).toBe(2)
    const { archive } = await readNewest(folder, readers, pace)
    expect((await countPictures(folder, archive.records.photos, pace)).missingPictures).toBe(0)
  })

  it('keeps the last ten, and leaves alone what is not its own', async () => {
    fake.files.set('letters.zip', new Blob(['dear']))
    for (let n = 0; n < KEPT + 3; n++) await backUp(T0 + n * 1000)
    expect(await backupsIn(folder)).toEqual(Array.from({ length: KEPT }, (_, n) => backupName(T0 + (n + 3) * 1000))) // prettier-ignore
    expect(fake.files.has('letters.zip')).toBe(true)
  })

  it('does not count what the disk has not kept as written', async () => {
    fake.spoil = (name, bytes) => (name.endsWith('.zip') ? bytes.slice(0, -3) : bytes)
    await expect(backUp(T0)).rejects.toMatchObject({ code: 'not-as-written' })
    fake.spoil = (name, bytes) => (name.endsWith('.jpg') ? new Blob([new Uint8Array([...jpeg, 99])]) : bytes)
    fake.folders.clear()
    await expect(backUp(T0)).rejects.toMatchObject({ code: 'not-as-written' })
  })

  it('is read from the newest that can be read, and says which could not', async () => {
    await backUp(T0)
    await backUp(T0 + 5000)
    fake.files.set(backupName(T0 + 9000), new Blob(['half of one']))
    const { name, skipped } = await readNewest(folder, readers, pace)
    expect(name).toBe(backupName(T0 + 5000))
    expect(skipped).toEqual([{ name: backupName(T0 + 9000), problem: expect.stringContaining('not a ZIP') }])
    fake.files.clear()
    await expect(readNewest(folder, readers, pace)).rejects.toMatchObject({ code: 'no-backup' })
  })

  it('says which pictures are missing or damaged in it', async () => {
    await backUp(T0)
    fake.folders.get('thumbnails')!.files.set(`${PHOTOS[2]}.jpg`, new Blob(['none']))
    const { archive } = await readNewest(folder, readers, pace)
    expect(await countPictures(folder, archive.records.photos, pace)).toEqual({ pictures: 2, missingPictures: 1 }) // prettier-ignore
    await writeImport(other, archive, new Set())
    expect(await bringPictures(other, folder, archive.records.photos, pace)).toEqual({ brought: 2, missing: 1 }) // prettier-ignore
  })
})
