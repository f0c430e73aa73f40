import type { ProcessDefinition, StepDefinition } from '@core/schema/definition'
import { cautions } from '../cautions'
import { bath, DAY, finalWash, hanging, LIGHTING, looks, memory, MINUTE, practice, starts } from './blocks'
import { gumChoices, gumComponents, gumLights, gumMixes, gumSteps } from './gumParts'
import { serves } from './wetBaths'

const pigment = (percentWv: number) => ({
  gum: [
    { substanceId: 'gum-arabic', percentWv: 30 },
    { substanceId: 'watercolour-pigment', percentWv },
  ],
})

const ownChoices: ProcessDefinition['choices'] = [
  {
    id: 'load',
    name: 'Pigment in the gum',
    startsWith: 'middle',
    options: [
      {
        id: 'light',
        name: 'Light',
        reason: 'Half as much: clean highlights, and many layers to a deep black.',
        standing: 'practice',
        stocks: pigment(2),
      },
      {
        id: 'middle',
        name: 'Middle',
        reason: 'About two layers to a full tone. Default because it seldom stains a sized paper.',
        standing: 'practice',
        stocks: pigment(4),
      },
      {
        id: 'heavy',
        name: 'Heavy',
        reason: 'Deep in one layer, hard, and the first to flake and to stain: test it first.',
        standing: 'practice',
        stocks: pigment(8),
      },
    ],
  },
  {
    id: 'pigment',
    name: 'Pigment',
    startsWith: 'black',
    options: [
      {
        id: 'black',
        name: 'Black',
        reason: 'Fast, and hard in one layer. Default because one colour is enough at first.',
        standing: 'practice',
      },
      {
        id: 'earth',
        name: 'Earth',
        reason: 'Umber and sienna: soft and slow to stain. A colour over a toned print.',
        standing: 'practice',
      },
      {
        id: 'yellow',
        name: 'Yellow',
        reason:
          'The slowest: it holds back the light that hardens it. Laid first of three, from the blue separation.',
        standing: 'practice',
      },
      {
        id: 'red',
        name: 'Red',
        reason: 'Second of three, from the green separation. Some reds stain: test first.',
        standing: 'practice',
      },
      {
        id: 'blue',
        name: 'Blue',
        reason: 'Third of three, from the red separation. Its layer sets the outlines.',
        standing: 'practice',
      },
    ],
  },
  {
    id: 'stain',
    name: 'Stain test',
    startsWith: 'test',
    options: [
      {
        id: 'test',
        name: 'First',
        reason: 'Ten minutes that save a sheet. Default for a new paper, pigment or size.',
        standing: 'practice',
      },
      {
        id: 'known',
        name: 'Not needed',
        reason: 'This pigment has washed off this paper before.',
        standing: 'practice',
      },
    ],
  },
  {
    id: 'clearing',
    name: 'Dichromate stain',
    startsWith: 'leave',
    options: [
      {
        id: 'leave',
        name: 'Left, or washed out',
        reason: 'A long float takes most of it. Default because the next layer covers the rest.',
        standing: 'practice',
      },
      {
        id: 'bisulfite',
        name: 'Cleared in bisulfite',
        reason: 'After the last layer: takes the tan stain out of whites and light colours.',
        standing: 'practice',
      },
    ],
  },
]

const stainTest: StepDefinition = {
  id: 'stain-test',
  station: 'coat',
  place: 'bench',
  kind: 'act',
  title: 'Test for stain',
  meanwhile: 'being tested',
  doing:
    'Brush a strip of the pigmented gum, without dichromate, on a corner or an offcut. Let it dry, then float it in water.',
  why: 'Pigment that stays where there is no dichromate stains every highlight.',
  time: { ...practice },
  cautions: [],
  begins: 'press',
  press: { start: 'Start test', finish: 'It comes off clean' },
  endpoint: {
    good: 'The strip comes off within ten minutes and leaves white paper.',
    doubt: 'A tint stays: more size, less pigment, or another pigment.',
    swatch: ['#8d7c78', '#c9c1b6', '#efeadb'],
  },
  when: [{ choice: 'stain', is: ['test'] }],
}

