import { brokenRule, type Operation, type Problem, type Times, type Use } from './problem'

const within: Omit<Use, 'resource'> = { from: { edge: 'start', plus: 0 }, to: { edge: 'end', plus: 0 } }
const all = (resource: number): Use => ({ resource, ...within })
const operation = (leastSeconds: number, changes: Partial<Operation> = {}): Operation => ({
  leastSeconds,
  mostSeconds: leastSeconds,
  waitLeastSeconds: 0,
  waitMostSeconds: Infinity,
  uses: [],
  ...changes,
})

describe('a rule that a plan breaks', () => {
  const problem: Problem = {
    resources: [{ name: 'lamp', capacity: 1 }],
    jobs: [
      [operation(10, { waitMostSeconds: 5, uses: [all(0)], notBefore: 1 }), operation(4, { notAfter: 30 })],
      [operation(10, { uses: [all(0)] })],
    ],
    after: [{ first: { job: 0, place: 1 }, then: { job: 1, place: 0 }, leastSeconds: 0 }],
    finishBy: 60,
  }
  const sound: Times = [
    [
      { start: 1, end: 11 },
      { start: 12, end: 16 },
    ],
    [{ start: 16, end: 26 }],
  ]
  const moved = (job: number, place: number, start: number, end: number): Times =>
    sound.map((list, j) => list.map((one, k) => (j === job && k === place ? { start, end } : one)))
  it.each([
    ['none', sound, null],
    ['too short', moved(0, 0, 1, 9), /lasts 8/],
    ['too early', moved(0, 0, 0, 10), /too early/],
    ['too late', moved(0, 1, 31, 35), /too late|waits/],
    ['waits too long', moved(0, 1, 20, 24), /waits 9/],
    ['before what it waits for', moved(1, 0, 12, 22), /does not wait/],
    ['two under one lamp', moved(0, 0, 16, 26), /lamp is wanted 2 times|waits/],
    ['after the end', moved(1, 0, 55, 65), /after the session/],
    ['missing', [sound[0]!], /not placed/],
  ])('%s', (_, times, said) => {
    const broken = brokenRule(problem, times)
    if (said === null) expect(broken).toBeNull()
    else expect(broken).toMatch(said)
  })
})
