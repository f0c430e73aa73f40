import { computed, onMounted, onUnmounted, ref } from 'vue'
import { useRouter } from 'vue-router'
import { plannedThread, threadOf, type DueStep, type ThreadStretch } from '@core/run/thread'
import { stepInHand, wordsIdOf } from '@core/run/runState'
import { hungAtOf, placeOf } from '@core/run/place'
import { formatSpan } from '@core/quantity/format'
import { useNow } from '../../state/useNow'
import { useWorkroom, type SheetInRoom } from '../../state/workroom.store'
import { stationOfSheet } from '../../state/stations'
import { usePlan } from '../../state/plan.store'
import { layOutDay, type DayThread, type DrawnStretch } from './threadLayout'

/** A step that was moved by hand, in moments. */
export interface MovedStep {
  sheetId: string
  stepId: string
  from: number
  to: number
}

/** What a DayThreads is given. */
export interface DayThreadsProps {
  sheets: readonly SheetInRoom[]
}

/** The threads of a day as lines and labels, and moving a planned step by hand or by key. */
export function useDayThreads(
  props: Readonly<DayThreadsProps>,
  emit: (event: 'move', step: MovedStep) => void,
) {
  const [now, router, workroom, plans] = [useNow(), useRouter(), useWorkroom(), usePlan()]

  const HUNG_LATELY_MS = 3_600_000

  const frame = ref<HTMLElement | null>(null)
  const size = ref({ width: 800, height: 480 })
  const watcher = new ResizeObserver(([entry]) => {
    if (entry)
      size.value = {
        width: Math.max(entry.contentRect.width, 460),
        height: Math.max(entry.contentRect.height, 320),
      }
  })
  onMounted(() => frame.value && watcher.observe(frame.value))
  onUnmounted(() => watcher.disconnect())

  // Threads move by the minute; there is no need to lay them out at every beat.
  const minute = computed(() => Math.floor(now.now / 20_000) * 20_000)
  /** Steps that a sheet has still to come by the plan. */
  function dueOf(one: SheetInRoom): DueStep[] | null {
    const plan = plans.current
    if (!plan?.sheetIds.includes(one.sheet.id)) return null
    const begun = one.state.begunAt !== null
    const steps = begun
      ? one.state.steps.slice(one.state.current).map((step) => step.planned)
      : (plans.sheetsOf([one.sheet.id])[0]?.outline ?? [])
    return steps.flatMap((planned) => {
      const move = plan.moves.find((known) => known.sheetId === one.sheet.id && known.stepId === planned.id)
      return move ? [{ planned, from: move.from, to: move.to }] : []
    })
  }
  const threads = computed<DayThread[]>(() =>
    props.sheets
      // A print that only hangs belongs to Prints, unless it was hung within this very span.
      .filter(
        (one) =>
          ['coat', 'light', 'wet'].includes(placeOf(one.state)) ||
          (placeOf(one.state) === 'planned' && plans.current?.sheetIds.includes(one.sheet.id)) ||
          minute.value - (hungAtOf(one.state) ?? 0) < HUNG_LATELY_MS,
      )
      .filter((one) => !one.state.setAside)
      .map((one) => {
        const at = Math.max(minute.value, one.state.lastAt)
        const due = dueOf(one)
        return {
          sheetId: one.sheet.id,
          number: one.sheet.number,
          mark: one.definition.mark,
          stretches: due ? plannedThread(one.state, due, at) : threadOf(one.state, at),
        }
      })
      .filter((one) => one.stretches.length > 0)
      .sort((a, b) => a.number - b.number),
  )
  const planned = computed(() => {
    const plan = plans.current
    if (!plan) return null
    const hands = plan.hands
      .filter((span) => span.to > minute.value)
      .map((span) => ({ ...span, mark: workroom.find(span.sheetId)?.definition.mark ?? 'graphite' }))
    return { hands, endsAt: plan.endsAt }
  })
  const layout = computed(() => layOutDay(threads.value, minute.value, size.value, words, planned.value))

  const STEP_MS = 300_000
  /** A stretch of the plan that is being dragged along the day. */
  const dragged = ref<{ sheetId: string; stretch: DrawnStretch; startY: number; by: number } | null>(null)
  function grasp(event: PointerEvent, sheetId: string, stretch: DrawnStretch): void {
    if (!stretch.planId) return
    dragged.value = { sheetId, stretch, startY: event.clientY, by: 0 }
    ;(event.currentTarget as Element).setPointerCapture(event.pointerId)
  }
  function drag(event: PointerEvent): void {
    if (dragged.value) dragged.value = { ...dragged.value, by: event.clientY - dragged.value.startY }
  }
  function drop(): void {
    const held = dragged.value
    if (!held) return
    const shift = held.by * layout.value.millisecondsPerPixel
    // The click that ends a drag must not open the sheet; it comes before the next turn.
    setTimeout(() => (dragged.value = null))
    if (Math.abs(held.by) < 6 || !held.stretch.planId) return
    const { from, planId } = held.stretch
    emit('move', {
      sheetId: held.sheetId,
      stepId: planId,
      from,
      to: Math.round((from + shift) / STEP_MS) * STEP_MS,
    })
  }
  const shiftOf = (sheetId: string, stretch: DrawnStretch) =>
    dragged.value?.sheetId === sheetId && dragged.value.stretch.from === stretch.from ? dragged.value.by : 0
  /** With alt, the arrows move the next step of the plan by a quarter of an hour. */
  function shift(sheetId: string, quarters: number): void {
    const thread = layout.value.threads.find((one) => one.sheetId === sheetId)
    const inHand = workroom.find(sheetId)?.state
    const running =
      inHand && stepInHand(inHand)?.startedAt !== undefined ? stepInHand(inHand)?.planned.id : null
    const next = thread?.stretches.find((stretch) => stretch.planId && stretch.planId !== running)
    if (next?.planId)
      emit('move', { sheetId, stepId: next.planId, from: next.from, to: next.from + quarters * 900_000 })
  }

  function words(sheetId: string, stretch: ThreadStretch): string | null {
    if (stretch.manner === 'waits') return null
    const one = workroom.find(sheetId)
    const step = one?.definition.steps.find((definition) => definition.id === stretch.stepId)
    if (!one || !step) return null
    if (step.kind === 'count') return 'mix, coat'
    if (step.kind === 'act') return null
    const inHand = stepInHand(one.state)
    const handId = inHand && wordsIdOf(inHand.planned)
    const isNow = handId === stretch.stepId
    if (isNow && stretch.ahead && stepInHand(one.state)?.status !== 'waiting') return null
    return `${step.title.toLowerCase()} ${stretch.ahead ? formatSpan((stretch.to - stretch.from) / 1000) : ''}`.trim()
  }
  function open(sheetId: string): void {
    if (dragged.value && Math.abs(dragged.value.by) >= 6) return
    const one = workroom.find(sheetId)
    if (one) void router.push({ name: stationOfSheet(one.state), params: { sheetId } })
  }
  return { now, workroom, size, layout, dragged, grasp, drag, drop, shiftOf, shift, open }
}
