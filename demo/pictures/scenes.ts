import { box, circle, clamp, cloud, inside, mix, noise, RATIO, smooth, stroke, type Scene } from './drawing'

/** A lens of a lamp room: rings of prisms in brass, the dark room behind it. */
export const lampRoomLens: Scene = (x, y) => {
  const dx = x - 0.5
  const dy = y - 0.58
  const r = Math.hypot(dx, dy)
  const angle = Math.atan2(dy, dx)
  let tone = 0.16 + 0.1 * cloud(x * 3, y * 3, 4) + 0.14 * smooth(0.9, 0, y)
  const ring = (r - 0.1) / 0.038
  const withinRing = ring - Math.floor(ring)
  const glass =
    0.35 +
    0.6 *
      Math.abs(Math.sin(withinRing * Math.PI)) ** 1.4 *
      (0.72 + 0.28 * Math.sin(angle * 2 - 0.9 + Math.floor(ring) * 0.23))
  tone = mix(tone, glass, inside(r - 0.4))
  tone = mix(tone, 0.97 - r * 1.6, inside(r - 0.095))
  for (let i = 0; i < 8; i++) {
    const a = (i * Math.PI) / 4 + 0.2
    tone = mix(
      tone,
      0.07,
      inside(
        stroke(dx, dy, Math.cos(a) * 0.1, Math.sin(a) * 0.1, Math.cos(a) * 0.41, Math.sin(a) * 0.41, 0.006),
      ) * 0.85,
    )
  }
  tone = mix(tone, 0.05, inside(Math.abs(r - 0.41) - 0.014))
  const post = Math.min(box(x, y, 0.06, 0.625, 0.022, 0.7), box(x, y, 0.94, 0.625, 0.022, 0.7))
  tone = mix(tone, 0.04, inside(post))
  return mix(tone, 0.08, inside(box(x, y, 0.5, 1.17, 0.6, 0.05)))
}

/** A long rope walk in one-point perspective, light falling in from the left. */
export const ropeWalk: Scene = (x, y) => {
  const vx = 0.56
  const vy = 0.52
  const dx = x - vx
  const dy = y - vy
  const depth = 1 / Math.max(Math.abs(dx) * 1.9, Math.abs(dy) * 1.35, 0.012)
  const isFloor = dy > 0 && Math.abs(dy) * 1.35 > Math.abs(dx) * 1.9
  const isRoof = dy < 0 && Math.abs(dy) * 1.35 > Math.abs(dx) * 1.9
  const bay = depth * 0.8 - Math.floor(depth * 0.8)
  const haze = smooth(2, 40, depth)
  let tone: number
  if (isFloor) {
    const board = Math.abs(((dx / dy) * 9) % 1)
    tone = 0.34 + 0.1 * noise(dx * 60, depth * 3) - 0.14 * inside(Math.min(board, 1 - board) - 0.03, 0.03)
    tone += 0.4 * smooth(0.5, 0.2, Math.abs(bay - 0.5)) * inside(dx / dy + 0.55, 0.2)
  } else if (isRoof) tone = 0.14 + 0.2 * inside(Math.abs(bay - 0.5) - 0.13, 0.03)
  else if (dx < 0)
    tone = 0.22 + 0.72 * inside(Math.max(Math.abs(bay - 0.5) - 0.2, Math.abs(dy * depth + 0.12) - 0.2), 0.02)
  else tone = 0.2 + 0.1 * inside(Math.abs(bay - 0.5) - 0.3, 0.04) + 0.06 * noise(depth * 8, dy * depth * 10)
  for (const lane of [-0.32, 0.05, 0.36]) {
    const rope = Math.abs(dx - lane * dy) - 0.006 * (dy * 2)
    if (dy > 0.02) tone = mix(tone, 0.85, inside(rope, 0.002) * (0.6 + 0.4 * Math.sin(depth * 60)))
  }
  return clamp(mix(tone, 0.9, haze * 0.9))
}

