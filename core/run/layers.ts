import { CoreError } from '../errors'
import { hungAtOf } from './place'
import type { RunState } from './runState'

interface Layered {
  sheet: { id: string; over?: string | undefined }
}

/**
 * Every layer of one sheet of paper, lowest first, whichever of them is named. What is over what is sorted out once, for
 * asking of many sheets.
 *
 * @returns ids of the records, the same list for every layer of a stack; just the one where it has no other layers.
 */
export function stacksOf(sheets: readonly Layered[]): (id: string) => string[] {
  const under = new Map<string, string | undefined>()
  const upper = new Map<string, string[]>()
  for (const { sheet } of sheets) {
    under.set(sheet.id, sheet.over)
    if (sheet.over === undefined) continue
    const list = upper.get(sheet.over)
    if (list) list.push(sheet.id)
    else upper.set(sheet.over, [sheet.id])
  }
  const lowestOf = (id: string): string => {
    const seen = new Set([id])
    let lowest = id
    for (
      let next = under.get(lowest);
      next !== undefined && !seen.has(next) && under.has(next);
      next = under.get(next)
    ) {
      lowest = next
      seen.add(next)
    }
    return lowest
  }
  const stackFrom = (lowest: string): string[] => {
    const stack = new Set([lowest])
    for (let top = lowest; ;) {
      const next = upper.get(top)?.find((one) => !stack.has(one))
      if (next === undefined) return [...stack]
      stack.add(next)
      top = next
    }
  }
  // What is found of one layer holds for all of its stack.
  const known = new Map<string, string[]>()
  return (id) => {
    const found = known.get(id)
    if (found) return found
    const stack = stackFrom(lowestOf(id))
    for (const one of [id, ...stack]) if (!known.has(one)) known.set(one, stack)
    return stack
  }
}

/** Records that another layer is over already; work on them is over, and later looks are taken at the upper one. */
export const coveredIds = (
  sheets: readonly (Layered & { state: Pick<RunState, 'begunAt'> })[],
): ReadonlySet<string> =>
  new Set(
    sheets.flatMap(({ sheet, state }) =>
      sheet.over !== undefined && state.begunAt !== null ? [sheet.over] : [],
    ),
  )

const DRY_SECONDS = 3600

/**
 * When the print under a layer will be dry enough for it.
 *
 * @returns milliseconds, or `null` while it does not hang.
 */
export function dryForLayerAt(under: RunState): number | null {
  const hungAt = hungAtOf(under)
  if (hungAt === null || under.setAside) return null
  const hang = under.steps.find((step) => step.planned.kind === 'hang')
  if (hang?.skipped) return hungAt
  // A print that was said to be dry is dry.
  if (hang?.finishedAt !== undefined) return hang.finishedAt
  return hungAt + (hang?.planned.leastSeconds ?? DRY_SECONDS) * 1000
}

/**
 * Refuses to begin a layer over what is not there, was set aside, or is still wet.
 *
 * @param now milliseconds.
 * @throws CoreError `not-hung` or `damp`.
 */
export function checkUnder(under: RunState | undefined, now: number): void {
  const dryAt = under ? dryForLayerAt(under) : null
  if (dryAt === null)
    throw new CoreError({
      code: 'not-hung',
      field: 'layer',
      problem: under?.setAside
        ? 'The print under this layer was set aside.'
        : 'The print under this layer is not hung to dry yet.',
      remedy: 'Finish and dry that print, then start the layer.',
    })
  if (dryAt > now)
    throw new CoreError({
      code: 'damp',
      field: 'layer',
      problem: `The print under this layer is still drying for ${Math.ceil((dryAt - now) / 60_000)} more minutes at least. Damp paper moves, and the layers would not register.`,
      remedy: 'Wait, or mark it as dry in Prints.',
    })
}

/** One layer within a log of its own, such as both of a two-layer cyanotype: from its coat to the bath after its exposure. */
export interface LayerStretch {
  /** Steps from, and one past the last. */
  from: number
  to: number
  isDone: boolean
}

/** The layers that one log goes through: each ends before the coat that comes after an exposure. */
export function layersWithin(state: Pick<RunState, 'steps' | 'current'>): LayerStretch[] {
  const starts = [0]
  let isExposed = false
  for (const [index, { planned }] of state.steps.entries()) {
    if (planned.kind === 'expose') isExposed = true
    else if (
      isExposed &&
      planned.station === 'coat' &&
      (planned.kind === 'count' || planned.kind === 'act')
    ) {
      starts.push(index)
      isExposed = false
    }
  }
  return starts.map((from, i) => {
    const to = starts[i + 1] ?? state.steps.length
    return { from, to, isDone: state.current >= to }
  })
}
