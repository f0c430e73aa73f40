import { refuse } from './tearing'

/** Sides in any one unit: millimetres in the app. */
export interface Sides {
  width: number
  height: number
}

/** A size wanted, and of how many pieces; `Infinity` for as many as fit. */
export interface Wanted extends Sides {
  count: number
  /** A piece may be along the sheet or across it; `false` keeps it as written, for a grain or a watermark. */
  mayTurn?: boolean
}

/** A rectangle just large enough for a set of pieces, and how it is made. */
export interface Block {
  width: number
  height: number
  area: number
  tears: number
  made: { size: number; turned: boolean } | { first: Block; second: Block; way: 'down' | 'across' }
}

export const SLACK = 1e-6
/** Sets of pieces beyond which an exact answer would take too long. */
const MOST_SETS = 40_000

export interface Found {
  counts: number[]
  block: Block
  area: number
}

/**
 * The set of blocks that covers the most of a sheet.
 *
 * @param areas area of each kind of piece, in the square of the sides’ own unit.
 * @returns `null` where no block fits.
 */
export function bestOf(
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
export function smallestBlocks(
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
          'There are too many small pieces to find the best plan.',
          'Enter how many you want of each, or plan part of the sheet.',
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
