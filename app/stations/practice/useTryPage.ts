import { computed, reactive } from 'vue'
import { useRoute } from 'vue-router'
import { usualCoverage } from '@core/coating/coverage'
import { CoreError } from '@core/errors'
import { isAcidTreated } from '@core/process/acidTreated'
import { startingChoices } from '@core/process/plan'
import { startingParts } from '@core/process/mixPlan'
import { costsOfMixes } from '@core/schedule/needs'
import { bySchools, hazardsOf, isTonedBy, leastSecondsOf } from '@core/simulate/practiceSchool'
import { bestDose, virtualSheet, workWell } from '@core/simulate/virtualPrint'
import {
  USUAL_CONDITIONS,
  USUAL_FILM,
  type SheetConditions,
  type SheetWork,
} from '@core/simulate/virtualProcess'
import { lightnessFromDensity } from '@core/tone/density'
import { practiceSchools } from '@library/practice'
import { substances } from '@library/index'
import { useLights } from '../../state/lights.store'
import { useMarginNotes } from '../../state/margin.store'
import { useTryPlan } from '../../state/tryPlan.store'
import { useWorkroom } from '../../state/workroom.store'
import { IRRADIANCE } from './usePractice'
import { usePracticeProcesses } from './usePracticeProcesses'
import { texts } from './words'

/** One way to make a print: its process and schools, and what differs from the usual. */
export interface Variant {
  name: string
  processId: string
  choices: Record<string, string>
  /** Exposure in stops from the best one of a usual sheet. */
  stops: number
  /** Sensitizer as percent of the usual. */
  coat: number
  humidity: number
  hasChalk: boolean
}

/** A tone that the eye just distinguishes from the black or the white, L*. */
const SEEN = 1
/** Choices that change neither the print nor its cost. */
const SET_ASIDE = ['subject', 'edges', 'outline', 'surface', 'exposure']
const [LEAST_STOPS, MOST_STOPS] = [-3, 3]

