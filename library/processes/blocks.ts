import type { ProcessDefinition, StepDefinition } from '@core/schema/definition'

/** Pieces that many processes share. A process spreads one and changes what is its own. */

export const MINUTE = 60
export const HOUR = 60 * MINUTE
export const DAY = 24 * HOUR
export const WEEK = 7 * DAY
export const YEAR = 365 * DAY

export const practice = { standing: 'practice', source: 'Common practice of the trade' } as const
export const memory = {
  standing: 'memory',
  source: 'Recalled from the trade’s literature, not looked up',
} as const

/** A value this app starts from inside what common practice says in words. */
export const starts = (words: string) =>
  ({ standing: 'practice', source: `${words}; where this app starts within common practice` }) as const

export const mixing: StepDefinition = {
  id: 'mix',
  station: 'coat',
  place: 'bench',
  kind: 'count',
  mix: 'sensitizer',
  title: 'Count the drops',
  meanwhile: 'mixing',
  doing: 'Count each into one small glass, in this order, then swirl.',
  why: 'Mixed at the last moment, it is as fresh as it can be. Mix what the work in hand needs.',
  cautions: [],
  begins: 'press',
  press: { start: 'Begin', finish: 'Stirred: start the coat' },
  habit: 'Never put one dropper into two bottles. Dim tungsten or warm light; no daylight, no bare tube.',
  endpoint: {
    good: 'Clear, of its right colour, every drop in.',
    doubt: 'Cloudy, or something on the bottom: mix it afresh.',
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
  doing: 'Pour along the middle, spread with crossing strokes, stop before the paper pills.',
  why: 'The coat sinks in as you work. Past two minutes the brush lifts fibres and leaves streaks.',
  time: {
    mostSeconds: 2 * MINUTE,
    standing: 'practice',
    source: 'A coat is spread in a minute or two, common practice; two is where this app starts',
  },
  cautions: [],
  begins: 'atOnce',
  press: { start: 'Pour', finish: 'Even: lay it in the dark' },
  habit: 'Leave a bare border of about 20 mm to hold the sheet by.',
  endpoint: {
    good: 'The shine even all over. Hold it against the dim lamp to see.',
    doubt: 'Puddles, pilling, two colours. Leave hairs: they brush off dry.',
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
  doing: 'Lay it flat in the dark until the back of the hand feels no cool.',
  why: 'A damp coat sticks to the negative and spoils it.',
  time: { leastSeconds: 15 * MINUTE, ...practice },
  cautions: [],
  begins: 'atOnce',
  press: { start: 'Lay it in the dark', finish: 'Dull, not cool: it is dry' },
  habit: 'Trim a coated sheet a little smaller than the frame.',
  endpoint: {
    good: 'Dull, and not cool to the back of the hand.',
    doubt: 'Shine, or cool: the negative will stick.',
    swatch: [],
  },
}

export const exposing: StepDefinition = {
  id: 'expose',
  station: 'light',
  place: 'light',
  kind: 'expose',
  title: 'In the frame',
  meanwhile: 'exposing',
  doing: 'Cover the frame while carrying it; start when the cover comes off, not before.',
  why: 'Light reduces the metal where it falls. What it has not changed is taken out afterwards.',
  looks: [],
  cautions: ['uv'],
  begins: 'press',
  press: { start: 'Cover off: start', finish: 'Take it out' },
  habit: 'Negative emulsion to the coat. Look through half the back only, so that the register stays.',
  endpoint: {
    good: 'The time is up; shadows deep, highlights as the process wants them.',
    doubt: 'A look through the back shows less than last time: the lamp is dim, or the coat too dry.',
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
    { share: 0.35, lookFor: `The overbrushed margin turns ${margin} first: look from now on.` },
    { share: 0.7, lookFor: 'Shadows stand out; highlight detail begins.' },
    {
      share: 0.9,
      lookFor:
        depth === 'deeper'
          ? 'Highlight detail is there, and all of the print is darker than wanted.'
          : 'Shadows at about three quarters of the wanted depth; the print darkens afterwards.',
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
    good: 'Margin red-brown, highlight detail just showing, the whole clearly darker than wanted: the baths take some back.',
    doubt:
      'Grey instead of red-brown: contamination, uneven salt or too much salt. Nothing after half the time: a dim lamp or a thin coat.',
    swatch: ['#e4dfcf', '#c9b9a3', '#9a7f6a', '#6d5142', '#4a352b'],
  },
}

/** Rocked every half minute, two ways. */
export const ROCKED = {
  rock: { everySeconds: 30, ...starts('Rocked now and then, two ways; every half minute') },
} as const

export const bath: StepDefinition = {
  id: 'wash',
  station: 'wet',
  place: 'water',
  kind: 'bath',
  title: 'Wash',
  meanwhile: 'washing',
  doing: 'Into clean running water; change it until it runs clear.',
  why: 'Water carries off what the light did not change.',
  time: { leastSeconds: 5 * MINUTE, ...practice },
  cautions: [],
  begins: 'press',
  press: { start: 'Into the water', finish: 'Washed' },
  endpoint: {
    good: 'Nothing more runs off the corner.',
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
  rock: { everySeconds: 5 * MINUTE, ...starts('Sheets are turned over now and then; every five minutes') },
  early: 'What is left in the fibres fades or yellows the print in months.',
  doing: 'Running water, sheets apart; turn them over now and then.',
  why: 'Fixer or acid left in the fibres fades the print in months.',
  time: { leastSeconds: 30 * MINUTE, ...practice },
  begins: 'atOnce',
  press: { start: 'Into the wash', finish: 'Washed out' },
}

export const hanging: StepDefinition = {
  id: 'hang',
  station: 'line',
  place: 'line',
  kind: 'hang',
  title: 'Hang to dry',
  meanwhile: 'on the line',
  doing: 'Drain by a corner, blot between clean towels, hang so that prints do not touch.',
  why: 'Nothing is judged wet: the print dries darker.',
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
  early: 'Loose silver goes on into the toner or the fixer, and mottles the print.',
  doing: 'Tap water in a dark tray; change it until no milk shows.',
  why: 'The chlorine of tap water, or a pinch of salt, turns loose silver milky and carries it off. Milk must not reach the toner.',
  isKept: 'silver',
  cautions: ['silver'],
  press: { start: 'Into the tap water', finish: 'Clear, no milk' },
  habit: 'A dark tray shows the milk. The first waters belong to the silver jar.',
  endpoint: {
    good: 'Milk, then clear.',
    doubt: 'Milk still: change it again.',
    swatch: ['#d7d3cc', '#e3e1dc', '#eeede9'],
  },
}

type Look = ProcessDefinition['secondLooks'][number]

export const wetLook: Look = {
  id: 'wet',
  title: 'Wet look',
  dueAfterSeconds: 0,
  lookFor: 'Are the whites clean? Is anything missing? Depth cannot be told yet.',
  why: 'A wet note is worth having only beside the dry one: together they teach how far this paper dries down.',
}

export const dryLook: Look = {
  id: 'dry',
  title: 'Dry look',
  dueAfterSeconds: 1 * DAY,
  lookFor: 'Beside your last good print, in the same light: shadows, highlights, whites.',
  why: 'The print has dried down. This is the first look that counts.',
}

export const settledLook: Look = {
  id: 'settled',
  title: 'Settled look',
  dueAfterSeconds: 14 * DAY,
  lookFor: 'Has the colour settled? Has a white turned, or an edge stained?',
  why: 'A wash or a clearing cut short shows by now.',
}

export const looks: Look[] = [wetLook, dryLook, settledLook]

/** How much deeper to print than what is wanted dry. Common practice has it in words; the stops are where this app starts. */
export const deeper = (stops: number, words: string, why: string) => ({
  deeper: { stops, ...starts(words), why },
})

export const LIGHTING = 'Dim tungsten or warm light. No daylight, no bare tube.'
export const SILVER_LIGHTING = 'Dim tungsten or amber light: bare silver darkens under anything bluer.'
/** 0.05 mm is 2 mil. */
export const FILM =
  'A clear film no thicker than 0.05 mm between negative and coat: vapour attacks film, and thicker softens the picture.'
export const WET_SPOT =
  'Bone dry, or the wet spot ruins the negative. For a precious negative put a clear film between.'
