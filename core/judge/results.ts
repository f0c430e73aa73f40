import { cameFinished, hungAtOf } from '../run/place'
import type { RunState } from '../run/runState'
import type { Reading } from '../schema/judgement'
import { ciede2000, type Lab } from '../tone/colour'
import { lightnessFromDensity } from '../tone/density'
import { densityAt, densityOfReading, DRY } from '../tone/measured'

/** One line of what came out, print by print. */
export interface ResultRow {
  id: 'verdict' | 'shadows' | 'highlights' | 'whites' | 'black' | 'white' | 'net' | 'patch'
  /** Name of a patch. */
  name: string
  /** `null` where no one judged or measured. */
  said: readonly (string | null)[]
  /** Difference of each from the first, CIEDE2000; only where colours were read. */
  colour: readonly (number | null)[]
}

/**
 * What came out of two prints or more, set side by side: words of their last dry judgement, and what was measured dry.
 * Rows that no print has anything for are left out.
 */
export function resultsOf(states: readonly RunState[]): ResultRow[] {
  const words = (id: 'verdict' | 'shadows' | 'highlights' | 'whites'): ResultRow => ({
    id,
    name: '',
    // A later look that says nothing of it leaves standing what an earlier one said.
    said: states.map(
      (state) =>
        state.judgements.findLast((one) => one.moment !== 'wet' && one[id] !== undefined)?.[id] ?? null,
    ),
    colour: states.map(() => null),
  })
  const densities = (of: 'black' | 'white') => states.map((state) => densityAt(state, of, DRY))
  const [black, white] = [densities('black'), densities('white')]
  const net = black.map((deep, i) => {
    const bare = white[i]
    return deep === null || bare === null || bare === undefined ? null : deep - bare
  })
  const rows: ResultRow[] = [
    words('verdict'),
    words('shadows'),
    words('highlights'),
    words('whites'),
    { id: 'black', name: '', said: black.map(twoPlaces), colour: colours(states, 'black', '') },
    {
      id: 'white',
      name: '',
      said: white.map((one) => (one === null ? null : `L* ${lightnessFromDensity(one).toFixed(1)}`)),
      colour: colours(states, 'white', ''),
    },
    { id: 'net', name: '', said: net.map(twoPlaces), colour: states.map(() => null) },
    ...patchNames(states).map((name): ResultRow => ({
      id: 'patch',
      name,
      said: states.map((state) => {
        const reading = lastDry(state, 'patch', name)
        return reading ? twoPlaces(densityOfReading(reading)) : null
      }),
      colour: colours(states, 'patch', name),
    })),
  ]
  return rows.filter((row) => row.said.some((one) => one !== null))
}

const twoPlaces = (value: number | null): string | null => (value === null ? null : value.toFixed(2))

function lastDry(state: RunState, of: Reading['of'], name: string): Reading | undefined {
  for (const one of [...state.measurements].reverse()) {
    if (!DRY.includes(one.moment)) continue
    const found = one.readings.find((each) => each.of === of && (of !== 'patch' || each.name === name))
    if (found) return found
  }
  return undefined
}

function colours(states: readonly RunState[], of: Reading['of'], name: string): (number | null)[] {
  const labs = states.map((state) => lastDry(state, of, name)?.lab)
  const [first] = labs
  return labs.map((lab, i) => (i && first && lab ? ciede2000(first as Lab, lab as Lab) : null))
}

/** Patches that every print has, in the order of the first. */
function patchNames(states: readonly RunState[]): string[] {
  const [first, ...rest] = states.map(
    (state) =>
      new Set(
        state.measurements
          .filter((one) => DRY.includes(one.moment))
          .flatMap((one) => one.readings.filter((each) => each.of === 'patch').map((each) => each.name)),
      ),
  )
  return [...(first ?? [])].filter((name) => rest.every((names) => names.has(name)))
}

/**
 * Moment by which prints are put in order: when it was hung, or begun; `null` before, and for a print that came finished, of
 * which only the day it came is known.
 */
export const madeAtOf = (state: RunState): number | null =>
  cameFinished(state) ? null : (hungAtOf(state) ?? state.begunAt)
