import { refusalAt } from '../errors'
import {
  type Sides,
  type Wanted,
  type Block,
  SLACK,
  type Found,
  bestOf,
  smallestBlocks,
} from './tearingBlocks'

/** A rectangle on the sheet, from its top left corner. */
export interface Region extends Sides {
  x: number
  y: number
}

export interface PlacedPiece extends Region {
  /** Place in the list of wanted sizes. */
  size: number
  /** Whether it is across. */
  turned: boolean
}

/** One tear right through what is in hand. */
export interface Tear {
  /** Piece in hand before the tear, as a region of the whole sheet. */
  piece: Region
  /** `down` tears from top to bottom at `x`; `across` from side to side at `y`. */
  way: 'down' | 'across'
  /** Where the rule is laid: distance from the left or the top edge of the piece in hand. */
  at: number
}

export interface TearingPlan {
  pieces: PlacedPiece[]
  tears: Tear[]
  leftOver: Region[]
  /** How many of each wanted size. */
  counts: number[]
  /** Area made into pieces over the sheet's. */
  used: number
}

/**
 * The best guillotine plan: of all ways to tear the sheet, always right through the piece in hand, the one that makes
 * most of it into wanted pieces; of equals that it meets the one with fewest tears.
 *
 * For every set of pieces it keeps the smallest rectangles that hold them, built by joining two smaller sets side by
 * side or one above the other. That covers every guillotine plan, so the answer is exact.
 *
 * @param loss width of paper that a torn edge costs between two pieces, in the unit of the sides.
 * @throws CoreError `out-of-range` for sides that cannot be; `too-many` for pieces so small that no exact answer is
 *   in reach; `too-small` when not one piece fits.
 */
export function tearingPlan(sheet: Sides, wanted: readonly Wanted[], loss = 0): TearingPlan {
  check(sheet, wanted, loss)
  const most = wanted.map((one) =>
    Math.min(
      one.count,
      Math.floor(
        ((sheet.width + loss) * (sheet.height + loss)) / ((one.width + loss) * (one.height + loss)) + SLACK,
      ),
    ),
  )
  const areas = wanted.map((one) => one.width * one.height)
  const useful = usefulPart(sheet, wanted, loss)
  const usefulArea = useful.width * useful.height
  const allWanted = areas.reduce((sum, area, i) => sum + area * (most[i] as number), 0)
  // No block of a plan wastes more than the whole plan does. So blocks are sought that waste nothing, then ever more,
  // until the best plan found wastes no more than was looked for: no better one can have been passed over.
  let best: Found | null
  let allowed = 0
  for (;;) {
    best = bestOf(smallestBlocks(useful, wanted, most, loss, allowed), areas, sheet)
    const wasted = best ? usefulArea - best.area : usefulArea
    if (allowed >= usefulArea || wasted <= allowed + SLACK || (best && best.area >= allWanted - SLACK)) break
    // What the best one so far wastes is all that a better one could: there is no need to look beyond it.
    allowed = Math.min(Math.max(2 * allowed, 0.01 * usefulArea), wasted)
  }
  if (!best)
    throw refuse(
      'too-small',
      'None of these pieces fits on the sheet.',
      'Use a larger sheet or smaller pieces.',
    )
  const plan: TearingPlan = {
    pieces: [],
    tears: [],
    leftOver: [],
    counts: best.counts,
    used: best.area / (sheet.width * sheet.height),
  }
  layOut(best.block, { x: 0, y: 0, width: sheet.width, height: sheet.height }, loss, plan)
  return plan
}

/** The part of the sheet that rows of pieces can fill at all: 22 of 22.5 in where sides are whole inches. */
function usefulPart(sheet: Sides, wanted: readonly Wanted[], loss: number): Sides {
  const along = (length: number, sides: readonly number[]) => {
    const sums = new Set([0])
    for (const sum of sums)
      for (const side of sides) {
        const longer = Math.round((sum + side + loss) * 1e6) / 1e6
        if (longer <= length + loss + SLACK) sums.add(longer)
      }
    return Math.min(length, Math.max(0, Math.max(...sums) - loss))
  }
  const turning = wanted.filter((one) => one.mayTurn !== false)
  return {
    width: along(sheet.width, [...wanted.map((one) => one.width), ...turning.map((one) => one.height)]),
    height: along(sheet.height, [...wanted.map((one) => one.height), ...turning.map((one) => one.width)]),
  }
}

/** Lays a block into a region that holds it, noting tears in the order in which they are made. */
function layOut(block: Block, region: Region, loss: number, plan: TearingPlan): void {
  let { width, height } = region
  const { x, y } = region
  if (width > block.width + SLACK) {
    plan.tears.push({ piece: { x, y, width, height }, way: 'down', at: block.width })
    leave(plan, { x: x + block.width + loss, y, width: width - block.width - loss, height })
    width = block.width
  }
  if (height > block.height + SLACK) {
    plan.tears.push({ piece: { x, y, width, height }, way: 'across', at: block.height })
    leave(plan, { x, y: y + block.height + loss, width, height: height - block.height - loss })
    height = block.height
  }
  if ('size' in block.made) {
    plan.pieces.push({ x, y, width, height, size: block.made.size, turned: block.made.turned })
    return
  }
  const { first, second, way } = block.made
  if (way === 'down') {
    plan.tears.push({ piece: { x, y, width, height }, way, at: first.width })
    layOut(first, { x, y, width: first.width, height }, loss, plan)
    const from = first.width + loss
    layOut(second, { x: x + from, y, width: width - from, height }, loss, plan)
  } else {
    plan.tears.push({ piece: { x, y, width, height }, way, at: first.height })
    layOut(first, { x, y, width, height: first.height }, loss, plan)
    const from = first.height + loss
    layOut(second, { x, y: y + from, width, height: height - from }, loss, plan)
  }
}

function leave(plan: TearingPlan, region: Region): void {
  if (region.width > SLACK && region.height > SLACK) plan.leftOver.push(region)
}

function check(sheet: Sides, wanted: readonly Wanted[], loss: number): void {
  const isSide = (value: number) => value > 0 && Number.isFinite(value)
  if (!isSide(sheet.width) || !isSide(sheet.height))
    throw refuse(
      'out-of-range',
      'The sheet needs two lengths.',
      'Enter its measured size, for example 22.5 x 30 in.',
    )
  if (!wanted.length || wanted.some((one) => !isSide(one.width) || !isSide(one.height) || !(one.count >= 1)))
    throw refuse(
      'out-of-range',
      'Every piece needs a size and a number of 1 or more.',
      'Enter a size such as 8 x 10 in.',
    )
  if (!(loss >= 0))
    throw refuse('out-of-range', 'The loss per torn edge must be zero or more.', 'Enter 0 or 1 mm.')
}

export const refuse = refusalAt('tearing')
