import { computed } from 'vue'
import { isAcidTreated } from '@core/process/acidTreated'
import { costOfSession, lampsToLight, needsInTime, papersToTreat } from '@core/schedule/needs'
import { preparationsFor } from '@core/schedule/preparation'
import { shoppingList } from '@core/shelf/readiness'
import type { DayPlan } from '@core/schema/plan'
import { substances } from '@library/index'
import { useNow } from '../../state/useNow'
import { useWorkroom } from '../../state/workroom.store'
import { bathsForTray } from '@core/process/baths'
import { useBaths } from '../../state/baths.store'
import { usePlan } from '../../state/plan.store'

/** What a plan asks for: solutions and when to make them, paper to treat, what to buy, what it costs. */
export function usePreparations(plan: () => DayPlan | null) {
  const [workroom, now, plans, baths] = [useWorkroom(), useNow(), usePlan(), useBaths()]
  const minute = computed(() => Math.floor(now.now / 60_000) * 60_000)
  return computed(() => {
    const found = plan()
    if (!found) return null
    const sheets = plans.sheetsOf(found.sheetIds)
    const shelf = { bottles: workroom.bottles, taken: workroom.taken, book: substances }
    const stands = (id: string, solutes: Parameters<typeof bathsForTray>[2]) => {
      const [bath] = bathsForTray(baths.all, id, solutes)
      const verdict = bath && baths.standingOf(bath)?.verdict
      return verdict != null && !['used', 'spent', 'old'].includes(verdict)
    }
    const needs = needsInTime(sheets, found.moves, { ...shelf, now: minute.value }, stands)
    const papers = papersToTreat(sheets, found.moves, workroom.papers, (sheet) =>
      isAcidTreated(sheet, workroom.treatmentRuns, substances),
    )
    return {
      list: preparationsFor(needs, papers, lampsToLight(sheets, found.moves, workroom.lights)),
      shopping: shoppingList(needs, workroom.bottles, workroom.taken, substances).filter(
        (line) => line.grams > line.haveGrams,
      ),
      cost: costOfSession(sheets, shelf),
    }
  })
}
