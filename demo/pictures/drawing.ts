/** A picture as a function: tone at a place, 0 black to 1 white; x runs 0 to 1, y 0 to `RATIO`. */
export type Scene = (x: number, y: number) => number

/** Height over width of an 8 x 10 in sheet. */
export const RATIO = 1.25

export const clamp = (value: number, low = 0, high = 1): number => Math.min(high, Math.max(low, value))
export const mix = (a: number, b: number, t: number): number => a + (b - a) * clamp(t)

/** 0 below `from`, 1 above `to`, smooth between. */
export function smooth(from: number, to: number, value: number): number {
  const t = clamp((value - from) / (to - from))
  return t * t * (3 - 2 * t)
}

/** Coverage of a shape whose edge is at distance 0, negative inside. */
export const inside = (distance: number, softness = 0.0025): number =>
  1 - smooth(-softness, softness, distance)

export const circle = (x: number, y: number, cx: number, cy: number, r: number): number =>
  Math.hypot(x - cx, y - cy) - r

export function box(
  x: number,
  y: number,
  cx: number,
  cy: number,
  halfWidth: number,
  halfHeight: number,
): number {
  const dx = Math.abs(x - cx) - halfWidth
  const dy = Math.abs(y - cy) - halfHeight
  return Math.hypot(Math.max(dx, 0), Math.max(dy, 0)) + Math.min(Math.max(dx, dy), 0)
}

/** Distance to a line from a to b with a thickness that changes from one end to the other. */
export function stroke(
  x: number,
  y: number,
  ax: number,
  ay: number,
  bx: number,
  by: number,
  ra: number,
  rb = ra,
): number {
  const vx = bx - ax
  const vy = by - ay
  const t = clamp(((x - ax) * vx + (y - ay) * vy) / (vx * vx + vy * vy))
  return Math.hypot(x - ax - vx * t, y - ay - vy * t) - mix(ra, rb, t)
}

const hash = (ix: number, iy: number, seed: number): number => {
  let h = Math.imul(ix, 374_761_393) ^ Math.imul(iy, 668_265_263) ^ Math.imul(seed, 1_442_695_041)
  h = Math.imul(h ^ (h >>> 13), 1_274_126_177)
  return ((h ^ (h >>> 16)) >>> 0) / 4_294_967_296
}

/** `smooth` and `mix` for what is between 0 and 1 already. */
const fade = (t: number): number => t * t * (3 - 2 * t)
const mixed = (a: number, b: number, t: number): number => a + (b - a) * t

/** Value noise in [0, 1], smooth over one unit. */
export function noise(x: number, y: number, seed = 1): number {
  // One value a line: parted from a list, as elsewhere, this innermost sum of all takes twice the time.
  const ix = Math.floor(x)
  const iy = Math.floor(y)
  const tx = fade(x - ix)
  const top = mixed(hash(ix, iy, seed), hash(ix + 1, iy, seed), tx)
  const bottom = mixed(hash(ix, iy + 1, seed), hash(ix + 1, iy + 1, seed), tx)
  return mixed(top, bottom, fade(y - iy))
}

/** Noise of several sizes, in [0, 1]. */
export const cloud = (x: number, y: number, seed = 1): number =>
  noise(x, y, seed) * 0.53 +
  noise(x * 2.1, y * 2.1, seed + 1) * 0.27 +
  noise(x * 4.3, y * 4.3, seed + 2) * 0.2
