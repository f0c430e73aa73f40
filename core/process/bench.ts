import type { BathDefinition, ComponentDefinition, ProcessDefinition } from '../schema/definition'
import { stepInHand, wordsIdOf, type RunState } from '../run/runState'
import { trayOf } from './trays'

/** One tray as it is on the bench, in the order of work; a solution that is used twice is one tray. */
export interface BenchTray {
  id: string
  title: string
  /** Steps of the process that are done in it. */
  stepIds: readonly string[]
  /** What is in it; `null` for water. */
  solution: BathDefinition | ComponentDefinition | null
  isLine: boolean
  leastSeconds?: number
}

interface Lying {
  state: RunState
  sheet: { choices: Readonly<Record<string, string>> }
}

/** The trays that these sheets of one process go through, left to right. */
export function benchOf(definition: ProcessDefinition, sheets: readonly Lying[]): BenchTray[] {
  const trays: (BenchTray & { stepIds: string[] })[] = []
  for (const step of definition.steps) {
    if (step.station !== 'wet' && step.kind !== 'hang') continue
    const goes = sheets.flatMap(({ state, sheet }) => {
      const planned = state.steps.find((one) => wordsIdOf(one.planned) === step.id)?.planned
      return planned ? [{ planned, choices: sheet.choices }] : []
    })
    const first = goes[0]
    if (!first) continue
    const solution = trayOf(definition, step, first.choices)
    const known = solution && trays.find((tray) => tray.solution?.id === solution.id)
    if (known) known.stepIds.push(step.id)
    else
      trays.push({
        id: solution?.id ?? step.id,
        title: step.title,
        stepIds: [step.id],
        solution,
        isLine: step.kind === 'hang',
        ...(first.planned.leastSeconds !== undefined && { leastSeconds: first.planned.leastSeconds }),
      })
  }
  return trays
}

/** Whether a sheet is in a tray: its step there has begun. */
export function liesIn(tray: BenchTray, state: RunState): boolean {
  const step = stepInHand(state)
  return step !== null && step.status !== 'waiting' && tray.stepIds.includes(wordsIdOf(step.planned))
}
