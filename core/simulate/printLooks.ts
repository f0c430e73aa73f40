import type { GreyPicture } from '../negative/resample'
import { seededRandom } from '../quantity/random'
import type { PracticeLook } from './practiceFault'
import type { SheetConditions, SheetWork, VirtualFilm, VirtualProcess } from './virtualProcess'

/** A part of a sheet that is made or worked otherwise than the rest. */
export interface SheetPart {
  made: (conditions: SheetConditions, process: VirtualProcess) => SheetConditions
  worked: (work: SheetWork) => SheetWork
}

/** A negative on a sheet, with everything about both that shows in places. */
export interface NegativeOnSheet {
  width: number
  height: number
  /** Shape (height · width,): density in the way of the light. */
  density: Float32Array
  /** Shape (height · width,): which part of the sheet a place belongs to. */
  part: Uint8Array
  /** The parts: the first is the sheet as it was meant. */
  parts: readonly SheetPart[]
}

type Place = (x: number, y: number) => number
const asMade = { made: (conditions: SheetConditions) => conditions, worked: (work: SheetWork) => work }
const covered = (times: number): SheetPart => ({
  ...asMade,
  made: (conditions) => ({ ...conditions, coverage: conditions.coverage * times }),
})
const fogged = (ofSpeed: number): SheetPart => ({
  ...asMade,
  made: (conditions, { speed }) => ({ ...conditions, fogDose: conditions.fogDose + ofSpeed * speed.value }),
})

/** Waves of different length and direction: smooth chance from −1 to 1. */
function waves(random: () => number, count: number, along: number, across: number): Place {
  const some = Array.from({ length: count }, () => ({
    x: along * (0.5 + random()) * (random() < 0.5 ? -1 : 1),
    y: across * (0.5 + random()),
    phase: 6.28 * random(),
  }))
  return (x, y) =>
    some.reduce((sum, one) => sum + Math.sin(one.x * x + one.y * y + one.phase), 0) / Math.sqrt(count) / 1.4
}

const STREAKED = [covered(0.2), covered(0.45), covered(0.7), asMade, covered(1.5)]
const MOTTLED = [covered(0.4), covered(0.6), covered(0.8), asMade, covered(1.3)]
/** Uneven coats by chance of −1 to 1. */
const byChance =
  (chance: Place): Place =>
  (x, y) =>
    Math.min(4, Math.max(0, Math.floor(2.5 * (chance(x, y) + 1.05))))

interface PlacedLook {
  parts: readonly SheetPart[]
  /** Which of the parts a place belongs to, −1 for none; in pixels of a sheet that is 1000 wide. */
  at: Place
}

/** Round spots by chance, some with a tail in the direction of the brush. */
function spots(random: () => number, count: number, [least, most]: [number, number], tail = 0): Place {
  const some = Array.from({ length: count }, () => ({
    x: 40 + 920 * random(),
    y: 40 + 720 * random(),
    radius: least + (most - least) * random() ** 2,
    tail: random() < 0.4 ? tail : 0,
  }))
  return (x, y) =>
    some.some(
      (one) =>
        Math.hypot(x - one.x, y - one.y) < one.radius ||
        (one.tail > 0 && x > one.x && x < one.x + one.tail && Math.abs(y - one.y) < one.radius / 3),
    )
      ? 0
      : -1
}

/** Ridges of two fingers that held the sheet by its picture. */
const fingers: Place = (x, y) => {
  for (const [cx, cy, turn] of [[120, 330, 0.4], [890, 500, -0.5]] as const) {
    const [dx, dy] = [x - cx, y - cy]
    const [u, v] = [dx * Math.cos(turn) + dy * Math.sin(turn), dy * Math.cos(turn) - dx * Math.sin(turn)]
    const away = Math.hypot(u / 55, v / 80)
    if (away < 1 && Math.sin(away * 46 + 1.5 * Math.sin(u / 16)) > 0.1) return 0
  }
  return -1
} // prettier-ignore

/** A pool at the lower edge that dried last: dark, with a darker rim. */
const pool: Place = (x, y) => {
  const away = Math.hypot((x - 690) / 210, (y - 790) / 90) + 0.05 * Math.sin(x / 23)
  return away > 1 ? -1 : away > 0.88 ? 1 : 0
}

