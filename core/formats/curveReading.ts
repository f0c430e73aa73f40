import Papa from 'papaparse'
import { refusalAt } from '../errors'
import type { ChartPatch } from '../tone/curve'
import { densityFromLightness, lightnessFromDensity } from '../tone/density'
import { INK, TONE, toneOfCode } from './curveText'

/** What the tones of a picture are in a file that does not say so: coded values of a grey picture in sRGB, or L*. */
export type ToneScale = 'codes' | 'lightness'

/** A curve made elsewhere: how much ink prints each tone. Rising tones, rising ink. */
export interface ReadCurve {
  tones: number[]
  inks: number[]
  /** The file's own name of it; empty where it has none. */
  title: string
}

/** Fewer rows than this are no curve. */
const FEWEST = 5
/** A row that goes the wrong way by no more than this was rounded. */
const ROUNDED = 0.004

/**
 * Reads a curve that another program made: a 1D table in .cube, or CSV of two columns.
 *
 * A curve that falls is one from the picture to its negative; one that rises is applied to the picture before it is inverted.
 * Numbers are shares, percent or eight-bit codes, as the largest of them shows.
 *
 * @param scale of the tones, where the file does not name it.
 * @throws CoreError `no-curve`, `not-a-number`, `colour`, `turns`.
 */
export function readCurve(text: string, scale: ToneScale): ReadCurve {
  const clean = text.replace(/^\uFEFF/, '')
  const read = /^\s*LUT_[13]D_SIZE/m.test(clean) ? fromCube(clean) : fromCsv(clean)
  const scaleOfFile = read.isLightness ? 'lightness' : scale
  const rows = read.rows.map(([x, y]) => [scaleOfFile === 'codes' ? toneOfCode(x) : x, y] as const)
  if (rows.length < FEWEST) throw refuse('no-curve', `The file has ${rows.length} rows of a curve.`)
  const sorted = rows.toSorted((a, b) => a[0] - b[0])
  const falls = (sorted.at(-1)?.[1] ?? 0) < (sorted[0]?.[1] ?? 0)
  const tones: number[] = []
  const inks: number[] = []
  for (const [tone, value] of sorted) {
    const ink = falls ? 1 - value : value
    const before = inks.at(-1) ?? 0
    if (ink < before - ROUNDED)
      throw refuse('turns', 'This curve turns back: of two tones the lighter one would get less ink.')
    if (tones.length && tone - (tones.at(-1) ?? 0) < 1e-6) continue
    tones.push(tone)
    inks.push(Math.min(1, Math.max(before, ink)))
  }
  if ((inks.at(-1) ?? 0) - (inks[0] ?? 0) < 0.1)
    throw refuse('no-curve', 'This curve is nearly level: it would print one tone.')
  return { tones, inks, title: read.title }
}

/** A file's rows with both numbers as shares, before it is known what the tones are. */
interface Table {
  rows: [number, number][]
  title: string
  isLightness: boolean
}

function fromCube(text: string): Table {
  if (/^\s*LUT_3D_SIZE/m.test(text))
    throw refuse('colour', 'This is a 3D table for colours.', 'Export a 1D table of a grey curve.')
  const lines = text.split(/\r\n|\r|\n/)
  const numbers = (after: string) =>
    lines
      .find((line) => line.trim().startsWith(after))
      ?.trim()
      .split(/\s+/)
      .slice(1)
      .map(Number)
  const low = numbers('DOMAIN_MIN')?.[0] ?? 0
  const high = numbers('DOMAIN_MAX')?.[0] ?? 1
  const rows = lines.flatMap((line, i) => {
    if (!/^\s*[-+.\d]/.test(line)) return []
    const values = line.trim().split(/\s+/).map(Number)
    if (values.length !== 3 || values.some((value) => !Number.isFinite(value)))
      throw refuse('not-a-number', `Line ${i + 1} of the table is not three numbers.`)
    if (Math.max(...values) - Math.min(...values) > 2 * ROUNDED)
      throw refuse(
        'colour',
        'This table treats red, green and blue differently.',
        'Export the curve of a grey picture.',
      )
    return [values[1] ?? 0]
  })
  const size = numbers('LUT_1D_SIZE')?.[0]
  if (size !== rows.length)
    throw refuse('no-curve', `The table announces ${size} rows but has ${rows.length}.`)
  return {
    rows: rows.map((value, i) => [low + ((high - low) * i) / (rows.length - 1), value]),
    title: /^\s*TITLE\s+"(.*)"/m.exec(text)?.[1] ?? '',
    isLightness: false,
  }
}

function fromCsv(text: string): Table {
  const { data } = Papa.parse<string[]>(text, { skipEmptyLines: 'greedy' })
  const [head] = data
  const numbersOf = (row: readonly string[]) =>
    row.slice(0, 2).map((field) => Number(field.trim().replace(',', '.')))
  const isHead = !!head && numbersOf(head).some((value) => !Number.isFinite(value))
  const rows = (isHead ? data.slice(1) : data).map((row, i) => {
    const values = numbersOf(row)
    if (row.length < 2 || values.some((value) => !Number.isFinite(value)))
      throw refuse('not-a-number', `Row ${i + 1 + Number(isHead)} is not two numbers.`)
    return values as [number, number]
  })
  const scaled = [0, 1].map((column) => {
    const most = Math.max(...rows.map((row) => row[column] ?? 0))
    return most <= 1 ? 1 : most <= 100 ? 100 : 255
  })
  return {
    rows: rows.map(([x, y]) => [x / (scaled[0] ?? 1), y / (scaled[1] ?? 1)]),
    title: '',
    isLightness: head?.[0]?.trim() === TONE && head[1]?.trim() === INK,
  }
}

/**
 * What a curve made elsewhere says of its process: it prints each tone as evenly as it claims.
 *
 * @param white and `black` densities of a print through it.
 * @returns one patch for every tone, as if a chart had been read.
 * @throws CoreError `no-curve` where black is not darker than white.
 */
export function patchesOfCurve(
  { tones, inks }: Pick<ReadCurve, 'tones' | 'inks'>,
  white: number,
  black: number,
): ChartPatch[] {
  if (!(black - white > 0.2))
    throw refuse('no-curve', 'The black is not darker than the white.', 'Enter the densities of a print through this curve.') // prettier-ignore
  const [dark, light] = [lightnessFromDensity(black), lightnessFromDensity(white)]
  // Where ink is level, the tones in the middle of that stretch say most of what it prints.
  const byInk = new Map<number, number[]>()
  inks.forEach((ink, i) => byInk.set(ink, [...(byInk.get(ink) ?? []), tones[i] ?? 0]))
  return [...byInk].map(([ink, own]) => {
    const tone =
      ink <= 0 ? Math.max(...own) : ink >= 1 ? Math.min(...own) : ((own[0] ?? 0) + (own.at(-1) ?? 0)) / 2
    return { ink, densities: [densityFromLightness(Math.max(0.5, dark + tone * (light - dark)))] }
  })
}

const refuseCurve = refusalAt('the curve')
const refuse = (
  code: string,
  problem: string,
  remedy = 'Choose a 1D table (.cube) or a CSV of two columns: tone of the picture, and tone of the negative or ink.',
) => refuseCurve(code, problem, remedy)
