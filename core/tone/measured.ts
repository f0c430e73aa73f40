import type { RunState } from '../run/runState'
import type { Measured } from '../schema/event'
import type { LookMoment, Reading } from '../schema/judgement'
import { ciede2000, type Lab } from './colour'
import { densityFromLightness } from './density'

/** Density of a reading: as it was read, or what its L* comes to; `null` where neither was. */
export function densityOfReading({ density, lab }: Pick<Reading, 'density' | 'lab'>): number | null {
  if (density !== undefined) return density
  return lab && lab[0] > 0 ? densityFromLightness(lab[0]) : null
}

/** The last measurement at a moment, or the last of all. */
export const lastMeasured = (
  state: Pick<RunState, 'measurements'>,
  moment?: LookMoment,
): Measured | undefined => state.measurements.findLast((one) => moment === undefined || one.moment === moment)

/** Density of the deepest black or the bare white at a moment, the last that was read; `null` where none was. */
export function densityAt(
  state: Pick<RunState, 'measurements'>,
  of: 'black' | 'white',
  moments: readonly LookMoment[],
): number | null {
  for (const one of [...state.measurements].reverse()) {
    if (!moments.includes(one.moment)) continue
    const reading = one.readings.find((each) => each.of === of)
    const density = reading && densityOfReading(reading)
    if (density !== null && density !== undefined) return density
  }
  return null
}

/** When a print counts as dry. */
export const DRY: readonly LookMoment[] = ['dry', 'settled', 'later']

/** One place of a print then and now. */
export interface Change {
  of: Reading['of']
  name: string
  from: { at: number; reading: Reading }
  to: { at: number; reading: Reading; moment: LookMoment }
  /** Change of density, where both have one. */
  density: number | null
  /** Difference of colour, CIEDE2000, where both have one. */
  colour: number | null
}

const keyOf = (reading: Reading) => `${reading.of}/${reading.name}`

/**
 * How far a print has changed since it was first measured dry, place by place: each place's first dry reading against
 * its last.
 *
 * @returns nothing where fewer than two dry measurements share a place.
 */
export function changesSince(state: Pick<RunState, 'measurements'>): Change[] {
  const first = new Map<string, Change['from']>()
  const last = new Map<string, Change['to']>()
  for (const { at, moment, readings } of state.measurements) {
    if (!DRY.includes(moment)) continue
    for (const reading of readings) {
      const key = keyOf(reading)
      if (!first.has(key)) first.set(key, { at, reading })
      else last.set(key, { at, reading, moment })
    }
  }
  return [...last].flatMap(([key, to]) => {
    const from = first.get(key)
    return from ? [changeOf(from, to)] : []
  })
}

function changeOf(from: Change['from'], to: Change['to']): Change {
  const [was, is] = [densityOfReading(from.reading), densityOfReading(to.reading)]
  const [colour, other] = [from.reading.lab, to.reading.lab]
  return {
    of: to.reading.of,
    name: to.reading.name,
    from,
    to,
    density: was === null || is === null ? null : is - was,
    colour: colour && other ? ciede2000(colour as Lab, other as Lab) : null,
  }
}

/** What a change amounts to. */
export type Fading = 'none' | 'seen' | 'strong'

/** Just seen side by side, and seen by anyone: common practice. Of density, what a densitometer can tell for sure. */
const SEEN = { colour: 1.5, density: 0.03 }
const STRONG = { colour: 4, density: 0.1 }

/**
 * The worst of all changes of a print, in a word. What a colour does until it has settled is no fading.
 *
 * @returns `null` where nothing was measured again after that.
 */
export function fadingOf(changes: readonly Change[]): Fading | null {
  const later = changes.filter((one) => one.to.moment === 'later')
  if (!later.length) return null
  const passes = (limit: typeof SEEN) =>
    later.some(
      (one) =>
        (one.colour ?? 0) >= limit.colour ||
        (one.colour === null && Math.abs(one.density ?? 0) >= limit.density),
    )
  return passes(STRONG) ? 'strong' : passes(SEEN) ? 'seen' : 'none'
}
