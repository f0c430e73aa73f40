import type { ProcessDefinition } from '../schema/definition'

/**
 * Stands in for a process that is not here, such as a copy that another workroom made: the sheet's own log still holds
 * its steps and times, only their words are missing.
 */
export const unknownProcess = (id: string): ProcessDefinition => ({
  id,
  version: 1,
  name: `Process “${id}”`,
  summary: 'This process is missing from the workroom. Its steps and times are in the sheet’s record.',
  mark: 'graphite',
  kind: 'process',
  components: [],
  mixes: [],
  baths: [],
  chalk: { bears: true, why: 'Not available.' },
  tools: [],
  choices: [],
  lights: [],
  steps: [],
  cautions: [],
  secondLooks: [],
  colours: {},
})
