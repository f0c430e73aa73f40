import { elapsedSeconds } from '../run/clock'
import { clockOf, type StepState } from '../run/runState'
import { digits, formatSpan } from '../quantity/format'
import { missingSeconds, slackOf } from '../run/shortened'
import type { Observed } from './diagnosis'
import { wordsOf, type BathMet, type PrintRecord } from './printRecord'

/** Carry-over has thinned a bath visibly under this share of its strength. */
const THINNED = 0.7

/** Washing for more than this takes something of a fine picture, s: common practice. */
const LONG_WASH = 3600
/** From here on a sheet has waited for its first bath, s: a fact of the trade, the limit from memory. */
const LONG_WAIT = 3600

/** Past the greatest time of a bath by so much. */
const TOO_LONG = 1.25
/** A toner so many times as strong as meant bleaches. */
const STRONG = 1.3

/** A fact that the record says is so, or is not so. @param said the evidence, as the user reads it. */
export const fact = (factId: string, is: boolean, said: string): Observed => ({ factId, is, said })

/** Which fact a wet step that was cut short stands for. */
const SHORT = { develop: 'developed-short', clear: 'cleared-short', fix: 'fixed-short', tone: 'toned-short' } as const // prettier-ignore
const DONE = { develop: 'developed', clear: 'cleared', fix: 'fixed', tone: 'toned' } as const
type Role = keyof typeof SHORT

const isRole = (role: string | undefined): role is Role => role !== undefined && role in SHORT

/** Whether a step that was cut short or left out was made up for by the later one that takes its place. */
function isMadeUp({ planned }: StepState, steps: readonly StepState[]): boolean {
  const later = steps.find((one) => one.lengthenedBy === planned.id)
  return later?.status === 'done' && !later.skipped && missingSeconds(later) === 0
}

/** What the times of developing, clearing, fixing and toning say; of several the worst. */
export function wetSteps({ state, definition }: PrintRecord): Observed[] {
  const worst = new Map<string, Observed>()
  const keep = (one: Observed) => {
    if (!worst.has(one.factId) || one.is) worst.set(one.factId, one)
  }
  for (const step of state.steps) {
    const [words, clock] = [wordsOf(definition, step), clockOf(step)]
    if (isMadeUp(step, state.steps)) continue
    if (words && step.skipped === 'leftOut') {
      const short = words.role === 'wash' ? 'washed-short' : isRole(words.role) ? SHORT[words.role] : null
      if (short) keep(fact(short, true, `“${words.title}” was left out`))
    }
    if (!words || !clock || step.planned.kind !== 'bath' || step.finishedAt === undefined) continue
    const took = elapsedSeconds(clock, step.finishedAt)
    const least = step.planned.leastSeconds
    const isShort = least !== undefined && took < least - slackOf(least)
    if (isRole(words.role) && least !== undefined)
      keep(
        fact(
          SHORT[words.role],
          isShort,
          `${DONE[words.role]} ${formatSpan(took)}, minimum ${formatSpan(least)}`,
        ),
      )
    if (words.role === 'wash' && least !== undefined) {
      const said = `washed ${formatSpan(took)}, minimum ${formatSpan(least)}`
      keep(fact('washed-short', isShort, said))
      keep(fact('washed-long', took > Math.max(LONG_WASH, 3 * least), said))
    }
    const ceiling = words.late?.afterSeconds ?? step.planned.mostSeconds
    if (words.role === 'tone' && ceiling !== undefined)
      keep(
        fact(
          'toned-long',
          took > TOO_LONG * ceiling,
          `toned ${formatSpan(took)}, maximum ${formatSpan(ceiling)}`,
        ),
      )
    if (words.role === 'fix' && ceiling !== undefined)
      keep(
        fact(
          'fixed-long',
          took > TOO_LONG * ceiling,
          `fixed ${formatSpan(took)}, maximum ${formatSpan(ceiling)}`,
        ),
      )
    if (words.role === 'clear' && words.late?.blames === 'paper' && ceiling !== undefined)
      keep(
        fact(
          'cleared-long',
          took > ceiling,
          `clearing took ${formatSpan(took)}, maximum ${formatSpan(ceiling)}`,
        ),
      )
  }
  return [...worst.values()]
}

const SPENT = { develop: 'developer-spent', clear: 'clearing-spent', fix: 'fixer-spent', tone: 'toner-spent' } as const // prettier-ignore
const VERDICT = {
  fresh: 'was fresh',
  serves: 'was still good',
  replenishSoon: 'was still good',
  replenish: 'was due to be replenished',
  used: 'was one-shot and already used',
  spent: 'was beyond its capacity',
  old: 'was past its shelf life',
} as const

/** What the baths that the print met say: how far used up, how old, how strong, how warm. */
export function bathsMet({ baths, definition }: PrintRecord): Observed[] {
  return baths.flatMap((met): Observed[] => {
    const { wordsId, bath, standing } = met
    const role = definition.steps.find((one) => one.id === wordsId)?.role
    if (!isRole(role)) return []
    const isThin = standing.strength.value < THINNED
    const isSpent = ['replenish', 'used', 'spent', 'old'].includes(standing.verdict) || isThin
    const had = standing.passes.length
      ? `, after ${standing.passes.length} print${standing.passes.length === 1 ? '' : 's'}`
      : ''
    const how = isThin
      ? `was diluted to ${digits(100 * standing.strength.value, 2)} % of its strength`
      : VERDICT[standing.verdict]
    return [
      fact(SPENT[role], isSpent, `${bath.name} ${how}${had}`),
      ...(role === 'tone' ? strongToner(met) : []),
      ...(role === 'develop' ? heated(met) : []),
    ]
  })
}

const strongToner = ({ bath, timesStrength }: BathMet): Observed[] =>
  timesStrength !== null && timesStrength > STRONG
    ? [fact('toned-long', true, `${bath.name} was ${digits(timesStrength, 2)} times as strong as meant`)]
    : []

/** A developer that was measured, against the one before it. */
function heated({ bath, heat }: BathMet): Observed[] {
  if (bath.celsius === undefined || heat?.says === 'notMeasured') return []
  const said = heat
    ? `${bath.name} was ${digits(heat.now, 2)} °C, the one before it ${digits(heat.before, 2)} °C`
    : `${bath.name} was ${digits(bath.celsius, 2)} °C`
  return [fact('developer-cold', heat !== null, said)]
}

/** How long the exposed sheet waited for its first bath. */
export function waited({ state }: PrintRecord): Observed[] {
  const at = state.steps.findIndex(({ planned }) => planned.kind === 'expose')
  const [exposed, first] = [
    state.steps[at],
    state.steps.find((one, i) => i > at && one.planned.kind === 'bath'),
  ]
  if (exposed?.finishedAt === undefined || first?.startedAt === undefined) return []
  const seconds = (first.startedAt - exposed.finishedAt) / 1000
  return [
    fact('waited', seconds > LONG_WAIT, `first bath ${formatSpan(Math.max(0, seconds))} after the exposure`),
  ]
}
