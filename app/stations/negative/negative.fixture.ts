import { solveCurve } from '@core/tone/curve'
import { densityFromLightness } from '@core/tone/density'

/** A curve from a chart that prints so. */
const chart = (response: (ink: number) => number) =>
  solveCurve(
    Array.from({ length: 31 }, (_, i) => ({
      ink: i / 30,
      densities: [densityFromLightness(response(i / 30))],
    })),
  )
export const even = chart((ink) => 20 + 70 * ink)
