import { refusalOf, type Refusal } from '@core/errors'
import { characteristicOf, type Characteristic } from '@core/tone/characteristic'
import { serve } from './call'

/** Prints of step tablets, by whatever name the page has for each. */
export type CurvesQuestion = { id: string; tablet: number[]; print: (number | null)[] }[]
export type CurvesAnswer = Record<string, { curve: Characteristic } | { refusal: Refusal }>

serve<CurvesQuestion, CurvesAnswer>('step tablet', (prints) =>
  Object.fromEntries(
    prints.map(({ id, tablet, print }) => {
      try {
        return [id, { curve: characteristicOf(tablet, print) }]
      } catch (error) {
        return [id, { refusal: refusalOf(error, 'step tablet') }]
      }
    }),
  ),
)