/** A tide gauge standing in still water. */
export const tideGauge: Scene = (x, y) => {
  const water = 0.82
  let tone = mix(0.92, 0.62, y / water) + 0.06 * (cloud(x * 3, y * 5, 9) - 0.5)
  if (y > water) {
    const wave = Math.sin(y * 190 + Math.sin(x * 9 + y * 30) * 2.4) * 0.5 + 0.5
    tone = mix(0.34, 0.7, wave * 0.55) + 0.1 * smooth(1.25, 0.8, y)
  }
  tone = mix(tone, 0.42, inside(Math.max(y - water, water - 0.075 - 0.012 * noise(x * 11, 3) - y)) * 0.8)
  const sway = y > water ? Math.sin(y * 150) * 0.006 : 0
  const mirrored = y > water ? 2 * water - y : y
  const post = Math.abs(x - 0.42 - sway) - 0.062
  const isPost = inside(Math.max(post, 0.14 - mirrored))
  const mark = mirrored * 24 - Math.floor(mirrored * 24)
  const long = Math.floor(mirrored * 24) % 5 === 0
  const face = mark < 0.42 && x - sway < (long ? 0.475 : 0.435) ? 0.08 : 0.93
  tone = mix(tone, y > water ? mix(face, 0.5, 0.35) : face, isPost)
  tone = mix(tone, 0.1, inside(Math.abs(x - 0.53 - sway) - 0.02) * inside(0.1 - mirrored))
  for (const rung of [0.24, 0.42, 0.6, 0.76])
    tone = mix(tone, 0.07, inside(box(x - sway, mirrored, 0.47, rung, 0.1, 0.008)))
  return clamp(tone)
}

/** A bell buoy lying on shingle. */
export const bellBuoy: Scene = (x, y) => {
  let tone = mix(0.88, 0.68, y / 0.85) + 0.05 * (cloud(x * 2, y * 3, 3) - 0.5)
  if (y > 0.86) {
    const stones = noise(x * 46, y * 70, 5) * 0.5 + noise(x * 90, y * 130, 6) * 0.5
    tone = 0.2 + 0.5 * stones * smooth(1.3, 0.7, y)
  }
  const shade = clamp(0.62 - ((x - 0.42) * 1.3 + (y - 0.72) * 0.9))
  const rust = cloud(x * 14, y * 14, 7)
  tone = mix(tone, clamp(0.1 + shade * 0.66 - rust * 0.16), inside(circle(x, y, 0.46, 0.74, 0.27)))
  tone = mix(
    tone,
    0.1,
    inside(Math.max(Math.abs(y - 0.72 - (x - 0.46) * 0.1) - 0.012, circle(x, y, 0.46, 0.74, 0.272))),
  )
  const cage = Math.min(
    stroke(x, y, 0.36, 0.5, 0.5, 0.15, 0.012),
    stroke(x, y, 0.62, 0.53, 0.56, 0.15, 0.012),
    stroke(x, y, 0.47, 0.48, 0.53, 0.15, 0.008),
    stroke(x, y, 0.4, 0.4, 0.6, 0.42, 0.009),
    stroke(x, y, 0.47, 0.16, 0.59, 0.16, 0.014),
  )
  tone = mix(tone, 0.06, inside(cage))
  const bell = Math.max(circle(x, y, 0.53, 0.33, 0.062), y - 0.36)
  tone = mix(tone, clamp(0.55 - (x - 0.53) * 5), inside(bell))
  return clamp(tone - 0.35 * inside(Math.hypot((x - 0.52) / 0.34, (y - 1.0) / 0.05) - 1, 0.35))
}

/** A keeper's stair looked up from below, its treads turning round a bright eye. */
export const keepersStair: Scene = (x, y) => {
  const dx = x - 0.48
  const dy = y - 0.58
  const r = Math.hypot(dx, dy)
  const turn = (Math.atan2(dy, dx) / (2 * Math.PI) + 0.5 + Math.log(r + 0.03) * 0.42 + 4) % 1
  const tread = turn * 22 - Math.floor(turn * 22)
  let tone = 0.16 + 0.5 * tread * smooth(0.62, 0.1, r) + 0.08 * noise(dx * 40, dy * 40, 2)
  tone *= 0.55 + 0.55 * smooth(-0.5, 0.5, dx - dy * 0.3)
  const rail = (Math.log(r + 0.03) * 2.6 - Math.atan2(dy, dx) / Math.PI + 20) % 1
  tone = mix(tone, 0.04, inside(Math.abs(rail - 0.5) - 0.055, 0.02))
  tone = mix(tone, 0.96 - r * 2.4, inside(r - 0.085, 0.01))
  return clamp(mix(tone, 0.05, inside(Math.abs(r - 0.09) - 0.008)))
}

