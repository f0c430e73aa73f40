import { clockOf, type StepState } from '../run/runState'
import type { Figure } from '../quantity/figure'
import { formatSpan } from '../quantity/format'
import { doseSeconds, STEADY, type LightCourse } from '../run/dose'

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
      words: step.changes.length ? 'as planned, then each change you made' : 'as planned for this sheet',
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
      source: 'Your plan and changes',
    },
  }
}

/**
 * How much of its planned exposure a sheet has had, looks left out.
 *
 * @param now milliseconds.
 * @param course the light it is under; without one, time stands for dose.
 * @returns percent, above 100 once it is over.
 */
export function exposureShare(step: StepState, now: number, course: LightCourse = STEADY): Figure {
  const clock = clockOf(step)
  const counted = clock ? doseSeconds(course, clock, now) : 0
  const planned = plannedExposure(step).value
  const reference = course.referenceMilliwattsPerCm2
  const unit = reference === undefined ? 's' : 'mJ/cm²'
  const scale = reference ?? 1
  const isSteady = course.by === 'steady'
  return {
    value: planned > 0 ? (100 * counted) / planned : 0,
    unit: '%',
    working: {
      words: isSteady ? 'time in the light over the time planned' : 'dose counted over the dose planned',
      formula: isSteady ? 's = 100·tₑ / t' : 's = 100·∫E dt / H',
      inputs: [
        {
          name: isSteady ? 'exposed, without pauses' : 'counted so far, without pauses',
          symbol: isSteady ? 'tₑ' : '∫E dt',
          value: Math.floor(counted * scale),
          unit,
        },
        { name: 'planned', symbol: isSteady ? 't' : 'H', value: planned * scale, unit, standing: 'yours' },
      ],
      standing: 'arithmetic',
      source: SOURCE[course.by],
      leavesOut: LEFT_OUT[course.by],
    },
  }
}

const SOURCE = {
  steady: 'Times of start, checks and resume',
  model: 'The model of this light, and the times of start, checks and resume',
  meter: 'Readings of the meter, by the trapezoidal rule',
} as const

const LEFT_OUT = {
  steady: 'the light is assumed to be steady',
  model: 'changes that the model cannot know; no meter reads this light',
  meter: 'while the meter was silent, the light is assumed constant',
} as const