const clearing: StepDefinition[] = [
  {
    ...bath,
    id: 'bisulfite',
    title: 'Clear in bisulfite',
    meanwhile: 'in the bisulfite',
    tray: 'bisulfite',
    role: 'clear',
    early: 'The tan of the dichromate stays in the whites.',
    doing: 'Slide the dry print in face up, without touching it, until the tan is gone. Ventilate.',
    why: 'Bisulfite turns what is left of the dichromate into a colourless salt that washes out.',
    time: {
      leastSeconds: 2 * MINUTE,
      mostSeconds: 10 * MINUTE,
      ...starts('Until the tan is gone; two to ten minutes'),
    },
    cautions: ['metabisulfite'],
    press: { start: 'Start clearing', finish: 'The tan is gone' },
    endpoint: {
      good: 'Whites are the white of the paper.',
      doubt: 'Pigment lifts: the gum was soft. Dry each layer well before this bath.',
      swatch: ['#e0cfa4', '#ece4cc', '#f1ede2'],
    },
    when: [{ choice: 'clearing', is: ['bisulfite'] }],
  },
  {
    ...finalWash,
    doing: 'Gently, in still water changed three times: running water lifts soft gum.',
    why: 'Bisulfite left in the paper weakens it.',
    time: { leastSeconds: 20 * MINUTE, ...starts('Three changes in twenty minutes') },
    when: [{ choice: 'clearing', is: ['bisulfite'] }],
  },
]

/** The shared steps, in the words of bare paper. */
const onBarePaper = (step: StepDefinition): StepDefinition => {
  if (step.id === 'size') return { ...step, title: 'Size the paper' }
  if (step.id !== 'spread') return step
  return {
    ...step,
    doing:
      'Mask the border, brush a thin coat, and even it with a second, dry brush or a foam roller until it no longer shines wet.',
    habit: 'Thin: a thick coat flakes in the water. Stop while the brush still glides.',
  }
}
const steps = gumSteps.map(onBarePaper)
const atMix = steps.findIndex(({ id }) => id === 'mix')

/** Gum on bare, sized paper: one layer, or several in register, each a layer of the same sheet. */
export const gum: ProcessDefinition = {
  id: 'gum',
  version: 1,
  name: 'Gum on sized paper',
  summary:
    'Pigment in gum with dichromate on sized paper. Further layers, or three colours from separations, are laid over it in register, each with its own base exposure.',
  mark: 'plum',
  kind: 'process',
  components: gumComponents,
  mixes: gumMixes,
  baths: [
    {
      id: 'bisulfite',
      name: 'Bisulfite',
      cautions: ['metabisulfite'],
      stock: {
        solutes: [{ substanceId: 'sodium-metabisulfite', percentWv: 3 }],
        making: ['30 g of metabisulfite in a litre of water. Ventilate.'],
        keepsSeconds: DAY,
        ...memory,
      },
      use: serves(1),
      when: [{ choice: 'clearing', is: ['bisulfite'] }],
    },
  ],
  tools: ['brush', 'rod'],
  lighting: LIGHTING,
  chalk: {
    bears: true,
    why: 'Chalk does the gum no harm; the size keeps pigment out of the fibres. Shrink the paper before you size it.',
  },
  choices: [
    ...gumChoices.map((choice) => (choice.id === 'sizing' ? { ...choice, name: 'Paper sized' } : choice)),
    ...ownChoices,
  ],
  lights: gumLights.map((range) => ({
    ...range,
    note: 'Each pigment has its own base exposure: yellow is slowest, black and red are fast. Make a strip for each.',
  })),
  steps: [...steps.toSpliced(atMix, 0, stainTest), ...clearing, hanging],
  cautions: [
    cautions.dichromate,
    cautions.warmth,
    cautions.glyoxal,
    cautions.formaldehyde,
    cautions.metabisulfite,
    cautions.uv,
  ],
  secondLooks: looks,
  colours: {
    wetCoat: '#a5743a',
    dryCoat: '#98693a',
    exposed: '#7a5535',
    wetPrint: '#5c4a4a',
    print: '#4a3d40',
  },
}
