import { CoreError } from '../errors'
import { replay } from '../run/run'
import { revisionOf } from '../run/runState'
import { SheetEvent } from '../schema/event'
import type { LogLines } from './logs'

/** What looking through a log found. Its `lines` are those up to the first that does not hold. */
export interface LogLook extends LogLines {
  sheetId: string
  /** What the lines amount to, as JSON. */
  standing: string
  /** See `revisionOf`. */
  revision: string
  /** Photographs that the lines name. */
  photoIds: string[]
  /** Why the log does not hold to its end; `null` where it does. */
  problem: string | null
  /** The lines that do not hold, and all after them. */
  rest: string
}

/** What was found in a text of logs. */
export interface LogsFound {
  logs: LogLook[]
  /** Lines that are no events, and that belong to no log; or what was left unread after too many of them. */
  strays: { line: number; problem: string; text: string }[]
}

/** After so many lines that are no events, what follows is left unread: a text of nothing but line ends would fill the memory. */
const MOST_WRONG = 100

/** A log while its lines come in: those from `from` to `sound` hold so far, those up to `to` are its own. */
interface OpenLog {
  sheetId: string
  events: SheetEvent[]
  from: number
  sound: number
  to: number
  problem: string | null
}

/**
 * Looks through logs that are written one after the other, each in its order. The text may hold anything.
 *
 * A line that is no event, or an event that could not have happened, ends what is believed of its log.
 */
export function lookThroughLogs(text: string): LogsFound {
  const logs: LogLook[] = []
  const strays: LogsFound['strays'] = []
  let log: OpenLog | null = null
  const close = () => {
    if (log) logs.push(lookAt(text, log))
    log = null
  }
  let wrong = 0
  for (let at = 0, line = 1; at < text.length; line++) {
    const next = text.indexOf('\n', at)
    const end = next < 0 ? text.length : next
    const read = eventIn(text.slice(at, end))
    if (read.problem !== null && ++wrong > MOST_WRONG) {
      const problem = `More than ${MOST_WRONG} lines cannot be read. The rest was not checked`
      strays.push({ line, problem, text: text.slice(at) })
      break
    }
    const owner: string | undefined = read.sheetId ?? (log as OpenLog | null)?.sheetId
    if (owner === undefined) strays.push({ line, problem: read.problem ?? '', text: text.slice(at, end) })
    else {
      let open = log as OpenLog | null
      if (open?.sheetId !== owner) {
        close()
        open = { sheetId: owner, events: [], from: at, sound: at, to: at, problem: null }
      }
      open.to = end
      if (read.problem !== null) open.problem ??= `Line ${line} ${read.problem}.`
      else if (open.problem === null) {
        open.events.push(read.event)
        open.sound = end
      }
      log = open
    }
    at = end + 1
  }
  close()
  return { logs, strays }
}

type LineRead =
  { sheetId: string; event: SheetEvent; problem: null } | { sheetId: string | undefined; problem: string }

/** The event of a line, or why it is none and whose it seems to be. */
function eventIn(line: string): LineRead {
  let value: unknown
  try {
    value = JSON.parse(line)
  } catch {
    return { sheetId: /"sheetId":\s*"([0-9a-f-]{36})"/.exec(line)?.[1], problem: 'cannot be read as JSON' }
  }
  const read = SheetEvent.safeParse(value)
  if (read.success) return { sheetId: read.data.sheetId, event: read.data, problem: null }
  const owner = (value as { sheetId?: unknown } | null)?.sheetId
  const [issue] = read.error.issues
  const where = issue?.path.join('.')
  return {
    sheetId: typeof owner === 'string' ? owner : undefined,
    problem: `is not a valid event: ${where ? `${where}: ` : ''}${issue?.message ?? 'not as it should be'}`,
  }
}

function lookAt(text: string, { sheetId, events, from, sound, to, problem }: OpenLog): LogLook {
  const found = (log: readonly SheetEvent[], end: number, why: string | null): LogLook => {
    const state = replay(sheetId, log)
    return {
      sheetId,
      lines: text.slice(from, end),
      standing: JSON.stringify(state),
      revision: revisionOf(state),
      photoIds: log.flatMap((event) => (event.type === 'photographed' ? [event.photoId] : [])),
      problem: why,
      rest: end < to ? text.slice(end === from ? from : end + 1, to) : '',
    }
  }
  const fault = faultOf(sheetId, events)
  if (fault === null) return found(events, sound, problem)
  // The longest beginning that could have happened, by halves.
  let [holds, breaks, why] = [0, events.length, fault]
  while (breaks - holds > 1) {
    const middle = Math.floor((holds + breaks) / 2)
    const there = faultOf(sheetId, events.slice(0, middle))
    if (there === null) holds = middle
    else [breaks, why] = [middle, there]
  }
  return found(events.slice(0, holds), endOfLine(text, from, holds), `Event ${holds + 1}: ${why}`)
}

/** Where the given number of lines ends. */
function endOfLine(text: string, from: number, lines: number): number {
  let end = from
  for (let line = 0; line < lines; line++) end = text.indexOf('\n', end + (line ? 1 : 0))
  return end
}

/** Why a log could not have happened. */
function faultOf(sheetId: string, log: readonly SheetEvent[]): string | null {
  if (new Set(log.map((event) => event.id)).size < log.length)
    return 'Two events of this log have the same identity.'
  try {
    replay(sheetId, log)
    return null
  } catch (error) {
    return error instanceof CoreError ? error.refusal.problem : String(error)
  }
}
