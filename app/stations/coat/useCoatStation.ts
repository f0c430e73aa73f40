import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { lifeOf } from '@core/run/coatLife'
import { auditMix } from '@core/process/mixAudit'
import { checkUnder } from '@core/run/layers'
import { glassOf } from '@core/run/glass'
import { beginning, schoolStocks, stepsFor } from '@core/process/plan'
import { digits, formatSize, formatSpan } from '@core/quantity/format'
import { useNow } from '../../state/useNow'
import { useWorkroom } from '../../state/workroom.store'
import { useKeyRows } from '../../state/keys.store'
import { useNotice } from '../../state/notice.store'
import { momentSaid } from '../../words/moments'
import { usePreferences } from '../../state/preferences.store'
import { useBaths } from '../../state/baths.store'
import { useStation } from '../../state/useStation'
import { texts } from './words'
import { useCoatFinish } from './useCoatFinish'
import { useCoatNotes } from './useCoatNotes'
import { useBalance } from './useBalance'
import { useCoatRow } from './useCoatRow'
import { useCountedGlass } from './useCountedGlass'
import { useEditPlan } from './useEditPlan'
import { useWorkCard } from './useWorkCard'
import { arePlans, useLots, useMixPlans } from './useMixPlans'

/** Seconds matter in the first minute only. */
const wholeMinutes = (seconds: number) => (seconds < 60 ? Math.floor(seconds) : 60 * Math.floor(seconds / 60))

