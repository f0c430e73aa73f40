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

/** Octets of a line, without its end, before it is folded. @see RFC 5545, 3.1 */
const LINE_OCTETS = 75

/** Lines folded at 75 octets; the package folds by characters, which are longer beyond Latin. */
function foldedByOctets(text: string): string {
  const encoder = new TextEncoder()
  const folded = (line: string) => {
    let [out, length] = ['', 0]
    for (const letter of line) {
      const octets = encoder.encode(letter).length
      if (length + octets > LINE_OCTETS) {
        out += '\r\n '
        length = 1
      }
      out += letter
      length += octets
    }
    return out
  }
  return text
    .replace(/\r\n[ \t]/g, '')
    .split('\r\n')
    .map(folded)
    .join('\r\n')
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
  return foldedByOctets(value)
}
