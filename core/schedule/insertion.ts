import { Calendar } from './calendar'
import type { Operation, Problem, Times } from './problem'

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

/** A use in plain numbers: read some thousand times for every plan that is tried. */
interface Span {
  resource: number
  isSingle: boolean
  fromEnd: boolean
  fromPlus: number
  toEnd: boolean
  toPlus: number
}

/**
 * Makes plans by placing one segment after the other, each as early as what is placed already and its own waits allow.
 * One serves for many orders of the same problem.
 */
export class Placer {
  private times: (Placed | undefined)[][] = []
  private calendars: Calendar[] = []
  private readonly starts: readonly (readonly number[])[]
  private readonly spans: readonly (readonly (readonly Span[])[])[]

  /** @param horizon no plan may end later than this. */
  constructor(
    private readonly problem: Problem,
    private readonly horizon: number,
  ) {
    this.starts = problem.jobs.map(segmentStarts)
    this.spans = problem.jobs.map((job) =>
      job.map(({ uses }) =>
        uses.map(({ resource, from, to }) => ({
          resource,
          isSingle: problem.resources[resource]!.capacity === 1,
          fromEnd: from.edge === 'end',
          fromPlus: from.plus,
          toEnd: to.edge === 'end',
          toPlus: to.plus,
        })),
      ),
    )
  }

  /**
   * @param order jobs, each named as often as it has segments; what has to come first is placed first.
   * @returns `null` where a segment does not fit in this order.
   */
  place(order: readonly number[]): Times | null {
    this.times = this.problem.jobs.map((job) => job.map(() => undefined))
    this.calendars = this.problem.resources.map((resource) => new Calendar(resource.capacity))
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
  private insert(segment: Segment): boolean {
    const { job, from, to } = segment
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
      this.settle(operations, placed, from)
      moved = false
      for (let i = 0; i < placed.length; i++)
        while (this.makeWay(operations, placed, segment, i)) {
          moved = true
          if (placed[i]!.start > this.horizon) return false
        }
      if (placed[0]!.start > latest || placed.at(-1)!.end > this.horizon) return false
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

  /** Raises moments until least and greatest lengths and waits are kept, forward and back. */
  private settle(operations: readonly Operation[], placed: Placed[], from: number): void {
    for (let moved = true; moved;) {
      for (let i = 0; i < placed.length; i++) {
        const [one, operation] = [placed[i]!, operations[from + i]!]
        if (i > 0)
          one.start = Math.max(one.start, placed[i - 1]!.end + operations[from + i - 1]!.waitLeastSeconds)
        one.end = Math.max(one.end, one.start + operation.leastSeconds)
      }
      moved = false
      for (let i = placed.length - 1; i >= 0; i--) {
        const [one, operation, next] = [placed[i]!, operations[from + i]!, placed[i + 1]]
        if (next) one.end = Math.max(one.end, next.start - operation.waitMostSeconds)
        if (one.end - operation.mostSeconds <= one.start) continue
        one.start = one.end - operation.mostSeconds
        moved = true
      }
      if (placed.at(-1)!.end > this.horizon) return
    }
  }

  /** Moves one operation past whatever holds a resource it wants. @returns whether it has moved. */
  private makeWay(operations: readonly Operation[], placed: Placed[], segment: Segment, i: number): boolean {
    const one = placed[i]!
    for (const span of this.spans[segment.job]![segment.from + i]!) {
      const begins = (span.fromEnd ? one.end : one.start) + span.fromPlus
      const ends = (span.toEnd ? one.end : one.start) + span.toPlus
      if (ends <= begins) continue
      const free =
        this.calendars[span.resource]!.inTheWay(begins, ends) ??
        (span.isSingle ? this.ownInTheWay(placed, segment, i, span.resource, begins, ends) : null)
      if (free === null) continue
      one[span.fromEnd ? 'end' : 'start'] = free - span.fromPlus
      one.end = Math.max(one.end, one.start + operations[segment.from + i]!.leastSeconds)
      return true
    }
    return false
  }

  /** The same, for what the segment itself takes just before; only where one at a time is all there is. */
  private ownInTheWay(
    placed: readonly Placed[],
    { job, from }: Segment,
    i: number,
    resource: number,
    begins: number,
    ends: number,
  ): number | null {
    for (let k = Math.max(0, i - 2); k <= i; k++)
      for (const span of this.spans[job]![from + k]!) {
        if (span.resource !== resource) continue
        const a = (span.fromEnd ? placed[k]!.end : placed[k]!.start) + span.fromPlus
        const b = (span.toEnd ? placed[k]!.end : placed[k]!.start) + span.toPlus
        if (b > a && a < ends && b > begins && (a < begins || (a === begins && k < i))) return b
      }
    return null
  }

  private book(job: number, place: number, how: 'book' | 'free'): void {
    const at = this.times[job]![place]!
    for (const span of this.spans[job]![place]!) {
      const from = (span.fromEnd ? at.end : at.start) + span.fromPlus
      const to = (span.toEnd ? at.end : at.start) + span.toPlus
      if (to > from) this.calendars[span.resource]![how](from, to)
    }
  }
}
