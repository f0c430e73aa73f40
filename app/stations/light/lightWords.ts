import type { CountedBy } from '@core/run/dose'
import type { SkySaid } from '@core/schema/light'
import { SKIES } from '@core/sun/cloud'
import { digits } from '@core/quantity/format'

/** A light as an instrument shows it: three digits. */
export const irradianceText = (milliwattsPerCm2: number): string =>
  `${digits(milliwattsPerCm2, 3, true)}\u00a0mW/cm²`

export const doseText = (millijoulesPerCm2: number): string =>
  `${digits(Math.round(millijoulesPerCm2), 4)}\u00a0mJ/cm²`

/** Who counts an exposure, as the page says it. */
export const COUNTED_BY: Readonly<Record<CountedBy, string>> = {
  meter: 'measured by the meter',
  model: 'estimated from the model of this light',
  steady: 'counted by time only',
}

export const KIND_WORDS = { sun: 'sun', uvBox: 'UV box', lamp: 'single lamp', tubes: 'row of tubes' } as const

/** The sky as it was last said. */
export function skyText(sky: SkySaid | undefined): string {
  if (!sky) return 'not entered'
  if (typeof sky.by === 'string') return SKIES.find((one) => one.id === sky.by)?.name ?? sky.by
  return `UV index ${digits(sky.by.uvIndex, 2)}`
}
