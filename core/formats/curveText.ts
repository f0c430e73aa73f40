import Papa from 'papaparse'
import { inkOf, type NegativeCurve } from '../tone/curve'

/** Steps of a curve as it leaves: those of eight bits, which every image editor reads. */
const STEPS = 256

const rowsOf = (curve: Pick<NegativeCurve, 'tones' | 'inks'>): { tone: number; ink: number }[] => {
  const ink = inkOf(curve)
  return Array.from({ length: STEPS }, (_, i) => ({ tone: i / (STEPS - 1), ink: ink(i / (STEPS - 1)) }))
}

/**
 * A curve as a 1D lookup table, to be laid on a picture in an image editor: in goes the tone of the picture, out comes the
 * tone of a negative that prints it, all the ink being black.
 *
 * @param curve from tone to ink.
 * @param title one line.
 * @see the .cube format for 1D tables: TITLE, LUT_1D_SIZE, DOMAIN_MIN, DOMAIN_MAX, and rows of three numbers; from memory
 */
export function curveCube(curve: Pick<NegativeCurve, 'tones' | 'inks'>, title: string): string {
  const line = title.replace(/["\r\n]/g, ' ').trim()
  const rows = rowsOf(curve).map(({ ink }) => new Array<string>(3).fill((1 - ink).toFixed(6)).join(' '))
  return [
    `TITLE "${line}"`,
    '# Tone of the picture to tone of the negative, black being all the ink. Do not invert it again.',
    `LUT_1D_SIZE ${STEPS}`,
    'DOMAIN_MIN 0.0 0.0 0.0',
    'DOMAIN_MAX 1.0 1.0 1.0',
    ...rows,
    '',
  ].join('\n')
}

/** A curve as CSV: tone of the picture and ink of the film, both in percent. @see RFC 4180 */
export const curveCsv = (curve: Pick<NegativeCurve, 'tones' | 'inks'>): string =>
  Papa.unparse(
    rowsOf(curve).map(({ tone, ink }) => ({
      'tone, % lightness': (100 * tone).toFixed(3),
      'ink, %': (100 * ink).toFixed(3),
    })),
  )
