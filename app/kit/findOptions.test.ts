import { substances } from '@library/index'
import { findOptions } from './findOptions'

const options = Object.values(substances).map(({ id, name, synonyms, forms }) => ({
  id,
  name,
  also: synonyms,
  finds: forms.map(({ formula }) => formula),
}))
const idsOf = (search: string) => findOptions(options, search).found.map(({ id }) => id)

describe('searching a list', () => {
  // Names of the trade and old ones: common practice.
  it.each([
    ['fixer crystals', 'sodium-thiosulfate'],
    ['hypo', 'sodium-thiosulfate'],
    ['washing soda', 'sodium-carbonate'],
    ['table salt', 'sodium-chloride'],
    ['Vitamin C', 'ascorbic-acid'],
    ['prussiate', 'potassium-ferricyanide'],
    ['potassium palladium chloride', 'potassium-chloropalladite'],
    ['Na2S2O3', 'sodium-thiosulfate'],
    ['agno3', 'silver-nitrate'],
    ['nitrate silver', 'silver-nitrate'],
    ['sodium sulphite', 'sodium-sulfite'],
    ['thiosulphate', 'sodium-thiosulfate'],
    ['salt of amber', undefined],
  ])('“%s” finds %s', (search, id) => {
    const { found, isClose } = findOptions(options, search)
    if (id) expect([isClose, found.map((one) => one.id)]).toEqual([false, expect.arrayContaining([id])])
    else expect(isClose).toBe(true)
  })

  it.each([
    ['silvr nitrate', 'silver-nitrate'],
    ['ferricyanid potasium', 'potassium-ferricyanide'],
    ['gold cloride', 'gold-chloride'],
  ])('“%s” is close to %s', (search, id) => expect(idsOf(search).slice(0, 3)).toContain(id))

  it('shows everything for nothing typed, and nothing for what is like nothing', () => {
    expect(idsOf('  ')).toHaveLength(options.length)
    expect(idsOf('qqqqxxxx')).toEqual([])
  })
})
