import type { LogLook } from './logReading'
import { nameOfRecord } from './recordNames'
import { KINDS } from './merge'
import type { Holdings, Kind } from '../schema/records'
import type { Salvage } from './salvage'

/** Which records name which others by a field of theirs. Where the other is not there, the record is set aside. */
const LINKS: readonly (readonly [kind: Kind, field: string, to: Kind, missing: string])[] = [
  ['photos', 'sheetId', 'sheets', 'The sheet of this photo is missing'],
  ['registerChecks', 'sheetId', 'sheets', 'The sheet of this register check is missing'],
  ['diagnoses', 'sheetId', 'sheets', 'The sheet of this diagnosis is missing'],
  ['takings', 'bottleId', 'bottles', 'The bottle that this was taken from is missing'],
  ['pieces', 'paperId', 'papers', 'The paper that this piece was torn from is missing'],
  ['lightEntries', 'lightId', 'lights', 'The light of this entry is missing'],
  ['bases', 'lightId', 'lights', 'The light of this base exposure is missing'],
]

/** A workroom whose parts fit together. */
export interface Linked {
  records: Holdings
  /** By sheet or treatment. */
  logs: Map<string, LogLook>
}

/**
 * Looks at records and logs together: identities used twice, records that name others which are missing, logs that could
 * not have happened. What does not fit is set aside or repaired.
 *
 * @param records each sound.
 * @param logs what was found in every log, see `lookThroughLogs`.
 * @param salvage collects what was wrong; what it keeps is among the records that are returned.
 */
export function linked(records: Holdings, logs: readonly LogLook[], salvage: Salvage): Linked {
  const sound = Object.fromEntries(KINDS.map((kind) => [kind, single(kind, records, salvage)])) as Holdings
  const ids = new Map<Kind, Set<string>>()
  const isHere = (kind: Kind, id: unknown) => {
    let known = ids.get(kind)
    if (!known) ids.set(kind, (known = new Set(sound[kind].map((row) => row.id))))
    return known.has(id as string)
  }
  for (const [kind, field, to, missing] of LINKS) {
    const rows = sound[kind] as { id: string }[]
    const stays = (row: { id: string }) => isHere(to, (row as Record<string, unknown>)[field])
    if (rows.every(stays)) continue
    for (const row of rows.filter((one) => !stays(one)))
      salvage.keep(
        { kind, id: row.id, name: nameOfRecord(kind, row), problem: `${missing}.`, outcome: 'setAside' },
        JSON.stringify(row),
      )
    ;(sound[kind] as { id: string }[]) = rows.filter(stays)
  }
  sound.sheets = sound.sheets.map((sheet) => {
    if (sheet.over === undefined || isHere('sheets', sheet.over)) return sheet
    const { over, ...alone } = sheet
    void over
    const problem = 'The sheet below this layer is missing.'
    const name = nameOfRecord('sheets', sheet)
    salvage.keep({ kind: 'sheets', id: sheet.id, name, problem, outcome: 'repaired' }, JSON.stringify(sheet))
    return alone
  })
  const soundLogs = linkedLogs(sound, logs, salvage)
  const kept = new Map([...sound.setAside, ...salvage.setAside].map((one) => [one.id, one]))
  return { records: { ...sound, setAside: [...kept.values()] }, logs: soundLogs }
}

/** Rows of one kind, each identity once. */
function single(kind: Kind, records: Holdings, salvage: Salvage): { id: string }[] {
  const rows = new Map<string, { id: string }>()
  for (const row of records[kind] as { id: string }[]) {
    const first = rows.get(row.id)
    if (!first) rows.set(row.id, row)
    else if (JSON.stringify(first) !== JSON.stringify(row))
      salvage.keep(
        {
          kind,
          id: row.id,
          name: nameOfRecord(kind, row),
          problem: 'Another record has the same identity.',
          outcome: 'setAside',
        },
        JSON.stringify(row),
      )
  }
  return [...rows.values()]
}

function linkedLogs(records: Holdings, logs: readonly LogLook[], salvage: Salvage): Map<string, LogLook> {
  const owners = new Map<string, string>([
    ...records.sheets.map(({ id, number }) => [id, `sheet ${number}`] as const),
    ...records.paperRuns.map(({ id, number }) => [id, `treatment ${number}`] as const),
  ])
  const photos = new Set(records.photos.map((photo) => photo.id))
  const sound = new Map<string, LogLook>()
  for (const log of logs) {
    const { sheetId, lines, rest, problem, photoIds } = log
    const owner = owners.get(sheetId)
    const name = owner ? `Log of ${owner}` : 'Log'
    const setAside = (why: string, original: string) =>
      salvage.keep({ kind: 'log', id: sheetId, name, problem: why, outcome: 'setAside' }, original)
    const whole = [lines, rest].filter(Boolean).join('\n')
    const other = sound.get(sheetId)
    if (!owner) setAside('The sheet of this log is missing.', whole)
    else if (other) {
      if (other.lines !== lines || rest) setAside('Another log of the same sheet was found.', whole)
    } else {
      if (problem !== null) setAside(problem, rest)
      if (!lines) continue
      sound.set(sheetId, log)
      for (const id of photoIds)
        if (!photos.has(id))
          salvage.note({
            kind: 'picture',
            id,
            name: `Photo of ${owner}`,
            problem: 'A photo named in the log is missing.',
            outcome: 'leftOut',
          })
    }
  }
  return sound
}
