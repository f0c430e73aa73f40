import fc from 'fast-check'
import { logOf, SHEET, uuid, wholeJob } from '../fixtures/logs'
import { replay } from '../run/run'
import { revisionOf } from '../run/runState'
import { logTexts } from './archive'
import { lookThroughLogs } from './logReading'
import { eventsIn, lengthOf, linesOf, logBook } from './logs'

const log = logOf(wholeJob)
const other = logOf(wholeJob.slice(0, 5), uuid(2)).map((event) => ({ ...event, id: uuid(400 + event.index) }))

describe('looking through logs', () => {
  it('finds each log that lies in a text, with its own lines and what it amounts to', () => {
    const { logs, strays } = lookThroughLogs(`${linesOf(log)}\n${linesOf(other)}\n`)
    expect(strays).toEqual([])
    expect(logs.map(({ sheetId, lines }) => [sheetId, lines])).toEqual([
      [SHEET, linesOf(log)],
      [uuid(2), linesOf(other)],
    ])
    const state = replay(SHEET, log)
    expect(logs[0]).toMatchObject({ standing: JSON.stringify(state), revision: revisionOf(state) })
    expect(logs[0]?.photoIds).toEqual(state.photoIds)
  })

  it('finds nothing in nothing', () => expect(lookThroughLogs('')).toEqual({ logs: [], strays: [] }))

  it.each([
    ['{"id": 1}', 'Invalid'],
    ['{"id": ', 'cannot be read as JSON'],
    ['', 'cannot be read as JSON'],
    ['[]', 'Invalid'],
    [JSON.stringify({ ...log[3], at: 'noon' }), 'at: '],
    [JSON.stringify({ ...log[3], type: 'flown' }), 'type: '],
  ])('names a line that is no event: %s', (line, problem) => {
    const lines = log.map((event) => JSON.stringify(event))
    lines[3] = line
    const { logs, strays } = lookThroughLogs(lines.join('\n'))
    expect(strays).toEqual([])
    expect(logs).toHaveLength(1)
    expect(logs[0]?.problem).toContain('Line 4 ')
    expect(logs[0]?.problem).toContain(problem)
    // What comes before it holds, and nothing of what comes after is lost.
    expect(eventsIn(logs[0])).toEqual(log.slice(0, 3))
    expect(logs[0]?.rest).toBe(lines.slice(3).join('\n'))
    expect(logs[0]?.standing).toBe(JSON.stringify(replay(SHEET, log.slice(0, 3))))
  })

  it('does not go through a text of nothing but line ends to its end', () => {
    const { logs, strays } = lookThroughLogs(`${linesOf(log)}${'\n'.repeat(1_000_000)}`)
    expect(logs).toHaveLength(1)
    expect(strays).toMatchObject([{ line: log.length + 101, text: '\n'.repeat(999_899) }])
    expect(logs[0]?.lines).toBe(linesOf(log))
  })

  it('says why a log could not have happened, and goes on with the next', () => {
    const hole = log.filter((event) => event.index !== 4)
    const twins = log.map((event) => (event.index === 6 ? { ...event, id: log[5]!.id } : event))
    for (const [bad, why] of [[hole, 'missing'], [twins, 'the same identity']] as const) {
      const { logs } = lookThroughLogs(`${linesOf(bad)}\n${linesOf(other)}`)
      expect(logs.map((one) => one.problem === null)).toEqual([false, true])
      expect(logs[0]?.problem).toContain(why)
      const holds = eventsIn(logs[0]).length
      expect(eventsIn(logs[0])).toEqual(bad.slice(0, holds))
      expect(logs[0]?.rest).toBe(linesOf(bad.slice(holds)))
    }
  }) // prettier-ignore

  it('takes line ends of another system and spaces between words for what they are', () => {
    const text = log.map((event) => JSON.stringify(event, null, 1).replaceAll('\n', '')).join('\r\n')
    const { logs, strays } = lookThroughLogs(text)
    expect([strays, logs.length]).toEqual([[], 1])
    expect(eventsIn(logs[0])).toEqual(log)
  })
})

describe('logs as texts', () => {
  it('say how long they are without being read', () => {
    expect(lengthOf({ lines: '' })).toBe(0)
    for (const count of [1, 2, log.length])
      expect(lengthOf({ lines: linesOf(log.slice(0, count)) })).toBe(count)
  })

  it('come back whole, whatever is written in them', () => {
    fc.assert(
      fc.property(fc.array(fc.string({ unit: 'binary', maxLength: 60 }), { minLength: 1, maxLength: 5 }), (texts) => {
        const noted = texts.map((text, index) => ({ id: uuid(index), sheetId: SHEET, index, at: 1, type: 'noted' as const, text }))
        expect(eventsIn({ lines: linesOf(noted) })).toEqual(noted)
        expect(lengthOf({ lines: linesOf(noted) })).toBe(texts.length)
      }),
    )
  }) // prettier-ignore

  it('are parted into files of some thousand lines, no log in two of them', () => {
    const books = Array.from({ length: 700 }, (_, n) => logOf(wholeJob, uuid(5000 + n)))
    const texts = logTexts(logBook(books.flat()).values())
    expect(texts).toHaveLength(Math.ceil((700 * log.length) / (5000 + log.length)))
    const owners = texts.map((text) => new Set(text.trim().split('\n').map((line) => (JSON.parse(line) as { sheetId: string }).sheetId))) // prettier-ignore
    expect(owners.reduce((sum, each) => sum + each.size, 0)).toBe(700)
    for (const text of texts.slice(0, -1)) expect(text.split('\n').length).toBeGreaterThan(5000)
    expect(logTexts([{ lines: '' }])).toEqual([])
  })
})
