import type { SheetEvent } from '../schema/event'
import { eventsIn, lengthOf, type LogLines } from './logs'
import { nameOfRecord } from './recordNames'
import type { Holdings, Kind } from '../schema/records'
import { isSame } from './same'

type RecordOf<K extends Kind> = Holdings[K][number]

/** What is merged: records, and the log of each sheet and treatment that has one. */
export interface Contents {
  records: Holdings
  logs: ReadonlyMap<string, LogLines>
}

/** A record that is here and in the archive, and differs. Nothing happens to it unless the user says so. */
export interface Conflict {
  kind: Kind | 'log'
  id: string
  /** What a person would call it. */
  name: string
  /** Names of the fields that differ; for a log, how the two part. */
  differs: string[]
  /** Each differing field as it is here and as the archive has it, in a few words. */
  fields: { name: string; here: string; theirs: string }[]
}

/** What an import would do, worked out before anything is written. */
export interface MergePlan {
  added: { [K in Kind]: RecordOf<K>[] }
  /** Sheets and treatments whose log is taken as the archive has it: it is new, or carries on the one here. */
  logs: string[]
  /** Events that are new with these. */
  events: number
  /** Those whose log here is carried on. */
  continued: string[]
  same: Record<Kind, number>
  conflicts: Conflict[]
  /** Numbers that a sheet here and another one of the archive both have: two workrooms counted by themselves. */
  clashes: number[]
}

/** What a merge would do, in numbers: for showing, where the records themselves stay with whoever writes them. */
export interface MergeSummary {
  added: Record<Kind, number>
  same: Record<Kind, number>
  events: number
  continued: number
  conflicts: Conflict[]
  clashes: number[]
}

/** What a merge would do, as far as the user is asked about it. */
export const summaryOf = (plan: MergePlan): MergeSummary => ({
  added: eachKind((kind) => plan.added[kind].length),
  same: plan.same,
  events: plan.events,
  continued: plan.continued.length,
  conflicts: plan.conflicts,
  clashes: plan.clashes,
})

/** Kinds of records that are kept as they are, each under its identity. */
export const KINDS = [
  'sheets',
  'papers',
  'pieces',
  'paperRuns',
  'bottles',
  'takings',
  'wastes',
  'droppers',
  'ownProcesses',
  'lights',
  'lightEntries',
  'bases',
  'tablets',
  'tabletPrints',
  'calibrations',
  'negatives',
  'baths',
  'registerChecks',
  'plans',
  'diagnoses',
  'photos',
  'setAside',
] as const satisfies readonly Kind[]

const eachKind = <Value>(make: (kind: Kind) => Value): Record<Kind, Value> =>
  Object.fromEntries(KINDS.map((kind) => [kind, make(kind)])) as Record<Kind, Value>

/** Records that have a log of events: sheets, and treatments of paper. */
const withLogs = (records: Holdings): { id: string; name: string }[] => [
  ...records.sheets.map((sheet) => ({ id: sheet.id, name: `Sheet ${sheet.number}, ${sheet.title}` })),
  ...records.paperRuns.map((run) => ({ id: run.id, name: `Treatment ${run.number}` })),
]

/**
 * Compares an archive with a workroom.
 *
 * @param here what the workroom holds.
 * @param theirs what a sound archive holds.
 */
export function planMerge(here: Contents, theirs: Contents): MergePlan {
  const plan: MergePlan = {
    added: eachKind(() => []) as MergePlan['added'],
    logs: [],
    events: 0,
    continued: [],
    same: eachKind(() => 0),
    conflicts: [],
    clashes: [],
  }
  for (const kind of KINDS) compare(kind, here.records, theirs.records, plan)
  for (const owner of withLogs(theirs.records))
    compareLogs(owner, here.logs.get(owner.id), theirs.logs.get(owner.id), plan)

  const numbers = new Set(here.records.sheets.map((sheet) => sheet.number))
  const ids = new Set(plan.added.sheets.map((sheet) => sheet.id))
  const own = plan.added.sheets.filter((sheet) => sheet.over === undefined || ids.has(sheet.over))
  plan.clashes = [...new Set(own.map((sheet) => sheet.number).filter((number) => numbers.has(number)))].sort(
    (a, b) => a - b,
  )
  return plan
}

