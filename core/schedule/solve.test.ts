import { samples } from '../fixtures/samples'
import { seededRandom } from '../quantity/random'
import { searchAll } from './exact'
import { Placer, segmentStarts } from './insertion'
import { horizonOf } from './network'
import { brokenRule, makespanOf, spanOf, type Operation, type Problem, type Use } from './problem'
import { solve, type Found } from './solve'

const within: Omit<Use, 'resource'> = { from: { edge: 'start', plus: 0 }, to: { edge: 'end', plus: 0 } }
const all = (resource: number): Use => ({ resource, ...within })
const atStart = (resource: number, seconds: number): Use => ({
  resource,
  from: { edge: 'start', plus: 0 },
  to: { edge: 'start', plus: seconds },
})
const operation = (leastSeconds: number, changes: Partial<Operation> = {}): Operation => ({
  leastSeconds,
  mostSeconds: leastSeconds,
  waitLeastSeconds: 0,
  waitMostSeconds: Infinity,
  uses: [],
  ...changes,
})

function last(problem: Problem, effort = { seed: 1, tries: 300, nodes: 40_000 }): Found {
  const looked = solve(problem, effort)
  for (;;) {
    const { done, value } = looked.next()
    if (done) return value
  }
}

/**
 * The shortest plan by trying every second for everything, for problems of a few seconds. Knows nothing of how the
 * solver works: it counts what is used second by second.
 */
function bruteForce(problem: Problem, horizon: number): number | null {
  const load = problem.resources.map(() => new Int32Array(horizon + 40))
  const times: { start: number; end: number }[][] = problem.jobs.map(() => [])
  let best: number | null = null
  const fits = (one: Operation, at: { start: number; end: number }, change: number): boolean => {
    let sound = true
    for (const use of one.uses) {
      const [from, to] = spanOf(use, at)
      for (let second = from; second < to; second++) {
        load[use.resource]![second + 20]! += change
        if (load[use.resource]![second + 20]! > problem.resources[use.resource]!.capacity) sound = false
      }
    }
    return sound
  }
  function next(job: number, place: number): void {
    if (job === problem.jobs.length) {
      const isOrdered = problem.after.every(
        ({ first, then, leastSeconds }) =>
          times[then.job]![then.place]!.start >= times[first.job]![first.place]!.end + leastSeconds,
      )
      const length = makespanOf(times)
      if (isOrdered && (best === null || length < best)) best = length
      return
    }
    const one = problem.jobs[job]![place]
    if (!one) return next(job + 1, 0)
    const before = times[job]![place - 1]
    const wait = problem.jobs[job]![place - 1]
    const least = Math.max(one.notBefore ?? 0, before ? before.end + wait!.waitLeastSeconds : 0)
    const most = Math.min(one.notAfter ?? horizon, before ? before.end + wait!.waitMostSeconds : horizon)
    const limit = () => Math.min(problem.finishBy ?? horizon, horizon, best === null ? Infinity : best - 1)
    for (let start = least; start <= most && start + one.leastSeconds <= limit(); start++)
      for (let length = one.leastSeconds; length <= one.mostSeconds && start + length <= limit(); length++) {
        const at = { start, end: start + length }
        times[job]![place] = at
        if (fits(one, at, 1)) next(job, place + 1)
        fits(one, at, -1)
        times[job]!.length = place
      }
  }
  next(0, 0)
  return best
}

