import type { VirtualProcess } from '@core/simulate/virtualProcess'
import { gumOver } from './gum'
import { ironProcesses } from './iron'
import { silverProcesses } from './silver'

export { practiceFaults } from './faults'
export { practiceSchools } from './schools'
export { practiceSteps } from './steps'

/** Processes that can be practised, by the figures of a coat that does not exist but could. */
export const practiceProcesses: readonly VirtualProcess[] = [
  ...ironProcesses,
  ...silverProcesses,
  ...ironProcesses.filter(({ processId }) => processId === 'platinum-palladium').map(gumOver),
]
