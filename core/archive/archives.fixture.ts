import { sha256 } from '@noble/hashes/sha2.js'
import { bytesToHex } from '@noble/hashes/utils.js'
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate'
import { T0 } from '../fixtures/logs'
import { workroom } from '../fixtures/workroom'
import type { SheetEvent } from '../schema/event'
import type { Holdings, WorkroomRecords } from '../schema/records'
import { writeArchive } from './archive'
import { readArchive } from './archiveReading'
import { eventsIn, logBook } from './logs'

// For the tests of archives: one that is written, read back, and spoilt in every way that a test asks for.

/** A small workroom as an archive. */
export const archive = () => writeArchive(workroom(), 'Test workroom', T0)
/** What was written, its logs as events again. */
export function readBack(bytes: Uint8Array) {
  const { records, logs, pixels } = readArchive(bytes)
  return { records: { ...records, events: [...logs.values()].flatMap(eventsIn) }, pixels }
}
export const contentsOf = ({ events, ...records }: WorkroomRecords) => ({ records, logs: logBook(events) })
/** The lines of every log, by sheet. */
export const linesBySheet = ({ logs }: ReturnType<typeof readArchive>) =>
  Object.fromEntries([...logs].map(([id, { lines }]) => [id, lines]))
export const refusing = (code: string) => expect.objectContaining({ code })

/** Opens an archive, lets a test spoil it, and closes it again, with honest checksums unless told otherwise. */
export function spoiled(spoil: (files: Record<string, Uint8Array>) => void, keepSums = false): Uint8Array {
  const files = unzipSync(archive())
  spoil(files)
  if (!keepSums && files['manifest.json']) {
    const manifest = JSON.parse(strFromU8(files['manifest.json']))
    for (const path of Object.keys(manifest.files ?? {}))
      if (files[path])
        manifest.files[path] = { bytes: files[path].length, sha256: bytesToHex(sha256(files[path])) }
    files['manifest.json'] = strToU8(JSON.stringify(manifest))
  }
  return zipSync(files)
}
export const editJson = (path: string, edit: (json: ReturnType<typeof JSON.parse>) => void) =>
  spoiled((files) => {
    const json = JSON.parse(strFromU8(files[path]!))
    edit(json)
    files[path] = strToU8(JSON.stringify(json))
  })
/** Edits the first file of logs as the events that it holds. */
export const editEvents = (edit: (events: SheetEvent[]) => void) =>
  spoiled((files) => {
    const events = eventsIn({ lines: strFromU8(files['logs/0001.jsonl']!).trim() })
    edit(events)
    files['logs/0001.jsonl'] = strToU8(events.map((event) => `${JSON.stringify(event)}\n`).join(''))
  })
export const editLogs = (edit: (text: string) => string) =>
  spoiled((files) => {
    files['logs/0001.jsonl'] = strToU8(edit(strFromU8(files['logs/0001.jsonl']!)))
  })
export const editRecords = (edit: (records: Holdings) => void) => editJson('records.json', edit)
