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
