import type { ContrastMeans } from '@core/tone/contrast'

const memory = { standing: 'memory' } as const

/**
 * Exposure scales by what is added to the coat or the developer, all recalled and none looked up: papers, negatives and
 * lamps move them by two tenths and more, so one's own tablets come first.
 */
export const contrastMeans: readonly ContrastMeans[] = [
  {
    id: 'platinate',
    processId: 'platinum-palladium',
    name: 'Sodium platinate, 5 %',
    unit: 'drops',
    per: 'to 24 drops of the coat, palladium',
    rungs: [
      { amount: 0, scale: 2.1 },
      { amount: 1, scale: 1.8 },
      { amount: 2, scale: 1.6 },
      { amount: 4, scale: 1.35 },
      { amount: 6, scale: 1.2 },
    ],
    isWhole: true,
    costs: 'Costs speed, and grain from four drops on.',
    cautions: ['platinum'],
    plan: { mix: 'sensitizer', choices: { metal: 'palladium', contrast: 'platinate' }, part: 'contrast' },
    ...memory,
    source: 'Palladium with drops of 5 % sodium hexachloroplatinate; from memory',
  },
  {
    id: 'chlorate',
    processId: 'platinum-palladium',
    name: 'Oxalate with chlorate',
    unit: 'parts',
    per: 'of 12 parts of oxalate',
    rungs: [
      { amount: 0, scale: 1.9 },
      { amount: 4, scale: 1.65 },
      { amount: 8, scale: 1.45 },
      { amount: 12, scale: 1.3 },
    ],
    isWhole: true,
    costs: 'Costs grain, more the more of it.',
    cautions: ['oxidiser', 'oxalate'],
    plan: {
      mix: 'sensitizer',
      choices: { contrast: 'chlorate' },
      part: 'oxalate-chlorate',
      takesFrom: 'oxalate',
    },
    ...memory,
    source: 'Ferric oxalate with 0.6 % chlorate in place of the plain one; from memory',
  },
  {
    id: 'dichromate-developer',
    processId: 'kallitype',
    name: 'Dichromate in the developer, 4 %',
    unit: 'drops',
    per: 'to 100 ml of citrate developer',
    rungs: [
      { amount: 0, scale: 1.6 },
      { amount: 2, scale: 1.45 },
      { amount: 6, scale: 1.25 },
      { amount: 12, scale: 1.1 },
    ],
    isWhole: true,
    costs: 'The developer is poisonous from then on: gloves, tongs, and the chromium jar.',
    cautions: ['dichromate'],
    ...memory,
    source: 'Kallitype with potassium dichromate in the developer; from memory',
  },
]

/** What moves contrast and has no sound figure: in words. */
export const otherMeans: Readonly<Record<string, readonly string[]>> = {
  'platinum-palladium': ['A second coat deepens blacks and lengthens the scale a little.'],
  'salted-paper': [
    'Tissue over the frame, or open shade, prints harder; direct sun prints softer: common practice for papers that print out.',
  ],
  'classic-cyanotype': ['A second coat deepens blues. Peroxide changes depth, not scale.'],
  'palladium-printing-out': ['The lithium salt prints much shorter than the ammonium salt.'],
  gum: ['Less dichromate (4 %) prints hardest, more (30 %) softest.'],
}
