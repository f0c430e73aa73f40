import { exposureForLight } from './exposureChange'
import { learnedSun } from '../sun/learned'
import { sunCourse, type SkyChange, type SunScene } from '../sun/day'
import { CLEAR_SKY, sunLightAt } from '../sun/irradiance'
import type { Figure } from '../quantity/figure'
import { meteredCourse, type LightCourse, type Sample } from '../run/dose'
import { lampCourse } from './lamp'
import { healthOf, litSince, type LightHistory } from './lightLedger'

/** A sky that was said so long ago is no longer believed for today. */
const SKY_KEEPS = 6 * 3_600_000
/** How far the sky may be out when no one has said how it is. */
const UNSAID = 1.8

/** Results of one's own under this sun: what a meter read over what was computed then. */
export const sunResults = ({ entries }: LightHistory) =>
  entries.flatMap(({ what }) =>
    what.type === 'read' && what.reckonedMilliwattsPerCm2
      ? [{ reckoned: what.reckonedMilliwattsPerCm2, found: what.milliwattsPerCm2 }]
      : [],
  )

/** The sun of a light whose place is known, with the sky as last said and one's own results; `null` for any other. */
export function sunSceneOf(
  history: LightHistory,
  now: number,
): { scene: SunScene; correction: Figure } | null {
  const { light } = history
  if (light.kind !== 'sun' || !light.place) return null
  const { latitude, longitude, altitudeMetres } = light.place
  const isFresh = light.sky !== undefined && now - light.sky.at < SKY_KEEPS
  const correction = learnedSun(sunResults(history), isFresh ? (light.sky?.factor ?? UNSAID) : UNSAID)
  return {
    correction,
    scene: {
      place: { latitude, longitude, altitudeMetres },
      sky: {
        aerosol: light.aerosol ?? CLEAR_SKY.aerosol,
        ground: light.ground ?? CLEAR_SKY.ground,
        cloud: isFresh ? (light.sky?.share ?? 1) : 1,
      },
      facing: light.facing ?? 'flat',
      correction: correction.value,
    },
  }
}

/**
 * The light of a sun whose place is known at another moment, under a sky that is remembered.
 *
 * @param at milliseconds.
 * @param share of a clear sky's light that the clouds left.
 * @returns mW/cm²; `null` where the light is no sun, its place is not known, or the sun was down.
 */
export function sunLightThen(history: LightHistory, at: number, share: number): number | null {
  const sun = sunSceneOf(history, at)
  if (!sun) return null
  const { place, sky, facing } = sun.scene
  const { total } = sunLightAt(place, at, { ...sky, cloud: share }, facing)
  return total > 0 ? total * sun.correction.value : null
}

/**
 * An exposure under another light, for the same dose.
 *
 * @param from and `to` the two lights, mW/cm² in the same units; `null` where one is not known.
 * @returns seconds, or `null` where they cannot be compared.
 */
export const exposureUnder = (seconds: number, from: Figure | null, to: Figure | null): number | null =>
  from && to && from.value > 0 && to.value > 0 ? exposureForLight(seconds, to.value / from.value).value : null

/**
 * The light at a frame as it is expected now, without a meter: of a lamp what its readings and hours say, of a sun what
 * the model says.
 *
 * @returns mW/cm²; `null` where nothing is known in such units.
 */
