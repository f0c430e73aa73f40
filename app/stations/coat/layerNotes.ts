import { texts } from './words'
import type { RunState } from '@core/run/runState'
import type { MarginNote } from '../../state/margin.store'

/** What to know before a layer goes over a finished print. */
export function layerNotes(under: RunState | undefined): MarginNote[] {
  const isToned = under?.steps.some((step) => step.planned.id.startsWith('tone'))
  return [
    {
      title: 'Over a finished print',
      lines: [
        isToned ? texts.printBelowWasTonedSo : texts.printBelowWasNotToned,
        texts.dryPrintRightThroughFirst,
        texts.useSeparateNegativeAndLine,
      ],
      ...(isToned ? {} : { tone: 'caution' as const }),
    },
  ]
}
