import { parsePaperWeight } from '@core/paper/weight'
import { computed, watch } from 'vue'
import { holdsStock, leftIn } from '@core/chemistry/lots'
import { partsOf, mixesFor } from '@core/process/mixPlan'
import { schoolStocks, stepsFor } from '@core/process/plan'
import { leastTime } from '@core/process/stepTimes'
import { digits, formatSize } from '@core/quantity/format'
import { needsOf } from '@core/shelf/readiness'
import { isShort } from '@core/shelf/toMake'
import { HANDWORK, substances, tools } from '@library/index'
import { useWorkroom } from '../../state/workroom.store'
import { useMarginNotes } from '../../state/margin.store'
import { usePreferences } from '../../state/preferences.store'
import { isJudgement } from '@core/judge/repeat'
import { repeatLine } from '../../words/repeatWords'
import { layerNotes } from './layerNotes'
import { isAcidTreated } from '@core/process/acidTreated'
import { planNotes } from '../../words/planNotes'
import { paperNotes } from '../../words/paperNotes'
import { spectrumNotes } from '../../words/spectrumNotes'
import { waterNotes } from '../../words/waterNotes'
import { useBalance } from './useBalance'
import { arePlans, useMixPlans } from './useMixPlans'
import { paperNamed, paperNames } from './paperNames'
import { texts } from './words'
import { numberOrNull } from '@core/quantity/number'
import { useSheetForm } from './useSheetForm'

/** From so many sheets on, several people work at once. */
const A_CLASS = 8
const CLASS_NOTE = { title: 'Many sheets at once', lines: [texts.manySheets] }

