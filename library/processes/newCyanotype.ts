import type { ProcessDefinition } from '@core/schema/definition'
import { cautions } from '../cautions'
import {
  bath,
  DAY,
  dryLook,
  drying,
  exposing,
  hanging,
  HOUR,
  LIGHTING,
  memory,
  MINUTE,
  mixing,
  settledLook,
  spreading,
  starts,
  wetLook,
  YEAR,
} from './blocks'
import { subjectChoice, throughEither } from './photograms'
import { serves } from './wetBaths'

/** A quarter of the classic cyanotype's time or less; from memory. */
const QUARTER = {
  standing: 'memory',
  source: 'A quarter of the time of the classic cyanotype or less; from memory',
} as const

/** New cyanotype: ammonium ferric oxalate and ferricyanide in one bottle, first water acid. */
export const newCyanotype: ProcessDefinition = {
  id: 'new-cyanotype',
  version: 1,
  name: 'New cyanotype',
  summary:
    'One bottle of ammonium ferric oxalate and ferricyanide: four times as fast as the classic, with finer detail; its first water is acid.',
  mark: 'prussian',
  kind: 'process',
  tools: ['brush', 'rod'],
  lighting: LIGHTING,
  chalk: {
    bears: false,
    why: 'Chalk bleaches the blue and uses up the acid of the first bath: this process needs an unbuffered paper.',
  },
  components: [
    {
      id: 'sensitizer',
      name: 'New cyanotype sensitizer',
      letter: 'N',
      cautions: ['oxalate', 'ferricyanide'],
      stock: {
        solutes: [
          { substanceId: 'ammonium-ferric-oxalate', percentWv: 30 },
          { substanceId: 'potassium-ferricyanide', percentWv: 10 },
          { substanceId: 'polysorbate', percentWv: 0.2 },
        ],
        making: [
          'By dim tungsten light: dissolve 10 g of ferricyanide in 20 ml of hot water (about 70 °C) and keep it hot.',
          'Dissolve 30 g of ammonium ferric oxalate in 30 ml of water at about 45 °C; stir in the hot ferricyanide.',
          'Let it cool in the dark for an hour: green crystals of potassium ferric oxalate fall. Filter them off as iron waste.',
          'Top up to 100 ml, add 4 drops of wetting agent (0.1 to 0.25 %), filter into brown glass.',
        ],
        keepsSeconds: YEAR,
        ...memory,
      },
    },
  ],
  mixes: [{ id: 'sensitizer', name: 'Sensitizer', parts: [{ component: 'sensitizer', parts: 1 }] }],
  baths: [
    {
      id: 'acid-water',
      name: 'Weak citric acid',
      cautions: ['acid'],
      stock: {
        solutes: [{ substanceId: 'citric-acid', percentWv: 1.5 }],
        making: ['15 g of citric acid in a litre of water.'],
        keepsSeconds: DAY,
        standing: 'memory',
        source: '1 to 2 % citric acid, from memory; the app uses 1.5 %',
      },
      use: serves(0.5),
    },
  ],
  choices: [subjectChoice],
  lights: [
    {
      kind: 'sun',
      name: 'Sun',
      leastSeconds: 1 * MINUTE,
      mostSeconds: 5 * MINUTE,
      ...QUARTER,
      note: 'Strong sun: look after half a minute.',
    },
    {
      kind: 'uvBox',
      name: 'UV box',
      leastSeconds: 1 * MINUTE,
      mostSeconds: 2.5 * MINUTE,
      ...QUARTER,
      note: 'Too fast for a lamp that warms up: light it before you uncover the frame.',
    },
    {
      kind: 'lamp',
      name: 'Single lamp',
      leastSeconds: 5 * MINUTE,
      mostSeconds: 7.5 * MINUTE,
      ...QUARTER,
      note: 'Let it warm up first.',
    },
    {
      kind: 'tubes',
      name: 'Weak tube bank',
      leastSeconds: 15 * MINUTE,
      mostSeconds: 22 * MINUTE,
      ...QUARTER,
      note: 'Black-light tubes that have seen years of use.',
    },
  ],
  steps: [
    {
      ...mixing,
      doing: 'Count into a small dry glass. Leave the crystals at the bottom of the bottle.',
      why: 'One bottle, ready to use: nothing is mixed on the day.',
      cautions: ['oxalate', 'ferricyanide'],
      press: { start: 'Start', finish: 'Ready: start coating' },
      endpoint: {
        good: 'Clear, yellow-green.',
        doubt: 'Blue: it has seen light or metal. Green crystals: filter it again.',
        swatch: [],
      },
    },
    {
      ...spreading,
      cautions: ['oxalate'],
      doing: 'Pour along the edge and draw the rod across, or brush in crossed strokes..',
      habit: 'Thin and once: it carries more iron than the classic coat. Blot the last bead.',
      endpoint: {
        good: 'Even yellow, no bead along the far edge.',
        doubt: 'Blue on the brush: there is metal in it, or it held the classic sensitizer.',
        swatch: [],
      },
    },
    {
      ...drying,
      time: { leastSeconds: 15 * MINUTE, ...starts('Dry to the touch; fifteen minutes') },
      keeps: {
        bestSeconds: 4 * HOUR,
        mostSeconds: 1 * DAY,
        ...starts('Coated sheets keep less long than classic ones: print the same day'),
      },
      endpoint: {
        good: 'Dull yellow, and not cool to the back of the hand.',
        doubt: 'Green or blue: it is fogged, or the paper is alkaline.',
        swatch: ['#d6cf6a', '#cfc66a', '#c6bd68'],
      },
    },
    ...throughEither(
      {
        ...exposing,
        why: 'It prints out almost to its final depth, so the eye can follow it.',
        looks: [
          { share: 0.5, lookFor: 'Shadows have gone from yellow to green.' },
          { share: 0.75, lookFor: 'Shadows are blue, and the middle tones are green.' },
        ],
        endpoint: {
          good: 'Shadows deep blue and about to reverse; highlight detail just visible.',
          doubt: 'Still green: expose longer. Highlights already blue: finish now.',
          swatch: ['#c6bd68', '#8fae74', '#4f8a83', '#2f6685', '#4a6276'],
        },
      },
      {
        half: 'The bare coat around the objects has turned green.',
        most: 'The bare coat is blue.',
        done: 'Bare coat deep blue, about to turn grey.',
      },
    ),
    {
      ...bath,
      id: 'acid-water',
      title: 'First water, acid',
      meanwhile: 'in the first water',
      tray: 'acid-water',
      role: 'clear',
      early: 'Iron that was not dissolved out stains the whites.',
      doing: 'Slide it into the weak acid and rock the tray: yellow runs off, and the blue comes up.',
      why: 'The acid keeps iron from settling in the fibres, and keeps the blue from bleaching.',
      time: {
        leastSeconds: 2 * MINUTE,
        mostSeconds: 5 * MINUTE,
        standing: 'memory',
        source: 'A few minutes in 1 to 2 % citric acid, from memory; the app uses two to five',
      },
      isKept: 'cyanoferrate',
      cautions: ['acid', 'ferricyanide'],
      press: { start: 'Start acid bath', finish: 'No yellow runs off' },
      endpoint: {
        good: 'Whites clean, and no yellow runs off the corner.',
        doubt: 'Whites still yellow after five minutes: a fresh bath.',
        swatch: ['#c6d6a2', '#dbe2cc', '#eef0ea'],
      },
    },
    {
      ...bath,
      role: 'wash',
      early: 'Acid and iron left in the paper turn the whites and weaken the fibres.',
      doing: 'Wash in running water, no longer than it needs: alkaline water bleaches the blue.',
      why: 'Water takes out the acid and the last of the salts.',
      time: { leastSeconds: 15 * MINUTE, ...starts('Fifteen to twenty minutes') },
      late: {
        afterSeconds: 60 * MINUTE,
        means: 'An hour in alkaline tap water bleaches the highlights.',
        blames: 'hand',
      },
      cautions: ['ferricyanide'],
      press: { start: 'Start wash', finish: 'Washed' },
    },
    {
      ...hanging,
      why: 'Judge the print dry: it dries darker, and the blue deepens for a day.',
    },
  ],
  cautions: [cautions.oxalate, cautions.ferricyanide, cautions.acid, cautions.uv],
  secondLooks: [wetLook, dryLook, settledLook],
  colours: {
    wetCoat: '#d8d06c',
    dryCoat: '#cac067',
    exposed: '#3d6f84',
    wetPrint: '#2f6796',
    print: '#123a68',
  },
}