/** A small problem with everything in it: windows, drawn-out operations, hands at the ends, several of a resource. */
function smallProblem(random: () => number): Problem {
  const whole = (from: number, to: number) => from + Math.floor(random() * (to - from + 1))
  const resources = [
    { name: 'hands', capacity: 1 },
    { name: 'lamp', capacity: 1 },
    { name: 'trays', capacity: 2 },
  ]
  const jobs = Array.from({ length: whole(2, 3) }, () =>
    Array.from({ length: whole(1, 2) }, (): Operation => {
      const least = whole(1, 3)
      const waitLeast = random() < 0.3 ? 1 : 0
      const kind = random()
      return {
        leastSeconds: least,
        mostSeconds: least + (random() < 0.3 ? 1 : 0),
        waitLeastSeconds: waitLeast,
        waitMostSeconds: random() < 0.5 ? waitLeast + whole(0, 2) : Infinity,
        uses:
          kind < 0.35
            ? [all(0)]
            : kind < 0.6
              ? [all(1), atStart(0, 1)]
              : [all(2), { resource: 0, from: { edge: 'end', plus: -1 }, to: { edge: 'end', plus: 0 } }],
        ...(random() < 0.15 && { notBefore: whole(0, 3) }),
        ...(random() < 0.15 && { notAfter: whole(0, 4) }),
      }
    }),
  )
  const isTied = random() < 0.3
  return {
    resources,
    jobs,
    after: isTied
      ? [{ first: { job: 0, place: 0 }, then: { job: 1, place: 0 }, leastSeconds: whole(0, 1) }]
      : [],
    ...(random() < 0.3 && { finishBy: whole(4, 9) }),
  }
}

describe('planning a session', () => {
  it('finds what trying every second finds, and says there is none exactly when there is none', () => {
    const random = seededRandom(64)
    let [none, some] = [0, 0]
    for (let i = 0; i < samples(120, 400); i++) {
      const problem = smallProblem(random)
      const found = last(problem)
      const best = bruteForce(problem, Math.min(20, horizonOf(problem)))
      const told = JSON.stringify(problem)
      expect([told, found.isProven]).toEqual([told, true])
      expect([told, found.times && found.length]).toEqual([told, best])
      if (found.times) expect([told, brokenRule(problem, found.times)]).toEqual([told, null])
      expect(found.bound).toBeLessThanOrEqual(best ?? Infinity)
      if (best === null) none++
      else some++
    }
    expect(none).toBeGreaterThan(samples(5, 20))
    expect(some).toBeGreaterThan(samples(60, 200))
  })

  it('never breaks a window by orders alone, whatever the order', () => {
    const random = seededRandom(65)
    for (let i = 0; i < 400; i++) {
      const problem = smallProblem(random)
      const order = problem.jobs.flatMap((job, index) => segmentStarts(job).map(() => index))
      const shuffled = order.map((job) => [random(), job] as const).sort((a, b) => a[0] - b[0])
      const times = new Placer(problem, horizonOf(problem)).place(shuffled.map((one) => one[1]))
      if (times) expect(brokenRule(problem, times)).toBeNull()
    }
  })

  it('gives the same plan for the same seed', () => {
    const random = seededRandom(9)
    const problem = largeProblem(random)
    expect(last(problem)).toEqual(last(problem))
  })

  it('gives a first plan at once, and only better ones after it', () => {
    const problem = largeProblem(seededRandom(10))
    const lengths = [...solve(problem, { seed: 1, tries: 200, nodes: 0 })].map((found) => found.length)
    expect(lengths.length).toBeGreaterThan(0)
    expect(lengths).toEqual([...lengths].sort((a, b) => b - a))
    expect(lengths.at(-1)!).toBeGreaterThanOrEqual(last(problem).bound)
  })

  it('draws a bath out where the next tray is not free, but not past its ceiling', () => {
    const bath = (most: number) => [
      operation(10, { mostSeconds: most, waitMostSeconds: 0, uses: [all(0)] }),
      operation(30, { uses: [all(1)] }),
    ]
    const problem = (most: number): Problem => ({
      resources: [
        { name: 'clear', capacity: 1 },
        { name: 'fixer', capacity: 1 },
      ],
      jobs: [bath(most), bath(most)],
      after: [],
    })
    expect(last(problem(60)).length).toBe(70)
    const tight = last(problem(10))
    expect(tight.times![1]![0]!.start + tight.times![0]![0]!.start).toBe(30)
    expect(tight.isProven).toBe(true)
  })

  it('ends at once where waits contradict each other, and says which', () => {
    // At least 30 min, at most 20 min: no horizon is set, so nothing else would ever end the search.
    const contrary = operation(60, { waitLeastSeconds: 1800, waitMostSeconds: 1200 })
    const found = last({
      resources: [],
      after: [],
      jobs: [[operation(5)], [operation(10), contrary, operation(10)]],
    })
    expect(found).toMatchObject({ times: null, isProven: true })
    expect(found.contradiction).toEqual([{ job: 1, place: 1, kind: 'wait' }])
    const length = operation(600, { mostSeconds: 300 })
    expect(last({ resources: [], after: [], jobs: [[length]] }).contradiction).toEqual([
      { job: 0, place: 0, kind: 'length' },
    ])
    // A chain that takes 40 s between two moments that may be 30 s apart at the most.
    const chain = [operation(10), operation(40), operation(10, { notAfter: 30 })]
    const kinds = last({ resources: [], after: [], jobs: [chain] }).contradiction?.map((rule) => rule.kind)
    expect(kinds).toEqual(expect.arrayContaining(['length', 'window']))
  })

  it('names no contradiction where only the room is too small or the evening too short', () => {
    const two = [[operation(10, { uses: [all(0)] })], [operation(10, { uses: [all(0)], notAfter: 5 })]]
    const found = last({ resources: [{ name: 'hands', capacity: 1 }], after: [], jobs: two })
    expect(found.contradiction).toBeUndefined()
  })

  it('says that a session cannot be done in time, and that waits contradict each other', () => {
    const one = operation(10, { uses: [all(0)] })
    const problem: Problem = {
      resources: [{ name: 'lamp', capacity: 1 }],
      jobs: [[one], [one]],
      after: [],
      finishBy: 19,
    }
    expect(last(problem)).toMatchObject({ times: null, isProven: true })
    expect(last({ ...problem, finishBy: 20 })).toMatchObject({ length: 20, isProven: true })
    const never = operation(10, { notBefore: 5, notAfter: 4 })
    expect(last({ ...problem, jobs: [[never]] })).toMatchObject({ times: null, isProven: true })
  })

  it('waits for what another print has to have done first', () => {
    const problem: Problem = {
      resources: [{ name: 'hands', capacity: 1 }],
      jobs: [[operation(5, { uses: [all(0)] })], [operation(7, { uses: [all(0)] })]],
      after: [{ first: { job: 1, place: 0 }, then: { job: 0, place: 0 }, leastSeconds: 3 }],
    }
    expect(last(problem)).toMatchObject({ length: 15, isProven: true })
  })

  it('has nothing to do for nothing', () => {
    expect(last({ resources: [], jobs: [], after: [] })).toMatchObject({ length: 0, isProven: true })
  })
})

