import { CoreError } from '../errors'
import { replay, revisionOf } from '../process/run'
import { SheetEvent } from './event'
import type { LogLines } from './logs'

/** What looking through a log found. */
export interface LogLook extends LogLines {
  sheetId: string
  /** What the log amounts to, as JSON; `null` where it could not have happened. */
  standing: string | null
  /** See `revisionOf`. */
  revision: string
  /** Why it could not have happened. */
  problem: string | null
  /** Photographs that it names. */
  photoIds: string[]
}

/** A line that is no event. */
export interface WrongLine {
  /** From 1. */
  line: number
  problem: string
}

/** After so many lines that are no events nobody asks for more, and a text of nothing but line ends would fill the memory. */
const MOST_WRONG = 100

/**
 * Looks through logs that lie one behind the other, each in its order. Whatever is in them is read.
 *
 * @returns the logs as far as they are made of events, and the first lines that are none.
 */
export function lookThroughLogs(text: string): { logs: LogLook[]; wrong: WrongLine[] } {
  const logs: LogLook[] = []
  const wrong: WrongLine[] = []
  let log: SheetEvent[] = []
  let [from, to] = [0, 0]
  const close = () => {
    const [first] = log
    if (first) logs.push(lookAt(first.sheetId, text.slice(from, to), log))
    log = []
  }
  for (let at = 0, line = 1; at < text.length && wrong.length < MOST_WRONG; line++) {
    const next = text.indexOf('\n', at)
    const end = next < 0 ? text.length : next
    const event = eventIn(text.slice(at, end))
    if (typeof event === 'string') wrong.push({ line, problem: event })
    else {
      if (log[0] && log[0].sheetId !== event.sheetId) close()
      if (!log.length) from = at
      to = end
      log.push(event)
    }
    at = end + 1
  }
  close()
  return { logs, wrong }
}

/** The event of a line, or why it is none. */
function eventIn(line: string): SheetEvent | string {
  let value: unknown
  try {
    value = JSON.parse(line)
  } catch {
    return 'not readable as JSON'
  }
  const read = SheetEvent.safeParse(value)
  if (read.success) return read.data
  const [issue] = read.error.issues
  return `${issue?.path.join('.') ?? ''} ${issue?.message ?? 'not as it should be'}`.trim()
}

function lookAt(sheetId: string, lines: string, log: readonly SheetEvent[]): LogLook {
  const photoIds = log.flatMap((event) => (event.type === 'photographed' ? [event.photoId] : []))
  const found = (rest: Pick<LogLook, 'standing' | 'revision' | 'problem'>): LogLook => ({
    sheetId,
    lines,
    photoIds,
    ...rest,
  })
  const broken = (problem: string) => found({ standing: null, revision: '', problem })
  if (new Set(log.map((event) => event.id)).size < log.length)
    return broken('Two of its events share one identity.')
  try {
    const state = replay(sheetId, log)
    return found({ standing: JSON.stringify(state), revision: revisionOf(state), problem: null })
  } catch (error) {
    return broken(error instanceof CoreError ? error.refusal.problem : String(error))
  }
}
