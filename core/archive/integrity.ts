import { emptyRun, type RunState } from '../run/runState'
import type { Holdings, Photo } from '../schema/records'
import type { SalvageNote } from './salvage'

/** Something in a workroom that is not as it was written. */
export interface Flaw {
  /** `record`: a record or a log that can be repaired or set aside. `event`: a log that is lost. */
  kind: 'record' | 'event' | 'standing' | 'picture'
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

/** What salvaging found, as flaws of what is stored. */
export const flawsOf = (notes: readonly SalvageNote[]): Flaw[] =>
  notes.map(({ kind, id, name, problem }) => ({
    kind: kind === 'picture' ? 'picture' : 'record',
    id,
    problem: `${name}: ${problem}`,
  }))

/**
 * Compares every log with the standing that lists are made from.
 *
 * @param logs what each log amounts to, by sheet or treatment.
 * @param broken sheets and treatments whose log does not hold to its end: that is said already.
 * @param standings what is stored beside the logs, as JSON, by sheet; those that differ can be rebuilt.
 * @param lost sheets and treatments whose log cannot be read.
 */
export function checkLogs(
  records: Holdings,
  logs: ReadonlyMap<string, { standing: string }>,
  broken: ReadonlySet<string>,
  standings: ReadonlyMap<string, string>,
  lost: readonly string[] = [],
): Flaw[] {
  const flaws: Flaw[] = []
  const cannotRead = new Set(lost)
  const owners = [
    ...records.sheets.map(({ id, number }) => ({ id, number, name: `sheet ${number}` })),
    ...records.paperRuns.map(({ id, number }) => ({ id, number, name: `treatment ${number}` })),
  ]
  for (const { id, number, name } of owners) {
    const [log, stands] = [logs.get(id), standings.get(id)]
    if (cannotRead.has(id) || (!log && !broken.has(id) && hasHappened(stands))) {
      flaws.push({ kind: 'event', id, problem: `The log of ${name} is missing.` })
      continue
    }
    const means = broken.has(id) ? null : (log?.standing ?? JSON.stringify(emptyRun(id)))
    const problem = standingFlaw(means, stands)
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
  if (stands === undefined) return 'Its index entry is missing'
  return means === null || means === stands ? null : 'Its index entry differs from its log'
}

/** Pictures that are gone, cut short or changed, and pixels that belong to no photograph. */
export function checkPictures(photos: readonly Photo[], stored: readonly StoredPicture[]): Flaw[] {
  const byId = new Map(stored.map((one) => [one.id, one]))
  const known = new Set(photos.map((one) => one.id))
  return [
    ...photos.flatMap(({ id, bytes, sha256 }): Flaw[] => {
      const found = byId.get(id)
      const flaw = (problem: string): Flaw[] => [{ kind: 'picture', id, problem }]
      if (!found || found.bytes === 0) return flaw('The picture of a photo is missing.')
      if (found.bytes !== bytes) return flaw(`A picture has ${found.bytes} bytes instead of ${bytes}.`)
      if (sha256 !== undefined && sha256 !== found.sha256)
        return flaw('A picture has changed since it was added (checksum differs).')
      return found.hasThumbnail ? [] : flaw('The thumbnail of a photo is missing.')
    }),
    ...stored
      .filter((one) => !known.has(one.id))
      .map((one): Flaw => ({ kind: 'picture', id: one.id, problem: 'A picture has no photo record.' })),
  ]
}
