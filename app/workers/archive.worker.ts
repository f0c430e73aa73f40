import type { Manifest } from '@core/archive/archive'
import type { ReadWorkroom } from '@core/archive/archiveReading'
import { checkLogs, checkPictures, flawsOf, type Flaw, type StoredPicture } from '@core/archive/integrity'
import { planMerge, summaryOf, type MergeSummary } from '@core/archive/merge'
import type { SalvageNote } from '@core/archive/salvage'
import { calledOff, legibleContents, writeImport, type Damage } from '../storage/holdings'
import { picturedIds } from '../storage/pictures'
import { lookAtStored, repairStored } from './repair'
import { rebuildRunStates } from '../storage/runStates'
import { WorkroomDb } from '../storage/workroomDb'
import { readArchiveFile } from './archiveFile'
import { serve, type Call } from './call'
import { damageOf, eachPicture, notAsWritten, writeParts, type Written } from './archiveParts'
import {
  backUpInto,
  bringPictures,
  countPictures,
  readNewest,
  type FolderBackup,
  type TrialReport,
} from './backupFolder'
import { LogReaders } from './logReaders'
import { within, type Pace } from './pace'
import { sumsOfAll } from './sums'

/** Long work over a whole workroom. An archive that was read stays here until it is taken in or left. */
export type ArchiveQuestion =
  | { act: 'read'; file: Blob }
  | { act: 'readFolder'; folder: FileSystemDirectoryHandle }
  | { act: 'backUp'; folder: FileSystemDirectoryHandle; name: string; at: number }
  | { act: 'tryFolder'; folder: FileSystemDirectoryHandle }
  | { act: 'take'; theirs: readonly string[] }
  | { act: 'write'; name: string; at: number }
  | { act: 'check' }
  | { act: 'repair'; sheetIds: readonly string[] }

/** What each question is answered with. */
export interface ArchiveAnswers {
  read: ReadReport
  readFolder: ReadReport
  backUp: FolderBackup
  tryFolder: TrialReport
  /** Pictures that a folder should have had and has not. */
  take: number
  write: Written
  check: { flaws: Flaw[]; looked: number }
  repair: SalvageNote[]
}
export interface ArchiveNews {
  share: number
  doing: string
}

/** What an import would do. */
export interface ReadReport {
  summary: MergeSummary
  part: Manifest['part']
  /** Photographs here whose pictures are missing or damaged, and are in the archive: they come in any case. */
  missing: number
  /** Photographs whose pictures are neither here nor in the archive. */
  bare: number
  /** What in the archive was not as it was written, and what became of it. */
  notes: SalvageNote[]
}

// The name of the worker says which workroom it is for: the demo's, or one's own.
const db = new WorkroomDb(self.name)
let held: (ReadWorkroom & { damage: Damage; folder?: FileSystemDirectoryHandle }) | null = null
/** The question that is being answered; one after the other. */
let call: Call<ArchiveNews> | null = null
let toldAt = 0
const progress = (share: number, doing: string) => {
  const now = performance.now()
  if (now - toldAt < 80 && share < 1) return
  toldAt = now
  call?.tell({ share, doing })
}
const pulse = () => {
  if (call?.isStopped()) throw calledOff()
}
/** Lets a stop be heard between two pieces of work that never wait by themselves. */
const breathe = async () => {
  await new Promise((resolve) => setTimeout(resolve))
  pulse()
}

const pace: Pace = { progress, pulse, breathe }

async function read(theirs: ReadWorkroom, folder?: FileSystemDirectoryHandle): Promise<ReadReport> {
  progress(0.95, 'comparing')
  await breathe()
  const here = await legibleContents(db)
  const have = await picturedIds(db)
  const known = new Set(here.records.photos.map((photo) => photo.id))
  const { pixels, part, notes } = theirs
  const damage = await damageOf(db, here.records.photos, pixels, within(pace, 0.95, 0.99))
  held = { ...theirs, damage: { ...damage, rows: here.lost.rows }, ...(folder && { folder }) }
  for (const id of damage.spoilt) have.delete(id)
  const absent = held.records.photos.filter(({ id }) => !have.has(id))
  const missing = absent.filter(({ id }) => known.has(id) && (pixels.has(id) || folder)).length
  // Pictures of a folder are looked at when they are brought.
  const bare = folder ? 0 : absent.filter(({ id }) => !pixels.has(id)).length
  return { summary: summaryOf(planMerge(here, held)), part, missing, bare, notes }
}

