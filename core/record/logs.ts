import type { SheetEvent } from './event'

/** Events sorted out into one log a sheet, each in the order of `index`. */
export function logsBySheet(events: Iterable<SheetEvent>): Map<string, SheetEvent[]> {
  const logs = new Map<string, SheetEvent[]>()
  for (const event of events) {
    const log = logs.get(event.sheetId)
    if (log) log.push(event)
    else logs.set(event.sheetId, [event])
  }
  for (const log of logs.values()) log.sort((a, b) => a.index - b.index)
  return logs
}
