import { printOf, type NegativeCurve } from '@core/tone/curve'
import type { MarginNote } from '../shell/margin.store'

/** Prints whose tones come nearer than this are seen as one. */
const RUNG_APART = 1.5

/** One tone of the picture and where it lands in the print, both as L* of 0 to 100. */
export interface Rung {
  tone: number
  print: number
  /** It lies so near the next one that the two close up. */
  closesUp: boolean
}

/**
 * The ladder from picture to print.
 *
 * @param ink ink for a tone of 0 to 1.
 * @param print lightness behind so much ink.
 */
export function ladder(ink: (tone: number) => number, print: (ink: number) => number, count = 24): Rung[] {
  const rungs = Array.from({ length: count }, (_, i) => {
    const tone = i / (count - 1)
    return { tone: 100 * tone, print: print(ink(tone)), closesUp: false }
  })
  return rungs.map((rung, i) => {
    const [before, after] = [rungs[i - 1], rungs[i + 1]]
    const near = (other: Rung | undefined) =>
      other !== undefined && Math.abs(other.print - rung.print) < RUNG_APART
    return { ...rung, closesUp: near(before) || near(after) }
  })
}

/** A print nobody has measured: what a usual process makes of ink, so that a plain inversion can be looked at. */
export const unmeasuredPrint = (ink: number): number => 20 + 74 * (1 - (1 - ink) ** 2.6) ** 1.15

/** What the margin says of a negative before it is made. */
export function willItPrint(of: {
  curve: NegativeCurve | null
  rungs: readonly Rung[]
  /** Shares of the picture at its own black and white end. */
  blackShare: number
  whiteShare: number
  picturePixels: number
  negativePixels: number
}): MarginNote[] {
  const notes: MarginNote[] = []
  const closed = of.rungs.filter((rung) => rung.closesUp)
  const light = closed.filter((rung) => rung.tone > 60)
  const dark = closed.filter((rung) => rung.tone < 40)
  const span = (rungs: readonly Rung[]) =>
    `Tones ${Math.round(rungs[0]?.tone ?? 0)} to ${Math.round(rungs.at(-1)?.tone ?? 0)}`
  if (light.length > 1)
    notes.push({
      title: 'Highlights close up',
      tone: 'caution',
      lines: [
        `${span(light)} land within ${RUNG_APART} L* of each other: they will read as paper. Less exposure, less ink at that end, or accept it.`,
      ],
    })
  if (dark.length > 1)
    notes.push({
      title: 'Shadows close up',
      tone: 'caution',
      lines: [
        `${span(dark)} land within ${RUNG_APART} L* of each other: they will read as black. More exposure, or lift the black point.`,
      ],
    })
  if (!notes.length)
    notes.push({ title: 'Will it print?', lines: ['Every tone has its own place in the print.'] })
  if (of.whiteShare > 0.02)
    notes.push({
      title: 'White without detail',
      lines: [`${Math.round(100 * of.whiteShare)} % of the picture lies at its white point.`],
    })
  if (of.blackShare > 0.05)
    notes.push({
      title: 'Black without detail',
      lines: [`${Math.round(100 * of.blackShare)} % of the picture lies at its black point.`],
    })
  if (of.negativePixels > 2.5 * of.picturePixels)
    notes.push({
      title: 'Larger than its picture',
      lines: [
        'The negative has far more pixels than the picture: it will be soft. Print it smaller, or at fewer pixels to the inch.',
      ],
    })
  if (of.curve)
    notes.push({
      title: 'The curve',
      lines: [
        `From L* ${of.curve.black.toFixed(1)} to ${of.curve.white.toFixed(1)}; the chart scatters by ${of.curve.scatter.toFixed(1)} L*.`,
        ...(of.curve.levelsLost
          ? [`A negative of 8 bits would lose ${of.curve.levelsLost} of 256 levels; this one has 16.`]
          : []),
      ],
    })
  else
    notes.push({
      title: 'Plain inversion',
      lines: [
        'As much ink as the picture is light; the tones fall as they may. The print on the right is a guess until a chart is read.',
      ],
    })
  return notes
}

/** Lightness of the print behind ink: as a chart told it, or as guessed. */
export const printFor = (curve: NegativeCurve | null): ((ink: number) => number) =>
  curve ? printOf(curve) : unmeasuredPrint
