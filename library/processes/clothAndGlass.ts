import type { ProcessDefinition, StepDefinition } from '@core/schema/definition'
import { cautions } from '../cautions'
import { DAY, drying, hanging, HOUR, memory, MINUTE, mixing, poured, spreading, starts } from './blocks'
import { classicCyanotype } from './classicCyanotype'

// Cyanotype on what is not paper: the chemistry, light and wash of the classic, with other hands.

const { choices, lights, steps, components, mixes, cautions: known, colours, secondLooks } = classicCyanotype
const step = (id: string): StepDefinition => {
  const found = steps.find((one) => one.id === id)
  if (!found) throw new Error(`the classic cyanotype has no step ${id}`)
  return found
}
const exposures = steps.filter(({ kind }) => kind === 'expose')
/** Peroxide gives the final blue on cloth and glass as well. */
const finish = ['peroxide', 'rinse'].map(step)

const shared = {
  version: 1,
  mark: 'prussian',
  kind: 'process',
  lighting: classicCyanotype.lighting,
  lights,
  choices: choices.filter(({ id }) => id !== 'toner'),
  baths: classicCyanotype.baths.filter(({ id }) => id === 'peroxide'),
  secondLooks,
} satisfies Partial<ProcessDefinition>

/** Cyanotype on cloth. */
export const cyanotypeOnCloth: ProcessDefinition = {
  ...shared,
  id: 'cyanotype-cloth',
  name: 'Cyanotype on cloth',
  summary:
    'The classic pair soaked into washed cotton, linen or silk, printed in the sun and washed without soap.',
  tools: ['brush', 'sponge'],
  chalk: {
    bears: true,
    why: 'Cloth has no chalk; what is left of washing powder does the same, so it is washed out first.',
  },
  components,
  mixes: mixes.map((mix) => ({
    ...mix,
    coverage: {
      millilitresPerM2: 150,
      standing: 'memory',
      source:
        'Light cotton takes up about its own weight, 150 ml on a square metre; from memory, cloths differ',
    },
  })),
  steps: [
    {
      ...mixing,
      id: 'scour',
      kind: 'act',
      mix: undefined,
      title: 'Wash the cloth first',
      meanwhile: 'being washed',
      doing: 'Wash it hot without softener, rinse until no foam is left, dry and iron it.',
      why: 'Finish and washing powder keep the solution off the fibres, and alkali bleaches the blue.',
      time: { ...starts('Once, before the day') },
      press: { start: 'Start washing', finish: 'Clean and flat' },
      habit: 'Natural fibres only: cotton, linen, hemp, silk. Polyester does not hold the blue.',
      endpoint: {
        good: 'A drop of water sinks in at once.',
        doubt: 'The drop stays on top: there is finish in it. Wash again.',
        swatch: [],
      },
    },
    {
      ...step('mix'),
      doing: 'Measure both into one glass, then stir.',
    },
    {
      ...spreading,
      cautions: ['iron'],
      doing: 'Lay the cloth on plastic and brush or sponge it in both directions until it is wet through.',
      why: 'Dry threads show as white specks. Pools print as dark clouds.',
      time: { mostSeconds: 10 * MINUTE, ...starts('Until it is wet through; ten minutes at most') },
      press: { start: 'Pour', finish: 'Wet through: hang to dry' },
      habit: 'Gloves: it stains skin and clothes. Pin it to a board so that it keeps its shape.',
      endpoint: {
        good: 'The same yellow-green on both sides, nothing drips.',
        doubt: 'Drips: press it between clean cloths.',
        swatch: [],
      },
    },
    {
      ...drying,
      doing: 'Dry it flat or hanging in the dark, away from warmth.',
      time: { leastSeconds: 1 * HOUR, ...starts('Dry through; an hour') },
      keeps: { mostSeconds: 2 * DAY, ...starts('Keeps a day or two in a dark bag') },
      endpoint: {
        good: 'Dry in the seams too.',
        doubt: 'Blue already: it saw light, or alkali was left in it.',
        swatch: ['#c9d17c', '#bcbf7e', '#b3b47e'],
      },
    },
    ...exposures.map((one) => ({
      ...one,
      habit: 'Keep the cloth flat under glass, or pinned to a board. Pin objects on it too.',
    })),
    {
      ...step('wash'),
      doing: 'Rinse in cool water, moving the cloth, until the water is clear. No soap.',
      time: { leastSeconds: 10 * MINUTE, ...starts('Until the water is clear; ten minutes') },
      habit:
        'Later washes: cool, with a mild soap without phosphate, soda or bleach. All three turn it yellow.',
      heavyPaper: undefined,
    },
    ...finish,
    {
      ...hanging,
      doing: 'Hang it out of the sun. Iron it from the back, without steam.',
      why: 'The blue deepens for a day. Alkali and strong sun fade it.',
      endpoint: { good: 'Dry in the seams.', doubt: 'Damp seams: leave it overnight.', swatch: [] },
    },
  ],
  cautions: known,
  colours,
}

