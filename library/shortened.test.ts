import { waysOf } from '@core/fixtures/ways'
import { logOf, SHEET } from '@core/fixtures/logs'
import { outlineOf } from '@core/process/plan'
import { advance } from '@core/run/run'
import { emptyRun, stepInHand, type RunState } from '@core/run/runState'
import { nextMove } from '@core/run/nextMove'
import type { PlannedStep, SheetEvent } from '@core/schema/event'
import type { ProcessDefinition } from '@core/schema/definition'
import { processes } from './index'

// What is cut short at the wet side is made up for by a later step, at once, in every process and every way through it.

const MINUTE = 60
const stepsOf = (definition: ProcessDefinition, choices: Record<string, string>) =>
  outlineOf(definition, { choices, coats: 1, exposureSeconds: 600 }, 300)

/** The sheet after it has come to the end of its baths; one of them is left after ten seconds. */
function walked(steps: PlannedStep[], hasty: string): RunState {
  const event = (state: RunState, what: object, seconds: number) =>
    ({ ...logOf([[seconds, what as never]])[0], index: state.length }) as SheetEvent
  let state = emptyRun(SHEET)
  let seconds = 0
  state = advance(state, event(state, { type: 'begun', steps, looks: [] }, 0))
  for (let step = stepInHand(state); step && step.planned.kind !== 'hang'; step = stepInHand(state)) {
    if (step.status === 'running') seconds += step.planned.id === hasty ? 10 : 10_000
    const move = nextMove(state, logOf([[seconds, { type: 'noted', text: '' }]])[0]!.at)
    state = advance(state, event(state, move ?? {}, ++seconds))
  }
  return state
}

const ways = Object.values(processes).flatMap((definition) =>
  waysOf(definition).map((choices) => ({ definition, choices, steps: stepsOf(definition, choices) })),
)

it('makes the final wash the long one where hypo clear was short, wherever there is hypo clear', () => {
  const cleared = ways.filter(({ steps }) => steps.some(({ id }) => id === 'hypo-clear'))
  expect(new Set(cleared.map(({ definition }) => definition.id))).toEqual(
    new Set(['salted-paper', 'albumen-type', 'kallitype']),
  )
  for (const { steps } of cleared) {
    const washOf = (state: RunState) => state.steps.find(({ planned }) => planned.id === 'final-wash')!
    const planned = steps.find(({ id }) => id === 'final-wash')!.leastSeconds!
    expect(washOf(walked(steps, 'nothing')).planned.leastSeconds).toBe(planned)
    const long = washOf(walked(steps, 'hypo-clear'))
    // Common practice: thirty minutes of washing without a clearing agent, and never as little as with one.
    expect(long.planned.leastSeconds).toBeGreaterThanOrEqual(30 * MINUTE)
    expect(long.planned.leastSeconds).toBeGreaterThan(planned)
    expect(long.lengthenedBy).toBe('hypo-clear')
  }
})

it('lets the second of two equal baths make up for the first, in every way of every process', () => {
  const found = new Set<string>()
  for (const { definition, choices, steps } of ways)
    for (const step of steps) {
      const again = steps.find(({ id }) => isAgain(definition, step.id, id))
      if (!again) continue
      found.add(`${definition.id}/${step.id}`)
      const state = walked(steps, step.id)
      const made = state.steps.find(({ planned }) => planned.id === again.id)!
      expect([definition.id, choices, step.id, made.lengthenedBy]).toEqual([definition.id, choices, step.id, step.id])
      expect(made.planned.leastSeconds! - again.leastSeconds!).toBeGreaterThan(0.9 * step.leastSeconds! - 11)
    }
  expect([...found].sort()).toEqual([
    'albumen-type/fix',
    'gold-platinum/acid-1',
    'gold-platinum/edta-1',
    'iron-silver/fix',
    'platinum-palladium/clear-1',
    'platinum-palladium/clear-2',
    'salted-paper/fix',
    'van-dyke/fix',
  ])
}) // prettier-ignore

/** Whether one bath is the other once more: the same tray, or the next of its kind, as `citric` and `citric-2`. */
function isAgain(definition: ProcessDefinition, first: string, second: string): boolean {
  const at = (id: string) => definition.steps.findIndex((step) => step.id === id)
  const [one, other] = [definition.steps[at(first)], definition.steps[at(second)]]
  if (!one?.tray || !other?.tray || at(second) <= at(first)) return false
  const kind = (tray: string) => tray.replace(/-\d$/, '')
  return one.kind === 'bath' && kind(one.tray) === kind(other.tray)
}

it('names a later step, which the way has, wherever something is made up for', () => {
  for (const { definition, steps } of ways)
    for (const [index, { id, ifShort }] of steps.entries())
      if (ifShort)
        expect([definition.id, id, steps.findIndex((one) => one.id === ifShort.lengthens) > index]).toEqual([definition.id, id, true])
}) // prettier-ignore
