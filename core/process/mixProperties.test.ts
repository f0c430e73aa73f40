import fc from 'fast-check'
import type { Lot } from '../chemistry/lots'
import { sheet } from '../fixtures/workroom'
import type { ProcessDefinition } from '../schema/definition'
import { drawsOf, planMix } from './mixPlan'
import { copyProcess, readProcessFile, writeProcessFile } from './processFile'
import { unknownProcess } from './unknownProcess'

const component = (id: string) => ({
  id,
  name: id,
  letter: 'A',
  cautions: [],
  stock: {
    solutes: [{ substanceId: 'silver-nitrate', percentWv: 10 }],
    making: [],
    standing: 'practice' as const,
    source: 's',
  },
})
const ids = ['one', 'two', 'three']
const definition: ProcessDefinition = {
  ...unknownProcess('toy'),
  components: ids.map(component),
  mixes: [{ id: 'mix', name: 'Mix', parts: ids.map((id) => ({ component: id, parts: 1 })) }],
  steps: [
    { id: 'count', station: 'coat', place: 'bench', kind: 'count', mix: 'mix', title: 't', meanwhile: 'm', doing: 'd', why: 'w', cautions: [], begins: 'press', press: { start: 's', finish: 'f' } },
  ],
} // prettier-ignore

const amount = fc.double({ min: 0.5, max: 40, noNaN: true })
const lots = fc.array(
  fc.record({ percent: amount, left: fc.option(fc.double({ min: 0, max: 3, noNaN: true }), { nil: null }) }),
  { minLength: 1, maxLength: 3 },
)

describe('any mix', () => {
  it('draws as much as is counted, and is as strong as what was poured', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 60 }), { minLength: 3, maxLength: 3 }),
        fc.tuple(lots, lots, lots),
        fc.integer({ min: 10, max: 40 }),
        (drops, shelves, dropsPerMillilitre) => {
          const from = Object.fromEntries(
            ids.map((id, i) => [
              id,
              shelves[i]!.map(({ percent, left }, n): Lot => ({
                name: `${id} ${n}`,
                bottleId: `${id}-${n}`,
                leftMillilitres: left,
                solutes: [{ substanceId: 'silver-nitrate', name: 's', percentWv: percent, formula: 'AgNO3' }],
              })),
            ]),
          )
          const input = { ...sheet, choices: {}, parts: {}, dropsPerMillilitre }
          const plan = planMix(definition, definition.mixes[0]!, input, from, drops)
          const total = drops.reduce((sum, one) => sum + one, 0) / dropsPerMillilitre
          const drawn = drawsOf(plan.pours)
          expect(drawn.reduce((sum, one) => sum + one.millilitres, 0)).toBeCloseTo(total, 6)
          const grams = plan.pours
            .flatMap((pour) => pour.from)
            .reduce((sum, { lot, millilitres }) => sum + (millilitres * lot.solutes[0]!.percentWv) / 100, 0)
          expect(((plan.mixture[0]?.strength.value ?? 0) * total) / 100).toBeCloseTo(grams, 6)
          // The silver itself: 107.87 of 169.87 (CIAAW abridged weights, from memory).
          expect((plan.metals[0]?.mass.value ?? 0) / ((1000 * grams * 107.87) / 169.87)).toBeCloseTo(1, 4)
        },
      ),
      { numRuns: 80 },
    )
  })
})

describe('any process file', () => {
  const known = new Set(['silver-nitrate'])

  it('comes back as it went out, under any name', () => {
    fc.assert(
      fc.property(fc.string({ minLength: 1, maxLength: 60 }), (name) => {
        const copy = copyProcess(definition, name, new Set(['toy']))
        expect(readProcessFile(writeProcessFile(copy), known)).toEqual(copy)
        expect(copy.id).toMatch(/^[a-z][A-Za-z0-9-]{0,39}$/)
      }),
    )
  })

  it('is read or refused, whatever was done to it: nothing else comes of it', () => {
    const paths: (string | number)[][] = []
    const walk = (value: unknown, path: (string | number)[]): void => {
      if (path.length) paths.push(path)
      if (typeof value === 'object' && value !== null)
        for (const [key, inner] of Object.entries(value))
          walk(inner, [...path, Array.isArray(value) ? Number(key) : key])
    }
    walk(JSON.parse(writeProcessFile(definition)), [])
    fc.assert(
      fc.property(
        fc.constantFrom(...paths),
        fc.constantFrom(undefined, null, -1, '', [], {}, 'x'),
        (path, spoilt) => {
          const file = JSON.parse(writeProcessFile(definition))
          const last = path.at(-1)!
          const holder = path.slice(0, -1).reduce((inner, key) => inner[key], file)
          holder[last] = spoilt
          try {
            readProcessFile(JSON.stringify(file), known)
          } catch (error) {
            expect(error).toMatchObject({
              name: 'CoreError',
              code: expect.stringMatching(/^(wrong-process|not-a-process)$/),
            })
          }
        },
      ),
      { numRuns: 300 },
    )
  })
})
