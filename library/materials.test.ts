import { uuid, logOf, SHEET, T0 } from '@core/fixtures/logs'
import { sheet } from '@core/fixtures/workroom'
import { paper as chalkFacts } from '@core/judge/observeCoat'
import { observe } from '@core/judge/observe'
import { materialsOf } from '@core/judge/materials'
import { printRecord, type RoomRecords } from '@core/judge/printRecord'
import { lotsFor } from '@core/chemistry/lots'
import { planMix } from '@core/process/mixPlan'
import { beginning, beginningOfTreatment, schoolStocks, startingChoices } from '@core/process/plan'
import { labelOf } from '@core/shelf/label'
import { GLASS_SECONDS, glassOf } from '@core/run/glass'
import { replay } from '@core/run/run'
import type { Happening } from '@core/schema/event'
import { emptyHoldings, type Bottle, type PaperRun } from '@core/schema/records'
import { processes, substances, treatments } from './index'

// The paper, its treatment and the glass are part of a print, with the library's own processes.

const kallitype = processes.kallitype!
const acid = treatments['acid-bath']!
const [PIECE, PAPER] = [uuid(20), uuid(21)]
const bottle = (n: number, label: string, substanceId: string, percent: number): Bottle => ({
  id: uuid(n), label, name: label, kind: 'solution', contents: percent ? [{ substanceId, percent }] : [], note: '', changedAt: T0,
}) as Bottle // prettier-ignore
const oxalate = bottle(30, 'FO-2', 'ferric-oxalate', 20)
const silver = bottle(31, 'S-1', 'silver-nitrate', 10)

/** A treatment of the piece, its acid bath so long. */
function treated(acidSeconds: number, run: Partial<PaperRun> = {}) {
  const choices = startingChoices(acid)
  const begun = beginningOfTreatment(acid, { choices }, 300)
  let at = 0
  const log: [number, Happening][] = [[0, begun]]
  for (const step of begun.steps) {
    if (step.begins === 'press') log.push([++at, { type: 'stepStarted', step: step.id }])
    at += step === begun.steps[0] ? acidSeconds : (step.leastSeconds ?? 60) + 60
    log.push([at, { type: 'stepFinished', step: step.id }])
  }
  return {
    run: { id: uuid(40), number: 1, process: { id: acid.id, version: 1 }, choices, pieceIds: [PIECE], ...run } as PaperRun,
    state: replay(uuid(40), logOf(log, uuid(40))),
    definition: acid,
  } // prettier-ignore
}

/** A kallitype of which so many drops of each bottle were counted. */
function record(drops: [number, number], treatment: ReturnType<typeof treated> | null, bottles = [oxalate, silver]) {
  const planned = { ...sheet, pieceId: PIECE, paperId: PAPER, process: { id: 'kallitype', version: 1 }, choices: startingChoices(kallitype) }
  const mix = kallitype.mixes[0]!
  const [first, second] = mix.parts.map(({ component }) => component) as [string, string]
  const log: [number, Happening][] = [
    [0, beginning(kallitype, planned, { [mix.id]: [18, 18] }, 300)],
    [1, { type: 'dropped', component: first, change: drops[0] }],
    [2, { type: 'dropped', component: second, change: drops[1] }],
    [60, { type: 'stepFinished', step: 'mix', drawn: [
      { bottleId: oxalate.id, component: first, millilitres: drops[0] / 20 },
      { bottleId: silver.id, component: second, millilitres: drops[1] / 20 },
    ] }],
  ]
  const state = replay(SHEET, logOf(log))
  const room: RoomRecords = {
    ...emptyHoldings(),
    prints: [],
    bottles,
    papers: [{ id: PAPER, name: 'Heron rag', buffered: 'yes', note: '', changedAt: T0 }],
    pieces: [{ id: PIECE, paperId: PAPER, label: 'HR-3', widthMillimetres: 250, heightMillimetres: 200, side: 'felt side', tornAt: T0, changedAt: T0 }],
    treatments: treatment ? [treatment] : [],
    substances,
  }
  return printRecord({ sheet: planned, state, definition: kallitype }, room)
} // prettier-ignore
const rows = (one: ReturnType<typeof record>) =>
  Object.fromEntries(
    materialsOf(one, substances, { length: 'in', temperature: 'degC' }).map(([name, value]) => [
      name,
      value.replace(/\u00a0/g, ' '),
    ]),
  )

