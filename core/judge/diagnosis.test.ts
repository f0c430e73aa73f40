import fc from 'fast-check'
import { afterTest, rankTests } from './nextTest'
import { diagnose, type RankedCause } from './diagnosis'
import { entropy, expectedBits } from './information'
import type { Cause, FaultBook } from './faultBook'

const cause = (id: string, weight: number, parts: Partial<Cause> = {}): Cause => ({
  id, name: id, why: '', cure: '', when: ['light'], weight, shows: {}, facts: {}, ...parts,
}) // prettier-ignore
const book: FaultBook = {
  symptoms: [
    { id: 'pale', name: 'Pale', looks: '', drawing: 'pale', base: 0.2 },
    { id: 'veil', name: 'Grey', looks: '', drawing: 'veil', base: 0.2 },
  ],
  facts: [{ id: 'short', yes: '', no: '', base: 0.1 }],
  causes: [
    cause('light', 6, { shows: { pale: 0.8 }, facts: { short: 0.6 } }),
    cause('paper', 3, { shows: { pale: 0.7 } }),
    cause('fog', 1, { shows: { veil: 0.9 } }),
    cause('fixer', 9, { needs: ['fixes'], shows: { pale: 0.9 } }),
  ],
  tests: [
    { id: 'more', name: '', doing: '', effort: 1, cures: { light: 0.9 } },
    { id: 'other', name: '', doing: '', effort: 1, cures: { paper: 0.9 } },
    { id: 'same-dear', name: '', doing: '', effort: 3, cures: { light: 0.9 } },
  ],
  standing: 'practice',
  source: '',
}
const input = { traits: new Set<never>(), symptoms: ['pale'], observed: [], confirmed: [] }
const ids = (ranked: readonly RankedCause[]) => ranked.map((one) => one.cause.id)

describe('a diagnosis', () => {
  it('weighs as Bayes does, by hand', () => {
    const [first] = diagnose(book, {
      ...input,
      symptoms: ['pale', 'veil'],
      observed: [{ factId: 'short', is: true, said: 'short' }],
    })
    // weights 6:3:1; pale 4, 3.5, a quarter; veil a quarter, a quarter, 4.5; short 6, 1, 1.
    const parts = [6 * 4 * 0.25 * 6, 3 * 3.5 * 0.25, 1 * 0.25 * 4.5]
    expect(first?.cause.id).toBe('light')
    expect(first?.probability).toBeCloseTo(parts[0]! / parts.reduce((a, b) => a + b), 9)
  })

  it('comes to 1 and leaves out what cannot be', () => {
    const ranked = diagnose(book, input)
    expect(ranked.reduce((sum, one) => sum + one.probability, 0)).toBeCloseTo(1, 9)
    expect(ids(ranked)).not.toContain('fixer')
    expect(ids(diagnose(book, { ...input, traits: new Set(['fixes' as const]) }))).toContain('fixer')
    expect(ids(diagnose(book, { ...input, ruledOut: ['light'] }))[0]).toBe('paper')
  })

  it('says what speaks for a cause and what against', () => {
    const known = (is: boolean) => [{ factId: 'short', is, said: is ? 'cut short' : 'in full' }]
    const light = (is: boolean) => diagnose(book, { ...input, observed: known(is) }).find((one) => one.cause.id === 'light') // prettier-ignore
    expect(light(true)?.for[0]).toEqual({ said: 'cut short', ratio: expect.closeTo(6, 6) })
    expect(light(false)?.against[0]).toEqual({ said: 'in full', ratio: expect.closeTo(0.4 / 0.9, 6) })
    expect(light(true)?.for[1]?.said).toBe('you see it: pale')
  })

  it('learns from what was confirmed, visibly and slowly', () => {
    const before = diagnose(book, input)
    const after = diagnose(book, { ...input, confirmed: ['paper', 'paper', 'paper', 'paper', 'gone'] })
    const of = (ranked: readonly RankedCause[]) => ranked.find((one) => one.cause.id === 'paper')!
    expect(of(after).probability).toBeGreaterThan(of(before).probability)
    // (20 · 0.3 + 4) / 24 over 0.3; a confirmed cause that cannot be here does not count.
    expect(of(after).own).toEqual({ confirmed: 4, factor: expect.closeTo(10 / 24 / 0.3, 9) })
    expect(of(before).own.factor).toBeCloseTo(1, 9)
  })
})

