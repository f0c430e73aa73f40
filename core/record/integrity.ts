import { emptyRun, type RunState } from '../process/run'
import { RECORD_SCHEMAS } from './records'
import type { LogLook, WrongLine } from './logReading'
import { looseEnds } from './looseEnds'
import { KINDS } from './merge'
import type { Holdings, Photo } from './records'

/** Something in a workroom that is not as it was written. */
export interface Flaw {
  kind: 'record' | 'event' | 'end' | 'standing' | 'picture'
  id: string
  problem: string
}

/** What is stored of a picture, as far as it can be told without its pixels. */
export interface StoredPicture {
  id: string
  /** Of the original; 0 where it is gone. */
  bytes: number
  sha256: string
  hasThumbnail: boolean
}

/** So many records are looked at between two reports. */
const PIECE = 2000

/**
 * Looks through the records of a workroom, each by its schema.
 *
 * @returns flaws; yields the share that is done.
 */
export function* checkRecords(records: Holdings): Generator<number, Flaw[]> {
  const flaws: Flaw[] = []
  const total = KINDS.reduce((sum, kind) => sum + records[kind].length, 0)
  let done = 0
  for (const kind of KINDS)
    for (const row of records[kind]) {
      const issue = RECORD_SCHEMAS[kind].safeParse(row).error?.issues[0]
      if (issue)
        flaws.push({
          kind: 'record',
          id: String(row.id),
          problem: `${kind}: ${issue.path.join('.')} ${issue.message}`,
        })
      if (++done % PIECE === 0) yield done / total
    }
  return flaws
}

/**
 * What looking through every log found, set beside the records and beside the standings that lists are made from.
 *
 * @param wrong lines of logs that are no events, with whose they are.
 * @param standings what is stored beside the logs, as JSON, by sheet; those that differ can be made anew.
 * @param lost sheets and treatments whose log cannot be read.
 */
export function checkLogs(
  records: Holdings,
  logs: readonly Omit<LogLook, 'lines'>[],
  wrong: readonly (WrongLine & { sheetId: string })[],
  standings: ReadonlyMap<string, string>,
  lost: readonly string[] = [],
): Flaw[] {
  const flaws = wrong.map(({ sheetId, line, problem }): Flaw => ({
    kind: 'event',
    id: sheetId,
    problem: `Event ${line} of a log: ${problem}`,
  }))
  for (const problem of looseEnds(records, logs)) flaws.push({ kind: 'end', id: '', problem })
  const looked = new Map(logs.map((log) => [log.sheetId, log]))
  const broken = new Set(wrong.map(({ sheetId }) => sheetId))
  const cannotRead = new Set(lost)
  const owners = [
    ...records.sheets.map(({ id, number }) => ({ id, number, name: `sheet ${number}` })),
    ...records.paperRuns.map(({ id, number }) => ({ id, number, name: `treatment ${number}` })),
  ]
  for (const { id, number, name } of owners) {
    const [log, stands] = [looked.get(id), standings.get(id)]
    const empty = JSON.stringify(emptyRun(id))
    if (cannotRead.has(id) || (!log && !broken.has(id) && hasHappened(stands))) {
      flaws.push({ kind: 'event', id, problem: `The log of ${name} is gone.` })
      continue
    }
    const problem = standingFlaw(broken.has(id) ? null : log ? log.standing : empty, stands)
    if (problem) flaws.push({ kind: 'standing', id, problem: `${problem} (${number})` })
  }
  return flaws
}

/** Whether a standing counts events: then there was a log. */
function hasHappened(stands: string | undefined): boolean {
  try {
    return stands !== undefined && (JSON.parse(stands) as RunState).length > 0
  } catch {
    return false
  }
}

/** A log that could not have happened amounts to nothing, and has been said already. */
function standingFlaw(means: string | null, stands: string | undefined): string | null {
  if (stands === undefined) return 'What its log amounts to is not kept'
  return means === null || means === stands ? null : 'What is shown of it is not what its log says'
}

/** Pictures that are gone, cut short or changed, and pixels that belong to no photograph. */
export function checkPictures(photos: readonly Photo[], stored: readonly StoredPicture[]): Flaw[] {
  const byId = new Map(stored.map((one) => [one.id, one]))
  const known = new Set(photos.map((one) => one.id))
  return [
    ...photos.flatMap(({ id, bytes, sha256 }): Flaw[] => {
      const found = byId.get(id)
      const flaw = (problem: string): Flaw[] => [{ kind: 'picture', id, problem }]
      if (!found || found.bytes === 0) return flaw('The picture of a photograph is gone.')
      if (found.bytes !== bytes) return flaw(`A picture has ${found.bytes} bytes and not ${bytes}.`)
      if (sha256 !== undefined && sha256 !== found.sha256)
        return flaw('A picture has changed since it was added: its checksum differs.')
      return found.hasThumbnail ? [] : flaw('The small picture of a photograph is gone.')
    }),
    ...stored
      .filter((one) => !known.has(one.id))
      .map((one): Flaw => ({ kind: 'picture', id: one.id, problem: 'A picture belongs to no photograph.' })),
  ]
}
