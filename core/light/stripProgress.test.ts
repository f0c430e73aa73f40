import { sheet } from '../fixtures/workroom'
import { logOf, SHEET, T0, wholeJob } from '../fixtures/logs'
import { lampCourse } from './lamp'
import { replay } from '../run/run'
import { stripState } from './stripProgress'

const strip = { firstSeconds: 60, lastSeconds: 480, count: 4, spacing: 'ratio', card: 'covers' } as const
const at = (seconds: number) => T0 + seconds * 1000
/** In the frame since second 900. */
const lying = (count = 9, card: 'covers' | 'frees' = 'covers') => ({
  sheet: { ...sheet, strip: { ...strip, card } },
  state: replay(SHEET, logOf(wholeJob.slice(0, count))),
})

describe('a strip in the frame', () => {
  it.each([
    [930, 0, null, 'Cover to step 1'],
    [965, 1, 'Cover to step 1', 'Cover to step 2'],
    [1150, 3, 'Cover to step 3', null],
  ])('at second %d has %d marks covered', (now, covered, last, next) => {
    const standing = stripState(lying(), null, [], at(now))!
    expect(standing.covered).toBe(covered)
    expect(standing.last?.words ?? null).toBe(last)
    expect(standing.next?.words ?? null).toBe(next)
  })

  it('starts with all but the last mark covered where the card frees them', () => {
    expect(stripState(lying(9, 'frees'), null, [], at(910))).toMatchObject({
      covered: 3,
      next: { words: 'Pull the card back to step 2' },
    })
  })

  it('goes by the dose where it is counted', () => {
    const half = lampCourse({ share: 0.5 })
    expect(stripState(lying(), half, [], at(965))!.covered).toBe(0)
    expect(stripState(lying(), half, [], at(1025))!.covered).toBe(1)
  })

  it('stands while the frame is out, and stretches with more that was given', () => {
    expect(stripState(lying(10), null, [], at(5000))).toMatchObject({ counted: 240, isRunning: false })
    const given = stripState(lying(12), null, [], at(1250))!
    expect(given.times.at(-1)).toBeCloseTo(540, 6)
  })

  it('is nothing for another sheet, nor before and after the light', () => {
    expect(stripState({ ...lying(), sheet }, null, [], at(950))).toBeNull()
    expect(stripState(lying(5), null, [], at(950))).toBeNull()
    expect(stripState(lying(14), null, [], at(1550))).toBeNull()
  })
})
