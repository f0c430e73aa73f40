import { CoreError } from '../errors'
import { chartLayout, chartShapes, type ChartPlan } from './chart'
import { drawShapes, drawWriting, type Writing } from '../negative/drawing'

/** Size of a chart's film in pixels, and the room for its line of writing. */
export function chartPixels(
  plan: ChartPlan,
  pixelsPerInch: number,
): { width: number; height: number; label: { x: number; y: number; width: number; height: number } } {
  if (!(pixelsPerInch >= 72 && pixelsPerInch <= 1440))
    throw new CoreError({
      code: 'out-of-range',
      field: 'resolution',
      problem: `${pixelsPerInch} ppi is not possible.`,
      remedy: 'Enter 150 to 720 ppi; 360 is usual.',
    })
  const { width, height, label } = chartLayout(plan)
  const pixels = (millimetres: number) => Math.round((millimetres / 25.4) * pixelsPerInch)
  return {
    width: pixels(width),
    height: pixels(height),
    label: {
      x: pixels(label.x),
      y: pixels(label.y),
      width: pixels(label.width),
      height: pixels(label.height),
    },
  }
}

/**
 * Draws a chart's film as rows of ink, 0 clear film and 1 all the ink.
 *
 * @param how `inkOfStep` is the curve of a checking chart; `writing` is laid as clear film, so that it prints dark.
 * @returns each row in order; the array is used again for the next one.
 */
export function* drawChart(
  plan: ChartPlan,
  how: {
    pixelsPerInch: number
    isMirrored: boolean
    inkOfStep?: ((tone: number) => number) | undefined
    writing?: Writing | undefined
  },
): Generator<Float32Array> {
  const { width, height } = chartPixels(plan, how.pixelsPerInch)
  const scale = how.pixelsPerInch / 25.4
  const shapes = chartShapes(plan, how.inkOfStep)
  const row = new Float32Array(width)
  for (let y = 0; y < height; y++) {
    row.fill(1)
    drawShapes(row, y, shapes, scale)
    if (how.writing) drawWriting(row, y, how.writing, 0)
    yield how.isMirrored ? row.reverse() : row
  }
}
