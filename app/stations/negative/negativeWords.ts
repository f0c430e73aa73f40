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
  /** It is so near the next one that the two close up. */
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
  age: 'a chart more than half a year old',
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
  /** A drawing has no tones to speak of. */
  isLines?: boolean
  /** What the film's size is against its sheet's, in words. */
  size?: string | null
}): MarginNote[] {
  const notes: MarginNote[] = []
  if (of.size) notes.push({ title: 'Size', tone: 'caution', lines: [of.size] })
  if (of.departures?.length)
    notes.push({
      title: 'Outside its calibration',
      tone: 'caution',
      lines: [
        `Correction curve was made for ${of.departures.map((one) => OUTSIDE[one]).join(', ')}. Tones may differ. Print a check chart.`,
      ],
    })
  if (of.isLines) {
    notes.push({ title: 'Line art', lines: [LINES_NOTE] }, ...resolutionNotes(of))
    return notes
  }
  const closed = of.rungs.filter((rung) => rung.closesUp)
  const light = closed.filter((rung) => rung.tone > 60)
  const dark = closed.filter((rung) => rung.tone < 40)
  const span = (rungs: readonly Rung[]) =>
    `Tones ${Math.round(rungs[0]?.tone ?? 0)} to ${Math.round(rungs.at(-1)?.tone ?? 0)}`
  if (light.length > 1)
    notes.push({
      title: 'Highlights merge',
      tone: 'caution',
      lines: [
        `${span(light)} print within ${RUNG_APART} L* of each other and will look like paper white. Use less exposure or less ink at that end, or accept it.`,
      ],
    })
  if (dark.length > 1)
    notes.push({
      title: 'Shadows merge',
      tone: 'caution',
      lines: [
        `${span(dark)} print within ${RUNG_APART} L* of each other and will look black. Use more exposure, or raise the black point.`,
      ],
    })
  if (notes.every(({ tone }) => tone !== 'caution'))
    notes.push({ title: 'Will it print?', lines: ['All tones stay separate in the print.'] })
  if (of.whiteShare > 0.02)
    notes.push({
      title: 'Clipped highlights',
      lines: [`${Math.round(100 * of.whiteShare)} % of the picture is at its white point.`],
    })
  if (of.blackShare > 0.05)
    notes.push({
      title: 'Clipped shadows',
      lines: [`${Math.round(100 * of.blackShare)} % of the picture is at its black point.`],
    })
  notes.push(...resolutionNotes(of))
  notes.push(of.curve ? curveNote(of.curve, of.standing) : PLAIN_NOTE)
  return notes
}

const LINES_NOTE =
  'Everything darker than the threshold is black, everything else white. Expose until the ground has its full depth.'

/** The negative wants so many times the pixels of the picture that it will be seen. */
const TOO_FEW = 2.5
const resolutionNotes = (of: { picturePixels: number; negativePixels: number }): MarginNote[] =>
  of.negativePixels > TOO_FEW * of.picturePixels
    ? [
        {
          title: 'Enlarged too far',
          lines: [
            'The negative needs far more pixels than this part of the picture has, so it will be soft. Print it smaller or at a lower resolution.',
          ],
        },
      ]
    : []

/** Millimetres by which a film may differ from its sheet before it is worth a word. */
const SAME_SIZE = 2

/** What a film's size is against that of its sheet, where both are known and differ. */
export function sizeAgainst(film: Sized | null, sheet: Sized | null): string | null {
  if (!film || !sheet) return null
  const [w, h, W, H] = [
    film.widthMillimetres,
    film.heightMillimetres,
    sheet.widthMillimetres,
    sheet.heightMillimetres,
  ]
  // As it is laid, or turned: the way in which it fits best.
  const reach = Math.min(Math.max(w / W, h / H), Math.max(w / H, h / W))
  const most = Math.max(Math.max(w / W, h / H), Math.max(w / H, h / W))
  const said = (a: number, b: number) => `${Math.round(a)} × ${Math.round(b)} mm`
  if (reach > 1 + SAME_SIZE / Math.max(W, H))
    return `The picture on the film is ${said(w, h)}, larger than the sheet’s ${said(W, H)}: its edges will not print.`
  if (most < 0.9) return `The picture on the film is ${said(w, h)}, smaller than the sheet’s ${said(W, H)}.`
  return null
}
interface Sized {
  widthMillimetres: number
  heightMillimetres: number
}

const PLAIN_NOTE: MarginNote = {
  title: 'Plain inversion',
  lines: [
    'Ink follows the picture’s lightness without correction. The preview shows what a typical coat would give.',
  ],
}

function curveNote(
  curve: NegativeCurve,
  standing?: { mean: number | null; worst: number | null; hasDrifted: boolean },
): MarginNote {
  const lines = [
    `L* ${curve.black.toFixed(1)} to ${curve.white.toFixed(1)}, chart repeatability ${curve.scatter.toFixed(1)} L*.`,
  ]
  if (standing?.mean !== null && standing?.worst !== null && standing)
    lines.push(
      standing.hasDrifted
        ? `Drifted: last check mean error ${standing.mean.toFixed(1)} L*, maximum ${standing.worst.toFixed(1)} L*.`
        : `Last check: mean error ${standing.mean.toFixed(1)} L*, maximum ${standing.worst.toFixed(1)} L*.`,
    )
  else lines.push('Not checked yet. Print its check chart once.')
  if (curve.levelsLost)
    lines.push(`An 8-bit negative would lose ${curve.levelsLost} of 256 levels. This one has 16 bits.`)
  const idle = curveAdvice(curve).filter(({ code }) => code === 'blocked' || code === 'merged')
  return { title: 'Correction curve', lines: [...lines, ...idle.flatMap((one) => one.lines)] }
}
