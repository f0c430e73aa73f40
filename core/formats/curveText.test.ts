import Papa from 'papaparse'
import { PLAIN_INVERSION } from '../tone/curve'
import { curveCsv, curveCube } from './curveText'

const bent = { tones: [0, 0.5, 1], inks: [0.1, 0.3, 0.8] }

/** L* by a coded value of sRGB: IEC 61966-2-1 and CIE 15, from memory. */
const lightnessOfCode = (code: number) => {
  const light = code <= 0.04045 ? code / 12.92 : ((code + 0.055) / 1.055) ** 2.4
  return light > 216 / 24389 ? 116 * light ** (1 / 3) - 16 : (24389 / 27) * light
}

describe('a curve as it leaves the app', () => {
  it('is a table that an image editor reads: its head, and as many rows as it says', () => {
    const lines = curveCube(bent, 'Heron rag\n"matt"').split('\n')
    expect(lines[0]).toBe('TITLE "Heron rag  matt"')
    const size = Number(/^LUT_1D_SIZE (\d+)$/m.exec(lines.join('\n'))![1])
    const rows = lines.filter((line) => /^\d/.test(line)).map((line) => line.split(' ').map(Number))
    expect(rows).toHaveLength(size)
    expect(rows.every(([r, g, b]) => r === g && g === b && r! >= 0 && r! <= 1)).toBe(true)
    // Black of the picture is nearly clear film, which is white; its white is most of the ink.
    expect([rows[0]![0], rows.at(-1)![0]]).toEqual([0.9, 0.2])
    // A table never turns: lighter in the picture is darker on the film.
    rows.forEach(([value], i) => i && expect(value!).toBeLessThanOrEqual(rows[i - 1]![0]!))
  })

  it('of plain inversion lays as much ink as the picture is light, L*', () => {
    const rows = curveCube(PLAIN_INVERSION, 'plain').split('\n').filter((line) => /^\d/.test(line)) // prettier-ignore
    rows.forEach((row, i) =>
      expect(100 * (1 - Number(row.split(' ')[0]))).toBeCloseTo(lightnessOfCode(i / 255), 3),
    )
  })

  it('is a spreadsheet with units in its head', () => {
    const { data, meta } = Papa.parse<Record<string, string>>(curveCsv(bent), { header: true })
    expect(meta.fields).toEqual(['tone, % lightness', 'ink, %'])
    expect(data).toHaveLength(256)
    expect(data[0]).toEqual({ 'tone, % lightness': '0.000', 'ink, %': '10.000' })
    expect(Number(data.at(-1)!['ink, %'])).toBeCloseTo(80, 3)
  })
})
