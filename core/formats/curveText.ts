import Papa from 'papaparse'
import { inkOf, type NegativeCurve } from '../tone/curve'
import { lightnessFromDensity } from '../tone/density'
import { linearFromSrgb } from '../tone/srgb'

/** Steps of a curve as it leaves: those of eight bits, which every image editor reads. */
const STEPS = 256

/** A curve from tone to ink, as far as a file holds one. */
type Curve = Pick<NegativeCurve, 'tones' | 'inks'>

/** Tone of a grey picture, L* as a share, by its coded value in sRGB. @param coded 0 to 1. */
export const toneOfCode = (coded: number): number =>
  coded > 0 ? lightnessFromDensity(-Math.log10(linearFromSrgb(coded))) / 100 : 0

const rowsOf = (curve: Curve, toneAt: (share: number) => number): { tone: number; ink: number }[] => {
  const ink = inkOf(curve)
  return Array.from({ length: STEPS }, (_, i) => {
    const tone = Math.min(1, toneAt(i / (STEPS - 1)))
    return { tone, ink: ink(tone) }
  })
}
const evenly = (share: number) => share

/**
 * A curve as a 1D lookup table, to be applied to a grey picture in sRGB in an image editor: in goes the coded value of the
 * picture, out comes the coded value of a negative that prints it, all the ink being black.
 *
 * @param curve from tone to ink.
 * @param title one line.
 * @see the .cube format for 1D tables: TITLE, LUT_1D_SIZE, DOMAIN_MIN, DOMAIN_MAX, and rows of three numbers; from memory
 */
export function curveCube(curve: Curve, title: string): string {
  const line = title.replace(/["\r\n]/g, ' ').trim()
  const rows = rowsOf(curve, toneOfCode).map(({ ink }) =>
    new Array<string>(3).fill((1 - ink).toFixed(6)).join(' '),
  )
  return [
    `TITLE "${line}"`,
    '# From a grey picture in sRGB to its negative, black being all the ink. Do not invert it again.',
    `LUT_1D_SIZE ${STEPS}`,
    'DOMAIN_MIN 0.0 0.0 0.0',
    'DOMAIN_MAX 1.0 1.0 1.0',
    ...rows,
    '',
  ].join('\n')
}

/** A curve as CSV: tone of the picture and ink of the film, both in percent. @see RFC 4180 */
export const curveCsv = (curve: Curve): string =>
  Papa.unparse(
    rowsOf(curve, evenly).map(({ tone, ink }) => ({
      [TONE]: (100 * tone).toFixed(3),
      [INK]: (100 * ink).toFixed(3),
    })),
  )

/** Columns of a curve as this app writes it. */
export const [TONE, INK] = ['tone, % lightness', 'ink, %']

/**
 * A curve as a CGATS table: L* of the picture, and the ink of the film in percent.
 *
 * @see ANSI CGATS.17 (keywords, LAB_L; from memory)
 */
export function curveCgats(curve: Curve, originator: string, day: string): string {
  const rows = rowsOf(curve, evenly)
  return [
    'CGATS.17',
    `ORIGINATOR "${originator}"`,
    `CREATED "${day}"`,
    'NUMBER_OF_FIELDS 3',
    'BEGIN_DATA_FORMAT',
    'SAMPLE_ID LAB_L GRAY_INK',
    'END_DATA_FORMAT',
    `NUMBER_OF_SETS ${rows.length}`,
    'BEGIN_DATA',
    ...rows.map(({ tone, ink }, i) => `${i + 1} ${(100 * tone).toFixed(3)} ${(100 * ink).toFixed(3)}`),
    'END_DATA',
    '',
  ].join('\n')
}
