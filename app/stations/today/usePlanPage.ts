import { numbersSaid } from '@core/quantity/numbers'
import { texts } from './words'
import { numberOrNull } from '@core/quantity/number'
import { computed, onUnmounted, ref, shallowRef } from 'vue'
import { useRouter } from 'vue-router'
import { CoreError } from '@core/errors'
import { PlanRoom } from '@core/schema/plan'
import { coatsAlike } from '@core/schedule/needs'
import { useNow } from '../../state/useNow'
import { useWorkroom } from '../../state/workroom.store'
import { useKeyRows } from '../../state/keys.store'
import { useMarginNotes } from '../../state/margin.store'
import { momentSaid } from '../../words/moments'
import { useNotice } from '../../state/notice.store'
import { useAttempt } from '../../state/useAttempt'
import type { MadePlan } from '../../workers/plan.worker'
import { usePlan, type PlanWish } from '../../state/plan.store'
import { wasStopped } from '../../workers/call'
import { reasonLine } from './planWords'
import { readTime } from './readTime'
import { partGlass, shareGlass } from '../../state/actions/batch.actions'
import { stepNamed } from './stepNamed'

/** A session planned from the prints wanted: which sheets, from when, until when, with what there is in the room. */
export function usePlanPage() {
  const [router, workroom, plans, now, notice] = [
    useRouter(),
    useWorkroom(),
    usePlan(),
    useNow(),
    useNotice(),
  ]
  const { faults, attempt } = useAttempt()

  const chosen = ref(new Set(plans.current?.sheetIds ?? plans.candidates.map((one) => one.sheet.id)))
  const startsAt = ref('')
  const finishBy = ref('')
  const room = ref(
    Object.fromEntries(Object.entries(plans.lastRoom).map(([key, value]) => [key, String(value)])) as Record<
      keyof PlanRoom,
      string
    >,
  )
  const ROOM: { key: keyof PlanRoom; label: string }[] = [
    { key: 'hands', label: 'People at work' },
    { key: 'frames', label: 'Frames' },
    { key: 'underOneLight', label: 'Frames under one light' },
    { key: 'sheetsInATray', label: 'Sheets per tray' },
    { key: 'rinseTrays', label: 'Rinse trays' },
    { key: 'washPlaces', label: 'Sheets in the wash' },
    { key: 'dryingPlaces', label: 'Drying places' },
  ]
  const named = (sheetId: string) => {
    const one = workroom.find(sheetId)
    return one ? `Sheet ${one.sheet.number}` : 'A sheet'
  }
  function toggle(sheetId: string): void {
    const next = new Set(chosen.value)
    if (!next.delete(sheetId)) next.add(sheetId)
    chosen.value = next
  }

  async function wish(): Promise<PlanWish | null> {
    let found: PlanWish = { sheetIds: [], startsAt: Date.now(), room: plans.lastRoom, pins: [] }
    const isRead =
      (await attempt('sheets', () => {
        const sheetIds = plans.candidates.map((one) => one.sheet.id).filter((id) => chosen.value.has(id))
        if (!sheetIds.length)
          throw new CoreError({
            code: 'nothing',
            field: 'sheets',
            problem: 'The plan has no sheets.',
            remedy: texts.chooseSheetOrStartNew,
          })
        found = { ...found, sheetIds }
      })) &&
      (await attempt('startsAt', () => {
        found = { ...found, startsAt: readTime(startsAt.value, Date.now(), 'start') ?? Date.now() }
      })) &&
      (await attempt('finishBy', () => {
        const by = readTime(finishBy.value, found.startsAt, 'end')
        found = { ...found, ...(by !== null && { finishBy: by }) }
      })) &&
      (await attempt('room', () => {
        const read = PlanRoom.safeParse(
          Object.fromEntries(
            Object.entries(room.value).map(([key, text]) => [key, numberOrNull(text) ?? Number.NaN]),
          ),
        )
        if (!read.success)
          throw new CoreError({
            code: 'out-of-range',
            field: 'room',
            problem: texts.oneEquipmentNumbersNotWhole,
            remedy: 'Enter whole numbers of 1 or more.',
          })
        found = { ...found, room: read.data }
      }))
    return isRead ? found : null
  }

  const titleOf = (sheetId: string, stepId: string) =>
    stepNamed(workroom.find(sheetId), stepId)?.title ?? stepId

  const planning = shallowRef<AbortController | null>(null)
  const soFar = ref<{ endsAt: number; boundAt: number } | null>(null)
  const made = shallowRef<{ wish: PlanWish; plan: MadePlan } | null>(null)
  const none = shallowRef<{ isProven: boolean; lines: string[] } | null>(null)
  async function make(): Promise<void> {
    const asked = await wish()
    if (!asked || planning.value) return
    made.value = none.value = soFar.value = null
    const looking = new AbortController()
    planning.value = looking
    try {
      const answer = await plans.look(asked, {
        signal: looking.signal,
        heard: (better) => (soFar.value = better),
      })
      if (answer.kind === 'made') made.value = { wish: asked, plan: answer.plan }
      if (answer.kind === 'none')
        none.value = {
          isProven: answer.isProven,
          lines: answer.reasons.map((reason) => reasonLine(reason, named, now.now, titleOf)),
        }
    } catch (error) {
      if (!wasStopped(error)) notice.refuse(error, 'planning')
    } finally {
      planning.value = null
    }
  }
  const cancel = () => planning.value?.abort()
  onUnmounted(cancel)

  async function work(): Promise<void> {
    if (!made.value) return
    const id = await plans.keep(made.value.wish, made.value.plan)
    notice.say(`Planned. Finish ${momentSaid(made.value.plan.endsAt, now.now)}.`, () => plans.undoLast(id))
    void router.push({ name: 'today' })
  }
  const next = () => (made.value ? work() : planning.value ? cancel() : make())
  const nextWords = computed(() =>
    made.value ? 'Use this plan' : planning.value ? 'Stop searching' : 'Make a plan',
  )
  useKeyRows('The plan', () => [
    { key: 'enter', name: nextWords.value, run: () => void next() },
    { key: 'escape', name: 'Back to Today', run: () => void router.push({ name: 'today' }) },
  ])

  /** Sheets that take the same mix: what would save one is the printer's to choose. */
  const alike = computed(() =>
    coatsAlike(plans.sheetsOf([...chosen.value])).map((group) => group.map((one) => one.sheet)),
  )
  async function fromOneGlass(sheets: readonly { id: string; number: number }[]): Promise<void> {
    const ids = sheets.map((sheet) => sheet.id)
    await shareGlass(ids)
    made.value = null
    notice.say(texts.coatedFromOneMix({ sheets: numbersOf(sheets) }), () => partGlass(ids))
  }
  const numbersOf = (sheets: readonly { number: number }[]) => numbersSaid(sheets.map(({ number }) => number))
  useMarginNotes(() => [
    {
      title: 'Rules of the plan',
      lines: [texts.coatsDryFullyAndPrinted, texts.forOnePersonMix3],
    },
    ...(made.value?.plan.spent.length
      ? [
          {
            title: 'Past its shelf life',
            lines: made.value.plan.spent.map((one) => texts.coatPastItsLife({ sheet: named(one.sheetId) })),
            tone: 'caution' as const,
          },
        ]
      : []),
  ])
  return {
    router,
    plans,
    now,
    faults,
    chosen,
    startsAt,
    finishBy,
    room,
    ROOM,
    toggle,
    planning,
    soFar,
    made,
    none,
    next,
    nextWords,
    alike,
    fromOneGlass,
    numbersOf,
  }
}
