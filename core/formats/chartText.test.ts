import fc from 'fast-check'
import { lightnessFromDensity } from '../tone/density'
import { readingsCgats, readingsCsv, readReadings } from './chartText'

const CGATS = `CGATS.17
ORIGINATOR "a densitometer"
CREATED "2026-11-20"
INSTRUMENTATION "virtual"   # a comment
NUMBER_OF_FIELDS 5
BEGIN_DATA_FORMAT
SAMPLE_ID SAMPLE_NAME LAB_L LAB_A LAB_B
END_DATA_FORMAT
NUMBER_OF_SETS 3
BEGIN_DATA
1 "clear film" 18.42 1.1 -3.2
2 B2 54.10 0.4 -2.0
3 "all ink" 95.00 -0.2 4.4
END_DATA
`

describe('readings from a file', () => {
  it('CGATS.17 by its keywords: quoted names, comments, L*', () => {
    const rows = readReadings(CGATS)
    expect(rows.map(({ id }) => id)).toEqual(['1', '2', '3'])
    expect(rows.map(({ density }) => lightnessFromDensity(density).toFixed(2))).toEqual([
      '18.42',
      '54.10',
      '95.00',
    ])
  })

  it('CGATS.17 with densities over two lines of names, Windows line ends, and the density preferred', () => {
    const text = CGATS.replace('SAMPLE_ID SAMPLE_NAME LAB_L', 'SAMPLE_ID SAMPLE_NAME\nD_VIS').replaceAll(
      '\n',
      '\r\n',
    )
    expect(
      readReadings(
        text.replaceAll('18.42', '1.62').replaceAll('54.10', '0.7').replaceAll('95.00', '0.06'),
      ).map(({ density }) => density),
    ).toEqual([1.62, 0.7, 0.06])
  })

  // RFC 4180, section 2: quoted fields, doubled quotes, commas and line breaks inside them, a last line without a break.
  it.each([
    ['plain', 'id,density\r\nA1,1.62\r\nA2,0.70', ['A1', 'A2'], [1.62, 0.7]],
    ['quoted', '"id","density"\r\n"A, 1","1.62"\r\n"A ""2""","0.70"\r\n', ['A, 1', 'A "2"'], [1.62, 0.7]],
    ['a break in a name', 'id,density\n"A\n1",1.5\n', ['A\n1'], [1.5]],
    ['semicolons and commas for points', 'id;density\nA1;1,62\nA2;0,7\n', ['A1', 'A2'], [1.62, 0.7]],
    ['a byte order mark', '\uFEFFSAMPLE_ID,D_VIS\n1,0.3\n', ['1'], [0.3]],
    ['bare numbers', '1.6\n1.2\n0.4\n', ['', '', ''], [1.6, 1.2, 0.4]],
    ['pairs without names', '1,1.6\n2,1.2\n', ['1', '2'], [1.6, 1.2]],
    ['reflectance in per cent', 'patch,R%\n1,10\n', ['1'], [1]],
    ['tabs and Y', 'SAMPLE_ID\tXYZ_X\tXYZ_Y\n7\t1\t1\n', ['7'], [2]],
  ])('CSV: %s', (_, text, ids, densities) => {
    const rows = readReadings(text)
    expect(rows.map(({ id }) => id)).toEqual(ids)
    rows.forEach(({ density }, i) => expect(density).toBeCloseTo(densities[i]!, 9))
  })

  it('takes bare numbers as L* where it is told so', () =>
    expect(lightnessFromDensity(readReadings('50\n60\n', 'lightness')[0]!.density)).toBeCloseTo(50))

  it.each([
    ['empty', '  \n', /empty/],
    ['no-column', 'a,b\n1,2\nx,y\n', /a, b/],
    ['no-column', 'name,red,green\n1,2,3\n', /D_VIS/],
    ['not-a-number', 'id,density\nA1,dark\n', /Line 2.*dark/],
    ['not-a-number', 'id,density\nA1\n', /Line 2/],
    ['out-of-range', 'id,density\nA1,85\n', /LAB_L/],
    ['out-of-range', 'id,XYZ_Y\nA1,-2\n', /Line 2/],
    ['cut-off', CGATS.replace('END_DATA\n', ''), /END_DATA/],
    ['cut-off', CGATS.replace('2 B2 54.10 0.4 -2.0\n', ''), /3 patches but has 2/],
    ['empty', 'id,density\n', /no patches/],
  ])('refuses what is %s', (code, text, words) => {
    const read = () => readReadings(text)
    expect(read).toThrow(expect.objectContaining({ code }))
    expect(read).toThrow(words)
  })

  it('never fails otherwise than by a refusal', () =>
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string(),
          fc.string().map((text) => CGATS.slice(0, 200) + text),
        ),
        (text) => {
          try {
            readReadings(text)
          } catch (error) {
            expect(error).toMatchObject({ name: 'CoreError' })
          }
        },
      ),
      { numRuns: 300 },
    ))
})

describe('readings to a file', () => {
  const patches = [
    { id: 'A1', ink: 0, density: 1.6234 },
    { id: 'B, 2', ink: 0.5, density: 0.7 },
  ]

  it('come back from CSV, its names quoted where they must be', () => {
    const text = readingsCsv(patches)
    expect(text).toBe('SAMPLE_ID,INK,D_VIS\r\nA1,0.0000,1.6234\r\n"B, 2",0.5000,0.7000')
    expect(readReadings(text)).toEqual(patches.map(({ id, density }) => ({ id, density })))
  })

  it('come back from CGATS.17', () => {
    const own = [patches[0]!, { ...patches[1]!, id: 'B2' }]
    const text = readingsCgats(own, 'Ember Sheet', '2026-11-25')
    expect(text.split('\n')[0]).toBe('CGATS.17')
    expect(readReadings(text)).toEqual(own.map(({ id, density }) => ({ id, density })))
  })
})
