import { texts } from './words'
import type { EventAttributes } from 'ics'
import { CoreError } from '@core/errors'
import type { DiaryEntry } from '@core/schedule/diary'
import { becauseLine, preparationLine } from './planWords'

/** What an entry is called, and what it says when it is opened. */
function words(
  entry: DiaryEntry,
  named: (sheetId: string) => string,
): { title: string; description: string } {
  const { what } = entry
  switch (what.kind) {
    case 'session':
      return { title: 'Printing', description: what.sheetIds.map(named).join('\n') }
    case 'prepare':
      return { title: preparationLine(what.preparation), description: becauseLine(what.preparation) }
    case 'look':
      return {
        title: `${what.lookId === 'dry' ? 'Dry check' : 'Two-week check'}: ${named(what.sheetId)}`,
        description: texts.judgeItBesideYourLast,
      }
  }
}

/** The entries as one iCalendar file (RFC 5545). The package that writes it comes in when it is wanted. */
export async function calendarFile(
  entries: readonly DiaryEntry[],
  named: (sheetId: string) => string,
): Promise<string> {
  const { createEvents } = await import('ics')
  const events = entries.map((entry): EventAttributes => {
    const { title, description } = words(entry, named)
    return {
      uid: `${entry.uid}@ember-sheet`,
      start: Math.round(entry.at / 60_000) * 60_000,
      startInputType: 'utc',
      startOutputType: 'utc',
      duration: { minutes: Math.max(5, Math.round(entry.seconds / 60)) },
      title,
      ...(description && { description }),
      ...(entry.what.kind === 'prepare' && {
        alarms: [{ action: 'display' as const, description: title, trigger: { before: true, minutes: 10 } }],
      }),
    }
  })
  const { error, value } = createEvents(events, { productId: 'ember-sheet/calendar', calName: 'Ember Sheet' })
  if (error || !value)
    throw new CoreError({
      code: 'calendar',
      field: 'calendar',
      problem: texts.calendarFileCouldNotBe,
      remedy: error ? error.message : texts.planAgainThenSaveCalendar,
    })
  return value
}
