import { computed } from 'vue'
import type { VirtualProcess } from '@core/simulate/virtualProcess'
import { practiceProcesses } from '@library/practice'
import { useWorkroom } from '../../state/workroom.store'
import { useTuning } from './tuning.store'

/** Processes that can be practised, with the real ones that they are of. */
export function usePracticeProcesses() {
  const [workroom, tuning] = [useWorkroom(), useTuning()]
  const [first] = practiceProcesses
  if (!first) throw new Error('no process to practise')
  const processOf = (id: string): VirtualProcess =>
    practiceProcesses.find(({ processId }) => processId === id) ?? first
  const definitionOf = (id: string) => workroom.definitionOf(processOf(id).processId)
  const options = computed(() =>
    practiceProcesses.map(({ processId }) => ({
      id: processId,
      name: workroom.definitionOf(processId).name,
    })),
  )
  /** The process as the workroom's own prints have shown it to be. */
  const tuned = (process: VirtualProcess): VirtualProcess => tuning.applied(process)
  return { processOf, definitionOf, options, tuned }
}
