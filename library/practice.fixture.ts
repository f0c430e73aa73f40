import { traitsOf } from '@core/judge/traits'
import { startingChoices } from '@core/process/plan'
import { faultsFor, type PracticeFault } from '@core/simulate/practiceFault'
import { faults } from './faults'
import { practiceFaults } from './practice'
import { processes } from './index'

/** Faults that a practice print of a process can have. */
export function faultsOf(processId: string): PracticeFault[] {
  const definition = processes[processId]
  if (!definition) throw new Error(`no process ${processId}`)
  const choices = { ...startingChoices(definition), subject: 'negative' }
  return faultsFor(practiceFaults, faults, traitsOf(definition, { choices }, { kind: 'uvBox' }))
}
