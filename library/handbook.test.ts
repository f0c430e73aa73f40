import { beginning, startingChoices } from '@core/process/plan'
import { firstExposure } from '@core/process/stepTimes'
import { mixesFor, partsOf } from '@core/process/mixPlan'
import { sheet } from '@core/fixtures/workroom'
import type { LightKind } from '@core/schema/definition'
import { processes, treatments } from './index'

// Every time and ratio that the trade's practice gives in figures, process by process. All are common practice, except
// where the line says that they are from memory.

const MINUTE = 60
const HOUR = 3600
const definitionOf = (id: string) => (processes[id] ?? treatments[id])!

/** Least and most of a step, in seconds. */
const TIMES: readonly (readonly [
  process: string,
  step: string,
  least: number | undefined,
  most: number | undefined,
])[] = [
  ['classic-cyanotype', 'dry', 10 * MINUTE, undefined],
  ['classic-cyanotype', 'wash', 5 * MINUTE, undefined],
  ['classic-cyanotype', 'peroxide', 1 * MINUTE, 2 * MINUTE],
  ['two-layer-cyanotype', 'fan', undefined, 30],
  ['van-dyke', 'water', 1 * MINUTE, undefined],
  ['van-dyke', 'fix', 2 * MINUTE, 3 * MINUTE],
  ['van-dyke', 'final-wash', 5 * MINUTE, undefined],
  ['kallitype', 'dry', 15 * MINUTE, 20 * MINUTE],
  ['kallitype', 'develop', 2 * MINUTE, 3 * MINUTE],
  ['kallitype', 'clear', 2 * MINUTE, 5 * MINUTE],
  ['kallitype', 'rinse-clear', 30, undefined],
  ['kallitype', 'fix', 2 * MINUTE, undefined],
  ['salted-paper', 'soak-salt', 5 * MINUTE, undefined],
  ['salted-paper', 'wash', 5 * MINUTE, undefined],
  ['salted-paper', 'fix', 5 * MINUTE, 10 * MINUTE],
  ['salted-paper', 'final-wash', 5 * MINUTE, undefined],
  ['albumen-type', 'albumenize', 10 * MINUTE, undefined],
  ['albumen-type', 'albumenize-soak', 10 * MINUTE, undefined],
  ['albumen-type', 'fix', 3 * MINUTE, 5 * MINUTE], // from memory
  ['collodion-chloride', 'fix', 4 * MINUTE, undefined], // at least 4 to 4.5 min
  ['collodion-chloride', 'final-wash', 10 * MINUTE, undefined],
  ['gum-over', 'dry-size', 20 * MINUTE, undefined],
  ['gum-over', 'first-water', 20, 30],
  ['acid-bath', 'soak-oxalic', 15 * MINUTE, undefined],
  ['acid-bath', 'soak-citric', 15 * MINUTE, undefined],
  ['acid-bath', 'hang', 30 * MINUTE, 60 * MINUTE],
  ['gelatin-size', 'hang', 20 * MINUTE, undefined],
  ['salting-ahead', 'soak-sodium', 5 * MINUTE, undefined],
]

describe('times of the trade', () => {
  it.each(TIMES)('%s: %s lasts from %p to %p s', (process, id, least, most) => {
    const step = definitionOf(process).steps.find((one) => one.id === id)
    expect([step?.time?.leastSeconds, step?.time?.mostSeconds]).toEqual([least, most])
  })

  // Common practice: 30 min for heavy rag; 45 to 60 min for gold on 310 g/m².
  it.each([
    ['van-dyke', 300, 30 * MINUTE],
    ['van-dyke', 120, 5 * MINUTE],
    ['gold-platinum', 310, 45 * MINUTE],
    ['classic-cyanotype', 120, 5 * MINUTE],
  ])('%s on %d g/m² washes at least %d s at the end', (process, grams, seconds) => {
    const definition = definitionOf(process)
    const choices = startingChoices(definition)
    const counts = Object.fromEntries(
      mixesFor(definition, choices).map((mix) => [mix.id, partsOf(definition, mix, choices).map(() => 5)]),
    )
    const { steps } = beginning(definition, { ...sheet, choices }, counts, grams)
    expect(steps.findLast((step) => step.kind === 'bath')?.leastSeconds).toBe(seconds)
  })
})

