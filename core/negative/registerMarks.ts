import type { Point } from './homography'

/** Arms of a register cross reach so far from its middle, mm. */
export const armOf = (borderMillimetres: number): number => Math.min(5, borderMillimetres / 2 - 1)
const APART = 3
/** Layers that can be told apart by the places of their crosses. */
export const MOST_LAYERS = 4

/**
 * Where the crosses of a layer stand that tell it from the others: in the middle of each side for the first; for each
 * further one a step to the right along the upper and the lower side and a step down along the others. The crosses in
 * the corners are the same for all: by them films are laid on each other.
 *
 * @param film of the picture without its border, mm. @param layer from 0.
 * @returns upper, right, lower and left cross, mm from the upper left corner of the film.
 */
export function registerPlaces(
  film: { width: number; height: number; border: number },
  layer: number,
): [Point, Point, Point, Point] {
  const [w, h, b] = [film.width + 2 * film.border, film.height + 2 * film.border, film.border]
  const step = layer * (2 * armOf(b) + APART)
  return [
    [w / 2 + step, b / 2],
    [w - b / 2, h / 2 + step],
    [w / 2 + step, h - b / 2],
    [b / 2, h / 2 + step],
  ]
}
