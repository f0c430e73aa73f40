import type { RunState } from '../process/run'
import { RECORD_SCHEMAS } from './archive'
import { looseEnds } from './looseEnds'
import { KINDS } from './merge'
import type { Photo, WorkroomRecords } from './records'

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

/** So many rows are looked at between two reports. */
const PIECE = 2000

/**
 * Looks through everything a workroom holds: each record by its schema, what records point at, every log by replaying it,
 * and the standings that lists are made from.
 *
 * @param standings what is stored beside the logs; those that differ can be made anew.
 * @returns flaws; yields the share that is done.
 */
export function* checkWorkroom(
  records: WorkroomRecords,
  standings: ReadonlyMap<string, RunState>,
): Generator<number, Flaw[]> {
  const flaws: Flaw[] = []
  const total = KINDS.reduce((sum, kind) => sum + records[kind].length, 0) + 2 * records.events.length || 1
  let done = 0
  const look = function* (
    list: readonly { id: string }[],
    check: (row: { id: string }) => string | null,
    kind: Flaw['kind'],
  ) {
    for (const [i, row] of list.entries()) {
      const problem = check(row)
      if (problem) flaws.push({ kind, id: String(row.id), problem })
      if (i % PIECE === PIECE - 1) yield (done + i) / total
    }
    done += list.length
  }
  for (const kind of KINDS) {
    const schema = RECORD_SCHEMAS[kind]
    yield* look(
      records[kind],
      (row) => {
        const read = schema.safeParse(row)
        const issue = read.error?.issues[0]
        return read.success ? null : `${kind}: ${issue?.path.join('.') ?? ''} ${issue?.message ?? ''}`.trim()
      },
      'record',
    )
  }
  yield* look(
    records.events,
    (row) => {
      const read = RECORD_SCHEMAS.events.safeParse(row)
      return read.success ? null : `event: ${read.error.issues[0]?.message ?? ''}`
    },
    'event',
  )
  yield done / total
  const replayed = new Map<string, RunState>()
  for (const problem of looseEnds(records, (state) => replayed.set(state.sheetId, state)))
    flaws.push({ kind: 'end', id: '', problem })
  yield (done + records.events.length / 2) / total
  for (const { id, number } of [...records.sheets, ...records.paperRuns]) {
    const problem = standingFlaw(replayed.get(id), standings.get(id))
    if (problem) flaws.push({ kind: 'standing', id, problem: `${problem} (${number})` })
  }
  yield 1
  return flaws
}

/** A log that could not have happened amounts to nothing, and has been said already. */
function standingFlaw(replayed: RunState | undefined, stands: RunState | undefined): string | null {
  if (!stands) return 'What its log amounts to is not kept'
  if (!replayed || JSON.stringify(replayed) === JSON.stringify(stands)) return null
  return 'What is shown of it is not what its log says'
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
