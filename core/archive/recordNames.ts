import { formatSpan } from '../quantity/format'
import type { Kind } from '../schema/records'

/** What a person would call a record, as far as it can be read. */
export function nameOfRecord(kind: Kind, value: unknown): string {
  const row = (typeof value === 'object' && value !== null ? value : {}) as Record<string, unknown>
  const text = (field: string) => (typeof row[field] === 'string' ? (row[field] as string) : undefined)
  const [label, name] = [text('label'), text('name')]
  if (kind === 'sheets') return `Sheet ${String(row.number)}, ${text('title') ?? ''}`
  if (kind === 'paperRuns') return `Treatment ${String(row.number)}`
  if (label !== undefined) return `${kind === 'pieces' ? 'Piece' : 'Bottle'} ${label}`
  if (name) return name
  const definition = row.definition as { name?: unknown } | undefined
  if (typeof definition?.name === 'string') return `Process ${definition.name}`
  if (text('fileName')) return `Film ${text('fileName')}`
  if (kind === 'wastes' && text('what')) return `Waste, ${text('what')}`
  if (kind === 'plans' && typeof row.startsAt === 'number' && Number.isFinite(row.startsAt))
    return `Plan of ${dayOf(row.startsAt)}`
  if (kind === 'bases' && typeof row.seconds === 'number') return `Base exposure, ${formatSpan(row.seconds)}`
  return NAMES[kind] ?? `${kind} ${String(row.id).slice(0, 8)}`
}

const NAMES: Partial<Record<Kind, string>> = {
  diagnoses: 'Diagnosis',
  registerChecks: 'Register check',
  photos: 'Photo',
  takings: 'Amount used from a bottle',
  lightEntries: 'Lamp log entry',
}

const dayOf = (at: number) =>
  Math.abs(at) < 8.64e15 ? new Date(at).toISOString().slice(0, 10) : 'an unknown day'