/** Two ways to make one print, side by side: from the plan of a sheet, where one was being planned. */
export function useTryPage() {
  const [workroom, lights, route, tried] = [useWorkroom(), useLights(), useRoute(), useTryPlan()]
  const { processOf, definitionOf, options, tuned } = usePracticeProcesses()
  const plan = tried.plan?.process.id === route.query.process ? tried.plan : null
  const processId = processOf(String(route.query.process ?? '')).processId

  /** The planned dose, mJ/cm²: as it is planned, or its time in the light of its lamp; `null` where neither is known. */
  function plannedDose(): number | null {
    if (plan?.millijoulesPerCm2 !== undefined) return plan.millijoulesPerCm2
    const light = lights.expectedNow(plan?.lightId)
    const isLamp = workroom.lights.some(({ id, kind }) => id === plan?.lightId && kind !== 'sun')
    return isLamp && light !== null && plan?.exposureSeconds ? light * plan.exposureSeconds : null
  }
  /** Stops of the planned dose from the best, to a tenth; 0 where no dose is known. */
  const dose = plannedDose()
  const plannedStops =
    dose === null
      ? 0
      : Math.round(10 * Math.log2(dose / bestDose(tuned(processOf(processId)), USUAL_CONDITIONS))) / 10
  const isWithin = plannedStops >= LEAST_STOPS && plannedStops <= MOST_STOPS
  const paper = workroom.papers.find(({ id }) => id === plan?.paperId)
  const hasChalk = paper?.buffered === 'yes' && !isAcidTreated(plan ?? {}, workroom.treatmentRuns, substances)
  const variant = (name: string, stops: number): Variant => ({
    name,
    processId,
    choices: { ...startingChoices(definitionOf(processId)), ...plan?.choices },
    stops: Math.max(LEAST_STOPS, Math.min(MOST_STOPS, Math.round(10 * stops) / 10)),
    coat: 100,
    humidity: 50,
    hasChalk,
  })
  const variants = reactive<Variant[]>([
    variant(plan ? 'As planned' : 'One way', plannedStops),
    variant('The other way', plannedStops + 0.5),
  ])
  /** Choices of a way that can be changed: those of its own process. */
  const choicesOf = (one: Variant) =>
    definitionOf(one.processId).choices.filter(({ id }) => !SET_ASIDE.includes(id))
  function changeProcess(one: Variant, id: string): void {
    one.processId = id
    one.choices = startingChoices(definitionOf(id))
  }
  function choose(one: Variant, choiceId: string, optionId: string): void {
    one.choices[choiceId] = optionId
    // A school of printing damp or dry moves the humidity, which can still be set.
    const before = USUAL_CONDITIONS.relativeHumidity
    const { relativeHumidity } = bySchools(USUAL_CONDITIONS, { [choiceId]: optionId }, practiceSchools)
    if (relativeHumidity !== before) one.humidity = relativeHumidity
  }

  const modelOf = (one: Variant) => tuned(processOf(one.processId))
  const conditionsOf = (one: Variant): SheetConditions => {
    const made = bySchools(USUAL_CONDITIONS, one.choices, practiceSchools)
    return {
      ...made,
      coverage: (made.coverage * one.coat) / 100,
      relativeHumidity: one.humidity,
      isBuffered: one.hasChalk,
    }
  }
  function workOf(one: Variant): SheetWork {
    const model = modelOf(one)
    const work = workWell(model, bestDose(model, USUAL_CONDITIONS) * 2 ** one.stops)
    return { ...work, toned: isTonedBy(definitionOf(one.processId), one.choices) ? 300 : null }
  }
  const question = (one: Variant) => ({
    film: USUAL_FILM,
    looks: [],
    process: modelOf(one),
    conditions: conditionsOf(one),
    work: workOf(one),
  })

  /** Cost of the coat at the plan's size, in the user's money; `null` where a price is missing. */
  function costOf(one: Variant): number | null {
    const definition = definitionOf(one.processId)
    const sheet = {
      widthMillimetres: plan?.widthMillimetres ?? 203,
      heightMillimetres: plan?.heightMillimetres ?? 254,
      coats: plan?.coats ?? 1,
      parts: startingParts(definition, one.choices),
      choices: one.choices,
      coverageMillilitresPerM2:
        plan?.coverageMillilitresPerM2 ?? usualCoverage('brush', definition.coverage).value,
      dropsPerMillilitre: plan?.dropsPerMillilitre ?? 20,
      bottles: {},
    }
    const shelf = { bottles: workroom.bottles, taken: workroom.taken, book: substances }
    try {
      const costs = costsOfMixes(definition, sheet, shelf)
      if (costs.includes(undefined) || !costs.length) return null
      return (costs.reduce<number>((sum, cost) => sum + (cost ?? 0), 0) * one.coat) / 100
    } catch (error) {
      // A coat that cannot be mixed from what is on the shelf has no price.
      if (!(error instanceof CoreError)) throw error
      return null
    }
  }

  /** Figures of each way: light, black and white, distinct tones; cost, time and cautions. */
  const figures = computed(() =>
    variants.map((one) => {
      const [sheet, work] = [virtualSheet(modelOf(one), conditionsOf(one)), workOf(one)]
      const row = Array.from({ length: 101 }, (_, i) =>
        lightnessFromDensity(sheet.densityAt((USUAL_FILM.range * i) / 100, work)),
      )
      const [black, white] = [row[0] ?? 0, row.at(-1) ?? 0]
      const distinct = row.filter((light) => light > black + SEEN && light < white - SEEN).length
      const definition = definitionOf(one.processId)
      const exposure = work.dose / IRRADIANCE
      return {
        exposure,
        black,
        white,
        distinct,
        cost: costOf(one),
        seconds: exposure + leastSecondsOf(definition, one.choices),
        hazards: hazardsOf(definition, one.choices),
      }
    }),
  )
  useMarginNotes(() => [
    { title: 'Only in numbers', lines: [texts.tryingIsNoRecord] },
    ...(plan && dose === null ? [{ title: 'Exposure', lines: [texts.noPlannedDose] }] : []),
    ...(plan && !isWithin
      ? [{ title: 'Exposure', lines: [texts.doseIsFarOff({ stops: plannedStops })] }]
      : []),
  ])
  return { options, variants, choicesOf, changeProcess, choose, question, figures, plan }
}

export type WayFigures = ReturnType<typeof useTryPage>['figures']['value'][number]
