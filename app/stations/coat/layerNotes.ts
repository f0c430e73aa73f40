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
          ? 'The print below was toned: it bears being wetted again.'
          : 'The print below was not toned: re-wetting lightens and mottles one that is not. Tone it first, or try it on a print you can spare.',
        'It has to be dry right through: damp paper moves, and the layer will not register.',
        'Its own negative, marks on the marks of the first; marks stand clear of the coat.',
      ],
      ...(isToned ? {} : { tone: 'caution' as const }),
    },
  ]
}
