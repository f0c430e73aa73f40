import { leastSquares, robustFit, type Model, type RobustFit } from './leastSquares'

/** A curve of density by log exposure, with its way back. */
interface Family {
  towards: 1 | -1
  model: Model
  /** Log exposure at which a share of the height is reached. */
  inverse(parameters: readonly number[], share: number): number
}

/**
 * Generalised logistic curves (Richards 1959) with paper white `a`, height `r`, place `m`, steepness `k` and skew e^s.
 * `towards` 1 draws the skew out at the shoulder, −1 at the toe, as an exponential approach to black has it; real
 * prints are of either kind, so both are tried and the likelier one is kept.
 */
const family = (towards: 1 | -1): Family => {
  const foot = (k: number, m: number, x: number) => Math.exp(Math.min(200, -towards * k * (x - m)))
  return {
    towards,
    model: {
      value: ([a, r, m, k, s], x) => {
        const share = (1 + foot(k!, m!, x)) ** -Math.exp(s!)
        return a! + r! * (towards === 1 ? share : 1 - share)
      },
      gradient: ([, r, m, k, s], x) => {
        const e = foot(k!, m!, x)
        const n = Math.exp(s!)
        const share = (1 + e) ** -n
        const slope = (r! * n * share * e) / (1 + e)
        return [
          1,
          towards === 1 ? share : 1 - share,
          -slope * k!,
          slope * (x - m!),
          -towards * r! * share * n * Math.log(1 + e),
        ]
      },
    },
    inverse: ([, , m, k, s], share) => {
      const part = towards === 1 ? share : 1 - share
      return m! - (towards * Math.log(part ** -Math.exp(-s!) - 1)) / k!
    },
  }
}
const FAMILIES = [family(1), family(-1)] as const

/** A Richards curve as plain data. */
export interface RichardsCurve {
  towards: 1 | -1
  /** White a, height r, place m, steepness k, skew s. */
  parameters: number[]
}

/** A Richards curve fitted to readings. */
export interface RichardsFit extends RichardsCurve, Pick<RobustFit, 'residuals' | 'scatter' | 'outliers'> {
  /** Whether a parameter ran into its limit: then the readings are of another shape. */
  isAtLimit: boolean
  /** The same fit to other readings at the same places. */
  again(y: readonly number[]): RichardsCurve
}

/** Density of a fitted curve at a log exposure. */
export const richardsDensity = ({ towards, parameters }: RichardsCurve, x: number): number =>
  family(towards).model.value(parameters, x)

/** Log exposure at which the curve has this density; `null` at and beyond its ends. */
export function richardsExposure({ towards, parameters }: RichardsCurve, density: number): number | null {
  const [a, r] = parameters as [number, number]
  const share = (density - a) / r
  return share > 0 && share < 1 ? family(towards).inverse(parameters, share) : null
}

/**
 * The likelier of the two families through readings: the one whose readings, each with a normal error and a bad one
 * counted no worse than three scatters, are less of a surprise.
 *
 * @param x shape (n,), rising, n ≥ 6; @param y shape (n,).
 * @param finest the finest scatter a reading can have.
 * @see Richards, J. Exp. Bot. 10, 1959
 */
export function fitRichards(x: readonly number[], y: readonly number[], finest: number): RichardsFit {
  const span = x.at(-1)! - x[0]!
  const [white, black] = [Math.min(...y), Math.max(...y)]
  const half = x.reduce((best, at, i) => {
    const off = (value: number) => Math.abs(value - (white + black) / 2)
    return off(y[i]!) < off(y[x.indexOf(best)]!) ? at : best
  }, x[0]!)
  const start = [white, black - white, half, 4, 0]
  const limits: [number, number][] = [
    [-0.1, black],
    [0.05, 4],
    [x[0]! - span, x.at(-1)! + span],
    [0.3, 60],
    [-4, 4],
  ]
  const fits = FAMILIES.map((one) => ({ one, fit: robustFit(one.model, x, y, start, limits, finest) }))
  const scatter = Math.min(...fits.map(({ fit }) => fit.scatter))
  const surprise = ({ fit }: (typeof fits)[number]) =>
    fit.residuals.reduce((sum, off) => sum + Math.min(off ** 2, (3 * scatter) ** 2), 0)
  const { one, fit } = fits.sort((a, b) => surprise(a) - surprise(b))[0]!
  return {
    towards: one.towards,
    parameters: fit.parameters,
    residuals: fit.residuals,
    scatter: fit.scatter,
    outliers: fit.outliers,
    isAtLimit: fit.parameters.some((value, i) =>
      limits[i]!.some((limit) => Math.abs(value - limit) < 1e-3 * Math.max(1, Math.abs(limit))),
    ),
    again: (other) => {
      const points = { x, y: other, weights: fit.outliers.map((is) => (is ? 0 : 1)) }
      const { parameters } = leastSquares(one.model, points, fit.parameters, limits, 12)
      return { towards: one.towards, parameters }
    },
  }
}
