import { sha256 } from '@noble/hashes/sha2.js'
import { bytesToHex } from '@noble/hashes/utils.js'
import { refusalOf, type Refusal } from '@core/errors'
import { readArchive, writeArchive, type Workroom } from '@core/record/archive'
import { checkPictures, checkWorkroom, type Flaw, type StoredPicture } from '@core/record/integrity'
import { planMerge, summaryOf, type MergeSummary } from '@core/record/merge'
import { rebuildStandings } from '../data/standings'
import { allRecords, calledOff, writeImport } from '../data/holdings'
import { WorkroomDb } from '../data/workroomDb'

/** Long work over a whole workroom. An archive that was read stays here until it is taken in or left. */
export type ArchiveQuestion =
  | { act: 'read'; file: Blob }
  | { act: 'take'; theirs: readonly string[] }
  | { act: 'write'; name: string; at: number }
  | { act: 'check' }
  | { act: 'mend'; sheetIds: readonly string[] }
  | { act: 'stop' }

export type ArchiveWord =
  | { word: 'progress'; share: number; doing: string }
  | { word: 'read'; summary: MergeSummary }
  | { word: 'written'; file: Blob }
  | { word: 'checked'; flaws: Flaw[]; looked: number }
  | { word: 'done' }
  | { word: 'refused'; refusal: Refusal }

// The name of the worker says which workroom it is for: the demo's, or one's own.
const db = new WorkroomDb(self.name)
let held: Workroom | null = null
let isStopped = false

const say = (word: ArchiveWord) => postMessage(word)
let saidAt = 0
const progress = (share: number, doing: string) => {
  const now = performance.now()
  if (now - saidAt < 80 && share < 1) return
  saidAt = now
  say({ word: 'progress', share, doing })
}
const pulse = () => {
  if (isStopped) throw calledOff()
}
/** Lets a stop be heard between two pieces of work that never wait by themselves. */
const breathe = async () => {
  await new Promise((resolve) => setTimeout(resolve))
  pulse()
}
const bytesOf = async (blob: Blob) => new Uint8Array(await blob.arrayBuffer())

async function read(file: Blob): Promise<void> {
  progress(0, 'unpacking')
  const bytes = await bytesOf(file)
  await breathe()
  held = readArchive(bytes)
  progress(0.7, 'comparing')
  await breathe()
  say({ word: 'read', summary: summaryOf(planMerge(await allRecords(db), held.records)) })
}

async function write(name: string, at: number): Promise<void> {
  progress(0, 'reading')
  const records = await allRecords(db)
  const pixels = new Map<string, { original: Uint8Array; thumbnail: Uint8Array }>()
  const ids = records.photos.map((photo) => photo.id)
  for (let from = 0; from < ids.length; from += 200) {
    for (const row of await db.pixels.bulkGet(ids.slice(from, from + 200)))
      if (row)
        pixels.set(row.id, { original: await bytesOf(row.original), thumbnail: await bytesOf(row.thumbnail) })
    progress((0.6 * from) / ids.length, 'reading')
    await breathe()
  }
  progress(0.6, 'packing')
  const bytes = writeArchive({ records, pixels }, name, at)
  say({ word: 'written', file: new Blob([bytes as Uint8Array<ArrayBuffer>], { type: 'application/zip' }) })
}

async function check(): Promise<void> {
  progress(0, 'reading')
  const records = await allRecords(db)
  const standings = new Map((await db.standings.toArray()).map((row) => [row.sheetId, row.state]))
  const looking = checkWorkroom(records, standings)
  let step = looking.next()
  while (!step.done) {
    progress(0.1 + 0.6 * step.value, 'looking through records')
    await breathe()
    step = looking.next()
  }
  const stored: StoredPicture[] = []
  const keys = await db.pixels.toCollection().primaryKeys()
  const photos = new Map(records.photos.map((photo) => [photo.id, photo]))
  for (let from = 0; from < keys.length; from += 100) {
    for (const row of await db.pixels.bulkGet(keys.slice(from, from + 100)))
      if (row) stored.push(await pictureOf(row.id, row.original, row.thumbnail, photos.get(row.id)?.sha256 !== undefined)) // prettier-ignore
    progress(0.7 + (0.3 * from) / keys.length, 'looking at pictures')
    await breathe()
  }
  const flaws = [...step.value, ...checkPictures(records.photos, stored)]
  const looked = Object.values(records).reduce((sum, list) => sum + list.length, 0) + stored.length
  say({ word: 'checked', flaws, looked })
}

/** Only what can be compared is summed: pictures that were added before sums were kept have none. */
async function pictureOf(
  id: string,
  original: Blob,
  thumbnail: Blob,
  isSummed: boolean,
): Promise<StoredPicture> {
  try {
    // Reading the bytes is the test: a blob whose file is gone throws.
    const bytes = await bytesOf(original)
    return {
      id,
      bytes: bytes.length,
      sha256: isSummed ? bytesToHex(sha256(bytes)) : '',
      hasThumbnail: thumbnail.size > 0,
    }
  } catch {
    return { id, bytes: 0, sha256: '', hasThumbnail: false }
  }
}

async function answer(question: Exclude<ArchiveQuestion, { act: 'stop' }>): Promise<void> {
  isStopped = false
  switch (question.act) {
    case 'read':
      return read(question.file)
    case 'take':
      if (held) await writeImport(db, held, new Set(question.theirs), progress, pulse)
      held = null
      return say({ word: 'done' })
    case 'write':
      return write(question.name, question.at)
    case 'check':
      return check()
    case 'mend':
      await rebuildStandings(db, question.sheetIds)
      return say({ word: 'done' })
  }
}

addEventListener('message', ({ data }: MessageEvent<ArchiveQuestion>) => {
  if (data.act === 'stop') isStopped = true
  else answer(data).catch((error: unknown) => say({ word: 'refused', refusal: refusalOf(error, 'archive') }))
})
