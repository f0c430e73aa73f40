import { logOf, SHEET, T0, uuid } from '@core/fixtures/logs'
import { sheet } from '@core/fixtures/workroom'
import { observe } from '@core/judge/observe'
import { printRecord, type RoomRecords } from '@core/judge/printRecord'
import { traitsOf } from '@core/judge/traits'
import { belongs } from '@core/judge/faultBook'
import { schoolStocks, startingChoices } from '@core/process/plan'
import { outlineOf } from '@core/process/plan'
import { startingParts } from '@core/process/mixPlan'
import { nextMove } from '@core/run/nextMove'
import { advance } from '@core/run/run'
import { emptyRun, stepInHand, type RunState } from '@core/run/runState'
import type { Bath } from '@core/schema/bath'
import type { Base, Calibration, MadeNegative } from '@core/schema/light'
import { emptyHoldings, type Bottle } from '@core/schema/records'
import type { SheetEvent } from '@core/schema/event'
import { faults } from './faults'
import { processes, substances } from './index'

// What the record of a real process says of faults when it was worked otherwise than planned.

interface Worked {
  choices?: Record<string, string>
  /** Seconds of a step; every other takes its least time, or what was planned. */
  took?: Record<string, number>
  leftOut?: string[]
  /** Bath in which a step was done. */
  inBath?: Record<string, string>
  looks?: number
  sheet?: Partial<typeof sheet>
  room?: Partial<RoomRecords>
}

/** A sheet of a process that was worked to the line, and what its record says. */
function worked(
  processId: string,
  { choices, took = {}, leftOut = [], inBath = {}, looks = 0, ...rest }: Worked,
) {
  const definition = processes[processId]!
  const chosen = { ...startingChoices(definition), subject: 'negative', ...choices }
  const planned = {
    ...sheet, process: { id: processId, version: 1 }, choices: chosen, parts: startingParts(definition, chosen), bottles: {}, ...rest.sheet,
  } // prettier-ignore
  const steps = outlineOf(definition, { choices: chosen, coats: 1, exposureSeconds: 600 }, 300)
  let [state, seconds]: [RunState, number] = [emptyRun(SHEET), 0]
  const happen = (what: object, after: number) => {
    seconds += after
    state = advance(state, { ...logOf([[seconds, what as never]])[0], index: state.length } as SheetEvent)
  }
  happen({ type: 'begun', steps, looks: [] }, 0)
  for (let step = stepInHand(state); step && step.planned.kind !== 'hang'; step = stepInHand(state)) {
    const { id, kind, leastSeconds = 0, plannedSeconds = 0, drops } = step.planned
    if (leftOut.includes(id)) happen({ type: 'stepLeftOut', step: id }, 1)
    else if (step.status === 'running' || kind === 'count') {
      if (kind === 'expose')
        for (let look = 0; look < looks; look++) {
          happen({ type: 'looked', step: id }, 1)
          happen({ type: 'returned', step: id }, 1)
        }
      happen(
        {
          type: 'stepFinished',
          step: id,
          ...(inBath[id] && { bathId: inBath[id] }),
          ...(drops && { drops }),
        },
        took[id] ?? Math.max(leastSeconds, plannedSeconds, 1),
      )
    } else happen(nextMove(state, T0 + seconds * 1000) ?? {}, 1)
  }
  const room: RoomRecords = { ...emptyHoldings(), prints: [], treatments: [], substances, ...rest.room }
  const record = printRecord({ sheet: planned, state, definition }, room)
  const known = observe(record)
  return {
    record,
    known,
    says: (factId: string) => known.find((one) => one.factId === factId)?.is ?? null,
    said: (factId: string) => known.find((one) => one.factId === factId)?.said ?? '',
  }
}

const bath = (n: number, processId: string, id: string, parts: Partial<Bath> = {}): Bath => ({
  id: uuid(n), processId, bath: id, name: id, millilitres: 1000, madeAt: T0 - 3_600_000, manner: 'reused', replenished: [], filtered: [], note: '', changedAt: T0,
  contents: (schoolStocks(processes[processId]!, startingChoices(processes[processId]!))[id] ?? processes[processId]!.baths.find((one) => one.id === id)!.stock.solutes).map(({ substanceId, percentWv }) => ({ substanceId, percent: percentWv })),
  ...parts,
}) // prettier-ignore

