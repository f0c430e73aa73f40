import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { isOver } from '@core/run/nextMove'
import { changeExposure } from '@core/light/exposureChange'
import { exposureShare, plannedExposure } from '@core/light/plannedExposure'
import { printDeeper } from '@core/light/deeper'
import { doseSeconds, STEADY, trendOf } from '@core/run/dose'
import { timeOfDay } from '../../words/moments'
import { texts } from './words'
import { digits, formatSpan } from '@core/quantity/format'
import { askToNotify, canAskToNotify } from '../../state/notifications'
import { useNotice } from '../../state/notice.store'
import { usePreferences } from '../../state/preferences.store'
import { useNow } from '../../state/useNow'
import { useWorkroom } from '../../state/workroom.store'
import { useKeyRows } from '../../state/keys.store'
import { useMarginNotes } from '../../state/margin.store'
import { stepNotes } from '../../words/stepNotes'
import { useStation } from '../../state/useStation'
import { exposureNotes } from './exposureNotes'
import { useLights } from '../../state/lights.store'
import { spectrumNotes } from '../../words/spectrumNotes'
import { COUNTED_BY, doseText, irradianceText } from './lightWords'
import { useDoseClock } from './useDoseClock'

/** The sheet under the light: its exposure, dose and looks, and what the margin says. */
export function useLightStation() {
  const [router, workroom, now] = [useRouter(), useWorkroom(), useNow()]
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
  } = useStation('light', (next) => withLight(next))
  const { course, samples, live, trouble, doubt, believeMeter, withLight, strip } = useDoseClock(
    () => inHand.value,
    () => step.value,
  )
  const [lights, preferences, notice] = [useLights(), usePreferences(), useNotice()]
  const isGivingMore = ref(false)

  const light = computed(() => workroom.lights.find((one) => one.id === inHand.value?.sheet.lightId))
  const isWaiting = computed(() => step.value?.status === 'waiting')
  const isOut = computed(() => step.value?.status === 'held')
  const isDone = computed(() => inHand.value !== null && isOver(inHand.value.state, now.now, lights.courseOf))
  const title = computed(() => {
    if (hasMovedOn.value) return inHand.value?.state.setAside ? 'Set aside' : 'Exposed'
    const under = light.value ? `, under ${light.value.name}` : ''
    if (isWaiting.value) return `Ready to expose${under}`
    return isOut.value ? 'Paused for a check' : `Exposing${under}`
  })
  const plannedFigure = computed(() => (step.value ? plannedExposure(step.value) : null))
  const planned = computed(() => plannedFigure.value?.value ?? 0)
  const shareFigure = computed(() =>
    step.value ? exposureShare(step.value, now.now, course.value ?? undefined) : null,
  )
  const share = computed(() => shareFigure.value?.value ?? 0)

  /** The one target: start, a look, back under the light, or out when the time is up. */
  const nextWords = computed(() => {
    if (isWaiting.value) return stepWords.value?.press.start ?? ''
    if (isOut.value) return 'Resume exposure'
    return isDone.value ? (stepWords.value?.press.finish ?? '') : 'Open the frame to check'
  })
  /** Where on the exposure's own rule the looks are. */
  const taken = computed(() => {
    const { startedAt, holds = [] } = step.value ?? {}
    if (startedAt === undefined) return []
    return holds.map((hold, i) =>
      doseSeconds(course.value ?? STEADY, { startedAt, holds: holds.slice(0, i) }, hold.from),
    )
  })
  /** Why a clock by the sun is not one of equal minutes. */
  const trend = computed(() => {
    const dueAt = reading.value?.dueAt
    const way = course.value && dueAt ? trendOf(course.value, now.now, dueAt) : null
    return way && dueAt ? texts.sunTrend[way](timeOfDay(dueAt)) : ''
  })
  const next = () => (hasMovedOn.value ? follow() : void move())
  function takeOut(): void {
    if (step.value && !isWaiting.value)
      void record(
        withLight({ type: 'stepFinished', step: step.value.planned.id }),
        `Sheet ${inHand.value?.sheet.number}: out after ${formatSpan(Math.round(reading.value?.elapsedSeconds ?? 0))}.`,
      )
  }
  function give(change: Parameters<typeof changeExposure>[1], said: string): void {
    if (!step.value) return
    const figure = changeExposure(planned.value, change)
    isGivingMore.value = false
    void record(
      {
        type: 'exposureChanged',
        step: step.value.planned.id,
        plannedSeconds: Math.round(figure.value * 10) / 10,
        said,
      },
      `Planned exposure now ${formatSpan(figure.value)}.`,
    )
  }

  /** From here on one does something else meanwhile. */
  const LONG_SECONDS = 300
  async function notifyMe(): Promise<void> {
    if (!(await askToNotify())) notice.say(texts.notificationsBlocked)
  }
  // Offered once, at the first exposure that is long enough to be forgotten.
  watch(
    () => step.value?.status === 'running' && !isDone.value && planned.value >= LONG_SECONDS,
    (isLong) => {
      const { notify, notifyAsked } = preferences.chosen
      if (!isLong || notify || notifyAsked || !canAskToNotify()) return
      preferences.chosen.notifyAsked = true
      notice.say(texts.offerNotify, notifyMe, 'Notify me')
    },
    { immediate: true },
  )

  useKeyRows('Light', () => {
    if (!inHand.value) return []
    if (hasMovedOn.value)
      return [
        { key: ' ', name: `Go to ${placeTitle.value}`, run: follow },
        { key: 'u', name: 'Undo the last step', run: () => void undoLast() },
        ...(mayRedo.value ? [{ key: 'y', name: 'Redo', run: () => void redoLast() }] : []),
      ]
    return [
      { key: ' ', name: nextWords.value, run: next },
      { key: '+', name: 'Change the exposure', run: () => (isGivingMore.value = true) },
      ...(isWaiting.value ? [] : [{ key: 'enter', name: 'Finish exposure', run: takeOut }]),
      { key: 'u', name: 'Undo the last step', run: () => void undoLast() },
      ...(mayRedo.value ? [{ key: 'y', name: 'Redo', run: () => void redoLast() }] : []),
    ]
  })
  useMarginNotes(() => {
    if (!inHand.value || hasMovedOn.value) return []
    return [
      ...exposureNotes({
        definition: inHand.value.definition,
        step: stepWords.value,
        share: share.value,
        course: course.value,
        samples: samples.value,
        plannedSeconds: planned.value,
        milliwattsPerCm2: course.value?.milliwattsPerCm2At?.(now.now) ?? live.value?.milliwattsPerCm2 ?? null,
        deeper: deeper.value,
        peakNanometres: light.value?.peakNanometres,
      }),
      ...spectrumNotes(inHand.value.definition, inHand.value.sheet.choices, light.value),
      ...stepNotes(inHand.value.definition, stepWords.value),
    ]
  })
  /** How much deeper to print, by the trade and by one's own prints of this process. */
  const deeper = computed(() => {
    const one = inHand.value
    if (!one) return null
    const states = workroom.sheets
      .filter((other) => other.sheet.process.id === one.sheet.process.id)
      .map((other) => other.state)
      .reverse()
    return printDeeper(one.definition.deeper, states)
  })
  /** What a planned dose takes under the light as it is now. */
  const wanted = computed(() => {
    const { millijoulesPerCm2, exposureSeconds } = inHand.value?.sheet ?? {}
    if (!millijoulesPerCm2 || !exposureSeconds || !live.value) return null
    return (planned.value * millijoulesPerCm2) / exposureSeconds / live.value.milliwattsPerCm2
  })
  const doseLine = computed(() => {
    const reference = course.value?.referenceMilliwattsPerCm2
    const at = course.value?.milliwattsPerCm2At?.(now.now)
    const parts = [
      ...(reference
        ? [
            `${digits(Math.round((share.value / 100) * planned.value * reference), 4)} of ${doseText(planned.value * reference)}`,
          ]
        : []),
      ...(at !== undefined
        ? [`${course.value?.by === 'meter' ? 'meter' : 'about'} ${irradianceText(at)}`]
        : []),
      COUNTED_BY[course.value?.by ?? 'steady'],
    ]
    return parts.join(' · ')
  })
  const paper = computed(() => workroom.papers.find(({ id }) => id === inHand.value?.sheet.paperId))
  return {
    router,
    here,
    inHand,
    step,
    stepWords,
    reading,
    hasMovedOn,
    placeTitle,
    undoLast,
    redoLast,
    mayRedo,
    follow,
    choose,
    leaveOut,
    row,
    leftOutOfPress,
    toggleInPress,
    takeOutOfRow,
    live,
    trouble,
    doubt,
    believeMeter,
    strip,
    isGivingMore,
    light,
    isWaiting,
    isDone,
    title,
    plannedFigure,
    planned,
    shareFigure,
    share,
    nextWords,
    taken,
    next,
    takeOut,
    give,
    deeper,
    wanted,
    doseLine,
    trend,
    record,
    paper,
  }
}
