import { refusalOf, type Refusal } from '@core/errors'
import { END_SEARCH, unpackedTotal, unpackEntry, ZipLister, type ZipEntry } from '@core/formats/zip'
import type { Manifest } from '@core/record/archive'
import {
  checkSum,
  isLog,
  openArchive,
  recordsIn,
  soundLines,
  tiedTogether,
  type ReadWorkroom,
} from '@core/record/archiveReading'
import { checkLogs, checkPictures, checkRecords, type Flaw, type StoredPicture } from '@core/record/integrity'
import type { LogLook } from '@core/record/logReading'
import { planMerge, summaryOf, type MergeSummary } from '@core/record/merge'
import { picturedIds } from '../data/pictures'
import { inPieces } from '../data/pieces'
import { standingsAnew } from '../data/standings'
import { calledOff, legibleContents, writeImport, type Damage } from '../data/holdings'
import { WorkroomDb } from '../data/workroomDb'
import { damageOf, eachPicture, writeParts, type Written } from './archiveParts'
import { LogReaders } from './logReaders'
import type { LogsAnswer, LogsQuestion } from './logs.worker'
import { sumsOfAll } from './sums'

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
  | { word: 'read'; report: ReadReport }
  | { word: 'written'; written: Written }
  | { word: 'checked'; flaws: Flaw[]; looked: number }
  | { word: 'done' }
  | { word: 'refused'; refusal: Refusal }

/** What an import would do. */
export interface ReadReport {
  summary: MergeSummary
  part: Manifest['part']
  /** Photographs here whose pictures are missing or damaged, and lie in the archive: they come whatever is chosen. */
  missing: number
  /** Photographs whose pictures are neither here nor in the archive. */
  bare: number
}

// The name of the worker says which workroom it is for: the demo's, or one's own.
const db = new WorkroomDb(self.name)
let held: (ReadWorkroom & { damage: Damage }) | null = null
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

async function read(file: Blob): Promise<void> {
  const readers = new LogReaders()
  const theirs = await wholeArchive(file, readers).finally(() => readers.leave())
  progress(0.95, 'comparing')
  await breathe()
  const here = await legibleContents(db)
  const have = await picturedIds(db)
  const known = new Set(here.records.photos.map((photo) => photo.id))
  const { pixels, part } = theirs
  const damage = await damageOf(db, here.records.photos, pixels, { progress, pulse, breathe })
  held = { ...theirs, damage: { ...damage, rows: here.lost.rows } }
  for (const id of damage.spoilt) have.delete(id)
  const absent = held.records.photos.filter(({ id }) => !have.has(id))
  const missing = absent.filter(({ id }) => known.has(id) && pixels.has(id)).length
  const bare = absent.filter(({ id }) => !pixels.has(id)).length
  say({ word: 'read', report: { summary: summaryOf(planMerge(here, held)), part, missing, bare } })
}

/** Bytes of an archive that are read at once. */
const SLICE = 4 * 2 ** 20

async function wholeArchive(file: Blob, readers: LogReaders): Promise<ReadWorkroom> {
  const entries = new Map<string, ZipEntry>()
  const [files, sums] = [new Map<string, Uint8Array>(), new Map<string, string>()]
  const looks: { path: string; look: Promise<LogsAnswer> }[] = []
  const count = unpackedTotal()
  const arrived: [path: string, bytes: Uint8Array][] = []
  const [head, tail] = [await bytesOf(file.slice(0, 2)), await bytesOf(file.slice(-END_SEARCH))]
  const lookThrough = (path: string, make: () => LogsQuestion) => {
    const look = readers.ask(make)
    // A refusal may come before anybody waits for it.
    look.catch(() => undefined)
    looks.push({ path, look })
  }
  const lister = new ZipLister(head, tail, (path, entry) => {
    entries.set(path, entry)
    if (isLog(path)) {
      // With bytes of its own, since the whole slice would go along with a part of it.
      lookThrough(path, () => ({ path, entry: { ...entry, bytes: entry.bytes.slice() } }))
    } else {
      const unpacked = unpackEntry(path, entry)
      count(unpacked.length)
      files.set(path, unpacked)
      arrived.push([path, unpacked])
    }
  })
  const sliceAt = (at: number) => bytesOf(file.slice(at, at + SLICE))
  // While one slice is listed and summed up, the browser reads the next, and logs are looked through beside this worker.
  let next = sliceAt(0)
  for (let at = 0; at < file.size; at += SLICE) {
    const bytes = await next
    next = sliceAt(at + SLICE)
    lister.push(bytes, at + SLICE >= file.size)
    for (const [path, sum] of await sumsOfAll(arrived.splice(0), pulse)) sums.set(path, sum)
    progress((0.4 * at) / file.size, 'unpacking')
    await breathe()
  }
  const open = openArchive(entries)
  for (const [path, sum] of sums) checkSum(open, path, files.get(path)?.length ?? 0, sum)
  const { oldLogs, ...read } = await run(recordsIn(open.manifest, files), 'looking at every record', 0.4, 0.5)
  for (const text of oldLogs) lookThrough('records.json', () => ({ text }))

  const logs: LogLook[] = []
  let done = 0
  for (const { path, look } of looks) {
    const answer = await look
    pulse()
    count(answer.bytes)
    if (isLog(path)) checkSum(open, path, answer.bytes, answer.sha256)
    logs.push(...soundLines(path, answer))
    progress(0.5 + (0.45 * ++done) / looks.length, 'looking through every log')
  }
  return { ...read, logs: tiedTogether(read.records, logs), part: open.manifest.part }
}

