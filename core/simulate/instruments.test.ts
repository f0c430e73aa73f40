import fc from 'fast-check'
import { readLine } from '../instrument/protocol'
import { densityOf, VIRTUAL_COATS } from '../tone/printResponse'
import { simulatedBench, virtualInstrument, type InstrumentKind } from './instruments'
import { seededRandom } from '../quantity/random'

const T = 1_790_000_000_000
const stand = (kind: InstrumentKind, bench = simulatedBench(T), seed = 1) => ({
  bench,
  device: virtualInstrument(kind, bench, seededRandom(seed)),
})
const value = (lines: string[] | null) => {
  const read = readLine(lines?.[0] ?? '')
  return read.kind === 'reading' ? read.value : Number.NaN
}

describe('the stand-ins', () => {
  it('say who they are', () => {
    expect(readLine(stand('balance').device.hear('*IDN?', T)![0]!)).toMatchObject({
      kind: 'identity',
      model: 'BALANCE',
    })
  })

  it('the meter sees the lamp of the exposure unit warm up, and go out', () => {
    const { bench, device: meter } = stand('uv-meter')
    const unit = virtualInstrument('exposure-unit', bench, seededRandom(2))
    expect(value(meter.hear('MEAS:IRR?', T))).toBeCloseTo(4.82, 1)
    unit.hear('OUTP OFF', T)
    expect(unit.hear('OUTP?', T)).toEqual(['OUTP 0'])
    expect(value(meter.hear('MEAS:IRR?', T))).toBeLessThan(0.1)
    unit.hear('OUTP ON', T)
    expect(value(meter.hear('MEAS:IRR?', T)) / 4.82).toBeCloseTo(0.55, 1)
    expect(value(meter.hear('MEAS:IRR?', T + 900_000)) / 4.82).toBeCloseTo(1, 1)
  })

  it('the meter sends by itself when asked, until told to stop', () => {
    const { device } = stand('uv-meter')
    expect(device.beat(T)).toEqual([])
    device.hear('MEAS:IRR:CONT 10', T)
    expect(device.period()).toBe(100)
    expect(value(device.beat(T))).toBeCloseTo(4.82, 1)
    device.hear('ABOR', T)
    expect(device.period()).toBeNull()
  })

  it('the densitometer reads what lies under it, patch by patch', () => {
    const { device } = stand('densitometer')
    device.hear('SIM:PATCH 200,400,800', T)
    const density = densityOf(VIRTUAL_COATS.developingOut)
    for (const dose of [200, 400, 800, 200])
      expect(Math.abs(value(device.hear('MEAS:DENS?', T)) - density(dose))).toBeLessThan(0.025)
  })

  it('the balance weighs over its tare', () => {
    const { device } = stand('balance')
    device.hear('SIM:LOAD 41.2', T)
    device.hear('CAL:ZERO', T)
    device.hear('SIM:LOAD 53.2', T)
    expect(value(device.hear('MEAS:MASS?', T))).toBeCloseTo(12, 1)
  })

  it('the meter takes its zero in the dark only', () => {
    const { bench, device } = stand('uv-meter')
    device.hear('CAL:ZERO', T)
    expect(device.hear('SYST:ERR?', T)).toEqual(['ERR -221,"Settings conflict"'])
    bench.litAt = null
    device.hear('CAL:ZERO', T)
    expect(value(device.hear('MEAS:IRR?', T))).toBeLessThan(0.003)
  })

  it('the hygrometer tells the room', () => {
    const { device } = stand('hygrometer')
    device.hear('SIM:ROOM 18.5,62', T)
    expect(value(device.hear('MEAS:TEMP?', T))).toBeCloseTo(18.5, 0)
    expect(Math.abs(value(device.hear('MEAS:HUM?', T)) - 62)).toBeLessThan(2)
  })

  it('keep their errors until asked', () => {
    const { device } = stand('balance')
    expect(device.hear('MEAS:IRR?', T)).toEqual([])
    expect(device.hear('&&&', T)).toEqual([])
    expect(device.hear('SYST:ERR?', T)).toEqual(['ERR -113,"Undefined header"'])
    expect(device.hear('SYST:ERR?', T)).toEqual(['ERR -102,"Syntax error"'])
    expect(device.hear('SYST:ERR?', T)).toEqual(['ERR 0,"No error"'])
  })

  it('are the same for the same seed', () => {
    const row = () =>
      Array.from({ length: 20 }, (_, i) =>
        stand('uv-meter', simulatedBench(T), 9).device.hear('MEAS:IRR?', T + i),
      )
    expect(row()).toEqual(row())
  })
})

describe('told to misbehave, the meter', () => {
  const faulty = (fault: string) => {
    const { device } = stand('uv-meter')
    device.hear(`SIM:FAULT ${fault}`, T)
    device.hear('MEAS:IRR:CONT 10', T)
    return device
  }
  it('drops the connection', () => expect(faulty('drop').beat(T)).toBeNull())
  it('sticks', () => {
    const device = faulty('stick')
    expect(new Set(Array.from({ length: 9 }, (_, i) => device.beat(T + i)![0])).size).toBe(1)
  })
  it('sends garbage, of which nothing is believed', () => {
    const device = faulty('garbage')
    for (let i = 0; i < 200; i++) expect(['noise', 'error']).toContain(readLine(device.beat(T + i)![0]!).kind)
  })
  it('drifts', () => expect(value(faulty('drift').beat(T + 120_000)) / 4.82).toBeCloseTo(1.1, 1))
  it('and comes back', () => {
    const device = faulty('stick')
    device.hear('SIM:FAULT NONE', T)
    expect(new Set(Array.from({ length: 9 }, (_, i) => device.beat(T + i)![0])).size).toBeGreaterThan(1)
  })
})

it('no stand-in breaks at whatever it is told', () => {
  const kinds = fc.constantFrom<InstrumentKind>(
    'uv-meter',
    'densitometer',
    'balance',
    'hygrometer',
    'exposure-unit',
  )
  const lines = fc.array(
    fc.oneof(
      fc.string({ maxLength: 60 }),
      fc.constantFrom(
        'SIM:PATCH',
        'SIM:LOAD -1',
        'SIM:FAULT',
        'OUTP',
        'MEAS:IRR:CONT 0',
        'SIM:PATCH 1,,2',
        'CAL:ZERO',
        'MEAS:DENS?',
      ),
    ),
    { maxLength: 20 },
  )
  fc.assert(
    fc.property(kinds, lines, (kind, told) => {
      const { device } = stand(kind)
      for (const line of told) expect(() => device.hear(line, T)).not.toThrow()
      expect(() => device.beat(T)).not.toThrow()
    }),
    { numRuns: 500 },
  )
})
