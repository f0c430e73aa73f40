import { CoreError } from '../errors'

/** A step chart to be printed on film without any curve. */
export interface ChartPlan {
  /** Patches of even steps of ink, clear film first. */
  steps: number
  pixelsPerInch: number
  /** Turned left to right, so that the print reads from left to right. */
  isMirrored: boolean
}

const PATCH_MILLIMETRES = 11
/** Clear film between patches; it prints as deep as it goes, and parts one patch from the next. */
const GAP_MILLIMETRES = 2
const MOST_ACROSS = 10

/** How a chart lies on its film: columns and rows of patches, and its size. */
export function chartLayout({ steps, pixelsPerInch }: Pick<ChartPlan, 'steps' | 'pixelsPerInch'>): {
  across: number
  down: number
  patch: number
  gap: number
  width: number
  height: number
} {
  if (!Number.isInteger(steps) || steps < 5 || steps > 101 || !(pixelsPerInch >= 36 && pixelsPerInch <= 1440))
    throw new CoreError({
      code: 'out-of-range',
      field: 'chart',
      problem: 'Such a chart cannot be drawn.',
      remedy: 'Choose 5 to 101 patches, at 36 to 1440 pixels to the inch.',
    })
  const across = Math.min(MOST_ACROSS, steps)
  const down = Math.ceil(steps / across)
  const pixels = (millimetres: number) => Math.round((millimetres / 25.4) * pixelsPerInch)
  const [patch, gap] = [pixels(PATCH_MILLIMETRES), pixels(GAP_MILLIMETRES)]
  return { across, down, patch, gap, width: across * (patch + gap) + gap, height: down * (patch + gap) + gap }
}

/**
 * Draws a step chart as 16-bit rows, 0 all the ink and 65535 clear film: patches from left to right and from top to
 * bottom, clear film first. A bar of ink over the first patch says where it begins.
 *
 * @param takeRow gets each row in order; the array is used again for the next one.
 */
export function drawChart(plan: ChartPlan, takeRow: (row: Uint16Array, y: number) => void): void {
  const { across, patch, gap, width, height } = chartLayout(plan)
  const row = new Uint16Array(width)
  const pitch = patch + gap
  for (let y = 0; y < height; y++) {
    row.fill(65_535)
    const [line, down] = [Math.floor(y / pitch), y % pitch]
    for (let column = 0; column < across; column++) {
      const step = line * across + column
      const isPatch = down >= gap && step < plan.steps
      const isMark = line === 0 && column === 0 && down < gap / 2
      if (!isPatch && !isMark) continue
      const value = isMark ? 0 : Math.round(65_535 * (1 - step / (plan.steps - 1)))
      const from = column * pitch + gap
      row.fill(value, from, from + patch)
    }
    if (plan.isMirrored) row.reverse()
    takeRow(row, y)
  }
}
