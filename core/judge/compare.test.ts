import { differencesOf, type EffectBook } from './compare'
import { type FactKind, type ThreadFact } from './threadFacts'
import { trendsOf } from './trends'
import type { LightEntry } from '../schema/light'
import { uuid } from '../fixtures/logs'

const weights = (by: 'word' | 'ratio' | 'step', weight: number) => ({ by, weight })
const book = {
  weights: new Proxy({} as EffectBook['weights'], {
    get: (_, kind: FactKind) =>
      ({ exposure: weights('ratio', 10), coats: weights('step', 4), fix: weights('ratio', 2) })[
        kind as 'fix'
      ] ?? weights('word', 5),
  }),
  standing: 'practice',
  source: '',
} as EffectBook
const fact = (kind: FactKind, value: number | string, of = ''): ThreadFact => ({
  kind,
  of,
  name: kind,
  value,
  said: `${value}`,
})

describe('differences of threads', () => {
  it('stand in the order of likely effect: a stop before another paper before a longer fixing', () => {
    const one = [fact('exposure', 480), fact('paper', 'rag'), fact('fix', 240, 'fix/1')]
    const other = [fact('fix', 480, 'fix/1'), fact('paper', 'laid'), fact('exposure', 960)]
    expect(differencesOf([one, other], book).map((each) => [each.kind, each.effect, each.change])).toEqual([
      ['exposure', 10, '2 times as much'],
      ['paper', 5, ''],
      ['fix', 2, '2 times as much'],
    ])
  })

  it('leave out what is the same to the hand, and say by how much the rest differs', () => {
    expect(differencesOf([[fact('exposure', 480)], [fact('exposure', 490)]], book)).toEqual([])
    const [more] = differencesOf([[fact('exposure', 480)], [fact('exposure', 533)]], book)
    expect(more?.change).toBe('11 % more')
    const [less] = differencesOf([[fact('coats', 2)], [fact('coats', 1)]], book)
    expect([less?.change, less?.effect]).toEqual(['1 less', 4])
  })

  it('name a step that only one of them had, but not what nobody wrote down', () => {
    const found = differencesOf([[fact('tone', 300, 'tone/1')], [fact('paper', 'rag')]], book)
    expect(found.map((one) => [one.kind, one.said])).toEqual([['tone', ['300', null]]])
  })

  it('hold for three prints as for two, and do not depend on their order but for the words', () => {
    const threads = [480, 600, 960].map((value) => [fact('exposure', value)])
    const [all] = differencesOf(threads, book)
    expect(all?.said).toEqual(['480', '600', '960'])
    const [back] = differencesOf([...threads].reverse(), book)
    expect(back?.effect).toBeCloseTo(all!.effect, 9)
    expect([all?.change, back?.change]).toEqual(['2 times as much', '50 % less'])
  })
})

describe('trends', () => {
  const read = (n: number, milliwattsPerCm2: number): LightEntry => ({
    id: uuid(n),
    lightId: uuid(4),
    at: n * 86_400_000,
    what: { type: 'read', milliwattsPerCm2, by: 'typed' },
    note: '',
  })
  const of = (values: number[], takenBack = -1) =>
    trendsOf({
      prints: [],
      bases: [],
      calibrations: [],
      lightEntries: values.map((value, i) => ({
        ...read(i + 1, value),
        ...(i === takenBack && { takenBackAt: 1 }),
      })),
    })

  it('show a lamp that dims before it is out of its limits', () => {
    const steady = [5, 5.05, 4.95, 5, 5.05, 4.95, 5, 5]
    expect(of(steady)[0]?.chart?.signals).toEqual([])
    const dimming = [...steady, 4.98, 4.96, 4.94, 4.92, 4.9, 4.88]
    expect(of(dimming)[0]?.chart?.signals.map((one) => one.sign)).toContain('drift')
  })

  it('leave out what was taken back, and single readings', () => {
    expect(of([5, 9, 5], 1)[0]?.points.map((one) => one.value)).toEqual([5, 5])
    expect(of([5])).toEqual([])
    expect(of([5, 5.1])[0]?.chart).toBeNull()
  })
})
