import type { OperationAt, Problem, Times } from './problem'

/** t(to) ≥ t(from) + seconds. */
export interface Arc {
  from: number
  to: number
  seconds: number
  /** The rule that asks for it. */
  rule: Rule
}

/** What a wait of a problem comes from: an operation's own length, the wait after it, its window, or what it follows. */
export interface Rule extends OperationAt {
  kind: 'length' | 'wait' | 'window' | 'finishBy' | 'follows'
}

/**
 * The waits of a problem as a network of points in time: point 0 is the start of the session, then start and end of every
 * operation in order.
 */
export interface Network {
  points: number
  arcs: readonly Arc[]
  /** Index of the start point of each operation, by job and place; its end is the next. */
  startOf: readonly (readonly number[])[]
}

/** The fixed rules of a problem as a network: a point for every start and end, an arc for every least distance. */
export function networkOf(problem: Problem): Network {
  const arcs: Arc[] = []
  const startOf: number[][] = []
  let points = 1
  for (const [jobIndex, job] of problem.jobs.entries()) {
    const starts: number[] = []
    for (const [place, one] of job.entries()) {
      const at = (kind: Rule['kind']): Rule => ({ job: jobIndex, place, kind })
      const [start, end] = [points, points + 1]
      points += 2
      starts.push(start)
      arcs.push({ from: 0, to: start, seconds: Math.max(0, one.notBefore ?? 0), rule: at('window') })
      arcs.push({ from: start, to: end, seconds: one.leastSeconds, rule: at('length') })
      if (one.mostSeconds !== Infinity)
        arcs.push({ from: end, to: start, seconds: -one.mostSeconds, rule: at('length') })
      if (one.notAfter !== undefined)
        arcs.push({ from: start, to: 0, seconds: -one.notAfter, rule: at('window') })
      if (problem.finishBy !== undefined)
        arcs.push({ from: end, to: 0, seconds: -problem.finishBy, rule: at('finishBy') })
      if (place + 1 < job.length) {
        arcs.push({ from: end, to: points, seconds: one.waitLeastSeconds, rule: at('wait') })
        if (one.waitMostSeconds !== Infinity)
          arcs.push({ from: points, to: end, seconds: -one.waitMostSeconds, rule: at('wait') })
      }
    }
    startOf.push(starts)
  }
  for (const { first, then, leastSeconds } of problem.after) {
    const [a, b] = [startOf[first.job]![first.place]!, startOf[then.job]![then.place]!]
    arcs.push({ from: a + 1, to: b, seconds: leastSeconds, rule: { ...then, kind: 'follows' } })
  }
  return { points, arcs, startOf }
}

/**
 * The earliest moment of every point that satisfies all waits (longest paths from the start of the session).
 *
 * @param known moments already known to be no later than the earliest ones; shape (points,), not changed.
 * @returns shape (points,), or `null` where the waits contradict each other or a point would fall beyond the horizon.
 */
export function earliest(
  points: number,
  arcs: readonly Omit<Arc, 'rule'>[],
  horizon: number,
  known?: ArrayLike<number>,
): Float64Array | null {
  const at = known ? Float64Array.from(known) : new Float64Array(points)
  // Moments only grow. Without a contradiction every one is final after as many rounds as there are points; waits that
  // contradict each other would go on without end.
  for (let [changed, round] = [true, 0]; changed; round++) {
    if (round > points) return null
    changed = false
    for (const arc of arcs) {
      const moment = at[arc.from]! + arc.seconds
      if (moment <= at[arc.to]!) continue
      if (moment > horizon || arc.to === 0) return null
      at[arc.to] = moment
      changed = true
    }
  }
  return at
}

/**
 * Rules that contradict each other: followed round, they ask for more time than they allow.
 *
 * @returns the rules of one such circle, each once, in the order of the steps; `null` where there is none.
 */
export function contradictionOf({ points, arcs }: Network): Rule[] | null {
  const at = new Float64Array(points)
  const cameBy: (Arc | undefined)[] = new Array<Arc | undefined>(points)
  let touched = -1
  for (let round = 0; round <= points; round++) {
    touched = -1
    for (const arc of arcs) {
      if (at[arc.from]! + arc.seconds <= at[arc.to]! + 1e-9) continue
      at[arc.to] = at[arc.from]! + arc.seconds
      cameBy[arc.to] = arc
      touched = arc.to
    }
    if (touched < 0) return null
  }
  // So many steps back lead into the circle, wherever it was entered.
  for (let step = 0; step < points; step++) touched = cameBy[touched]!.from
  const circle: Rule[] = []
  let point = touched
  do {
    const arc = cameBy[point]!
    circle.push(arc.rule)
    point = arc.from
  } while (point !== touched)
  const byName = new Map(circle.map((rule) => [`${rule.job}/${rule.place}/${rule.kind}`, rule]))
  return [...byName.values()].sort((a, b) => a.job - b.job || a.place - b.place)
}

/** Seconds from each point to the end of the session that its waits ask for at least; shape (points,). */
export function tailsOf({ points, arcs }: Network, horizon: number): Float64Array | null {
  const flipped = arcs
    .filter((arc) => arc.to !== 0 && arc.from !== 0)
    .map(({ from, to, seconds }) => ({ from: to, to: from, seconds }))
  return earliest(points, flipped, horizon)
}

/** Moments of a network as times of the operations. */
export const timesOf = (network: Network, at: ArrayLike<number>): Times =>
  network.startOf.map((job) => job.map((start) => ({ start: at[start]!, end: at[start + 1]! })))

/**
 * No feasible plan need be longer than this: every operation after the other, each with its longest wait and the longest
 * reach of its uses. @see Bartusch, Möhring & Radermacher 1988 for the bound by sums of greatest arcs; from memory
 */
export function horizonOf(problem: Problem): number {
  let sum = 0
  let latest = 0
  for (const job of problem.jobs)
    for (const one of job) {
      latest = Math.max(latest, one.notBefore ?? 0)
      const reach = one.uses.reduce(
        (most, use) => Math.max(most, Math.abs(use.from.plus), Math.abs(use.to.plus)),
        0,
      )
      sum += Math.max(one.leastSeconds + reach, 1) + one.waitLeastSeconds + reach
    }
  for (const { leastSeconds } of problem.after) sum += Math.max(0, leastSeconds)
  return Math.min(latest + sum, problem.finishBy ?? Infinity)
}
