import type { ProcessDefinition, StepDefinition } from '@core/schema/definition'
import { classicCyanotype } from './classicCyanotype'
import { bath, DAY, drying, hanging, HOUR, MINUTE, practice, ROCKED, starts, WEEK } from './blocks'
import { serves } from './wetBaths'

const byId = (id: string): StepDefinition =>
  classicCyanotype.steps.find((step) => step.id === id) as StepDefinition

const SPARE =
  'Shrink the paper first, print each layer alone once, and make spare first layers: some are lost under the second.'
const REGISTER = 'Draw the register marks in pencil, outside the coat.'

/** Two colours from two coats on one sheet: the first toned brown in tannin, the second blue over it. */
export const twoLayerCyanotype: ProcessDefinition = {
  ...classicCyanotype,
  id: 'two-layer-cyanotype',
  version: 2,
  name: 'Cyanotype, two layers',
  summary:
    'A first layer, bleached and toned in tannin, then a second layer at half strength in register, with one negative per layer.',
  tools: ['brush', 'sponge'],
  choices: classicCyanotype.choices.filter((choice) => ['strengths', 'exposure'].includes(choice.id)),
  mixes: [
    {
      id: 'first',
      name: 'First layer',
      coats: 1,
      parts: [
        { component: 'iron', parts: 1 },
        { component: 'ferricyanide', parts: 1 },
      ],
    },
    {
      id: 'second',
      name: 'Second layer, at half strength',
      coats: 1,
      parts: [
        { component: 'iron-lean', parts: 1 },
        { component: 'ferricyanide-lean', parts: 1 },
        { component: 'water', parts: 2 },
      ],
    },
  ],
  components: [
    ...classicCyanotype.components,
    {
      id: 'iron-lean',
      name: 'Iron citrate for the second layer',
      letter: 'C',
      stock: {
        solutes: [{ substanceId: 'ferric-ammonium-citrate', percentWv: 10 }],
        making: ['Dissolve in about two thirds of the water, top up. Brown glass.'],
        keepsSeconds: 180 * DAY,
        ...practice,
      },
      cautions: ['iron'],
    },
    {
      id: 'ferricyanide-lean',
      name: 'Ferricyanide for the second layer',
      letter: 'D',
      stock: {
        solutes: [{ substanceId: 'potassium-ferricyanide', percentWv: 10 }],
        making: ['Dissolve in about two thirds of the water, top up. Brown glass, well away from acids.'],
        keepsSeconds: 365 * DAY,
        ...practice,
      },
      cautions: ['ferricyanide'],
    },
    {
      id: 'water',
      name: 'Distilled water',
      letter: 'W',
      stock: { solutes: [], making: ['As it comes.'], ...practice },
      cautions: [],
    },
  ],
  baths: [
    {
      id: 'carbonate',
      name: 'Weak carbonate',
      stock: {
        solutes: [{ substanceId: 'sodium-carbonate', percentWv: 0.5 }],
        making: ['Dissolve in cool water.', 'Fresh for the day.'],
        keepsSeconds: DAY,
        ...starts('Weak carbonate, common practice; 0.5 %'),
      },
      cautions: ['irritant'],
      use: serves(0.5),
    },
    {
      id: 'tannin',
      name: 'Tannic acid',
      stock: {
        solutes: [{ substanceId: 'tannic-acid', percentWv: 1 }],
        making: ['Stir into warm water until clear.', 'It moulds: a week at most.'],
        keepsSeconds: WEEK,
        ...starts('Tannic acid, common practice; 1 %'),
      },
      cautions: [],
      use: serves(0.5),
    },
  ],
  lights: classicCyanotype.lights.map((light) =>
    light.kind === 'lamp'
      ? {
          ...light,
          leastSeconds: 60 * MINUTE,
          mostSeconds: 70 * MINUTE,
          source:
            'About 65 min for the first layer and 60 for the second, 5 more or less, under one weak lamp; common practice',
          note: 'A weak lamp: about 65 minutes for the first layer, 60 for the second.',
        }
      : light,
  ),
  steps: [
    { ...byId('mix'), id: 'mix-first', mix: 'first', title: 'Count the first layer', habit: SPARE },
    { ...byId('spread'), id: 'spread-first', perCoat: false, title: 'Coat the first layer', habit: REGISTER },
    { ...byId('dry'), id: 'dry-first', perCoat: false },
    {
      ...byId('expose'),
      id: 'expose-first',
      title: 'Expose the first layer',
      habit: 'The negative for magenta and yellow together. Line up its marks with the marks on the sheet.',
      when: undefined,
    },
    { ...byId('wash'), id: 'wash-first', title: 'Wash the first layer' },
    {
      ...bath,
      id: 'bleach',
      title: 'Bleach the blue',
      meanwhile: 'bleaching',
      tray: 'carbonate',
      role: 'bleach',
      ...ROCKED,
      doing: 'Put the print in weak carbonate until the blue has turned pale yellow.',
      why: 'Carbonate breaks down the blue and leaves iron, which tannin turns brown.',
      time: { leastSeconds: 1 * MINUTE, ...starts('Until the blue has gone; a minute') },
      cautions: ['irritant'],
      press: { start: 'Start bleaching', finish: 'Pale yellow: rinse and tone' },
      endpoint: {
        good: 'Pale yellow all over.',
        doubt: 'Blue in the shadows: leave it longer.',
        swatch: ['#2a5580', '#7f97a0', '#b8b98f', '#d3cc95'],
      },
    },
    {
      ...bath,
      id: 'tone',
      title: 'Tone in tannin',
      meanwhile: 'toning in tannin',
      tray: 'tannin',
      role: 'tone',
      ...ROCKED,
      doing: 'Rinse, then tone in tannic acid until the brown stops deepening.',
      why: 'Tannin and iron form a brown: the first colour.',
      time: { leastSeconds: 5 * MINUTE, ...starts('Until it stops deepening; five minutes') },
      begins: 'press',
      press: { start: 'Start toning', finish: 'Brown enough: wash' },
      endpoint: {
        good: 'Warm brown, whites clean.',
        doubt: 'Tinted whites: wash longer now, and tone for less time next time.',
        swatch: ['#d3cc95', '#9a7b55', '#6b4c34', '#4c3527'],
      },
    },
    {
      ...bath,
      id: 'wash-toned',
      role: 'wash',
      title: 'Wash the tannin out',
      begins: 'atOnce',
      time: { leastSeconds: 10 * MINUTE, ...starts('Until it runs clear; ten minutes') },
    },
    {
      ...drying,
      id: 'dry-toned',
      perCoat: false,
      title: 'Dry completely',
      doing: 'Blot, then dry it flat: overnight for heavy paper.',
      why: 'Damp paper moves, and the second layer will not register.',
      time: { leastSeconds: 2 * HOUR, ...starts('Completely dry; two hours') },
      press: { start: 'Start drying', finish: 'Dry and flat' },
    },
    {
      ...byId('mix'),
      id: 'mix-second',
      mix: 'second',
      title: 'Count the second layer',
      doing: 'Count both and the water into one glass, then stir.',
      why: 'A 10 % + 10 % pair with its own volume of water: less citrate is what matters, and the blue covers the brown without hiding it.',
      habit: 'Glass, brush, blotter and fan are ready before the first drop falls on the sheet.',
    },
    {
      ...byId('spread'),
      id: 'spread-second',
      perCoat: false,
      title: 'Coat the second layer',
      doing: 'Coat quickly and evenly, so that the sheet is wet as briefly as possible.',
      why: 'The new coat reacts with the tannin of the first print: expect a greenish blue within seconds. A shorter wet time means less of this.',
      endpoint: {
        good: 'Even, turning greenish blue at once: that is expected.',
        doubt: 'Puddles: blot them off, or they stay as stains.',
        swatch: [],
      },
      time: { mostSeconds: 1 * MINUTE, ...starts('As briefly as possible; a minute') },
      press: { start: 'Pour', finish: 'Even: to the fan' },
    },
    {
      ...drying,
      id: 'fan',
      perCoat: false,
      kind: 'act',
      title: 'Force it dry with the fan',
      meanwhile: 'under the fan',
      doing: 'Use a cool fan over the whole sheet for 20 to 30 seconds.',
      why: 'Quick drying leaves the coat little time to react with the tannin below.',
      time: { mostSeconds: 30, ...practice },
      press: { start: 'Fan on', finish: 'Surface dry: into the dark' },
    },
    {
      ...drying,
      id: 'dry-second',
      perCoat: false,
      doing: 'Leave the sheet in the dark drawer until it is dull.',
      habit: 'A low fan and a dry room take the last damp out of it.',
      time: { leastSeconds: 10 * MINUTE, ...practice },
      keeps: {
        leastSeconds: 3 * HOUR,
        bestSeconds: 3.5 * HOUR,
        mostSeconds: 4 * HOUR,
        standing: 'practice',
        source: 'Left about 3 h and never over 4 h before exposure; common practice',
      },
    },
    {
      ...byId('expose'),
      id: 'expose-second',
      title: 'Expose the second layer',
      habit: 'Use the cyan negative and line up the marks.',
      share: 60 / 65,
      when: undefined,
    },
    { ...byId('wash'), id: 'wash-second', title: 'Wash the second layer' },
    hanging,
  ],
  cautions: classicCyanotype.cautions,
}
