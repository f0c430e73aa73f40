import type { RunState } from '../run/runState'
import { clockOf } from '../run/runState'
import type { Base, Light, LightEntry } from '../schema/light'
import { lampHealth, burntHours, type LampHealth, type LampReading } from './ageing'
import { stretchesOf } from '../run/dose'

/** Everything that is told of one light. */
export interface LightHistory {
  light: Light
  entries: readonly LightEntry[]
  bases: readonly Base[]
  /** Stretches in which sheets lay under it, milliseconds. */
  exposures: readonly (readonly [from: number, to: number])[]
}

/**
 * What is told of a light, gathered from the workroom.
 *
 * @param sheets which sheet lay under which light, with what its log amounts to.
 */
export function historyOf(
  light: Light,
  entries: readonly LightEntry[],
  bases: readonly Base[],
  sheets: readonly { lightId?: string | undefined; state: RunState }[],
  now: number,
): LightHistory {
  const exposures = sheets
    .filter((one) => one.lightId === light.id)
    .flatMap((one) => one.state.steps.filter((step) => step.planned.kind === 'expose'))
    .flatMap((step) => {
      const clock = clockOf(step)
      return clock ? stretchesOf(clock, now) : []
    })
  const standing = <Row extends { lightId: string; takenBackAt?: number | undefined; at: number }>(
    rows: readonly Row[],
  ) =>
    rows
      .filter((one) => one.lightId === light.id && one.takenBackAt === undefined)
      .sort((a, b) => a.at - b.at)
  return { light, entries: standing(entries), bases: standing(bases), exposures }
}

/** When the lamp was last lit and has burnt since; `null` when it is out or no one said. */
export function litSince({ entries }: Pick<LightHistory, 'entries'>): number | null {
  const last = entries.filter((one) => one.what.type === 'lit' || one.what.type === 'out').at(-1)
  return last?.what.type === 'lit' ? last.at : null
}

/** Stretches in which the lamp was lit, the last one open until now. */
function litStretches(entries: readonly LightEntry[], now: number): [number, number][] {
  const stretches: [number, number][] = []
  let from: number | null = null
  for (const { at, what } of entries) {
    if (what.type === 'lit') from ??= at
    if (what.type === 'out' && from !== null) {
      stretches.push([from, at])
      from = null
    }
  }
  if (from !== null) stretches.push([from, now])
  return stretches
}

/**
 * Hours a lamp had burnt by a moment: what was last told of it, and every lit stretch and exposure since.
 *
 * @param at milliseconds.
 */
export function hoursAt({ entries, exposures }: LightHistory, at: number): number {
  const told = entries
    .filter((one) => one.at <= at && (one.what.type === 'hours' || one.what.type === 'renewed'))
    .at(-1)
  const from = told?.at ?? -Infinity
  const start = told?.what.type === 'hours' ? told.what.hours : 0
  const since = [...litStretches(entries, at), ...exposures]
    .map(([a, b]) => [Math.max(a, from), Math.min(b, at)] as const)
    .filter(([a, b]) => b > a)
  return start + burntHours(since)
}

/**
 * Looks at how strong a lamp is, since it was new: its readings, or where no one read it its base exposures, each as
 * one over its seconds. Bases count only among themselves: of the one combination that was found most often.
 */
export function readingsOf(history: LightHistory): { readings: LampReading[]; from: 'meter' | 'bases' } {
  const renewed = history.entries.filter((one) => one.what.type === 'renewed').at(-1)?.at ?? -Infinity
  const read = history.entries.flatMap(({ at, what }) =>
    what.type === 'read' && at >= renewed
      ? [{ hours: hoursAt(history, at), strength: what.milliwattsPerCm2 }]
      : [],
  )
  if (read.length) return { readings: read, from: 'meter' }
  const groups = new Map<string, Base[]>()
  for (const base of history.bases) {
    if (base.at < renewed) continue
    const key = [base.processId, base.paperId ?? '', base.film].join('/')
    groups.set(key, [...(groups.get(key) ?? []), base])
  }
  const largest = [...groups.values()].sort((a, b) => b.length - a.length)[0] ?? []
  return {
    from: 'bases',
    readings: largest.map((base) => ({ hours: hoursAt(history, base.at), strength: 1 / base.seconds })),
  }
}

/** How a lamp stands now, by its ledger. */
export function healthOf(history: LightHistory, now: number): LampHealth & { from: 'meter' | 'bases' } {
  const { readings, from } = readingsOf(history)
  const health = lampHealth(hoursAt(history, now), readings)
  return { ...health, from, ...(from === 'bases' && { expected: null }) }
}
