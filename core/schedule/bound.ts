import { earliest, tailsOf, type Network } from './network'
import type { Problem } from './problem'

/** One stretch of work on a resource: not before `head`, and `tail` seconds of other work must follow it. */
export interface Piece {
  head: number
  length: number
  tail: number
}

/**
 * The least time in which a session can be over, whatever the order: the longest chain of one print, and for every
 * resource its work with what must come before and after it.
 *
 * @returns seconds from the start of the session, or `null` where the waits alone contradict each other.
 */
export function lowerBound(problem: Problem, network: Network, horizon: number): number | null {
  const heads = earliest(network.points, network.arcs, horizon)
  const tails = tailsOf(network, Infinity)
  if (!heads || !tails) return null
  let bound = Math.max(0, ...heads)
  for (const [index, { capacity }] of problem.resources.entries())
    bound = Math.max(bound, resourceBound(piecesOn(index, problem, network, heads, tails), capacity))
  return Math.ceil(bound - 1e-9)
}

/** What every operation asks of one resource, at the least. */
export function piecesOn(
  resource: number,
  problem: Problem,
  network: Network,
  heads: ArrayLike<number>,
  tails: ArrayLike<number>,
): Piece[] {
  const pieces: Piece[] = []
  for (const [j, job] of problem.jobs.entries())
    for (const [k, one] of job.entries())
      for (const use of one.uses) {
        if (use.resource !== resource) continue
        const start = network.startOf[j]![k]!
        const [from, to] = [use.from, use.to].map((anchor) =>
          anchor.edge === 'start' ? start : start + 1,
        ) as [number, number]
        // A use over its whole operation is drawn out with it, so only its least length is sure.
        const length =
          from === to
            ? use.to.plus - use.from.plus
            : one.leastSeconds * (from < to ? 1 : -1) + use.to.plus - use.from.plus
        if (length <= 0) continue
        pieces.push({
          head: heads[from]! + use.from.plus,
          length,
          tail: Math.max(0, tails[to]! - use.to.plus),
        })
      }
  return pieces
}

/**
 * Least time in which pieces can be over when at most `capacity` run at once. For one at a time it is the best that
 * could be reached if every piece might be broken off and taken up again, the one with the longest tail first.
 *
 * @see Jackson's preemptive schedule, in Carlier 1982; from memory
 */
export function resourceBound(pieces: readonly Piece[], capacity: number): number {
  if (!pieces.length) return 0
  if (capacity > 1) return sharedBound(pieces, capacity)
  const waiting = [...pieces].sort((a, b) => a.head - b.head)
  const open: { left: number; tail: number }[] = []
  let [now, bound, next] = [waiting[0]!.head, 0, 0]
  while (next < waiting.length || open.length) {
    if (!open.length) now = Math.max(now, waiting[next]!.head)
    for (; next < waiting.length && waiting[next]!.head <= now; next++)
      open.push({ left: waiting[next]!.length, tail: waiting[next]!.tail })
    let longest = 0
    for (let i = 1; i < open.length; i++) if (open[i]!.tail > open[longest]!.tail) longest = i
    const piece = open[longest]!
    const step = Math.min(piece.left, next < waiting.length ? waiting[next]!.head - now : Infinity)
    now += step
    piece.left -= step
    if (piece.left <= 0) {
      bound = Math.max(bound, now + piece.tail)
      open.splice(longest, 1)
    }
  }
  return bound
}

/** Work shared out evenly, for every set of pieces with late heads and long tails. */
function sharedBound(pieces: readonly Piece[], capacity: number): number {
  let bound = Math.max(...pieces.map((piece) => piece.head + piece.length + piece.tail))
  for (const head of new Set(pieces.map((piece) => piece.head))) {
    const later = pieces.filter((piece) => piece.head >= head).sort((a, b) => b.tail - a.tail)
    let work = 0
    for (const piece of later) {
      work += piece.length
      bound = Math.max(bound, head + work / capacity + piece.tail)
    }
  }
  return bound
}
