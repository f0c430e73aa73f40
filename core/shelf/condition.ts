import { auditAge } from '../chemistry/audits'
import { digits, formatSpan } from '../quantity/format'
import type { Bottle } from '../schema/records'

/** What is worth saying above a bottle on its board, in a few words. */
export interface Condition {
  tone: 'wrong' | 'plain'
  words: string
}

const DAY_MS = 86_400_000

/**
 * The one thing to know of a bottle before it is taken in hand: what is wrong with it, else how it stands.
 *
 * @param left ml or g, `null` where no one measured; @param now milliseconds.
 */
export function conditionOf(bottle: Bottle, left: number | null, now: number): Condition | null {
  const first = bottle.contents[0]
  const age = auditAge(bottle, now)
  if (age?.code === 'not-ripe')
    return { tone: 'plain', words: `resting, ${formatSpan(((bottle.ripeAt ?? now) - now) / 1000)}` }
  if (bottle.statedPercent !== undefined && first && isOff(bottle.statedPercent, first.percent))
    return { tone: 'wrong', words: `label says ${digits(bottle.statedPercent)}` }
  if (age) return { tone: 'wrong', words: 'past its shelf life' }
  if (left === 0) return { tone: 'wrong', words: 'empty' }
  if (bottle.amount && left !== null && left < bottle.amount * 0.15)
    return { tone: 'wrong', words: 'nearly out' }
  if (bottle.bestUntil !== undefined && bottle.madeAt !== undefined) {
    const share = (now - bottle.madeAt) / (bottle.bestUntil - bottle.madeAt)
    if (share > 0.8) return { tone: 'wrong', words: 'ageing' }
  }
  if (bottle.madeAt !== undefined && now - bottle.madeAt < DAY_MS) return { tone: 'plain', words: 'fresh' }
  return null
}

const isOff = (stated: number, truth: number) => Math.abs(stated - truth) > 0.025 * truth
