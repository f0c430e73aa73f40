import { computed } from 'vue'
import { learnedCoverage, usualCoverage } from '@core/coating/coverage'
import { calibrateDropper } from '@core/coating/dropper'
import { ownCoats } from '@core/coating/ownCoats'
import type { ProcessDefinition, ToolName } from '@core/schema/definition'
import { useWorkroom } from './workroom.store'
import { usePreferences } from './preferences.store'

/** Coverage for a process and a tool: what one's own coats have taught, or where the trade starts. */
export function useCoverage(definition: () => ProcessDefinition, tool: () => ToolName) {
  const workroom = useWorkroom()
  return computed(() => {
    const learned = learnedCoverage(ownCoats(workroom.sheets, definition().id), tool())
    return learned ?? usualCoverage(tool(), definition().coverage)
  })
}

/** Drops to the millilitre: of the dropper that was weighed last, or the device's own figure. */
export function useDropper() {
  const [workroom, preferences] = [useWorkroom(), usePreferences()]
  return computed(() => {
    const latest = [...workroom.droppers].sort((a, b) => b.changedAt - a.changedAt)[0]
    if (!latest) return { name: null, dropsPerMillilitre: preferences.chosen.dropsPerMillilitre }
    const { dropsPerMillilitre } = calibrateDropper(latest.weighings, latest.gramsPerMillilitre)
    return { name: latest.name, dropsPerMillilitre: Math.round(dropsPerMillilitre.value * 100) / 100 }
  })
}
