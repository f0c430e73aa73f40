import { defineStore } from 'pinia'
import { v4 as uuid } from 'uuid'
import { computed, ref, toRaw } from 'vue'
import { dryForLayerAt } from '@core/run/layers'
import { outlineOf } from '@core/process/plan'
import { placeOf } from '@core/run/place'
import { DayPlan, type Pin, type PlanRoom } from '@core/schema/plan'
import type { SheetWithAll } from '@core/schedule/needs'
import { isOpen, slippingOf } from '@core/schedule/slipping'
import { USUAL_EFFORT, type Effort } from '@core/schedule/solve'
import { db } from '../storage/db'
import { useLiveQuery } from './useLiveQuery'
import { useNow } from './useNow'
import { useWorkroom, type SheetInRoom } from './workroom.store'
import { callWorker, type CallOptions } from '../workers/call'
import type { MadePlan, PlanAnswer, PlanNews, PlanQuestion } from '../workers/plan.worker'
import { startWorker } from '../workers/start'

const FIRST_ROOM: PlanRoom = {
  hands: 1,
  frames: 2,
  underOneLight: 1,
  sheetsInATray: 1,
  rinseTrays: 2,
  washPlaces: 4,
  dryingPlaces: 8,
}

/** What is asked of a plan before it is made. */
export interface PlanWish {
  sheetIds: readonly string[]
  startsAt: number
  finishBy?: number | undefined
  room: PlanRoom
  pins: readonly Pin[]
}

/** A plan in the midst of the day has to stand before the next clock runs out. */
const QUICK: Effort = { ...USUAL_EFFORT, tries: Math.round(USUAL_EFFORT.tries / 3) }

/** The plan of the day: which sheets, when each step is due, and how far the work is from it. */
export const usePlan = defineStore('plan', () => {
  const [workroom, now] = [useWorkroom(), useNow()]
  const rows = useLiveQuery(() => db.plans.orderBy('madeAt').reverse().limit(20).toArray(), null)
  const stateOf = (id: string) => workroom.find(id)?.state
  const statesOf = (plan: DayPlan) => plan.sheetIds.flatMap((id) => stateOf(id) ?? [])
  /** The plan that is worked by: the last one made, as long as something in it is still to be done. */
  const current = computed(() => {
    const last = rows.value?.find((plan) => plan.endedAt === undefined)
    return last && isOpen(last, statesOf(last)) ? last : null
  })
  const lastRoom = computed(() => rows.value?.[0]?.room ?? FIRST_ROOM)
  const minute = computed(() => Math.floor(now.now / 20_000) * 20_000)
  const slipping = computed(() =>
    current.value ? slippingOf(current.value, statesOf(current.value), minute.value) : [],
  )

  /** Sheets that could be planned: what is only planned, and what is under way. */
  const candidates = computed(() =>
    workroom.open.filter(
      (one) =>
        !workroom.covered.has(one.sheet.id) &&
        ['planned', 'coat', 'light', 'wet'].includes(placeOf(one.state)),
    ),
  )
  const gramsOf = (one: SheetInRoom) =>
    workroom.papers.find((paper) => paper.id === one.sheet.paperId)?.gramsPerM2
  /** When the print under a layer is dry, where that hangs already. */
  const dryUnder = (one: SheetInRoom) => {
    const under = one.sheet.over !== undefined ? workroom.find(one.sheet.over) : undefined
    return (under && dryForLayerAt(under.state)) ?? undefined
  }
  const toPlan = (one: SheetInRoom): SheetWithAll => ({
    ...one,
    outline: one.state.begunAt === null ? outlineOf(one.definition, one.sheet, gramsOf(one)) : [],
    notBefore: one.state.begunAt === null ? dryUnder(one) : undefined,
    isSun: workroom.lights.find((light) => light.id === one.sheet.lightId)?.kind === 'sun',
  })
  const sheetsOf = (ids: readonly string[]): SheetWithAll[] =>
    ids.flatMap((id) => {
      const one = workroom.find(id)
      return one ? [toPlan(one)] : []
    })

  const isBusy = ref(false)
  /** Looks for a plan beside the page; `heard` gets every better one on the way. */
  async function look(
    wish: PlanWish,
    {
      effort = USUAL_EFFORT,
      moved,
      ...options
    }: CallOptions<PlanNews> & { effort?: Effort; moved?: PlanQuestion['moved'] } = {},
  ): Promise<PlanAnswer> {
    const question: PlanQuestion = {
      input: {
        sheets: sheetsOf(wish.sheetIds),
        room: wish.room,
        from: wish.startsAt,
        finishBy: wish.finishBy,
        pins: wish.pins,
      },
      effort,
      ...(moved && { moved }),
    }
    isBusy.value = true
    try {
      const plain = JSON.parse(JSON.stringify(toRaw(question))) as PlanQuestion
      return await callWorker<PlanQuestion, PlanAnswer, PlanNews>(startWorker.plan(), plain, options)
    } finally {
      isBusy.value = false
    }
  }

  /** Works by a plan from now on. @returns its id. */
  async function keep(wish: PlanWish, made: MadePlan): Promise<string> {
    const at = Date.now()
    const plan = DayPlan.parse({
      id: uuid(),
      madeAt: at,
      startsAt: wish.startsAt,
      ...(wish.finishBy !== undefined && { finishBy: wish.finishBy }),
      sheetIds: [...wish.sheetIds],
      room: { ...wish.room },
      pins: wish.pins.map((pin) => ({ ...pin })),
      moves: made.moves,
      hands: made.hands,
      endsAt: Math.max(made.endsAt, wish.startsAt),
      boundAt: Math.max(made.boundAt, wish.startsAt),
      isProven: made.isProven,
      changedAt: at,
    })
    await db.plans.add(plan)
    return plan.id
  }
  /** Takes a plan back: the one before it, if any, is worked by again. */
  const undoLast = (id: string) => db.plans.update(id, { endedAt: Date.now(), changedAt: Date.now() })

  /** What the plan in hand asks, from this moment on. */
  function wishFromNow(pins?: readonly Pin[]): PlanWish | null {
    const plan = current.value
    if (!plan) return null
    const at = Date.now()
    return {
      sheetIds: plan.sheetIds.filter((id) => {
        const state = stateOf(id)
        return state && !state.setAside && isStillToDo(state)
      }),
      startsAt: Math.max(at, plan.startsAt),
      finishBy: plan.finishBy !== undefined && plan.finishBy > at ? plan.finishBy : undefined,
      room: plan.room,
      // What was to begin before now, and has not, can only be late.
      pins: (pins ?? plan.pins).filter((pin) => pin.edge === 'notBefore' || pin.at > at),
    }
  }
  return {
    current,
    lastRoom,
    slipping,
    candidates,
    sheetsOf,
    isBusy,
    look,
    keep,
    undoLast,
    wishFromNow,
    QUICK,
  }
})

const isStillToDo = (state: Parameters<typeof placeOf>[0]) =>
  ['planned', 'coat', 'light', 'wet'].includes(placeOf(state))