/** A horn house on its rock: the building, and two trumpets that called into the fog. */
export const hornHouse: Scene = (x, y) => {
  let tone = mix(0.95, 0.74, y / 0.9) - 0.12 * cloud(x * 2.4, y * 4, 8)
  const rock = 0.93 + 0.05 * Math.sin(x * 5) + 0.05 * (noise(x * 9, 1) - 0.5)
  const wall = box(x, y, 0.33, 0.72, 0.21, 0.23)
  tone = mix(tone, 0.78 - 0.1 * noise(x * 50, y * 90, 3) + (x < 0.3 ? 0 : -0.2), inside(wall))
  const gable = Math.max(Math.abs(x - 0.33) * 0.72 + (y - 0.49) + 0.155 - 0.155, 0.33 - y, y - 0.5)
  tone = mix(
    tone,
    0.26 + 0.06 * noise(x * 90, y * 30),
    inside(Math.max(gable - 0.01, Math.abs(x - 0.33) - 0.235)),
  )
  for (const wx of [0.2, 0.34]) tone = mix(tone, 0.08, inside(box(x, y, wx, 0.68, 0.03, 0.055)))
  tone = mix(tone, 0.1, inside(box(x, y, 0.46, 0.83, 0.04, 0.1)))
  for (const [hy, reach] of [
    [0.6, 0.36],
    [0.72, 0.3],
  ] as const) {
    const t = (x - 0.53) / reach
    const bore = 0.014 + 0.075 * clamp(t) ** 3
    const horn = Math.max(Math.abs(y - hy + t * 0.03) - bore, Math.abs(x - 0.53 - reach / 2) - reach / 2)
    tone = mix(tone, 0.14 + 0.34 * smooth(0.04, -0.06, y - hy), inside(horn))
    tone = mix(tone, 0.03, inside(Math.hypot((x - 0.53 - reach) / 0.016, (y - hy + 0.03) / 0.09) - 1, 0.05))
  }
  const land = 0.14 + 0.3 * noise(x * 22, y * 34, 11) * smooth(1.25, 0.9, y)
  return clamp(mix(tone, land, inside(rock - y, 0.004)))
}

/** A net loft: mesh hung before a window. */
export const netLoft: Scene = (x, y) => {
  const glow = Math.exp(-((x - 0.62) ** 2 + (y - 0.45) ** 2) * 6)
  let tone = 0.1 + 0.16 * noise(x * 3, y * 40, 2) + 0.45 * glow
  const pane = box(x, y, 0.62, 0.45, 0.19, 0.25)
  tone = mix(tone, 0.95, inside(pane, 0.004))
  const bars =
    Math.min(Math.abs(x - 0.62), Math.abs(y - 0.45), Math.abs(y - 0.285), Math.abs(y - 0.615)) - 0.008
  tone = mix(tone, 0.1, inside(Math.max(bars, pane)))
  const sag = 0.1 * Math.sin(x * 4 + 0.4) + 0.05 * Math.sin(x * 11)
  const u = (x + y * 0.35 + sag) * 27
  const v = (y - x * 0.35 + sag) * 27
  const knot = Math.min(Math.abs(u - Math.round(u)), Math.abs(v - Math.round(v)))
  const hung = smooth(0.1, 0.26, x + 0.2 * Math.sin(y * 3)) * smooth(1.02, 0.84, y - 0.18 * Math.sin(x * 6))
  tone = mix(tone, 0.06 + 0.2 * glow, inside(knot - 0.075, 0.05) * hung)
  return clamp(mix(tone, 0.07, inside(y - 0.13) * 0.9))
}

