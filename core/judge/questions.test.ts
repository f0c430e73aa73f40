import { diagnose, type Observed } from './diagnosis'
import type { Cause, FaultBook, FaultFact, Moment } from './faultBook'
import { rankQuestions, untoldFacts } from './questions'

const cause = (id: string, when: Moment[], facts: Cause['facts'] = {}): Cause => ({
  id, name: id, why: '', cure: '', when, weight: 1, shows: {}, facts,
}) // prettier-ignore
const asked = (id: string, parts: Partial<FaultFact> = {}): FaultFact => ({
  id, ask: `${id}?`, yes: id, no: `not ${id}`, base: 0.2, ...parts,
}) // prettier-ignore
const book: FaultBook = {
  symptoms: [],
  facts: [
    asked('coat', { moment: 'coat' }),
    asked('water', { moment: 'water' }),
    asked('weeks', { moment: 'weeks' }),
    asked('frame', { moment: 'light', needs: ['printsOut'] }),
    asked('hard', { ease: 0.1 }),
    asked('easy'),
    asked('alike'),
  ],
  causes: [
    cause('early', ['coat'], { hard: 0.9, easy: 0.9 }),
    cause('lit', ['light']),
    cause('late', ['weeks']),
  ],
  tests: [],
  standing: 'practice',
  source: '',
}
const traits = new Set<never>()
const ranked = (observed: Observed[] = [], of: ReadonlySet<'printsOut' | never> = traits) =>
  diagnose(book, { traits: of, symptoms: [], observed, confirmed: [] })
const is = (factId: string, yes = true): Observed => ({ factId, is: yes, said: factId })
const ids = (facts: readonly FaultFact[]) => facts.map(({ id }) => id)

describe('when a fault was first seen', () => {
  it('is one question, and a strong one where causes are seen at different moments', () => {
    const questions = ids(rankQuestions(book, ranked(), { traits, observed: [] }))
    expect(questions.filter((id) => ['coat', 'water', 'weeks', 'frame'].includes(id))).toHaveLength(1)
    expect(['coat', 'water', 'weeks']).toContain(questions[0])
  })

  it('is answered once: a yes to one moment is a no to the others', () => {
    const observed = [is('weeks')]
    expect(ids(untoldFacts(book, { traits, observed }))).toEqual(['hard', 'easy', 'alike'])
    expect(ids(untoldFacts(book, { traits, observed: [is('weeks', false)] }))).toContain('coat')
    expect(ranked(observed)[0]?.cause.id).toBe('late')
    // The noes that it implies are not counted a second time.
    expect(ranked([is('coat', false), ...observed])[0]?.probability).toBeCloseTo(
      ranked(observed)[0]!.probability,
      12,
    )
  })

  it('in what does not print out, a fault of the light shows in the first bath', () => {
    expect(ranked([is('water')])[0]?.cause.id).toBe('lit')
    expect(ranked([is('frame')], new Set(['printsOut']))[0]?.cause.id).toBe('lit')
    expect(ids(untoldFacts(book, { traits, observed: [] }))).not.toContain('frame')
  })
})

describe('the order of questions', () => {
  it('asks what is easy to know before what tells as much and is hard', () => {
    const questions = ids(rankQuestions(book, ranked(), { traits, observed: [] }))
    expect(questions.indexOf('easy')).toBeLessThan(questions.indexOf('hard'))
  })

  it('leaves out what tells nothing and what is known', () => {
    expect(ids(rankQuestions(book, ranked(), { traits, observed: [] }))).not.toContain('alike')
    expect(ids(rankQuestions(book, ranked([is('easy')]), { traits, observed: [is('easy')] }))).not.toContain(
      'easy',
    )
  })
})
