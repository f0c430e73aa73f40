import type { ProcessDefinition } from '@core/schema/definition'
import { cautions } from '../cautions'
import { glyoxalDrying } from './glyoxal'
import {
  bath,
  drying,
  exposing,
  hanging,
  HOUR,
  LIGHTING,
  looks,
  MINUTE,
  mixing,
  practice,
  spreading,
  starts,
  WEEK,
  YEAR,
} from './blocks'

const dichromate = (percentWv: number) => ({
  dichromate: [{ substanceId: 'ammonium-dichromate', percentWv }],
})

/** Glyoxal hardens slowly, and what is left of it yellows the paper. */
const glyoxalSteps = glyoxalDrying({ station: 'coat', place: 'line' })

/** Gum over: a pigment layer in dichromated gum on a finished, toned print. */
export const gumOver: ProcessDefinition = {
  id: 'gum-over',
  version: 2,
  name: 'Gum over a finished print',
  summary:
    'Pigment in gum with dichromate over a finished, toned print: more depth or another colour, in register.',
  mark: 'plum',
  kind: 'process',
  components: [
    {
      id: 'gum',
      name: 'Gum with pigment',
      letter: 'A',
      cautions: [],
      stock: {
        solutes: [
          { substanceId: 'gum-arabic', percentWv: 30 },
          { substanceId: 'watercolour-pigment', percentWv: 4 },
        ],
        making: ['Gum in cold water, overnight, strained.', 'Rub the pigment into a little gum first.'],
        ripensSeconds: 12 * HOUR,
        keepsSeconds: 2 * WEEK,
        ...starts('Pigment in gum arabic; 30 % gum'),
      },
    },
    {
      id: 'dichromate',
      name: 'Dichromate',
      letter: 'B',
      cautions: ['dichromate'],
      stock: {
        solutes: [{ substanceId: 'ammonium-dichromate', percentWv: 20 }],
        making: ['Gloves before the jar opens. In warm water, labelled as poison.'],
        keepsSeconds: YEAR,
        ...practice,
      },
    },
    {
      id: 'size',
      name: 'Gelatin size',
      letter: 'G',
      cautions: ['warmth'],
      stock: {
        solutes: [{ substanceId: 'gelatin', percentWv: 20 }],
        making: [
          '40 g of gelatin swollen, then in 200 ml of warm water.',
          'Hardener goes in at the last moment: about 1 drop to 5 ml.',
        ],
        keepsSeconds: 2 * 86_400,
        ...practice,
      },
    },
  ],
  mixes: [
    { id: 'size', name: 'Gelatin size', coats: 1, parts: [{ component: 'size', parts: 1 }] },
    {
      id: 'sensitizer',
      name: 'Gum and dichromate',
      parts: [
        { component: 'gum', parts: 1 },
        { component: 'dichromate', parts: 1 },
      ],
    },
  ],
  baths: [],
  tools: ['brush', 'rod'],
  lighting: LIGHTING,
  chalk: { bears: true, why: 'It lies on a finished print.' },
  choices: [
    {
      id: 'strength',
      name: 'Dichromate',
      startsWith: 'd20',
      options: [
        {
          id: 'd20',
          name: '20 %',
          reason: 'Middling contrast. Started with because the first layer wants to be seen.',
          standing: 'practice',
          stocks: dichromate(20),
        },
        { id: 'd30', name: '30 %', reason: 'Soft.', standing: 'practice', stocks: dichromate(30) },
        { id: 'd8', name: '8 %', reason: 'Harder.', standing: 'practice', stocks: dichromate(8) },
        { id: 'd4', name: '4 %', reason: 'Hardest.', standing: 'practice', stocks: dichromate(4) },
      ],
    },
    {
      id: 'hardener',
      name: 'Hardener of the size',
      startsWith: 'glyoxal',
      options: [
        {
          id: 'glyoxal',
          name: 'Glyoxal',
          reason:
            'Hardens over hours and is rinsed out, or the paper yellows. Started with because the other may cause cancer.',
          standing: 'practice',
        },
        {
          id: 'formaldehyde',
          name: 'Formaldehyde',
          reason: 'Hard in twenty minutes; under fume extraction or not at all.',
          standing: 'practice',
        },
      ],
    },
    {
      id: 'sizing',
      name: 'Print sized',
      startsWith: 'size',
      options: [
        {
          id: 'size',
          name: 'Now',
          reason: 'Pigment stains a bare print. Started with because most papers need it.',
          standing: 'practice',
        },
        { id: 'already', name: 'Before', reason: 'Sized and dry in the drawer.', standing: 'practice' },
      ],
    },
  ],
  lights: [
    {
      kind: 'uvBox',
      name: 'UV box',
      leastSeconds: 90,
      mostSeconds: 4 * MINUTE,
      standing: 'practice',
      source: 'About a quarter of the palladium time, common practice',
      note: 'A quarter of the palladium time; halve it when the colour is too heavy.',
    },
    {
      kind: 'sun',
      name: 'Sun',
      leastSeconds: 1 * MINUTE,
      mostSeconds: 5 * MINUTE,
      ...starts('About a quarter of the palladium time'),
      note: 'A quarter of the palladium time.',
    },
  ],
  steps: [
    {
      ...mixing,
      id: 'mix-size',
      mix: 'size',
      title: 'Measure the size',
      doing: 'Warm, into a warm glass; the hardener last, about 1 drop to 5 ml.',
      why: 'Gelatin keeps pigment out of the fibres.',
      cautions: ['warmth', 'glyoxal', 'formaldehyde'],
      press: { start: 'Begin', finish: 'In the glass: draw it' },
      when: [{ choice: 'sizing', is: ['size'] }],
    },
    {
      ...spreading,
      id: 'size',
      perCoat: false,
      title: 'Size the print',
      doing: 'One rod pass and back.',
      why: 'Gelatin keeps pigment out of the fibres.',
      cautions: ['warmth', 'glyoxal', 'formaldehyde'],
      press: { start: 'Pour', finish: 'Even: dry it' },
      when: [{ choice: 'sizing', is: ['size'] }],
    },
    {
      ...drying,
      id: 'dry-size',
      perCoat: false,
      place: 'line',
      title: 'Dry the size',
      meanwhile: 'sized, drying',
      doing: 'Flat, about twenty minutes.',
      why: 'Gum over damp size lifts it.',
      time: { leastSeconds: 20 * MINUTE, ...practice },
      press: { start: 'Lay it to dry', finish: 'Dry' },
      when: [
        { choice: 'sizing', is: ['size'] },
        { choice: 'hardener', is: ['formaldehyde'] },
      ],
    },
    ...glyoxalSteps.map((step) => ({
      ...step,
      when: [
        { choice: 'sizing', is: ['size'] },
        { choice: 'hardener', is: ['glyoxal'] },
      ],
    })),
    {
      ...mixing,
      title: 'Mix gum and dichromate',
      doing: 'Gloves on. Equal parts, stirred without bubbles.',
      why: 'Dichromate makes the gum harden where light falls; its strength sets the contrast.',
      cautions: ['dichromate'],
      press: { start: 'Begin', finish: 'Stirred: coat it' },
    },
    {
      ...spreading,
      doing: 'Mask the border, brush thinly, even it out with a dry brush.',
      cautions: ['dichromate'],
      habit: 'The base print should be toned: re-wetting lightens and mottles one that is not.',
    },
    {
      ...drying,
      doing: 'In the dark, cool air.',
      time: { leastSeconds: 10 * MINUTE, ...starts('Dry; ten minutes') },
      keeps: {
        bestSeconds: 1 * HOUR,
        mostSeconds: 6 * HOUR,
        ...starts('Gum hardens by itself; print within the hour'),
      },
    },
    {
      ...exposing,
      title: 'Back in register, in the frame',
      doing: 'Marks on marks, then start when the cover comes off.',
      why: 'Gum hardens where the light comes through. Nothing shows through the back of the frame: the time decides.',
      habit: undefined,
      endpoint: {
        good: 'The time is up. The picture only shows in the water.',
        doubt: 'Opened to look: the register is lost, and there was nothing to see.',
        swatch: [],
      },
      looks: [],
      cautions: ['uv', 'dichromate'],
    },
    {
      ...bath,
      id: 'first-water',
      title: 'First tray, kept apart',
      meanwhile: 'in the first water',
      doing: 'Face down into lukewarm water, no bubbles, until the yellow runs out.',
      why: 'This tray holds the dichromate: it is collected, never poured away.',
      time: { leastSeconds: 20, mostSeconds: 30, ...practice },
      isKept: 'chromium',
      early: 'Dichromate goes on into the next tray, which then is waste too.',
      cautions: ['dichromate'],
      press: { start: 'Face down', finish: 'Yellow out: next tray' },
      endpoint: {
        good: 'Yellow gone from the margin.',
        doubt: 'Yellow still: once more, into the same jar.',
        swatch: ['#d99a3a', '#e6cf9a', '#efeadb'],
      },
    },
    {
      ...bath,
      id: 'float',
      title: 'Float until clear',
      meanwhile: 'floating',
      doing: 'Face down in lukewarm water; let it hang there.',
      why: 'Soft gum drops off by itself; rubbing takes the picture.',
      time: { leastSeconds: 15 * MINUTE, ...starts('Until clear; a quarter of an hour') },
      begins: 'atOnce',
      press: { start: 'Face down', finish: 'Clear' },
      endpoint: {
        good: 'Highlights clear, nothing running.',
        doubt: 'Colour too heavy: halve the exposure next time.',
        swatch: [],
      },
    },
    hanging,
  ],
  cautions: [cautions.dichromate, cautions.warmth, cautions.glyoxal, cautions.formaldehyde, cautions.uv],
  secondLooks: looks,
  colours: {
    wetCoat: '#a5743a',
    dryCoat: '#98693a',
    exposed: '#7a5535',
    wetPrint: '#5c4a4a',
    print: '#4a3d40',
  },
}
