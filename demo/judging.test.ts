import { takenByBottle } from '@core/chemistry/lots'
import { differencesOf } from '@core/judge/compare'
import { threadFacts } from '@core/judge/threadFacts'
import { diagnose } from '@core/judge/diagnosis'
import { rankTests } from '@core/judge/nextTest'
import { dryDown } from '@core/tone/dryDown'
import { observe } from '@core/judge/observe'
import { printRecord, type RoomRecords } from '@core/judge/printRecord'
import { repeatOf } from '@core/judge/repeat'
import { resultsOf } from '@core/judge/results'
import { traitsOf } from '@core/judge/traits'
import { trendsOf } from '@core/judge/trends'
import { replay } from '@core/run/run'
import { logsBySheet } from '@core/archive/logs'
import { faults } from '@library/faults'
import { processes, substances, treatments } from '@library/index'
import { effects } from '@library/judging/effects'
import { demoScenario } from './scenario'

const NOW = Date.UTC(2026, 5, 12, 14, 3, 7)
const { records } = demoScenario(1851, NOW)
const logs = logsBySheet(records.events)
const prints = records.sheets.map((sheet) => ({
  sheet,
  state: replay(sheet.id, logs.get(sheet.id) ?? []),
  definition: processes[sheet.process.id]!,
}))
const room: RoomRecords = {
  ...records,
  prints,
  treatments: records.paperRuns.map((run) => ({
    run,
    state: replay(run.id, logs.get(run.id) ?? []),
    definition: treatments[run.process.id]!,
  })),
  substances,
}
const recordOf = (number: number) =>
  printRecord(
    prints.find((one) => one.sheet.number === number)!,
    room,
  )
const taken = takenByBottle(
  prints.map((one) => one.state),
  records.takings,
)
const diagnosed = (number: number, symptoms: string[], answers: Record<string, boolean> = {}) => {
  const record = recordOf(number)
  const asked = Object.entries(answers).map(([factId, is]) => ({ factId, is, said: factId }))
  return diagnose(faults, {
    traits: traitsOf(record.definition, record.sheet),
    symptoms,
    observed: [...observe(record), ...asked],
    confirmed: [],
  })
}

describe('what the record of a print says', () => {
  it('finds the wash that the telephone cut short, with its minutes', () => {
    const known = observe(recordOf(20))
    expect(known.find((one) => one.factId === 'washed-short')).toEqual({
      factId: 'washed-short',
      is: true,
      said: expect.stringMatching(/^washed 2\smin 50\ss, minimum 5\smin$/),
      isRecorded: true,
    })
    expect(known.find((one) => one.factId === 'exposed-short')?.is).toBe(false)
  })

  it('finds a sheet that waited for its first bath, and a wash of hours', () => {
    const record = recordOf(20)
    const said = (of: typeof record, factId: string) => observe(of).find((one) => one.factId === factId)?.is
    expect([said(record, 'waited'), said(record, 'washed-long')]).toEqual([false, false])
    const HOURS = 3 * 3_600_000
    const later = record.state.steps.map((step) => ({
      ...step,
      ...(step.planned.kind === 'expose' && { finishedAt: step.finishedAt! - HOURS }),
    }))
    expect(said({ ...record, state: { ...record.state, steps: later } }, 'waited')).toBe(true)
    const longer = record.state.steps.map((step) => ({
      ...step,
      ...(step.planned.kind === 'bath' && { finishedAt: step.finishedAt! + HOURS }),
    }))
    expect(said({ ...record, state: { ...record.state, steps: longer } }, 'washed-long')).toBe(true)
  })

  it('knows whether a means of contrast was chosen', () => {
    const kallitype = processes.kallitype!
    const record = { ...recordOf(20), definition: kallitype }
    const said = (contrast: string) =>
      observe({ ...record, sheet: { ...record.sheet, choices: { contrast } } }).find(
        (one) => one.factId === 'contrast-added',
      )?.is
    expect([said('plain'), said('dichromate'), said('unknown')]).toEqual([false, true, undefined])
  })

  it('finds the coat that lay in the drawer', () => {
    const old = observe(recordOf(24)).find((one) => one.factId === 'coat-old')
    expect(old).toMatchObject({ is: true, said: expect.stringContaining('old at exposure') })
  })

  it('names them first, with the evidence in plain words', () => {
    const [yellow] = diagnosed(20, ['whites-yellow'])
    expect(yellow?.cause.id).toBe('washed-short')
    expect(yellow?.for.map((one) => one.said).join('; ')).toContain('minimum')
    const [fog] = diagnosed(24, ['fogged', 'whites-blue'], { 'room-bright': false })
    expect(fog?.cause.id).toBe('coat-old')
  })

  it('and what would tell the first causes apart', () => {
    const record = recordOf(24)
    const ranked = diagnosed(24, ['fogged'])
    const [best] = rankTests(faults, ranked, { traits: traitsOf(record.definition, record.sheet) })
    expect(best?.cures.map((one) => one.id)).toContain(ranked[0]?.cause.id)
  })
})

