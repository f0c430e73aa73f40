import type { ProcessDefinition } from '@core/schema/definition'
import { cautions } from '../cautions'
import {
  bath,
  DAY,
  drying,
  finalWash,
  hanging,
  looks,
  memory,
  MINUTE,
  mixing,
  practice,
  printingOut,
  printingOutLooks,
  ROCKED,
  SILVER_LIGHTING,
  spreading,
  starts,
  WET_SPOT,
  YEAR,
  deeper,
} from './blocks'
import { fixAgain, madeUp } from './wetSteps'
import { fixingChoice } from './wetBaths'
import { tonedAfter, tonedBefore, tonerChoice } from './toners'
import { subjectChoice, throughEither } from './photograms'
import { vanDykeBaths } from './vanDykeBaths'

/** Whether the first water is soured, where the tap is alkaline. */
const firstWaterChoice: ProcessDefinition['choices'][number] = {
  id: 'firstWater',
  name: 'First water',
  startsWith: 'plain',
  options: [
    {
      id: 'plain',
      name: 'Plain',
      reason: 'Enough where tap water is neutral. Default because it needs nothing.',
      standing: 'practice',
    },
    {
      id: 'acid',
      name: 'With a little citric acid',
      reason: 'Where tap water is alkaline (above pH 7.5): it keeps iron from staining the whites.',
      standing: 'memory',
    },
  ],
}