describe('the next test', () => {
  const ranked = diagnose(book, input)

  it('is the one of greatest expected information, by brute force over every outcome', () => {
    const shares = fc.double({ min: 0.01, max: 0.99, noNaN: true })
    const some = fc.integer({ min: 2, max: 6 }).chain((n) =>
      fc.record({
        weights: fc.array(fc.double({ min: 0.05, max: 1, noNaN: true }), { minLength: n, maxLength: n }),
        tests: fc.array(fc.array(shares, { minLength: n, maxLength: n }), { minLength: 2, maxLength: 5 }),
      }),
    )
    fc.assert(
      fc.property(some, ({ weights, tests }) => {
        const causes = weights.map((weight, i) => cause(`c${i}`, weight))
        const small: FaultBook = {
          ...book,
          symptoms: [],
          facts: [],
          causes,
          tests: tests.map((cures, i) => ({
            id: `t${i}`, name: '', doing: '', effort: 1,
            cures: Object.fromEntries(cures.map((share, j) => [`c${j}`, share])),
          })),
        } // prettier-ignore
        const list = diagnose(small, { ...input, symptoms: [] })
        // Mutual information from the joint table of cause and outcome, the long way round.
        const bits = small.tests.map((test) => {
          let sum = 0
          for (const outcome of ['changed', 'same'] as const) {
            const p = list.map((one) => {
              const share = test.cures[one.cause.id]!
              return one.probability * (outcome === 'changed' ? share : 1 - share)
            })
            const marginal = p.reduce((a, b) => a + b, 0)
            for (const [i, joint] of p.entries())
              sum += joint * Math.log2(joint / (marginal * list[i]!.probability))
          }
          return sum
        })
        const [first] = rankTests(small, list, { traits: new Set() })
        // Where no test tells anything, none is proposed.
        if (!first) return expect(Math.max(...bits)).toBeLessThan(0.0101)
        expect(first?.bits).toBeGreaterThan(Math.max(...bits) - 1e-9)
        expect(first?.bits).toBeCloseTo(bits[small.tests.findIndex((test) => test.id === first?.test.id)]!, 6)
      }),
    )
  })

  it('among equals is the one of less effort', () => {
    const order = rankTests(book, ranked, { traits: new Set() }).map((one) => one.test.id)
    expect(order.indexOf('more')).toBeLessThan(order.indexOf('same-dear'))
  })

  it('moves the ranking the way it came out', () => {
    const [more] = book.tests
    expect(ids(afterTest(ranked, more!, 'changed'))[0]).toBe('light')
    expect(ids(afterTest(ranked, more!, 'same'))[0]).toBe('paper')
    const sum = afterTest(ranked, more!, 'same').reduce((all, one) => all + one.probability, 0)
    expect(sum).toBeCloseTo(1, 9)
  })

  it('tells nothing where nothing is open', () => {
    expect(entropy([1, 0])).toBeCloseTo(0, 12)
    expect(entropy([0.5, 0.5])).toBe(1)
    expect(expectedBits([{ probability: 1 }], [0.5])).toBeCloseTo(0, 12)
    expect(expectedBits([{ probability: 0.5 }, { probability: 0.5 }], [1, 0])).toBeCloseTo(1, 12)
  })
})

describe('what counts as evidence', () => {
  const grouped: FaultBook = {
    ...book,
    facts: [
      { id: 'less', yes: '', no: '', base: 0.1, group: 'amount' },
      { id: 'half', yes: '', no: '', base: 0.1, group: 'amount' },
    ],
    causes: [
      cause('thin', 1, { shows: { pale: 0.8 }, facts: { less: 0.6, half: 0.9 } }),
      cause('rest', 9, { shows: { pale: 0.8 } }),
    ],
  }
  const thin = (...known: string[]) =>
    diagnose(grouped, {
      ...input,
      observed: known.map((factId) => ({ factId, is: true, said: factId })),
    }).find((one) => one.cause.id === 'thin')!.probability

  it('is no fact twice: of two that say the same the stronger', () => {
    expect(thin('less', 'half')).toBeCloseTo(thin('half'), 12)
    expect(thin('half', 'less')).toBeCloseTo(thin('half'), 12)
    expect(thin('half')).toBeGreaterThan(thin('less'))
  })

  it('is a record before a look that its cause is not known for', () => {
    const proof: FaultBook = {
      ...book,
      facts: [{ id: 'chalk', yes: '', no: '', base: 0.1 }],
      causes: [
        cause('chalky', 1, { shows: { pale: 0.8 }, facts: { chalk: 0.92 } }),
        cause('other', 1, { shows: { pale: 0.8, veil: 0.9 } }),
      ],
    }
    const first = (isRecorded: boolean) =>
      diagnose(proof, {
        ...input,
        symptoms: ['pale', 'veil'],
        observed: [{ factId: 'chalk', is: true, said: 'chalk', isRecorded }],
      })[0]?.cause.id
    expect([first(true), first(false)]).toEqual(['chalky', 'other'])
  })
})

describe('the choice of a test', () => {
  const ranked = diagnose(book, input)
  const first = (known: Partial<Parameters<typeof rankTests>[2]>, of = book) =>
    rankTests(of, ranked, { traits: new Set(), ...known }).map(({ test }) => test.id)

  it('leaves out what was done already, and what cannot show the fault', () => {
    expect(first({})).toContain('more')
    expect(first({ done: ['more'] })).not.toContain('more')
    const blind = { ...book, tests: book.tests.map((test) => ({ ...test, shows: ['veil'] })) }
    expect(first({ symptoms: ['pale'] }, blind)).toEqual([])
    expect(first({ symptoms: ['veil'] }, blind)).toContain('more')
  })

  it('weighs what a test tells against its cost', () => {
    const order = first({})
    expect(order.indexOf('other')).toBeLessThan(order.indexOf('same-dear'))
  })

  it('names the two causes that it tells apart', () => {
    const [more] = rankTests(book, ranked, { traits: new Set() }).filter(({ test }) => test.id === 'more')
    expect(more?.separates?.map(({ id }) => id)).toEqual(['light', 'paper'])
  })
})
