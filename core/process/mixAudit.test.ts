import { lotsFor } from '../chemistry/lots'
import { book, bottle } from '../fixtures/substances'
import { sheet } from '../fixtures/workroom'
import { T0 } from '../fixtures/logs'
import type { ProcessDefinition } from '../schema/definition'
import type { Bottle } from '../schema/records'
import { auditMix } from './mixAudit'
import { planMix } from './mixPlan'
import { unknownProcess } from './unknownProcess'

const solutes = [{ substanceId: 'silver-nitrate', percentWv: 12 }]
const definition: ProcessDefinition = {
  ...unknownProcess('toy'),
  components: [
    { id: 'silver', name: 'Silver', letter: 'A', cautions: [], stock: { solutes, making: [], standing: 'practice', source: 's' } },
  ],
  mixes: [{ id: 'mix', name: 'Mix', parts: [{ component: 'silver', parts: 1 }] }],
} // prettier-ignore
const DAY = 86_400_000

/** What is said of one mix of 2 ml from these bottles, ten days on. */
function said(bottles: Bottle[], taken = new Map<string, number>()): string[] {
  const lots = { silver: lotsFor('Silver', solutes, bottles, taken, book) }
  const plan = planMix(definition, definition.mixes[0]!, { ...sheet, choices: {}, parts: {} }, lots)
  return auditMix(plan, { silver: solutes }, T0 + 10 * DAY).map(
    (finding) => `${finding.code}: ${finding.subject}`,
  )
}

describe('auditMix', () => {
  it('has nothing to say of a good bottle, or of none', () => {
    expect(said([bottle(1)])).toEqual([])
    expect(said([])).toEqual([])
    expect(said([bottle(1, { amount: undefined })])).toEqual([])
  })

  it('says what is short over all lots together', () => {
    expect(said([bottle(1, { amount: 1 })])).toEqual(['short: Silver'])
    expect(said([bottle(1, { amount: 1 }), bottle(2)])).toEqual([])
  })

  it('says what is old, unripe or of another strength, of each bottle that is poured from', () => {
    expect(said([bottle(1, { bestUntil: T0 + DAY })])).toEqual(['past-life: Silver B-1'])
    expect(said([bottle(1, { ripeAt: T0 + 11 * DAY })])).toEqual(['not-ripe: Silver B-1'])
    expect(said([bottle(1, { contents: [{ substanceId: 'silver-nitrate', percent: 10 }] })])).toEqual([
      'stated-strength: Silver B-1',
    ])
    // The second bottle is not opened while the first is enough.
    expect(said([bottle(1), bottle(2, { bestUntil: T0 + DAY })])).toEqual([])
  })
})
