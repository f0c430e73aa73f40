import type { ProcessDefinition } from '../record/definition'
import { sheet } from '../fixtures/workroom'
import {
  beginning,
  firstExposure,
  leastTime,
  planCoat,
  schoolStrengths,
  startingChoices,
  stepsFor,
} from './plan'

/** A process with just enough in it to plan by; the library's own is tested there. */
const definition: ProcessDefinition = {
  id: 'toy',
  version: 3,
  name: 'Toy process',
  summary: 'For tests.',
  mark: 'umber',
  parts: [2, 1],
  components: [
    { id: 'silver', name: 'Silver', substanceId: 'silver-nitrate', letter: 'A', cautions: [] },
    { id: 'acid', name: 'Acid', substanceId: 'citric-acid', letter: 'B', cautions: [] },
  ],
  choices: [
    {
      id: 'strength',
      name: 'Strength',
      startsWith: 'strong',
      options: [
        {
          id: 'strong',
          name: 'Strong',
          reason: 'r',
          standing: 'practice',
          strengths: { silver: 12, acid: 6 },
        },
        { id: 'weak', name: 'Weak', reason: 'r', standing: 'practice', strengths: { silver: 6, acid: 3 } },
      ],
    },
    {
      id: 'lean',
      name: 'Lean',
      startsWith: 'middle',
      options: [
        { id: 'middle', name: 'Middle', reason: 'r', standing: 'practice', exposeTo: 'middle' },
        { id: 'long', name: 'Long', reason: 'r', standing: 'practice', exposeTo: 'upperEnd' },
      ],
    },
  ],
  lights: [
    {
      kind: 'lamp',
      name: 'Lamp',
      leastSeconds: 100,
      mostSeconds: 400,
      standing: 'practice',
      source: 's',
      note: 'n',
    },
  ],
  steps: [
    step('mix', 'count'),
    step('dry', 'wait', {
      time: range(600),
      keeps: { mostSeconds: 7200, standing: 'practice', source: 's' },
    }),
    step('expose', 'expose'),
    step('fix', 'bath', {
      time: range(120, 240),
      heavyPaper: { fromGramsPerM2: 250, leastSeconds: 300, standing: 'yours', source: 'heavy' },
    }),
    step('tone', 'bath', { when: { choice: 'strength', option: 'weak' } }),
    step('hang', 'hang'),
  ],
  cautions: [],
  secondLooks: [{ id: 'dry', title: 't', dueAfterSeconds: 10, lookFor: 'l', why: 'w' }],
  colours: {},
}

function step(
  id: string,
  kind: ProcessDefinition['steps'][number]['kind'],
  more: Partial<ProcessDefinition['steps'][number]> = {},
): ProcessDefinition['steps'][number] {
  return {
    id,
    kind,
    station: 'coat',
    place: 'bench',
    title: id,
    meanwhile: id,
    doing: id,
    why: id,
    cautions: [],
    begins: 'press',
    press: { start: 's', finish: 'f' },
    ...more,
  }
}

function range(leastSeconds: number, mostSeconds?: number) {
  return { leastSeconds, ...(mostSeconds && { mostSeconds }), standing: 'practice' as const, source: 'table' }
}

const substances = {
  'silver-nitrate': { substanceId: 'silver-nitrate', name: 'silver nitrate', formula: 'AgNO3' },
  'citric-acid': { substanceId: 'citric-acid', name: 'citric acid', formula: 'C6H8O7' },
}
const input = { ...sheet, parts: [2, 1] }
const start = startingChoices(definition)

