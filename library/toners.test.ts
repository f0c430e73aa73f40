import { stepsFor, startingChoices } from '@core/process/plan'
import { cautionsFor, trayOf } from '@core/process/trays'
import type { ProcessDefinition } from '@core/schema/definition'
import { processes, substances } from './index'

// Where each toner has its place is common practice; gold is half of its trihydrate by mass (published atomic weights).

const BEFORE = ['gold', 'gold-borax', 'gold-thiocyanate', 'palladium', 'platinum', 'gold-platinum']
const AFTER = ['gold-thiourea', 'selenium']
const SILVER = ['salted-paper', 'albumen-type', 'van-dyke', 'iron-silver'].map(
  (id) => processes[id] as ProcessDefinition,
)

const wetOf = (definition: ProcessDefinition, toner: string) => {
  const choices = { ...startingChoices(definition), toner }
  return stepsFor(definition, choices)
    .filter(({ station }) => station === 'wet')
    .map((step) => ({ step, tray: trayOf(definition, step, choices)?.id }))
}

describe.each(SILVER)('toners of $name', (definition) => {
  it('has every toner, and only the one that was chosen in its trays', () => {
    for (const toner of [...BEFORE, ...AFTER]) {
      const toned = wetOf(definition, toner).filter(({ step }) => step.role === 'tone')
      const trays = toner === 'gold-platinum' ? ['gold', 'platinum'] : [toner]
      expect(toned.map(({ tray }) => tray)).toEqual(trays)
    }
    expect(wetOf(definition, 'none').some(({ step }) => step.role === 'tone')).toBe(false)
  })

  it.each(BEFORE)('tones in %s before the fixer, and rinses it out', (toner) => {
    const wet = wetOf(definition, toner)
    const last = wet.findLastIndex(({ step }) => step.role === 'tone')
    expect(wet.findIndex(({ step }) => step.role === 'fix')).toBeGreaterThan(last)
    expect(wet[last + 1]).toMatchObject({ step: { id: 'rinse-tone' }, tray: undefined })
  })

  it('warns of what is in the tray, and of no other toner', () => {
    const warned = (toner: string) => {
      const choices = { ...startingChoices(definition), toner }
      const step = stepsFor(definition, choices).find(({ role }) => role === 'tone')!
      return cautionsFor(definition, step, choices)
    }
    expect(warned('gold')).toEqual(['noble'])
    expect(warned('gold-thiocyanate')).toEqual(['noble', 'thiocyanate'])
    expect(warned('gold-borax')).toEqual(['noble', 'reproductive'])
    expect(warned('selenium')).toEqual(['selenium'])
    expect(warned('platinum')).toContain('platinum')
    expect(warned('palladium')).not.toContain('platinum')
  })

  it.each(AFTER)('tones in %s after the fixer is washed out', (toner) => {
    const wet = wetOf(definition, toner)
    const tone = wet.findIndex(({ step }) => step.role === 'tone')
    expect(wet.findLastIndex(({ step }) => step.role === 'fix')).toBeLessThan(tone)
    expect(wet[tone - 1]).toMatchObject({ step: { role: 'wash', time: { leastSeconds: 600 } } })
  })
})

it('says no toner goes further than its gold', () => {
  for (const definition of SILVER)
    for (const bath of definition.baths) {
      const salt = bath.stock.solutes.find(({ substanceId }) => substanceId === 'gold-chloride')
      if (!salt) continue
      const milligramsPerLitre = salt.percentWv * 10 * 1000 * 0.5
      const prints = (bath.use?.squareMetresPerLitre ?? 0) / 0.0516
      // 4 mg for a dark print of 8 × 10 in, from memory.
      expect([bath.id, prints * 4 <= milligramsPerLitre * 1.05]).toEqual([bath.id, true])
      expect(prints).toBeGreaterThan(5)
    }
})

it('never has acid with thiocyanate', () => {
  for (const definition of SILVER)
    for (const { id, stock } of definition.baths) {
      const reacts = stock.solutes.flatMap(({ substanceId }) => substances[substanceId]?.reacts ?? [])
      expect([id, reacts.includes('thiocyanate') && reacts.includes('acid')]).toEqual([id, false])
    }
})
