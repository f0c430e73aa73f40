import { bestDose, virtualSheet, workWell } from '@core/simulate/virtualPrint'
import { doseOfPrint, realPrintsOf, tunedProcess, tuningFrom, type RealPrint } from '@core/simulate/tuning'
import { bySchools, hazardsOf, isTonedBy, leastSecondsOf } from '@core/simulate/practiceSchool'
import { USUAL_CONDITIONS } from '@core/simulate/virtualProcess'
import { sheet } from '@core/fixtures/workroom'
import { uuid } from '@core/fixtures/logs'
import { emptyRun, type RunState } from '@core/run/runState'
import { startingChoices } from '@core/process/plan'
import type { PrintWork } from '@core/judge/printRecord'
import type { LightHistory } from '@core/light/lightLedger'
import type { Base } from '@core/schema/light'
import { practiceProcesses, practiceSchools } from './practice'
import { processes } from '.'

const cyanotype = practiceProcesses.find(({ processId }) => processId === 'classic-cyanotype')!
const definition = processes['classic-cyanotype']!
const BEST = bestDose(cyanotype, USUAL_CONDITIONS)

type Judged = Partial<RunState['judgements'][number]>
/** A print of some dose by its counter, judged when it was dry. */
function printed(
  number: number,
  millijoulesPerCm2: number | undefined,
  judged: Judged,
  black?: number,
): PrintWork {
  const step = { planned: { id: 'expose', kind: 'expose', station: 'light' }, status: 'done', startedAt: 1000, finishedAt: 601_000, holds: [], changes: [], ...(millijoulesPerCm2 !== undefined && { dose: { by: 'meter', seconds: 600, millijoulesPerCm2 } }) } // prettier-ignore
  const measured = {
    at: number,
    moment: 'dry',
    by: 'typed',
    readings: [{ of: 'black', name: '', density: black }],
  }
  const state = {
    ...emptyRun(uuid(number)), begunAt: 0, steps: [step],
    judgements: [{ at: number, moment: 'dry', verdict: 'undecided', note: '', ...judged }],
    measurements: black === undefined ? [] : [measured],
  } // prettier-ignore
  return { sheet: { ...sheet, id: uuid(number), number }, state: state as unknown as RunState, definition }
}
const none = () => null
const found = (works: readonly PrintWork[], bases: readonly Base[] = []) =>
  realPrintsOf('classic-cyanotype', works, bases, none)

describe('real prints that say something about a model', () => {
  it('are those judged dry with a known dose: half a stop more where it was thin, less where it was blocked', () => {
    const prints = found([
      printed(1, 1000, { shadows: 'thin' }),
      printed(2, 1000, { shadows: 'blocked' }),
      printed(3, 1000, { verdict: 'keep' }, 1.44),
      printed(4, 1000, { moment: 'wet', shadows: 'right' }),
      printed(5, 1000, {}),
      printed(6, undefined, { shadows: 'right' }),
    ])
    expect(prints.map(({ number }) => number)).toEqual([3, 2, 1])
    expect(prints.map(({ wanted }) => Math.round(wanted))).toEqual([1000, 707, 1414])
    expect(prints.map(({ black }) => black)).toEqual([1.44, null, null])
  })

  it('are none of another process, in the bin, or on a strip', () => {
    const one = printed(1, 1000, { shadows: 'right' })
    const { sheet: own } = one
    const others = [
      { ...one, sheet: { ...own, process: { id: 'kallitype', version: 1 } } },
      { ...one, sheet: { ...own, binnedAt: 5 } },
      {
        ...one,
        sheet: { ...own, strip: { firstSeconds: 60, lastSeconds: 600, count: 8 } } as unknown as typeof own,
      },
    ]
    expect(found(others)).toEqual([])
  })

  it('have their dose from the time and the light they began in, but never from a sun that changes', () => {
    const one = printed(1, undefined, { shadows: 'right' })
    const [step] = one.state.steps
    const lit = { ...one, state: { ...one.state, steps: [{ ...step!, milliwattsPerCm2: 4 }] } }
    const under = (kind: 'uvBox' | 'sun') => ({ light: { kind }, entries: [], bases: [], exposures: [] }) as unknown as LightHistory
    expect(doseOfPrint(lit, under('uvBox'))).toBe(2400)
    expect(doseOfPrint(lit, under('sun'))).toBeNull()
    expect(doseOfPrint(lit, null)).toBeNull()
  }) // prettier-ignore

  it('count with base exposures that are doses, newest first', () => {
    const base = { id: uuid(90), at: 50, processId: 'classic-cyanotype', choices: {}, lightId: uuid(91), film: '', seconds: 500, by: 'strip', note: '' } as Base // prettier-ignore
    const prints = found(
      [printed(3, 1000, { shadows: 'right' })],
      [{ ...base, milliwattsPerCm2: 3 }, base, { ...base, milliwattsPerCm2: 9, takenBackAt: 60 }],
    )
    expect(prints.map(({ number, wanted }) => [number, wanted])).toEqual([[null, 1500], [3, 1000]]) // prettier-ignore
  })
})

