import { firstExposure, type ExposureInput } from '../process/stepTimes'
import type { Figure } from '../quantity/figure'
import type { ProcessDefinition } from '../schema/definition'
import { CLEAR_SKY, sunLight } from '../sun/irradiance'
import type { ExposureFromBase } from './bases'

/** Zenith of the sun for which times “in the sun” are told: a summer day around noon at middle latitudes. */
const HIGH_SUN_ZENITH = 30

/** Light of a clear, high sun on a frame that is flat at sea level; mW/cm² of 350 to 420 nm. */
export const highSunLight = (): number =>
  sunLight({ zenith: HIGH_SUN_ZENITH, azimuth: 180, distance: 1 }, 0, CLEAR_SKY, 'flat').total

/** Less than this share of a high sun is no light to plan by. */
const LEAST_SHARE = 0.02

/**
 * How far a light is from a clear, high sun.
 *
 * @param light mW/cm² at the frame, above 0.
 * @returns stops; below 0 where it is weaker.
 */
export function stopsFromHighSun(light: Figure): Figure {
  const high = highSunLight()
  return {
    value: Math.log2(light.value / high),
    unit: 'stops',
    working: {
      words: 'stops between this light and a clear, high sun',
      formula: 'n = log₂(E / Eₕ)',
      inputs: [
        {
          name: 'this light',
          symbol: 'E',
          value: light.value,
          unit: 'mW/cm²',
          standing: light.working.standing,
        },
        {
          name: 'a clear, high sun, by the model',
          symbol: 'Eₕ',
          value: high,
          unit: 'mW/cm²',
          standing: 'memory',
        },
      ],
      standing: 'arithmetic',
      source: 'Bird & Riordan 1986, 350 to 420 nm, sun 60° high; formulas from memory',
      leavesOut: 'how the coat answers to other wavelengths of a lamp; make a test strip',
    },
  }
}

/** A first guess, and between what the right exposure probably is; the ends are absent where nothing tells them. */
export interface FirstGuess extends ExposureFromBase {
  low?: number
  high?: number
}

/**
 * A first guess of an exposure. What the trade tells of the sun is taken as told of a clear, high sun, and scaled by the
 * model to the light there is; with it comes how far such a guess may be out.
 *
 * @param expected light at the frame now, mW/cm² of 350 to 420 nm; `null` where the place of the sun is not known.
 * @returns seconds, and the dose where the light is known; for other lights and for a time of one's own that time.
 * @throws CoreError `no-light` as `firstExposure`.
 */
export function firstGuess(
  definition: ProcessDefinition,
  input: ExposureInput,
  expected: Figure | null,
): FirstGuess {
  const told = firstExposure(definition, input)
  const range = definition.lights.find(({ kind }) => kind === input.kind)
  if (input.kind !== 'sun' || input.usualSeconds || !range) return { seconds: told }
  const spread = Math.sqrt(range.mostSeconds / range.leastSeconds)
  if (!expected)
    return {
      ...within(told.value, spread),
      seconds: { ...told, working: { ...told.working, leavesOut: ANY_SUN } },
    }
  const high = highSunLight()
  if (expected.value < LEAST_SHARE * high)
    return { seconds: { ...told, working: { ...told.working, leavesOut: LOW_SUN } } }
  const value = (told.value * high) / expected.value
  const doubt = 1 + (expected.uncertainty ?? 0) / expected.value
  const by = Math.exp(Math.hypot(Math.log(spread), Math.log(doubt)))
  return {
    ...within(value, by),
    millijoulesPerCm2: told.value * high,
    seconds: {
      value,
      unit: 's',
      working: {
        words: 'usual time under a clear, high sun, scaled to the light now',
        formula: 't = tₕ·Eₕ / E',
        inputs: [
          {
            name: 'usual time under a clear, high sun',
            symbol: 'tₕ',
            value: told.value,
            unit: 's',
            standing: range.standing,
          },
          {
            name: 'light of a clear, high sun, by the model',
            symbol: 'Eₕ',
            value: high,
            unit: 'mW/cm²',
            standing: 'memory',
          },
          {
            name: 'light now',
            symbol: 'E',
            value: expected.value,
            unit: 'mW/cm²',
            standing: expected.working.standing,
          },
        ],
        standing: range.standing,
        source: range.source,
        leavesOut: 'paper and negative; make a test strip',
      },
    },
  }
}

const within = (value: number, by: number) => ({ low: value / by, high: value * by })

const ANY_SUN =
  'hour, season and sky. This is the time under a clear, high sun; a low sun or cloud takes several times as long. Enter the place of your sun in Light'
const LOW_SUN = 'the low sun of this hour. This is the time under a clear, high sun'