describe('the baths', () => {
  it('an acid that was skipped is seen in every process, unless the second made up for it', () => {
    expect(worked('gold-platinum', { leftOut: ['acid-1', 'acid-2'] }).says('cleared-short')).toBe(true)
    expect(worked('gold-platinum', {}).says('cleared-short')).toBe(false)
    expect(worked('gold-platinum', { took: { 'acid-1': 60, 'acid-2': 3600 } }).says('cleared-short')).toBe(
      false,
    )
    expect(worked('gold-platinum', { took: { 'acid-1': 60, 'acid-2': 60 } }).says('cleared-short')).toBe(true)
  })

  it('hypo clear that was skipped is seen in the wash that takes its place', () => {
    const short = worked('salted-paper', { leftOut: ['hypo-clear'], took: { 'final-wash': 300 } })
    expect(short.says('washed-short')).toBe(true)
    expect(worked('salted-paper', { leftOut: ['hypo-clear'], took: { 'final-wash': 1800 } }).says('washed-short')).toBe(false)
  }) // prettier-ignore

  it('a developer far from the temperature of the one before it', () => {
    const developer = processes.kallitype!.steps.find(({ id }) => id === 'develop')!.tray ?? 'citrate'
    const [warm, cold] = [
      bath(51, 'kallitype', developer, { celsius: 21, madeAt: T0 - 7_200_000 }),
      bath(52, 'kallitype', developer, { celsius: 14 }),
    ]
    const print = worked('kallitype', { inBath: { develop: cold.id }, room: { baths: [warm, cold] } })
    expect(print.says('developer-cold')).toBe(true)
    expect(print.said('developer-cold')).toContain('14 °C')
    expect(
      worked('kallitype', { inBath: { develop: warm.id }, room: { baths: [warm] } }).says('developer-cold'),
    ).toBe(false)
    // One that was never measured tells nothing.
    const unknown = bath(53, 'kallitype', developer)
    expect(
      worked('kallitype', { inBath: { develop: unknown.id }, room: { baths: [unknown] } }).says(
        'developer-cold',
      ),
    ).toBe(null)
  })

  it('a toner twice as strong as meant', () => {
    const definition = processes['salted-paper']!
    const toner = bath(54, 'salted-paper', definition.steps.find(({ id }) => id === 'tone')!.trays![0]!)
    const strong = {
      ...toner,
      contents: toner.contents.map((one) => ({ ...one, percent: 2 * one.percent })),
    }
    const choices = { toner: 'gold' }
    const inIt = (one: Bath) =>
      worked('salted-paper', { choices, inBath: { tone: one.id }, room: { baths: [one] } })
    expect(inIt(strong).said('toned-long')).toContain('2 times as strong')
    expect(inIt(toner).says('toned-long')).not.toBe(true)
  })

  it('a salt bath of twice its strength is seen in the silver that is short', () => {
    const lays = processes['salted-paper']!.steps.find((step) => step.lays?.by === 'soak')
    const salt = bath(55, 'salted-paper', 'salt')
    const withSalt = (times: number) => {
      const one = { ...salt, contents: salt.contents.map((each) => ({ ...each, percent: times * each.percent })) }
      return worked('salted-paper', { choices: { salting: 'soak' }, inBath: { [lays?.id ?? 'salt']: one.id }, room: { baths: [one] } })
    }
    expect(lays).toBeDefined()
    expect(withSalt(2).record.balance!.ratio.value).toBeCloseTo(withSalt(1).record.balance!.ratio.value / 2, 6)
    expect(withSalt(2).says('silver-short')).toBe(true)
  }) // prettier-ignore
})

