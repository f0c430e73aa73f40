import { normal, seededRandom } from '../quantity/random'
import { scaleOf } from './response'
import type { GreyPicture } from '../negative/resample'
import { readTabletScan } from './tabletScan'

const TRUE = Array.from({ length: 11 }, (_, i) => 0.05 + 0.17 * i)
/** A scanner with flare: it sees a hundredth of full light everywhere. */
const seen = (density: number) => 0.85 * (10 ** -density + 0.01)
function scan(densities: readonly number[], isUpright = false, isTurned = false): GreyPicture {
  const random = seededRandom(4)
  const [length, breadth] = [40 * densities.length, 90]
  const row = isTurned ? [...densities].reverse() : densities
  const light = (along: number) => seen(row[Math.floor(along / 40)]!) * (1 + 0.02 * normal(random))
  const [width, height] = isUpright ? [breadth, length] : [length, breadth]
  const data = Float32Array.from({ length: width * height }, (_, i) =>
    light(isUpright ? Math.floor(i / width) : i % width),
  )
  return { width, height, data }
}

describe('a scanned step tablet', () => {
  it.each([
    [false, false],
    [true, false],
    [false, true],
    [true, true],
  ])(
    'is read across or upright (%s), from either end (%s), and takes out the scanner’s flare',
    (upright, turned) => {
      const anchors = readTabletScan(scan(TRUE, upright, turned), TRUE)
      const scale = scaleOf(anchors)
      for (const density of [0.1, 0.5, 1.05, 1.6])
        expect(Math.abs(scale(-Math.log10(seen(density))) - density)).toBeLessThan(0.02)
    },
  )

  it.each<[string, GreyPicture, readonly number[]]>([
    ['nothing but paper', { width: 440, height: 90, data: new Float32Array(39_600).fill(0.8) }, TRUE],
    ['too few pixels', { width: 50, height: 9, data: new Float32Array(450).fill(0.8) }, TRUE],
    ['two densities', scan(TRUE), [0.1, 1]],
    ['steps out of order', scan([0.1, 1.2, 0.5, 1.6, 0.3, 1.8]), [0.1, 0.4, 0.7, 1, 1.3, 1.6]],
  ])('of %s is refused', (_, picture, densities) =>
    expect(() => readTabletScan(picture, densities)).toThrow(
      expect.objectContaining({ code: 'not-a-tablet' }),
    ),
  )
})
