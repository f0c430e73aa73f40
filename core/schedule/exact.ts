import { earliest, horizonOf, networkOf, timesOf, type Arc, type Network } from './network'
import { makespanOf, type Problem, type Times } from './problem'

export interface ExactAnswer {
  /** The best plan found that is shorter than what was known; `null` where there is none. */
  times: Times | null
  /** Whether the search went to its end: then nothing shorter than `times`, or than what was known, exists. */
  isProven: boolean
}

/** A use of a resource as points of the network. */
interface Stretch {
  from: number
  fromPlus: number
  to: number
  toPlus: number
}

/**
 * Searches all plans. At each step the earliest moments that the waits allow are looked at; where more want a resource
 * than it bears, one of them must be over before another begins, and every such order is tried. Earliest moments are best
 * moments, so the first that want nothing twice are the best of their branch.
 *
 * @param shorterThan only plans that end before this are of interest.
 * @param nodes after so many steps the search stops unproven.
 * @see De Reyck & Herroelen 1998 for branching over forbidden sets with greatest waits; from memory
 */
export function searchAll(problem: Problem, shorterThan: number, nodes: number): ExactAnswer {
  const network = networkOf(problem)
  const stretches = stretchesOf(problem, network)
  let horizon = Math.min(shorterThan - 1, horizonOf(problem))
  let best: Float64Array | null = null
  let left = nodes
  const arcs: Omit<Arc, 'rule'>[] = [...network.arcs]

  function descend(known: Float64Array): void {
    if (left-- <= 0) return
    const at = earliest(network.points, arcs, horizon, known)
    if (!at) return
    const conflict = firstConflict(problem, stretches, at)
    if (!conflict) {
      best = at
      horizon = makespanOf(timesOf(network, at)) - 1
      return
    }
    for (const [first, then] of ordersOf(conflict)) {
      arcs.push({ from: first.to, to: then.from, seconds: first.toPlus - then.fromPlus })
      descend(at)
      arcs.pop()
    }
  }
  descend(new Float64Array(network.points))
  return { times: best && timesOf(network, best), isProven: left >= 0 }
}

function stretchesOf(problem: Problem, network: Network): Stretch[][] {
  const stretches: Stretch[][] = problem.resources.map(() => [])
  for (const [j, job] of problem.jobs.entries())
    for (const [k, one] of job.entries())
      for (const use of one.uses) {
        const start = network.startOf[j]![k]!
        const point = (edge: 'start' | 'end') => (edge === 'start' ? start : start + 1)
        stretches[use.resource]!.push({
          from: point(use.from.edge),
          fromPlus: use.from.plus,
          to: point(use.to.edge),
          toPlus: use.to.plus,
        })
      }
  return stretches
}

/** As few stretches as are too many, of the resource that is overloaded first; `null` where none is. */
function firstConflict(
  problem: Problem,
  stretches: readonly Stretch[][],
  at: Float64Array,
): Stretch[] | null {
  let found: { moment: number; set: Stretch[] } | null = null
  for (const [index, { capacity }] of problem.resources.entries()) {
    const spans = stretches[index]!.map((stretch) => ({
      stretch,
      from: at[stretch.from]! + stretch.fromPlus,
      to: at[stretch.to]! + stretch.toPlus,
    }))
      .filter((span) => span.to > span.from)
      .sort((a, b) => a.from - b.from)
    for (const span of spans) {
      if (found && span.from >= found.moment) break
      const running = spans.filter((other) => other.from <= span.from && other.to > span.from)
      if (running.length <= capacity) continue
      found = { moment: span.from, set: running.slice(0, capacity + 1).map((other) => other.stretch) }
      break
    }
  }
  return found && found.set
}

/** Every way in which one of a set can be over before another begins, the one that begins earlier first. */
function ordersOf(set: readonly Stretch[]): [first: Stretch, then: Stretch][] {
  const orders: [Stretch, Stretch][] = []
  for (const first of set) for (const then of set) if (first !== then) orders.push([first, then])
  return orders
}
