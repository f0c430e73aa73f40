import type { ProcessDefinition } from '../schema/definition'
import type { Substance } from '../schema/substance'
import { lotsFor, type Lot } from '../chemistry/lots'
import { sheet } from '../fixtures/workroom'
import { schoolStocks, startingChoices } from './plan'

const holding = (substanceId: string, percentWv: number) => [{ substanceId, percentWv }]
const component = (id: string, name: string, letter: string, substanceId: string, percentWv: number) => ({
  id,
  name,
  letter,
  cautions: [],
  stock: { solutes: holding(substanceId, percentWv), making: [], standing: 'practice' as const, source: 's' },
})

/** A process with just enough in it to plan by; the library's own is tested there. */
export const definition: ProcessDefinition = {
  id: 'toy',
  version: 3,
  name: 'Toy process',
  summary: 'For tests.',
  mark: 'umber',
  kind: 'process',
  components: [
    component('silver', 'Silver', 'A', 'silver-nitrate', 12),
    component('acid', 'Acid', 'B', 'citric-acid', 6),
  ],
  mixes: [
    {
      id: 'sensitizer',
      name: 'Sensitizer',
      parts: [
        { component: 'silver', parts: 2 },
        { component: 'acid', parts: 1 },
      ],
    },
  ],
  baths: [],
  chalk: { bears: true, why: 'w' },
  tools: ['brush'],
  choices: [
    {
      id: 'strength',
      name: 'Strength',
      startsWith: 'strong',
      options: [
        { id: 'strong', name: 'Strong', reason: 'r', standing: 'practice' },
        {
          id: 'weak',
          name: 'Weak',
          reason: 'r',
          standing: 'practice',
          stocks: { silver: holding('silver-nitrate', 6), acid: holding('citric-acid', 3) },
        },
      ],
    },
    {
      id: 'lean',
      name: 'Lean',
      startsWith: 'middle',
      options: [
        { id: 'middle', name: 'Middle', reason: 'r', standing: 'practice', exposeTo: 'middle' },
        { id: 'long', name: 'Long', reason: 'r', standing: 'practice', exposeTo: 'upperEnd' },
      ],
    },
  ],
  lights: [
    {
      kind: 'lamp',
      name: 'Lamp',
      leastSeconds: 100,
      mostSeconds: 400,
      standing: 'practice',
      source: 's',
      note: 'n',
    },
  ],
  steps: [
    step('mix', 'count', { mix: 'sensitizer' }),
    step('spread', 'act', { perCoat: true, begins: 'atOnce' }),
    step('dry', 'wait', {
      perCoat: true,
      begins: 'atOnce',
      time: range(600),
      keeps: { mostSeconds: 7200, standing: 'practice', source: 's' },
    }),
    step('expose', 'expose'),
    step('expose-again', 'expose', { share: 0.25, when: [{ choice: 'lean', is: ['long'] }] }),
    step('fix', 'bath', {
      time: range(120, 240),
      heavyPaper: { fromGramsPerM2: 250, leastSeconds: 300, standing: 'yours', source: 'heavy' },
    }),
    step('tone', 'bath', { when: [{ choice: 'strength', is: ['weak'] }] }),
    step('hang', 'hang'),
  ],
  cautions: [],
  secondLooks: [{ id: 'dry', title: 't', dueAfterSeconds: 10, lookFor: 'l', why: 'w' }],
  colours: {},
}

function step(
  id: string,
  kind: ProcessDefinition['steps'][number]['kind'],
  more: Partial<ProcessDefinition['steps'][number]> = {},
): ProcessDefinition['steps'][number] {
  return {
    id,
    kind,
    station: 'coat',
    place: 'bench',
    title: id,
    meanwhile: id,
    doing: id,
    why: id,
    cautions: [],
    begins: 'press',
    press: { start: 's', finish: 'f' },
    ...more,
  }
}

function range(leastSeconds: number, mostSeconds?: number) {
  return { leastSeconds, ...(mostSeconds && { mostSeconds }), standing: 'practice' as const, source: 'table' }
}

const substance = (id: string, name: string, formula: string): Substance => ({
  id,
  name,
  synonyms: [],
  forms: [{ id: 'anhydrous', name: 'anhydrous', formula }],
  state: 'solid',
  purityPercent: 100,
  hazard: { statements: [], standing: 'memory', source: 's' },
  reacts: [],
  waste: 'plain',
  storage: 'Dry.',
})
const book = {
  'silver-nitrate': substance('silver-nitrate', 'silver nitrate', 'AgNO3'),
  'citric-acid': substance('citric-acid', 'citric acid', 'C6H8O7'),
}
export const start = startingChoices(definition)
export const input = { ...sheet, choices: start, parts: { sensitizer: [2, 1] } }
export const mix = definition.mixes[0]!
/** Lots of a workroom without bottles: what the school says. */
export const lotsOf = (choices: Record<string, string>): Record<string, Lot[]> =>
  Object.fromEntries(
    Object.entries(schoolStocks(definition, choices)).map(([id, stock]) => [
      id,
      lotsFor(id, stock, [], new Map(), book),
    ]),
  )
export const lots = lotsOf(start)