/** The form of a new sheet: what follows from what is typed, and the notes beside it. */
export function useBeginSheet() {
  const [workroom, preferences] = [useWorkroom(), usePreferences()]
  const {
    changing,
    under,
    again,
    tested,
    processId,
    definition,
    draft,
    faults,
    figured,
    coverage,
    dropper,
    light,
    exposure,
    fromBase,
    exposureNote,
    wasKept,
    startOver,
    save,
  } = useSheetForm()

  const plans = useMixPlans(
    () => definition.value,
    () => figured.value,
  )
  const balance = useBalance(
    () => definition.value,
    () => figured.value,
  )
  /** What the sheet takes and the shelf has too little of. */
  const needs = computed(() =>
    figured.value && arePlans(plans.value)
      ? needsOf(definition.value, {
          input: figured.value,
          bottles: workroom.bottles,
          taken: workroom.taken,
          book: substances,
          now: Date.now(),
        }).filter(isShort)
      : [],
  )
  const processOptions = computed(() =>
    workroom.allProcesses.map((one) => ({ id: one.id, name: one.copyOf ? `${one.name} (yours)` : one.name })),
  )
  /** Lights by their own names, then kinds of which there may be another. */
  const lightOptions = computed(() => [
    ...workroom.lights.map((one) => ({ id: one.id, name: one.name })),
    ...definition.value.lights
      .filter((range) => !workroom.lights.some((one) => one.name === range.name))
      .map((range) => {
        const isOwned = workroom.lights.some((one) => one.kind === range.kind)
        return { id: range.kind, name: isOwned ? `another ${range.name}` : range.name }
      }),
  ])
  const isHabit = (id: string) => HANDWORK.some((one) => one === id)
  const mainChoices = computed(() => definition.value.choices.filter(({ id }) => !isHabit(id)))
  /** Choices that change the handwork and no chemistry: they are asked with the seldom settings. */
  const habits = computed(() => definition.value.choices.filter(({ id }) => isHabit(id)))
  const toolOptions = computed(() => definition.value.tools.map((id) => ({ id, name: tools[id].name })))
  /** Torn pieces that no sheet has taken yet. */
  const pieceOptions = computed(() => {
    const used = new Set(workroom.everySheet.map((one) => one.sheet.pieceId))
    const free = workroom.pieces.filter((one) => !one.goneAt && !used.has(one.id))
    const papers = new Map(workroom.papers.map((paper) => [paper.id, paper.name]))
    return free.map((one) => ({
      id: one.id,
      name: `${one.label}, ${papers.get(one.paperId) ?? ''} ${formatSize(one, { length: preferences.chosen.length, temperature: 'degC' })}`,
    }))
  })
  watch(
    () => draft.value.pieceId,
    (id) => {
      const piece = workroom.pieces.find((one) => one.id === id)
      const paper = workroom.papers.find((one) => one.id === piece?.paperId)
      if (paper) draft.value.paperName = paper.name
    },
  )
  const papers = computed(() => paperNames(workroom.papers))
  const paper = computed(() => paperNamed(draft.value.paperName, workroom.papers))
  /** The paper of this name in the drawer. */
  const known = computed(() => workroom.papers.find(({ name }) => name === draft.value.paperName.trim()))
  const weight = computed(() => {
    try {
      return parsePaperWeight(draft.value.paperWeight)
    } catch {
      return paper.value?.gramsPerM2
    }
  })
  const wash = computed(() => {
    const step = stepsFor(definition.value, draft.value.choices).find((one) => one.heavyPaper)
    return step ? leastTime(step, weight.value) : null
  })
  watch(
    () => draft.value.paperName,
    () => {
      if (paper.value?.gramsPerM2) draft.value.paperWeight = String(paper.value.gramsPerM2)
    },
  )
  /** With its spread, once one's own coats tell it. */
  const coverageText = computed(() => {
    const { value, uncertainty, unit } = coverage.value
    return `${digits(value)}${uncertainty ? ` ± ${digits(uncertainty, 2)}` : ''}\u00a0${unit}`
  })
  const mixes = computed(() =>
    mixesFor(definition.value, draft.value.choices).map((mix) => ({
      mix,
      parts: partsOf(definition.value, mix, draft.value.choices),
    })),
  )
  const components = computed(() => [
    ...new Set(mixes.value.flatMap(({ parts }) => parts.map((part) => part.component))),
  ])
  const stocks = computed(() => schoolStocks(definition.value, draft.value.choices))
  const bottleOptions = (component: string) =>
    workroom.bottles
      .filter((one) => !one.ended && holdsStock(one, stocks.value[component] ?? []))
      .filter((one) => leftIn(one, workroom.taken) !== 0)
      .map((one) => one.label)

  useMarginNotes(() => [
    ...(tested
      ? [
          {
            title: `One thing changed: ${tested.name.toLowerCase()}`,
            lines: [tested.doing],
            tone: 'caution' as const,
          },
        ]
      : []),
    ...(again.value
      ? [
          {
            title: 'Printing again',
            lines: [
              ...again.value.notices.map(repeatLine),
              ...(again.value.notices.every((one) => isJudgement(one))
                ? ['All its materials are still available.']
                : []),
            ],
          },
        ]
      : []),
    ...(under.value ? layerNotes(workroom.find(under.value.id)?.state) : []),
    ...((numberOrNull(draft.value.sheets) ?? 1) >= A_CLASS ? [CLASS_NOTE] : []),
    ...waterNotes(definition.value, { choices: draft.value.choices }, null, preferences.chosen.water),
    ...paperNotes(definition.value, draft.value.choices, known.value),
    ...spectrumNotes(definition.value, draft.value.choices, light.value),
    ...planNotes(
      definition.value,
      draft.value.choices,
      paper.value?.buffered,
      isAcidTreated(
        {
          pieceId: draft.value.pieceId || undefined,
          paperId: paper.value && 'id' in paper.value ? paper.value.id : undefined,
        },
        workroom.treatmentRuns,
        substances,
      ),
    ),
  ])
  return {
    workroom,
    preferences,
    changing,
    under,
    processId,
    definition,
    mainChoices,
    habits,
    draft,
    faults,
    coverage,
    dropper,
    light,
    exposure,
    fromBase,
    exposureNote,
    wasKept,
    startOver,
    needs,
    save,
    plans,
    balance,
    processOptions,
    lightOptions,
    toolOptions,
    papers,
    pieceOptions,
    wash,
    coverageText,
    mixes,
    components,
    bottleOptions,
  }
}
