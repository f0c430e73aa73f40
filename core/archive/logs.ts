import type { SheetEvent } from '../schema/event'

/**
 * A log as it is in an archive and in storage: an event a line, each as JSON. Kept as text, since of ten thousand
 * prints few are looked at.
 */
export interface LogLines {
  lines: string
}

/** Events sorted out into one log a sheet, each in the order of `index`. */
export function logsBySheet<Event extends Pick<SheetEvent, 'sheetId' | 'index'>>(
  events: Iterable<Event>,
): Map<string, Event[]> {
  const logs = new Map<string, Event[]>()
  for (const event of events) {
    const log = logs.get(event.sheetId)
    if (log) log.push(event)
    else logs.set(event.sheetId, [event])
  }
  for (const log of logs.values()) log.sort((a, b) => a.index - b.index)
  return logs
}

/** Events as JSON, one a line. */
export const linesOf = (log: readonly object[]): string =>
  log.map((event) => JSON.stringify(event)).join('\n')

/** The events of a log that was found sound. JSON has no line breaks of its own, so a log is one list when they are read as commas. */
export const eventsIn = (log: LogLines | undefined): SheetEvent[] =>
  log ? (JSON.parse(`[${log.lines.replaceAll('\n', ',')}]`) as SheetEvent[]) : []

/** Every log of a small workroom, by sheet. */
export const logBook = (events: Iterable<SheetEvent>): Map<string, LogLines> =>
  new Map([...logsBySheet(events)].map(([id, log]) => [id, { lines: linesOf(log) }]))

/** Number of events of a log. */
export function lengthOf({ lines }: LogLines): number {
  if (!lines) return 0
  let count = 1
  for (let at = lines.indexOf('\n'); at >= 0; at = lines.indexOf('\n', at + 1)) count++
  return count
}
