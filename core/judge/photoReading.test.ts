import { srgbFromLinear } from '../tone/srgb'
import { readPhoto, stepSpots, type PhotoPixels, type Spot } from './photoReading'

/** A photograph of three fields, each 20 wide, in light of some colour and strength. */
function photo(fields: readonly number[], light: readonly [number, number, number]): PhotoPixels {
  const [width, height] = [20 * fields.length, 20]
  const data = new Uint8ClampedArray(4 * width * height)
  for (let i = 0; i < width * height; i++) {
    const reflectance = fields[Math.floor((i % width) / 20)]!
    // One odd pixel in seven, as dust is: the middle value does not mind.
    for (const [c, strength] of light.entries())
      data[4 * i + c] = i % 7 ? Math.round(255 * srgbFromLinear(reflectance * strength)) : 255
    data[4 * i + 3] = 255
  }
  return { width, height, data }
}
const spots: Spot[] = [
  { of: 'grey', name: '', x: 10, y: 10 },
  { of: 'white', name: '', x: 30, y: 10 },
  { of: 'black', name: '', x: 50, y: 10 },
]

describe('a photograph with a grey in it', () => {
  // Reflectances of 18 %, 80 % and 6 %: densities 0.745, 0.097 and 1.222 by definition.
  it.each<[string, readonly [number, number, number]]>([
    ['white', [1, 1, 1]],
    ['dim', [0.6, 0.6, 0.6]],
    ['warm', [1.1, 0.9, 0.55]],
  ])('gives densities and neutral colours in %s light', (_, light) => {
    const { readings, doubtful } = readPhoto(photo([0.18, 0.8, 0.06], light), spots, 0.745, 6)
    expect(doubtful).toEqual([])
    expect(readings.map((one) => one.of)).toEqual(['white', 'black'])
    expect(readings[0]!.density).toBeCloseTo(0.097, 1)
    expect(readings[1]!.density).toBeCloseTo(1.222, 1)
    for (const { lab } of readings) {
      expect(Math.abs(lab![1])).toBeLessThan(1.5)
      expect(Math.abs(lab![2])).toBeLessThan(1.5)
    }
  })

  it('says which place was lost, and refuses a lost grey or none', () => {
    expect(readPhoto(photo([0.18, 1.4, 0.06], [1, 1, 1]), spots, 0.745, 6).doubtful).toEqual(['white'])
    expect(() => readPhoto(photo([1.4, 0.8, 0.06], [1, 1, 1]), spots, 0.745, 6)).toThrow(
      expect.objectContaining({ code: 'clipped' }),
    )
    // What was taken for the grey is the print's own black: by it the paper would reflect more light than falls on it.
    expect(() => readPhoto(photo([0.06, 0.8, 0.03], [1, 1, 1]), spots, 0.745, 6)).toThrow(
      expect.objectContaining({ code: 'not-the-grey' }),
    )
    expect(() => readPhoto(photo([0.18, 0.8, 0.06], [1, 1, 1]), spots.slice(1), 0.745, 6)).toThrow(
      expect.objectContaining({ code: 'no-grey' }),
    )
  })

  it('reads a step strip by its two ends, in the light of the grey', () => {
    // Densities of a tablet of eleven steps, 0.15 apart, and the grey behind them.
    const densities = Array.from({ length: 11 }, (_, i) => 0.08 + 0.15 * i)
    const picture = photo([...densities.map((density) => 10 ** -density), 10 ** -0.74], [0.9, 0.8, 0.6])
    const grey: Spot = { of: 'grey', name: '', x: 230, y: 10 }
    const strip = stepSpots({ x: 10, y: 8 }, { x: 210, y: 12 }, 11)
    const { readings } = readPhoto(picture, [grey, ...strip], 0.74, 6)
    expect(readings.map((one) => [one.of, one.name])).toEqual(
      densities.map((_, i) => ['patch', `step ${i + 1}`]),
    )
    // What eight bits can tell of the deepest steps is coarser than a densitometer.
    for (const [i, { density }] of readings.entries())
      expect(Math.abs(density! - densities[i]!)).toBeLessThan(densities[i]! > 1.3 ? 0.06 : 0.02)
  })

  it('lays the steps of a strip evenly between its ends, whichever way it lies', () => {
    expect(stepSpots({ x: 0, y: 30 }, { x: -20, y: 10 }, 3).map(({ name, x, y }) => [name, x, y])).toEqual([
      ['step 1', 0, 30],
      ['step 2', -10, 20],
      ['step 3', -20, 10],
    ])
  })

  it('reads at the very edge', () => {
    const edge: Spot[] = [{ of: 'grey', name: '', x: 0, y: 0 }, { of: 'black', name: '', x: 59, y: 19 }] // prettier-ignore
    expect(readPhoto(photo([0.18, 0.8, 0.06], [1, 1, 1]), edge, 0.745, 6).readings[0]?.density).toBeCloseTo(
      1.222,
      1,
    )
  })
})
