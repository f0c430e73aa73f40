import { contrastPlan } from '@core/process/contrastPlan'
import { mixesFor, partsOf } from '@core/process/mixPlan'
import { contrastMeans, otherMeans } from './contrast'
import { cautionOf, processes } from './index'

describe('what moves contrast', () => {
  it.each(contrastMeans.map((means) => [means.id, means] as const))(
    '%s: more of it, a shorter scale, for a process that there is, with its cautions',
    (_, { processId, rungs, cautions, standing }) => {
      expect(processes).toHaveProperty([processId])
      expect(rungs[0]?.amount).toBe(0)
      for (const [i, { amount, scale }] of rungs.slice(1).entries()) {
        expect(amount).toBeGreaterThan(rungs[i]!.amount)
        expect(scale).toBeLessThan(rungs[i]!.scale)
        expect(scale).toBeGreaterThan(0.8)
      }
      for (const id of cautions) expect(cautionOf(id)?.title).toEqual(expect.any(String))
      expect(standing).toBe('memory')
    },
  )
  it('has words for processes without figures', () => {
    for (const id of Object.keys(otherMeans)) expect(processes).toHaveProperty([id])
  })
})

describe('what moves contrast, in the plan of a sheet', () => {
  const definition = processes['platinum-palladium']!
  const planned = (id: string, amount: number) =>
    contrastPlan(definition, contrastMeans.find((one) => one.id === id)!, amount)
  const glass = (id: string, amount: number) => {
    const plan = planned(id, amount)!
    const mix = mixesFor(definition, plan.choices)[0]!
    const parts = partsOf(definition, mix, plan.choices)
    return Object.fromEntries(parts.map(({ component, parts: own }, i) => [component.id, plan.parts?.[i] ?? own]))
  }

  // A glass of 24 drops, half iron and half metal: common practice.
  it('is drops of platinate beside 12 of oxalate and 12 of palladium', () => {
    expect(glass('platinate', 4)).toEqual({ oxalate: 12, palladium: 12, contrast: 4 })
    expect(glass('platinate', 0)).not.toHaveProperty('contrast')
  })
  it('is chlorate oxalate in place of plain, and 12 of both in all', () => {
    expect(glass('chlorate', 3)).toMatchObject({ oxalate: 9, 'oxalate-chlorate': 3 })
  })
  it('has no plan for more than gives way, nor for what is in the developer', () => {
    expect(planned('chlorate', 12)).toBeNull()
    expect(planned('chlorate', -1)).toBeNull()
    const developer = contrastMeans.find(({ id }) => id === 'dichromate-developer')!
    expect(contrastPlan(processes.kallitype!, developer, 4)).toBeNull()
  })
}) // prettier-ignore
