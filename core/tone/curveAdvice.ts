import type { NegativeCurve } from './curve'

/** Something a printer can do about a calibration, in the order of what it costs. */
export interface CurveAdvice {
  code: 'weak-black' | 'merged' | 'blocked' | 'thin' | 'scatter' | 'beyond' | 'good'
  title: string
  lines: string[]
}

/** Ink that may lie idle at either end before it is worth a word. */
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
      title: 'The black is weak',
      lines: [
        `It ends at L* ${black.toFixed(0)}, and ${known.blackLightness.toFixed(0)} has been reached. Give more exposure: find the base exposure afresh.`,
      ],
    })
  if (mergedTo > IDLE_INK)
    advice.push({
      code: 'merged',
      title: 'Shadows merge',
      lines: [
        `The first ${per(mergedTo)} of the ink print no lighter than clear film. Give less exposure, by about as much light as that ink holds back.`,
      ],
    })
  if (known.paperLightness !== undefined && white < known.paperLightness - SHORT)
    advice.push({
      code: 'thin',
      title: 'The film is too thin',
      lines: [
        `Behind all the ink the print comes to L* ${white.toFixed(0)}, and the paper is ${known.paperLightness.toFixed(0)}. Lay more ink, choose an ink that holds back more light, or shorten the paper’s scale by a contrast addition.`,
      ],
    })
  else if (blockedFrom < 1 - IDLE_INK)
    advice.push({
      code: 'blocked',
      title: 'Ink lies idle',
      lines: [
        `From ${per(blockedFrom)} of the ink on the print stays as white as it gets. The curve leaves that ink out; with less ink from the printer, or less of a contrast addition, more of its levels would serve.`,
      ],
    })
  if (curve.beyond.black > 1 || curve.beyond.white > 1)
    advice.push({
      code: 'beyond',
      title: 'The aim lies beyond this print',
      lines: [
        ...(curve.beyond.black > 1
          ? [
              `Its black is ${curve.beyond.black.toFixed(1)} L* deeper than this print goes: more exposure, or a second coat.`,
            ]
          : []),
        ...(curve.beyond.white > 1
          ? [
              `Its white is ${curve.beyond.white.toFixed(1)} L* lighter than this print goes: more ink, or a whiter paper.`,
            ]
          : []),
      ],
    })
  if (curve.scatter > 1.5)
    advice.push({
      code: 'scatter',
      title: 'The patches scatter',
      lines: [
        `By ${curve.scatter.toFixed(1)} L*: an uneven coat, or a poor scan. Print a chart with more repeats, and look at what was left out.`,
      ],
    })
  return advice.length
    ? advice
    : [
        {
          code: 'good',
          title: 'Exposure and ink fit each other',
          lines: ['Nearly all the ink serves, from the deepest black to the lightest white.'],
        },
      ]
}