/** Van Dyke brown: iron citrate and silver in one bottle, partly printing out, fixed in weak plain hypo. */
export const vanDyke: ProcessDefinition = {
  id: 'van-dyke',
  version: 2,
  name: 'Van Dyke brown',
  summary:
    'Iron, acid and silver in one bottle, ready to brush. Prints out partly; fixed in weak plain hypo.',
  mark: 'umber',
  kind: 'process',
  components: [
    {
      id: 'sensitizer',
      name: 'Van Dyke sensitizer',
      letter: 'V',
      stock: {
        solutes: [
          { substanceId: 'ferric-ammonium-citrate', percentWv: 9 },
          { substanceId: 'tartaric-acid', percentWv: 1.5 },
          { substanceId: 'silver-nitrate', percentWv: 3.8 },
        ],
        making: [
          'Dissolve each in a third of the water, in three glasses.',
          'Mix iron and acid, then stir the silver in last.',
          'Brown glass. Let it rest a day or two before the first coat.',
        ],
        ripensSeconds: 2 * DAY,
        keepsSeconds: YEAR / 2,
        ...memory,
      },
      cautions: ['silver', 'iron'],
    },
  ],
  mixes: [{ id: 'sensitizer', name: 'Sensitizer', parts: [{ component: 'sensitizer', parts: 1 }] }],
  baths: vanDykeBaths,
  ...deeper(
    -0.25,
    'Dries about 25 % darker',
    'The print darkens in the fixer and again as it dries: stop at about three quarters of the final depth.',
  ),
  tools: ['brush', 'rod'],
  lighting: SILVER_LIGHTING,
  film: WET_SPOT,
  chalk: {
    bears: false,
    why: 'Chalk turns the iron rusty and the whites yellow; a buffered paper prints weak.',
  },
  choices: [
    subjectChoice,
    firstWaterChoice,
    tonerChoice('none', 'it is the usual Van Dyke brown'),
    fixingChoice,
  ],
  lights: [
    {
      kind: 'sun',
      name: 'Sun',
      leastSeconds: 2 * MINUTE,
      mostSeconds: 8 * MINUTE,
      ...starts('Strong sun is much stronger than old tubes'),
      note: 'Strong sun: look early.',
    },
    {
      kind: 'uvBox',
      name: 'UV box',
      leastSeconds: 4 * MINUTE,
      mostSeconds: 10 * MINUTE,
      ...starts('A fresh box prints faster than old tubes'),
      note: 'Inspect through the split back.',
    },
    {
      kind: 'tubes',
      name: 'Weak tube bank',
      leastSeconds: 12 * MINUTE,
      mostSeconds: 18 * MINUTE,
      standing: 'practice',
      source: 'About 15 min under ageing black-light tubes, common practice',
      note: 'About 15 minutes under ageing tubes.',
    },
  ],
  steps: [
    {
      ...mixing,
      title: 'Count the drops',
      doing: 'Count into a small glass. Keep metal away.',
      why: 'One bottle, ready to use.',
      cautions: ['silver'],
      press: { start: 'Start', finish: 'Ready: start coating' },
    },
    {
      ...spreading,
      cautions: ['silver'],
      habit: 'Wet the brush with distilled water and blot it. Tap water leaves iron in the hairs.',
    },
    {
      ...drying,
      doing: 'Dry in cool, moving air in the dark, never hot.',
      why: `${WET_SPOT} Heat fogs it.`,
      time: { leastSeconds: 20 * MINUTE, ...starts('Bone dry; twenty minutes') },
      keeps: { bestSeconds: 4 * 3600, mostSeconds: 1 * DAY, ...starts('Print the same day') },
    },
    ...throughEither(
      {
        ...printingOut,
        doing:
          'Inspect through the split back. It prints out partly: stop while the print is lighter than you want it.',
        looks: printingOutLooks('tan to brown', 'lighter'),
        endpoint: {
          good: 'Shadows are at about three quarters of the final depth: fixer and drying darken them.',
          doubt:
            'Grey, weak brown: an old lamp or buffered paper. Already as dark as you want: the print will dry too dark.',
          swatch: ['#d9cda2', '#b99f72', '#9b7f55', '#7d6040'],
        },
      },
      {
        half: 'The bare coat around the objects has turned tan.',
        most: 'The bare coat is brown.',
        done: 'Bare coat lighter than the ground you want: fixer and drying darken it.',
      },
    ),
    {
      ...bath,
      id: 'acid-water',
      title: 'First water, acid',
      meanwhile: 'in the first water',
      tray: 'acid-water',
      doing: 'Rock it in the weak acid until no yellow runs, a minute or two.',
      why: 'Alkaline tap water fixes iron in the fibres: whites turn yellow for good.',
      time: { leastSeconds: 1 * MINUTE, ...starts('As the first plain water; a minute') },
      isKept: 'silver',
      cautions: ['acid', 'silver'],
      press: { start: 'Start acid bath', finish: 'No yellow: water' },
      habit: 'This bath holds silver: it goes into the silver jar.',
      when: [{ choice: 'firstWater', is: ['acid'] }],
    },
    {
      ...bath,
      id: 'water',
      title: 'Clear in water',
      meanwhile: 'in the first water',
      doing: 'Water for a minute, then one or two changes, until no yellow runs.',
      time: { leastSeconds: 1 * MINUTE, ...practice },
      isKept: 'silver',
      habit: 'This water holds silver: it goes into the silver jar, as with every silver paper.',
      cautions: ['silver'],
      press: { start: 'Start wash', finish: 'No yellow: fix it' },
    },
    ...tonedBefore.map((step) =>
      step.role === 'tone'
        ? {
            ...step,
            doing:
              'Rock in both directions, to the colour you want: a toned print is bleached less by the hypo.',
          }
        : step,
    ),
    {
      ...bath,
      id: 'fix',
      title: 'Fix in weak hypo',
      meanwhile: 'in the fixer',
      tray: 'hypo',
      role: 'fix',
      ...ROCKED,
      early: 'Silver that light did not change is still in the paper: the print will darken and stain.',
      late: {
        afterSeconds: 6 * MINUTE,
        means: 'Much longer than three minutes in hypo: look whether the highlights have bleached.',
        blames: 'hand',
      },
      doing: 'Rock it in weak plain hypo. It darkens: that is right.',
      why: 'Hypo takes out the silver that light did not change.',
      time: { leastSeconds: 2 * MINUTE, mostSeconds: 3 * MINUTE, ...practice },
      cautions: ['thiosulfate'],
      begins: 'press',
      ifShort: { lengthens: 'fix-2', ...madeUp },
      press: { start: 'Start fixing', finish: 'Fixed: wash' },
      endpoint: {
        good: 'Deep brown, whites clean.',
        doubt: 'Bleaching: the fixer is too strong, or the print under-exposed.',
        swatch: ['#9b6a44', '#6d452c', '#4a2f20'],
      },
    },
    fixAgain,
    ...tonedAfter,
    {
      ...finalWash,
      heavyPaper: { fromGramsPerM2: 200, leastSeconds: 30 * MINUTE, ...practice },
      time: {
        leastSeconds: 5 * MINUTE,
        standing: 'practice',
        source: '30 min for heavy rag, 5 min gently for thin sheets that tear; common practice',
      },
      doing: 'Thin sheets gently, on plastic: they tear.',
    },
    {
      ...hanging,
      why: 'It dries about a quarter darker: wet, it should be at about four fifths of the wanted depth.',
    },
  ],
  cautions: [
    cautions.silver,
    cautions.iron,
    cautions.acid,
    cautions.noble,
    cautions.platinum,
    cautions.thiocyanate,
    cautions.reproductive,
    cautions.selenium,
    cautions.thiosulfate,
    cautions.uv,
  ],
  secondLooks: looks,
  colours: {
    wetCoat: '#c7b168',
    dryCoat: '#b8a765',
    exposed: '#8a6a45',
    wetPrint: '#6d452c',
    print: '#46301f',
  },
}