/** Cyanotype in gelatin on glass. */
export const cyanotypeOnGlass: ProcessDefinition = {
  ...shared,
  id: 'cyanotype-glass',
  name: 'Cyanotype on glass',
  summary:
    'The classic pair in warm gelatin, poured on clean glass and set on a level plate. Wash it cold and still.',
  tools: ['rod'],
  chalk: { bears: true, why: 'Glass has no chalk.' },
  components: [
    ...components,
    {
      id: 'gelatin',
      name: 'Gelatin',
      letter: 'G',
      cautions: ['warmth'],
      stock: {
        solutes: [{ substanceId: 'gelatin', percentWv: 7 }],
        making: [
          'Swell 7 g of gelatin in 80 ml of cold water for twenty minutes.',
          'Melt it in a water bath at 45 °C, top up to 100 ml, strain.',
        ],
        keepsSeconds: 2 * DAY,
        ...memory,
      },
    },
  ],
  mixes: [
    {
      id: 'sensitizer',
      name: 'Sensitized gelatin',
      coverage: {
        ...poured,
        standing: 'memory',
        source: 'As much as a gelatin size, about 390 ml on a square metre; from memory',
      },
      parts: [
        { component: 'gelatin', parts: 2 },
        { component: 'iron', parts: 1 },
        { component: 'ferricyanide', parts: 1 },
      ],
    },
  ],
  steps: [
    {
      ...mixing,
      id: 'clean',
      kind: 'act',
      mix: undefined,
      title: 'Clean the glass',
      meanwhile: 'being cleaned',
      doing:
        'Grind the edges blunt. Clean with washing soda and water, rinse, dry upright; warm it to the hand.',
      why: 'Gelatin comes off where there is grease. A cold plate sets it in waves.',
      time: { ...starts('Just before') },
      press: { start: 'Start cleaning', finish: 'Water runs off in one sheet' },
      habit: 'Wear gloves: cut edges are sharp.',
      endpoint: {
        good: 'Water runs off in one even sheet.',
        doubt: 'It draws back into drops: clean again.',
        swatch: [],
      },
    },
    {
      ...step('mix'),
      doing: 'By dim light: measure the warm gelatin, stir in iron, then ferricyanide, without bubbles.',
      cautions: ['ferricyanide', 'iron', 'warmth'],
      habit: 'Keep it at 40 °C in a water bath. Stirred gently: bubbles stay in the plate.',
    },
    {
      ...spreading,
      perCoat: false,
      cautions: ['iron', 'warmth'],
      title: 'Pour the plate',
      doing: 'Pour a pool in the middle, tilt it to each corner, and drain the rest back into the glass.',
      why: 'It sets within minutes: a pour is even, a brush is not.',
      time: { mostSeconds: 3 * MINUTE, ...starts('Before it sets; three minutes') },
      press: { start: 'Pour', finish: 'Even: let it set' },
      habit: 'Work on a level, cool surface.',
      endpoint: {
        good: 'An even yellow-green, no bubbles.',
        doubt: 'Waves: too cold. Melt it off and pour again.',
        swatch: [],
      },
    },
    {
      ...drying,
      perCoat: false,
      doing: 'Let it set level for ten minutes, then dry it upright in the dark, without heat.',
      why: 'Warm air melts the gelatin.',
      time: { leastSeconds: 6 * HOUR, ...starts('Overnight; six hours at least') },
      keeps: { mostSeconds: 2 * DAY, ...starts('Keeps a day or two in the dark') },
      endpoint: {
        good: 'Hard: a nail at the edge leaves no mark.',
        doubt: 'Soft: leave it longer.',
        swatch: [],
      },
    },
    ...exposures.map((one) => ({
      ...one,
      habit:
        'A little pressure only: gelatin sticks to a negative that is not dry. Clear film between protects both.',
    })),
    {
      ...step('wash'),
      doing: 'Lay it face up in still, cold water. Change the water gently until it stays clear.',
      why: 'Swollen gelatin lifts from the glass in warm or running water.',
      time: { leastSeconds: 15 * MINUTE, ...starts('Several changes of cold water; fifteen minutes') },
      habit: 'Under 18 °C. Never touch the wet layer.',
      heavyPaper: undefined,
      endpoint: {
        good: 'Clear glass where no light fell.',
        doubt: 'Edges lift: colder water, and the glass was not clean.',
        swatch: ['#d9d68f', '#e6e8d8', '#eff0ea'],
      },
    },
    ...finish,
    { ...hanging, doing: 'Stand it upright on a rack, away from dust and warmth.' },
  ],
  cautions: [...known, cautions.warmth],
  colours,
}
