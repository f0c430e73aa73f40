import type { Lesson } from '@core/schema/lesson'
import { wrongLessons } from './wrongLessons'

/** Lessons in the order of the craft, each on one virtual print. What they teach is common practice. */
export const lessons: readonly Lesson[] = [
  {
    id: 'first-cyanotype', title: 'A first cyanotype', processId: 'classic-cyanotype', sheet: {},
    before: 'Put the light on and open the frame now and then. The edge, where no film is, goes from yellow-green to blue-green and then slate. Print until the middle tones look too dark, then wash until no yellow is left.',
    after: 'The wash takes away what no light has fixed, and the blue deepens for a day in air: a cyanotype that looks right in the frame is too light on the line.',
    aims: { exposure: 60, clearing: 70 },
  },
  {
    id: 'clear-edge', title: 'Reading the over-brushed margin', processId: 'new-cyanotype', sheet: {},
    before: 'The margin of the coat meets the light directly: it is the darkest tone there will be. Find the exposure by it alone, with three looks at most.',
    after: 'Once the margin stops getting darker, Dmax is reached; more light only fills the shadows.',
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
    id: 'milk', title: 'Milk in the first water', processId: 'salted-paper', sheet: {},
    before: 'In water with chlorine, loose silver shows as milk in the dark tray. Wash until the water stays clear, and not before go on to the fixer.',
    after: 'Milk that is carried into a toner or fixer spoils that bath, and silver that stays in the paper stains it.',
    aims: { clearing: 90 },
  },
  {
    id: 'no-milk', title: 'No milk', processId: 'salted-paper', sheet: {}, hasSoftWater: true,
    before: 'This water holds no chlorine: it stays clear from the start, however much silver is in it. Add a pinch of salt, then wash until the milk is gone.',
    after: 'Clear water proves nothing unless there is something in it that would turn milky.',
    aims: { clearing: 90 },
  },
  {
    id: 'ghost', title: 'A ghost in the frame', processId: 'kallitype', sheet: {},
    before: 'This process develops out: in the frame only a faint ghost shows. Expose by the ghost of the shadows, then watch the developer bring the print.',
    after: 'Of a developed print the frame shows little, so the exposure is found by a test strip and kept by the clock or the dose.',
    aims: { exposure: 60, clearing: 70, fixing: 70 },
  },
  {
    id: 'base-exposure', title: 'Finding a base exposure', processId: 'platinum-palladium', sheet: {}, negative: 'strip',
    before: 'Eight steps, each with half a stop less light than the one before. Expose generously, so that the first steps are all equally black. When the print is dry, find the last step that is as black as the first.',
    after: 'The light of that step is the base exposure: the shortest that prints maximum black through clear film. Were all steps black, the strip was exposed too long to show it; were none, too short.',
    aims: { reading: 60, clearing: 60 },
  },
  {
    id: 'step-tablet', title: 'Reading a step tablet', processId: 'new-cyanotype', sheet: {}, negative: 'tablet',
    before: 'A tablet of 21 half stops. Print it at about the base exposure. Dry, read two steps: the last that is still maximum black, and the last that is darker than paper white.',
    after: 'The distance between both is the exposure scale of this coat. A negative whose density range is the same uses all of its tones.',
    aims: { reading: 60 },
  },
  {
    id: 'calibrating', title: 'Calibrating', processId: 'platinum-palladium', sheet: {}, isCalibrated: true,
    before: 'Make a print as well as you can: its wedge is read, and a correction curve is made from it. Then print the corrected negative with the same exposure and the same baths. Only the negative may change.',
    after: 'A curve holds for one exposure and one way of working. Change either, and the tones move again.',
    aims: { exposure: 70, linearity: 70 },
  },
  {
    id: 'contrast', title: 'Contrast', processId: 'platinum-palladium', sheet: { contrast: 1.7 }, filmRange: 1.1,
    before: 'The negative is thin, so the sensitizer has a contrast agent in it. Find the exposure: the step from too light to too dark is short.',
    after: 'A contrast agent shortens the exposure scale to fit a thin negative, and leaves less room for error. A denser negative is the better way when you can make one.',
    aims: { exposure: 75 },
  },
  {
    id: 'dry-air', title: 'Dry air', processId: 'platinum-palladium', sheet: { relativeHumidity: 22 },
    before: 'The air in this room is very dry (22 %). Find the exposure again: your usual time will not do.',
    after: 'A dry coat is slower and less deep. Keep paper and room near 50 %, or humidify the coated sheet, before you change anything else.',
    aims: { exposure: 70 },
  },
  {
    id: 'printing-deep', title: 'Printing out deep', processId: 'salted-paper', sheet: {},
    before: 'Salted paper prints out whole. Print clearly darker than you want it, because wash and fixer take some of it away.',
    after: 'As it darkens, the image shades itself: shadows slow down while the lights go on. That is why printing-out paper wants a contrasty negative.',
    aims: { exposure: 70, clearing: 70 },
  },
  {
    id: 'toning', title: 'Toning in gold', processId: 'salted-paper', sheet: {}, isToned: true,
    before: 'Wash until no milk is left, then tone by eye: the brown turns plum from the shadows up. Go slightly past the colour you want, because the fixer lightens it again.',
    after: 'Gold replaces silver, so a toned print also loses less in the fixer.',
    aims: { exposure: 60, clearing: 90, fixing: 60 },
  },
  {
    id: 'fix-enough', title: 'Fix enough, and no more', processId: 'van-dyke', sheet: {},
    before: 'Fix for two minutes, and watch what happens if you are tempted to go on much longer. Then wash the fixer out.',
    after: 'A print that was not fixed goes on darkening; one that was fixed too long has lost its lightest tones first; one that was not washed fades.',
    aims: { fixing: 90, clearing: 80, washing: 80 },
  },
  {
    id: 'weak-reach', title: 'A lamp at the edge', processId: 'salted-paper', sheet: { nanometres: 402 },
    before: 'This lamp has its peak at 402 nm, where silver chloride answers only in part. See how long it takes.',
    after: 'A lamp may be bright to the eye and weak for the coat. Iron coats would still print well under this one.',
    aims: { exposure: 60 },
  },
  {
    id: 'cold-lamp', title: 'A lamp that starts cold', processId: 'new-cyanotype', sheet: { coldDose: 500 },
    before: 'The lamp was off until now, and it takes minutes to give its full light. Expose by the margin and not by the usual time.',
    after: 'Light the lamp some minutes before the first sheet, or expose by the measured dose.',
    aims: { exposure: 70 },
  },
  {
    id: 'gum-over', title: 'Gum over a print', processId: 'gum-over', sheet: {},
    before: 'A layer of pigment over a finished palladium print. A quarter of its exposure is enough. Then float the print until the whites are clear of pigment.',
    after: 'Light hardens the gum; what is not hard floats off in its own time. Too much light, and the pigment stays everywhere.',
    aims: { exposure: 60, clearing: 75 },
  },
  ...wrongLessons,
] // prettier-ignore