function compareLogs(
  { id, name }: { id: string; name: string },
  here: LogLines | undefined,
  theirs: LogLines | undefined,
  plan: MergePlan,
): void {
  if (!theirs || here?.lines === theirs.lines) return
  if (!here) {
    plan.logs.push(id)
    plan.events += lengthOf(theirs)
    return
  }
  const [mine, other] = [readable(here), eventsIn(theirs)]
  if (!mine) {
    plan.conflicts.push({
      kind: 'log',
      id,
      name,
      differs: ['the log here cannot be read'],
      fields: [{ name: 'log', here: 'damaged', theirs: plural(other.length) }],
    })
    return
  }
  const parts = other.findIndex((event, i) => mine[i] !== undefined && !isSame(event, mine[i]))
  if (parts >= 0)
    plan.conflicts.push({
      kind: 'log',
      id,
      name,
      differs: [`the logs differ after ${parts} events`],
      fields: [
        {
          name: 'log',
          here: `${plural(mine.length - parts)} of its own`,
          theirs: `${plural(other.length - parts)} of its own`,
        },
      ],
    })
  else if (other.length > mine.length) {
    plan.logs.push(id)
    plan.continued.push(id)
    plan.events += other.length - mine.length
  }
}

/** A disk may have spoilt what is here: the archive is the way to get it back. */
function readable(log: LogLines): SheetEvent[] | null {
  try {
    return eventsIn(log)
  } catch {
    return null
  }
}

const plural = (count: number) => `${count} line${count === 1 ? '' : 's'}`

/**
 * What to write: what is new, and the conflicts that the user gave to the archive.
 *
 * @param takeTheirs keys of conflicts, as `conflictKey` makes them.
 * @returns `records` to put, and `logs`: sheets and treatments whose log is to be the archive's from its beginning to its end.
 */
export function applyMerge(
  plan: MergePlan,
  theirs: Contents,
  takeTheirs: ReadonlySet<string>,
): { records: Holdings; logs: string[] } {
  const records = eachKind((kind) => [...plan.added[kind]]) as Holdings
  const logs = [...plan.logs]
  for (const conflict of plan.conflicts) {
    if (!takeTheirs.has(conflictKey(conflict))) continue
    if (conflict.kind === 'log') logs.push(conflict.id)
    else {
      const found = (theirs.records[conflict.kind] as { id: string }[]).find(({ id }) => id === conflict.id)
      ;(records[conflict.kind] as { id: string }[]).push(found as { id: string })
    }
  }
  return { records, logs }
}

/** Key of a conflict among others of the same merge. */
export const conflictKey = (conflict: Pick<Conflict, 'kind' | 'id'>): string =>
  `${conflict.kind}/${conflict.id}`

function compare<K extends Kind>(kind: K, here: Holdings, theirs: Holdings, plan: MergePlan): void {
  const mine = new Map((here[kind] as RecordOf<K>[]).map((record) => [record.id, record]))
  for (const record of theirs[kind] as RecordOf<K>[]) {
    const other = mine.get(record.id)
    if (!other) (plan.added[kind] as RecordOf<K>[]).push(record)
    else if (isSame(record, other)) plan.same[kind]++
    else
      plan.conflicts.push({
        kind,
        id: record.id,
        name: nameOfRecord(kind, record),
        differs: differences(record, other),
        fields: differences(record, other).map((name) => ({
          name,
          here: shortly((other as Record<string, unknown>)[name]),
          theirs: shortly((record as Record<string, unknown>)[name]),
        })),
      })
  }
}

/** A value in a few words, for setting beside another. */
function shortly(value: unknown): string {
  if (value === undefined) return 'nothing'
  const text = typeof value === 'string' ? value : JSON.stringify(value)
  return text.length > 90 ? `${text.slice(0, 88)}…` : text || 'nothing'
}

function differences(a: object, b: object): string[] {
  const fields = new Set([...Object.keys(a), ...Object.keys(b)])
  const value = (record: object, field: string) => (record as Record<string, unknown>)[field]
  return [...fields].filter((field) => field !== 'changedAt' && !isSame(value(a, field), value(b, field)))
}
