import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { z } from 'zod'
import { realPrintsOf, tunedProcess, tuningFrom, type ModelTuning } from '@core/simulate/tuning'
import type { VirtualProcess } from '@core/simulate/virtualProcess'
import { practiceProcesses } from '@library/practice'
import { useLights } from '../../state/lights.store'
import { useWorkroom } from '../../state/workroom.store'

/** Kept on this device, apart from the records: no archive holds it. */
const KEY = 'ember-sheet-practice-model'
const Kept = z.record(
  z.string(),
  z.object({
    doseTimes: z.number().gt(0),
    black: z.number().nullable(),
    ids: z.array(z.string()),
  }),
)

function load(): Record<string, ModelTuning> {
  try {
    return Kept.parse(JSON.parse(localStorage.getItem(KEY) ?? '{}'))
  } catch {
    return {}
  }
}

/** Practice models as the workroom's own judged prints have shown them to be: used only when asked for, and undone. */
export const useTuning = defineStore('tuning', () => {
  const [workroom, lights] = [useWorkroom(), useLights()]
  const kept = ref(load())
  function save(): void {
    try {
      localStorage.setItem(KEY, JSON.stringify(kept.value))
    } catch {
      // Where nothing can be kept, it holds until the app is closed.
    }
  }
  /** What the judged prints of each process say now. */
  const found = computed(() =>
    practiceProcesses.map((process) => {
      const prints = realPrintsOf(process.processId, workroom.everySheet, lights.bases, lights.history)
      return { process, prints, tuning: tuningFrom(process, prints) }
    }),
  )
  const usedFor = (processId: string): ModelTuning | null => kept.value[processId] ?? null
  const applied = (process: VirtualProcess) => tunedProcess(process, usedFor(process.processId))
  /** Uses a tuning, or the app's own figures again. @returns what undoes it. */
  function use(processId: string, tuning: ModelTuning | null): () => void {
    const before = kept.value
    const others = Object.fromEntries(Object.entries(before).filter(([id]) => id !== processId))
    kept.value = tuning ? { ...others, [processId]: tuning } : others
    save()
    return () => {
      kept.value = before
      save()
    }
  }
  return { found, usedFor, applied, use }
})