/** A day: prints that are coated, dried, exposed under one lamp and washed. */
function largeProblem(random: () => number): Problem {
  const [hands, lamp, trays] = [0, 1, 2]
  const job = (): Operation[] => [
    operation(120, { waitMostSeconds: 0, uses: [all(hands)] }),
    operation(600, { waitMostSeconds: 7200, uses: [] }),
    operation(300 + Math.round(random() * 600), {
      waitMostSeconds: 300,
      uses: [all(lamp), atStart(hands, 60)],
    }),
    operation(300, { mostSeconds: Infinity, uses: [all(trays), atStart(hands, 20)] }),
  ]
  return {
    resources: [
      { name: 'hands', capacity: 1 },
      { name: 'lamp', capacity: 1 },
      { name: 'trays', capacity: 3 },
    ],
    jobs: Array.from({ length: 8 }, job),
    after: [],
  }
}

describe('searching everything', () => {
  it('finds nothing where nothing is shorter than what is known', () => {
    const problem: Problem = {
      resources: [{ name: 'lamp', capacity: 1 }],
      jobs: [[operation(10, { uses: [all(0)] })]],
      after: [],
    }
    expect(searchAll(problem, 10, 100)).toEqual({ times: null, isProven: true })
    expect(searchAll(problem, 11, 100).times).toEqual([[{ start: 0, end: 10 }]])
    expect(searchAll(largeProblem(seededRandom(3)), Infinity, 3).isProven).toBe(false)
  })
})
