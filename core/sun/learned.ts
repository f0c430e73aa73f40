import { squaredDistances, sumOf } from '../quantity/statistics'
import type { Figure } from '../quantity/figure'

/** One time that one's own result told what the sun really gave. */
export interface SunResult {
  /** What the model computed for that exposure or reading, and what it turned out to be, in one unit. */
  reckoned: number
  found: number
}

/** The model alone is trusted like so many results of one's own. */
const MODEL_WEIGHT = 1
/** Without results: clear-sky models of this kind, aerosol guessed, are out by about this factor; from memory. */
const MODEL_SPREAD = Math.log(1.2)

/**
 * What one's own results make of the sun's model: the geometric mean of found over computed, drawn towards 1 while
 * there are few.
 *
 * @param skyFactor how far the guess of the sky may be out, as a factor from 1 up (see `SKIES`).
 * @returns a factor; `uncertainty` is the half width of its 1-in-3 interval in natural logarithms of the light.
 */
export function learnedSun(results: readonly SunResult[], skyFactor: number): Figure {
  const logs = results
    .filter((one) => one.reckoned > 0 && one.found > 0)
    .map((one) => Math.log(one.found / one.reckoned))
  const n = logs.length
  const drawn = sumOf(logs) / (n + MODEL_WEIGHT)
  const scatter = (squaredDistances(logs, drawn) + MODEL_WEIGHT * MODEL_SPREAD ** 2) / (n + MODEL_WEIGHT)
  return {
    value: Math.exp(drawn),
    unit: '',
    uncertainty: Math.hypot(Math.sqrt(scatter), Math.log(skyFactor)),
    working: {
      words: n
        ? 'geometric mean of measured over computed light, with the model counted once'
        : 'the model as it is',
      formula: n ? 'k = exp(Σ ln(fᵢ/rᵢ) / (n + 1))' : 'k = 1',
      inputs: [
        { name: 'your own results', symbol: 'n', value: n, unit: '', standing: 'yours' },
        {
          name: 'possible error of the sky',
          symbol: 's',
          value: skyFactor,
          unit: '×',
          standing: 'practice',
        },
      ],
      standing: n ? 'yours' : 'memory',
      source: n
        ? 'Your meter’s readings and exposures under this sun'
        : 'Air mass, clean air and aerosol; no results of your own yet',
    },
  }
}
