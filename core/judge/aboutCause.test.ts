import { alikeTo, likeness, proofOf } from './aboutCause'
import type { Cause, FaultBook } from './faultBook'
import { judgedLooks } from './judgedLooks'

const cause = (id: string, parts: Partial<Cause> = {}): Cause => ({
  id, name: id, why: '', cure: '', when: ['light'], weight: 1, shows: {}, facts: {}, ...parts,
}) // prettier-ignore
const thin = cause('thin', { shows: { pale: 0.8, streaks: 0.2 }, facts: { counted: 0.9 } })
const book: FaultBook = {
  symptoms: [],
  facts: [
    { id: 'counted', yes: '', no: '', base: 0.1 },
    { id: 'lit', yes: '', no: '', base: 0.1 },
  ],
  causes: [
    thin,
    cause('dim', { shows: { pale: 0.9 }, facts: { lit: 0.95 }, weight: 5 }),
    cause('short', { shows: { pale: 0.7, streaks: 0.1 }, facts: { counted: 0.85 } }),
    cause('fog', { shows: { veil: 0.9 } }),
    cause('fixer', { shows: { pale: 0.9 }, needs: ['fixes'] }),
  ],
  tests: [
    { id: 'dear', name: '', doing: '', effort: 3, cures: { thin: 0.9 } },
    { id: 'cheap', name: '', doing: '', effort: 1, cures: { thin: 0.9, dim: 0.3 } },
    { id: 'best', name: '', doing: '', effort: 2, cures: { thin: 0.95 }, needs: ['fixes'] },
  ],
  standing: 'practice',
  source: '',
}
const traits = new Set<never>()

describe('what looks the same', () => {
  it('is measured by the looks that two causes share', () => {
    expect(likeness(thin, thin)).toBeCloseTo(1, 12)
    expect(likeness(thin, book.causes[3]!)).toBe(0)
    // By hand: (0.8 · 0.9) / (√0.68 · 0.9).
    expect(likeness(thin, book.causes[1]!)).toBeCloseTo(0.8 / Math.sqrt(0.68), 12)
  })

  it('is told apart by the fact that differs most, and by none where none differs', () => {
    const alike = alikeTo(book, thin, traits)
    expect(alike.map((one) => one.cause.id)).toEqual(['dim', 'short'])
    expect(alike[0]?.by).toEqual({ fact: book.facts[1], isTrue: true })
    expect(alike[1]?.by).toBe(null)
  })

  it('leaves out what cannot be in such a print', () => {
    expect(alikeTo(book, thin, new Set(['fixes'] as const)).map((one) => one.cause.id)).toContain('fixer')
    expect(alikeTo(book, thin, traits).map((one) => one.cause.id)).not.toContain('fixer')
  })
})

describe('the proof of a cause', () => {
  it('is the surest test, of equals the cheapest, and none that was done or cannot be', () => {
    expect(proofOf(book, thin, traits)?.id).toBe('cheap')
    expect(proofOf(book, thin, new Set(['fixes'] as const))?.id).toBe('best')
    expect(proofOf(book, thin, traits, ['cheap'])?.id).toBe('dear')
    expect(proofOf(book, { id: 'dim' }, traits)).toBe(null)
  })
})

describe('the looks that a print was judged to have', () => {
  it.each([
    ['none where none was judged', [], []],
    ['as the last dry judgement has them', [{ moment: 'dry', shadows: 'blocked' }, { moment: 'settled', shadows: 'thin', whites: 'yellow' }], ['pale', 'whites-yellow']],
    ['what was said wet only where nothing was said dry', [{ moment: 'wet', highlights: 'veiled' }], ['fogged']],
    ['a wet one never over a dry one', [{ moment: 'dry', highlights: 'blank' }, { moment: 'wet', highlights: 'veiled' }], ['harsh']],
    ['nothing for what is right', [{ moment: 'dry', shadows: 'right', whites: 'clean' }], []],
  ] as const)('%s', (_, judgements, looks) => expect(judgedLooks(judgements)).toEqual(looks))
}) // prettier-ignore
