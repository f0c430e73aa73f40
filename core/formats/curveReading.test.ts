import { inkOf, solveCurve } from '../tone/curve'
import { patchesOfCurve, readCurve } from './curveReading'
import { curveCgats, curveCsv, curveCube } from './curveText'

const bent = { tones: [0, 0.25, 0.5, 0.75, 1], inks: [0.05, 0.12, 0.3, 0.55, 0.9] }
/** L* by a coded value of sRGB, by the formulas of IEC 61966-2-1 and CIE 15, from memory. */
const lightnessOfCode = (code: number) => {
  const light = code <= 0.04045 ? code / 12.92 : ((code + 0.055) / 1.055) ** 2.4
  return light > 216 / 24389 ? 116 * light ** (1 / 3) - 16 : (24389 / 27) * light
}
const cube = (rows: readonly number[], head = '') =>
  `TITLE "Old box"\n# made elsewhere\n${head}LUT_1D_SIZE ${rows.length}\n${rows.map((y) => `${y} ${y} ${y}`).join('\n')}\n`
const even = Array.from({ length: 11 }, (_, i) => i / 10)

describe('a curve comes back in', () => {
  it.each([
    ['.cube', curveCube(bent, 'Rag')],
    ['CSV', curveCsv(bent)],
  ])('as it left, by %s', (_, text) => {
    const back = inkOf(readCurve(text, 'codes'))
    for (const tone of even) expect(back(tone)).toBeCloseTo(inkOf(bent)(tone), 2)
  })

  it('a .cube is for a grey picture in sRGB: a code of a half is L* 53.4', () => {
    const rows = curveCube(bent, 'Rag').split('\n').filter((line) => /^\d/.test(line)) // prettier-ignore
    // CIE L* of code 128: 53.59, as colour tables have it.
    expect(lightnessOfCode(128 / 255)).toBeCloseTo(53.59, 1)
    expect(1 - Number(rows[128]!.split(' ')[0])).toBeCloseTo(inkOf(bent)(0.5359), 3)
  })

  it('falling or rising, in shares, percent or codes, in any order', () => {
    const falling = readCurve(cube(even.map((x) => 1 - x ** 2)), 'codes')
    expect(falling.title).toBe('Old box')
    falling.tones.forEach((tone, i) => {
      expect(100 * tone).toBeCloseTo(lightnessOfCode(i / 10), 6)
      expect(falling.inks[i]).toBeCloseTo((i / 10) ** 2, 6)
    })
    const percent = even.map((x) => `${100 * x};${100 * x ** 2}`).reverse().join('\n') // prettier-ignore
    const codes = `in,out\n${even.map((x) => `${255 * x},${255 * (1 - x ** 2)}`).join('\n')}`
    for (const text of [percent, codes]) {
      const { tones, inks } = readCurve(text, 'lightness')
      expect(tones.map((one) => +one.toFixed(6))).toEqual(even)
      inks.forEach((ink, i) => expect(ink).toBeCloseTo((i / 10) ** 2, 6))
    }
  })

  it('over the domain that the table names', () => {
    const { tones } = readCurve(cube(even, 'DOMAIN_MIN 0 0 0\nDOMAIN_MAX 0.5 0.5 0.5\n'), 'lightness')
    expect(tones.at(-1)).toBeCloseTo(0.5, 9)
  })

  it.each([
    ['a colour table', 'LUT_3D_SIZE 2\n0 0 0\n1 1 1\n', 'colour'],
    ['a table that colours', 'LUT_1D_SIZE 5\n0 0 0\n.2 .3 .2\n.4 .4 .4\n.6 .6 .6\n1 1 1', 'colour'],
    ['a table cut off', 'LUT_1D_SIZE 9\n0 0 0\n1 1 1\n', 'no-curve'],
    ['a curve that turns', cube([0, 0.3, 0.6, 0.4, 0.8, 1]), 'turns'],
    ['a level curve', cube([0.5, 0.5, 0.5, 0.5, 0.5, 0.5]), 'no-curve'],
    ['three rows', '0,0\n0.5,0.5\n1,1', 'no-curve'],
    ['words', 'a,b\n0,0\n0.2,none\n0.4,1', 'not-a-number'],
    ['broken numbers', 'LUT_1D_SIZE 2\n0 0\n1 1 1\n', 'not-a-number'],
    ['nothing', '', 'no-curve'],
  ])('%s is refused', (_, text, code) =>
    expect(() => readCurve(text, 'codes')).toThrow(expect.objectContaining({ code })),
  )
})

describe('a curve taken at its word', () => {
  it('gives the same curve again when it is solved', () => {
    const read = readCurve(curveCsv(bent), 'codes')
    const again = inkOf(solveCurve(patchesOfCurve(read, 0.08, 1.4)))
    // Within what a film of eight bits shows of it.
    for (const tone of even) expect(Math.abs(again(tone) - inkOf(bent)(tone))).toBeLessThan(0.008)
  })

  it('also where it is level at its ends', () => {
    const flat = { tones: even, inks: even.map((x) => Math.min(1, Math.max(0, 1.4 * x - 0.2))) }
    const again = inkOf(solveCurve(patchesOfCurve(flat, 0.08, 1.4)))
    expect([again(0), again(1)].map((one) => +one.toFixed(3))).toEqual([0, 1])
    expect(again(0.5)).toBeCloseTo(0.5, 2)
  })

  it('needs a black that is one', () =>
    expect(() => patchesOfCurve(bent, 0.5, 0.4)).toThrow(expect.objectContaining({ code: 'no-curve' })))
})

it('a curve leaves as a CGATS table: as many sets as it says', () => {
  const lines = curveCgats(bent, 'Ember Sheet', '2026-12-01').split('\n')
  const said = Number(/NUMBER_OF_SETS (\d+)/.exec(lines.join('\n'))![1])
  const rows = lines.slice(lines.indexOf('BEGIN_DATA') + 1, lines.indexOf('END_DATA'))
  expect(rows).toHaveLength(said)
  expect(rows[0]).toBe('1 0.000 5.000')
  expect(rows.at(-1)).toBe(`${said} 100.000 90.000`)
})
