import 'fake-indexeddb/auto'
import Dexie from 'dexie'
import { sha256 } from '@noble/hashes/sha2.js'
import { bytesToHex } from '@noble/hashes/utils.js'
import { jpeg, workroom } from '@core/fixtures/workroom'
import { T0, uuid } from '@core/fixtures/logs'
import { writeArchive } from '@core/archive/archive'
import { readArchive, type ReadWorkroom } from '@core/archive/archiveReading'
import { eventsIn } from '@core/archive/logs'
import { calledOff, contentsOf, writeImport, type Damage } from '../storage/holdings'
import { picturesIn } from '../storage/pictures'
import { WorkroomDb } from '../storage/workroomDb'
import { damageOf, writeParts } from './archiveParts'
import { lookAtLogs, type LogsQuestion } from './lookAtLogs'
import type { Pace } from './pace'

/** Puts a row into a database without any guard. */
async function unchecked(name: string, table: string, row: unknown): Promise<void> {
  const plain = await new Dexie(name).open()
  await plain.table(table).put(row)
  plain.close()
}

const PHOTOS = [50, 51, 52, 53, 54].map(uuid)
const bytesOf = (n: number) => new Uint8Array([...jpeg, n])
/** The workroom with five photographs, each of bytes of its own. */
function room() {
  const { records, pixels } = workroom()
  const [photo] = records.photos
  records.photos = PHOTOS.map((id, n) => ({ ...photo!, id, bytes: bytesOf(n).length }))
  for (const [n, id] of PHOTOS.entries()) pixels.set(id, { original: bytesOf(n), thumbnail: jpeg })
  return { records, pixels }
}

const pace: Pace = { progress: () => undefined, pulse: () => undefined, breathe: () => Promise.resolve() }
/** Without workers: the same work, in this thread. */
const readers = { ask: async (make: () => LogsQuestion) => lookAtLogs(make()) }
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
  const { files, bare } = await writeParts(db, about, readers, pace, most)
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
    const [row] = await db.packs.toArray()
    const gone = { arrayBuffer: () => Promise.reject(new Error('gone')) } as Blob
    jest.spyOn(db.packs, 'get').mockImplementation(() => Promise.resolve({ ...row!, bytes: gone }) as never)
    const { files, bare } = await writeParts(db, about, readers, pace)
    expect([files.length, bare]).toEqual([1, 5])
  })

  it('asks a slow disk twice before it takes a file for gone', async () => {
    jest.spyOn(Blob.prototype, 'arrayBuffer').mockRejectedValueOnce(new Error('busy'))
    expect((await writeParts(db, about, readers, pace)).bare).toBe(0)
  })

  it('can be called off between two pieces', async () => {
    let pieces = 0
    const breathe = () => (++pieces > 3 ? Promise.reject(calledOff()) : Promise.resolve())
    await expect(writeParts(db, about, readers, { ...pace, breathe }, TWO)).rejects.toThrow(
      expect.objectContaining({ code: 'called-off' }),
    )
  })

  it('says how far it is, and never goes back', async () => {
    const shares: number[] = []
    await writeParts(db, about, readers, { ...pace, progress: (share) => shares.push(share) }, TWO)
    expect(shares).toEqual([...shares].sort((a, b) => a - b))
    expect(shares.at(-1)).toBeLessThanOrEqual(1)
    expect(shares.length).toBeGreaterThan(6)
  })
})

