import { measuredAgainst } from '../light/ageing'
import { digits, formatSpan } from '../quantity/format'
import type { Observed } from './diagnosis'
import { fact } from './observeWetSide'
import { exposureOf, secondsGiven, type PrintRecord } from './printRecord'

/** A sixth of a stop, the least change one gives on purpose. */
const SIXTH = 2 ** (1 / 6)
/** Off a base exposure by more than this is worth a word: a third of a stop. */
const THIRD = 2 ** (1 / 3)
/** A lamp under this gives visibly less, percent: a quarter of a stop. */
const DIM = 85

/** What every exposure of a sheet came to against its plan, and the first one against its base exposure. */
export function exposures({ state, base }: PrintRecord): Observed[] {
  const given = state.steps.flatMap((step) => {
    const seconds = step.planned.kind === 'expose' ? secondsGiven(step) : null
    return seconds === null ? [] : [{ seconds, planned: step.plannedSeconds }]
  })
  const against = given.flatMap(({ seconds, planned }) => (planned ? [{ seconds, planned }] : []))
  const off = (isOff: (one: { seconds: number; planned: number }) => boolean, factId: string) => {
    const one = against.find(isOff) ?? against[0]
    if (!one) return []
    const said = `exposed ${formatSpan(one.seconds)}, planned ${formatSpan(one.planned)}`
    return [fact(factId, isOff(one), said)]
  }
  const known = [
    ...off(({ seconds, planned }) => seconds < planned / SIXTH, 'exposed-short'),
    ...off(({ seconds, planned }) => seconds > planned * SIXTH, 'exposed-long'),
  ]
  const first = secondsGiven(exposureOf(state))
  if (!base || first === null) return known
  // The base exposure of another paper or mix says nothing of this one, but that it is another's.
  const [differs] = base.differs
  if (differs)
    return [...known, fact('other-base', true, `the base exposure was found with another ${OTHER[differs]}`)]
  const said = `exposed ${formatSpan(first)}, base exposure ${formatSpan(base.base.seconds)}`
  return [
    ...known,
    fact('other-base', false, 'the base exposure was found with this paper and mix'),
    fact('below-base', first < base.base.seconds / THIRD, said),
    fact('above-base', first > base.base.seconds * THIRD, said),
  ]
}
const OTHER = { paper: 'paper', choices: 'mix' } as const

/** How often the frame was off the light for a look; a look that was not recorded is not known. */
export function frame({ state }: PrintRecord): Observed[] {
  const looks = state.steps
    .filter(({ planned }) => planned.kind === 'expose')
    .reduce((sum, { holds }) => sum + holds.length, 0)
  return looks
    ? [fact('frame-opened', true, `the frame was opened ${looks === 1 ? 'once' : `${looks} times`}`)]
    : []
}

/** What the lamp gave; nothing under the sun. */
export function lampFacts({ lamp, light }: PrintRecord): Observed[] {
  if (!lamp || !light) return []
  return [
    fact(
      'lamp-dim',
      lamp.percent < DIM,
      `${light.name} gave ${digits(lamp.percent, 2)} % ${measuredAgainst(lamp.firstReadAtHours)}`,
    ),
  ]
}