describe('planCoat', () => {
  const coat = planCoat(definition, input, schoolStrengths(definition, start), substances)

  it('shares the drops by the ratio of the process', () => {
    expect(coat.count.drops).toEqual([27, 13])
    expect(coat.total.value).toBe(40)
    expect(coat.offer?.drops).toEqual([28, 14])
  })

  it('states strengths by the drops really counted, not by the ratio meant', () => {
    const [silver, acid] = coat.mixture
    expect(silver?.strength.value).toBeCloseTo((12 * 27) / 40, 9)
    expect(acid?.strength.value).toBeCloseTo((6 * 13) / 40, 9)
    // CIAAW abridged weights: AgNO3 is 169.87 g/mol.
    expect(silver?.molarity?.value).toBeCloseTo((12 * 27 * 10) / 40 / 169.87, 3)
  })

  it('follows the strength of the bottle in hand', () => {
    const weak = planCoat(
      definition,
      input,
      schoolStrengths(definition, { ...start, strength: 'weak' }),
      substances,
    )
    expect(weak.mixture[0]?.strength.value).toBeCloseTo((coat.mixture[0]?.strength.value ?? 0) / 2, 9)
  })

  it.each([
    ['a ratio of the wrong length', { ...input, parts: [1] }, { silver: 12, acid: 6 }, 'out-of-range'],
    ['a bottle without a strength', input, { silver: 12 }, 'no-strength'],
    ['no coats', { ...input, coats: 0 }, { silver: 12, acid: 6 }, 'out-of-range'],
    [
      'a dropper that gives none',
      { ...input, dropsPerMillilitre: 0 },
      { silver: 12, acid: 6 },
      'out-of-range',
    ],
  ])('refuses %s', (_, wrong, strengths, code) => {
    expect(() => planCoat(definition, wrong, strengths, substances)).toThrow(
      expect.objectContaining({ code }),
    )
  })

  it('never plans fewer drops than there are bottles, however small the picture', () => {
    const tiny = planCoat(
      definition,
      { ...input, widthMillimetres: 10, heightMillimetres: 10 },
      { silver: 12, acid: 6 },
      substances,
    )
    expect(tiny.count.drops).toEqual([1, 1])
  })
})

describe('stepsFor', () => {
  it('takes a step with a condition only where its option is chosen', () => {
    const ids = (strength: string) => stepsFor(definition, { ...start, strength }).map(({ id }) => id)
    expect(ids('strong')).not.toContain('tone')
    expect(ids('weak')).toEqual(['mix', 'dry', 'expose', 'fix', 'tone', 'hang'])
  })
})

describe('firstExposure', () => {
  it.each([
    ['the middle of the range, as a ratio', 'middle', undefined, 200, 'practice'],
    ['the upper end', 'long', undefined, 400, 'practice'],
    ['the user’s own time, whatever the school', 'long', 333, 333, 'yours'],
  ])('starts from %s', (_, lean, usualSeconds, seconds, standing) => {
    const figure = firstExposure(definition, { kind: 'lamp', choices: { ...start, lean }, usualSeconds })
    expect(figure.value).toBe(seconds)
    expect(figure.working.standing).toBe(standing)
  })

  it('says so when a light is not known', () => {
    expect(() => firstExposure(definition, { kind: 'sun', choices: start })).toThrow(
      expect.objectContaining({ code: 'no-light' }),
    )
  })
})

describe('leastTime', () => {
  const fix = definition.steps.find(({ id }) => id === 'fix')!

  it.each([
    [undefined, 120],
    [249, 120],
    [250, 300],
    [640, 300],
  ])('for a paper of %p g/m² is %d s', (grams, seconds) => expect(leastTime(fix, grams)?.value).toBe(seconds))

  it('is nothing for a step without one', () => expect(leastTime(definition.steps[0]!, 300)).toBeNull())
})

describe('beginning', () => {
  it('carries every time of the plan, and nothing that is not set', () => {
    const { steps, looks } = beginning(definition, sheet, [27, 13], 300)
    expect(steps.find(({ id }) => id === 'dry')).toMatchObject({ leastSeconds: 600, keepsSeconds: 7200 })
    expect(steps.find(({ id }) => id === 'expose')).toMatchObject({ plannedSeconds: 480 })
    expect(steps.find(({ id }) => id === 'fix')).toMatchObject({ leastSeconds: 300, mostSeconds: 240 })
    expect(steps.find(({ id }) => id === 'hang')).not.toHaveProperty('leastSeconds')
    expect(steps[0]?.drops).toEqual([
      { component: 'silver', count: 27 },
      { component: 'acid', count: 13 },
    ])
    expect(looks).toEqual([{ id: 'dry', dueAfterSeconds: 10 }])
  })
})
