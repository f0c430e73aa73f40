import { sheet } from '../fixtures/workroom'
import { planMix } from './mixPlan'
import { beginning, stepsFor } from './plan'
import { firstExposure, leastTime } from './stepTimes'
import { definition, start, input, mix, lotsOf, lots } from './plan.fixture'

describe('planMix', () => {
  const coat = planMix(definition, mix, input, lots)

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
    const counted = planMix(definition, mix, input, lots, [20, 20])
    expect(counted.mixture[0]?.strength.value).toBeCloseTo(6, 9)
    expect(counted.count.worstError).toBeCloseTo(0.5, 9)
  })

  it('follows the strength of the bottle in hand', () => {
    const weak = planMix(definition, mix, input, lotsOf({ ...start, strength: 'weak' }))
    expect(weak.mixture[0]?.strength.value).toBeCloseTo((coat.mixture[0]?.strength.value ?? 0) / 2, 9)
  })

  it('mixes for every sheet that is coated from the glass, and for every coat', () => {
    const of = (changes: object) => planMix(definition, mix, { ...input, ...changes }, lots).volume.value
    expect(of({ batch: { id: '', of: 4, place: 1 }, coats: 2 })).toBeCloseTo(8 * of({}), 9)
    const once = { ...mix, coats: 1 }
    expect(planMix(definition, once, { ...input, coats: 3 }, lots).volume.value).toBeCloseTo(of({}), 9)
  })

  it('says where its coverage and its dropper come from', () => {
    const of = (changes: object, process = definition) =>
      planMix(process, mix, { ...input, ...changes }, lots)
    expect(of({}).volume.working).toMatchObject({
      standing: 'practice',
      source: expect.stringContaining('40 drops'),
    })
    expect(of({ coverageMillilitresPerM2: 33 }).volume.working.standing).toBe('yours')
    const own = { millilitresPerM2: 34.9, standing: 'memory' as const, source: 'its own' }
    expect(
      of({ coverageMillilitresPerM2: 34.9 }, { ...definition, coverage: own }).volume.working,
    ).toMatchObject({
      standing: 'memory',
      source: 'its own',
    })
    expect(of({}).total.working.standing).toBe('practice')
    expect(of({ dropsPerMillilitre: 25 }).total.working.standing).toBe('yours')
  })

  it.each([
    ['a ratio of the wrong length', { ...input, parts: { sensitizer: [1] } }, lots, 'out-of-range'],
    ['a bottle without a strength', input, { silver: lots.silver! }, 'no-strength'],
    ['no coats', { ...input, coats: 0 }, lots, 'out-of-range'],
    ['a dropper that gives none', { ...input, dropsPerMillilitre: 0 }, lots, 'out-of-range'],
  ])('refuses %s', (_, wrong, from, code) => {
    expect(() => planMix(definition, mix, wrong, from)).toThrow(expect.objectContaining({ code }))
  })

  // 127 cm² at 38.8 ml/m² and 20 drops a millilitre are 9.86, rounded 10; 121 cm² are 9.4, rounded 9.
  it('counts a mix in equal parts in equal numbers of drops', () => {
    const small = {
      ...input,
      parts: { sensitizer: [1, 1] },
      widthMillimetres: 110,
      heightMillimetres: 110,
      coverageMillilitresPerM2: 38.8,
    }
    expect(planMix(definition, mix, small, lots).count.drops).toEqual([5, 5])
  })

  it('says for how many sheets a glass is', () => {
    const batch = { id: 'b', of: 6, place: 1 }
    expect(planMix(definition, mix, { ...input, batch }, lots).sheets).toBe(6)
    expect(planMix(definition, mix, input, lots).sheets).toBe(1)
  })

  it('never plans fewer drops than there are bottles, however small the picture', () => {
    const tiny = planMix(definition, mix, { ...input, widthMillimetres: 10, heightMillimetres: 10 }, lots)
    expect(tiny.count.drops).toEqual([1, 1])
  })
})

describe('stepsFor', () => {
  it('takes a step with a condition only where its option is chosen', () => {
    const ids = (strength: string) => stepsFor(definition, { ...start, strength }).map(({ id }) => id)
    expect(ids('strong')).not.toContain('tone')
    expect(ids('weak')).toEqual(['mix', 'spread', 'dry', 'expose', 'fix', 'tone', 'hang'])
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
    const { steps, looks } = beginning(
      definition,
      { ...sheet, choices: start },
      { sensitizer: [27, 13] },
      300,
    )
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

  it('repeats what belongs to a coat, and each later coat begins with a press', () => {
    const { steps } = beginning(
      definition,
      { ...sheet, choices: start, coats: 2 },
      { sensitizer: [27, 13] },
      300,
    )
    expect(steps.slice(0, 5).map(({ id, of, coat, begins }) => [id, of, coat, begins])).toEqual([
      ['mix', undefined, undefined, 'press'],
      ['spread', undefined, 1, 'atOnce'],
      ['dry', undefined, 1, 'atOnce'],
      ['spread-2', 'spread', 2, 'press'],
      ['dry-2', 'dry', 2, 'atOnce'],
    ])
  })

  it('counts nothing for a sheet that is coated from another’s glass', () => {
    const batch = { id: 'x', of: 4, place: 2 }
    const { steps } = beginning(definition, { ...sheet, choices: start, batch }, {}, 300)
    expect(steps[0]).toMatchObject({ id: 'spread', begins: 'press' })
  })

  it('gives a layer its share of the exposure', () => {
    const choices = { ...start, lean: 'long' }
    const { steps } = beginning(definition, { ...sheet, choices }, { sensitizer: [27, 13] }, 300)
    expect(steps.find(({ id }) => id === 'expose-again')?.plannedSeconds).toBe(120)
  })

  it('says so when a mix was never worked out', () => {
    expect(() => beginning(definition, { ...sheet, choices: start }, {}, 300)).toThrow(
      expect.objectContaining({ code: 'no-count' }),
    )
  })
})
