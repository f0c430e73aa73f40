import type { Bath } from '../schema/bath'

/** A developer this much colder or hotter than the last one prints otherwise, °C; common practice, from memory. */
const NOTABLE_CELSIUS = 3

/** What is to be said of a developer's temperature. */
export type BathHeat =
  | { says: 'notMeasured' }
  /** Of the bath before it that was measured, and of this one, °C. */
  | { says: 'differs'; before: number; now: number }

/**
 * Whether a developer wants measuring, or is far from the one before it of its tray: its temperature changes colour and speed.
 *
 * @param baths every bath, those that were poured away among them.
 * @returns `null` where there is nothing to say.
 */
export function heatOf(bath: Bath, baths: readonly Bath[]): BathHeat | null {
  if (bath.celsius === undefined) return { says: 'notMeasured' }
  const before = baths
    .filter((one) => one.bath === bath.bath && one.processId === bath.processId && one.id !== bath.id)
    .filter((one) => one.madeAt < bath.madeAt && one.ended?.why !== 'undone')
    .sort((a, b) => b.madeAt - a.madeAt)
    .find(({ celsius }) => celsius !== undefined)?.celsius
  if (before === undefined || Math.abs(before - bath.celsius) < NOTABLE_CELSIUS) return null
  return { says: 'differs', before, now: bath.celsius }
}