describe('the paper of a print', () => {
  it('names its piece and what was done to it', () => {
    expect(rows(record([18, 18], treated(3600)))).toMatchObject({ Piece: 'HR-3, felt side' })
    expect(rows(record([18, 18], treated(3600))).Prepared).toContain(acid.name)
    expect(rows(record([18, 18], null)).Prepared).toBeUndefined()
  })

  it('says an acid bath that was cut short, and then does not claim that the chalk is gone', () => {
    const short = record([18, 18], treated(20))
    expect(rows(short).Prepared).toMatch(/short/)
    expect(chalkFacts(short)).toEqual([])
    expect(chalkFacts(record([18, 18], treated(3600)))).toMatchObject([{ factId: 'chalk-in', is: false }])
  })

  it('takes no other treatment for an acid bath', () => {
    const size = treatments['gelatin-size']!
    const work = { ...treated(3600), definition: size, run: { ...treated(3600).run, halfPieceId: PIECE, process: { id: size.id, version: 1 } } } // prettier-ignore
    expect(chalkFacts(record([18, 18], work))[0]?.said).toContain('no acid treatment is recorded')
  })

  it('says that only half of a piece was treated', () => {
    const half = record([18, 18], treated(3600, { halfPieceId: PIECE }))
    expect(rows(half).Prepared).toContain('half of the piece')
    expect(chalkFacts(half)[0]).toMatchObject({
      is: true,
      said: expect.stringContaining('only half of the piece'),
    })
  })
})

describe('the glass of a print', () => {
  // 18 drops of 20 % and 22 of 10 % in 40: 9 % and 5.5 %. Silver is 107.87/169.87 of 110 mg of its nitrate.
  it('holds what was counted, not what was planned', () =>
    expect(rows(record([18, 22], null))['In the glass']).toBe(
      'Ferric oxalate 18, Silver 22 drops (1 : 1.22); ferric oxalate 9 %, silver nitrate 5.5 %; silver 69.9 mg',
    ))

  it('invents no strength for a bottle that states none', () => {
    const unknown = record([18, 18], null, [bottle(30, 'FO-2', 'ferric-oxalate', 0), silver])
    expect(rows(unknown)['In the glass']).toBe('Ferric oxalate 18, Silver 18 drops (1 : 1)')
    expect(rows(unknown)['FO-2']).toBe('FO-2, strength not stated')
  })

  it('says that a strength was assumed, wherever it is said', () => {
    const assumed = record([18, 18], null, [{ ...oxalate, isAssumed: true }, silver])
    expect(rows(assumed)['In the glass']).toContain('strength of FO-2 assumed')
    expect(rows(assumed)['FO-2']).toBe('FO-2, ferric oxalate 20 %, assumed: strength not stated')
    expect(rows(assumed)['S-1']).toBe('S-1, silver nitrate 10 %')
    expect(labelOf({ ...oxalate, isAssumed: true }, substances, {}, '', () => '').contents).toEqual([
      expect.stringMatching(/20 % w\/v \(assumed\)$/),
    ])
  })

  it('has an age, and a limit by its process', () => {
    const { state } = record([18, 18], null)
    expect(glassOf(state, kallitype, T0 + 60_000 + 240_000)).toMatchObject({
      ageSeconds: 240,
      limitSeconds: GLASS_SECONDS,
      isOld: false,
    })
    expect(glassOf(state, kallitype, T0 + 60_000 + 901_000)?.isOld).toBe(true)
    const cyanotype = processes['classic-cyanotype']!
    expect(glassOf(state, cyanotype, T0 + 3_600_000)).toMatchObject({ limitSeconds: 4 * 3600, isOld: false })
    expect(glassOf(replay(SHEET, []), kallitype, T0)).toBeNull()
  })
})

describe('a size', () => {
  const gum = processes['gum-over']!
  const size = gum.mixes.find(({ preparesPaper }) => preparesPaper)!
  const planned = { ...sheet, process: { id: gum.id, version: 1 }, choices: startingChoices(gum), widthMillimetres: 254, heightMillimetres: 203.2, coverageMillilitresPerM2: 20, batch: undefined } // prettier-ignore
  const lots = Object.fromEntries(
    Object.entries(schoolStocks(gum, planned.choices)).map(([id, stock]) => [id, lotsFor(id, stock, [], new Map(), substances)]),
  ) // prettier-ignore

  // Common practice: about 20 ml of gelatin are poured on 8 × 10 in, where a rod lays about 1 ml of sensitizer.
  it('is poured, and not laid like a sensitizer', () => {
    expect(planMix(gum, size, planned, lots).volume.value).toBeGreaterThan(15)
    const coat = gum.mixes.find(({ preparesPaper }) => !preparesPaper)!
    expect(planMix(gum, coat, planned, lots).volume.value).toBeLessThan(3)
  })

  it('is no coat: its drops tell nothing of the one that was laid', () => {
    const counts = Object.fromEntries(
      gum.mixes.map(({ id, parts }) => [id, id === 'size' ? [400] : parts.map(() => 10)]),
    )
    const log: [number, Happening][] = [
      [0, beginning(gum, planned, counts, 300)],
      [1, { type: 'dropped', component: size.parts[0]!.component, change: 40 }],
      [2, { type: 'stepFinished', step: 'mix-size' }],
    ] // prettier-ignore
    const room = { ...emptyHoldings(), prints: [], treatments: [], substances } as RoomRecords
    const record = printRecord({ sheet: planned, state: replay(SHEET, logOf(log)), definition: gum }, room)
    expect(observe(record).filter(({ factId }) => factId === 'coat-thin')).toEqual([])
  })
})
