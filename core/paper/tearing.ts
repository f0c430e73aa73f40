import { CoreError } from '../errors'

/** Sides in any one unit: millimetres in the app. */
export interface Sides {
  width: number
  height: number
}

/** A size wanted, and of how many pieces; `Infinity` for as many as fit. */
export interface Wanted extends Sides {
  count: number
  /** A piece may lie along the sheet or across it; `false` keeps it as written, for a grain or a watermark. */
  mayTurn?: boolean
}

/** A rectangle on the sheet, from its top left corner. */
export interface Region extends Sides {
  x: number
  y: number
}

export interface PlacedPiece extends Region {
  /** Place in the list of wanted sizes. */
  size: number
  /** Whether it lies across. */
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

/** A rectangle just large enough for a set of pieces, and how it is made. */
interface Block {
  width: number
  height: number
  area: number
  tears: number
  made: { size: number; turned: boolean } | { first: Block; second: Block; way: 'down' | 'across' }
}

const SLACK = 1e-6
/** Sets of pieces beyond which an exact answer would take too long. */
const MOST_SETS = 40_000

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
      'Not one of these pieces fits on the sheet.',
      'Take a larger sheet or a smaller piece.',
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

interface Found {
  counts: number[]
  block: Block
  area: number
}

function bestOf(
  blocks: readonly { counts: number[]; blocks: Block[] }[],
  areas: readonly number[],
  sheet: Sides,
): Found | null {
  let best: Found | null = null
  for (const { counts, blocks: list } of blocks) {
    const area = counts.reduce((sum, count, i) => sum + count * (areas[i] as number), 0)
    if (best && area < best.area - SLACK) continue
    for (const block of list) {
      const tears = block.tears + trims(block, sheet)
      if (!best || area > best.area + SLACK || tears < best.block.tears + trims(best.block, sheet))
        best = { counts, block, area }
    }
  }
  return best
}

/** Pareto-smallest blocks for every set of pieces that fits the sheet. */
function smallestBlocks(
  sheet: Sides,
  wanted: readonly Wanted[],
  most: readonly number[],
  loss: number,
  mostWaste: number,
): { counts: number[]; blocks: Block[] }[] {
  // A set of pieces is a number in mixed radix, so that what is left of a set without a part of it is a subtraction.
  const strides = most.map((_, i) => most.slice(0, i).reduce((product, count) => product * (count + 1), 1))
  const byIndex = new Map<number, Block[]>()
  const found: { counts: number[]; blocks: Block[] }[] = []
  const area = (sheet.width + loss) * (sheet.height + loss)
  const sizeArea = wanted.map((one) => (one.width + loss) * (one.height + loss))
  const areas = wanted.map((one) => one.width * one.height)

  for (const counts of setsWithin(most, sizeArea, area)) {
    const index = counts.reduce((sum, count, i) => sum + count * (strides[i] as number), 0)
    let blocks: Block[]
    if (counts.reduce((sum, count) => sum + count, 0) === 1) blocks = single(sheet, wanted, counts.indexOf(1))
    else {
      const net = counts.reduce((sum, count, i) => sum + count * (areas[i] as number), 0)
      const grown = new Frontier(net + mostWaste + SLACK)
      // Each pair is met twice, once from either side; half of them is enough.
      eachPart(counts, strides, (part) => {
        if (part === 0 || 2 * part > index) return
        const [some, others] = [byIndex.get(part), byIndex.get(index - part)]
        if (!some || !others) return
        for (const first of some) for (const second of others) grown.join(first, second, sheet, loss)
      })
      blocks = grown.blocks
    }
    if (!blocks.length) continue
    byIndex.set(index, blocks)
    found.push({ counts, blocks })
  }
  return found
}

/** Calls with the index of every set that is a part of this one, itself and the empty one included. */
function eachPart(
  counts: readonly number[],
  strides: readonly number[],
  call: (index: number) => void,
): void {
  const walk = (i: number, index: number): void => {
    if (i === counts.length) return call(index)
    for (let count = 0; count <= (counts[i] as number); count++)
      walk(i + 1, index + count * (strides[i] as number))
  }
  walk(0, 0)
}

/** Blocks none of which is held by another. */
class Frontier {
  blocks: Block[] = []

