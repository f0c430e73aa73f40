import { formatSpan } from '../quantity/format'
import type { SheetEvent } from '../schema/event'
import type { Amendment } from './history'

/** Names of what a log has only identities for. */
export interface AmendmentNames {
  step(id: string): string
  component(id: string): string
}

const NAMES: Partial<Record<SheetEvent['type'], string>> = {
  begun: 'start of work',
  dropped: 'drop',
  coatJudged: 'answer about the coat',
  stripRead: 'test strip reading',
  roomRead: 'room reading',
  noted: 'note',
  judged: 'check',
  measured: 'measurement',
  photographed: 'photo',
  setAside: 'setting aside',
}
const ABOUT_STEPS: Partial<Record<SheetEvent['type'], string>> = {
  stepStarted: 'start',
  stepFinished: 'end',
  looked: 'check of the exposure',
  returned: 'exposure resumed',
  waterChanged: 'water change',
  exposureChanged: 'changed exposure',
}

/**
 * A correction or a late entry as a line of the record: what it was, and how far off the first entry was. Moments are said
 * as spans, since only the reader knows the time zone.
 */
export function amendmentSaid(
  { before, after, madeAt }: Amendment,
  names: AmendmentNames,
): { what: string; detail: string } {
  const what = nameOf(after, names)
  if (!before)
    return {
      what: 'Entered later',
      detail: `${what}, ${formatSpan((madeAt - after.at) / 1000)} after it happened`,
    }
  const parts: string[] = []
  const moved = Math.round((after.at - before.at) / 1000)
  if (moved)
    parts.push(`${formatSpan(Math.abs(moved))} ${moved > 0 ? 'later' : 'earlier'} than first recorded`)
  if (after.type === 'stepFinished' && before.type === 'stepFinished') {
    if (after.drops && after.drops !== before.drops)
      parts.push(
        after.drops.map(({ component, count }) => `${names.component(component)} ${count} drops`).join(', '),
      )
    else if (after.drawn !== before.drawn) parts.push('other amounts taken from the bottles')
  }
  return { what: 'Corrected', detail: [what, parts.join('; ')].filter(Boolean).join(': ') }
}

function nameOf(event: SheetEvent, names: AmendmentNames): string {
  const about = ABOUT_STEPS[event.type]
  return about && 'step' in event ? `${names.step(event.step)}, ${about}` : (NAMES[event.type] ?? event.type)
}
