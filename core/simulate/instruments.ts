import {
  readCommand,
  readNumber,
  writeReading,
  type Command,
  type MeasuredQuantity,
} from '../instrument/protocol'
import { warmShare, type WarmUp } from '../light/lamp'
import { densityOf, VIRTUAL_COATS } from '../tone/printResponse'
import { normal } from '../quantity/random'

/** The simulated instruments that take the place of real ones. */
export const INSTRUMENT_KINDS = [
  'uv-meter',
  'densitometer',
  'balance',
  'hygrometer',
  'exposure-unit',
] as const
export type InstrumentKind = (typeof INSTRUMENT_KINDS)[number]

/** How a stand-in can be told to misbehave. */
export const FAULTS = ['none', 'drop', 'stick', 'garbage', 'drift'] as const
export type Fault = (typeof FAULTS)[number]

/** The small world that the stand-ins share: what one does, another sees. */
export interface SimulatedBench {
  /** When the lamp was lit, milliseconds; `null` while it is out. */
  litAt: number | null
  lamp: WarmUp & { milliwattsPerCm2: number }
  /** Doses of the patches that are under the densitometer, mJ/cm², and which coat they are of. */
  patches: number[]
  coat: keyof typeof VIRTUAL_COATS
  /** What is on the balance, grams, its vessel included. */
  load: number
  celsius: number
  relativeHumidity: number
  /** Instruments that were told to misbehave, and since when: they do so until told otherwise, over a reconnection too. */
  faults: Partial<Record<InstrumentKind, { kind: Fault; since: number }>>
}

/** @param now milliseconds; the lamp has burnt for an hour by then. */
export const simulatedBench = (now: number): SimulatedBench => ({
  litAt: now - 3_600_000,
  lamp: { startsAt: 0.55, settlesSeconds: 90, milliwattsPerCm2: 4.82 },
  patches: [],
  coat: 'developingOut',
  load: 0,
  celsius: 20.6,
  relativeHumidity: 48,
  faults: {},
})

const QUANTITY: Readonly<Record<InstrumentKind, readonly MeasuredQuantity[]>> = {
  'uv-meter': ['irradiance'],
  densitometer: ['density'],
  balance: ['mass'],
  hygrometer: ['temperature', 'humidity'],
  'exposure-unit': [],
}
/** Scatter of one reading: a share of it, and an amount. Invented, of the order of small instruments. */
const NOISE: Readonly<Record<MeasuredQuantity, readonly [share: number, amount: number]>> = {
  irradiance: [0.002, 0.0005],
  density: [0, 0.005],
  mass: [0, 0.004],
  temperature: [0, 0.05],
  humidity: [0, 0.3],
}
/** A drifting instrument gains so much of its reading in a minute. */
const DRIFT_A_MINUTE = 0.05
/** Less light than this is a covered sensor, mW/cm². */
const DARK = 0.1
const GARBAGE = [
  'IRR',
  '\u0007\u0000~~',
  'MASS 1E',
  '12,5;;',
  'IRR 99999',
  'ERR',
  '?'.repeat(200),
  'DENS -7',
  'HUM NaN',
]

/** One stand-in: it hears lines and answers lines. Its state is its own; the bench is shared. */
export interface VirtualInstrument {
  kind: InstrumentKind
  /** Answers to one line, in order; `null` when it drops the connection. */
  hear(line: string, now: number): string[] | null
  /** Lines it sends by itself, when asked to measure without end; `null` when it drops the connection. */
  beat(now: number): string[] | null
  /** Milliseconds between two of these, or `null` while it is not measuring by itself. */
  period(): number | null
}

/**
 * A stand-in for an instrument.
 *
 * @param random a repeatable source of noise.
 */
