import { logOf, SHEET, wholeJob } from '../fixtures/logs'
import { replay } from '../run/run'
import { storyOf } from '../run/story'
import type { Happening, Tested } from '../schema/event'
import { lastTests } from './permanence'

const tested = (more: Partial<Tested>): Happening => ({
  type: 'tested',
  test: 'silver',
  showed: 'nothing',
  note: '',
  ...more,
})

describe('tests of permanence', () => {
  it('are kept once the print hangs, and refused before', () => {
    const state = replay(SHEET, logOf([...wholeJob, [1900, tested({ showed: 'trace' })]]))
    expect(state.tested).toMatchObject([{ test: 'silver', showed: 'trace' }])
    expect(() => replay(SHEET, logOf([...wholeJob.slice(0, 4), [60, tested({})]]))).toThrow(
      expect.objectContaining({ code: 'not-hung' }),
    )
    expect(replay(SHEET, logOf(wholeJob))).not.toHaveProperty('tested')
  })

  it('count by the last of each kind', () => {
    const log = logOf([
      ...wholeJob,
      [1900, tested({ showed: 'stain' })],
      [2000, tested({ test: 'hypo', showed: 'trace' })],
      [2100, tested({})],
    ])
    expect(lastTests(replay(SHEET, log).tested ?? []).map(({ test, showed }) => [test, showed])).toEqual([
      ['hypo', 'trace'],
      ['silver', 'nothing'],
    ])
  })

  it('are told in the record, with days and dose of a fade test', () => {
    const definition = { steps: [], components: [], choices: [] } as unknown as Parameters<typeof storyOf>[2]
    const log = logOf([
      ...wholeJob,
      [1900, tested({ test: 'fade', showed: 'trace', days: 30, millijoulesPerCm2: 120_000, note: 'north window' })],
    ]) // prettier-ignore
    const line = storyOf(SHEET, log, definition).at(-1)
    expect(line?.what).toBe('Fade test')
    expect(line?.detail).toMatch(/^a slight change, after 30.days, 120.000.mJ\/cm², north window$/)
  })
})