const PLACED: Partial<Record<PracticeLook, (random: () => number) => PlacedLook>> = {
  streaks: (random) => {
    const [long, fine] = [waves(random, 3, 0.002, 0.09), waves(random, 4, 0.004, 0.3)]
    return { parts: STREAKED, at: byChance((x, y) => 0.75 * long(x, y) + 0.4 * fine(x, y)) }
  },
  mottle: (random) => {
    const [wide, fine] = [waves(random, 6, 0.03, 0.03), waves(random, 6, 0.09, 0.09)]
    return { parts: MOTTLED, at: byChance((x, y) => 0.7 * wide(x, y) + 0.4 * fine(x, y)) }
  },
  line: () => ({
    parts: [{ ...asMade, made: (conditions) => ({ ...conditions, isBuffered: true }) }],
    at: (x, y) => (x > 560 + 0.1 * y ? 0 : -1),
  }),
  blotch: () => ({ parts: [fogged(0.45), fogged(1.1)], at: pool }),
  specksLight: (random) => ({ parts: [covered(0.02)], at: spots(random, 45, [1.5, 6]) }),
  specksDark: (random) => ({ parts: [fogged(6)], at: spots(random, 30, [2, 6], 26) }),
  finger: () => ({ parts: [covered(0.2)], at: fingers }),
  patches: (random) => {
    const wide = waves(random, 5, 0.012, 0.016)
    const [less, least] = [0.5, 0.15].map((share): SheetPart => ({
      ...asMade,
      worked: (work) => ({ ...work, toned: work.toned === null ? null : share * work.toned }),
    })) as [SheetPart, SheetPart]
    return { parts: [less, least], at: (x, y) => (wide(x, y) > 0.45 ? 1 : wide(x, y) > 0.1 ? 0 : -1) }
  },
  rings: (random) => ({
    parts: [{ ...asMade, worked: (work) => ({ ...work, developed: work.developed === null ? null : 0 }) }],
    at: spots(random, 9, [14, 34]),
  }),
}

/** How far the second outline of a film that moved is from the first, in pixels of a sheet 1000 wide. */
const MOVED = [9, 5] as const
/** Density that the light lacks in the far corner of an uneven frame. */
const CORNER = 0.55
/** Half the width of the blur where film and paper do not touch, in pixels of a sheet 1000 wide. */
const APART = 7

/**
 * A negative on a sheet with faults that show in places.
 *
 * @param ink 0 clear to 1 all of it.
 */
export function negativeOnSheet(
  ink: GreyPicture,
  film: VirtualFilm,
  looks: readonly PracticeLook[],
): NegativeOnSheet {
  const { width, height } = ink
  const scale = 1000 / width
  let light = new Float32Array(width * height)
  for (let i = 0; i < light.length; i++)
    light[i] = 10 ** -(film.base + film.range * (ink.data[i] ?? 0) ** film.power)
  const has = (look: PracticeLook) => looks.includes(look)
  if (has('mirrored')) light = eachPixel(width, height, (x, y) => light[y * width + width - 1 - x] ?? 1)
  if (has('double')) light = movedOnce(light, width, height, scale)
  if (has('soft')) light = blurred(light, width, height, scale)
  const density = light.map((one) => -Math.log10(Math.max(1e-6, one)))
  if (has('uneven'))
    for (let y = 0; y < height; y++)
      for (let x = 0; x < width; x++)
        density[y * width + x] =
          (density[y * width + x] ?? 0) + CORNER * (x / width) ** 2 * (1 - (0.5 * y) / height)
  const part = new Uint8Array(width * height)
  const parts: SheetPart[] = [asMade]
  for (const look of looks) {
    const placed = PLACED[look]?.(seededRandom(7))
    if (!placed) continue
    const first = parts.length
    parts.push(...placed.parts)
    for (let y = 0; y < height; y++)
      for (let x = 0; x < width; x++) {
        const at = placed.at(x * scale, y * scale)
        if (at >= 0) part[y * width + x] = first + at
      }
  }
  return { width, height, density, part, parts }
}

function eachPixel(width: number, height: number, value: Place): Float32Array<ArrayBuffer> {
  const out = new Float32Array(width * height)
  for (let y = 0; y < height; y++) for (let x = 0; x < width; x++) out[y * width + x] = value(x, y)
  return out
}

const clamped = (value: number, size: number) => Math.min(size - 1, Math.max(0, value))

function movedOnce(light: Float32Array, width: number, height: number, scale: number) {
  const [dx, dy] = MOVED.map((one) => Math.round(one / scale)) as [number, number]
  return eachPixel(width, height, (x, y) => {
    const there = light[clamped(y - dy, height) * width + clamped(x - dx, width)] ?? 1
    return 0.6 * (light[y * width + x] ?? 1) + 0.4 * there
  })
}

/** Blurs a large patch left of the middle, where the frame does not press. */
function blurred(light: Float32Array, width: number, height: number, scale: number) {
  const radius = Math.max(1, Math.round(APART / scale))
  const once = (from: Float32Array, dx: number, dy: number) =>
    eachPixel(width, height, (x, y) => {
      let sum = 0
      for (let i = -radius; i <= radius; i++)
        sum += from[clamped(y + i * dy, height) * width + clamped(x + i * dx, width)] ?? 1
      return sum / (2 * radius + 1)
    })
  const soft = once(once(light, 1, 0), 0, 1)
  return eachPixel(width, height, (x, y) => {
    const away = Math.hypot((x / width - 0.4) / 0.36, (y / height - 0.5) / 0.42)
    const share = Math.min(1, Math.max(0, 1.6 - 1.6 * away))
    const at = y * width + x
    return (light[at] ?? 1) + share * ((soft[at] ?? 1) - (light[at] ?? 1))
  })
}
