import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import type { BenchTray } from '@core/process/bench'
import { ledgeOf } from '@core/run/deadlines'
import { coatSolutes } from '@core/process/orderRules'
import { nextRocking } from '@core/run/timing'
import { trayVolume } from '@core/paper/amounts'
import { formatClock } from '@core/quantity/format'
import { substances } from '@library/index'
import { useNow } from '../../state/useNow'
import { useWorkroom, type SheetInRoom } from '../../state/workroom.store'
import { addWaste, undoWaste } from '../../state/actions/shelf.actions'
import { usePour } from '../../state/usePour'
import { useKeyRows } from '../../state/keys.store'
import { useNotice } from '../../state/notice.store'
import { useStation } from '../../state/useStation'
import { useBaths } from '../../state/baths.store'
import { useWetNotes } from './useWetNotes'

/** The sheet in the water, the trays on the bench, and the next sheet that wants something. */
export function useWetStation() {
  const [router, workroom, baths, now, notice] = [
    useRouter(),
    useWorkroom(),
    useBaths(),
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
  } = useStation('wet', (next) => baths.withBath(inHand.value, next))

  // What is told in words need not be asked at every beat.
  const second = computed(() => Math.floor(now.now / 1000) * 1000)
  const isWaiting = computed(() => step.value?.status === 'waiting')
  const title = computed(() => {
    if (hasMovedOn.value) return inHand.value?.state.setAside ? 'Set aside' : 'Drying'
    const name = stepWords.value?.title ?? ''
    return isWaiting.value ? `Next: ${name.toLowerCase()}` : name
  })
  const nextWords = computed(
    () => (isWaiting.value ? stepWords.value?.press.start : stepWords.value?.press.finish) ?? '',
  )
  const waters = computed(() => step.value?.waters.length ?? 0)

  /** Every process at work on the bench, the one in hand first, each with its sheets. */
  const benches = computed(() => {
    const sheets = [
      ...(inHand.value ? [inHand.value] : []),
      ...here.value.filter((one) => one.sheet.id !== inHand.value?.sheet.id),
    ]
    const ids = [...new Set(sheets.map((one) => one.definition.id))]
    return ids.map((id) => {
      const own = sheets.filter((one) => one.definition.id === id)
      return { definition: (own[0] as SheetInRoom).definition, sheets: own }
    })
  })

  /** The print that wants a hand soonest, if it is not the one in hand. */
  const other = computed(() => {
    // What is pressed for the one in hand is pressed for its row.
    const together = new Set([inHand.value, ...row.value].map((one) => one?.sheet.id))
    const others = here.value.filter(({ sheet }) => !together.has(sheet.id))
    const waiting = others.find(({ state }) => state.steps[state.current]?.status === 'waiting')
    const id =
      waiting?.sheet.id ??
      ledgeOf(
        others.map(({ state }) => state),
        second.value,
      )[0]?.sheetId
    return id ? (workroom.find(id) ?? null) : null
  })
  const rocking = computed(() => {
    const next = step.value && nextRocking(step.value, second.value)
    return next ? formatClock(Math.ceil((next - second.value) / 1000)) : null
  })

  const opened = ref<{ tray: BenchTray; processId: string } | null>(null)
  const openedFor = computed(
    () => benches.value.find((bench) => bench.definition.id === opened.value?.processId)?.sheets[0] ?? null,
  )
  function open(tray: BenchTray, processId: string): void {
    opened.value =
      opened.value?.tray.id === tray.id && opened.value.processId === processId ? null : { tray, processId }
  }

  function next(): void {
    if (hasMovedOn.value) return follow()
    const what = isWaiting.value ? 'in' : 'out'
    void move(`Sheet ${inHand.value?.sheet.number}: ${stepWords.value?.title.toLowerCase()}, ${what}.`)
  }
  /** Water is changed; a solution is not. */
  const isWater = computed(() => !!inHand.value && !baths.solutionOf(inHand.value, false))
  const changeWater = () => step.value && void record({ type: 'waterChanged', step: step.value.planned.id })

  /** Water in this tray: it may hold silver or dichromate, which is kept with what the coat gave it. */
  const kept = computed(() => {
    const [one, wasteClass] = [inHand.value, stepWords.value?.isKept]
    if (!one || !wasteClass || isWaiting.value) return null
    // What the coat was dissolved in has dried off.
    const contents = coatSolutes(one.definition, one.sheet.choices)
      .filter(({ substanceId }) => substances[substanceId]?.state !== 'liquid')
      .map(({ substanceId }) => ({ substanceId }))
    return { name: `water of sheet ${one.sheet.number}`, contents, wasteClass }
  })
  const { findings: keptFindings, jarName } = usePour(kept)
  async function keepWater(): Promise<void> {
    if (!kept.value || !inHand.value) return
    const amount = Math.round(trayVolume(inHand.value.sheet, 15).value / 50) * 50
    const { name, contents, wasteClass } = kept.value
    const id = await addWaste({ wasteClass, amount, unit: 'ml', what: name, contents })
    notice.say(`${amount} ml into waste jar: ${jarName.value}.`, () => undoWaste(id))
  }
  const goToOther = () => other.value && choose(other.value.sheet.id)

  useKeyRows('Wet side', () => {
    if (!inHand.value) return []
    const isRunning = !hasMovedOn.value && !isWaiting.value
    return [
      { key: ' ', name: hasMovedOn.value ? `Go to ${placeTitle.value}` : nextWords.value, run: next },
      ...(isRunning && isWater.value ? [{ key: 'w', name: 'Water changed', run: changeWater }] : []),
      ...(isRunning && kept.value
        ? [{ key: 'k', name: 'Keep this water in its jar', run: () => void keepWater() }]
        : []),
      ...(other.value ? [{ key: 'j', name: 'The other print that is due', run: goToOther }] : []),
      { key: 'u', name: 'Undo the last thing', run: () => void undoLast() },
      ...(mayRedo.value ? [{ key: 'y', name: 'Redo', run: () => void redoLast() }] : []),
    ]
  })

  useWetNotes({ inHand, here, stepWords, isWaiting, hasMovedOn, second })
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
    choose,
    leaveOut,
    row,
    leftOutOfPress,
    toggleInPress,
    takeOutOfRow,
    isWaiting,
    title,
    nextWords,
    waters,
    benches,
    other,
    rocking,
    opened,
    openedFor,
    open,
    next,
    isWater,
    changeWater,
    kept,
    keptFindings,
    keepWater,
    goToOther,
  }
}
