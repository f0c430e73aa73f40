import type { ComputedRef } from 'vue'
import { workCard } from '@core/process/workCard'
import type { MixPlan } from '@core/process/mixPlan'
import type { Refusal } from '@core/errors'
import { substances } from '@library/index'
import { useNotice } from '../../state/notice.store'
import { usePreferences } from '../../state/preferences.store'
import { saveFile } from '../../state/saveFile'
import { useWorkroom, type SheetInRoom } from '../../state/workroom.store'
import { arePlans } from './useMixPlans'

/** The work card of the sheet in hand as a PDF. The PDF writer is fetched when it is first asked for. */
export function useWorkCard(
  inHand: ComputedRef<SheetInRoom | null>,
  plans: ComputedRef<MixPlan[] | Refusal>,
) {
  const [workroom, preferences, notice] = [useWorkroom(), usePreferences(), useNotice()]
  async function saveWorkCard(): Promise<void> {
    if (!inHand.value) return
    const { definition, sheet } = inHand.value
    try {
      const { workCardPdf } = await import('./workCardPdf')
      const card = workCard(
        {
          definition,
          sheet,
          plans: arePlans(plans.value) ? plans.value : [],
          paper: workroom.papers.find(({ id }) => id === sheet.paperId),
          lightName: workroom.lights.find(({ id }) => id === sheet.lightId)?.name,
          units: { length: preferences.chosen.length, temperature: 'degC' },
        },
        substances,
      )
      saveFile(await workCardPdf(card), `work-card-${definition.id}.pdf`)
    } catch (error) {
      notice.refuse(error, 'the work card')
    }
  }
  return { saveWorkCard }
}
