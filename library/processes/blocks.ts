import type { ProcessDefinition, StepDefinition } from '@core/schema/definition'

/** Pieces that many processes share. A process spreads one and changes what is its own. */

export const MINUTE = 60
export const HOUR = 60 * MINUTE
export const DAY = 24 * HOUR
export const WEEK = 7 * DAY
export const YEAR = 365 * DAY

export const practice = { standing: 'practice', source: 'Common practice' } as const
export const memory = {
  standing: 'memory',
  source: 'From memory of the literature, not checked',
} as const

/** A value this app starts from inside what common practice says in words. */
export const starts = (words: string) =>
  ({ standing: 'practice', source: `${words}; a value within common practice` }) as const

/** How much gelatin size a square metre takes. */
export const poured = {
  millilitresPerM2: 390,
  standing: 'practice',
  source: 'About 20 ml are poured on 8 × 10 in and drawn out with a rod; common practice',
} as const

export const mixing: StepDefinition = {
  id: 'mix',
  station: 'coat',
  place: 'bench',
  kind: 'count',
  mix: 'sensitizer',
  title: 'Count the drops',
  meanwhile: 'mixing',
  doing: 'Count all into one small glass, in this order, then swirl.',
  why: 'Mix just before use, and only what you need now.',
  cautions: [],
  begins: 'press',
  press: { start: 'Start', finish: 'Mixed: start coating' },
  habit: 'Use one dropper per bottle. Work by dim tungsten or warm light, away from daylight and bare tubes.',
  endpoint: {
    good: 'The mix is clear and has the right colour.',
    doubt: 'Cloudy, or sediment on the bottom: mix again.',
    swatch: [],
  },
}

export const spreading: StepDefinition = {
  id: 'spread',
  station: 'coat',
  place: 'bench',
  kind: 'act',
  perCoat: true,
  title: 'Coat the sheet',
  meanwhile: 'being coated',
  doing: 'Pour along the middle, spread with crossed strokes, and stop before the paper pills.',
  why: 'The coat sinks in as you work. Past two minutes the brush lifts fibres and leaves streaks.',
  time: {
    mostSeconds: 2 * MINUTE,
    standing: 'practice',
    source: 'A coat is spread in a minute or two, common practice; the app uses two',
  },
  cautions: [],
  begins: 'atOnce',
  press: { start: 'Pour', finish: 'Even: dry in the dark' },
  habit: 'Leave a border of about 20 mm uncoated to hold the sheet.',
  endpoint: {
    good: 'The surface shines evenly. Hold it against the dim lamp to check.',
    doubt: 'Watch for puddles, pilling and two colours. Leave hairs: they brush off when dry.',
    swatch: [],
  },
}

export const drying: StepDefinition = {
  id: 'dry',
  station: 'coat',
  place: 'dark',
  kind: 'wait',
  perCoat: true,
  title: 'Dry in the dark',
  meanwhile: 'drying in the dark',
  doing: 'Leave the sheet flat in the dark until it no longer feels cool to the back of the hand.',
  why: 'A damp coat sticks to the negative and spoils it.',
  time: { leastSeconds: 15 * MINUTE, ...practice },
  cautions: [],
  begins: 'atOnce',
  press: { start: 'Start drying', finish: 'Dry: dull, not cool' },
  habit:
    'Wash the brush in distilled water now, and keep one brush for each metal. Trim the coated sheet a little smaller than the frame. What is not printed now goes into a light-proof bag inside a dry box.',
  endpoint: {
    good: 'The coat is dull and not cool to the back of the hand.',
    doubt: 'Shiny or cool: the negative will stick.',
    swatch: [],
  },
}

/** A sheet on or in the tray of a solution before it is exposed. */
export const laying = {
  station: 'coat',
  place: 'bench',
  kind: 'wait',
  perCoat: false,
  begins: 'press',
  endpoint: {
    good: 'The sheet is flat, and its edges no longer curl.',
    doubt: 'Bubbles under it: lift a corner and lower it again.',
    swatch: [],
  },
} as const satisfies Partial<StepDefinition>

export const exposing: StepDefinition = {
  id: 'expose',
  station: 'light',
  place: 'light',
  kind: 'expose',
  title: 'Expose',
  meanwhile: 'exposing',
  doing: 'Cover the frame while you carry it. Start the clock when you uncover it.',
  why: 'Light changes the coat where it falls. The rest is removed later.',
  looks: [],
  cautions: ['uv'],
  begins: 'press',
  press: { start: 'Uncover and start', finish: 'Finish exposure' },
  habit:
    'Put the negative’s printed side on the coat, hinged with small tapes off the picture, and press evenly over the whole sheet. Open only half of the back to check, so that the register stays.',
  endpoint: {
    good: 'The time is up: shadows deep, highlights as this process needs them.',
    doubt: 'Less visible than last time: the lamp has dimmed, or the coat is too dry.',
    swatch: [],
  },
}

/**
 * When to look at a print that shows itself.
 *
 * @param margin colour in which the overbrushed margin darkens first.
 * @param depth whether the whole is printed `deeper` than wanted, or `lighter` because it darkens afterwards.
 */
export function printingOutLooks(
  margin: string,
  depth: 'deeper' | 'lighter',
): NonNullable<StepDefinition['looks']> {
  return [
    { share: 0.35, lookFor: `The overbrushed margin turns ${margin} first: check from now on.` },
    { share: 0.7, lookFor: 'Shadows are clear, and highlight detail is starting to show.' },
    {
      share: 0.9,
      lookFor:
        depth === 'deeper'
          ? 'Highlight detail is visible, and the whole print is darker than you want.'
          : 'Shadows are at about three quarters of the final depth; the print darkens later.',
    },
  ]
}

