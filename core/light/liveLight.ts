import { median } from '../quantity/statistics'
import type { Sample } from '../run/dose'

/** A live reading under this share of what the light should give is a lamp that is not lit yet, or a meter in the dark. */
const LIT_SHARE = 0.2
/** Below this nothing is printed by, and a meter shows its own noise, mW/cm². */
const DARK = 0.01
/** More than any light to print by gives, mW/cm²: a reading above it is a slip of the unit. */
const MOST = 1000
/** So many of the last readings are taken for the light at the end. */
const READINGS_AT_THE_END = 15

/**
 * The light that a dose counts against from the press on: the live reading, or what the light is expected to give where
 * the live one is far below it, as when the lamp is lit after the press.
 *
 * @param live a meter's reading now, mW/cm²; @param expected by the ledger or the model of the sun.
 * @returns mW/cm²; `undefined` where neither says anything to count by.
 */
export function referenceLight(live: number | null, expected: number | null): number | undefined {
  const known = expected !== null && expected > DARK && expected <= MOST ? expected : null
  const read = live !== null && live > DARK && live <= MOST ? live : null
  if (read !== null && (known === null || read >= LIT_SHARE * known)) return read
  return known ?? undefined
}

/**
 * What a meter read at the end of an exposure, as a reading of its light for the ledger.
 *
 * @param samples moment and mW/cm², in order.
 * @returns `null` where there are too few, or where the light went out before the cover came on: then the last readings
 *   are of the dark.
 */
export function readingAtTheEnd(samples: readonly Sample[]): { milliwattsPerCm2: number; at: number } | null {
  const last = samples.slice(-READINGS_AT_THE_END)
  if (last.length < READINGS_AT_THE_END) return null
  const value = median(last.map(([, reading]) => reading))
  const usual = median(samples.map(([, reading]) => reading))
  if (!(value > DARK) || value > MOST || value < usual / 2) return null
  return { milliwattsPerCm2: value, at: last.at(-1)![0] }
}

/** A reading that rises so many times over is a slip of the unit (mW for µW, or a range) rather than the light. */
const JUMP = 30
/** So many times what the light is expected to give is no light of that kind. */
const ABOVE_EXPECTED = 5

/** Where a meter began to read many times what it had read. */
export interface MeterJump {
  /** Moment of the first reading that is in doubt. */
  at: number
  /** Before and after, mW/cm². */
  from: number
  to: number
}

/**
 * Finds the first rise of a meter's readings that the light can hardly have made.
 *
 * @param samples moment and mW/cm², in order.
 * @param expected what the light should give, mW/cm²; a rise up to about that is a lamp that was lit.
 * @returns `null` where there is none.
 */
export function meterJump(samples: readonly Sample[], expected: number | null): MeterJump | null {
  for (let i = 1; i < samples.length; i++) {
    const [[, from], [at, to]] = [samples[i - 1]!, samples[i]!]
    const isRise = from > DARK && to >= JUMP * from
    if (isRise && (expected === null || to > ABOVE_EXPECTED * expected)) return { at, from, to }
  }
  return null
}

/** Whether a reading after a jump is again like those before it. */
export const isBelow = (milliwattsPerCm2: number, { from }: MeterJump): boolean =>
  milliwattsPerCm2 < JUMP * from
