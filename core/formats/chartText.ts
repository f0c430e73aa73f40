import Papa from 'papaparse'
import { refusalAt } from '../errors'
import { densityFromLightness } from '../tone/density'

/** One reading of a chart from a file: which patch it belongs to, where the file says so, and its density. */
export interface ReadingRow {
  /** Name of the patch, such as A1 or 17; empty where the file has none. */
  id: string
  density: number
}

/** What a column of a file may hold, in the order in which they are preferred. */
type Scale = 'density' | 'lightness' | 'xyzY' | 'percent'

/** Names of columns as CGATS.17 has them, and as spreadsheets usually do. */
const COLUMNS: readonly (readonly [RegExp, Scale])[] = [
  [/^(d_vis|d_visual|vis_?d|density|d|d_k)$/i, 'density'],
  [/^(lab_l|l\*?|lightness|cie_l\*?)$/i, 'lightness'],
  [/^(xyz_y|cie_y)$/i, 'xyzY'],
  [/^(reflectance|r%|r|percent)$/i, 'percent'],
]
const IDS = /^(sample_id|sample_name|sampleid|id|patch|sample_loc|step|no\.?|nr)$/i

/**
 * Readings of a chart from a text file: CGATS.17, or CSV with a row of names, or bare numbers one a line.
 *
 * @param scaleOfBare what bare numbers are.
 * @throws CoreError `empty`, `no-column`, `not-a-number`, `cut-off` with the line that is wrong.
 * @see ANSI CGATS.17 (keywords BEGIN_DATA_FORMAT, BEGIN_DATA, NUMBER_OF_SETS; from memory); RFC 4180 (CSV)
 */
export function readReadings(text: string, scaleOfBare: 'density' | 'lightness' = 'density'): ReadingRow[] {
  const clean = text.replace(/^\uFEFF/, '')
  if (!clean.trim()) throw refuse('empty', 'The file is empty.', 'Choose a file with one patch per row.')
  return /^\s*BEGIN_DATA_FORMAT\s*$/m.test(clean) ? fromCgats(clean) : fromCsv(clean, scaleOfBare)
}

function fromCgats(text: string): ReadingRow[] {
  const lines = text.split(/\r\n|\r|\n/)
  const between = (begin: string, end: string) => {
    const from = lines.findIndex((line) => line.trim() === begin)
    const to = lines.findIndex((line, i) => i > from && line.trim() === end)
    if (from < 0 || to < 0)
      throw refuse(
        'cut-off',
        `The file has no ${from < 0 ? begin : end}.`,
        'The file is incomplete. Export it again.',
      )
    return lines.slice(from + 1, to).map((line, i) => ({ line: from + 2 + i, fields: fieldsOf(line) }))
  }
  const names = between('BEGIN_DATA_FORMAT', 'END_DATA_FORMAT').flatMap(({ fields }) => fields)
  const rows = between('BEGIN_DATA', 'END_DATA').filter(({ fields }) => fields.length)
  const said = /^\s*NUMBER_OF_SETS\s+(\d+)/m.exec(text)?.[1]
  if (said !== undefined && Number(said) !== rows.length)
    throw refuse(
      'cut-off',
      `The file announces ${said} patches but has ${rows.length}.`,
      'The file is incomplete or was edited. Export it again.',
    )
  return readingsOf(names, rows)
}