describe('the light and the negative', () => {
  const base = (parts: Partial<Base>): Base => ({
    id: uuid(60), at: T0 - 86_400_000, processId: 'classic-cyanotype', lightId: uuid(70), choices: {}, seconds: 1200, by: 'typed', note: '', ...parts,
  }) as Base // prettier-ignore
  const light = { id: uuid(70), name: 'Box', kind: 'uvBox' } as RoomRecords['lights'][number]

  it('a base exposure of another paper is another’s, and says nothing of this exposure', () => {
    const its = (paperId: string) =>
      worked('classic-cyanotype', {
        sheet: { lightId: light.id, paperId: uuid(80) },
        room: { lights: [light], bases: [base({ paperId })] },
      })
    expect([its(uuid(81)).says('other-base'), its(uuid(81)).says('below-base')]).toEqual([true, null])
    expect([its(uuid(80)).says('other-base'), its(uuid(80)).says('below-base')]).toEqual([false, true])
  })

  it('a frame that was opened is recorded, and one that was not is not known', () => {
    expect(worked('classic-cyanotype', { looks: 2 }).said('frame-opened')).toContain('2 times')
    expect(worked('classic-cyanotype', {}).says('frame-opened')).toBe(null)
  })

  it('a curve of another process or paper is seen', () => {
    const calibration = (parts: Partial<Calibration>) => ({ id: uuid(90), ...parts }) as Calibration
    const film = { id: uuid(91), sheetId: sheet.id, calibrationId: uuid(90) } as MadeNegative
    const its = (parts: Partial<Calibration>) =>
      worked('van-dyke', {
        sheet: { paperId: uuid(80) },
        room: { negatives: [film], calibrations: [calibration(parts)] },
      })
    expect(its({ processId: 'kallitype' }).said('other-curve')).toContain('another process')
    expect(its({ processId: 'van-dyke', paperId: uuid(81) }).said('other-curve')).toContain('another paper')
    expect(its({ processId: 'van-dyke', paperId: uuid(80) }).says('other-curve')).toBe(false)
  })

  it('no lamp is blamed under the sun, and no sky under a lamp', () => {
    const { record } = worked('classic-cyanotype', {})
    const causes = (kind: 'sun' | 'uvBox') => {
      const traits = traitsOf(record.definition, record.sheet, { kind })
      return faults.causes.filter(({ needs }) => belongs(needs, traits)).map(({ id }) => id)
    }
    for (const id of ['lamp-dim', 'lamp-cold', 'tube-dead', 'light-uneven'])
      expect([id, causes('sun').includes(id), causes('uvBox').includes(id)]).toEqual([id, false, true])
    expect([causes('sun').includes('sky-changed'), causes('uvBox').includes('sky-changed')]).toEqual([true, false]) // prettier-ignore
  })
})

describe('the coat and what is under it', () => {
  const silver = (percent: number): Bottle => ({
    id: uuid(31), label: 'S-1', name: 'Silver', kind: 'solution', contents: [{ substanceId: 'silver-nitrate', percent }], note: '', changedAt: T0,
  }) as Bottle // prettier-ignore
  const component = processes.kallitype!.components.find(({ stock }) =>
    stock.solutes.some(({ substanceId }) => substanceId === 'silver-nitrate'),
  )!

  it('a bottle weaker than the recipe, unless the ratio makes up for it', () => {
    const its = (percent: number, parts?: Record<string, number[]>) =>
      worked('kallitype', {
        sheet: { bottles: { [component.id]: uuid(31) }, ...(parts && { parts }) },
        room: { bottles: [silver(percent)] },
      })
    const usual = component.stock.solutes[0]!.percentWv
    expect(its(usual / 2).says('solution-weak')).toBe(true)
    expect(its(usual).says('solution-weak')).toBe(false)
    expect(its(usual / 2, { [processes.kallitype!.mixes[0]!.id]: [1, 2] }).says('solution-weak')).toBe(null)
  })

  it('a coat that was worked for longer than it stays wet; a press that was forgotten says nothing', () => {
    const coat = outlineOf(processes['classic-cyanotype']!, { choices: startingChoices(processes['classic-cyanotype']!), coats: 1, exposureSeconds: 600 }, 300)
      .find(({ kind }) => kind === 'act')! // prettier-ignore
    const its = (seconds: number) => worked('classic-cyanotype', { took: { [coat.id]: seconds } }).says('brush-worked')
    expect([its(60), its(2 * coat.mostSeconds!), its(30 * coat.mostSeconds!)]).toEqual([null, true, null])
  }) // prettier-ignore

  it('gum over a print that was not toned', () => {
    const over = (choices: Record<string, string>, leftOut: string[] = []) => {
      const { record } = worked('van-dyke', { choices, leftOut })
      const below = { ...record, sheet: { ...record.sheet, id: uuid(99), number: 7 } }
      return worked('gum-over', { sheet: { over: uuid(99) }, room: { prints: [below] } })
    }
    expect(over({ toner: 'none' }).said('base-untoned')).toBe('sheet 7 under the gum was not toned')
    expect(over({ toner: 'gold' }).says('base-untoned')).toBe(false)
    expect(over({ toner: 'gold' }, ['tone', 'tone-sour', 'tone-after']).says('base-untoned')).toBe(true)
  })
})
