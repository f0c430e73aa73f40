import { meteredCourse } from '@core/run/dose'
import { printDeeper } from '@core/light/deeper'
import { digits } from '@core/quantity/format'
import { processes } from '@library/index'
import { exposureNotes } from './exposureNotes'
import { COUNTED_BY, doseText, irradianceText, skyText } from './lightWords'

const salted = processes['salted-paper']!
const step = salted.steps.find((one) => one.kind === 'expose')!
const plain = {
  definition: salted, step, share: 0, course: null, samples: [], plannedSeconds: 600, milliwattsPerCm2: null, deeper: null,
} // prettier-ignore
const titles = (of: Partial<Parameters<typeof exposureNotes>[0]>) =>
  exposureNotes({ ...plain, ...of }).map((note) => note.title)
const said = (of: Partial<Parameters<typeof exposureNotes>[0]>, title: string) =>
  exposureNotes({ ...plain, ...of })
    .find((note) => note.title === title)
    ?.lines.join(' ')
    .replace(/\u00a0/g, ' ')

describe('what the margin says of a sheet in the light', () => {
  it('says when to look again, from the beginning', () => {
    expect(titles({})).toEqual(['Check progress'])
    expect(said({}, 'Check progress')).toContain('Every 5 min to 10 min')
  })

  it('points at the overbrushed margin first, then at what comes', () => {
    expect(said({ share: 40 }, 'Dose so far')).toContain('overbrushed margin turns red-brown first')
    expect(said({ share: 95 }, 'Dose so far')).toContain('darker than you want')
  })

  it('says how much deeper to print, and why', () => {
    const deeper = printDeeper(salted.deeper, [])
    expect(titles({ deeper })).toContain('Print deeper by ½\u00a0stop')
    const dyke = processes['van-dyke']!
    expect(titles({ definition: dyke, deeper: printDeeper(dyke.deeper, []) })).toContain(
      'Print lighter by ¼\u00a0stop',
    )
  })

  it('minds the eyes where the light is known, with its source', () => {
    const eyes = said({ milliwattsPerCm2: 4.82 }, 'Eyes')
    expect(eyes).toContain('3 min 27 s')
    expect(eyes).toContain('ICNIRP')
    expect(eyes).toContain('Local rules')
    expect(titles({ milliwattsPerCm2: 0.01 })).not.toContain('Eyes')
  })

  it('works the time out of the dose', () => {
    const course = meteredCourse([[0, 5]], 4)
    const words = said({ course, share: 50, milliwattsPerCm2: 5 }, 'Time by dose')
    expect(words).toBe('2400 mJ/cm² needed 1200 mJ/cm² counted so far 1200 mJ/cm² ÷ 5.00 mW/cm² = 4 min')
    expect(said({ course, share: 120, milliwattsPerCm2: 5 }, 'Time by dose')).not.toContain('÷')
  })
})

describe('every printing-out process', () => {
  it.each(['salted-paper', 'albumen-type', 'collodion-chloride', 'gold-platinum', 'palladium-printing-out'])(
    '%s has its looks and its allowance',
    (id) => {
      const definition = processes[id]!
      expect(definition.deeper?.stops).toBeGreaterThan(0)
      expect(definition.deeper?.source).not.toBe('')
      expect(definition.steps.find((one) => one.kind === 'expose')?.lookEvery?.leastSeconds).toBeGreaterThan(
        0,
      )
    },
  )
})

describe('words of light', () => {
  it('have three digits, and say who counts', () => {
    expect(irradianceText(4.8)).toBe('4.80\u00a0mW/cm²')
    expect(doseText(1850.4)).toBe(`${digits(1850, 4)}\u00a0mJ/cm²`)
    expect(COUNTED_BY.steady).toBe('counted by time only')
  })
  it.each([
    [undefined, 'not entered'],
    [{ share: 0.35, factor: 1.6, by: 'overcast' as const, at: 0 }, 'overcast'],
    [{ share: 0.4, factor: 1.3, by: { uvIndex: 4.5 }, at: 0 }, 'UV index 4.5'],
  ])('the sky %#', (sky, words) => expect(skyText(sky)).toBe(words))
})