/** Posts that go out into the fog. */
export const fogWall: Scene = (x, y) => {
  const horizon = 0.62
  let tone = 0.84 + 0.1 * (cloud(x * 1.6, y * 2.4, 21) - 0.5)
  if (y > horizon)
    tone -=
      0.3 * smooth(horizon, RATIO, y) +
      0.06 * Math.sin(y * 240 + noise(x * 8, y * 20) * 6) * smooth(horizon, 1, y)
  for (let i = 0; i < 7; i++) {
    const near = (7 - i) / 7
    const px = 0.14 + 0.7 * (1 - near ** 1.5) + 0.012 * Math.sin(i * 5)
    const foot = horizon + 0.42 * near ** 1.7
    const top = foot - 0.62 * near ** 1.4
    const post = Math.max(
      Math.abs(x - px - (y - foot) * 0.03 * Math.sin(i * 3)) - 0.026 * near ** 1.3,
      top - y,
      y - foot,
    )
    tone = mix(tone, mix(0.74, 0.1, near ** 1.6), inside(post, 0.003))
    const glint = Math.max(
      Math.abs(x - px + 0.01 * Math.sin(y * 120)) - 0.024 * near,
      foot - y,
      y - foot - 0.2 * near,
    )
    tone = mix(tone, mix(0.7, 0.3, near), inside(glint, 0.01) * 0.5)
  }
  return clamp(tone)
}

/** A photogram of bladderwrack: forking fronds that kept the light from the coat. */
export const bladderwrack: Scene = (x, y) => {
  let distance = 1
  let bladders = 1
  const grow = (
    ax: number,
    ay: number,
    angle: number,
    length: number,
    width: number,
    level: number,
  ): void => {
    const bx = ax + Math.cos(angle) * length
    const by = ay + Math.sin(angle) * length
    // What is far off cannot cover this place, nor can what grows from it.
    if (Math.hypot(x - ax, y - ay) > length * 3.4 + 0.05) return
    distance = Math.min(distance, stroke(x, y, ax, ay, bx, by, width, width * 0.82))
    if (level > 1)
      bladders = Math.min(bladders, circle(x, y, bx - Math.cos(angle) * length * 0.4, by, width * 1.15))
    if (level === 5) return
    const spread = 0.34 + 0.1 * Math.sin(level * 7 + ax * 30)
    grow(bx, by, angle - spread, length * 0.79, width * 0.83, level + 1)
    grow(bx, by, angle + spread * 0.9, length * 0.74, width * 0.83, level + 1)
  }
  grow(0.5, 1.12, -Math.PI / 2 - 0.12, 0.27, 0.03, 0)
  const leaf = 0.82 - 0.2 * noise(x * 30, y * 30, 3) + 0.14 * inside(bladders, 0.006)
  return mix(0.09 + 0.05 * cloud(x * 4, y * 4, 2), leaf, inside(distance, 0.005))
}

/** A photogram of sea lettuce: thin ruffled sheets, light through their folds. */
export const seaLettuce: Scene = (x, y) => {
  let light = 0.06 + 0.04 * cloud(x * 4, y * 4, 2)
  const leaves = [
    [0.36, 0.42, 0.25, 0.3],
    [0.62, 0.66, 0.27, 2.1],
    [0.33, 0.88, 0.2, 4.4],
  ] as const
  for (const [cx, cy, size, turn] of leaves) {
    const dx = x - cx
    const dy = y - cy
    const angle = Math.atan2(dy, dx) + turn
    const edge =
      size * (0.8 + 0.12 * Math.sin(angle * 3) + 0.05 * Math.sin(angle * 9 + 1) + 0.03 * Math.sin(angle * 21))
    const r = Math.hypot(dx, dy)
    const fold = Math.sin(r * 60 + Math.sin(angle * 6) * 3 + noise(x * 7, y * 7, 5) * 7) * 0.5 + 0.5
    const leaf = 0.36 + 0.34 * fold * smooth(0, edge, r) + 0.14 * inside(Math.abs(r - edge) - 0.01, 0.012)
    light =
      Math.max(light, leaf * inside(r - edge, 0.004)) +
      0.16 * leaf * inside(r - edge, 0.004) * Number(light > 0.2)
  }
  return clamp(light)
}
