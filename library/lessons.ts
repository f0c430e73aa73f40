import type { Lesson } from '@core/schema/lesson'

const FAULT =
  'Make the print as well as you can. Something is wrong with this sheet: when it is dry, say what. Compare the clear edge, the whites and the depth with a print that went well.'

/** Lessons in the order of the craft, each on one virtual print. What they teach is common practice. */
export const lessons: readonly Lesson[] = [
  {
    id: 'first-cyanotype', title: 'A first cyanotype', processId: 'classic-cyanotype', sheet: {},
    before: 'Put the light on and open the frame now and then. The edge, where no film is, goes from yellow-green to blue-green and then slate. Print until the middle tones look too dark, then wash until no yellow is left.',
    after: 'The wash takes away what no light has fixed, and the blue deepens for a day in air: a cyanotype that looks right in the frame is too light on the line.',
    aims: { exposure: 60, clearing: 70 },
  },
  {
    id: 'clear-edge', title: 'Reading the clear edge', processId: 'new-cyanotype', sheet: {},
    before: 'The edge of the coat meets the light directly: it is the darkest tone there will be. Find the exposure by it alone, with three looks at most.',
    after: 'Once the edge stops getting darker, Dmax is reached; more light only fills the shadows.',
    aims: { exposure: 75, economy: 100 },
  },
  {
    id: 'wet-and-dry', title: 'Wet against dry', processId: 'van-dyke', sheet: {},
    before: 'Look at the print in the last bath and remember it. Then hang it to dry and look a day later.',
    after: 'This brown dries about a quarter darker. What looks right wet is too dark dry: judge wet at about three quarters of the depth.',
    aims: { exposure: 60, clearing: 80, fixing: 60 },
  },
  {
    id: 'clearing-by-eye', title: 'Clearing by eye', processId: 'platinum-palladium', sheet: {},
    before: 'Watch the sky and the disc in it, which should be paper white. Stop clearing when the last yellow is gone.',
    after: 'Yellow that is left is iron. It darkens in weeks, so a short clearing bath spoils a print that looked finished.',
    aims: { clearing: 95 },
  },
  {
    id: 'ghost', title: 'A ghost in the frame', processId: 'kallitype', sheet: {},
    before: 'This process develops out: in the frame only a faint ghost shows. Expose by the ghost of the shadows, then watch the developer bring the print.',
    after: 'Of a developed print the frame shows little, so the exposure is found by a test strip and kept by the clock or the dose.',
    aims: { exposure: 60, clearing: 70, fixing: 70 },
  },
  {
    id: 'printing-deep', title: 'Printing out deep', processId: 'salted-paper', sheet: {},
    before: 'Salted paper prints out whole. Print clearly darker than you want it, because wash and fixer take some of it away.',
    after: 'As it darkens, the image shades itself: shadows slow down while the lights go on. That is why printing-out paper wants a contrasty negative.',
    aims: { exposure: 70, clearing: 70 },
  },
  {
    id: 'fix-enough', title: 'Fix enough, and no more', processId: 'van-dyke', sheet: {},
    before: 'Fix for two minutes, and watch what happens if you are tempted to go on much longer.',
    after: 'A print that was not fixed goes on darkening; one that was fixed too long has lost its lightest tones first.',
    aims: { fixing: 90, clearing: 80 },
  },
  {
    id: 'dry-air', title: 'Dry air', processId: 'platinum-palladium', sheet: { relativeHumidity: 22 },
    before: 'The air in this room is very dry (22 %). Find the exposure again: your usual time will not do.',
    after: 'A dry coat is slower and less deep. Keep paper and room near 50 %, or humidify the coated sheet, before you change anything else.',
    aims: { exposure: 70 },
  },
  {
    id: 'weak-reach', title: 'A lamp at the edge', processId: 'salted-paper', sheet: { nanometres: 402 },
    before: 'This lamp has its peak at 402 nm, where silver chloride answers only in part. See how long it takes.',
    after: 'A lamp may be bright to the eye and weak for the coat. Iron coats would still print well under this one.',
    aims: { exposure: 60 },
  },
  { id: 'wrong-1', title: 'What went wrong: first case', processId: 'classic-cyanotype', sheet: { isBuffered: true }, causeId: 'chalk', before: FAULT, after: 'Chalk in the paper used up part of the coat: pale at any exposure.', aims: {} },
  { id: 'wrong-2', title: 'What went wrong: second case', processId: 'kallitype', sheet: { coverage: 0.4 }, causeId: 'coat-thin', before: FAULT, after: 'Too little sensitizer: the edge itself stays thin, so no exposure could have helped.', aims: {} },
  { id: 'wrong-3', title: 'What went wrong: third case', processId: 'van-dyke', sheet: { coatAgeHours: 72 }, causeId: 'coat-old', before: FAULT, after: 'The coat was three days old: its whites were grey before any light.', aims: {} },
  { id: 'wrong-4', title: 'What went wrong: fourth case', processId: 'platinum-palladium', sheet: { imbalance: 1.3 }, causeId: 'ratio-off', before: FAULT, after: 'The drops were miscounted: of one part there was not enough to use up the other.', aims: {} },
  { id: 'wrong-5', title: 'What went wrong: fifth case', processId: 'new-cyanotype', sheet: { relativeHumidity: 18 }, causeId: 'air-dry', before: FAULT, after: 'Air of 18 %: the coat was slow, and its black not as deep.', aims: {} },
] // prettier-ignore
