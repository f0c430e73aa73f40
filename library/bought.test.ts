import { T0 } from '@core/fixtures/logs'
import { boughtSolution, kitOf } from '@core/shelf/bought'
import { Bottle } from '@core/schema/records'
import { processes } from './index'

describe('a solution that was bought', () => {
  const silver = [
    { substanceId: 'silver-nitrate', percentWv: 12 },
    { substanceId: 'citric-acid', percentWv: 6 },
  ]

  it('holds what its label states, the rest in proportion', () =>
    // Half as strong as the recipe: 6 % of silver nitrate and 3 % of the acid.
    expect(boughtSolution(silver, 6)).toEqual({
      contents: [
        { substanceId: 'silver-nitrate', percent: 6 },
        { substanceId: 'citric-acid', percent: 3 },
      ],
    }))

  it('says that its strength is assumed where the label states none', () =>
    expect(boughtSolution(silver, null)).toEqual({
      contents: [
        { substanceId: 'silver-nitrate', percent: 12 },
        { substanceId: 'citric-acid', percent: 6 },
      ],
      isAssumed: true,
    }))
})

describe('a kit', () => {
  // Common practice: two bottles of powder, filled up with water and left for a day.
  it('for cyanotype is two bottles that rest a day', () =>
    expect(
      kitOf(processes['classic-cyanotype']!).map(({ name, restsSeconds, solutes }) => [
        name,
        restsSeconds / 3600,
        solutes[0]?.substanceId,
      ]),
    ).toEqual([
      ['Iron citrate', 24, 'ferric-ammonium-citrate'],
      ['Ferricyanide', 24, 'potassium-ferricyanide'],
    ]))

  it.each(Object.values(processes).map((one) => [one.name, one] as const))('for %s has bottles', (_, one) => {
    const bottles = kitOf(one)
    expect(bottles.length).toBeGreaterThan(0)
    expect(new Set(bottles.map(({ id }) => id)).size).toBe(bottles.length)
    for (const { name, solutes } of bottles)
      expect(
        Bottle.safeParse({
          id: '00000000-0000-4000-8000-000000000001',
          label: 'K-1',
          name,
          kind: 'solution',
          ...boughtSolution(solutes, null),
          note: '',
          changedAt: T0,
        }).error,
      ).toBeUndefined()
  })
})
