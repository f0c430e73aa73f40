import { CoreError } from '../errors'
import { median } from '../quantity/statistics'
import type { Anchor } from './response'
import type { GreyPicture } from '../negative/resample'

/** Of each step its middle is read. */
const READ_SHARE = 0.5
/** Steps that stand this much the wrong way round are no tablet's. */
const BACKWARD = 0.05

/**
 * Anchors for a scanner from its scan of a reflection step tablet, cropped to the tablet alone.
 *
 * @param picture linear-light grey; the steps are side by side along its longer side, from either end.
 * @param densities of the steps, lightest first, 3 or more.
 * @returns what the scanner read of each step, as density over the lightest it can hold, and what it truly is.
 * @throws CoreError `not-a-tablet` where the steps do not grow darker one after the other.
 */
export function readTabletScan(picture: GreyPicture, densities: readonly number[]): Anchor[] {
  const { width, height, data } = picture
  const count = densities.length
  const isAcross = width >= height
  const [length, breadth] = isAcross ? [width, height] : [height, width]
  if (count < 3 || length / count < 8)
    throw refuse(
      `${count} steps cannot be separated in ${length} pixels.`,
      'Enter the density of three or more steps, and scan the tablet larger.',
    )
  const step = length / count
  const margin = (1 - READ_SHARE) / 2
  const reads = densities.map((_, i) => {
    const lights: number[] = []
    for (let along = Math.ceil((i + margin) * step); along < (i + 1 - margin) * step; along++)
      for (let across = Math.ceil(margin * breadth); across < (1 - margin) * breadth; across++)
        lights.push(data[isAcross ? across * width + along : along * width + across]!)
    return -Math.log10(Math.max(3e-5, median(lights)))
  })
  if (reads[0]! > reads.at(-1)!) reads.reverse()
  const isRising = reads.every((read, i) => i === 0 || read > reads[i - 1]! - BACKWARD)
  if (!isRising || reads.at(-1)! - reads[0]! < 0.3)
    throw refuse(
      'The steps in this picture do not get steadily darker.',
      'Crop the picture to the tablet, so that its steps divide the picture evenly, and enter one density per step.',
    )
  return reads.map((read, i) => ({ read, density: densities[i]! }))
}

const refuse = (problem: string, remedy: string) =>
  new CoreError({ code: 'not-a-tablet', field: 'the tablet', problem, remedy })
