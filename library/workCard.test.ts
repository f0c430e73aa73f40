import { isGentle } from '@core/process/gentle'
import { lotsFor } from '@core/chemistry/lots'
import { mixesFor, planMix, startingParts } from '@core/process/mixPlan'
import { schoolStocks, startingChoices } from '@core/process/plan'
import { workCard } from '@core/process/workCard'
import type { ProcessDefinition } from '@core/schema/definition'
import { processes, substances } from '@library/index'
import { classicCyanotype } from './processes/classicCyanotype'
import { kallitype } from './processes/kallitype'

describe('processes for children', () => {
  // Common practice in schools: cyanotypes, developed in water; nothing with silver, dichromate or strong acid.
  it('are those whose solutions carry no “Danger”: cyanotypes without extra baths', () => {
    const gentle = Object.values(processes).filter((one) => isGentle(one, startingChoices(one), substances))
    expect(gentle.map(({ id }) => id)).toContain('classic-cyanotype')
    expect(gentle.every(({ name }) => /cyanotype/i.test(name))).toBe(true)
    // Its oxalate is harmful when swallowed.
    expect(gentle.map(({ id }) => id)).not.toContain('new-cyanotype')
  })
  it('are not those of which a solution is not known', () => {
    const unknown = { ...classicCyanotype, components: [], baths: [], mixes: [], steps: [] }
    expect(isGentle(unknown, {}, substances)).toBe(false)
  })
})

/** With plain spaces, as one would type it. */
const plain = (text: string | undefined) => text?.replace(/\u00a0/g, ' ')
const cardOf = (definition: ProcessDefinition, changes: object = {}) => {
  const choices = startingChoices(definition)
  const sheet = {
    title: 'Leaves', choices, coats: 1, exposureSeconds: 600, widthMillimetres: 254, heightMillimetres: 203.2,
    parts: startingParts(definition, choices), coverageMillilitresPerM2: 38.8, dropsPerMillilitre: 20, ...changes,
  } // prettier-ignore
  const stocks = schoolStocks(definition, choices)
  const lots = Object.fromEntries(
    definition.components.map(({ id, name }) => [
      id,
      lotsFor(name, stocks[id] ?? [], [], new Map(), substances),
    ]),
  )
  return workCard(
    {
      definition,
      sheet,
      plans: mixesFor(definition, choices).map((mix) => planMix(definition, mix, sheet, lots)),
      paper: { name: 'Heron rag', gramsPerM2: 300 },
      lightName: 'the sun',
      units: { length: 'in', temperature: 'degC' },
    },
    substances,
  )
}

describe('a work card', () => {
  it('says for this size what goes into the glass: 40 drops for 8 × 10 in, common practice', () => {
    const card = cardOf(classicCyanotype)
    expect(plain(card.line)).toBe('10 × 8 in, Heron rag, under the sun')
    expect(card.mixes[0]?.rows.map(({ drops }) => drops)).toEqual(['20', '20'])
    expect(card.mixes[0]?.rows.map(({ millilitres }) => plain(millilitres))).toEqual(['1 ml', '1 ml'])
  })
  it('has every step with its time for this paper and this light, and what shows that it is done', () => {
    const { steps } = cardOf(classicCyanotype)
    expect(plain(steps.find(({ title }) => title === 'Expose')?.time)).toBe('10 min')
    expect(plain(steps.find(({ title }) => title === 'Dry in the dark')?.time)).toMatch(/^(at least )?10 min/)
    expect(steps.find(({ title }) => title === 'Wash')?.cue).toMatch(/white/i)
    expect(steps.every(({ doing }) => doing.length > 0)).toBe(true)
  })
  it('has the cautions of what is in the hand, and is for children only where it is gentle', () => {
    expect(cardOf(classicCyanotype).isGentle).toBe(true)
    const silver = cardOf(kallitype)
    expect(silver.isGentle).toBe(false)
    expect(silver.cautions.map(({ title }) => title.toLowerCase()).join()).toContain('silver')
    expect(silver.cautions.some(({ firstAid }) => firstAid.length > 0)).toBe(true)
  })
  it('says so where a step is done for each of several coats', () => {
    const titles = cardOf(classicCyanotype, { coats: 2 }).steps.map(({ title }) => title)
    expect(titles.filter((title) => title.endsWith('(for each of 2 coats)')).length).toBeGreaterThan(0)
  })
})
