import { clamp, cloud, mix, noise, RATIO, smooth, type Scene } from './drawing'

/** How a print came out. */
export interface PrintLook {
  scene: Scene
  /** Depth of the deepest blue, 1 as wanted. */
  depth: number
  /** Veil over the whites, 0 to 1. */
  fog?: number
  /** Yellow left in the whites, 0 to 1. */
  stain?: number
  /** Makes the brush's edge and the paper's grain those of one sheet. */
  seed: number
}

type Rgb = readonly [number, number, number]
const PAPER: Rgb = [240, 237, 226]
const PALE: Rgb = [150, 182, 205]
const BLUE: Rgb = [44, 96, 150]
const DEEP: Rgb = [12, 38, 78]
const YELLOW: Rgb = [222, 206, 128]

const blend = (a: Rgb, b: Rgb, t: number): Rgb => [mix(a[0], b[0], t), mix(a[1], b[1], t), mix(a[2], b[2], t)]

/** Colour of the print where so much blue has formed, 0 to 1. */
function iron(amount: number): Rgb {
  if (amount < 0.33) return blend(PAPER, PALE, amount / 0.33)
  return amount < 0.7 ? blend(PALE, BLUE, (amount - 0.33) / 0.37) : blend(BLUE, DEEP, (amount - 0.7) / 0.3)
}

/**
 * A photograph of a print, drawn: the picture inside a brushed coat on a sheet of rag.
 *
 * @returns RGB bytes, row by row, three a pixel.
 */
export function drawPrint(
  look: PrintLook,
  width: number,
): { rgb: Uint8Array; width: number; height: number } {
  const height = Math.round(width * RATIO)
  const rgb = new Uint8Array(width * height * 3)
  for (let row = 0; row < height; row++)
    for (let column = 0; column < width; column++) {
      const colour = printAt(look, (column + 0.5) / width, (row + 0.5) / width)
      rgb.set(colour, (row * width + column) * 3)
    }
  return { rgb, width, height }
}

/** Bare paper round the coat, as a share of the width. */
const BORDER = 0.085
/** The over-brushed edge outside the negative, which goes full blue. */
const OVERBRUSH = 0.022

function printAt({ scene, depth, fog = 0, stain = 0, seed }: PrintLook, x: number, y: number): Rgb {
  // The brush pulls out in strokes: the coat's edge wanders slowly along a side and frays quickly across it.
  const wander = (along: number, side: number) =>
    0.014 * noise(along * 7, side, seed) + 0.02 * noise(along * 60, side + 9, seed) ** 3
  const framed = Math.min(x - BORDER, 1 - x - BORDER, y - BORDER, RATIO - y - BORDER)
  const coat =
    framed > 0
      ? 1
      : smooth(
          0,
          0.006,
          OVERBRUSH +
            Math.min(
              x - BORDER + wander(y, 1),
              1 - x - BORDER + wander(y, 2),
              y - BORDER + wander(x, 3),
              RATIO - y - BORDER + wander(x, 4),
            ),
        )
  const inFrame = smooth(-0.001, 0.001, framed)
  const scale = 1 / (1 - 2 * BORDER)
  const tone = framed > -0.002 ? scene((x - BORDER) * scale, (y - RATIO / 2) * scale + RATIO / 2) : 0

  const strokes = 0.06 * (noise(x * 90, y * 4, seed + 5) - 0.5) + 0.05 * (cloud(x * 6, y * 6, seed + 6) - 0.5)
  const wanted = mix(1, clamp(1 - tone), inFrame)
  const blue = clamp(wanted ** 1.15 * depth * (1 + strokes) + fog * 0.3 * (1 - wanted)) * coat
  const grain =
    1 + 0.035 * (noise(x * 420, y * 420, seed + 7) - 0.5) + 0.02 * (cloud(x * 60, y * 60, seed + 8) - 0.5)
  const stained = stain ? stain * coat * (1 - blue) * smooth(0.35, 0.75, cloud(x * 3, y * 3, seed + 3)) : 0
  const yellowed = blend(iron(blue), YELLOW, stained)
  return [
    clamp(yellowed[0] * grain, 0, 255),
    clamp(yellowed[1] * grain, 0, 255),
    clamp(yellowed[2] * grain, 0, 255),
  ]
}
