import { median } from '../quantity/statistics'
import { refusalAt } from '../errors'
import { linearFromSrgb } from '../tone/srgb'
import type { Reading } from '../schema/judgement'
import { labOfLinear } from '../tone/colour'

/** Pixels of a photograph, sRGB bytes in rows of red, green, blue and alpha. */
export interface PhotoPixels {
  width: number
  height: number
  data: ArrayLike<number>
}

/** A place that was pointed at, pixels from the top left. */
export interface Spot {
  of: Reading['of'] | 'grey'
  name: string
  x: number
  y: number
}

export interface PhotoReading {
  readings: Reading[]
  /** Spots that were clipped or black in the photograph: what was read there is a bound, not a value. */
  doubtful: string[]
}

/**
 * Places of a step strip of which the first and the last step were pointed at: its steps are evenly between the two.
 *
 * @param count steps, two at least.
 */
export function stepSpots(first: Pick<Spot, 'x' | 'y'>, last: Pick<Spot, 'x' | 'y'>, count: number): Spot[] {
  return Array.from({ length: count }, (_, i): Spot => {
    const share = i / (count - 1)
    return {
      of: 'patch',
      name: `step ${i + 1}`,
      x: first.x + share * (last.x - first.x),
      y: first.y + share * (last.y - first.y),
    }
  })
}

const CLIPPED = 253
const BLACK = 3
/** Density below that of a perfect white, with room for the grain of a photograph. */
const LIGHTEST = -0.1

/**
 * Reads densities and colours from a photograph that has a grey of known density in it, lit like the print. The grey
 * gives both exposure and colour of the light.
 *
 * @param greyDensity density of the grey reference: 0.74 for one of 18 %.
 * @param radius of the disc that is read, pixels; the middle value of each channel counts.
 * @throws CoreError `no-grey`, `clipped` where the grey itself is lost, `not-the-grey` where by it something is lighter than
 *   any paper.
 */
export function readPhoto(
  photo: PhotoPixels,
  spots: readonly Spot[],
  greyDensity: number,
  radius: number,
): PhotoReading {
  const grey = spots.find((spot) => spot.of === 'grey')
  if (!grey)
    throw refuse(
      'no-grey',
      'The grey card has not been marked.',
      'Point at the grey card first, then at the print.',
    )
  const reference = middleOf(photo, grey, radius)
  if (reference.some((code) => code >= CLIPPED || code <= BLACK))
    throw refuse(
      'clipped',
      'The grey card is clipped in this photo.',
      'Photograph print and grey card again in even light, so that the card is mid-grey.',
    )
  const known = 10 ** -greyDensity
  const gains = reference.map((code) => known / linearFromSrgb(code / 255))
  const doubtful: string[] = []
  const readings = spots
    .filter((spot) => spot.of !== 'grey')
    .map((spot): Reading => {
      const codes = middleOf(photo, spot, radius)
      if (codes.some((code) => code >= CLIPPED || code <= BLACK)) doubtful.push(spot.name || spot.of)
      const rgb = codes.map((code, i) => linearFromSrgb(code / 255) * (gains[i] as number)) as [
        number,
        number,
        number,
      ]
      const lab = labOfLinear(rgb)
      const light = 0.2225045 * rgb[0] + 0.7168786 * rgb[1] + 0.0606169 * rgb[2]
      return {
        of: spot.of as Reading['of'],
        name: spot.name,
        density: Math.round(1000 * -Math.log10(Math.max(1e-4, light))) / 1000,
        lab: lab.map((value) => Math.round(100 * value) / 100) as [number, number, number],
      }
    })
  if (readings.some(({ density }) => (density ?? 0) < LIGHTEST))
    throw refuse(
      'not-the-grey',
      'With this grey card, a place on the print would be lighter than white.',
      'Point at the grey card, and enter its true density.',
    )
  return { readings, doubtful }
}

function middleOf({ width, height, data }: PhotoPixels, { x, y }: Spot, radius: number): number[] {
  const channels: number[][] = [[], [], []]
  for (let row = Math.max(0, Math.floor(y - radius)); row <= Math.min(height - 1, y + radius); row++)
    for (
      let column = Math.max(0, Math.floor(x - radius));
      column <= Math.min(width - 1, x + radius);
      column++
    ) {
      if ((row - y) ** 2 + (column - x) ** 2 > radius ** 2) continue
      const place = 4 * (row * width + column)
      for (const [i, channel] of channels.entries()) channel.push(data[place + i] ?? 0)
    }
  return channels.map((channel) => (channel.length ? median(channel) : 0))
}

const refuse = refusalAt('photo')
