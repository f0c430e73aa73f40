import type { GreyPicture } from '../negative/resample'
import { lightnessOf } from '../negative/tone'
import { seededRandom } from '../quantity/random'

/** Size of the negative that is drawn for practice, and of its clear edge, which shows the margin of the coat. */
const [WIDTH, HEIGHT, EDGE] = [1000, 800, 36]
const STEPS = 12

/**
 * A negative that is drawn for practice: hills under a sky, a wedge of steps below, and clear film all round.
 *
 * @returns ink of 0 to 1.
 */
export function practiceNegative(): GreyPicture {
  const data = new Float32Array(WIDTH * HEIGHT)
  const random = seededRandom(11)
  const [a, b, c] = [random() * 6, random() * 6, random() * 6]
  const wedge = HEIGHT - EDGE - 90
  const hill = (x: number, height: number, phase: number, waves: number) =>
    height + 40 * Math.sin(waves * x + phase) + 18 * Math.sin(2.7 * waves * x + 2 * phase)
  for (let y = 0; y < HEIGHT; y++)
    for (let x = 0; x < WIDTH; x++) {
      const isEdge = x < EDGE || y < EDGE || x >= WIDTH - EDGE || y >= HEIGHT - EDGE
      const share = (x - EDGE) / (WIDTH - 2 * EDGE)
      let ink: number
      if (isEdge) ink = 0
      else if (y >= wedge) ink = Math.floor(STEPS * share) / (STEPS - 1)
      else if (y > hill(x, 520, a, 0.006)) ink = 0.1 + 0.05 * Math.sin(x / 60 + y / 7) + 0.0002 * (HEIGHT - y)
      else if (y > hill(x, 430, b, 0.009)) ink = 0.36 + 0.03 * Math.sin(x / 90 - y / 11)
      else if (y > hill(x, 350, c, 0.012)) ink = 0.56
      else if (Math.hypot(x - 720, y - 190) < 62) ink = 1
      else ink = 0.74 + 0.2 * (y / 400)
      data[y * WIDTH + x] = Math.min(1, Math.max(0, ink))
    }
  return { width: WIDTH, height: HEIGHT, data }
}

/**
 * A negative of a picture, as much ink as it is light, with clear film all round.
 *
 * @param picture linear light of 0 to 1.
 */
export function negativeOfPicture({ width, height, data }: GreyPicture): GreyPicture {
  const edge = Math.max(8, Math.round(0.036 * Math.max(width, height)))
  const [wide, high] = [width + 2 * edge, height + 2 * edge]
  const ink = new Float32Array(wide * high)
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++)
      ink[(y + edge) * wide + x + edge] =
        Math.min(100, Math.max(0, lightnessOf(data[y * width + x] ?? 0))) / 100
  return { width: wide, height: high, data: ink }
}

/** A ladder of even steps from clear to all of the ink, side by side, with clear film all round. */
export function practiceLadder(steps: number): GreyPicture {
  const data = new Float32Array(WIDTH * HEIGHT)
  for (let y = EDGE; y < HEIGHT - EDGE; y++)
    for (let x = EDGE; x < WIDTH - EDGE; x++)
      data[y * WIDTH + x] = Math.floor((steps * (x - EDGE)) / (WIDTH - 2 * EDGE)) / (steps - 1)
  return { width: WIDTH, height: HEIGHT, data }
}

/** A negative through a correction curve. @param inkOf ink by tone, both 0 to 1. */
export const throughCurve = (picture: GreyPicture, inkOf: (tone: number) => number): GreyPicture => {
  const table = Float32Array.from({ length: 1025 }, (_, i) => Math.min(1, Math.max(0, inkOf(i / 1024))))
  return { ...picture, data: picture.data.map((tone) => table[Math.round(1024 * tone)] ?? tone) }
}
