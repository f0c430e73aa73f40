import { blueLightSeconds } from '@core/light/blueLight'
import { lampSuits, reachOf, type CoatReach, type LampSuits } from '@core/light/spectrum'
import { coatSolutes } from '@core/process/orderRules'
import { formatSpan } from '@core/quantity/format'
import type { ProcessDefinition } from '@core/schema/definition'
import type { Light } from '@core/schema/light'
import { coatReaches } from '@library/spectrum'
import type { MarginNote } from '../state/margin.store'

const SUITS: Readonly<Record<LampSuits, string>> = {
  well: 'prints well',
  slow: 'prints slowly: expect several times the usual exposure',
  hardly: 'hardly prints',
}
/** How a lamp suits a coat, in a sentence. */
export const suitsLine = (peakNanometres: number, reach: CoatReach): string =>
  `${reach.name[0]?.toUpperCase()}${reach.name.slice(1)} at ${peakNanometres} nm: ${SUITS[lampSuits(peakNanometres, reach)]} (from memory).`

/** What the margin says of a lamp whose peak the coat answers to slowly or hardly. */
export function spectrumNotes(
  definition: ProcessDefinition,
  choices: Readonly<Record<string, string>>,
  light: Pick<Light, 'name' | 'peakNanometres'> | null | undefined,
): MarginNote[] {
  const peak = light?.peakNanometres
  const reach = reachOf(
    coatSolutes(definition, choices).map(({ substanceId }) => substanceId),
    coatReaches,
  )
  if (!peak || !reach || lampSuits(peak, reach) === 'well') return []
  return [{ title: `${light.name} and this coat`, lines: [suitsLine(peak, reach)], tone: 'caution' }]
}

/** How soon looking into a violet lamp reaches the limit for blue light; empty for one that stays below it. */
export function blueLightLines(milliwattsPerCm2: number, peakNanometres: number | undefined): string[] {
  const limit = peakNanometres && blueLightSeconds(milliwattsPerCm2, peakNanometres)
  return limit
    ? [
        `Its violet light also reaches the retina: looking straight into it, the blue-light limit is reached in ${limit.value < 1 ? 'less than a second' : formatSpan(Math.floor(limit.value))} (ICNIRP 2013, from memory). Clear UV glasses do not stop it: wear glasses rated for its wavelength.`,
      ]
    : []
}
