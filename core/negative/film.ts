import { drawShapes, drawWriting, type FilmShape, type Writing } from './drawing'
import { armOf, registerPlaces } from './registerMarks'

/** What is around the picture on its film; millimetres. */
export interface Border {
  millimetres: number
  /** Whether the border holds back the light, so that the margin of the print stays white; else it is clear film. */
  isInked: boolean
  hasMarks: boolean
  /** Which layer of a print in several the marks are for, from 0 (see `registerPlaces`). */
  layer: number
  hasStrip: boolean
}

export const NO_BORDER: Border = {
  millimetres: 0,
  isInked: false,
  hasMarks: false,
  layer: 0,
  hasStrip: false,
}

/** Least border that has room for marks, a strip and a line of writing. */
export const LEAST_MARKED = 8
const STEPS = 11

/**
 * The marks and the strip of a film, as shapes over its border.
 *
 * Register marks are crosses in each corner, by which films are laid on each other, and in the middle of each side, where
 * every layer has places of its own, so that shift, turn and stretch can be read off the print; the strip along the lower side has eleven even tones, laid through the curve.
 *
 * @param width and `height` of the picture, without its border.
 * @param inkOf ink of a tone of 0 to 1.
 */
export function borderShapes(
  border: Border,
  width: number,
  height: number,
  inkOf: (tone: number) => number,
): FilmShape[] {
  const b = border.millimetres
  if (b < LEAST_MARKED) return []
  const shapes: FilmShape[] = []
  const [w, h] = [width + 2 * b, height + 2 * b]
  const contrary = border.isInked ? 0 : 1
  if (border.hasMarks) {
    const arm = armOf(b)
    for (const [x, y] of [
      [b / 2, b / 2] as const,
      [w - b / 2, b / 2] as const,
      [w - b / 2, h - b / 2] as const,
      [b / 2, h - b / 2] as const,
      ...registerPlaces({ width, height, border: b }, border.layer),
    ])
      shapes.push(
        { kind: 'rect', x: x - arm, y: y - 0.15, width: 2 * arm, height: 0.3, ink: contrary },
        { kind: 'rect', x: x - 0.15, y: y - arm, width: 0.3, height: 2 * arm, ink: contrary },
      )
  }
  if (border.hasStrip) {
    // Between the corner mark and the one in the middle of the lower side.
    const [from, to] = [b + 2, w / 2 - b / 2 - 3]
    const step = (to - from) / STEPS
    for (let i = 0; i < STEPS; i++)
      shapes.push({
        kind: 'rect',
        x: from + i * step,
        y: h - b + 1.5,
        width: step,
        height: b - 3,
        ink: inkOf(i / (STEPS - 1)),
      })
  }
  return shapes
}

/** Room for a line of writing in the upper border, in pixels of the film; `null` where there is none. */
export function writingRoom(
  border: Border,
  pictureWidth: number,
  pixelsPerInch: number,
): { x: number; y: number; width: number; height: number } | null {
  if (border.millimetres < LEAST_MARKED) return null
  const pixels = (millimetres: number) => Math.round((millimetres / 25.4) * pixelsPerInch)
  const b = border.millimetres
  const width = pictureWidth / 2 - b / 2 - 5
  if (width < 15) return null
  return { x: pixels(b + 2), y: pixels(b / 2 - 2), width: pixels(width), height: pixels(4) }
}

/**
 * Sets the rows of a picture into their film.
 *
 * @param rows of ink, in order.
 * @returns each row of ink of the film, 0 clear and 1 all; the array is used again.
 */
export function* filmOf(
  rows: Iterable<Float32Array>,
  how: {
    border: Border
    shapes: readonly FilmShape[]
    writing?: Writing | undefined
    isMirrored: boolean
    pixelsPerInch: number
    /** Of the picture, in pixels. */
    width: number
    height: number
  },
): Generator<Float32Array> {
  const scale = how.pixelsPerInch / 25.4
  const edge = edgePixels(how.border, how.pixelsPerInch)
  const out = new Float32Array(how.width + 2 * edge)
  const ground = how.border.isInked ? 1 : 0
  const give = (y: number, picture?: Float32Array): Float32Array => {
    if (edge) out.fill(ground)
    if (picture) out.set(picture, edge)
    if (how.shapes.length) drawShapes(out, y, how.shapes, scale)
    if (how.writing) drawWriting(out, y, how.writing, 1 - ground)
    return how.isMirrored ? out.reverse() : out
  }
  for (let i = 0; i < edge; i++) yield give(i)
  let y = edge
  for (const row of rows) yield give(y++, row)
  for (let i = 0; i < edge; i++) yield give(y++)
}

/** Width of a border in whole pixels. */
export const edgePixels = (border: Border, pixelsPerInch: number): number =>
  Math.round((border.millimetres / 25.4) * pixelsPerInch)
