import { someOf } from '../fixtures/samples'
import { seededRandom } from '../quantity/random'
import { homographyOf, mapped, type Point } from '../negative/homography'
import { borderShapes } from '../negative/film'
import { armOf, registerPlaces } from '../negative/registerMarks'
import { readRegister } from './register'
import { registerAdvice, registerOf, type MarkPair } from './registerError'
import type { GreyPicture } from '../negative/resample'

const FILM = { width: 80, height: 100, border: 12 }
const BORDER = { millimetres: 12, isInked: true, hasMarks: true, layer: 0, hasStrip: false }

/** How an upper layer is on a lower one: about the middle of the film. */
interface Lying {
  right: number
  down: number
  degrees: number
  across: number
  down2: number
}
/** Pairs as they are read: from the middle of the film. */
const pairsOf = (how: Lying): MarkPair[] => {
  const [cx, cy] = [FILM.width / 2 + FILM.border, FILM.height / 2 + FILM.border]
  return registerPlaces(FILM, 1).map((place) => {
    const [x, y] = lies(how)(place)
    return { lower: [place[0] - cx, place[1] - cy], upper: [x - cx, y - cy] }
  })
}
const IN_PLACE: Lying = { right: 0, down: 0, degrees: 0, across: 0, down2: 0 }
const lies = (how: Lying) => {
  const [cx, cy] = [FILM.width / 2 + FILM.border, FILM.height / 2 + FILM.border]
  const [cos, sin] = [Math.cos((how.degrees * Math.PI) / 180), Math.sin((how.degrees * Math.PI) / 180)]
  return ([x, y]: Point): Point => {
    const [dx, dy] = [(x - cx) * (1 + how.across), (y - cy) * (1 + how.down2)]
    return [cx + how.right + cos * dx - sin * dy, cy + how.down + sin * dx + cos * dy]
  }
}

/**
 * A scan of a print with the marks of two layers on white paper: drawn from the very shapes that the films carry, each
 * pixel the mean of sixteen points.
 */
function scanOf(
  how: Lying,
  toPicture: (point: Point) => Point,
  size: [number, number],
  noise = 0,
): GreyPicture {
  const [width, height] = size
  const random = seededRandom(4)
  const data = new Float32Array(width * height)
  for (let i = 0; i < data.length; i++) data[i] = 0.78 * (1 + noise * (random() - 0.5))
  const corners: Point[] = [
    [0, 0],
    [104, 0],
    [104, 124],
    [0, 124],
  ]
  const back = homographyOf(corners.map(toPicture), corners)!
  const draw = (layer: number, place: (point: Point) => Point) => {
    for (const shape of borderShapes({ ...BORDER, layer }, FILM.width, FILM.height, () => 0)) {
      if (shape.kind !== 'rect') continue
      const ends: Point[] = [
        [shape.x, shape.y],
        [shape.x + shape.width, shape.y],
        [shape.x + shape.width, shape.y + shape.height],
        [shape.x, shape.y + shape.height],
      ]
      const placed = ends.map(place)
      // From the sheet back to the shape: straight for so small a thing.
      const home = homographyOf(placed, ends)!
      const seen = placed.map(toPicture)
      const [xs, ys] = [seen.map((p) => p[0]), seen.map((p) => p[1])]
      for (let y = Math.floor(Math.min(...ys)) - 1; y <= Math.max(...ys) + 1; y++)
        for (let x = Math.floor(Math.min(...xs)) - 1; x <= Math.max(...xs) + 1; x++) {
          let inside = 0
          for (let k = 0; k < 16; k++) {
            const [u, v] = mapped(
              home,
              mapped(back, [x + ((k % 4) + 0.5) / 4, y + (Math.floor(k / 4) + 0.5) / 4]),
            )
            if (u >= shape.x && u <= shape.x + shape.width && v >= shape.y && v <= shape.y + shape.height)
              inside++
          }
          if (inside && x >= 0 && y >= 0 && x < width && y < height)
            data[y * width + x]! *= 1 - (0.85 * inside) / 16
        }
    }
  }
  draw(0, (point) => point)
  draw(1, lies(how))
  return { width, height, data }
}

const INCH = 25.4
const flat =
  (pixelsPerInch: number, degrees = 0): ((point: Point) => Point) =>
  ([x, y]) => {
    const [cos, sin] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)]
    const scale = pixelsPerInch / INCH
    return [(cos * x - sin * y + 20) * scale, (sin * x + cos * y + 12) * scale]
  }
const read = (how: Lying, toPicture: (point: Point) => Point, size: [number, number], noise = 0.06) =>
  registerOf(readRegister(scanOf(how, toPicture, size, noise), FILM).pairs)

