import type { PracticeFault } from '@core/simulate/practiceFault'

/** What may be wrong with a practice sheet without a word, by causes of the book of faults. Amounts are invented. */
export const practiceFaults: readonly PracticeFault[] = [
  // Seen at a glance.
  { causeId: 'brush', level: 1, look: 'streaks' },
  { causeId: 'half-treated', level: 1, look: 'line' },
  { causeId: 'light-uneven', level: 1, look: 'uneven' },
  { causeId: 'puddle', level: 1, look: 'blotch' },
  { causeId: 'dust', level: 1, look: 'specksLight' },
  { causeId: 'metal', level: 1, look: 'specksDark' },
  { causeId: 'paper-sizing', level: 1, look: 'mottle' },
  { causeId: 'contact', level: 1, look: 'soft' },
  { causeId: 'mirror', level: 1, look: 'mirrored' },
  { causeId: 'moved', level: 1, look: 'double' },
  { causeId: 'fingers', level: 1, look: 'finger' },
  { causeId: 'bubbles', level: 1, look: 'rings', needs: ['develops'] },
  // Only a change of depth, whites or contrast.
  { causeId: 'chalk', level: 2, change: { isBuffered: true } },
  { causeId: 'coat-thin', level: 2, change: { coverage: 0.4 } },
  { causeId: 'ratio-off', level: 2, change: { imbalance: 1.3 } },
  { causeId: 'coat-old', level: 2, ageOfKeeping: 3 },
  { causeId: 'air-dry', level: 2, change: { relativeHumidity: 18 } },
  { causeId: 'room-light', level: 2, fogOfSpeed: 0.15 },
  { causeId: 'lamp-dim', level: 2, change: { lampShare: 0.4 } },
  { causeId: 'film-thin', level: 2, film: { range: 0.9 } },
  { causeId: 'film-dense', level: 2, film: { range: 3.4 } },
  { causeId: 'unsized-paper', level: 2, change: { sizing: 0 } },
]
