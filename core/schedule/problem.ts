/**
 * A session as a scheduling problem: jobs are chains of operations with least and greatest waits between them, that
 * share resources. Times are whole seconds from the start of the session.
 */

/** A moment of an operation: its start or its end, and so many seconds after it (below 0: before). */
export interface Anchor {
  edge: 'start' | 'end'
  plus: number
}

/** A stretch in which an operation takes some of a resource; empty where `to` is not after `from`. */
export interface Use {
  /** Index of the resource. */
  resource: number
  from: Anchor
  to: Anchor
}

/** One thing that is done to one print. It may be drawn out from its least to its greatest length. */
export interface Operation {
  leastSeconds: number
  /** Infinity where it may be as long as it likes. */
  mostSeconds: number
  /** Wait between its end and the start of the next operation of its job. */
  waitLeastSeconds: number
  waitMostSeconds: number
  /** After which a wait begins to cost quality. */
  waitBestSeconds?: number
  uses: readonly Use[]
  notBefore?: number
  notAfter?: number
}

export interface Resource {
  name: string
  /** How many may use it at once. */
  capacity: number
}

/** An operation named by its job and its place in it. */
export interface OperationAt {
  job: number
  place: number
}

export interface Problem {
  resources: readonly Resource[]
  jobs: readonly (readonly Operation[])[]
  /** Operations that may begin only when one of another job has ended: coats from one glass, a layer over a print. */
  after: readonly { first: OperationAt; then: OperationAt; leastSeconds: number }[]
  /** Everything has to be over by then. */
  finishBy?: number
}

/** Start and end of every operation, by job and place. */
export type Times = readonly (readonly { start: number; end: number }[])[]

/** End of the last operation, in the times' own unit, counted from 0; 0 for no operations. */
export const makespanOf = (times: Times): number =>
  Math.max(0, ...times.flatMap((job) => job.map((one) => one.end)))

/** When a use begins and ends. */
export const spanOf = (
  use: Use,
  { start, end }: { start: number; end: number },
): [from: number, to: number] => [
  (use.from.edge === 'start' ? start : end) + use.from.plus,
  (use.to.edge === 'start' ? start : end) + use.to.plus,
]

/** A rule of the problem that a plan breaks, for checking plans; `null` when it breaks none. */
export function brokenRule(problem: Problem, times: Times): string | null {
  for (const [j, job] of problem.jobs.entries())
    for (const [k, operation] of job.entries()) {
      const at = times[j]?.[k]
      if (!at) return `job ${j} operation ${k} is not placed`
      const length = at.end - at.start
      if (length < operation.leastSeconds || length > operation.mostSeconds)
        return `job ${j} operation ${k} lasts ${length}`
      if (at.start < Math.max(0, operation.notBefore ?? 0)) return `job ${j} operation ${k} begins too early`
      if (at.start > (operation.notAfter ?? Infinity)) return `job ${j} operation ${k} begins too late`
      if (at.end > (problem.finishBy ?? Infinity)) return `job ${j} operation ${k} ends after the session`
      const next = times[j]?.[k + 1]
      const wait = next ? next.start - at.end : null
      if (wait !== null && (wait < operation.waitLeastSeconds || wait > operation.waitMostSeconds))
        return `job ${j} waits ${wait} after operation ${k}`
    }
  for (const { first, then, leastSeconds } of problem.after) {
    const [a, b] = [times[first.job]?.[first.place], times[then.job]?.[then.place]]
    if (!a || !b || b.start < a.end + leastSeconds)
      return `job ${then.job} does not wait for job ${first.job}`
  }
  return overload(problem, times)
}

function overload(problem: Problem, times: Times): string | null {
  for (const [index, resource] of problem.resources.entries()) {
    const changes: [at: number, change: number][] = []
    for (const [j, job] of problem.jobs.entries())
      for (const [k, operation] of job.entries())
        for (const use of operation.uses) {
          if (use.resource !== index) continue
          const [from, to] = spanOf(use, times[j]?.[k] ?? { start: 0, end: 0 })
          if (to > from) changes.push([from, 1], [to, -1])
        }
    changes.sort((a, b) => a[0] - b[0] || a[1] - b[1])
    let load = 0
    for (const [at, change] of changes) {
      load += change
      if (load > resource.capacity) return `${resource.name} is wanted ${load} times at ${at}`
    }
  }
  return null
}