export function expectedLight(history: LightHistory, now: number): Figure | null {
  const sun = sunSceneOf(history, now)
  if (sun) {
    const { total } = sunLightAt(sun.scene.place, now, sun.scene.sky, sun.scene.facing)
    const value = total * sun.correction.value
    return {
      value,
      unit: 'mW/cm²',
      uncertainty: value * Math.expm1(sun.correction.uncertainty ?? 0),
      working: {
        words: 'sun through air, dust and cloud × what your own results make of it',
        formula: 'E = k·c·Σ(beam + sky)',
        inputs: [
          {
            name: 'clear sky',
            symbol: 'Σ',
            value: total / sun.scene.sky.cloud,
            unit: 'mW/cm²',
            standing: 'memory',
          },
          {
            name: 'left by the clouds',
            symbol: 'c',
            value: sun.scene.sky.cloud,
            unit: '',
            standing: 'practice',
          },
          {
            name: 'your own results',
            symbol: 'k',
            value: sun.correction.value,
            unit: '',
            standing: sun.correction.working.standing,
          },
        ],
        standing: 'memory',
        source:
          'Kasten & Young 1989, Hansen & Travis 1974, Bird & Riordan 1986; sunlight above the air from memory',
        leavesOut: 'shade from houses and hills, and later changes of the sky',
      },
    }
  }
  const health = healthOf(history, now)
  if (health.expected === null) return null
  const last = history.entries.filter((one) => one.what.type === 'read').at(-1)
  return {
    value: health.expected,
    unit: 'mW/cm²',
    working: {
      words: 'the line through your readings, at the hours burnt by now',
      formula: 'E = E₁·e^(−k·h)',
      inputs: [
        { name: 'hours burnt', symbol: 'h', value: health.hours.value, unit: 'h', standing: 'yours' },
        ...(last?.what.type === 'read'
          ? [
              {
                name: 'last reading',
                symbol: 'E',
                value: last.what.milliwattsPerCm2,
                unit: 'mW/cm²',
                standing: 'yours' as const,
              },
            ]
          : []),
      ],
      standing: 'yours',
      source: 'Your own readings of this lamp',
      leavesOut: 'the lamp is assumed to be warm',
    },
  }
}

/** Changes of the sky that were said from a while before an exposure on; the last one before it holds at its start. */
const skiesOf = ({ entries }: LightHistory, startedAt: number): SkyChange[] =>
  entries.flatMap(({ at, what }) =>
    what.type === 'sky' && at > startedAt - SKY_KEEPS ? [{ at, share: what.share }] : [],
  )

/** One exposure under a light. */
export interface ExposureUnder {
  /** When it began, or now for one that is planned; milliseconds. */
  startedAt: number
  /** The light it was planned for, mW/cm², as its record has it. */
  milliwattsPerCm2?: number | undefined
  /** What a meter read while it ran, in order of time. */
  samples: readonly Sample[]
}

/**
 * How a light runs during one exposure: by the meter where it was read, else by the model of the lamp or the sun, else
 * `null`, and time stands for dose.
 */
export function courseUnder(
  history: LightHistory,
  { startedAt, milliwattsPerCm2, samples }: ExposureUnder,
): LightCourse | null {
  const first = samples[0]
  if (first && (milliwattsPerCm2 ?? first[1]) > 0) return meteredCourse(samples, milliwattsPerCm2 ?? first[1])
  const sun = sunSceneOf(history, startedAt)
  if (sun) {
    const reference =
      milliwattsPerCm2 ??
      sunLightAt(sun.scene.place, startedAt, sun.scene.sky, sun.scene.facing).total * sun.correction.value
    return reference > 0 ? sunCourse(sun.scene, startedAt, reference, skiesOf(history, startedAt)) : null
  }
  const litAt = litSince(history)
  const isCold = litAt !== null && history.light.warmUp !== undefined
  if (!isCold && milliwattsPerCm2 === undefined) return null
  // A sheet that was planned for the lamp as it was may be under it when it has grown dimmer.
  const expected = milliwattsPerCm2 === undefined ? null : expectedLight(history, startedAt)
  return lampCourse({
    ...(isCold && { litAt, warmUp: history.light.warmUp }),
    ...(milliwattsPerCm2 !== undefined && { referenceMilliwattsPerCm2: milliwattsPerCm2 }),
    ...(expected && milliwattsPerCm2 !== undefined && { share: expected.value / milliwattsPerCm2 }),
  } as Parameters<typeof lampCourse>[0])
}
