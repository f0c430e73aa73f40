import type { PracticeSchool } from '@core/simulate/practiceSchool'

/**
 * What a choice of the real process does to a virtual print. Choices that are not here change cost, time and cautions
 * only. Amounts are invented; the direction is common practice.
 */
export const practiceSchools: readonly PracticeSchool[] = [
  { choice: 'contrast', options: ['chlorate', 'platinate', 'dichromate'], change: { contrast: 1.35 } },
  { choice: 'iron', options: ['lithium'], change: { contrast: 1.5 } },
  { choice: 'lift', options: ['none'], change: { contrast: 0.85 } },
  { choice: 'strength', options: ['d30'], change: { contrast: 0.75 } },
  { choice: 'strength', options: ['d8'], change: { contrast: 1.3 } },
  { choice: 'strength', options: ['d4'], change: { contrast: 1.6 } },
  { choice: 'moisture', options: ['humid'], change: { relativeHumidity: 70 } },
  { choice: 'strengths', options: ['lean', 'even'], change: { coverage: 0.75 } },
  { choice: 'salting', options: ['gelatin'], change: { sizing: 1 } },
  { choice: 'salting', options: ['brush', 'soak'], change: { sizing: 0.6 } },
]
