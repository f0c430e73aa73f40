import ICAL from 'ical.js'
import type { DiaryEntry } from '@core/schedule/diary'
import { calendarFile } from './calendarFile'

const AT = Date.UTC(2026, 10, 25, 9, 30)
const entries: DiaryEntry[] = [
  {
    uid: 'prepare-1',
    at: AT - 86_400_000,
    seconds: 86_400,
    what: {
      kind: 'prepare',
      preparation: { kind: 'make', id: 'gum', what: 'Gum, with “pigment”; and a comma', beginBy: AT - 86_400_000, wantedAt: AT, because: 'ripens', millilitres: 40 },
    },
  },
  { uid: 'session-1', at: AT, seconds: 7260, what: { kind: 'session', sheetIds: ['a', 'b'] } },
  { uid: 'look-a-dry', at: AT + 2 * 86_400_000, seconds: 600, what: { kind: 'look', sheetId: 'a', lookId: 'dry' } },
] // prettier-ignore
const named = (id: string) =>
  `Sheet ${id === 'a' ? '31, Lamp-room lens — a title long enough that its line has to be folded somewhere' : '32'}`

describe('the calendar file', () => {
  // RFC 5545, read back by a reader of its own.
  it('is read back by an independent reader as it was meant', async () => {
    const text = await calendarFile(entries, named)
    const calendar = new ICAL.Component(ICAL.parse(text))
    const events = calendar.getAllSubcomponents('vevent').map((one) => new ICAL.Event(one))
    expect(events.map((event) => event.uid)).toEqual(entries.map((entry) => `${entry.uid}@ember-sheet`))
    expect(events.map((event) => event.startDate.toJSDate().getTime())).toEqual(
      entries.map((entry) => entry.at),
    )
    expect(events[1]!.endDate.toJSDate().getTime() - AT).toBe(121 * 60_000)
    expect(events[0]!.summary).toContain('Gum, with “pigment”; and a comma, 40')
    expect(events[1]!.description).toBe(`${named('a')}\n${named('b')}`)
    expect(events[2]!.summary).toBe(`Dry check: ${named('a')}`)
  })

  it('keeps to the lines and the times of RFC 5545', async () => {
    const text = await calendarFile(entries, named)
    expect(text.startsWith('BEGIN:VCALENDAR\r\n')).toBe(true)
    for (const line of text.split('\r\n')) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75)
    // Letters of three octets are not parted, and are read back whole.
    const long = 'Λίμνη — 湖の写真 '.repeat(12)
    const folded = await calendarFile(entries, () => long)
    for (const line of folded.split('\r\n')) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75)
    expect(folded.replace(/\r\n /g, '')).toContain(long.trim())
    expect(folded).not.toContain('\ufffd')
    expect(text).toContain('DTSTART:20261125T093000Z')
    expect(text.match(/BEGIN:VALARM/g)).toHaveLength(1)
  })
})