describe('two prints side by side', () => {
  const threads = [recordOf(21), recordOf(22)]
  const differences = differencesOf(threads.map(threadFacts), effects)

  it('differ first in what changes a print most', () => {
    expect(differences.map((one) => one.kind).slice(0, 3)).toContain('negative')
    const light = differences.find((one) => one.kind === 'light')
    expect(light?.said).toEqual(['the south sill', 'the attic box'])
    expect(differences.every((one, i) => i === 0 || one.effect <= differences[i - 1]!.effect)).toBe(true)
  })

  it('and in what came out, with the difference of colour', () => {
    const rows = resultsOf(threads.map((one) => one.state))
    expect(rows.find((one) => one.id === 'black')).toMatchObject({ said: ['0.98', '1.46'] })
    expect(rows.find((one) => one.id === 'black')?.colour[1]).toBeGreaterThan(5)
    expect(rows.find((one) => one.id === 'shadows')?.said).toEqual(['thin', 'right'])
    expect(rows.some((one) => one.id === 'patch')).toBe(false)
  })

  it('a print beside itself differs in nothing', () => {
    expect(differencesOf([threads[0]!, threads[0]!].map(threadFacts), effects)).toEqual([])
  })
})

describe('printing it again', () => {
  it('takes the exposure that it really had, and says what has changed since', () => {
    const record = recordOf(22)
    const { sheet, notices } = repeatOf(record, room, taken, NOW)
    expect(sheet.after).toBe(record.sheet.id)
    expect('id' in sheet || 'edition' in sheet || 'number' in sheet).toBe(false)
    // 605 s were given, and the box has dimmed since.
    expect(sheet.exposureSeconds).toBeGreaterThanOrEqual(600)
    for (const notice of notices)
      if (notice.kind === 'lampDrifted') {
        expect(notice.now).toBeLessThan(notice.then)
        expect(sheet.exposureSeconds).toBeGreaterThan(605)
      }
  })

  it('with one stop more has twice the seconds', () => {
    const plain = repeatOf(recordOf(22), room, taken, NOW).sheet.exposureSeconds
    expect(repeatOf(recordOf(22), room, taken, NOW, { stops: 1 }).sheet.exposureSeconds).toBeCloseTo(
      2 * plain,
      -1,
    )
  })

  describe('after a judgement', () => {
    const record = recordOf(22)
    const first = { ...record.state.judgements[0]!, moment: 'dry' as const }
    const judged = (said: Partial<(typeof record.state.judgements)[number]>) => {
      const judgements = [{ ...first, shadows: undefined, highlights: undefined, ...said }]
      const again = repeatOf({ ...record, state: { ...record.state, judgements } }, room, taken, NOW)
      return { seconds: again.sheet.exposureSeconds, kinds: again.notices.map((one) => one.kind) }
    }
    const same = judged({ verdict: 'undecided' }).seconds

    // Half a stop is a factor of √2.
    it.each([
      [{ verdict: 'keep' as const, shadows: 'right' as const }, 1, 'kept'],
      [{ verdict: 'again' as const, shadows: 'thin' as const }, Math.SQRT2, 'exposureJudged'],
      [{ verdict: 'again' as const, shadows: 'blocked' as const }, Math.SQRT1_2, 'exposureJudged'],
      [
        { verdict: 'again' as const, shadows: 'thin' as const, highlights: 'veiled' as const },
        1,
        'contrastJudged',
      ],
      [
        { verdict: 'again' as const, shadows: 'blocked' as const, highlights: 'blank' as const },
        1,
        'contrastJudged',
      ],
    ])('%j exposes %d times as long', (said, factor, kind) => {
      const { seconds, kinds } = judged(said)
      expect(Math.abs(seconds - same * factor)).toBeLessThanOrEqual(1)
      expect(kinds).toContain(kind)
    })

    it('made while the print was wet moves nothing', () =>
      expect(judged({ moment: 'wet', verdict: 'again', shadows: 'thin' })).toEqual(
        judged({ verdict: 'undecided' }),
      ))

    it('gives way to the one change that a diagnosis tests', () => {
      const thin = { ...first, verdict: 'again' as const, shadows: 'thin' as const }
      const other = { ...record, state: { ...record.state, judgements: [thin] } }
      expect(repeatOf(other, room, taken, NOW, { coats: 2 }).sheet.exposureSeconds).toBe(same)
    })
  })

  it('takes the next bottle for one that is used up, and stretches its part where it is weaker', () => {
    const record = recordOf(22)
    const iron = record.bottles.find((one) => one.component === 'iron')!.bottle
    const ended = { ...iron, ended: { at: NOW, why: 'empty' as const } }
    const weaker = {
      ...iron,
      id: '00000000-0000-4000-8000-0000000000aa',
      label: 'A-9',
      madeAt: NOW,
      contents: [{ ...iron.contents[0]!, percent: iron.contents[0]!.percent / 2 }],
    }
    const bottles = room.bottles.map((one) => (one.id === iron.id ? ended : { ...one, ended: ended.ended }))
    const other = printRecord(record, { ...room, bottles })
    const { sheet, notices } = repeatOf(other, { ...room, bottles: [...bottles, weaker] }, taken, NOW)
    expect(sheet.bottles.iron).toBe(weaker.id)
    expect(sheet.parts.sensitizer).toEqual([2, 1])
    expect(notices.map((one) => one.kind)).toEqual(
      expect.arrayContaining(['bottleReplaced', 'strengthMended', 'bottleGone']),
    )
  })
})

