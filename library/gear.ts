import type { Gear } from '@core/shelf/gear'

/** Things of the bench, by what they are for; common practice. */
export const gear: readonly Gear[] = [
  { name: 'Nitrile gloves, goggles and an apron', for: 'always', level: 'try' },
  { name: 'Distilled water', for: 'always', level: 'try' },
  { name: 'Dim tungsten or amber lamp', for: 'always', level: 'try' },
  { name: 'Closed drawer or box for drying in the dark', for: 'always', level: 'try' },
  { name: 'Scale that shows 0.1 g', for: 'weighing', level: 'try' },
  { name: 'Measuring jug, and a spoon for each chemical', for: 'weighing', level: 'try' },
  { name: 'Brown bottles with labels', for: 'weighing', level: 'try' },
  { name: 'Dropper for each bottle, and a small glass', for: 'counting', level: 'try' },
  { name: 'Soft flat brush without metal', for: 'brush', level: 'try' },
  { name: 'Two sheets of glass with clips', for: 'exposing', level: 'try' },
  { name: 'Line and plastic pegs', for: 'hanging', level: 'try' },
  { name: 'Closed jar for used silver solutions', for: 'silver', level: 'try' },
  { name: 'Scale that shows 0.01 g', for: 'weighing', level: 'well' },
  { name: 'Measuring cylinders, funnel and filter paper', for: 'weighing', level: 'well' },
  { name: 'Dropper that was weighed, or a small syringe', for: 'counting', level: 'well' },
  { name: 'Coating rod of glass on a level plate', for: 'rod', level: 'well' },
  { name: 'Contact frame with a split back', for: 'looking', level: 'well' },
  { name: 'UV lamp or box, with a shield against its light', for: 'exposing', level: 'well' },
  { name: 'Step tablet', for: 'exposing', level: 'well' },
  { name: 'Meter for ultraviolet light', for: 'sun', level: 'well' },
  { name: 'Thermometer, and a hygrometer on the wall', for: 'always', level: 'well' },
  { name: 'Washer for prints, with running water', for: 'trays', level: 'well' },
  { name: 'Drying screens and blotters', for: 'hanging', level: 'well' },
]
