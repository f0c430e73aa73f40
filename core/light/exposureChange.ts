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
      problem: 'This would leave no exposure.',
      remedy: 'Subtract less, or finish the exposure.',
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
      leavesOut: 'the light is assumed to stay constant',
    },
  }
}

/**
 * An exposure for another amount of the same light: another distance, a sheet of tissue, an older lamp.
 *
 * @param seconds the time that was right, above 0.
 * @param share new light over old, above 0.
 * @param schwarzschild exponent p of E·tᵖ; 1 where light and time stand for each other.
 * @throws CoreError `out-of-range` for no light at all.
 * @see Schwarzschild 1900: equal effect for equal E·tᵖ; from memory
 */
export function exposureForLight(seconds: number, share: number, schwarzschild = 1): Figure {
  if (!(share > 0) || !(schwarzschild > 0))
    throw new CoreError({
      code: 'out-of-range',
      field: 'light',
      problem: 'This would leave no light.',
      remedy: 'Enter a percentage above zero, for example 50 %.',
    })
  const isPlain = schwarzschild === 1
  return {
    value: seconds * share ** (-1 / schwarzschild),
    unit: 's',
    working: {
      words: isPlain ? 'time ÷ share of the light' : 'time ÷ share of the light, to the power of one over p',
      formula: isPlain ? 't′ = t / e' : 't′ = t·e^(−1/p)',
      inputs: [
        { name: 'time before', symbol: 't', value: seconds, unit: 's', standing: 'yours' },
        { name: 'light now over before', symbol: 'e', value: share, unit: '' },
        ...(isPlain
          ? []
          : [
              {
                name: 'Schwarzschild exponent',
                symbol: 'p',
                value: schwarzschild,
                unit: '',
                standing: 'yours' as const,
              },
            ]),
      ],
      standing: isPlain ? 'arithmetic' : 'yours',
      source: isPlain
        ? 'Reciprocity (light × time is constant)'
        : 'Schwarzschild 1900, from memory; the exponent is measured by you',
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
        'time plus a percentage of it',
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