/** Words of a line; what is in quotes is one. A comment begins at a hash. */
const fieldsOf = (line: string): string[] =>
  [...line.replace(/(^|\s)#.*$/, '').matchAll(/"([^"]*)"|(\S+)/g)].map((match) => match[1] ?? match[2] ?? '')

function fromCsv(text: string, scaleOfBare: 'density' | 'lightness'): ReadingRow[] {
  const { data } = Papa.parse<string[]>(text, { skipEmptyLines: 'greedy' })
  const rows = data.map((fields, i) => ({ line: i + 1, fields: fields.map((field) => field.trim()) }))
  const [first] = rows
  const isNumber = (field: string) => Number.isFinite(numberOf(field))
  if (first?.fields.every(isNumber) && first.fields.length === 1)
    return readingsOf([scaleOfBare === 'density' ? 'D_VIS' : 'LAB_L'], rows)
  if (first?.fields.length === 2 && isNumber(first.fields[1] ?? ''))
    return readingsOf(['SAMPLE_ID', scaleOfBare === 'density' ? 'D_VIS' : 'LAB_L'], rows)
  return readingsOf(first?.fields ?? [], rows.slice(1))
}

function readingsOf(
  names: readonly string[],
  rows: readonly { line: number; fields: string[] }[],
): ReadingRow[] {
  const id = names.findIndex((name) => IDS.test(name.trim()))
  let column = -1
  let scale: Scale = 'density'
  for (const [pattern, of] of COLUMNS) {
    column = names.findIndex((name) => pattern.test(name.trim()))
    scale = of
    if (column >= 0) break
  }
  if (column < 0)
    throw refuse(
      'no-column',
      `No column has known readings: ${names.slice(0, 8).join(', ') || 'there are none'}.`,
      'Name one of them D_VIS for density, LAB_L for L*, or XYZ_Y.',
    )
  if (!rows.length) throw refuse('empty', 'The file has no patches.', 'Choose a file with one patch per row.')
  return rows.map(({ line, fields }) => {
    const text = fields[column] ?? ''
    const value = numberOf(text)
    if (!Number.isFinite(value))
      throw refuse(
        'not-a-number',
        `Line ${line}: “${text}” is not a reading.`,
        'Correct or remove that line.',
      )
    return { id: id < 0 ? '' : (fields[id] ?? ''), density: densityOf(value, scale, line) }
  })
}

function densityOf(value: number, scale: Scale, line: number): number {
  if (scale === 'density') {
    if (value < -0.5 || value > 6)
      throw refuse(
        'out-of-range',
        `Line ${line}: ${value} is not a plausible print density.`,
        'Densities range from 0 to about 2.5. Put L* in a column named LAB_L.',
      )
    return value
  }
  if (scale === 'lightness') return densityFromLightness(value)
  const share = value / 100
  if (!(share > 0 && share < 4))
    throw refuse(
      'out-of-range',
      `Line ${line}: ${value} is not a plausible reading.`,
      'Values range from 0 to 100.',
    )
  return -Math.log10(share)
}

/** A number with a point or a comma; nothing is not a number. */
const numberOf = (text: string): number => (text.trim() ? Number(text.trim().replace(',', '.')) : Number.NaN)

const refuse = refusalAt('the readings')

/** A patch as it goes out of the app. */
export interface WrittenPatch {
  id: string
  /** Ink on the film, 0 to 1. */
  ink: number
  density: number
}

/** Readings as CSV, RFC 4180, with a row of names. */
export const readingsCsv = (patches: readonly WrittenPatch[]): string =>
  Papa.unparse(
    patches.map(({ id, ink, density }) => ({
      SAMPLE_ID: id,
      INK: ink.toFixed(4),
      D_VIS: density.toFixed(4),
    })),
    { newline: '\r\n' },
  )

/** Readings as CGATS.17 text. */
export function readingsCgats(patches: readonly WrittenPatch[], originator: string, created: string): string {
  return [
    'CGATS.17',
    `ORIGINATOR "${originator.replaceAll('"', "'")}"`,
    `CREATED "${created}"`,
    'KEYWORD "INK"',
    'NUMBER_OF_FIELDS 3',
    'BEGIN_DATA_FORMAT',
    'SAMPLE_ID INK D_VIS',
    'END_DATA_FORMAT',
    `NUMBER_OF_SETS ${patches.length}`,
    'BEGIN_DATA',
    ...patches.map(({ id, ink, density }) => `${id} ${ink.toFixed(4)} ${density.toFixed(4)}`),
    'END_DATA',
    '',
  ].join('\n')
}
