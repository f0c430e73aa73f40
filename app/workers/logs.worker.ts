import { unpackEntry, type ZipEntry } from '@core/formats/zip'
import { textOf } from '@core/record/archiveReading'
import { lookThroughLogs, type LogLook, type WrongLine } from '@core/record/logReading'
import { serve } from './call'
import { sumOf } from './sums'

/** A file of logs as it lies in an archive, one that an older archive had among its records, or what is stored of some sheets. */
export type LogsQuestion =
  { path: string; entry: ZipEntry } | { text: string } | { stored: [sheetId: string, lines: string][] }

export interface LogsAnswer {
  logs: LogLook[]
  wrong: (WrongLine & { sheetId: string })[]
  /** Of the file, unpacked. */
  bytes: number
  sha256: string
}

serve<LogsQuestion, LogsAnswer>('reading logs', async (question) => {
  if ('stored' in question) return { ...storedLogs(question.stored), bytes: 0, sha256: '' }
  if ('text' in question) return { ...writtenLogs(question.text), bytes: 0, sha256: '' }
  const file = unpackEntry(question.path, question.entry)
  return { ...writtenLogs(textOf(file)), bytes: file.length, sha256: await sumOf(file) }
})

function writtenLogs(text: string) {
  const { logs, wrong } = lookThroughLogs(text)
  return { logs, wrong: wrong.map((line) => ({ ...line, sheetId: '' })) }
}

/** What they say is here already: only what was found in them goes back. */
function storedLogs(stored: readonly (readonly [sheetId: string, lines: string])[]) {
  const found = stored.map(([sheetId, lines]) => ({ sheetId, ...lookThroughLogs(lines) }))
  return {
    logs: found.flatMap(({ logs }) => logs.map((log) => ({ ...log, lines: '' }))),
    wrong: found.flatMap(({ sheetId, wrong }) => wrong.map((line) => ({ ...line, sheetId }))),
  }
}
