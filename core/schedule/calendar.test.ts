import { seededRandom } from '../quantity/random'
import { resourceBound, type Piece } from './bound'
import { Calendar } from './calendar'

describe('what is booked of a resource', () => {
  it('says what is in the way, and when that is over', () => {
    const lamp = new Calendar(1)
    lamp.book(10, 20)
    lamp.book(30, 40)
    expect([
      lamp.inTheWay(0, 10),
      lamp.inTheWay(0, 11),
      lamp.inTheWay(20, 30),
      lamp.inTheWay(15, 35),
    ]).toEqual([null, 20, null, 20])
    lamp.free(10, 20)
    expect(lamp.inTheWay(0, 30)).toBeNull()
    expect(lamp.inTheWay(0, 31)).toBe(40)
  })

  it('is in the way only when all of it is taken', () => {
    const trays = new Calendar(2)
    trays.book(0, 10)
    expect(trays.inTheWay(0, 10)).toBeNull()
    trays.book(5, 20)
    expect(trays.inTheWay(4, 8)).toBe(10)
    expect(trays.inTheWay(10, 30)).toBeNull()
  })

  // Second by second is the other way to know it.
  it('agrees with a count of every second', () => {
    const random = seededRandom(12)
    const whole = (most: number) => Math.floor(random() * most)
    for (let round = 0; round < 200; round++) {
      const capacity = 1 + whole(3)
      const calendar = new Calendar(capacity)
      const load = new Int32Array(60)
      for (let i = 0; i < 12; i++) {
        const from = whole(50)
        const to = from + 1 + whole(9)
        const isFull = load.subarray(from, to).some((one) => one >= capacity)
        const said = calendar.inTheWay(from, to)
        expect([round, i, said !== null]).toEqual([round, i, isFull])
        if (said !== null) {
          expect(said).toBeGreaterThan(from)
          continue
        }
        calendar.book(from, to)
        for (let second = from; second < to; second++) load[second]!++
      }
    }
  })
})

describe('the least time of a resource', () => {
  const piece = (head: number, length: number, tail: number): Piece => ({ head, length, tail })
  it('is all of the work with what must come before and after it', () => {
    expect(resourceBound([], 1)).toBe(0)
    expect(resourceBound([piece(3, 5, 2)], 1)).toBe(10)
    expect(resourceBound([piece(0, 5, 0), piece(0, 5, 0)], 1)).toBe(10)
    expect(resourceBound([piece(0, 5, 0), piece(0, 5, 0)], 2)).toBe(5)
    expect(resourceBound([piece(0, 4, 0), piece(0, 4, 0), piece(0, 4, 0)], 2)).toBe(6)
  })

  /** The least time of all orders. */
  function bestOf(jobs: readonly Piece[], now = 0, length = 0): number {
    if (!jobs.length) return length
    return Math.min(
      ...jobs.map((job) => {
        const end = Math.max(now, job.head) + job.length
        return bestOf(
          jobs.filter((other) => other !== job),
          end,
          Math.max(length, end + job.tail),
        )
      }),
    )
  }

  // Carlier's instance of seven jobs (1982), from memory; the best of its 5040 orders takes 50, tried one by one, and the
  // preemptive schedule 49.
  it('is no more than the best of a textbook instance, and close to it', () => {
    const jobs = [
      [10, 5, 7], [13, 6, 26], [11, 7, 24], [20, 4, 21], [30, 3, 8], [0, 6, 17], [30, 2, 0],
    ].map(([head, length, tail]) => piece(head!, length!, tail!)) // prettier-ignore
    expect(resourceBound(jobs, 1)).toBe(49)
    expect(bestOf(jobs)).toBe(50)
  })

  it('is never more than what some order takes', () => {
    const random = seededRandom(5)
    for (let round = 0; round < 100; round++) {
      const pieces = Array.from({ length: 6 }, () =>
        piece(Math.floor(random() * 20), 1 + Math.floor(random() * 9), Math.floor(random() * 20)),
      )
      let [now, length] = [0, 0]
      for (const one of [...pieces].sort((a, b) => a.head - b.head)) {
        now = Math.max(now, one.head) + one.length
        length = Math.max(length, now + one.tail)
      }
      expect(resourceBound(pieces, 1)).toBeLessThanOrEqual(length)
    }
  })
})
