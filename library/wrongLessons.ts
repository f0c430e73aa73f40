import type { Lesson } from '@core/schema/lesson'

const FAULT =
  'Make the print as well as you can. Something is wrong with this sheet: when it is dry, say what. Compare the margin, the whites and the depth with a print that went well. A test sheet with one thing changed helps to tell causes apart.'

const ORDINALS = [
  'first',
  'second',
  'third',
  'fourth',
  'fifth',
  'sixth',
  'seventh',
  'eighth',
  'ninth',
  'tenth',
]

/** One case: its process, what is wrong, and what happened. */
const CASES: readonly (readonly [processId: string, causeId: string, after: string])[] = [
  ['classic-cyanotype', 'chalk', 'Chalk in the paper used up part of the coat: pale at any exposure.'],
  ['kallitype', 'coat-thin', 'Too little sensitizer: the margin itself stays thin, so no exposure could have helped.'],
  ['van-dyke', 'brush', 'Strokes over a coat that was starting to set tore it: lines in the direction of the brush.'],
  ['van-dyke', 'coat-old', 'The coat was too old: its whites were grey before any light.'],
  ['platinum-palladium', 'ratio-off', 'The drops were miscounted: of one part there was not enough to use up the other.'],
  ['new-cyanotype', 'air-dry', 'Very dry air: the coat was slow, and its black not as deep.'],
  ['classic-cyanotype', 'half-treated', 'Only part of the sheet was in the acid: chalk is left beyond a hard line.'],
  ['salted-paper', 'room-light', 'The coat dried in daylight: a tone over everything, also where the film kept all light off.'],
  ['platinum-palladium', 'contact', 'Film and paper did not touch in one area: detail is lost there, and nowhere else.'],
  ['kallitype', 'film-thin', 'The negative was too thin: an exposure that gives black veils the highlights.'],
] // prettier-ignore

/** What went wrong: ten cases. */
export const wrongLessons: readonly Lesson[] = CASES.map(([processId, causeId, after], i) => ({
  id: `wrong-${i + 1}`,
  title: `What went wrong: ${ORDINALS[i] ?? ''} case`,
  processId,
  sheet: {},
  causeId,
  before: FAULT,
  after,
  aims: {},
}))
