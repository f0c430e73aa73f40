import { ProcessDefinition } from '@core/record/definition'
import {
  planCoat,
  schoolStrengths,
  startingChoices,
  stepsFor,
  firstExposure,
  leastTime,
  beginning,
} from '@core/process/plan'
import { storyOf } from '@core/process/story'
import { logOf, sheet, wholeJob } from '@core/fixtures/workroom'
import { classicCyanotype } from './processes/classicCyanotype'
import { processes, substances } from './index'

describe.each(Object.values(processes))('$name', (definition) => {
  it('is a sound definition', () => expect(ProcessDefinition.parse(definition)).toEqual(definition))

  it('points only at what it holds', () => {
    const cautions = new Set(definition.cautions.map((caution) => caution.id))
    for (const holder of [...definition.steps, ...definition.components])
      for (const id of holder.cautions) expect(cautions).toContain(id)
    for (const choice of definition.choices)
      expect(choice.options.map((option) => option.id)).toContain(choice.startsWith)
    for (const component of definition.components) expect(substances).toHaveProperty(component.substanceId)
    for (const step of definition.steps) {
      const choice = definition.choices.find(({ id }) => id === step.when?.choice)
      if (step.when) expect(choice?.options.map((option) => option.id)).toContain(step.when.option)
    }
    expect(new Set(definition.steps.map((step) => step.id)).size).toBe(definition.steps.length)
  })

  it('defers to the maker’s sheet and local rules wherever a substance is cautioned', () => {
    for (const component of definition.components)
      for (const id of component.cautions)
        expect(definition.cautions.find((caution) => caution.id === id)?.text).toMatch(
          /safety data sheet.*local rules/,
        )
  })
})

describe('classic cyanotype', () => {
  const start = startingChoices(classicCyanotype)
  const plan = (choices: Record<string, string>) =>
    planCoat(classicCyanotype, { ...sheet }, schoolStrengths(classicCyanotype, choices), substances)

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
    const begun = beginning(classicCyanotype, sheet, [20, 20], 300)
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
      'In the frame: 9 min, as planned, plan changed by 1 min to 9 min, 1 look',
      'Wash: 5 min 20 s, 1 change of water',
      'Hang to dry: still going',
      'Wet look: not decided, whites clean',
    ])
  })
})