  constructor(private readonly mostArea: number) {}

  join(first: Block, second: Block, sheet: Sides, loss: number): void {
    // Two blocks are never joined in less than their own areas.
    if (first.area + second.area > this.mostArea) return
    const widest = Math.max(first.width, second.width)
    const highest = Math.max(first.height, second.height)
    const beside = first.width + second.width + loss
    const below = first.height + second.height + loss
    if (beside <= sheet.width + SLACK && beside * highest <= this.mostArea)
      this.add(beside, highest, 'down', first, second, uneven(first.height, second.height))
    if (below <= sheet.height + SLACK && below * widest <= this.mostArea)
      this.add(widest, below, 'across', first, second, uneven(first.width, second.width))
  }

  private add(
    width: number,
    height: number,
    way: 'down' | 'across',
    first: Block,
    second: Block,
    trims: number,
  ): void {
    const tears = first.tears + second.tears + 1 + trims
    for (const other of this.blocks) {
      if (other.width > width + SLACK || other.height > height + SLACK) continue
      const isSame = other.width > width - SLACK && other.height > height - SLACK
      if (!isSame || other.tears <= tears) return
    }
    if (this.blocks.some((other) => other.width >= width - SLACK && other.height >= height - SLACK))
      this.blocks = this.blocks.filter(
        (other) => other.width < width - SLACK || other.height < height - SLACK,
      )
    this.blocks.push({ width, height, area: width * height, tears, made: { first, second, way } })
  }
}

/** A tear to trim the shorter of two neighbours. */
const uneven = (a: number, b: number) => (Math.abs(a - b) > SLACK ? 1 : 0)
const trims = (block: Sides, sheet: Sides) =>
  uneven(block.width, sheet.width) + uneven(block.height, sheet.height)

function single(sheet: Sides, wanted: readonly Wanted[], size: number): Block[] {
  const { width, height, mayTurn = true } = wanted[size] as Wanted
  const ways = [{ width, height, turned: false }]
  if (mayTurn && Math.abs(width - height) > SLACK) ways.push({ width: height, height: width, turned: true })
  return ways
    .filter((way) => way.width <= sheet.width + SLACK && way.height <= sheet.height + SLACK)
    .map((way) => ({
      width: way.width,
      height: way.height,
      area: way.width * way.height,
      tears: 0,
      made: { size, turned: way.turned },
    }))
}

/** Every set of pieces whose area could fit, smaller sets before larger ones. */
function setsWithin(most: readonly number[], sizeArea: readonly number[], area: number): number[][] {
  const sets: number[][] = []
  const walk = (i: number, counts: number[], left: number): void => {
    if (i === most.length) {
      if (counts.some((count) => count)) sets.push(counts)
      if (sets.length > MOST_SETS)
        throw refuse(
          'too-many',
          'There are too many small pieces to find the very best plan.',
          'Say how many you want of each, or plan a part of the sheet.',
        )
      return
    }
    for (
      let count = 0;
      count <= (most[i] as number) && count * (sizeArea[i] as number) <= left + SLACK;
      count++
    )
      walk(i + 1, [...counts, count], left - count * (sizeArea[i] as number))
  }
  walk(0, [], area)
  const size = (counts: readonly number[]) => counts.reduce((sum, count) => sum + count, 0)
  return sets.sort((a, b) => size(a) - size(b))
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
    throw refuse('out-of-range', 'A sheet has two sides.', 'Measure it, and write it like 22.5 x 30 in.')
  if (!wanted.length || wanted.some((one) => !isSide(one.width) || !isSide(one.height) || !(one.count >= 1)))
    throw refuse(
      'out-of-range',
      'Every piece has two sides and is wanted once at least.',
      'Write it like 8 x 10 in.',
    )
  if (!(loss >= 0))
    throw refuse('out-of-range', 'A torn edge costs nothing or some millimetres.', 'Write 0 or 1 mm.')
}

const refuse = (code: string, problem: string, remedy: string) =>
  new CoreError({ code, field: 'tearing', problem, remedy })
