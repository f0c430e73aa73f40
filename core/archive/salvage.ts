import type { z } from 'zod'
import { v5 as uuidOf } from 'uuid'
import { wordsOfIssue } from '../errors'
import { nameOfRecord } from './recordNames'
import { RECORD_SCHEMAS, type Kind } from '../schema/records'
import type { SetAside } from '../schema/setAside'

/** Something that was found wrong in an archive or in storage, and what was done about it. */
export interface SalvageNote {
  /** `log`: the end of a log. `picture`: of a photograph. `file`: a whole file of an archive. */
  kind: Kind | 'log' | 'picture' | 'file'
  id: string
  /** What a person would call it. */
  name: string
  problem: string
  /**
   * `repaired`: a sound record took its place. `setAside`: it is kept as it was found, and not used. `leftOut`: it could
   * not be read at all. `doubtful`: it was read, and may not say what was written.
   */
  outcome: 'repaired' | 'setAside' | 'leftOut' | 'doubtful'
}

/** Collects what was found, and keeps the original of all that was changed or not used. */
export class Salvage {
  readonly notes: SalvageNote[] = []
  readonly setAside: SetAside[] = []

  /** @param at moment that entries are dated with: when the archive was written, or the storage looked at. */
  constructor(private readonly at: number) {}

  note(note: SalvageNote): void {
    this.notes.push(note)
  }

  /** Notes what happened to a record or a log, and keeps what it was. */
  keep(note: SalvageNote & { outcome: SetAside['outcome'] }, original: string): void {
    this.note(note)
    this.setAside.push({
      id: uuidOf(`${note.kind}\n${original}`, NAMESPACE),
      kind: note.kind,
      name: note.name.slice(0, 200),
      problem: note.problem.slice(0, 2000),
      outcome: note.outcome,
      original,
      at: this.at,
    })
  }

  /** A record as its schema takes it: itself, a repaired one, or `null` where it was set aside. */
  record(kind: Kind, value: unknown): unknown {
    const sound = RECORD_SCHEMAS[kind].safeParse(value)
    if (sound.success) return sound.data
    const record = repaired(kind, value)
    const id = String((value as { id?: unknown } | null)?.id)
    const outcome = record === null ? 'setAside' : 'repaired'
    const problem = `${[...new Set(sound.error.issues.map((issue) => wordsOfIssue(issue, kind)))].slice(0, 5).join('; ')}.`
    this.keep({ kind, id, name: nameOfRecord(kind, value), problem, outcome }, JSON.stringify(value) ?? '')
    return record
  }
}

/** Of this app, so that the same damage has the same identity wherever it is found. */
const NAMESPACE = '5b0e7d0c-6f5e-4c39-9d0b-1d6a4f0f7e21'

/** More faults than any record of ours could have without being something else. */
const MOST_FAULTS = 40

/**
 * Stand-ins for fields that cannot be left out, in records that others hang on: a print is not lost over its title. They
 * are told as repairs, and the record is kept as it was found.
 */
const STAND_INS: Partial<Record<Kind, Readonly<Record<string, unknown>>>> = {
  sheets: {
    process: { id: 'unknown', version: 1 }, number: 999_999, title: '(no title)', portfolio: '', subject: '', choices: {}, parts: {}, bottles: {},
    widthMillimetres: 1, heightMillimetres: 1, coats: 1, tool: 'brush', coverageMillilitresPerM2: 1,
    dropsPerMillilitre: 1, exposureSeconds: 1,
  },
  paperRuns: {
    process: { id: 'unknown', version: 1 }, number: 999_999, choices: {}, pieceIds: [], sheets: 1, widthMillimetres: 1, heightMillimetres: 1, note: '',
  },
  papers: { name: '(no name)', note: '' },
  bottles: { label: '(no label)', name: '(no name)', kind: 'solution', contents: [], note: '' },
  lights: { name: '(no name)', kind: 'lamp' },
} // prettier-ignore

type Data = Record<string, unknown>

/** A record that its schema refuses, with the least of it changed that makes it sound; `null` where nothing does. */
function repaired(kind: Kind, value: unknown): unknown {
  let record = copyOf(value)
  for (let fault = 0; fault < MOST_FAULTS; fault++) {
    const read = RECORD_SCHEMAS[kind].safeParse(record)
    if (read.success) return read.data
    const [issue] = read.error.issues
    const next =
      issue && typeof record === 'object' && record !== null ? withoutFault(kind, record, issue) : null
    if (next === null) return null
    record = next
  }
  return null
}

function withoutFault(kind: Kind, record: object, issue: z.core.$ZodIssue): object | null {
  const candidates = [cutShort, withoutField, withStandIn].map((repair) => {
    const copy = copyOf(record) as Data
    return repair(copy, issue, STAND_INS[kind] ?? {}) ? copy : null
  })
  const isBetter = (copy: Data) =>
    RECORD_SCHEMAS[kind].safeParse(copy).error?.issues.every((other) => !samePath(other.path, issue.path)) ??
    true
  return candidates.find((copy) => copy !== null && isBetter(copy)) ?? null
}

const samePath = (a: readonly PropertyKey[], b: readonly PropertyKey[]) =>
  a.length === b.length && a.every((part, i) => part === b[i])

type Repair = (record: Data, issue: z.core.$ZodIssue, standIns: Readonly<Data>) => boolean

/** A text that is too long keeps its beginning. */
const cutShort: Repair = (record, issue) => {
  if (issue.code !== 'too_big' || issue.origin !== 'string') return false
  const parent = parentIn(record, issue.path)
  const last = issue.path.at(-1)
  if (!parent || last === undefined || typeof parent[last] !== 'string') return false
  parent[last] = parent[last].slice(0, Number(issue.maximum))
  return true
}

/** A field that may be absent goes; so do fields that are not known. Entries of a list stay: without one it would say something else. */
const withoutField: Repair = (record, issue) => {
  const isUnknown = issue.code === 'unrecognized_keys'
  const parent = parentIn(record, isUnknown ? [...issue.path, ''] : issue.path)
  const keys: PropertyKey[] = isUnknown ? issue.keys : issue.path.slice(-1)
  if (!parent || Array.isArray(parent) || !keys.every((key) => Object.hasOwn(parent, key))) return false
  for (const key of keys) Reflect.deleteProperty(parent, key)
  return true
}

const withStandIn: Repair = (record, issue, standIns) => {
  const field = issue.path[0]
  if (typeof field !== 'string' || !Object.hasOwn(standIns, field)) return false
  record[field] = standIns[field]
  return true
}

/** The object or list that holds what a path leads to. */
function parentIn(record: Data, path: readonly PropertyKey[]): Record<PropertyKey, unknown> | null {
  let here: unknown = record
  for (const part of path.slice(0, -1)) {
    if (typeof here !== 'object' || here === null || !Object.hasOwn(here, part)) return null
    here = (here as Record<PropertyKey, unknown>)[part]
  }
  return path.length && typeof here === 'object' && here !== null
    ? (here as Record<PropertyKey, unknown>)
    : null
}

/** A copy of plain data. What JSON cannot hold, such as a number that is none, becomes `null`, which no schema takes. */
const copyOf = (value: unknown): unknown => {
  const text = JSON.stringify(value)
  return text === undefined ? null : JSON.parse(text)
}