describe('a model tuned by one’s own prints', () => {
  const real = (wanted: number, black: number | null = null): RealPrint => ({ id: uuid(wanted), at: 0, number: wanted, dose: wanted, wanted, black }) // prettier-ignore

  it('needs the dose that the middle one of the last five should have had, and has their black', () => {
    const tuning = tuningFrom(cyanotype, [real(900, 1.5), real(3000), real(1000, 1.4), real(1100), real(1200, 1.46), real(1)]) // prettier-ignore
    const tuned = tunedProcess(cyanotype, tuning)
    expect(tuning?.ids).toHaveLength(5)
    expect(tuned.black).toEqual({ value: 1.46, standing: 'measured' })
    // The tones at the tuned best dose are those of the model at its own.
    const plain = tunedProcess(cyanotype, { ...tuning!, black: null })
    expect(bestDose(plain, USUAL_CONDITIONS)).toBeCloseTo(1100, 0)
    const at = (process: typeof plain, dose: number, film: number) =>
      virtualSheet(process, USUAL_CONDITIONS).densityAt(film, workWell(process, dose))
    for (const film of [0, 0.5, 1.2]) expect(at(plain, 1100, film)).toBeCloseTo(at(cyanotype, BEST, film), 6)
  })

  it('is the app’s own without a print, or with a black that cannot be one', () => {
    expect(tuningFrom(cyanotype, [])).toBeNull()
    expect(tunedProcess(cyanotype, null)).toBe(cyanotype)
    expect(tunedProcess(cyanotype, { doseTimes: 1, black: 0.1, ids: [] }).black).toEqual(cyanotype.black)
  })
})

describe('ways of working side by side', () => {
  it('differ in print, toning, time and cautions by what is chosen', () => {
    const kallitype = processes['kallitype']!
    const start = startingChoices(kallitype)
    const [bare, toned] = [
      { ...start, toner: 'none' },
      { ...start, toner: 'selenium' },
    ]
    expect([isTonedBy(kallitype, bare), isTonedBy(kallitype, toned)]).toEqual([false, true])
    expect(hazardsOf(kallitype, toned).length).toBeGreaterThan(hazardsOf(kallitype, bare).length)
    expect(hazardsOf(kallitype, bare).join()).toMatch(/silver/i)
    // Developing, clearing, fixing and washing take more than a quarter of an hour.
    expect(leastSecondsOf(kallitype, bare)).toBeGreaterThan(15 * 60)
    const hard = bySchools(USUAL_CONDITIONS, { ...start, contrast: 'dichromate' }, practiceSchools)
    expect(hard.contrast).toBeGreaterThan(1.2)
    expect(bySchools(USUAL_CONDITIONS, start, practiceSchools)).toEqual(USUAL_CONDITIONS)
  })

  it('are choices that the processes have', () => {
    for (const { choice, options } of practiceSchools) {
      const offered = practiceProcesses.flatMap(({ processId }) => processes[processId]?.choices ?? []).filter(({ id }) => id === choice) // prettier-ignore
      for (const option of options)
        expect(offered.some((one) => one.options.some(({ id }) => id === option))).toBe(true)
    }
  })
})