/** @returns pictures that a folder should have had. */
async function take(theirs: readonly string[]): Promise<number> {
  if (!held) return 0
  const { folder, damage, records } = held
  const share = folder ? 0.5 : 1
  await writeImport(db, held, new Set(theirs), within(pace, 0, share).progress, pulse, damage)
  const brought = folder && (await bringPictures(db, folder, records.photos, within(pace, share, 1)))
  held = null
  return brought?.missing ?? 0
}

/** Restores the newest backup of a folder into a database of its own, compares, and removes that again. */
async function tryFolder(folder: FileSystemDirectoryHandle): Promise<TrialReport> {
  const { name, archive } = await withReaders((readers) => readNewest(folder, readers, within(pace, 0, 0.3)))
  const trial = new WorkroomDb(`${self.name}-trial`)
  try {
    await trial.delete()
    await trial.open()
    await writeImport(trial, archive, new Set(), within(pace, 0.3, 0.6).progress, pulse)
    const { added, conflicts, logs } = planMerge(await legibleContents(trial), archive)
    if (conflicts.length || logs.length || Object.values(added).some((list) => list.length))
      throw notAsWritten('The file read back from the folder is not the one that was written.')
  } finally {
    await trial.delete()
  }
  const found = await countPictures(folder, archive.records.photos, within(pace, 0.6, 1))
  return { name, sheets: archive.records.sheets.length, ...found, notes: archive.notes }
}

async function check(): Promise<ArchiveAnswers['check']> {
  const { contents, sound, notes } = await withReaders((readers) =>
    lookAtStored(db, readers, Date.now(), within(pace, 0, 0.5)),
  )
  const { records } = contents
  const summed = records.photos.flatMap((one) => (one.sha256 === undefined ? [] : [one.id]))
  const stored = await storedPictures(new Set(summed))
  pulse()
  const broken = new Set(notes.flatMap((note) => (note.kind === 'log' ? [note.id] : [])))
  const flaws = [
    ...flawsOf(notes),
    ...checkLogs(sound.records, sound.logs, broken, contents.standings, contents.lost.logs),
    ...checkPictures(sound.records.photos, stored),
  ]
  const looked =
    Object.values(records).reduce((sum, list) => sum + list.length, 0) + contents.logs.size + stored.length
  return { flaws, looked }
}

/** Repairs what is stored, or sets it aside, and rebuilds what lists show of sheets. */
async function repair(sheetIds: readonly string[]): Promise<SalvageNote[]> {
  const notes = await withReaders(async (readers) =>
    repairStored(db, await lookAtStored(db, readers, Date.now(), pace)),
  )
  if (sheetIds.length) await rebuildRunStates(db, sheetIds)
  return notes
}

async function withReaders<Result>(work: (readers: LogReaders) => Promise<Result>): Promise<Result> {
  const readers = new LogReaders()
  try {
    return await work(readers)
  } finally {
    readers.leave()
  }
}

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
    within(pace, 0.5, 1),
  )
  const sums = await sumsOfAll(files, pulse)
  return stored.map((one) => ({ ...one, sha256: sums.get(one.id) ?? '' }))
}

serve<ArchiveQuestion, ArchiveAnswers[keyof ArchiveAnswers], ArchiveNews>(
  'archive',
  async (question, own) => {
    call = own
    switch (question.act) {
      case 'read':
        return read(await withReaders((readers) => readArchiveFile(question.file, readers, pace)))
      case 'readFolder': {
        const { archive, skipped } = await withReaders((readers) =>
          readNewest(question.folder, readers, pace),
        )
        // A newer backup that could not be read is said, or an older state would come back without a word.
        const newer = skipped.map(({ name, problem }): SalvageNote => ({ kind: 'file', id: name, name, problem, outcome: 'leftOut' })) // prettier-ignore
        return read({ ...archive, notes: [...newer, ...archive.notes] }, question.folder)
      }
      case 'backUp':
        return withReaders((readers) => backUpInto(db, question.folder, question, readers, pace))
      case 'tryFolder':
        return tryFolder(question.folder)
      case 'take':
        return take(question.theirs)
      case 'write':
        return withReaders((readers) => writeParts(db, question, readers, pace))
      case 'check':
        return check()
      case 'repair':
        return repair(question.sheetIds)
    }
  },
)
