import { END_SEARCH, unpackedTotal, ZipLister, type ZipEntry } from '@core/formats/zip'
import {
  isLog,
  logsIn,
  noteFiles,
  openArchive,
  recordsIn,
  unpackedFile,
  type ReadWorkroom,
} from '@core/archive/archiveReading'
import { linked } from '@core/archive/links'
import type { LogLook } from '@core/archive/logReading'
import { Salvage } from '@core/archive/salvage'
import type { LogsAnswer, LogsQuestion, LogsReader } from './lookAtLogs'
import { runInPieces, within, type Pace } from './pace'
import { sumsOfAll } from './sums'

/** Bytes of an archive that are read at once. */
const SLICE = 4 * 2 ** 20

const bytesOf = async (blob: Blob) => new Uint8Array(await blob.arrayBuffer())

/**
 * Reads an archive of any size, a slice at a time, while `readers` look through its logs.
 *
 * @throws CoreError as `readArchive` of core does, and what `pace.pulse` throws.
 */
export async function readArchiveFile(file: Blob, readers: LogsReader, pace: Pace): Promise<ReadWorkroom> {
  const { progress, pulse, breathe } = pace
  const entries = new Map<string, ZipEntry>()
  const [files, sums] = [new Map<string, Uint8Array>(), new Map<string, string>()]
  const looks: { path: string; look: Promise<LogsAnswer> }[] = []
  const count = unpackedTotal()
  const arrived: [path: string, bytes: Uint8Array][] = []
  const [head, tail] = [await bytesOf(file.slice(0, 2)), await bytesOf(file.slice(-END_SEARCH))]
  const lookThrough = (path: string, make: () => LogsQuestion) => {
    const look = readers.ask(make)
    // A refusal may come before anything waits for it.
    look.catch(() => undefined)
    looks.push({ path, look })
  }
  const lister = new ZipLister(head, tail, (path, entry) => {
    entries.set(path, entry)
    if (isLog(path)) {
      // With bytes of its own, since the whole slice would go along with a part of it.
      lookThrough(path, () => ({ path, entry: { ...entry, bytes: entry.bytes.slice() } }))
    } else {
      const unpacked = unpackedFile(path, entry)
      if (!unpacked) return
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
  const salvage = new Salvage(open.manifest.writtenAt)
  noteFiles(open, sums, salvage, (path) => !isLog(path))
  const { oldLogs, ...read } = await runInPieces(
    recordsIn(open.manifest, files, salvage),
    'checking records',
    within(pace, 0.4, 0.5),
  )
  for (const text of oldLogs) lookThrough('records.json', () => ({ text }))

  const logs: LogLook[] = []
  let done = 0
  for (const { path, look } of looks) {
    const answer = await look
    pulse()
    count(answer.bytes)
    if (isLog(path) && answer.sha256 !== undefined) sums.set(path, answer.sha256)
    logs.push(...logsIn(answer, salvage))
    progress(0.5 + (0.45 * ++done) / looks.length, 'checking logs')
  }
  noteFiles(open, sums, salvage, isLog)
  return { ...read, ...linked(read.records, logs, salvage), part: open.manifest.part, notes: salvage.notes }
}
