import { CoreError, type Refusal } from '@core/errors'
import type { ChartPatch } from '@core/tone/curve'
import { readDensities } from '../light/stripReading'

/**
 * Readings of a chart of even steps as they are typed, clear film first: one word a patch, a dash for a damaged one,
 * several readings of one patch joined by a slash, `1.38/1.40`.
 *
 * @param count patches of the chart, at least 5.
 */
export function readChart(
  text: string,
  count: number,
  scale: 'density' | 'lightness',
): { patches: ChartPatch[] | null; fault?: Refusal } {
  const words = text
    .replace(/(\d),(\d)/g, '$1.$2')
    .split(/[\s;]+/)
    .filter(Boolean)
  if (!words.length) return { patches: null }
  try {
    if (words.length !== count)
      throw new CoreError({
        code: 'wrong-count',
        field: 'chart',
        problem: `These are ${words.length} patches, and the chart has ${count}.`,
        remedy: 'Write a dash for a patch that cannot be read.',
      })
    return {
      patches: words.map((word, i) => ({
        ink: i / (count - 1),
        densities: /^[-–—x]$/i.test(word) ? [] : readDensities(word.replaceAll('/', ' '), scale),
      })),
    }
  } catch (error) {
    if (error instanceof CoreError) return { patches: null, fault: error.refusal }
    throw error
  }
}
