import 'fake-indexeddb/auto'
import { jpeg, T0, uuid, workroom } from '@core/fixtures/workroom'
import { writeArchive } from '@core/record/archive'
import { readArchive, type ReadWorkroom } from '@core/record/archiveReading'
import { eventsIn } from '@core/record/logs'
import { calledOff, contentsOf, writeImport } from '../data/holdings'
import { picturesIn } from '../data/pictures'
import { WorkroomDb } from '../data/workroomDb'
import { writeParts, type Pace } from './archiveParts'

const PHOTOS = [50, 51, 52, 53, 54].map(uuid)
/** The workroom with five photographs, each of bytes of its own. */
function room() {
  const { records, pixels } = workroom()
  const [photo] = records.photos
  const bytesOf = (n: number) => new Uint8Array([...jpeg, n])
  records.photos = PHOTOS.map((id, n) => ({ ...photo!, id, bytes: bytesOf(n).length }))
  for (const [n, id] of PHOTOS.entries()) pixels.set(id, { original: bytesOf(n), thumbnail: jpeg })
  return { records, pixels }
}

const pace: Pace = { progress: () => undefined, pulse: () => undefined, breathe: () => Promise.resolve() }
const about = { name: 'Test', at: T0 }
/** Two pictures of ten bytes, with their small ones of nine. */
const TWO = { bytes: 40, pictures: 100 }

let db: WorkroomDb
let other: WorkroomDb
beforeEach(async () => {
  db = new WorkroomDb('here')
  other = new WorkroomDb('elsewhere')
  await writeImport(db, readArchive(writeArchive(room(), 'Test', T0)), new Set())
})
afterEach(() => Promise.all([db.delete(), other.delete()]))

async function written(most?: typeof TWO): Promise<{ parts: ReadWorkroom[]; bare: number }> {
  const { files, bare } = await writeParts(db, about, pace, most)
  const parts = await Promise.all(
    files.map(async (file) => readArchive(new Uint8Array(await file.arrayBuffer()))),
  )
  return { parts, bare }
}
const picturesOf = async (from: WorkroomDb) =>
  new Map(
    await Promise.all(
      [...(await picturesIn(from, PHOTOS, 'original'))].map(
        async ([id, file]) => [id, [...new Uint8Array(await file.arrayBuffer())]] as const,
      ),
    ),
  )

describe('an archive in parts', () => {
  it('is one file while one holds it', async () => {
    const { parts, bare } = await written()
    expect(parts.map(({ part, pixels }) => [part, pixels.size])).toEqual([[undefined, 5]])
    expect(bare).toBe(0)
  })

  it('holds every record in each part, and each picture once', async () => {
    const { parts, bare } = await written(TWO)
    expect(parts.map(({ part }) => part)).toEqual([1, 2, 3].map((number) => ({ number, of: 3 })))
    expect(parts.flatMap(({ pixels }) => [...pixels.keys()]).sort()).toEqual(PHOTOS)
    const { events, ...records } = room().records
    for (const part of parts) {
      expect(part.records).toEqual(records)
      expect([...part.logs.values()].flatMap(eventsIn)).toEqual(events)
    }
    expect(bare).toBe(0)
  })

  it.each([[[0, 1, 2]], [[2, 0, 1]], [[1, 2, 0]]])('comes in whole in the order %j', async (order) => {
    const { parts } = await written(TWO)
    for (const [come, n] of order.entries()) {
      await writeImport(other, parts[n]!, new Set())
      expect((await picturesOf(other)).size).toBe(order.slice(0, come + 1).reduce((sum, one) => sum + parts[one]!.pixels.size, 0)) // prettier-ignore
    }
    expect(await picturesOf(other)).toEqual(await picturesOf(db))
    expect(await contentsOf(other)).toEqual(await contentsOf(db))
    // A part that comes in a second time brings nothing.
    const packs = await other.packs.count()
    await writeImport(other, parts[0]!, new Set())
    expect(await other.packs.count()).toBe(packs)
  })

  it('is written though a picture is gone, and says how many', async () => {
    const [row] = await db.packs.toArray()
    const spans = row!.spans.map((span, i) => (row!.photoIds[i] === PHOTOS[1] ? { original: [0, 0], thumbnail: [0, 0] } as const : span)) // prettier-ignore
    await db.packs.put({ ...row!, spans: [...spans] })
    const { parts, bare } = await written()
    expect(bare).toBe(1)
    expect([...parts[0]!.pixels.keys()].sort()).toEqual(PHOTOS.filter((id) => id !== PHOTOS[1]))
    expect(parts[0]!.records.photos).toHaveLength(5)

    // It comes in without it, and an older archive brings it later.
    await writeImport(other, parts[0]!, new Set())
    expect((await picturesOf(other)).has(PHOTOS[1]!)).toBe(false)
    await writeImport(other, readArchive(writeArchive(room(), 'Older', T0)), new Set())
    expect((await picturesOf(other)).get(PHOTOS[1]!)).toEqual([...jpeg, 1])
  })

  it('is written though the whole file of pictures is gone', async () => {
    jest.spyOn(Blob.prototype, 'arrayBuffer').mockRejectedValueOnce(new Error('gone'))
    const { files, bare } = await writeParts(db, about, pace)
    expect([files.length, bare]).toEqual([1, 5])
  })

  it('can be called off between two pieces', async () => {
    let pieces = 0
    const breathe = () => (++pieces > 3 ? Promise.reject(calledOff()) : Promise.resolve())
    await expect(writeParts(db, about, { ...pace, breathe }, TWO)).rejects.toThrow(
      expect.objectContaining({ code: 'called-off' }),
    )
  })

  it('says how far it is, and never goes back', async () => {
    const shares: number[] = []
    await writeParts(db, about, { ...pace, progress: (share) => shares.push(share) }, TWO)
    expect(shares).toEqual([...shares].sort((a, b) => a - b))
    expect(shares.at(-1)).toBeLessThanOrEqual(1)
    expect(shares.length).toBeGreaterThan(6)
  })
})
