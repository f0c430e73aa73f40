import Papa from 'papaparse'
import { logCsv, printsCsv } from '@core/archive/tables'
import { passportOf } from '@core/judge/passport'
import { printRecord, type RoomRecords } from '@core/judge/printRecord'
import { replay } from '@core/run/run'
import { storyOf } from '@core/run/story'
import { logsBySheet } from '@core/archive/logs'
import { processes, substances } from '@library/index'
import { demoScenario } from './scenario'

const { records } = demoScenario(1851, Date.UTC(2026, 5, 12, 14))
const logs = logsBySheet(records.events)
const prints = records.sheets.map((sheet) => ({
  sheet,
  state: replay(sheet.id, logs.get(sheet.id) ?? []),
  definition: processes[sheet.process.id]!,
}))
const room: RoomRecords = { ...records, prints, treatments: [], substances }
const all = prints.map((one) => printRecord(one, room))
const parse = (text: string) => Papa.parse<Record<string, string>>(text.trimEnd(), { header: true })

describe('tables for a spreadsheet', () => {
  it('have every print once, with what it was made with and what came out', () => {
    const { data, errors } = parse(printsCsv(all))
    expect(errors).toEqual([])
    expect(data).toHaveLength(records.sheets.length)
    const row = data.find((one) => one.sheet === '22')
    expect(row).toMatchObject({
      title: 'Lamp-room lens, second state',
      edition: '1 of 7',
      process: 'Classic cyanotype',
      paper: 'Heron rag',
      'black D': '1.46',
      verdict: 'keep',
    })
    // Durations are numbers with their unit in the heading: about ten minutes of light, and the wash.
    expect(Number(row?.['exposure s'])).toBeGreaterThanOrEqual(600)
    expect(Number(row?.['exposure s'])).toBeLessThan(660)
    expect(Number(row?.['wash s'])).toBeGreaterThan(300)
    expect(Object.keys(row ?? {}).filter((name) => / s$/.test(name))).toHaveLength(6)
  })

  it('have every line of every thread, and none that was taken back', () => {
    const { data, errors } = parse(logCsv(all, logs))
    expect(errors).toEqual([])
    const lines = all.reduce((sum, one) => {
      const log = logs.get(one.sheet.id) ?? []
      return sum + (log.length ? storyOf(one.sheet.id, log, one.definition).length : 0)
    }, 0)
    expect(data).toHaveLength(lines)
    expect(data.every((one) => !Number.isNaN(Date.parse(one.at ?? '')))).toBe(true)
  })

  it('give a spreadsheet no formula to run', () => {
    const evil = all.map((one) => ({
      ...one,
      sheet: { ...one.sheet, title: '=HYPERLINK("http://x")', subject: '@cmd' },
    }))
    const { data } = parse(printsCsv(evil))
    expect(data[0]?.title).toBe('\'=HYPERLINK("http://x")')
    expect(data[0]?.subject).toBe("'@cmd")
  })

  it('quote a formula that begins like a negative number, and leave the number alone', () => {
    const titled = (title: string) => all.map((one) => ({ ...one, sheet: { ...one.sheet, title } }))
    expect(parse(printsCsv(titled('-1+cmd|x'))).data[0]?.title).toBe("'-1+cmd|x")
    expect(parse(printsCsv(titled('-12.5'))).data[0]?.title).toBe('-12.5')
  })
})

describe('a passport', () => {
  it('says what the print is, of what and how it was made, what it measured and how to keep it', () => {
    const record = all.find((one) => one.sheet.number === 22)!
    const story = storyOf(record.sheet.id, logs.get(record.sheet.id)!, record.definition)
    const passport = passportOf(
      record,
      story,
      ['Keep it dry.'],
      { length: 'in', temperature: 'degC' },
      substances,
    )
    expect(passport.line).toBe('Sheet 22 · print 1 of 7 · Fog signals, disused')
    expect(Object.fromEntries(passport.materials)).toMatchObject({
      Paper: expect.stringContaining('Heron rag, 300 g/m²'),
      Light: 'the attic box (UV box)',
    })
    expect(passport.steps.length).toBeGreaterThan(5)
    expect(passport.results.find((one) => one.id === 'black')?.said).toEqual(['1.46'])
    expect(passport.care).toEqual(['Keep it dry.'])
  })
})
