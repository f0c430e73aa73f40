import { CoreError } from '../errors'
import { parseNumber } from '../quantity/number'
import { parseQuantity } from '../quantity/parse'
import { mean } from '../quantity/statistics'
import { densityFromLightness } from './density'

/**
 * Densities as they are typed for one mark: one or more readings, `1.32 1.34`, as densities or as L*.
 *
 * @throws CoreError `unreadable`, or as `densityFromLightness`.
 */
export function readDensities(text: string, scale: 'density' | 'lightness'): number[] {
  return text
    .split(/[\s;]+/)
    .filter((word) => word && !/^D$/i.test(word))
    .map((word) => {
      const value =
        scale === 'density'
          ? parseQuantity(word, 'opticalDensity', { field: 'density', bareUnit: 'D' })
          : parseNumber(word, { field: 'L*', example: '24.5' })
      const isSound = scale === 'density' ? value <= 4.5 : value > 0 && value <= 105
      if (!isSound)
        throw new CoreError({
          code: 'out-of-range',
          field: scale === 'density' ? 'density' : 'L*',
          problem: `“${word}” is not ${scale === 'density' ? 'a density' : 'an L*'}.`,
          remedy:
            scale === 'density'
              ? 'Enter it like 1.32, or several for one mark: 1.32 1.34.'
              : 'Enter it like 24.5.',
        })
      return scale === 'density' ? value : densityFromLightness(value)
    })
}

/**
 * Readings in a row as they are typed: one word a step, a dash for one that could not be read, several readings of one
 * joined by a slash, of which the mean is taken.
 *
 * @returns `null` for a dash.
 * @throws CoreError as `readDensities`.
 */
export function readRow(text: string, scale: 'density' | 'lightness'): (number | null)[] {
  const words = text.split(/[\s;]+/).filter((word) => word && !/^D$/i.test(word))
  return words.map((word) => {
    if (/^[-–—x]$/i.test(word)) return null
    const densities = readDensities(word.replaceAll('/', ' '), scale)
    return mean(densities)
  })
}
