import { mean } from '../quantity/statistics'

/** A run of single values with the limits inside which chance alone keeps them. */
export interface ControlChart {
  mean: number
  lower: number
  upper: number
  /** Mean of the moving range, and how far it may go. */
  meanRange: number
  upperRange: number
  /** Indices of values that chance alone does not explain, and by which sign. */
  signals: { index: number; sign: Signal }[]
}

/**
 * `beyond`: outside the limits. `run`: the eighth in a row on one side of the mean. `drift`: the sixth in a row that only
 * rises, or only falls.
 */
export type Signal = 'beyond' | 'run' | 'drift'

/** For moving ranges of two: their mean over the standard deviation, and the factor of their limit. */
const D2 = 1.128
const D4 = 3.267
const RUN = 8
/** Six points that only rise or only fall have five steps between them. */
const DRIFT_STEPS = 5

/**
 * Individuals and moving-range chart.
 *
 * @param values in the order of time, at least two.
 * @param settled how many of the first make the limits; all where it is left out. Later ones are judged by them.
 * @returns `null` for fewer than two values.
 * @see NIST/SEMATECH e-Handbook of Statistical Methods, 6.3.2.2 (individuals control charts); runs of eight and drifts of
 *   six after Western Electric's and Nelson's rules; constants from memory
 */
export function controlChart(values: readonly number[], settled = values.length): ControlChart | null {
  const base = values.slice(0, settled)
  if (base.length < 2) return null
  const centre = mean(base)
  const ranges = base.slice(1).map((one, i) => Math.abs(one - (base[i] as number)))
  const meanRange = mean(ranges)
  const reach = (3 * meanRange) / D2
  const chart = {
    mean: centre,
    lower: centre - reach,
    upper: centre + reach,
    meanRange,
    upperRange: D4 * meanRange,
  }
  return { ...chart, signals: signalsIn(values, chart) }
}

function signalsIn(
  values: readonly number[],
  { mean: centre, lower, upper }: Pick<ControlChart, 'mean' | 'lower' | 'upper'>,
): ControlChart['signals'] {
  let [run, side, drift, way] = [0, 0, 0, 0]
  return values.flatMap((value, index): ControlChart['signals'] => {
    const now = Math.sign(value - centre)
    run = now !== 0 && now === side ? run + 1 : now === 0 ? 0 : 1
    side = now
    const step = index ? Math.sign(value - (values[index - 1] as number)) : 0
    drift = step !== 0 && step === way ? drift + 1 : step === 0 ? 0 : 1
    way = step
    if (value < lower || value > upper) return [{ index, sign: 'beyond' }]
    if (run >= RUN) return [{ index, sign: 'run' }]
    return drift >= DRIFT_STEPS ? [{ index, sign: 'drift' }] : []
  })
}
