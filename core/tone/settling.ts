import { mean } from '../quantity/statistics'
import type { RunState } from '../run/runState'
import type { LookMoment, Reading } from '../schema/judgement'
import { ciede2000, type Lab } from './colour'
import { narrowed, type DriedPrint } from './dryDown'

const DAY = 86_400_000
/** Colour that moves less than this a day stands still for the eye: just seen (1.5) in a fortnight. Common practice. */
export const STANDS_STILL = 0.1

type Place = Pick<Reading, 'of' | 'name'>
interface Read {
  at: number
  lab: Lab
}

/** What one's own prints did between the dry look and the settled one, at the black or the white. */
export interface Settling {
  /** Change of L*, a* and b* to expect. */
  move: Lab
  /** Mean distance of single prints from it (CIE 1976, in L*a*b*); absent with fewer than two. */
  spread?: number
  /** Prints of the process that were read both times, and of these those on this paper. */
  prints: number
  onThisPaper: number
}

/** Every colour that was read of one place at one of these moments, earliest first. */
const readsOf = (
  state: Pick<RunState, 'measurements'>,
  place: Place,
  moments: readonly LookMoment[],
): Read[] =>
  state.measurements
    .filter((one) => moments.includes(one.moment))
    .flatMap(({ at, readings }) =>
      readings.flatMap(({ of, name, lab }) =>
        of === place.of && name === place.name && lab ? [{ at, lab: lab as Lab }] : [],
      ),
    )
    .sort((a, b) => a.at - b.at)

/**
 * How the colour of one place of one print moved from its first dry reading to its last settled one.
 *
 * @returns differences of L*, a*, b*; `null` where it was not read both times.
 */
export function settledMove(state: Pick<RunState, 'measurements'>, place: Place): Lab | null {
  const [dry] = readsOf(state, place, ['dry'])
  const settled = readsOf(state, place, ['settled']).at(-1)
  return dry && settled && settled.at > dry.at ? minus(settled.lab, dry.lab) : null
}

/**
 * How colour moves in the days after drying: what one's own prints of the process did, and more narrowly those on this
 * paper. Nothing usual is known of it, so that the widest circle starts from no change and one odd print moves little.
 */
export function settling(
  wanted: Pick<DriedPrint, 'processId' | 'paperId'>,
  prints: readonly DriedPrint[],
  place: Place,
): Settling {
  const ofProcess = prints.filter((one) => one.processId === wanted.processId)
  const [wide, narrow] = [ofProcess, ofProcess.filter((one) => one.paperId === wanted.paperId)].map(
    (circle) =>
      circle.flatMap((one) => {
        const move = settledMove(one.state, place)
        return move ? [move] : []
      }),
  ) as [Lab[], Lab[]]
  let move: Lab = [0, 0, 0]
  for (const circle of [wide, narrow])
    move = move.map((value, i) =>
      narrowed(
        value,
        circle.map((one) => one[i as 0]),
      ),
    ) as unknown as Lab
  const spreads = (narrow.length > 1 ? narrow : wide).map((one) => Math.hypot(...minus(one, move)))
  return {
    move,
    ...(spreads.length > 1 && { spread: mean(spreads) }),
    prints: wide.length,
    onThisPaper: narrow.length,
  }
}

/** What a print that was read dry and not yet settled will come to. */
export interface SettledColour {
  from: Lab
  lab: Lab
  /** Between the two, CIEDE2000. */
  difference: number
}

/** @returns `null` where the place was not read dry, or was read settled already. */
export function settlesTo(
  state: Pick<RunState, 'measurements'>,
  place: Place,
  { move }: Settling,
): SettledColour | null {
  const [from] = readsOf(state, place, ['dry'])
  if (!from || readsOf(state, place, ['settled', 'later']).length) return null
  const lab = from.lab.map((value, i) => value + move[i as 0]) as unknown as Lab
  return { from: from.lab, lab, difference: ciede2000(from.lab, lab) }
}

/**
 * How fast the colour of a place last moved before it was settled. What moves after that is fading, over years, and is
 * watched as such (see `changesSince`).
 *
 * @returns CIEDE2000 a day between the last two dry readings that are half a day apart or more; `null` without two.
 */
export function driftPerDay(
  state: Pick<RunState, 'measurements'>,
  place: Place,
): { perDay: number; from: number; to: number } | null {
  const reads = readsOf(state, place, ['dry', 'settled'])
  const last = reads.at(-1)
  const before = last && reads.findLast((one) => one.at <= last.at - DAY / 2)
  if (!last || !before) return null
  const days = (last.at - before.at) / DAY
  return { perDay: ciede2000(before.lab, last.lab) / days, from: before.at, to: last.at }
}

const minus = (a: Lab, b: Lab): Lab => [a[0] - b[0], a[1] - b[1], a[2] - b[2]]
