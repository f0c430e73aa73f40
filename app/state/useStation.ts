import { computed, ref, watchEffect } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { CoreError } from '@core/errors'
import { clocksOf, ledgeOf } from '@core/run/deadlines'
import { isForRow } from '@core/run/row'
import { nextMove } from '@core/run/nextMove'
import { stepInHand, wordsIdOf } from '@core/run/runState'
import type { Happening } from '@core/schema/event'
import type { StationName } from '@core/schema/definition'
import { timeNow } from '../storage/time'
import { useNow } from './useNow'
import { useRow } from './useRow'
import { numbersSaid } from '@core/quantity/numbers'
import { useRecording } from './useRecording'
import { useWorkroom } from './workroom.store'
import { useLights } from './lights.store'
import { stationOfSheet, stations } from './stations'
import { useNotice } from './notice.store'

/** What a station works on: the sheets that are here, the one in hand, its step, and the ways to record what happens. */
export function useStation(
  station: Exclude<StationName, 'line' | 'paper'>,
  /** What a station adds to what is recorded: the dose an exposure came to, the air of the room. */
  worded: (next: Happening) => Happening = (next) => next,
) {
  const lights = useLights()
  const [route, router, workroom, now, notice] = [
    useRoute(),
    useRouter(),
    useWorkroom(),
    useNow(),
    useNotice(),
  ]

  const here = computed(() => workroom.open.filter((one) => stationOfSheet(one.state) === station))
  // Once taken in hand a sheet stays in view, even when its last press moved it on to the next station.
  const held = ref<string | null>(null)
  watchEffect(() => {
    const asked = route.params.sheetId
    if (typeof asked === 'string' && asked) held.value = asked
    else held.value ??= nearest()
  })
  function nearest(): string | null {
    const clock = ledgeOf(
      here.value.map((one) => one.state),
      now.now,
      lights.courseOf,
    )[0]
    return clock?.sheetId ?? here.value.at(-1)?.sheet.id ?? null
  }

  const inHand = computed(() => (held.value ? (workroom.find(held.value) ?? null) : null))
  const step = computed(() => (inHand.value ? stepInHand(inHand.value.state) : null))
  const wordsId = computed(() => step.value && wordsIdOf(step.value.planned))
  const stepWords = computed(
    () => inHand.value?.definition.steps.find((one) => one.id === wordsId.value) ?? null,
  )
  const reading = computed(
    () =>
      (inHand.value &&
        clocksOf(inHand.value.state, now.now, lights.courseOf).find(
          (clock) => clock.stepId === step.value?.planned.id,
        )) ||
      null,
  )
  const place = computed(() => (inHand.value ? stationOfSheet(inHand.value.state) : null))
  const hasMovedOn = computed(() => place.value !== null && place.value !== station)
  const placeTitle = computed(() => stations.find((one) => one.name === place.value)?.title ?? 'Prints')

  const recording = useRecording(() => inHand.value?.sheet.id ?? null)
  const { undoLast, redoLast, mayRedo } = recording
  const { row, leftOutOfPress, toggleInPress, takeOutOfRow } = useRow(inHand, now)
  function record(happening: Happening, said?: string): Promise<boolean> {
    const along = isForRow(happening)
      ? row.value.filter(({ sheet }) => !leftOutOfPress.value.has(sheet.id))
      : []
    const all = [...along.map(({ sheet }) => sheet.number), inHand.value?.sheet.number ?? 0]
    return recording.record(
      happening,
      along.length ? said?.replace(/^Sheet \d+/, `Sheets ${numbersSaid(all)}`) : said,
      along.map(({ sheet }) => sheet.id),
    )
  }

  /** The next thing, as core sees it. */
  async function move(said?: string): Promise<void> {
    const next = inHand.value && nextMove(inHand.value.state, timeNow(), lights.courseOf)
    if (next) await record(worded(next), said)
    else
      notice.refuse(
        new CoreError({
          code: 'nothing',
          field: 'station',
          problem: 'No sheet is here.',
          remedy: 'Start a new sheet, or choose one.',
        }),
        'this',
      )
  }
  const leaveOut = (id: string) => record({ type: 'stepLeftOut', step: id })
  const follow = () =>
    void router.push({ name: place.value ?? 'today', params: { sheetId: held.value ?? '' } })
  const choose = (sheetId: string) => void router.replace({ params: { sheetId } })

  return {
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
  }
}