describe('over the whole collection', () => {
  it('follows blacks and whites of a paper, and the lamp, with limits once there are enough', () => {
    const trends = trendsOf({ ...records, prints })
    const black = trends.find((one) => one.kind === 'black' && one.points.length >= 4)
    expect(black?.chart).not.toBeNull()
    expect(black?.points.map((one) => one.at)).toEqual(
      [...black!.points.map((one) => one.at)].sort((a, b) => a - b),
    )
    expect(trends.some((one) => one.kind === 'lamp')).toBe(true)
  })

  it('learns how much the blue deepens on this paper', () => {
    const dried = prints.map(({ sheet, state }) => ({
      processId: sheet.process.id,
      ...(sheet.paperId && { paperId: sheet.paperId }),
      ...(sheet.lightId && { lightId: sheet.lightId }),
      state,
    }))
    const own = prints.find((one) => one.sheet.number === 22)!.sheet
    const figure = dryDown(
      { processId: own.process.id, paperId: own.paperId!, lightId: own.lightId! },
      dried,
      null,
    )
    // Two prints gained (1.36 / 1.11 and 1.39 / 1.16) − 1; trusted in part, circle after circle.
    expect(figure.value).toBeGreaterThan(0.12)
    expect(figure.value).toBeLessThan(0.25)
    expect(figure.working.standing).toBe('yours')
  })
})
