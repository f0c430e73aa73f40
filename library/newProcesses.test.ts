import { MF } from 'mf-parser'
import { lotsFor } from '@core/chemistry/lots'
import { sheet } from '@core/fixtures/workroom'
import { mixesFor, planMix, startingParts } from '@core/process/mixPlan'
import { schoolStocks, startingChoices, stepsFor } from '@core/process/plan'
import { firstExposure } from '@core/process/stepTimes'
import type { LightKind } from '@core/schema/definition'
import { processes, substances } from './index'

/** g/mol by another reckoning than the app's. */
const massOf = (formula: string) => new MF(formula).getInfo().mass

/** What is in the coat of a process as it starts, mol/l by substance. */
function coatOf(id: string): Record<string, number> {
  const definition = processes[id]!
  const choices = startingChoices(definition)
  const lots = Object.fromEntries(
    Object.entries(schoolStocks(definition, choices)).map(([component, stock]) => [
      component,
      lotsFor(component, stock, [], new Map(), substances),
    ]),
  )
  const mix = mixesFor(definition, choices).at(-1)!
  const plan = planMix(
    definition,
    mix,
    { ...sheet, choices, parts: startingParts(definition, choices) },
    lots,
  )
  return Object.fromEntries(
    plan.mixture.flatMap(({ substanceId, molarity }) => (molarity ? [[substanceId, molarity.value]] : [])),
  )
}

describe('the coat of the newest processes, by moles', () => {
  it('new cyanotype: more than two ferric ions to one ferricyanide, and less of both than dissolves', () => {
    const coat = coatOf('new-cyanotype')
    // (NH4)3[Fe(C2O4)3]·3H2O and K3[Fe(CN)6], 30 and 10 g in 100 ml.
    const iron = 300 / massOf('(NH4)3Fe(C2O4)3(H2O)3')
    const ferricyanide = 100 / massOf('K3Fe(CN)6')
    expect(coat['ammonium-ferric-oxalate']).toBeCloseTo(iron, 2)
    expect(coat['potassium-ferricyanide']).toBeCloseTo(ferricyanide, 3)
    expect(iron / ferricyanide).toBeGreaterThan(2)
    expect(iron / ferricyanide).toBeLessThan(2.5)
  })

  it('iron-silver: the acid dissolves all of the oxide, and some is left over', () => {
    const coat = coatOf('iron-silver')
    // Ag2O + 2 H3NSO3 = 2 AgH2NSO3 + H2O.
    const silver = (2 * 70) / massOf('Ag2O')
    const acid = 70 / massOf('H3NSO3')
    expect(2 * coat['silver-oxide']!).toBeCloseTo(silver, 2)
    expect(coat['sulfamic-acid']).toBeCloseTo(acid, 2)
    expect(acid).toBeGreaterThan(silver)
    expect(acid).toBeLessThan(1.3 * silver)
  })
})

// From memory: a quarter or less of the classic exposure.
it.each(['sun', 'uvBox', 'lamp', 'tubes'] as LightKind[])(
  'new cyanotype takes at most a quarter, %s',
  (kind) => {
    const timeOf = (id: string) =>
      firstExposure(processes[id]!, { kind, choices: startingChoices(processes[id]!) }).value
    expect(timeOf('new-cyanotype') / timeOf('classic-cyanotype')).toBeLessThanOrEqual(0.251)
  },
)

describe('toning of iron blues', () => {
  const classic = processes['classic-cyanotype']!
  const wet = (toner: string) =>
    stepsFor(classic, { ...startingChoices(classic), toner })
      .filter(({ station }) => station === 'wet')
      .map(({ id }) => id)

  it('bleaches before tannin, tea and coffee, and after tannin for a split', () => {
    expect(wet('none')).toEqual(['wash'])
    for (const toner of ['tannic', 'gallic', 'tea', 'coffee'])
      expect([toner, ...wet(toner)]).toEqual([toner, 'wash', 'bleach', 'rinse-bleach', 'tone', 'final-wash'])
    expect(wet('split')).toEqual(['wash', 'tone-first', 'rinse-tone-first', 'bleach-split', 'final-wash'])
  })
})

describe('gum on sized paper', () => {
  const gum = processes.gum!
  const idsOf = (choices: Record<string, string>) =>
    stepsFor(gum, { ...startingChoices(gum), ...choices }).map(({ id }) => id)

  it('is tested for stain on the dry size, before the dichromate is mixed', () => {
    const ids = idsOf({})
    expect(ids.indexOf('stain-test')).toBe(ids.indexOf('mix') - 1)
    expect(ids.indexOf('stain-test')).toBeGreaterThan(ids.indexOf('dry-rinsed'))
    expect(idsOf({ stain: 'known' })).not.toContain('stain-test')
  })
  it('is cleared in bisulfite only when asked, and washed after it', () => {
    expect(idsOf({})).not.toContain('bisulfite')
    const cleared = idsOf({ clearing: 'bisulfite' })
    expect(cleared.slice(cleared.indexOf('bisulfite'))).toEqual(['bisulfite', 'final-wash', 'hang'])
  })
  it('has twice and half the pigment of the middle load', () => {
    const pigment = (load: string) =>
      schoolStocks(gum, { ...startingChoices(gum), load }).gum?.find((one) => one.substanceId === 'watercolour-pigment')?.percentWv
    expect([pigment('light'), pigment('middle'), pigment('heavy')]).toEqual([2, 4, 8])
  }) // prettier-ignore
})

it('palladium printing out has the same palladium in each of its salts', () => {
  const definition = processes['palladium-printing-out']!
  const formulas = { potassium: 'K2PdCl4', sodium: 'Na2PdCl4', lithium: 'Li2PdCl4' }
  const molar = Object.entries(formulas).map(([palladium, formula]) => {
    const stock = schoolStocks(definition, { ...startingChoices(definition), palladium }).palladium!
    const salt = stock.find(({ substanceId }) => substanceId.endsWith('-chloropalladite'))!
    return (10 * salt.percentWv) / massOf(formula)
  })
  for (const one of molar) expect(one / molar[0]!).toBeCloseTo(1, 2)
})
