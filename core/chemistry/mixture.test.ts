import fc from 'fast-check'
import { mix, type Pour } from './mixture'

const iron = { substanceId: 'iron', name: 'ferric ammonium citrate', percentWv: 25 }
const ferricyanide = {
  substanceId: 'fcn',
  name: 'potassium ferricyanide',
  percentWv: 10,
  formula: 'K3[Fe(CN)6]',
}
const pour = (volumeMillilitres: number, ...solutes: Pour['solutes'][number][]): Pour => ({
  name: 'bottle',
  volumeMillilitres,
  solutes,
})

describe('mix', () => {
  // Fact of the trade (common practice): equal volumes halve each strength.
  it('halves both strengths in a 1:1 mix', () => {
    expect(mix([pour(1, iron), pour(1, ferricyanide)]).map((solute) => solute.strength.value)).toEqual([
      12.5, 5,
    ])
  })

  // Fact of the trade (common practice): two 10 % stocks half and half hold 5 % of each, not 10.
  it('does not call two 10 % stocks ten per cent', () => {
    const both = mix([pour(5, { ...iron, percentWv: 10 }), pour(5, ferricyanide)])
    expect(both.map((solute) => solute.strength.value)).toEqual([5, 5])
  })

  it('states moles only where there is a formula', () => {
    const [fac, fcn] = mix([pour(1, iron), pour(1, ferricyanide)])
    expect(fac?.molarity).toBeNull()
    expect(fcn?.molarity?.value).toBeCloseTo(50 / 329.247, 4)
  })

  it('conserves the mass of every solute', () => {
    const volume = fc.double({ min: 0.01, max: 1000, noNaN: true })
    const percent = fc.double({ min: 0.01, max: 60, noNaN: true })
    fc.assert(
      fc.property(fc.array(fc.tuple(volume, percent), { minLength: 1, maxLength: 6 }), (poured) => {
        const mixed = mix(poured.map(([v, p]) => pour(v, { ...iron, percentWv: p })))
        const total = poured.reduce((sum, [v]) => sum + v, 0)
        const grams = poured.reduce((sum, [v, p]) => sum + (v * p) / 100, 0)
        expect(((mixed[0]?.strength.value ?? 0) * total) / 100).toBeCloseTo(grams, 6)
      }),
    )
  })

  it('refuses an empty glass', () => {
    expect(() => mix([pour(0, iron)])).toThrow(expect.objectContaining({ code: 'nothing-poured' }))
  })
})
