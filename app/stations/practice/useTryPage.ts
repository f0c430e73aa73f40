import { computed, reactive, ref } from 'vue'
import { useRoute } from 'vue-router'
import { bestDose, virtualSheet } from '@core/simulate/virtualPrint'
import { USUAL_CONDITIONS, type SheetConditions, type SheetWork } from '@core/simulate/virtualProcess'
import { lightnessFromDensity } from '@core/tone/density'
import { practiceProcesses } from '@library/practice'
import { useMarginNotes } from '../../state/margin.store'
import { useWorkroom } from '../../state/workroom.store'
import { FILM_RANGE, IRRADIANCE } from './usePractice'
import { texts } from './words'

/** One way to make a print: what differs from the usual. */
export interface Variant {
  name: string
  /** Exposure in stops from the best one of a usual sheet. */
  stops: number
  /** Sensitizer as percent of the usual. */
  coat: number
  humidity: number
  hasChalk: boolean
}

const usual = (name: string, stops: number): Variant => ({
  name,
  stops,
  coat: 100,
  humidity: 50,
  hasChalk: false,
})

/** A tone that the eye just distinguishes from the black or the white, L*. */
const SEEN = 1

/** Two ways to make one print, side by side. */
export function useTryPage() {
  const [workroom, route] = [useWorkroom(), useRoute()]
  const asked = practiceProcesses.find(({ processId }) => processId === route.query.process)
  const processId = ref((asked ?? practiceProcesses[0])?.processId ?? '')
  const process = computed(() => practiceProcesses.find((one) => one.processId === processId.value) ?? null)
  const options = practiceProcesses.map((one) => ({
    id: one.processId,
    name: workroom.definitionOf(one.processId).name,
  }))
  const variants = reactive<Variant[]>([usual('One way', 0), usual('The other way', 0.5)])

  const conditionsOf = ({ coat, humidity, hasChalk }: Variant): SheetConditions => ({
    ...USUAL_CONDITIONS,
    coverage: coat / 100,
    relativeHumidity: humidity,
    isBuffered: hasChalk,
  })
  function workOf({ stops }: Variant): SheetWork {
    const of = process.value
    return {
      dose: of ? bestDose(of, USUAL_CONDITIONS) * 2 ** stops : 0,
      developed: 240,
      cleared: of ? 6 * of.clearSeconds.value : 0,
      fixed: of?.fix?.seconds.value ?? null,
      hoursDry: 48,
    }
  }
  const question = (variant: Variant) =>
    process.value && {
      filmRange: FILM_RANGE,
      process: process.value,
      conditions: conditionsOf(variant),
      work: workOf(variant),
    }
  /** What a way comes to: time under the practice light, black and white, and how much of the negative is distinct. */
  const figures = computed(() =>
    variants.map((variant) => {
      const of = process.value
      if (!of) return null
      const [sheet, work] = [virtualSheet(of, conditionsOf(variant)), workOf(variant)]
      const row = Array.from({ length: 101 }, (_, i) =>
        lightnessFromDensity(sheet.densityAt((FILM_RANGE * i) / 100, work)),
      )
      const [black, white] = [row[0] ?? 0, row.at(-1) ?? 0]
      const distinct = row.filter((one) => one > black + SEEN && one < white - SEEN).length
      return { seconds: work.dose / IRRADIANCE, black, white, distinct }
    }),
  )
  useMarginNotes(() => [{ title: 'Only in numbers', lines: [texts.tryingIsNoRecord] }])
  return { processId, options, variants, question, figures }
}
