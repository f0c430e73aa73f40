import type { RunState } from '@core/run/runState'
import type { MarginNote } from '../../state/margin.store'

/** What to know before a layer goes over a finished print. */
export function layerNotes(under: RunState | undefined): MarginNote[] {
  const isToned = under?.steps.some((step) => step.planned.id.startsWith('tone'))
  return [
    {
      title: 'Over a finished print',
      lines: [
        isToned
          ? 'The print below was toned, so it can be wetted again.'
          : 'The print below was not toned. Tone it first: re-wetting an untoned print lightens and mottles it.',
        'Dry the print right through first. Damp paper moves, and the layers will not register.',
        'Use a separate negative and line up its register marks. Keep the marks clear of the coat.',
      ],
      ...(isToned ? {} : { tone: 'caution' as const }),
    },
  ]
}