/** The sheet being coated: its mix, its clocks, and what the margin says of paper and room. */
export function useCoatStation() {
  const [router, workroom, baths, preferences, now, notice] = [
    useRouter(),
    useWorkroom(),
    useBaths(),
    usePreferences(),
    useNow(),
    useNotice(),
  ]
  const {
    here,
    inHand,
    step,
    stepWords,
    reading,
    hasMovedOn,
    placeTitle,
    record,
    undoLast,
    redoLast,
    mayRedo,
    move,
    follow,
    choose,
    leaveOut,
    row,
    leftOutOfPress,
    toggleInPress,
    takeOutOfRow,
  } = useStation('coat', (next) => baths.withBath(inHand.value, next))

  const definition = () => inHand.value?.definition ?? null
  const sheet = () => inHand.value?.sheet ?? null
  const lots = useLots(definition, sheet)
  const plans = useMixPlans(definition, sheet)
  const balance = useBalance(definition, sheet)
  /** Once drops fall, the hands are busy; before, the air of the room can still be changed. */
  const hasCounted = computed(() => Object.values(step.value?.drops ?? {}).some((count) => count > 0))
  const isCounting = computed(() => step.value?.planned.kind === 'count')
  /** The plan of the mix that is being counted. */
  const plan = computed(() =>
    arePlans(plans.value) ? (plans.value.find((one) => one.mix.id === stepWords.value?.mix) ?? null) : null,
  )
  const findings = computed(() => {
    if (!inHand.value || !arePlans(plans.value)) return []
    const stocks = schoolStocks(inHand.value.definition, inHand.value.sheet.choices)
    const asked = isCounting.value && plan.value ? [plan.value] : plans.value
    return asked.flatMap((one) => auditMix(one, stocks, now.now))
  })
  const { shownPlan, coverage, parts } = useCountedGlass({ definition, sheet, lots, plan, step })
  /** The glass that several sheets are coated from, and its age. */
  const glass = computed(() => {
    const { batch } = inHand.value?.sheet ?? {}
    const maker =
      batch &&
      workroom.everySheet.find((one) => one.sheet.batch?.id === batch.id && one.sheet.batch.place === 1)
    return maker ? glassOf(maker.state, maker.definition, now.now) : null
  })
  const glassSaid = computed(() => {
    const isAsked = !hasMovedOn.value && (!step.value || step.value.planned.kind === 'act')
    if (!glass.value || !isAsked) return ''
    const { ageSeconds, limitSeconds, isOld } = glass.value
    const said = { age: formatSpan(wholeMinutes(ageSeconds)), limit: formatSpan(limitSeconds) }
    return isOld ? texts.glassOld(said) : texts.glassAge(said)
  })
  /** The solution that the sheet is floated on or soaked in, if that is what is in hand. */
  const tray = computed(() => {
    const solution = inHand.value && !hasMovedOn.value ? baths.solutionOf(inHand.value, false) : null
    return solution && { id: solution.id, solution }
  })
  const isOthersGlass = computed(() => (inHand.value?.sheet.batch?.place ?? 1) > 1)

  const title = computed(() => {
    if (!inHand.value) return ''
    const { definition, sheet } = inHand.value
    if (hasMovedOn.value) return inHand.value.state.setAside ? 'Set aside' : 'Coated and dry'
    if (step.value && !isCounting.value) {
      const { coat } = step.value.planned
      const named = `${stepWords.value?.title ?? ''}${coat && sheet.coats > 1 ? `, coat ${coat} of ${sheet.coats}` : ''}`
      return step.value.status === 'waiting' ? `Next: ${named.toLowerCase()}` : named
    }
    const coats = sheet.coats === 1 ? 'one coat' : `${sheet.coats} coats`
    const many = sheet.batch && !isOthersGlass.value ? `, mix for ${sheet.batch.of} sheets` : ''
    return `${definition.name}, ${formatSize(sheet, { length: preferences.chosen.length, temperature: 'degC' })}, ${coats}${many}`
  })
  const bottleLabels = computed(() =>
    Object.fromEntries(
      (plan.value?.pours ?? []).map(({ component, from }) => [
        component.id,
        from
          .filter(({ lot }) => lot.bottleId)
          .map(
            ({ lot }) =>
              `${lot.name}, ${lot.solutes.map((one) => `${digits(one.percentWv)} %`).join(' + ')}${lot.isAssumed ? ' assumed' : ''}`,
          )
          .join(', then '),
      ]),
    ),
  )
  const swatch = computed(() => {
    const colours = inHand.value?.definition.colours ?? {}
    const isDry = hasMovedOn.value || step.value?.planned.kind === 'wait'
    return {
      colour: (isDry ? colours.dryCoat : colours.wetCoat) ?? '#cccc99',
      label: isDry ? 'Dry coat' : 'Wet coat',
    }
  })
  const paper = computed(() => workroom.papers.find((one) => one.id === inHand.value?.sheet.paperId))
  const offered = computed(() =>
    arePlans(plans.value) && plans.value.length === 1 ? (plans.value[0]?.offer ?? null) : null,
  )
  const dropsSaid = computed(() =>
    arePlans(plans.value)
      ? plans.value
          .map((one) =>
            one.pours
              .map(({ component }, i) => `${one.count.drops[i]} drops of ${component.name.toLowerCase()}`)
              .join(', '),
          )
          .join('; ')
      : '',
  )
  const firstStep = computed(() =>
    inHand.value ? stepsFor(inHand.value.definition, inHand.value.sheet.choices)[0] : undefined,
  )
  const beginWords = computed(() =>
    isOthersGlass.value || firstStep.value?.kind !== 'count' ? 'Start' : 'Start counting drops',
  )

  /** Begins with the drops that were worked out, or with the slightly larger count that was offered. */
  async function begin(drops?: readonly number[]): Promise<void> {
    if (!inHand.value || !arePlans(plans.value)) return
    const { definition, sheet } = inHand.value
    if (sheet.over !== undefined) {
      try {
        checkUnder(workroom.find(sheet.over)?.state, Date.now())
      } catch (error) {
        notice.refuse(error, 'this layer')
        return
      }
    }
    const counts = Object.fromEntries(plans.value.map((one) => [one.mix.id, drops ?? one.count.drops]))
    await record(beginning(definition, sheet, counts, paper.value?.gramsPerM2))
  }
  const { finishWords, finish, finishAsPlanned } = useCoatFinish({
    inHand,
    step,
    stepWords,
    plan,
    lots,
    record,
    move,
  })
  const startOrFinish = () => (step.value?.status === 'waiting' ? move() : finish())
  const stepTarget = computed(() =>
    step.value?.status === 'waiting' ? (stepWords.value?.press.start ?? '') : finishWords.value,
  )

  /** A coat that dries by itself, which a hair dryer may help. */
  const isDrying = computed(() => {
    const before = inHand.value?.state.steps[inHand.value.state.current - 1]
    return (
      step.value?.status === 'running' &&
      step.value.planned.kind === 'wait' &&
      before?.planned.kind !== 'wait'
    )
  })
  const driedByHairDryer = () =>
    step.value && record({ type: 'stepFinished', step: step.value.planned.id, byHairDryer: true })

  const { nextOfRow, nextOfRowWords, coatNextOfRow } = useCoatRow({ inHand, step, glass, finish, choose })

  /** The coat that was laid last and may be judged: the one in hand, while it dries. */
  const coatLaid = computed(() =>
    step.value?.planned.kind === 'wait' || hasMovedOn.value
      ? (inHand.value?.state.steps.findLast((one) => one.planned.coat && one.finishedAt)?.planned.coat ??
        null)
      : null,
  )
  const life = computed(() => (inHand.value ? lifeOf(inHand.value.state) : null))
  const lifeWords = computed(() => {
    if (!life.value) return ''
    const { notBefore, bestUntil, notAfter } = life.value
    return [
      notBefore && `not before ${momentSaid(notBefore, now.now)}`,
      bestUntil && `best until ${momentSaid(bestUntil, now.now)}`,
      notAfter && `not after ${momentSaid(notAfter, now.now)}`,
    ]
      .filter(Boolean)
      .join(', ')
  })

  useKeyRows('Coat', () => [
    ...(hasMovedOn.value ? [{ key: ' ', name: `Go to ${placeTitle.value}`, run: follow }] : []),
    ...(inHand.value && !inHand.value.state.begunAt
      ? [{ key: ' ', name: beginWords.value, run: () => void begin() }]
      : []),
    ...(step.value && !isCounting.value && !hasMovedOn.value
      ? [{ key: ' ', name: stepTarget.value, run: () => void startOrFinish() }]
      : []),
    ...(nextOfRow.value ? [{ key: 'g', name: nextOfRowWords.value, run: () => void coatNextOfRow() }] : []),
    ...(isDrying.value
      ? [{ key: 'h', name: 'Dried with a hair dryer', run: () => void driedByHairDryer() }]
      : []),
    ...(inHand.value ? [{ key: 'u', name: 'Undo the last step', run: () => void undoLast() }] : []),
    ...(mayRedo.value ? [{ key: 'y', name: 'Redo', run: () => void redoLast() }] : []),
  ])
  const { mayEditPlan, editPlan } = useEditPlan(inHand, undoLast)
  const { saveWorkCard } = useWorkCard(inHand, plans)
  useCoatNotes({ inHand, step, stepWords, firstStep, hasMovedOn, isCounting, paper })
  return {
    router,
    here,
    inHand,
    step,
    stepWords,
    reading,
    hasMovedOn,
    placeTitle,
    record,
    undoLast,
    redoLast,
    mayRedo,
    follow,
    saveWorkCard,
    mayEditPlan,
    editPlan,
    choose,
    plans,
    balance,
    isCounting,
    hasCounted,
    plan,
    findings,
    isOthersGlass,
    shownPlan,
    coverage,
    parts,
    glassSaid,
    tray,
    title,
    bottleLabels,
    swatch,
    offered,
    dropsSaid,
    beginWords,
    begin,
    finishWords,
    finish,
    finishAsPlanned,
    startOrFinish,
    stepTarget,
    nextOfRow,
    nextOfRowWords,
    coatNextOfRow,
    isDrying,
    driedByHairDryer,
    leaveOut,
    row,
    leftOutOfPress,
    toggleInPress,
    takeOutOfRow,
    coatLaid,
    lifeWords,
    paper,
  }
}