describe('an archive that was written', () => {
  it('says what was stored when it is read back, or it does not count as written', async () => {
    // What comes back of the file is one line short of what went into it.
    const short = {
      ask: async (make: () => LogsQuestion) => {
        const found = await lookAtLogs(make())
        return { ...found, logs: found.logs.map((log) => ({ ...log, lines: log.lines.slice(0, log.lines.lastIndexOf('\n')) })) } // prettier-ignore
      },
    }
    await expect(writeParts(db, about, short, pace)).rejects.toMatchObject({ code: 'not-as-written' })
  })

  it('is repaired first where something stored could not be read again; what was wrong is kept', async () => {
    // As an older version stored it: past the guard that every write goes through now.
    const bad = { id: uuid(70), lightId: uuid(5), at: T0, what: { type: 'read', milliwattsPerCm2: 4820, by: 'typed' }, note: '' } // prettier-ignore
    const [sheet] = await db.sheets.toArray()
    await unchecked('here', 'lightEntries', bad)
    await unchecked('here', 'sheets', { ...sheet, title: '' })
    const [log] = await db.logs.textsOf([sheet!.id])
    await db.logs.put(sheet!.id, 99, `${log![1]}\n{"half of a li`)

    const { files, repaired } = await writeParts(db, about, readers, pace)
    expect(repaired.map(({ kind, outcome }) => [kind, outcome]).sort()).toEqual([
      ['lightEntries', 'setAside'],
      ['log', 'setAside'],
      ['sheets', 'repaired'],
    ])
    const read = readArchive(new Uint8Array(await files[0]!.arrayBuffer()))
    expect(read.notes).toEqual([])
    expect(read.logs.get(sheet!.id)?.lines).toBe(log![1])
    expect(read.records.sheets.map(({ title }) => title)).toEqual(['(no title)'])
    const originals = read.records.setAside.map((one) => one.original)
    expect(originals).toContain(JSON.stringify(bad))
    expect(originals).toContain('{"half of a li')
    // It is written as it is stored now, and a second time there is nothing to repair.
    await writeImport(other, read, new Set())
    expect(await contentsOf(other)).toEqual(await contentsOf(db))
    expect((await writeParts(db, about, readers, pace)).repaired).toEqual([])
  })
})

describe('pictures that a disk has spoilt', () => {
  const archive = () => readArchive(writeArchive(room(), 'Test', T0))
  const summed = () =>
    room().records.photos.map((photo, n) => ({ ...photo, sha256: bytesToHex(sha256(bytesOf(n))) }))
  const damage = (photos = room().records.photos, theirs = archive()) =>
    damageOf(db, photos, theirs.pixels, pace)
  /** Writes other bytes over the file in which all pictures are. */
  const overwrite = async (change: (bytes: Uint8Array) => Uint8Array) => {
    const [row] = await db.packs.toArray()
    const bytes = new Uint8Array(await row!.bytes.arrayBuffer())
    await db.packs.put({ ...row!, bytes: new Blob([change(bytes) as Uint8Array<ArrayBuffer>]) })
  }
  const corrected = async (found: Omit<Damage, 'rows'>, theirs = archive()) => {
    const rows = { logs: [], standings: [] }
    await writeImport(db, theirs, new Set(), undefined, undefined, { ...found, rows })
    return picturesOf(db)
  }
  const whole = new Map(PHOTOS.map((id, n) => [id, [...bytesOf(n)]]))

  it('are none where none is', async () => {
    expect(await damage(summed())).toEqual({ spoilt: [], gone: new Set() })
  })

  it('one that changed is told by its sum, and gets the archive’s in its place', async () => {
    await overwrite((bytes) => { bytes[8] = 77; return bytes }) // prettier-ignore
    expect(await damage()).toEqual({ spoilt: [], gone: new Set() })
    const found = await damage(summed())
    expect(found).toEqual({ spoilt: [PHOTOS[0]], gone: new Set() })
    expect(await corrected(found)).toEqual(whole)
  })

  it('one that is no picture any more, and those that were cut off', async () => {
    await overwrite((bytes) => { bytes[0] = 0; return bytes.slice(0, 60) }) // prettier-ignore
    const found = await damage()
    expect(found.spoilt).toEqual([PHOTOS[0], PHOTOS[3], PHOTOS[4]])
    expect(await corrected(found)).toEqual(whole)
  })

  it('a file that is gone: what the archive has comes back, and what it has not is gone', async () => {
    const [part] = (await written(TWO)).parts
    const reading = jest.spyOn(Blob.prototype, 'arrayBuffer').mockRejectedValue(new Error('gone'))
    const found = await damage(room().records.photos, part)
    reading.mockRestore()
    expect(found).toEqual({ spoilt: PHOTOS.slice(0, 2), gone: new Set(PHOTOS) })
    expect(await corrected(found, part)).toEqual(new Map([...whole].slice(0, 2)))
  })

  it('the archive’s is not taken where it is not what was added either', async () => {
    await overwrite((bytes) => { bytes[8] = 77; return bytes }) // prettier-ignore
    const other = room()
    other.pixels.set(PHOTOS[0]!, { original: new Uint8Array([...jpeg, 88]), thumbnail: jpeg })
    expect((await damage(summed(), readArchive(writeArchive(other, 'Test', T0)))).spoilt).toEqual([])
    other.pixels.set(PHOTOS[0]!, { original: new Uint8Array([...jpeg, 8, 8]), thumbnail: jpeg })
    expect((await damage(summed(), readArchive(writeArchive(other, 'Test', T0)))).spoilt).toEqual([])
  })
})
