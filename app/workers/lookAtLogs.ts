import type { ZipEntry } from '@core/formats/zip'
import { textOf, unpackedFile } from '@core/archive/archiveReading'
import { lookThroughLogs, type LogsFound } from '@core/archive/logReading'
import { sumOf } from './sums'

/** A file of logs in an archive, logs that an older archive had among its records, or what is stored of some sheets. */
export type LogsQuestion =
  { path: string; entry: ZipEntry } | { text: string } | { stored: [sheetId: string, lines: string][] }

export interface LogsAnswer extends LogsFound {
  /** Of the file, unpacked. */
  bytes: number
  /** Of the file; absent where it could not be unpacked. */
  sha256?: string
}

/** Looks through logs, wherever they come from. */
export async function lookAtLogs(question: LogsQuestion): Promise<LogsAnswer> {
  if ('stored' in question) return { ...storedLogs(question.stored), bytes: 0 }
  if ('text' in question) return { ...lookThroughLogs(question.text), bytes: 0 }
  const file = unpackedFile(question.path, question.entry)
  if (!file) return { logs: [], strays: [], bytes: 0 }
  return { ...lookThroughLogs(textOf(file)), bytes: file.length, sha256: await sumOf(file) }
}

/** What sound logs say is stored already, and does not go back. */
function storedLogs(stored: readonly (readonly [sheetId: string, lines: string])[]): LogsFound {
  const found = stored.map(([, lines]) => lookThroughLogs(lines))
  return {
    logs: found.flatMap(({ logs }) =>
      logs.map((log) => (log.problem === null ? { ...log, lines: '' } : log)),
    ),
    strays: found.flatMap(({ strays }) => strays),
  }
}

/** Looks at pieces of logs, several side by side where it can. */
export interface LogsReader {
  /** @param make the question, once it can be put. */
  ask(make: () => LogsQuestion): Promise<LogsAnswer>
}
