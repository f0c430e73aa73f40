import { readLine } from '../instrument/protocol'
import { simulatedBench, virtualInstrument, type Fault } from '../simulate/instruments'
import { seededRandom } from '../quantity/random'
import { doseSeconds, integrateIrradiance, meteredCourse, type Sample } from '../run/dose'
import { warmShare } from './lamp'

const T = 1_790_000_000_000
const MINUTES = 12
const REFERENCE = 4.82

/** One stretch of a session: what the meter does, and how seldom the page gets to listen. */
interface Stretch {
  fromSecond: number
  toSecond: number
  fault?: Fault
  /** Milliseconds between two readings that the page takes note of; nothing at all where it is `Infinity`. */
  every?: number
}

/** Twelve minutes under a lamp that was lit when the cover came off, read ten times a second. */
function session(seed: number, stretches: readonly Stretch[]) {
  const bench = { ...simulatedBench(T), litAt: T }
  const meter = virtualInstrument('uv-meter', bench, seededRandom(seed))
  meter.hear('MEAS:IRR:CONT 10', T)
  const samples: Sample[] = []
  let heard = -Infinity
  let fault: Fault = 'none'
  for (let at = T; at <= T + MINUTES * 60_000; at += 100) {
    const second = (at - T) / 1000
    const now = stretches.find((one) => second >= one.fromSecond && second < one.toSecond)
    if ((now?.fault ?? 'none') !== fault) {
      fault = now?.fault ?? 'none'
      meter.hear(`SIM:FAULT ${fault}`, at)
    }
    for (const line of meter.beat(at) ?? []) {
      const read = readLine(line)
      if (read.kind !== 'reading' || at - heard < (now?.every ?? 200)) continue
      heard = at
      samples.push([at, read.value])
    }
  }
  return samples
}

/** The reference integral: the lamp itself, without noise, every tenth of a second. */
const truth = (() => {
  const { lamp } = simulatedBench(T)
  const exact = Array.from({ length: MINUTES * 600 + 1 }, (_, i): Sample => [
    T + i * 100,
    lamp.milliwattsPerCm2 * warmShare(lamp, i / 10),
  ])
  return integrateIrradiance(exact, T, T + MINUTES * 60_000).millijoulesPerCm2 / REFERENCE
})()

const clock = { startedAt: T, holds: [] }
const counted = (samples: readonly Sample[]) =>
  doseSeconds(meteredCourse(samples, REFERENCE), clock, T + MINUTES * 60_000)

describe('the clock’s dose', () => {
  it.each<[string, Stretch[]]>([
    ['a meter that behaves', []],
    ['a drop-out of a minute', [{ fromSecond: 200, toSecond: 260, fault: 'drop' }]],
    [
      'five short drop-outs while the lamp warms up',
      [20, 50, 90, 130, 170].map((at) => ({ fromSecond: at, toSecond: at + 6, fault: 'drop' as const })),
    ],
    ['a meter that dies for good', [{ fromSecond: 400, toSecond: 720, fault: 'drop' }]],
    ['garbage for two minutes', [{ fromSecond: 240, toSecond: 360, fault: 'garbage' }]],
    ['a tab out of sight, throttled to a reading a second', [{ fromSecond: 60, toSecond: 600, every: 1000 }]],
    [
      'a tab out of sight, throttled to a reading a minute',
      [{ fromSecond: 120, toSecond: 600, every: 60_000 }],
    ],
    ['a reload that loses what was not yet written', [{ fromSecond: 300, toSecond: 304, every: Infinity }]],
  ])('stays within 0.5 %% of the reference integral: %s', (_, stretches) => {
    for (const seed of [1, 2, 3])
      expect(Math.abs(counted(session(seed, stretches)) / truth - 1)).toBeLessThan(0.005)
  })
})
