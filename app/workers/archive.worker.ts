import { bytesToHex } from '@noble/hashes/utils.js'
import { refusalOf, type Refusal } from '@core/errors'
import { archiveFiles, packArchive, sumsOf, type PhotoPixels } from '@core/record/archive'
import { checkSums, openArchive, recordsIn, type ReadWorkroom } from '@core/record/archiveReading'
import { checkPictures, checkWorkroom, type Flaw, type StoredPicture } from '@core/record/integrity'
import { planMerge, summaryOf, type MergeSummary } from '@core/record/merge'
import { rebuildStandings } from '../data/standings'
import { allRecords, calledOff, writeImport } from '../data/holdings'
import { WorkroomDb, type PixelsRow } from '../data/workroomDb'

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
  | { word: 'read'; summary: MergeSummary; missing: number }
  | { word: 'written'; file: Blob }
  | { word: 'checked'; flaws: Flaw[]; looked: number }
  | { word: 'done' }
  | { word: 'refused'; refusal: Refusal }

// The name of the worker says which workroom it is for: the demo's, or one's own.
const db = new WorkroomDb(self.name)
let held: ReadWorkroom | null = null
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

/** Runs long work piece by piece. @param from share that is done before it. @param to share when it is done. */
async function run<Result>(
  work: Generator<number, Result>,
  doing: string,
  from: number,
  to: number,
): Promise<Result> {
  let step = work.next()
  while (!step.done) {
    progress(from + (to - from) * step.value, doing)
    await breathe()
    step = work.next()
  }
  return step.value
}

/** Checksums by the browser's own means, which it offers only to pages it takes for safe. */
async function fastSums(files: ReadonlyMap<string, Uint8Array>): Promise<Map<string, string>> {
  if (!('subtle' in crypto)) return sumsOf(files)
  const sums = new Map<string, string>()
  const all = [...files]
  for (let from = 0; from < all.length; from += 500) {
    const found = await Promise.all(
      all
        .slice(from, from + 500)
        .map(
          async ([path, bytes]) =>
            [path, await crypto.subtle.digest('SHA-256', bytes as BufferSource)] as const,
        ),
    )
    for (const [path, sum] of found) sums.set(path, bytesToHex(new Uint8Array(sum)))
    pulse()
  }
  return sums
}

async function read(file: Blob): Promise<void> {
  progress(0, 'unpacking')
  const open = openArchive(await bytesOf(file))
  await breathe()
  // The browser sums up files on threads of its own, while every record is looked at here.
  const sums = fastSums(open.files).then((found) => checkSums(open, found))
  // A refusal may come before anybody waits for it.
  sums.catch(() => undefined)
  try {
    held = await run(recordsIn(open), 'looking at every record', 0.3, 0.95)
  } catch (error) {
    // That a file was damaged on its way says more than what the damage did to its records.
    await sums
    throw error
  }
  await sums
  progress(0.95, 'comparing')
  await breathe()
  const here = await allRecords(db)
  const have = new Set(await db.pixels.toCollection().primaryKeys())
  const known = new Set(here.photos.map((photo) => photo.id))
  const missing = held.records.photos.filter(({ id }) => known.has(id) && !have.has(id)).length
  say({ word: 'read', summary: summaryOf(planMerge(here, held.records)), missing })
}

async function write(name: string, at: number): Promise<void> {
  progress(0, 'reading')
  const records = await allRecords(db)
  const pixels = new Map<string, PhotoPixels>()
  await eachPicture((row, original, thumbnail) => pixels.set(row.id, { original, thumbnail }), 0, 0.5)
  const files = archiveFiles({ records, pixels })
  progress(0.6, 'summing')
  await breathe()
  const sums = await fastSums(files)
  progress(0.7, 'packing')
  await breathe()
  const bytes = packArchive(files, sums, name, at)
  say({ word: 'written', file: new Blob([bytes as Uint8Array<ArrayBuffer>], { type: 'application/zip' }) })
}

/** Reads pack after pack. What cannot be read has no bytes: a file that is gone throws. */
async function eachPicture(
  take: (row: PixelsRow, original: Uint8Array, thumbnail: Uint8Array) => void,
  from: number,
  to: number,
): Promise<void> {
  const packs = await db.packs.toCollection().primaryKeys()
  for (const [i, id] of packs.entries()) {
    const pack = await db.packs.get(id)
    const bytes = pack ? await bytesOf(pack.bytes).catch(() => NOTHING) : NOTHING
    for (const row of await db.pixels.where('pack').equals(id).toArray())
      take(row, bytes.subarray(...row.original), bytes.subarray(...row.thumbnail))
    progress(from + ((to - from) * (i + 1)) / packs.length, 'looking at pictures')
    await breathe()
  }
}
const NOTHING = new Uint8Array()

async function check(): Promise<void> {
  progress(0, 'reading')
  const records = await allRecords(db)
  const standings = new Map((await db.standings.toArray()).map((row) => [row.sheetId, row.state]))
  const flaws = await run(checkWorkroom(records, standings), 'looking through records', 0.1, 0.7)
  // Only what can be compared is summed: pictures that were added before sums were kept have none.
  const summed = new Set(
    records.photos.filter((photo) => photo.sha256 !== undefined).map((photo) => photo.id),
  )
  const stored: StoredPicture[] = []
  const files = new Map<string, Uint8Array>()
  await eachPicture(
    ({ id }, original, thumbnail) => {
      stored.push({ id, bytes: original.length, sha256: '', hasThumbnail: thumbnail.length > 0 })
      if (summed.has(id)) files.set(id, original)
    },
    0.7,
    0.95,
  )
  const sums = await fastSums(files)
  for (const picture of stored) picture.sha256 = sums.get(picture.id) ?? ''
  flaws.push(...checkPictures(records.photos, stored))
  const looked = Object.values(records).reduce((sum, list) => sum + list.length, 0) + stored.length
  say({ word: 'checked', flaws, looked })
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