describe('the register of two layers', () => {
  const truths: [string, Lying][] = [
    ['all of it', { right: -1.1, down: 0.8, degrees: -0.35, across: 0.002, down2: -0.005 }],
    ['in place', IN_PLACE],
    ['moved', { ...IN_PLACE, right: 0.7, down: -0.4 }],
    ['turned', { ...IN_PLACE, degrees: 0.6 }],
    ['shrunk', { ...IN_PLACE, across: -0.004, down2: 0.003 }],
  ]

  // The marks are known to the last bit, so the truth is what they were drawn with.
  it.each(someOf(1, truths))('is read within 0.05 mm at 600 dpi: %s', (_, how) => {
    const found = read(how, flat(600, 0.4), [3100, 3300])
    expect(Math.hypot(found.shift[0] - how.right, found.shift[1] - how.down)).toBeLessThan(0.05)
    const half = Math.hypot(FILM.width, FILM.height) / 2
    expect((Math.abs(found.turnDegrees - how.degrees) * Math.PI * half) / 180).toBeLessThan(0.05)
    expect(Math.abs(found.stretchAcross - how.across) * (FILM.width / 2)).toBeLessThan(0.05)
    expect(Math.abs(found.stretchDown - how.down2) * (FILM.height / 2)).toBeLessThan(0.05)
    expect(found.residual).toBeLessThan(0.03)
  })

  it('is read from a coarser scan that was laid in askew or upside down', () => {
    const how = { ...IN_PLACE, right: 0.8, down: 0.3 }
    const askew = read(how, flat(300, 9), [1500, 1900])
    expect(Math.hypot(askew.shift[0] - 0.8, askew.shift[1] - 0.3)).toBeLessThan(0.08)
    const upsideDown = (point: Point): Point => {
      const [x, y] = flat(300)(point)
      return [1700 - x, 1800 - y]
    }
    const found = read(how, upsideDown, [1700, 1800])
    expect(Math.hypot(found.shift[0] - 0.8, found.shift[1] - 0.3)).toBeLessThan(0.08)
  })

  it('is read from a photo taken at a slant', () => {
    const tilt = homographyOf(
      [
        [0, 0],
        [104, 0],
        [104, 124],
        [0, 124],
      ],
      [
        [210, 160],
        [1900, 240],
        [2020, 2150],
        [120, 2240],
      ],
    )!
    const found = read(
      { ...IN_PLACE, right: 1.2, degrees: 0.5 },
      (point) => mapped(tilt, point),
      [2200, 2400],
    )
    expect(Math.abs(found.shift[0] - 1.2)).toBeLessThan(0.1)
    expect(Math.abs(found.turnDegrees - 0.5)).toBeLessThan(0.1)
  })

  it('is refused, with what to do, where no marks are to be seen', () => {
    const blank = { width: 600, height: 700, data: new Float32Array(420_000).fill(0.7) }
    expect(() => readRegister(blank, FILM)).toThrow(expect.objectContaining({ code: 'no-marks' }))
  })
})

describe('the places of the crosses', () => {
  it('are another for every layer, and all within the border', () => {
    const seen = new Set<string>()
    for (let layer = 0; layer < 4; layer++)
      for (const [x, y] of registerPlaces(FILM, layer)) {
        seen.add(`${x} ${y}`)
        const arm = armOf(FILM.border)
        expect(Math.min(x, y)).toBeGreaterThanOrEqual(arm)
        expect(x).toBeLessThanOrEqual(FILM.width + 2 * FILM.border - arm)
        expect(y).toBeLessThanOrEqual(FILM.height + 2 * FILM.border - arm)
      }
    expect(seen.size).toBe(16)
  })
})

describe('shift, turn and stretch', () => {
  const random = seededRandom(31)
  const between = (low: number, high: number) => low + (high - low) * random()

  it('come out of exact marks as they went in', () => {
    for (let i = 0; i < 200; i++) {
      const how: Lying = {
        right: between(-3, 3),
        down: between(-3, 3),
        degrees: between(-1, 1),
        across: between(-0.01, 0.01),
        down2: between(-0.01, 0.01),
      }
      const pairs = pairsOf(how)
      const found = registerOf(pairs)
      expect(found.shift[0]).toBeCloseTo(how.right, 9)
      expect(found.shift[1]).toBeCloseTo(how.down, 9)
      // A turn of a degree shortens by its cosine, which counts as stretch.
      expect(found.turnDegrees).toBeCloseTo(how.degrees, 1)
      expect(found.stretchAcross).toBeCloseTo(how.across, 3)
      expect(found.residual).toBeCloseTo(0, 9)
    }
  })

  it('say what to do, the greatest fault first', () => {
    const advice = (how: Partial<Lying>) => {
      const pairs = pairsOf({ ...IN_PLACE, ...how })
      return registerAdvice(registerOf(pairs), FILM).map((one) => one.kind)
    }
    expect(advice({})).toEqual(['good'])
    expect(advice({ right: 0.1 })).toEqual(['good'])
    expect(advice({ right: 1 })).toEqual(['move'])
    expect(advice({ degrees: 1, right: 0.5 })).toEqual(['turn', 'move'])
    expect(advice({ across: 0.02 })).toEqual(['stretch'])
  })

  it('move the upper film against where it lay', () => {
    const pairs = pairsOf({ ...IN_PLACE, right: 1, down: -2 })
    expect(registerAdvice(registerOf(pairs), FILM)[0]).toMatchObject({
      kind: 'move',
      right: expect.closeTo(-1, 9),
      down: expect.closeTo(2, 9),
    })
  })

  it('refuse marks on one line', () => {
    const line = [1, 10, 20].map((x): MarkPair => ({ lower: [x, x], upper: [x, x + 1] }))
    expect(() => registerOf(line)).toThrow(expect.objectContaining({ code: 'no-marks' }))
  })
})
