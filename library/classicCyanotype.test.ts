import { colourOf, srgbOf } from '@core/negative/proof'
import { lotsFor } from '@core/chemistry/lots'
import { sheet } from '@core/fixtures/workroom'
import { logOf, wholeJob } from '@core/fixtures/logs'
import { planMix } from '@core/process/mixPlan'
import { beginning, schoolStocks, startingChoices, stepsFor } from '@core/process/plan'
import { firstExposure, leastTime } from '@core/process/stepTimes'
import { storyOf } from '@core/run/story'
import type { ProcessDefinition } from '@core/schema/definition'
import { printColours, substances } from './index'
import { classicCyanotype } from './processes/classicCyanotype'

const lotsOf = (definition: ProcessDefinition, choices: Record<string, string>) =>
  Object.fromEntries(
    Object.entries(schoolStocks(definition, choices)).map(([id, stock]) => [
      id,
      lotsFor(id, stock, [], new Map(), substances),
    ]),
  )

describe('classic cyanotype', () => {
  const start = startingChoices(classicCyanotype)
  const plan = (choices: Record<string, string>) =>
    planMix(
      classicCyanotype,
      classicCyanotype.mixes[0]!,
      { ...sheet, choices },
      lotsOf(classicCyanotype, choices),
    )

  // Common practice: 40 drops for 8 x 10 in, counted as 20 and 20; equal volumes halve both strengths.
  it('takes 20 drops of each for 8 x 10 in, at half of each strength', () => {
    const coat = plan(start)
    expect(coat.count.drops).toEqual([20, 20])
    expect(coat.mixture.map((solute) => solute.strength.value)).toEqual([12.5, 5])
  })

  it('holds 5 % of each when both stocks are 10 %', () => {
    expect(plan({ ...start, strengths: 'even' }).mixture.map((solute) => solute.strength.value)).toEqual([
      5, 5,
    ])
  })

  it('bathes in peroxide only where that is the school', () => {
    const ids = (finish: string) => stepsFor(classicCyanotype, { ...start, finish }).map((step) => step.id)
    expect(ids('patience')).toEqual(['mix', 'spread', 'dry', 'expose', 'wash', 'hang'])
    expect(ids('peroxide')).toEqual(['mix', 'spread', 'dry', 'expose', 'wash', 'peroxide', 'rinse', 'hang'])
  })

  // Common practice: a purpose-built UV box takes 5 to 10 min.
  it.each([
    ['calibrated', undefined, 425],
    ['long', undefined, 600],
    ['calibrated', 480, 480],
  ])('starts an exposure in a UV box (%s, own time %s) from %d s', (exposure, usualSeconds, seconds) => {
    expect(
      firstExposure(classicCyanotype, { kind: 'uvBox', choices: { ...start, exposure }, usualSeconds }).value,
    ).toBe(seconds)
  })

  it('washes heavy paper longer, and says why', () => {
    const wash = classicCyanotype.steps.find((step) => step.id === 'wash')!
    expect(leastTime(wash, 160)?.value).toBe(300)
    expect(leastTime(wash, undefined)?.value).toBe(300)
    expect(leastTime(wash, 300)).toMatchObject({
      value: 600,
      working: { source: expect.stringContaining('Heavy paper') },
    })
  })

  it('writes its whole plan into the first event', () => {
    const begun = beginning(classicCyanotype, { ...sheet, choices: start }, { sensitizer: [20, 20] }, 300)
    expect(
      begun.steps.map((step) => [step.id, step.leastSeconds ?? step.mostSeconds ?? step.plannedSeconds]),
    ).toEqual([
      ['mix', undefined],
      ['spread', 120],
      ['dry', 600],
      ['expose', 480],
      ['wash', 600],
      ['hang', 3600],
    ])
    expect(begun.steps[0]!.drops).toEqual([
      { component: 'iron', count: 20 },
      { component: 'ferricyanide', count: 20 },
    ])
  })

  it('tells a finished log as a printer would', () => {
    const lines = storyOf(
      sheet.id,
      logOf([
        ...wholeJob,
        [1900, { type: 'judged', moment: 'wet', verdict: 'undecided', whites: 'clean', note: '' }],
      ]),
      classicCyanotype,
    )
    expect(lines.map((line) => `${line.what}: ${line.detail}`.replace(/\u00a0/g, ' '))).toEqual([
      'Count the drops: Iron citrate 2 drops, Ferricyanide 2 drops',
      'Coat the sheet: 1 min 30 s',
      'Dry in the dark: 11 min',
      'Expose: 9 min, planned 9 min (changed by 1 min), 1 check',
      'Wash: 5 min 20 s, 1 change of water',
      'Hang to dry: in progress',
      'Wet check: not decided, whites clean',
    ])
  })
})

describe('colours of prints', () => {
  it.each(Object.entries(printColours))(
    '%s run from a deep tone to white paper',
    (_, { deep, middle, paper }) => {
      expect(deep.L).toBeLessThan(25)
      expect(middle.L).toBeGreaterThan(deep.L + 20)
      expect(paper.L).toBeGreaterThan(90)
    },
  )

  it('have the hue that is common practice: blue, brown, purple brown, near neutral', () => {
    const at = (mark: keyof typeof printColours) => srgbOf(colourOf(printColours[mark], 40))
    const [blueRed, , blue] = at('prussian')
    expect(blue).toBeGreaterThan(blueRed + 40)
    const [brown, , brownBlue] = at('umber')
    expect(brown).toBeGreaterThan(brownBlue + 15)
    const [plum, plumGreen, plumBlue] = at('plum')
    expect(plum).toBeGreaterThan(plumGreen + 10)
    expect(plumBlue).toBeGreaterThan(brownBlue)
    const [grey, , greyBlue] = at('graphite')
    expect(Math.abs(grey - greyBlue)).toBeLessThan(20)
  })
})
