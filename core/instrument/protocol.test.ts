import fc from 'fast-check'
import { samples } from '../fixtures/samples'
import {
  lineSplitter,
  LONGEST_LINE,
  QUANTITIES,
  readCommand,
  readLine,
  readNumber,
  writeReading,
  type MeasuredQuantity,
} from './protocol'

describe('readLine', () => {
  it.each([
    ['IRR 4.8200E+00', { kind: 'reading', quantity: 'irradiance', value: 4.82 }],
    ['DENS 1.342', { kind: 'reading', quantity: 'density', value: 1.342 }],
    ['MASS -0.02\r', { kind: 'reading', quantity: 'mass', value: -0.02 }],
    ['HUM 48', { kind: 'reading', quantity: 'humidity', value: 48 }],
    ['OUTP 1', { kind: 'switch', isOn: true }],
    ['ERR -113,"Undefined header"', { kind: 'error', code: -113, text: 'Undefined header' }],
    [
      'IDN STAND-IN,UV METER,3,1.0',
      { kind: 'identity', maker: 'STAND-IN', model: 'UV METER', serial: '3', version: '1.0' },
    ],
  ])('understands %s', (line, meant) => expect(readLine(line)).toEqual(meant))

  it.each([
    '',
    ' ',
    'IRR',
    'IRR ',
    'IRR 4,82',
    'IRR 1e999',
    'IRR NaN',
    'IRR 0x10',
    'IRR 4.82 mW',
    'IRR -3',
    'IRR 5000',
    'HUM 140',
    'OUTP 2',
    'irr 4',
    'ERR x',
    'IDN a,b',
    'IDN ,b,c,d',
    'TEMP 21\u00b0',
    'ÿÿIRR 4',
  ])('takes %j for noise', (line) => expect(readLine(line)).toEqual({ kind: 'noise' }))

  it('survives thousands of malformed lines, and believes none beyond bounds', () => {
    const sound = fc.constantFrom(
      'IRR 4.8200E+00',
      'DENS 1.342',
      'ERR 0,"No error"',
      'IDN a,b,c,d',
      'MASS 12.5',
    )
    const broken = fc
      .tuple(sound, fc.nat(20), fc.string({ maxLength: 6, unit: 'binary' }))
      .map(([line, at, junk]) => line.slice(0, at) + junk + line.slice(at + 1))
    fc.assert(
      fc.property(
        fc.oneof(broken, fc.string({ maxLength: 300 }), fc.string({ maxLength: 60, unit: 'binary' })),
        (line) => {
          const read = readLine(line)
          if (read.kind !== 'reading') return
          const { low, high } = QUANTITIES[read.quantity]
          expect(read.value).toBeGreaterThanOrEqual(low)
          expect(read.value).toBeLessThanOrEqual(high)
        },
      ),
      { numRuns: samples(2000, 10_000) },
    )
  })

  it('reads back what it writes, to five digits', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...(Object.keys(QUANTITIES) as MeasuredQuantity[])),
        fc.double({ min: 0, max: 5.9, noNaN: true }),
        (quantity, value) => {
          const read = readLine(writeReading(quantity, value))
          expect(read.kind === 'reading' && Math.abs(read.value - value) <= 5e-5 * value + 1e-9).toBe(true)
        },
      ),
    )
    expect(writeReading('irradiance', 4.82)).toBe('IRR 4.8200E+00')
  })
})

// IEEE 488.2, numeric response data NR1, NR2 and NR3 (from memory).
it.each([
  ['12', 12],
  ['-1.25', -1.25],
  ['+1.25E+01', 12.5],
  ['.5', 0.5],
  ['1 2', null],
  ['1e', null],
  ['Infinity', null],
  ['', null],
])('%j is the number %s', (text, value) => expect(readNumber(text)).toBe(value))

describe('readCommand', () => {
  it.each([
    ['*IDN?', { header: '*IDN', isQuestion: true, args: [] }],
    ['meas:irr?', { header: 'MEAS:IRR', isQuestion: true, args: [] }],
    ['MEASure:IRRadiance:CONTinuous 10\r', { header: 'MEAS:IRR:CONT', isQuestion: false, args: ['10'] }],
    ['SIM:PATCH 120, 240.5', { header: 'SIM:PATCH', isQuestion: false, args: ['120', '240.5'] }],
  ])('hears %s', (line, command) => expect(readCommand(line)).toEqual(command))
  it.each(['', '??', '12', 'MEAS::IRR', 'MEAS:IRR? ?x\u0001', ':MEAS'])('does not hear %j', (line) =>
    expect(readCommand(line)).toBeNull(),
  )
})

describe('lineSplitter', () => {
  it('gives the same lines however the stream is cut', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.string({ maxLength: 40 }).filter((line) => !line.includes('\n')),
          { maxLength: 12 },
        ),
        fc.array(fc.nat(200), { maxLength: 8 }),
        (lines, cuts) => {
          const stream = lines.map((line) => `${line}\n`).join('')
          const split = lineSplitter()
          const places = [
            0,
            ...cuts.map((cut) => cut % (stream.length + 1)).sort((a, b) => a - b),
            stream.length,
          ]
          const got = places.slice(1).flatMap((to, i) => split(stream.slice(places[i], to)))
          expect(got).toEqual(lines)
        },
      ),
    )
  })

  it('throws away a line without end, and goes on with the next', () => {
    const split = lineSplitter()
    for (let i = 0; i < 1000; i++) expect(split('x'.repeat(LONGEST_LINE))).toEqual([])
    expect(split('tail\nIRR 4\n')).toEqual(['IRR 4'])
  })
})
