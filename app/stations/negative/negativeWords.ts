import type { Departure } from '@core/negative/provenance'
import { expectedPrint } from '@core/negative/proof'
import { curveAdvice } from '@core/tone/curveAdvice'
import { printOf, type NegativeCurve } from '@core/tone/curve'
import { VIRTUAL_COATS, type VirtualCoat } from '@core/tone/printResponse'
import type { ProcessDefinition } from '@core/schema/definition'
import type { MarginNote } from '../../state/margin.store'

/** Prints whose tones come nearer than this are seen as one. */
const RUNG_APART = 1.5

/** One tone of the picture, what it is to become, and where it lands in the print; all L* of 0 to 100. */
export interface Rung {
  tone: number
  planned: number
  print: number
  /** It lies so near the next one that the two close up. */
  closesUp: boolean
}

/**
 * The ladder from picture to print.
 *
 * @param planned tone that a tone of the picture is to become, both of 0 to 1.
 * @param ink ink for a planned tone of 0 to 1.
 * @param print lightness behind so much ink.
 */
export function ladder(
  planned: (tone: number) => number,
  ink: (tone: number) => number,
  print: (ink: number) => number,
  count = 24,
): Rung[] {
  const rungs = Array.from({ length: count }, (_, i) => {
    const tone = i / (count - 1)
    const wanted = planned(tone)
    return { tone: 100 * tone, planned: 100 * wanted, print: print(ink(wanted)), closesUp: false }
  })
  return rungs.map((rung, i) => {
    const near = (other: Rung | undefined) =>
      other !== undefined && Math.abs(other.print - rung.print) < RUNG_APART
    return { ...rung, closesUp: near(rungs[i - 1]) || near(rungs[i + 1]) }
  })
}

/** Which stand-in is nearest to a process, by its mark: what a print is expected to be before a chart was read. */
const COATS: Record<ProcessDefinition['mark'], VirtualCoat> = {
  prussian: VIRTUAL_COATS.cyanotype,
  umber: VIRTUAL_COATS.developingOut,
  plum: VIRTUAL_COATS.printingOut,
  graphite: VIRTUAL_COATS.developingOut,
}
export const coatOf = (mark: ProcessDefinition['mark']): VirtualCoat => COATS[mark]

/** Lightness of the dry print behind ink: as a chart told it, or as a stand-in of the process answers. */
export const printFor = (
  curve: NegativeCurve | null,
  mark: ProcessDefinition['mark'],
): ((ink: number) => number) => (curve ? printOf(curve) : expectedPrint(coatOf(mark)))

const OUTSIDE: Record<Departure, string> = {
  process: 'another process',
  paper: 'another paper',
  light: 'another light',
  film: 'another film or ink',
  exposure: 'another exposure',
  age: 'a chart of more than half a year ago',
}

/** What the margin says of a negative before it is made. */
export function willItPrint(of: {
  curve: NegativeCurve | null
  /** How good the calibration is: of its last check, L*. */
  standing?: { mean: number | null; worst: number | null; hasDrifted: boolean }
  departures?: readonly Departure[]
  rungs: readonly Rung[]
  /** Shares of the picture at its own black and white end. */
  blackShare: number
  whiteShare: number
  picturePixels: number
  negativePixels: number
}): MarginNote[] {
  const notes: MarginNote[] = []
  if (of.departures?.length)
    notes.push({
      title: 'Outside of its curve',
      tone: 'caution',
      lines: [
        `The curve was made with ${of.departures.map((one) => OUTSIDE[one]).join(', ')}. Tones may fall elsewhere; print a checking chart.`,
      ],
    })
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
        'The negative has far more pixels than this part of the picture: it will be soft. Print it smaller, or at fewer pixels to the inch.',
      ],
    })
  notes.push(of.curve ? curveNote(of.curve, of.standing) : PLAIN_NOTE)
  return notes
}

const PLAIN_NOTE: MarginNote = {
  title: 'Plain inversion',
  lines: [
    'As much ink as the picture is light; the tones fall as they may. The print beside it is what such a coat would usually give, until a chart is read.',
  ],
}

function curveNote(
  curve: NegativeCurve,
  standing?: { mean: number | null; worst: number | null; hasDrifted: boolean },
): MarginNote {
  const lines = [
    `From L* ${curve.black.toFixed(1)} to ${curve.white.toFixed(1)}; the chart scatters by ${curve.scatter.toFixed(1)} L*.`,
  ]
  if (standing?.mean !== null && standing?.worst !== null && standing)
    lines.push(
      standing.hasDrifted
        ? `It has drifted: the last check was off by ${standing.mean.toFixed(1)} L* on the mean, ${standing.worst.toFixed(1)} at worst.`
        : `Good to ${standing.mean.toFixed(1)} L* on the mean, ${standing.worst.toFixed(1)} at worst.`,
    )
  else lines.push('Not checked yet: print its checking chart once.')
  if (curve.levelsLost)
    lines.push(`A negative of 8 bits would lose ${curve.levelsLost} of 256 levels; this one has 16.`)
  const idle = curveAdvice(curve).filter(({ code }) => code === 'blocked' || code === 'merged')
  return { title: 'The curve', lines: [...lines, ...idle.flatMap((one) => one.lines)] }
}
