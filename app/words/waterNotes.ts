import { waterAdvice, type TapWater, type WaterAdvice } from '@core/judge/water'
import type { ProcessDefinition, StepDefinition } from '@core/schema/definition'
import type { Sheet } from '@core/schema/records'
import type { MarginNote } from '../state/margin.store'

const WORDS: Readonly<Record<WaterAdvice, string>> = {
  acidFirstWater:
    'Your water is alkaline, which fixes iron in the paper. Put about 3 g of citric acid (half a level teaspoon) in a litre of the first water, 0.1 to 0.5 %; then plain water. From memory.',
  saltForMilk:
    'Your water has no chlorine, so no milk shows. Add a pinch of table salt to the first water, and count the waters again from there.',
  shortWash: 'Alkaline water bleaches the blue: wash until it is clear, and no longer.',
  distilledForMixing: 'Your water is hard: mix and rinse the brush with distilled water.',
}

/** What the tap means for a step, or for the whole of a plan. */
export function waterNotes(
  definition: ProcessDefinition,
  sheet: Pick<Sheet, 'choices' | 'over'>,
  step: StepDefinition | null,
  water: TapWater,
): MarginNote[] {
  const lines = waterAdvice(definition, sheet, step, water).map((one) => WORDS[one])
  return lines.length ? [{ title: 'Your water', lines }] : []
}
