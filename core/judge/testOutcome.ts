import type { Judged } from '../schema/event'
import { LOOKS_JUDGED, type Aspect } from './judgedLooks'

/**
 * What the judgement of a test print says of the fault that it was made for.
 *
 * @param symptoms looks of the print that went wrong.
 * @param judgements of the test print; wet ones are left out, since a print changes as it dries.
 * @returns `null` where they say nothing of these looks.
 */
export function outcomeOf(
  symptoms: readonly string[],
  judgements: readonly Pick<Judged, 'moment' | 'verdict' | Aspect>[],
): 'changed' | 'same' | null {
  const last = judgements.filter(({ moment }) => moment !== 'wet').at(-1)
  if (!last) return null
  const asked = symptoms.flatMap((id) => (LOOKS_JUDGED[id] ? [LOOKS_JUDGED[id]] : []))
  if (asked.some(([aspect, fault]) => last[aspect] === fault)) return 'same'
  if (last.verdict === 'keep') return 'changed'
  const isToldOfAll =
    asked.length === symptoms.length && asked.every(([aspect]) => last[aspect] !== undefined)
  return isToldOfAll && asked.length > 0 ? 'changed' : null
}
