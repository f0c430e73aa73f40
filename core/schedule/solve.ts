import { seededRandom } from '../quantity/random'
import { lowerBound } from './bound'
import { searchAll } from './exact'
import { Placer, segmentStarts } from './insertion'
import { contradictionOf, horizonOf, networkOf, tailsOf, type Rule } from './network'
import { makespanOf, type Problem, type Times } from './problem'

/** What is known of a session so far. */
export interface Found {
  /** `null` while no plan is known. */
  times: Times | null
  /** Seconds from the start in which all is over. */
  length: number
  /** No plan can be shorter. */
  bound: number
  /** Whether nothing better exists; with no plan, whether none exists at all. */
  isProven: boolean
  /** Rules that contradict each other, where that is why there is no plan. */
  contradiction?: readonly Rule[]
}

export interface Effort {
  seed: number
  /** Orders that are tried out. */
  tries: number
  /** Steps of the search through everything, which is only begun where there is not too much to search. */
  nodes: number
}

export const USUAL_EFFORT: Effort = { seed: 1, tries: 2500, nodes: 20_000 }

/** Operations up to which everything is searched. */
const FEW_OPERATIONS = 26
/** A second by which a print hangs earlier on the average counts so much of a second by which the session is shorter. */
const EARLINESS = 0.02

/**
 * Looks for the shortest plan of a session: orders are tried out and made better step by step; small sessions are
 * searched through to the end. Every better plan is given as it is found. The same problem, seed and effort give the
 * same plan.
 */
export function* solve(problem: Problem, effort: Effort = USUAL_EFFORT): Generator<Found, Found> {
  const horizon = horizonOf(problem)
  const network = networkOf(problem)
  const bound = lowerBound(problem, network, horizon)
  if (bound === null || bound > horizon)
    return {
      times: null,
      length: Infinity,
      bound: bound ?? 0,
      isProven: true,
      contradiction: contradictionOf(network) ?? undefined,
    }
  const tails = tailsOf(network, Infinity)!
  let best: Found = { times: null, length: Infinity, bound, isProven: false }
  for (const times of betterOrders(
    problem,
    horizon,
    bound,
    effort,
    (job) => tails[network.startOf[job]![0]!]!,
  )) {
    const length = makespanOf(times)
    if (length > best.length) continue
    best = { times, length, bound, isProven: length <= bound }
    yield best
  }
  const count = problem.jobs.reduce((sum, job) => sum + job.length, 0)
  if (best.isProven || (count > FEW_OPERATIONS && best.times)) return best
  const answer = searchAll(problem, best.length, effort.nodes)
  const times = answer.times ?? best.times
  const length = times ? makespanOf(times) : Infinity
  return { times, length, bound: answer.isProven && times ? length : bound, isProven: answer.isProven }
}

/** Plans made from orders of the jobs, each better than the last, until one is as short as can be. */
function* betterOrders(
  problem: Problem,
  horizon: number,
  bound: number,
  { seed, tries }: Effort,
  tailOf: (job: number) => number,
): Generator<Times> {
  const random = seededRandom(seed)
  const jobs = problem.jobs.map((_, job) => job).filter((job) => problem.jobs[job]!.length)
  if (!jobs.length) {
    yield problem.jobs.map(() => [])
    return
  }
  const segments = (list: readonly number[]) =>
    list.flatMap((job) => segmentStarts(problem.jobs[job]!).map(() => job))
  const byTail = [...jobs].sort((a, b) => tailOf(b) - tailOf(a))
  const firsts = [byTail, jobs, [...byTail].reverse()]
  const starts = [...firsts.map((list) => inRounds(segments(list))), ...firsts.map(segments)]

  const placer = new Placer(problem, horizon)
  let [order, cost, lowest] = [starts[0]!, Infinity, Infinity]
  for (let attempt = 0; attempt < starts.length + tries; attempt++) {
    const next = starts[attempt] ?? changed(order, random)
    const times = placer.place(next)
    if (!times) continue
    const itsCost = costOf(problem, times)
    if (itsCost < lowest) {
      lowest = itsCost
      yield times
      if (attempt >= starts.length && makespanOf(times) <= bound) return
    }
    // Slightly worse orders are gone on from now and then, less and less so, or it would stay in the first hollow.
    const patience = 0.02 * bound * (1 - attempt / (starts.length + tries)) * random()
    if (itsCost <= cost + patience) [order, cost] = [next, itsCost]
  }
}

/** The first segment of every job, then the second of every job, and so on. */
function inRounds(order: readonly number[]): number[] {
  const seen = new Map<number, number>()
  return order
    .map((job) => {
      const round = seen.get(job) ?? 0
      seen.set(job, round + 1)
      return { job, round }
    })
    .sort((a, b) => a.round - b.round)
    .map((one) => one.job)
}

/** One entry moved elsewhere, or two exchanged. */
function changed(order: readonly number[], random: () => number): number[] {
  const next = [...order]
  const place = () => Math.floor(random() * next.length)
  const [a, b] = [place(), place()]
  if (random() < 0.5) [next[a], next[b]] = [next[b]!, next[a]!]
  else next.splice(b, 0, ...next.splice(a, 1))
  return next
}

/** Length of the session first; then how early prints are done, and how far coats are past their best. */
function costOf(problem: Problem, times: Times): number {
  let [ends, stale] = [0, 0]
  for (const [j, job] of problem.jobs.entries())
    for (const [k, one] of job.entries()) {
      const [at, next] = [times[j]![k]!, times[j]![k + 1]]
      if (!next) ends += at.end
      else if (one.waitBestSeconds !== undefined)
        stale += Math.max(0, next.start - at.end - one.waitBestSeconds)
    }
  return makespanOf(times) + (EARLINESS * (ends + 0.5 * stale)) / Math.max(1, problem.jobs.length)
}
