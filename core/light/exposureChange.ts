import { CoreError } from '../errors'
import type { Figure, FigureInput } from '../quantity/figure'
import type { ExposureChange } from '../quantity/parse'

/**
 * A planned exposure after a change to it.
 *
 * Light and time are taken to stand for each other (reciprocity), which holds under one lamp at one distance.
 *
 * @param plannedSeconds the time before the change, above 0.
 * @returns the new time in seconds.
 * @throws CoreError `out-of-range` when nothing or less would be left.
 */
export function changeExposure(plannedSeconds: number, change: ExposureChange): Figure {
  const [value, words, formula, input] = apply(plannedSeconds, change)
  if (!(value > 0))
    throw new CoreError({
      code: 'out-of-range',
      field: 'exposure',
      problem: 'That would leave no exposure at all.',
      remedy: 'Take away less, or take the sheet out.',
    })
  return {
    value,
    unit: 's',
    working: {
      words,
      formula,
      inputs: [{ name: 'planned before', symbol: 't', value: plannedSeconds, unit: 's' }, input],
      standing: 'arithmetic',
      source: 'One stop is twice the light (definition)',
      leavesOut: 'the light is taken to stay as it is',
    },
  }
}

function apply(seconds: number, change: ExposureChange): [number, string, string, FigureInput] {
  switch (change.kind) {
    case 'stops':
      return [
        seconds * 2 ** change.stops,
        'time × two to the power of the stops',
        't′ = t·2ˢ',
        { name: 'change', symbol: 's', value: change.stops, unit: 'stops', standing: 'yours' },
      ]
    case 'percent':
      return [
        seconds * (1 + change.percent / 100),
        'time and so many per cent of it',
        't′ = t·(1 + p/100)',
        { name: 'change', symbol: 'p', value: change.percent, unit: '%', standing: 'yours' },
      ]
    case 'time':
      return [
        seconds + change.seconds,
        'time and so much more',
        't′ = t + Δt',
        { name: 'change', symbol: 'Δt', value: change.seconds, unit: 's', standing: 'yours' },
      ]
  }
}
