import { computed, onUnmounted, ref, watch } from 'vue'
import { isWeighed, measuredByParts, parseMeasured } from '@core/coating/measured'
import { componentInHand } from '@core/run/nextMove'
import type { StepState } from '@core/run/runState'
import type { ProcessDefinition } from '@core/schema/definition'
import type { Happening } from '@core/schema/event'
import { useKeyRows } from '../../state/keys.store'
import { useNotice } from '../../state/notice.store'
import { speak, tick } from '../../state/voice'
import { texts } from './words'

export interface Counting {
  step: StepState
  definition: ProcessDefinition
  /** Said on the target that ends the count. */
  finishWords: string
  dropsPerMillilitre: number
  /** The ratio, in the order of the solutions. */
  parts: readonly number[]
}

/** Drops as they fall: by press, by metronome, poured from a measure, or typed; and the end of the count at any of them. */
export function useDropCounter(
  props: Counting,
  record: (happening: Happening) => void,
  finish: () => void,
  /** Ends the count with everything in the glass as planned. */
  finishAsPlanned: () => void,
) {
  const notice = useNotice()
  /** One drop in this many milliseconds: slow enough for a steady hand. */
  const PACE_MS = 1200

  const rows = computed(() =>
    (props.step.planned.drops ?? []).map(({ component, count }) => ({
      component,
      count,
      counted: props.step.drops[component] ?? 0,
      name: props.definition.components.find((one) => one.id === component)?.name ?? component,
    })),
  )
  /** The bottle in hand: the one the user took, else the first that is short. */
  const chosen = ref<string | null>(null)
  const inHand = computed(() => chosen.value ?? componentInHand(props.step))
  const isAllIn = computed(() => componentInHand(props.step) === null)
  /** Fewer drops than planned make a glass as well, as long as nothing of it is missing. */
  const mayEnd = computed(() => !isAllIn.value && rows.value.every((row) => row.counted > 0))
  /** From here on counting drops is folly: a small measure does it in one go. */
  const MEASURED_FROM = 60
  const isMuch = computed(() => rows.value.some((row) => row.count >= MEASURED_FROM))
  /** Everything of the bottle in hand at once, poured from a measure. */
  function pour(): void {
    const row = rows.value.find((one) => one.component === inHand.value)
    if (row && row.count > row.counted) change(row.component, row.count - row.counted)
  }

  function change(component: string | null, by: number): void {
    if (component) record({ type: 'dropped', component, change: by })
  }
  function next(): void {
    if (isAllIn.value && !chosen.value) finish()
    else change(inHand.value, 1)
  }
  /** What is being typed, which no redraw may wipe out. */
  const typing = ref<{ component: string; text: string } | null>(null)
  function keepTyped(component: string, text: string): void {
    typing.value = null
    if (!text.trim()) return
    try {
      const meant = parseMeasured(text, props.dropsPerMillilitre)
      countTo(component, meant)
      sayIfWeighed(text)
    } catch (error) {
      notice.refuse(error, 'the drops')
    }
  }
  function countTo(component: string, drops: number): void {
    const counted = props.step.drops[component] ?? 0
    if (drops !== counted) change(component, drops - counted)
  }
  function sayIfWeighed(text: string): void {
    if (isWeighed(text)) notice.say(texts.weighedAsWater)
  }
  /** What one part came to, where all were measured in the same cup. */
  const onePart = ref('')
  function keepParts(): void {
    const text = onePart.value
    if (!text.trim()) return
    try {
      const drops = measuredByParts(text, props.parts, props.dropsPerMillilitre)
      for (const [i, { component }] of rows.value.entries()) countTo(component, drops[i] ?? 0)
      sayIfWeighed(text)
      onePart.value = ''
      chosen.value = null
    } catch (error) {
      notice.refuse(error, 'the parts')
    }
  }
  function latest(): string | null {
    return inHand.value && (props.step.drops[inHand.value] ?? 0) > 0
      ? inHand.value
      : (rows.value.findLast((row) => row.counted > 0)?.component ?? null)
  }

  const pace = ref(0)
  function togglePace(): void {
    if (pace.value) stopPace()
    else
      pace.value = window.setInterval(
        () => (isAllIn.value ? stopPace() : change(componentInHand(props.step), 1)),
        PACE_MS,
      )
  }
  function stopPace(): void {
    clearInterval(pace.value)
    pace.value = 0
  }
  onUnmounted(stopPace)

  watch(
    () => ({ ...props.step.drops }),
    (counts, before) => {
      for (const { component, count, name } of rows.value) {
        const counted = counts[component] ?? 0
        if (counted <= (before[component] ?? 0)) continue
        tick()
        speak(counted === count ? `${counted}. ${name} is in.` : String(counted))
        // A full count gives the hand to the next bottle by itself.
        if (chosen.value === component && counted === count) chosen.value = null
      }
    },
  )

  useKeyRows('Drops', () => [
    { key: ' ', name: isAllIn.value ? props.finishWords : 'Next drop', run: next },
    { key: 'b', name: 'Undo one drop', run: () => change(latest(), -1) },
    { key: 'm', name: 'Mark as fully measured', run: pour },
    ...(mayEnd.value ? [{ key: 'e', name: texts.coatWithGlass, run: finish }] : []),
    ...(isAllIn.value ? [] : [{ key: 'a', name: texts.everythingMeasured, run: finishAsPlanned }]),
    { key: 'p', name: 'Metronome: one drop per tick', run: togglePace },
  ])

  /** Drawn drops are in groups of five, as one counts. */
  const groups = (row: (typeof rows.value)[number]) => {
    const total = Math.min(Math.max(row.count, row.counted), 120)
    return Array.from({ length: Math.ceil(total / 5) }, (_, group) =>
      Array.from({ length: Math.min(5, total - group * 5) }, (_, i) => {
        const n = group * 5 + i
        return n < row.counted ? (n < row.count ? 'in' : 'over') : 'due'
      }),
    )
  }
  return {
    rows,
    inHand,
    chosen,
    isAllIn,
    mayEnd,
    isMuch,
    pour,
    change,
    next,
    typing,
    keepTyped,
    onePart,
    keepParts,
    latest,
    pace,
    togglePace,
    groups,
  }
}
