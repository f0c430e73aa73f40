import { MF } from 'mf-parser'
import { labelElements } from '@core/chemistry/ghs'
import { formOf, hydrateFactor } from '@core/chemistry/forms'
import { molarMass } from '@core/chemistry/molarMass'
import { solubilityLimit } from '@core/chemistry/solubility'
import { strengthByDensity } from '@core/chemistry/dilution'
import { Substance } from '@core/schema/substance'
import { cautions } from './cautions'
import { hazardStatements, substances, wasteClasses } from './index'

const all = Object.values(substances)
const forms = all.flatMap((one) =>
  one.forms.map((form) => [`${one.name}, ${form.name}`, form.formula] as const),
)
const of = (id: string) => substances[id]!

describe('the substances', () => {
  it('are 60 or more, each sound and under its own id', () => {
    expect(all.length).toBeGreaterThanOrEqual(60)
    for (const [id, one] of Object.entries(substances)) expect({ ...Substance.parse(one), id }).toEqual(one)
  })

  it.each(all.map((one) => [one.name, one] as const))(
    '%s has its words: statements, caution, waste',
    (_, one) => {
      for (const code of one.hazard.statements) expect(hazardStatements).toHaveProperty([code])
      if (one.caution) expect(cautions).toHaveProperty([one.caution])
      if (labelElements(one.hazard.statements).signal === 'danger') expect(one.caution).toBeDefined()
      expect(wasteClasses).toHaveProperty([one.waste])
      const temperatures = one.solubility?.at.map(([celsius]) => celsius) ?? []
      expect(temperatures).toEqual([...temperatures].sort((a, b) => a - b))
      if (one.solubility?.form) expect(formOf(one, one.solubility.form)).not.toBeNull()
      if (one.bulk) expect(one.bulk.most).toBeGreaterThan(one.bulk.least)
    },
  )

  // Independent witness: mf-parser, a library with its own table of atomic masses; CIAAW's abridged ones differ in the last place.
  it.each(forms)('molar mass of %s (%s) agrees with mf-parser', (_, formula) => {
    // It writes water of crystallisation as a group, and knows round brackets only.
    const asTheirs = formula
      .replace(/·(\d*)(\w+)$/, '($2)$1')
      .replace('[', '(')
      .replace(']', ')')
    const theirs = new MF(asTheirs).getInfo().mass
    expect(molarMass(formula).value / theirs).toBeCloseTo(1, 3)
  })
})

describe('hydrate factors', () => {
  // By hand from the CIAAW abridged weights (from memory): Na2S2O3·5H2O 248.17 over Na2S2O3 158.10, and so on.
  it.each([
    ['sodium-thiosulfate', 'anhydrous', 'pentahydrate', 1.5697],
    ['sodium-carbonate', 'anhydrous', 'decahydrate', 2.6997],
    ['sodium-carbonate', 'anhydrous', 'monohydrate', 1.17],
    ['oxalic-acid', 'anhydrous', 'dihydrate', 1.4002],
    ['citric-acid', 'anhydrous', 'monohydrate', 1.0938],
    ['sodium-sulfite', 'anhydrous', 'heptahydrate', 2.0005],
    ['borax', 'anhydrous', 'decahydrate', 1.8954],
  ])('%s: %s asked, %s in hand', (id, asked, inHand, factor) =>
    expect(hydrateFactor(of(id), asked, inHand).value).toBeCloseTo(factor, 3),
  )
})

describe('solubilities', () => {
  // CRC Handbook of Chemistry and Physics, aqueous solubility at 20 °C in g of the anhydrous salt to 100 g of water; values from memory.
  it.each([
    ['sodium-chloride', 35.9],
    ['ammonium-chloride', 37.2],
    ['silver-nitrate', 216],
    ['potassium-ferricyanide', 46],
    ['potassium-oxalate', 36.4],
    ['sodium-thiosulfate', 70.1],
    ['potassium-dichromate', 12.3],
    ['ammonium-dichromate', 35.6],
    ['sodium-carbonate', 21.5],
    ['potassium-chlorate', 7.3],
    ['oxalic-acid', 9.52],
  ])('%s holds %d g to 100 g of water at 20 °C', (id, grams) => {
    const limit = solubilityLimit(of(id), 20, of(id).solubility?.form)!
    expect(limit.working.inputs.find((one) => one.symbol === 's')?.value).toBeCloseTo(grams, 1)
    // Half a millilitre a gram for the room of what is dissolved: common practice, from memory.
    expect(limit.value).toBeCloseTo((100 * grams) / (100 + grams / 2), 1)
  })

  it('are read between the temperatures of the table, and hold at its ends', () => {
    const at = (celsius: number) => solubilityLimit(of('potassium-dichromate'), celsius)!.value
    expect(at(30)).toBeGreaterThan(at(20))
    expect(at(30)).toBeLessThan(at(40))
    expect(at(100)).toBe(at(99))
  })
})

describe('concentrated liquids', () => {
  // Handbook tables of density by % w/w at 20 °C; values from memory: 37 % hydrochloric acid weighs 1.184, 10 % weighs 1.047 g/ml.
  it.each([
    ['hydrochloric-acid', 1.184, 37],
    ['hydrochloric-acid', 1.0474, 10],
    ['hydrogen-peroxide', 1.1122, 30],
  ])('%s of %d g/ml holds %d %% by weight', (id, density, percent) =>
    expect(strengthByDensity(of(id), density).value).toBeCloseTo(percent, 0),
  )

  it('refuse a density they never have, and a substance without a table', () => {
    expect(() => strengthByDensity(of('hydrochloric-acid'), 1.5)).toThrow(
      expect.objectContaining({ code: 'out-of-range' }),
    )
    expect(() => strengthByDensity(of('ethanol'), 0.8)).toThrow(expect.objectContaining({ code: 'no-table' }))
  })
})
