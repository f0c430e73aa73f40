import { waysOf } from '@core/fixtures/ways'
import { orderFindings } from '@core/process/orderRules'
import { startingChoices, stepsFor } from '@core/process/plan'
import { slipsOf } from '@core/run/timing'
import { trayOf } from '@core/process/trays'
import { bathCondition } from '@core/process/baths'
import { PRINT_SQUARE_METRES } from '@core/process/bathCapacity'
import { leastTime } from '@core/process/stepTimes'
import { emptyRun, type RunState } from '@core/run/runState'
import type { ProcessDefinition } from '@core/schema/definition'
import { incompatibilities, processes, substances } from './index'

const findings = (definition: ProcessDefinition, choices: Record<string, string>) =>
  orderFindings(definition, choices, substances, incompatibilities)
const all = Object.values(processes)

describe.each(all)('the wet side of $name', (definition) => {
  it('breaks no rule of order, whatever is chosen', () => {
    for (const choices of waysOf(definition))
      expect([choices, findings(definition, choices)]).toEqual([choices, []])
  })

  it('has a solution in every tray that holds one, and says how far it goes', () => {
    for (const choices of waysOf(definition))
      for (const step of stepsFor(definition, choices).filter(
        (one) => one.station === 'wet' && (one.tray || one.trays),
      )) {
        const tray = trayOf(definition, step, choices)
        expect([step.id, tray?.stock.solutes.length]).toEqual([step.id, expect.any(Number)])
        expect([step.id, tray && 'use' in tray && tray.use?.source]).toEqual([
          step.id,
          expect.stringMatching(/\w/),
        ])
      }
  })

  it('ends on the line', () => {
    for (const choices of waysOf(definition)) {
      const steps = stepsFor(definition, choices)
      const hang = steps.findIndex((step) => step.kind === 'hang')
      expect(hang).toBeGreaterThan(0)
      expect(steps.slice(hang + 1).map((step) => step.station)).toEqual(
        steps.slice(hang + 1).map(() => 'line'),
      )
    }
  })
})

describe('rules of order', () => {
  const kallitype = processes.kallitype as ProcessDefinition
  const gold = processes['gold-platinum'] as ProcessDefinition
  const salted = processes['salted-paper'] as ProcessDefinition
  const gum = processes['gum-over'] as ProcessDefinition
  const without = (definition: ProcessDefinition, ...ids: string[]): ProcessDefinition => ({
    ...definition,
    steps: definition.steps.filter((step) => !ids.includes(step.id)),
  })
  const codes = (definition: ProcessDefinition, changes: Record<string, string> = {}) =>
    findings(definition, { ...startingChoices(definition), ...changes }).map((one) => one.code)

  // Facts of the trade, common practice: acid after sulfite or hypo gives off sulfur dioxide.
  it('want a wash between sulfite and acid', () => {
    expect(codes(without(gold, 'wash-1'))).toContain('must-not-meet')
    expect(findings(without(gold, 'wash-1'), startingChoices(gold))[0]).toMatchObject({
      stepId: 'acid-1',
      problem: expect.stringMatching(/sulfur dioxide/),
      remedy: expect.stringMatching(/Wash/),
    })
  })
  it('want a rinse between acid and an alkaline fixer', () =>
    expect(codes(without(kallitype, 'rinse-clear', 'rinse-tone'), { toner: 'none' })).toContain(
      'must-not-meet',
    ))
  it('want the silver washed out before gold', () => {
    expect(codes(without(salted, 'wash'))).toContain('silver-before-gold')
    expect(codes(without(salted, 'wash'), { toner: 'none' })).toEqual([])
  })
  it('want the whites cleared before a toner', () => {
    const early: ProcessDefinition = {
      ...kallitype,
      steps: [...kallitype.steps].sort((a, b) => Number(b.role === 'tone') - Number(a.role === 'tone')),
    }
    expect(codes(early)).toContain('tone-before-clear')
  })
  it('want the first water of a dichromate kept', () => {
    const poured = { ...gum, steps: gum.steps.map((step) => ({ ...step, isKept: undefined })) }
    expect(codes(poured)).toEqual(['first-water-not-kept'])
  })
  it('have toners before or after the fixer, as the school has it', () => {
    const order = (toned: string) =>
      stepsFor(kallitype, { ...startingChoices(kallitype), toner: 'gold', toned })
        .map((step) => step.role)
        .filter((role) => role === 'tone' || role === 'fix')
    expect([order('before'), order('after')]).toEqual([
      ['tone', 'fix'],
      ['fix', 'tone'],
    ])
  })
})

describe('figures of practice', () => {
  it('replenish the citrate with 200 ml every 8 to 10 prints', () => {
    const bath = processes.kallitype?.baths.find((one) => one.id === 'citrate')
    expect(bath?.use?.replenish).toMatchObject({ millilitres: 200, afterPrints: 8, atMostPrints: 10 })
    const record = {
      id: '', processId: 'kallitype', bath: 'citrate', name: 'Citrate', contents: [], millilitres: 1000, madeAt: 0,
      manner: 'reused' as const, replenished: [], filtered: [], note: '', changedAt: 0,
    } // prettier-ignore
    const passes = (n: number) =>
      Array.from({ length: n }, (_, i) => ({ sheetId: '', at: i, squareMetres: PRINT_SQUARE_METRES }))
    const verdict = (n: number) => bathCondition(record, bath?.use, passes(n), undefined, 100).verdict
    expect([7, 8, 10].map(verdict)).toEqual(['serves', 'replenishSoon', 'replenish'])
  })

  it('blame the paper when a kallitype has not cleared in six minutes', () => {
    const definition = processes.kallitype as ProcessDefinition
    const planned = {
      id: 'clear',
      station: 'wet',
      place: 'water',
      kind: 'bath',
      begins: 'press',
      leastSeconds: 120,
      mostSeconds: 300,
    } as const
    const state = (seconds: number): RunState => ({
      ...emptyRun(''),
      begunAt: 0,
      current: 1,
      steps: [
        {
          planned,
          status: 'done',
          startedAt: 0,
          finishedAt: seconds * 1000,
          holds: [],
          drops: {},
          waters: [],
          changes: [],
          drawn: [],
        },
      ],
    })
    expect(slipsOf(state(330), definition, 1e9)).toEqual([])
    expect(slipsOf(state(400), definition, 1e9)[0]).toMatchObject({ blames: 'paper' })
  })

  it('wash Van Dyke browns 30 min on heavy rag and 5 min on thin sheets', () => {
    const wash = processes['van-dyke']?.steps.find((step) => step.id === 'final-wash')
    const minutes = (grams: number) => (wash ? (leastTime(wash, grams)?.value ?? 0) / 60 : null)
    expect([minutes(300), minutes(60)]).toEqual([30, 5])
  })

  it('fix gold-platinum’s baths in their order, with water between', () => {
    const definition = processes['gold-platinum'] as ProcessDefinition
    const wet = stepsFor(definition, startingChoices(definition)).filter((step) => step.station === 'wet')
    expect(wet.map((step) => [step.id, (step.time?.leastSeconds ?? 0) / 60])).toEqual([
      ['sulfite', 10], ['wash-1', 5], ['acid-1', 15], ['wash-2', 2], ['acid-2', 15], ['wash-3', 2], ['edta-1', 10],
      ['wash-4', 5], ['edta-2', 10], ['final-wash', 30],
    ]) // prettier-ignore
  })
})
