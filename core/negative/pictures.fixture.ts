import { seededRandom } from '../quantity/random'
import type { GreyPicture } from './resample'

const random = seededRandom(5)
/** Chance in every pixel. */
export const noise = (width: number, height: number): GreyPicture => ({
  width,
  height,
  data: Float32Array.from({ length: width * height }, () => random()),
})
/** Something with edges and slopes, so that a filter has work to do. */
export const scene = (width: number, height: number): GreyPicture => ({
  width,
  height,
  data: Float32Array.from({ length: width * height }, (_, i) => {
    const [x, y] = [i % width, Math.floor(i / width)]
    return (x > width / 3 && y > height / 4 ? 0.7 : 0.1) * (0.6 + 0.4 * Math.sin(x / 7) * Math.cos(y / 5))
  }),
})
