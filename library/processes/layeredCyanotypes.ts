import type { ProcessDefinition, StepDefinition } from '@core/schema/definition'
import { cautions } from '../cautions'
import { classicCyanotype } from './classicCyanotype'
import {
  bath,
  DAY,
  drying,
  exposing,
  hanging,
  HOUR,
  MINUTE,
  mixing,
  practice,
  ROCKED,
  spreading,
  starts,
  WEEK,
} from './blocks'
import { serves } from './wetSteps'

const byId = (id: string): StepDefinition =>
  classicCyanotype.steps.find((step) => step.id === id) as StepDefinition

const REGISTER = 'Register marks stand clear of the coat, in pencil.'

/** Two colours from two coats on one sheet: the first toned brown in tannin, the second blue over it. */
export const twoLayerCyanotype: ProcessDefinition = {
  ...classicCyanotype,
  id: 'two-layer-cyanotype',
  version: 2,
  name: 'Cyanotype, two layers',
  summary:
    'A first layer, bleached and toned in tannin, then a second at half strength over it: one negative a layer, in register.',
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
    { ...byId('mix'), id: 'mix-first', mix: 'first', title: 'Count the first layer' },
    { ...byId('spread'), id: 'spread-first', perCoat: false, title: 'Coat the first layer', habit: REGISTER },
    { ...byId('dry'), id: 'dry-first', perCoat: false },
    {
      ...byId('expose'),
      id: 'expose-first',
      title: 'First layer in the frame',
      habit: 'The negative for magenta and yellow together. Its marks on the marks of the sheet.',
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
      doing: 'Into weak carbonate until the blue has gone to a pale yellow.',
      why: 'Carbonate takes the blue apart and leaves the iron, which tannin turns brown.',
      time: { leastSeconds: 1 * MINUTE, ...starts('Until the blue has gone; a minute') },
      cautions: ['irritant'],
      press: { start: 'Into the carbonate', finish: 'Pale yellow: rinse and tone' },
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
      doing: 'Rinse, then into tannic acid until the brown stops deepening.',
      why: 'Tannin and iron make the brown of ink: that is the first colour.',
      time: { leastSeconds: 5 * MINUTE, ...starts('Until it stops deepening; five minutes') },
      begins: 'press',
      press: { start: 'Into the tannin', finish: 'Brown enough: wash' },
      endpoint: {
        good: 'Warm brown, whites clean.',
        doubt: 'Whites tinted: shorter next time, wash longer now.',
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
      title: 'Dry it right through',
      doing: 'Blot, then dry it flat: overnight for heavy paper.',
      why: 'Damp paper moves, and the second layer will not register.',
      time: { leastSeconds: 2 * HOUR, ...starts('Dry through; two hours') },
      press: { start: 'Lay it to dry', finish: 'Dry and flat' },
    },
    {
      ...byId('mix'),
      id: 'mix-second',
      mix: 'second',
      title: 'Count the second layer',
      doing: 'Count both and the water into one glass, then stir.',
      why: 'A 10 % + 10 % pair with its own volume of water: less citrate is what matters, and the blue lies over the brown without burying it.',
    },
    {
      ...byId('spread'),
      id: 'spread-second',
      perCoat: false,
      title: 'Coat the second layer',
      doing: 'Quickly and evenly: keep it wet as briefly as possible.',
      why: 'The new coat reacts with the tannin of the first print: expect a greenish blue within seconds. The shorter it is wet, the less.',
      endpoint: {
        good: 'Even, turning greenish blue at once: that is expected.',
        doubt: 'Puddles: blot the surplus off, they stay as stains.',
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
      doing: 'A fan, cool, 20 to 30 seconds over the whole sheet.',
      why: 'Dried at once, the coat has little time to react with the tannin below it.',
      time: { mostSeconds: 30, ...practice },
      press: { start: 'Fan on', finish: 'Surface dry: into the dark' },
    },
    {
      ...drying,
      id: 'dry-second',
      perCoat: false,
      doing: 'Into the dark drawer until it is dull.',
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
      title: 'Second layer in the frame',
      habit: 'The cyan negative, marks on marks.',
      share: 60 / 65,
      when: undefined,
    },
    { ...byId('wash'), id: 'wash-second', title: 'Wash the second layer' },
    hanging,
  ],
  cautions: [...classicCyanotype.cautions, cautions.irritant],
}

/** Two prints from one exposure: a translucent sheet over a heavier one, both coated. */
export const translucentCyanotype: ProcessDefinition = {
  ...classicCyanotype,
  id: 'translucent-cyanotype',
  name: 'Cyanotype, translucent upper sheet',
  summary:
    'A thin hand-made sheet over a heavier one, both coated: one exposure, two prints, the lower filtered by the upper.',
  tools: ['brush'],
  choices: classicCyanotype.choices.filter((choice) =>
    ['strengths', 'exposure', 'finish'].includes(choice.id),
  ),
  mixes: [
    {
      id: 'sensitizer',
      name: 'For both sheets',
      coats: 2,
      parts: [
        { component: 'iron', parts: 1 },
        { component: 'ferricyanide', parts: 1 },
      ],
    },
  ],
  steps: [
    {
      ...mixing,
      doing: 'Count both into one small glass, then stir: it serves both sheets.',
      cautions: ['ferricyanide', 'iron'],
    },
    {
      ...spreading,
      id: 'spread-lower',
      perCoat: false,
      title: 'Coat the lower sheet',
      doing: 'Half of the glass on the heavy sheet, as always.',
      cautions: ['iron'],
    },
    {
      ...spreading,
      id: 'spread-upper',
      perCoat: false,
      title: 'Coat the thin sheet',
      doing: 'Clip it to a plastic support; brush lightly in one direction with the rest.',
      why: 'Wet, a translucent sheet tears at a touch: the plastic carries it.',
      cautions: ['iron'],
    },
    { ...byId('dry'), perCoat: false, doing: 'Both in the dark, the thin one on its plastic.' },
    {
      ...exposing,
      title: 'Both in the frame',
      doing: 'Negative, thin sheet, heavy sheet, in this order. Start when the cover comes off.',
      why: 'The upper sheet filters the lower: give the time the lower one needs.',
      looks: byId('expose').looks,
      endpoint: byId('expose').endpoint,
    },
    {
      ...byId('wash'),
      doing: 'The heavy sheet as always. The thin one on its plastic, rinsed by pouring gently.',
      habit: 'Pour beside the picture, not on it.',
    },
    byId('peroxide'),
    byId('rinse'),
    hanging,
  ],
}
