import { Calendar } from './calendar'
import { spanOf, type Operation, type Problem, type Times } from './problem'

/** Slack after which the rest of a print may be placed by itself: the coat today, the exposure when the lamp is free. */
const LOOSE_SECONDS = 900

/** Consecutive operations of one job that are placed together. */
interface Segment {
  job: number
  from: number
  /** One past the last. */
  to: number
}

type Placed = { start: number; end: number }

/** Places of a job at which a new segment begins, the first always among them. */
export const segmentStarts = (job: readonly Operation[]): number[] =>
  job.flatMap((_, place) => {
    const before = job[place - 1]
    return !before || before.waitMostSeconds - before.waitLeastSeconds >= LOOSE_SECONDS ? [place] : []
  })

/**
 * Makes a plan by placing one segment after the other, each as early as what is placed already and its own waits allow.
 *
 * @param order jobs, each named as often as it has segments; what has to come first is placed first.
 * @param horizon no later than this.
 * @returns `null` where a segment does not fit in this order.
 */
export function placeInOrder(problem: Problem, order: readonly number[], horizon: number): Times | null {
  return new Placement(problem, horizon).place(order)
}

class Placement {
  private readonly times: (Placed | undefined)[][]
  private readonly calendars: Calendar[]
  private readonly starts: number[][]

  constructor(
    private readonly problem: Problem,
    private readonly horizon: number,
  ) {
    this.times = problem.jobs.map((job) => job.map(() => undefined))
    this.calendars = problem.resources.map((resource) => new Calendar(resource.capacity))
    this.starts = problem.jobs.map(segmentStarts)
  }

  place(order: readonly number[]): Times | null {
    for (const job of order) {
      const segment = this.nextOf(job)
      if (segment && !this.placeSegment(segment)) return null
    }
    return this.times as Times
  }

  private nextOf(job: number): Segment | null {
    const from = this.times[job]!.findIndex((one) => one === undefined)
    if (from < 0) return null
    const starts = this.starts[job]!
    return { job, from, to: starts.find((start) => start > from) ?? this.problem.jobs[job]!.length }
  }

  private placeSegment(segment: Segment): boolean {
    // What this has to wait for in other jobs comes first.
    for (const { first, then } of this.problem.after) {
      if (then.job !== segment.job || then.place < segment.from || then.place >= segment.to) continue
      while (!this.times[first.job]![first.place]) {
        const other = this.nextOf(first.job)
        if (!other || first.job === segment.job || !this.placeSegment(other)) return false
      }
    }
    if (this.insert(segment)) return true
    // Its window has closed behind what was placed of it before: the whole of it is moved on together.
    if (segment.from === 0 || this.isWaitedFor(segment)) return false
    for (let place = 0; place < segment.from; place++) this.book(segment.job, place, 'free')
    for (let place = 0; place < segment.from; place++) this.times[segment.job]![place] = undefined
    return this.insert({ ...segment, from: 0 })
  }

  private isWaitedFor({ job, from }: Segment): boolean {
    return this.problem.after.some(
      ({ first, then }) => first.job === job && first.place < from && this.times[then.job]![then.place],
    )
  }

  /** Moves every operation of a segment forward until nothing is in its way: that is the earliest it can be. */
  private insert({ job, from, to }: Segment): boolean {
    const operations = this.problem.jobs[job]!
    const before = from > 0 ? this.times[job]![from - 1] : undefined
    const wait = operations[from - 1]
    const latest = before && wait ? before.end + wait.waitMostSeconds : Infinity
    const placed: Placed[] = []
    for (let place = from; place < to; place++) {
      const start = Math.max(0, operations[place]!.notBefore ?? 0, this.heldUntil(job, place))
      placed.push({ start, end: start })
    }
    if (before && wait) placed[0]!.start = Math.max(placed[0]!.start, before.end + wait.waitLeastSeconds)
    for (let moved = true; moved;) {
      moved = this.settle(operations, placed, from)
      for (let i = 0; i < placed.length && !moved; i++) moved = this.makeWay(operations, placed, from, i)
      if (placed[0]!.start > latest || placed.some((one) => one.end > this.horizon)) return false
    }
    if (placed.some((one, i) => one.start > (operations[from + i]!.notAfter ?? Infinity))) return false
    placed.forEach((one, i) => {
      this.times[job]![from + i] = one
      this.book(job, from + i, 'book')
    })
    return true
  }

  private heldUntil(job: number, place: number): number {
    let until = 0
    for (const { first, then, leastSeconds } of this.problem.after)
      if (then.job === job && then.place === place)
        until = Math.max(until, (this.times[first.job]![first.place]?.end ?? 0) + leastSeconds)
    return until
  }

  /** Least and greatest lengths and waits, forward and back. @returns whether anything has moved. */
  private settle(operations: readonly Operation[], placed: Placed[], from: number): boolean {
    let moved = false
    const raise = (one: Placed, edge: 'start' | 'end', moment: number) => {
      if (moment <= one[edge]) return
      one[edge] = moment
      moved = true
    }
    for (let i = 0; i < placed.length; i++) {
      const [one, operation] = [placed[i]!, operations[from + i]!]
      if (i > 0) raise(one, 'start', placed[i - 1]!.end + operations[from + i - 1]!.waitLeastSeconds)
      raise(one, 'end', one.start + operation.leastSeconds)
    }
    for (let i = placed.length - 1; i >= 0; i--) {
      const [one, operation] = [placed[i]!, operations[from + i]!]
      const next = placed[i + 1]
      if (next) raise(one, 'end', next.start - operation.waitMostSeconds)
      raise(one, 'start', one.end - operation.mostSeconds)
    }
    return moved
  }

  /** Moves one operation past whatever holds a resource it wants. @returns whether it has moved. */
  private makeWay(operations: readonly Operation[], placed: Placed[], from: number, i: number): boolean {
    for (const use of operations[from + i]!.uses) {
      const [begins, ends] = spanOf(use, placed[i]!)
      if (ends <= begins) continue
      const free =
        this.calendars[use.resource]!.inTheWay(begins, ends) ??
        this.ownInTheWay(operations, placed, from, i, use.resource, begins, ends)
      if (free === null) continue
      placed[i]![use.from.edge] = free - use.from.plus
      return true
    }
    return false
  }

  /** The same, for what the segment itself takes earlier on; only where one at a time is all there is. */
  private ownInTheWay(
    operations: readonly Operation[],
    placed: Placed[],
    from: number,
    i: number,
    resource: number,
    begins: number,
    ends: number,
  ): number | null {
    if (this.problem.resources[resource]!.capacity > 1) return null
    for (let k = Math.max(0, i - 2); k <= i; k++)
      for (const use of operations[from + k]!.uses) {
        if (use.resource !== resource) continue
        const [a, b] = spanOf(use, placed[k]!)
        if (b > a && a < ends && b > begins && (a < begins || (a === begins && k < i))) return b
      }
    return null
  }

  private book(job: number, place: number, how: 'book' | 'free'): void {
    for (const use of this.problem.jobs[job]![place]!.uses) {
      const [from, to] = spanOf(use, this.times[job]![place]!)
      if (to > from) this.calendars[use.resource]![how](from, to)
    }
  }
}
