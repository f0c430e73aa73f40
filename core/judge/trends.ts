import type { RunState } from '../run/runState'
import type { Base, Calibration, LightEntry } from '../schema/light'
import type { Sheet } from '../schema/records'
import { lightnessFromDensity } from '../tone/density'
import { controlChart, type ControlChart } from './controlChart'
import { densityAt, DRY } from '../tone/measured'
import { madeAtOf } from './results'

export interface TrendPoint {
  at: number
  value: number
  /** The print it was read from, where it was one. */
  sheetId?: string
}

/** One thing followed over time. */
export interface Trend {
  kind: 'base' | 'lamp' | 'black' | 'white' | 'residual'
  /** Ids of the process, paper or light it belongs to, where it does. */
  processId?: string
  paperId?: string
  lightId?: string
  unit: string
  points: readonly TrendPoint[]
  /** `null` while there are too few points for limits. */
  chart: ControlChart | null
}

export interface TrendInput {
  prints: readonly { sheet: Sheet; state: RunState }[]
  bases: readonly Base[]
  lightEntries: readonly LightEntry[]
  calibrations: readonly Calibration[]
}

/** Limits are drawn from the first of them; fewer say nothing of what chance does. */
const SETTLED = 8
const LEAST = 4

const trend = (parts: Omit<Trend, 'chart' | 'points'>, points: readonly TrendPoint[]): Trend => {
  const ordered = [...points].sort((a, b) => a.at - b.at)
  const values = ordered.map((one) => one.value)
  return {
    ...parts,
    points: ordered,
    chart: values.length < LEAST ? null : controlChart(values, Math.min(SETTLED, values.length)),
  }
}

/**
 * What can drift without being noticed, each with its limits: readings of a lamp, base exposures of a combination, the
 * deepest black and the white of prints of a process on a paper, and how far charts stray from their curve. Those that
 * tell something come first, then the longest.
 */
export function trendsOf({ prints, bases, lightEntries, calibrations }: TrendInput): Trend[] {
  const standing = <Row extends { takenBackAt?: number | undefined }>(rows: readonly Row[]) =>
    rows.filter((one) => one.takenBackAt === undefined)
  const lamps = standing(lightEntries).flatMap((entry) =>
    entry.what.type === 'read' && entry.what.reckonedMilliwattsPerCm2 === undefined
      ? [{ lightId: entry.lightId, at: entry.at, value: entry.what.milliwattsPerCm2 }]
      : [],
  )
  const densities = (of: 'black' | 'white') =>
    prints.flatMap(({ sheet, state }) => {
      const [value, at] = [densityAt(state, of, DRY), madeAtOf(state)]
      return value === null || at === null
        ? []
        : [
            {
              key: `${sheet.process.id}/${sheet.paperId ?? ''}`,
              sheet,
              at,
              value: of === 'white' ? lightnessFromDensity(value) : value,
            },
          ]
    })
  return [
    ...groups(lamps, (one) => one.lightId).map(([lightId, rows]) =>
      trend({ kind: 'lamp', lightId, unit: 'mW/cm²' }, rows),
    ),
    ...groups(
      standing(bases),
      (one) => `${one.processId}/${one.paperId ?? ''}/${one.lightId}/${one.film}`,
    ).map(([, rows]) => {
      const [{ processId, paperId, lightId }] = rows as [Base, ...Base[]]
      return trend(
        { kind: 'base', processId, ...(paperId && { paperId }), lightId, unit: 's' },
        rows.map((one) => ({
          at: one.at,
          value: one.seconds,
          ...(one.sheetId && { sheetId: one.sheetId }),
        })),
      )
    }),
    ...(['black', 'white'] as const).flatMap((kind) =>
      groups(densities(kind), (one) => one.key).map(([, rows]) => {
        const [{ sheet }] = rows as [(typeof rows)[number], ...typeof rows]
        return trend(
          {
            kind,
            processId: sheet.process.id,
            ...(sheet.paperId && { paperId: sheet.paperId }),
            unit: kind === 'white' ? 'L*' : 'D',
          },
          rows.map((one) => ({ at: one.at, value: one.value, sheetId: one.sheet.id })),
        )
      }),
    ),
    ...groups(
      standing(calibrations).flatMap((one) =>
        one.checks.map((check) => ({ key: one.processId ?? '', at: check.at, value: check.mean })),
      ),
      (one) => one.key,
    ).map(([processId, rows]) =>
      trend({ kind: 'residual', ...(processId && { processId }), unit: 'L*' }, rows),
    ),
  ]
    .filter((one) => one.points.length >= 2)
    .sort((a, b) => Number(hasSignal(b)) - Number(hasSignal(a)) || b.points.length - a.points.length)
}

const hasSignal = (one: Trend) => (one.chart?.signals.length ?? 0) > 0

function groups<Row>(rows: readonly Row[], keyOf: (row: Row) => string): [string, Row[]][] {
  const found = new Map<string, Row[]>()
  for (const row of rows) {
    const key = keyOf(row)
    const list = found.get(key)
    if (list) list.push(row)
    else found.set(key, [row])
  }
  return [...found]
}
