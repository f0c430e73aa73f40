import type { NegativeCurve } from './curve'

/** Something a printer can do about a calibration, in the order of what it costs. */
export interface CurveAdvice {
  code: 'weak-black' | 'merged' | 'blocked' | 'thin' | 'scatter' | 'beyond' | 'good'
  title: string
  lines: string[]
}

/** Ink that may be idle at either end before it is worth a word. */
const IDLE_INK = 0.15
/** L* by which a black or a white may miss what the paper can do. */
const SHORT = 3

/**
 * What a chart says of exposure, ink and contrast, in words a printer can act on.
 *
 * @param known densities that the process and paper are known to reach: the deepest black, and the bare paper.
 */
export function curveAdvice(
  curve: NegativeCurve,
  known: { blackLightness?: number; paperLightness?: number } = {},
): CurveAdvice[] {
  const advice: CurveAdvice[] = []
  const { black, white, mergedTo, blockedFrom } = curve
  const per = (share: number) => `${Math.round(100 * share)} %`
  if (known.blackLightness !== undefined && black > known.blackLightness + SHORT)
    advice.push({
      code: 'weak-black',
      title: 'Weak black',
      lines: [
        `The black is L* ${black.toFixed(0)}; L* ${known.blackLightness.toFixed(0)} was reached before. Expose longer: make a new test strip.`,
      ],
    })
  if (mergedTo > IDLE_INK)
    advice.push({
      code: 'merged',
      title: 'Shadows merge',
      lines: [
        `The first ${per(mergedTo)} of the ink prints no lighter than clear film. Reduce the exposure by about the light that this ink absorbs.`,
      ],
    })
  if (known.paperLightness !== undefined && white < known.paperLightness - SHORT)
    advice.push({
      code: 'thin',
      title: 'Film density too low',
      lines: [
        `Under full ink the print is L* ${white.toFixed(0)}; the paper is L* ${known.paperLightness.toFixed(0)}. Use more ink, an ink that blocks more light, or a contrast additive that shortens the exposure scale.`,
      ],
    })
  else if (blockedFrom < 1 - IDLE_INK)
    advice.push({
      code: 'blocked',
      title: 'Unused ink',
      lines: [
        `From ${per(blockedFrom)} of the ink, the print is already paper white. The curve does not use more ink. Less ink from the printer, or less contrast additive, would use more levels.`,
      ],
    })
  if (curve.beyond.black > 1 || curve.beyond.white > 1)
    advice.push({
      code: 'beyond',
      title: 'Target out of reach',
      lines: [
        ...(curve.beyond.black > 1
          ? [
              `The target black is ${curve.beyond.black.toFixed(1)} L* deeper than this print can reach. Expose longer, or add a second coat.`,
            ]
          : []),
        ...(curve.beyond.white > 1
          ? [
              `The target white is ${curve.beyond.white.toFixed(1)} L* lighter than this print can reach. Use more ink or a whiter paper.`,
            ]
          : []),
      ],
    })
  if (curve.scatter > 1.5)
    advice.push({
      code: 'scatter',
      title: 'Patches differ',
      lines: [
        `Repeats differ by ${curve.scatter.toFixed(1)} L*: an uneven coat or a poor scan. Print a chart with more repeats, and check the patches not used.`,
      ],
    })
  return advice.length
    ? advice
    : [
        {
          code: 'good',
          title: 'Exposure and ink match',
          lines: ['Nearly the whole ink range is used, from Dmax to paper white.'],
        },
      ]
}
