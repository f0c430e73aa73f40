import { absorbencyOf, wetStrengthFor } from './waterTests'

// Facts of the trade, common practice: sized paper holds a drop for a minute, blotting paper drinks it at once.
it.each([
  [1, 'thirsty'],
  [9.9, 'thirsty'],
  [10, 'medium'],
  [59, 'medium'],
  [60, 'hard'],
  [600, 'hard'],
] as const)('a drop that stands for %d s: %s', (seconds, says) => expect(absorbencyOf(seconds)).toBe(says))

it.each([
  [{ seconds: 3600, held: true }, 1800, 'bears'],
  [{ seconds: 1800, held: true }, 1800, 'bears'],
  [{ seconds: 600, held: true }, 1800, 'untried'],
  [{ seconds: 1800, held: false }, 3600, 'tears'],
  [{ seconds: 3600, held: false }, 1800, 'untried'],
] as const)('%j against %d s of baths: %s', (soaked, wet, says) =>
  expect(wetStrengthFor(soaked, wet)).toBe(says),
)
