import type { ProcessDefinition } from '../schema/definition'
import { wordsIdOf, type RunState } from './runState'

/** A glass that was mixed is coated from within this time where its process says nothing else; common practice. */
export const GLASS_SECONDS = 900

/** A mixed glass at a moment. */
export interface Glass {
  mixedAt: number
  ageSeconds: number
  limitSeconds: number
  isOld: boolean
}

/**
 * The age of what was mixed last for a sheet, and how long it may be coated from.
 *
 * @param maker the sheet for which the glass was counted: the first of a row that is coated from it.
 * @param now milliseconds.
 * @returns `null` before anything was counted.
 */
export function glassOf(maker: RunState, definition: ProcessDefinition, now: number): Glass | null {
  const counted = maker.steps.findLast(
    ({ planned, finishedAt }) => planned.kind === 'count' && finishedAt !== undefined,
  )
  if (counted?.finishedAt === undefined) return null
  const words = definition.steps.find(({ id }) => id === wordsIdOf(counted.planned))
  const limitSeconds = words?.keeps?.mostSeconds ?? GLASS_SECONDS
  const ageSeconds = Math.max(0, now - counted.finishedAt) / 1000
  return { mixedAt: counted.finishedAt, ageSeconds, limitSeconds, isOld: ageSeconds > limitSeconds }
}