async function check(): Promise<void> {
  progress(0, 'reading')
  const { records, logs, standings, lost } = await legibleContents(db)
  const readers = new LogReaders()
  try {
    const pieces = inPieces(
      [...logs].map(([id, { lines }]): [string, string] => [id, lines]),
      LOGS_TOGETHER,
    )
    let done = 0
    const looking = Promise.all(
      pieces.map(async (stored) => {
        const answer = await readers.ask(() => ({ stored }))
        progress(0.1 + (0.8 * ++done) / pieces.length, 'looking through every log')
        return answer
      }),
    )
    // A stop may come before anybody waits for it.
    looking.catch(() => undefined)
    const flaws = await run(checkRecords(records), 'looking through records', 0.05, 0.1)
    const summed = records.photos.flatMap((one) => (one.sha256 === undefined ? [] : [one.id]))
    const stored = await storedPictures(new Set(summed))
    const found = await looking
    pulse()
    flaws.push(
      ...checkLogs(
        records,
        found.flatMap((one) => one.logs),
        found.flatMap((one) => one.wrong),
        standings,
        lost.logs,
      ),
      ...checkPictures(records.photos, stored),
    )
    const looked =
      Object.values(records).reduce((sum, list) => sum + list.length, 0) + logs.size + stored.length
    say({ word: 'checked', flaws, looked })
  } finally {
    readers.leave()
  }
}

/** Logs that go to a reader together. */
const LOGS_TOGETHER = 100

/** @param summed photographs that can be compared: pictures that were added before sums were kept have none. */
async function storedPictures(summed: ReadonlySet<string>): Promise<StoredPicture[]> {
  const stored: StoredPicture[] = []
  const files = new Map<string, Uint8Array>()
  await eachPicture(
    db,
    (id, { original, thumbnail }) => {
      stored.push({ id, bytes: original.length, sha256: '', hasThumbnail: thumbnail.length > 0 })
      if (summed.has(id)) files.set(id, original)
    },
    { progress, pulse, breathe },
    0.1,
    0.9,
  )
  const sums = await sumsOfAll(files, pulse)
  return stored.map((one) => ({ ...one, sha256: sums.get(one.id) ?? '' }))
}

async function answer(question: Exclude<ArchiveQuestion, { act: 'stop' }>): Promise<void> {
  isStopped = false
  switch (question.act) {
    case 'read':
      return read(question.file)
    case 'take':
      if (held) await writeImport(db, held, new Set(question.theirs), progress, pulse, held.damage)
      held = null
      return say({ word: 'done' })
    case 'write':
      return say({
        word: 'written',
        written: await writeParts(db, question, { progress, pulse, breathe }),
      })
    case 'check':
      return check()
    case 'mend':
      await standingsAnew(db, question.sheetIds)
      return say({ word: 'done' })
  }
}

addEventListener('message', ({ data }: MessageEvent<ArchiveQuestion>) => {
  if (data.act === 'stop') isStopped = true
  else answer(data).catch((error: unknown) => say({ word: 'refused', refusal: refusalOf(error, 'archive') }))
})
