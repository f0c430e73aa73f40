import { elapsedSeconds } from '../process/clock'
import { clockOf, type StepState } from '../process/run'
import type { Figure } from '../quantity/figure'
import { formatSpan } from '../quantity/format'

/**
 * The exposure a sheet is meant to have: what was planned when work began, and each change since.
 *
 * @param step an exposing step.
 * @returns seconds.
 */
export function plannedExposure(step: StepState): Figure {
  const first = step.planned.plannedSeconds ?? 0
  const value = step.plannedSeconds ?? first
  return {
    value,
    unit: 's',
    working: {
      words: step.changes.length
        ? 'as planned, then each change that was given'
        : 'as planned for this sheet',
      formula: step.changes.length ? 't = tₒ, changed' : 't = tₒ',
      inputs: [
        { name: 'planned at the bench', symbol: 'tₒ', value: first, unit: 's', standing: 'yours' },
        ...step.changes.map((change, i) => ({
          name: `changed by ${change.said}, to ${formatSpan(change.plannedSeconds)}`,
          symbol: `t${i + 1}`,
          value: change.plannedSeconds,
          unit: 's',
          standing: 'yours' as const,
        })),
      ],
      standing: 'yours',
      source: 'What you planned and gave',
    },
  }
}

/**
 * How much of its planned exposure a sheet has had, looks left out.
 *
 * @param now milliseconds.
 * @returns per cent, above 100 once it is over.
 */
export function exposureShare(step: StepState, now: number): Figure {
  const clock = clockOf(step)
  const elapsed = clock ? elapsedSeconds(clock, now) : 0
  const planned = plannedExposure(step).value
  return {
    value: planned > 0 ? (100 * elapsed) / planned : 0,
    unit: '%',
    working: {
      words: 'time in the light over the time planned',
      formula: 's = 100·tₑ / t',
      inputs: [
        { name: 'in the light, looks left out', symbol: 'tₑ', value: Math.floor(elapsed), unit: 's' },
        { name: 'planned', symbol: 't', value: planned, unit: 's', standing: 'yours' },
      ],
      standing: 'arithmetic',
      source: 'Stamps of start, looks and return',
      leavesOut: 'the light is taken to burn steadily',
    },
  }
}