/** A print that shows itself while it is printed: the eye ends it, the clock says when to look. Silver papers start here. */
export const printingOut: StepDefinition = {
  ...exposing,
  looks: printingOutLooks('red-brown', 'deeper'),
  lookEvery: {
    leastSeconds: 5 * MINUTE,
    mostSeconds: 10 * MINUTE,
    standing: 'practice',
    source: 'Common practice under a lamp; in strong sun every minute or two',
  },
  endpoint: {
    good: 'Margin red-brown, highlight detail just visible, the whole print clearly darker than you want: the baths lighten it.',
    doubt:
      'Grey instead of red-brown: contamination, uneven salt or too much salt. Nothing after half the time: dim lamp or thin coat.',
    swatch: ['#e4dfcf', '#c9b9a3', '#9a7f6a', '#6d5142', '#4a352b'],
  },
}

/** Rocked every half minute, two ways. */
export const ROCKED = {
  rock: { everySeconds: 30, ...starts('Rock now and then in both directions, every half minute') },
} as const

export const bath: StepDefinition = {
  id: 'wash',
  station: 'wet',
  place: 'water',
  kind: 'bath',
  title: 'Wash',
  meanwhile: 'washing',
  doing: 'Put the print in clean running water until the water is clear.',
  why: 'Water removes what the light did not change.',
  time: { leastSeconds: 5 * MINUTE, ...practice },
  cautions: [],
  begins: 'press',
  press: { start: 'Start wash', finish: 'Washed' },
  endpoint: {
    good: 'No more colour runs off the corner.',
    doubt: 'Colour or milk still running: change the water.',
    swatch: [],
  },
}

export const finalWash: StepDefinition = {
  ...bath,
  id: 'final-wash',
  role: 'wash',
  title: 'Final wash',
  meanwhile: 'in the final wash',
  rock: { everySeconds: 5 * MINUTE, ...starts('Turn sheets over every five minutes') },
  early: 'Residues in the fibres fade or yellow the print within months.',
  doing: 'Use running water, keep sheets apart, and turn them over now and then.',
  why: 'Fixer or acid left in the fibres fades the print within months.',
  time: { leastSeconds: 30 * MINUTE, ...practice },
  begins: 'atOnce',
  press: { start: 'Start wash', finish: 'Washed out' },
}

export const hanging: StepDefinition = {
  id: 'hang',
  station: 'line',
  place: 'line',
  kind: 'hang',
  title: 'Hang to dry',
  meanwhile: 'drying',
  doing:
    'Drain by a corner, blot between clean towels, and hang prints so that they do not touch, their faces away from the lamps.',
  why: 'Judge prints only when dry: they dry darker.',
  time: { leastSeconds: 1 * HOUR, standing: 'practice', source: 'Heavy paper overnight; common practice' },
  cautions: [],
  begins: 'atOnce',
  press: { start: 'Hang it', finish: 'It is dry' },
  endpoint: { good: 'Flat, and not cool to the cheek.', doubt: 'Cool: leave it overnight.', swatch: [] },
}

export const chlorineWash: StepDefinition = {
  ...bath,
  role: 'wash',
  title: 'First wash, to no milk',
  meanwhile: 'in the first wash',
  early: 'Free silver carried into the toner or fixer mottles the print.',
  doing: 'Use tap water in a dark tray, and change it until it stays clear.',
  why: 'Chlorine in tap water, or a pinch of salt, turns free silver milky and removes it. No milkiness may reach the toner.',
  isKept: 'silver',
  cautions: ['silver'],
  press: { start: 'Start first wash', finish: 'Water is clear' },
  habit:
    'A dark tray shows milkiness. Collect the first waters in the silver jar. Salted prints go muddy brown here and come back in the hypo.',
  endpoint: {
    good: 'Milk, then clear.',
    doubt: 'Still milky: change the water again.',
    swatch: ['#d7d3cc', '#e3e1dc', '#eeede9'],
  },
}

type Look = ProcessDefinition['secondLooks'][number]

export const wetLook: Look = {
  id: 'wet',
  title: 'Wet check',
  dueAfterSeconds: 0,
  lookFor: 'Are the whites clean? Is anything missing? Depth cannot be judged yet.',
  why: 'Compare wet and dry checks to learn the dry-down of this paper.',
}

export const dryLook: Look = {
  id: 'dry',
  title: 'Dry check',
  dueAfterSeconds: 1 * DAY,
  lookFor: 'Compare shadows, highlights and whites with your last good print in the same light.',
  why: 'The print has dried down. This is the first check that counts.',
}

export const settledLook: Look = {
  id: 'settled',
  title: 'Two-week check',
  dueAfterSeconds: 14 * DAY,
  lookFor: 'Has the colour settled? Have whites changed, or edges stained?',
  why: 'A wash or clearing that was too short shows by now.',
}

export const looks: Look[] = [wetLook, dryLook, settledLook]

/** How much deeper to print than what is wanted dry. Common practice has it in words; the stops are where this app starts. */
export const deeper = (stops: number, words: string, why: string) => ({
  deeper: { stops, ...starts(words), why },
})

export const LIGHTING = 'Dim tungsten or warm light. No daylight, no bare tubes.'
export const SILVER_LIGHTING = 'Dim tungsten or amber light: bare silver darkens under anything bluer.'
/** 0.05 mm is 2 mil. */
export const FILM =
  'A clear film no thicker than 0.05 mm between negative and coat: vapour attacks film, and thicker softens the picture.'
export const WET_SPOT =
  'The coat must be completely dry, or it ruins the negative. For a valuable negative, put clear film between.'