/** Exposures of the trade by kind of light, in seconds. */
const EXPOSURES: readonly (readonly [process: string, light: LightKind, least: number, most: number])[] = [
  ['classic-cyanotype', 'sun', 5 * MINUTE, 20 * MINUTE],
  ['classic-cyanotype', 'uvBox', 5 * MINUTE, 10 * MINUTE],
  ['classic-cyanotype', 'tubes', 60 * MINUTE, 90 * MINUTE],
  ['kallitype', 'uvBox', 5 * MINUTE, 6 * MINUTE],
  ['salted-paper', 'lamp', 7 * MINUTE, 10 * MINUTE],
  ['salted-paper', 'uvBox', 6 * MINUTE, 30 * MINUTE],
  ['platinum-palladium', 'sun', 1 * MINUTE, 60 * MINUTE],
]

describe('exposures of the trade', () => {
  it.each(EXPOSURES)('%s under %s takes %d to %d s', (process, kind, least, most) => {
    const light = definitionOf(process).lights.find((one) => one.kind === kind)
    expect([light?.leastSeconds, light?.mostSeconds]).toEqual([least, most])
  })

  // About 15 min under ageing black-light tubes; about 25 min under an old single lamp: the middle of the range is near it.
  it.each([
    ['van-dyke', 'tubes', 15 * MINUTE],
    ['classic-cyanotype', 'lamp', 25 * MINUTE],
    ['two-layer-cyanotype', 'lamp', 65 * MINUTE],
  ] as const)('%s under %s starts within a tenth of %d s', (process, kind, seconds) => {
    const definition = definitionOf(process)
    const first = firstExposure(definition, { kind, choices: startingChoices(definition) }).value
    expect(Math.abs(first - seconds) / seconds).toBeLessThan(0.1)
  })
})

/** What is in the bottles, in % w/v. */
const STRENGTHS: readonly (readonly [process: string, bottle: string, percents: readonly number[]])[] = [
  ['kallitype', 'oxalate', [20]], // from memory
  ['kallitype', 'silver', [10]], // from memory
  ['kallitype', 'citrate', [20]],
  ['kallitype', 'clearing', [3]],
  ['salted-paper', 'salt', [2]],
  ['albumen-type', 'silver', [10]],
  ['albumen-type', 'hypo', [5]],
  ['platinum-palladium', 'oxalate', [27]], // from memory
  ['platinum-palladium', 'platinum', [20]], // from memory
  ['platinum-palladium', 'palladium', [15]], // from memory
  ['palladium-printing-out', 'iron', [40, 0.08]],
  ['palladium-printing-out', 'ferric', [26]],
  ['gold-platinum', 'platinum', [10]],
  ['gold-platinum', 'gold', [10]],
  ['gold-platinum', 'acid', [2]],
  ['gold-platinum', 'edta', [5]],
  ['gum-over', 'size', [20]],
]

describe('strengths of the trade', () => {
  it.each(STRENGTHS)('%s: %s holds %p %%', (process, bottle, percents) => {
    const { components, baths } = definitionOf(process)
    const found = [...components, ...baths].find((one) => one.id === bottle)
    expect(found?.stock.solutes.map((one) => one.percentWv)).toEqual(percents)
  })

  // 8 drops of 2 % ascorbic acid, 0.05 ml each, in 10 ml of 40 %: 0.008 g in a little over 10 ml.
  it('8 drops of 2 % ascorbic acid in 10 ml are 0.08 %', () =>
    expect((8 * 0.05 * 2) / 10).toBeCloseTo(0.08, 9))

  it('a kit of ferric oxalate rests a day, and a coat of silver keeps for hours', () => {
    for (const id of ['kallitype', 'platinum-palladium'])
      expect(definitionOf(id).components.find((one) => one.id === 'oxalate')?.stock.ripensSeconds).toBe(
        24 * HOUR,
      )
    const dry = definitionOf('salted-paper').steps.find((one) => one.id === 'dry')
    expect(dry?.keeps?.mostSeconds).toBeLessThanOrEqual(12 * HOUR)
  })

  it('gum hardens by contrast: 30, 20, 8 and 4 % of dichromate', () => {
    const choice = definitionOf('gum-over').choices.find((one) => one.id === 'strength')
    expect(
      choice?.options.map((one) => one.stocks?.dichromate?.[0]?.percentWv).sort((a, b) => b! - a!),
    ).toEqual([30, 20, 8, 4])
  })
})