export function virtualInstrument(
  kind: InstrumentKind,
  bench: SimulatedBench,
  random: () => number,
): VirtualInstrument {
  const fault = (): Fault => bench.faults[kind]?.kind ?? 'none'
  let zero = 0
  let stuck: string[] | null = null
  let period: number | null = null
  let patch = 0
  const errors: string[] = []

  const truth: Record<MeasuredQuantity, (now: number) => number> = {
    irradiance: (now) =>
      bench.litAt === null
        ? 0.02
        : bench.lamp.milliwattsPerCm2 * warmShare(bench.lamp, (now - bench.litAt) / 1000),
    density: () => {
      const dose = bench.patches[patch % Math.max(1, bench.patches.length)]
      patch++
      return dose === undefined ? 0.06 : densityOf(VIRTUAL_COATS[bench.coat])(dose)
    },
    mass: () => bench.load,
    temperature: () => bench.celsius,
    humidity: () => bench.relativeHumidity,
  }

  function measure(quantity: MeasuredQuantity, now: number): string {
    const [share, amount] = NOISE[quantity]
    const value = truth[quantity](now)
    const since = bench.faults[kind]?.since ?? now
    const drift = fault() === 'drift' ? 1 + (DRIFT_A_MINUTE * (now - since)) / 60_000 : 1
    const read = (value + (share * value + amount) * normal(random)) * drift - zero
    return writeReading(
      quantity,
      quantity === 'mass' || quantity === 'density' || quantity === 'temperature' ? read : Math.max(0, read),
    )
  }

  /** What a fault makes of an answer. */
  function spoilt(lines: string[]): string[] | null {
    if (fault() === 'drop') return null
    if (fault() === 'garbage')
      return lines.map(() => GARBAGE[Math.floor(random() * GARBAGE.length)] as string)
    if (fault() === 'stick') return (stuck ??= lines)
    return lines
  }

  const refuse = (code: number, text: string): string[] => {
    errors.push(`ERR ${code},"${text}"`)
    return []
  }

  function obey({ header, isQuestion, args }: Command, now: number): string[] | null {
    const measured = QUANTITY[kind].find((quantity) => header === `MEAS:${quantityHeader(quantity)}`)
    if (measured && isQuestion) return spoilt([measure(measured, now)])
    if (header === '*IDN' && isQuestion) return [`IDN EMBER STAND-IN,${kind.toUpperCase()},1,1.0`]
    if (header === '*RST') {
      ;[zero, period, stuck, patch] = [0, null, null, 0]
      bench.faults[kind] = { kind: 'none', since: now }
      return []
    }
    if (header === 'SYST:ERR' && isQuestion) return [errors.shift() ?? 'ERR 0,"No error"']
    if (header === 'MEAS:IRR:CONT' && kind === 'uv-meter') {
      const hertz = readNumber(args[0] ?? '')
      if (hertz === null || hertz <= 0 || hertz > 20) return refuse(-222, 'Data out of range')
      period = 1000 / hertz
      return []
    }
    if (header === 'ABOR') {
      period = null
      return []
    }
    if (header === 'CAL:ZERO') {
      const first = QUANTITY[kind][0]
      const now0 = first === undefined ? 0 : truth[first](now)
      // A meter is zeroed in the dark, a densitometer on its white plate, which a stand-in has none of.
      if (kind === 'uv-meter' && now0 > DARK) return refuse(-221, 'Settings conflict')
      if (kind === 'balance' || kind === 'uv-meter') zero = now0
      return []
    }
    if (header === 'OUTP' && kind === 'exposure-unit') {
      if (isQuestion) return spoilt([`OUTP ${bench.litAt === null ? 0 : 1}`])
      const word = (args[0] ?? '').toUpperCase()
      if (!['ON', 'OFF', '1', '0'].includes(word)) return refuse(-224, 'Illegal parameter value')
      if (word === 'OFF' || word === '0') bench.litAt = null
      else bench.litAt ??= now
      return []
    }
    if (header.startsWith('SIM:')) return simulate(header, args, now)
    return refuse(-113, 'Undefined header')
  }

  /** Commands that only simulated instruments know: what they measure, and how they are to misbehave. */
  function simulate(header: string, args: readonly string[], now: number): string[] {
    const numbers = args.map((arg) => readNumber(arg))
    if (header === 'SIM:FAULT') {
      const wanted = (args[0] ?? '').toLowerCase() as Fault
      if (!FAULTS.includes(wanted)) return refuse(-224, 'Illegal parameter value')
      bench.faults[kind] = { kind: wanted, since: now }
      stuck = null
      return []
    }
    if (numbers.length === 0 || numbers.some((value) => value === null || value < 0 || value > 1e7))
      return refuse(-222, 'Data out of range')
    const values = numbers as number[]
    if (header === 'SIM:PATCH') [bench.patches, patch] = [values.slice(0, 200), 0]
    else if (header === 'SIM:LOAD') bench.load = values[0] ?? 0
    else if (header === 'SIM:ROOM')
      [bench.celsius, bench.relativeHumidity] = [values[0] ?? 20, Math.min(100, values[1] ?? 50)]
    else return refuse(-113, 'Undefined header')
    return []
  }

  return {
    kind,
    hear(line, now) {
      const command = readCommand(line)
      return command ? obey(command, now) : refuse(-102, 'Syntax error')
    },
    beat: (now) => (period === null ? [] : spoilt([measure('irradiance', now)])),
    period: () => period,
  }
}

const quantityHeader = (quantity: MeasuredQuantity): string =>
  ({ irradiance: 'IRR', density: 'DENS', mass: 'MASS', temperature: 'TEMP', humidity: 'HUM' })[quantity]
