import { texts } from './words'
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { clocksOf } from '@core/run/deadlines'
import { looksDue, nextThing } from '@core/schedule/nextThing'
import { schoolStocks, startingChoices } from '@core/process/plan'
import { placeOf } from '@core/run/place'
import { classicCyanotype } from '@library/processes/classicCyanotype'
import { useNow } from '../../state/useNow'
import { useWorkroom, type SheetInRoom } from '../../state/workroom.store'
import { useLights } from '../../state/lights.store'
import { useKeyRows } from '../../state/keys.store'
import { momentSaid, nameOfDay, timeOfDay } from '../../words/moments'
import { useNotice } from '../../state/notice.store'
import { useMarginNotes, type MarginNote } from '../../state/margin.store'
import { stationOfSheet } from '../../state/stations'
import { cautionNotes } from '../../words/stepNotes'
import { CoreError } from '@core/errors'
import type { Pin } from '@core/schema/plan'
import { usePlan } from '../../state/plan.store'
import { preparationLine, reasonLine, refusalLine, slipLine } from './planWords'
import { stepNamed } from './stepNamed'
import { usePreparations } from './usePreparations'
import { dayLine } from './todayWords'

/** What is in progress, what the plan says, and planning again from now. */
export function useTodayStation() {
  const [workroom, now, router, lights, plans, notice] = [
    useWorkroom(),
    useNow(),
    useRouter(),
    useLights(),
    usePlan(),
    useNotice(),
  ]

  /** A longer list in the margin is no list. */
  const MOST_NAMED = 12

  const thing = computed(() => nextThing(workroom.states, now.now, lights.courseOf))
  const next = computed(() => ('sheetId' in thing.value ? workroom.work(thing.value.sheetId) : undefined))
  const isAtWork = computed(() =>
    workroom.open.some((one) => ['coat', 'light', 'wet', 'line'].includes(placeOf(one.state))),
  )
  /** No sheet yet, and no paper in a treatment either. */
  const isBare = computed(() => !workroom.sheets.length && thing.value.kind === 'nothing')
  const nextWords = computed(() => (next.value ? `Go to ${next.value.name.toLowerCase()}` : 'New sheet'))

  function go(): void {
    if (next.value)
      void router.push({ name: stationOfSheet(next.value.state), params: { sheetId: next.value.id } })
    else void router.push({ name: 'begin' })
  }
  const goToPlan = () => void router.push({ name: 'plan' })
  useKeyRows('Today', () => [
    { key: ' ', name: nextWords.value, run: go },
    { key: 'p', name: 'Plan the day', run: goToPlan },
    ...(plans.current
      ? [
          { key: 'r', name: 'Plan again from now', run: () => void replan() },
          { key: 'h', name: 'Preparations', run: () => void router.push({ name: 'prepare' }) },
        ]
      : []),
  ])

  const DUE_LOOK = {
    dry: {
      title: 'Dry checks due',
      line: texts.thesePrintsHaveDriedFor,
    },
    settled: { title: 'Two-week checks due', line: texts.hasColourHeldForTwo },
    later: { title: 'Repeat checks due', line: texts.measureSameSpotsInSame },
  } as const
  const numbered = (sheetId: string) => `Sheet ${workroom.find(sheetId)?.sheet.number ?? ''}`
  const titleOf = (sheetId: string, stepId: string) =>
    stepNamed(workroom.find(sheetId), stepId)?.title ?? stepId
  /** Looks for a plan from this moment on; with a moved step, whether it may be. */
  async function replan(pins?: readonly Pin[], moved?: { sheetId: string; stepId: string }): Promise<void> {
    const wish = plans.wishFromNow(pins)
    if (!wish || plans.isBusy) return
    if (!wish.sheetIds.length) return notice.say('The plan is complete.')
    try {
      const answer = await plans.look(wish, { effort: plans.QUICK, moved })
      if (answer.kind === 'made') {
        const id = await plans.keep(wish, answer.plan)
        notice.say(`New plan: finish ${timeOfDay(answer.plan.endsAt)}.`, () => plans.undoLast(id))
      } else if (answer.kind === 'notMoved')
        notice.refuse(
          new CoreError({ code: 'not-moved', field: 'plan', ...refusalLine(answer.why, numbered, now.now) }),
          'this',
        )
      else if (answer.kind === 'none')
        notice.refuse(
          new CoreError({
            code: 'no-plan',
            field: 'plan',
            problem: texts.thisPlanCanNoLonger,
            remedy:
              answer.reasons.map((reason) => reasonLine(reason, numbered, now.now, titleOf))[0] ??
              texts.planAgainFromNowWith,
          }),
          'this',
        )
    } catch (error) {
      notice.refuse(error, 'planning')
    }
  }
  function moveStep(step: { sheetId: string; stepId: string; from: number; to: number }): void {
    const plan = plans.current
    if (!plan || step.to === step.from) return
    const edge = step.to > step.from ? ('notBefore' as const) : ('notAfter' as const)
    const others = plan.pins.filter((pin) => pin.sheetId !== step.sheetId || pin.stepId !== step.stepId)
    // A moment that is past by the time the plan is looked for would say nothing.
    const pin: Pin = {
      sheetId: step.sheetId,
      stepId: step.stepId,
      edge,
      at: Math.max(step.to, Date.now() + 60_000),
    }
    void replan([...others, pin], step)
  }
  /** How much of the plan the busiest light burns for. */
  const lightShare = computed(() => {
    const plan = plans.current
    if (!plan) return null
    const busy = new Map<string, number>()
    for (const move of plan.moves) {
      const one = workroom.find(move.sheetId)
      if (one?.sheet.lightId && stepNamed(one, move.stepId)?.kind === 'expose')
        busy.set(one.sheet.lightId, (busy.get(one.sheet.lightId) ?? 0) + move.to - move.from)
    }
    return Math.round((100 * Math.max(0, ...busy.values())) / Math.max(1, plan.endsAt - plan.startsAt))
  })
  const stepTitle = (sheetId: string, stepId: string) =>
    stepNamed(workroom.find(sheetId), stepId)?.title.toLowerCase() ?? stepId
  const kicker = computed(() => {
    const planned = plans.current ? `, finish ${timeOfDay(plans.current.endsAt)}` : ''
    return `${nameOfDay(now.now)}, ${dayLine(workroom.open)}${planned}`
  })
  const prepared = usePreparations(() => plans.current)

  const named = (one: SheetInRoom) => `${one.sheet.number} ${one.sheet.title}`
  /** What to gather for a first print, and what to know before a bottle opens. */
  function firstNotes(): MarginNote[] {
    const stocks = schoolStocks(classicCyanotype, startingChoices(classicCyanotype))
    const bottles = classicCyanotype.components.map(
      (one) => `${one.letter}: ${one.name.toLowerCase()}, ${stocks[one.id]?.[0]?.percentWv} %`,
    )
    const cautions = [...new Set(classicCyanotype.components.flatMap((one) => one.cautions))]
    return [
      {
        title: 'What you need',
        lines: [...bottles, texts.softBrushWithoutMetalDistilled],
      },
      ...cautions.flatMap((id) => cautionNotes(classicCyanotype, id)),
      { title: 'Keys', lines: [texts.spaceDoesNextStepD] },
    ]
  }

  useMarginNotes(() => {
    if (isBare.value) return firstNotes()
    const notes: MarginNote[] = []
    if (plans.slipping.length)
      notes.push({
        title: 'Behind the plan',
        lines: [
          ...plans.slipping
            .slice(0, 4)
            .map((slip) => slipLine(slip, numbered, stepTitle(slip.sheetId, slip.stepId))),
          texts.pressRPlanAgainFrom,
        ],
        tone: 'caution',
      })
    const ready = (prepared.value?.list ?? []).filter((one) => one.wantedAt > now.now - 600_000).slice(0, 5)
    if (ready.length)
      notes.push({
        title: 'Preparations',
        lines: ready.map(
          (one) =>
            `${one.beginBy <= now.now ? 'now' : momentSaid(one.beginBy, now.now)}: ${preparationLine(one)}`,
        ),
      })
    const due = looksDue(workroom.states, now.now)
    for (const id of ['dry', 'settled', 'later'] as const) {
      const sheets = due.filter((look) => look.id === id).flatMap((look) => workroom.find(look.sheetId) ?? [])
      if (sheets.length)
        notes.push({
          title: DUE_LOOK[id].title,
          lines: [
            ...sheets.slice(0, MOST_NAMED).map(named),
            ...(sheets.length > MOST_NAMED ? [`and ${sheets.length - MOST_NAMED} more`] : []),
            DUE_LOOK[id].line,
          ],
          tone: 'caution',
        })
    }
    const coats = workroom.open.flatMap((one) => {
      const life = clocksOf(one.state, now.now).find((clock) => clock.kind === 'keeps')
      return life?.dueAt ? [`${named(one)}: print before ${momentSaid(life.dueAt, now.now)}`] : []
    })
    if (coats.length) notes.push({ title: 'Print these soon', lines: coats, tone: 'caution' })
    const waiting = workroom.open.filter(
      (one) => placeOf(one.state) === 'light' && one.state.steps[one.state.current]?.status === 'waiting',
    )
    if (waiting.length) notes.push({ title: 'Dry coats', lines: waiting.map(named) })
    const planned = workroom.open.filter((one) => placeOf(one.state) === 'planned')
    if (planned.length) notes.push({ title: 'Planned', lines: planned.map(named) })
    if (plans.current)
      notes.push({
        title: 'Move a step',
        lines: [texts.moveStepByKeys],
      })
    return notes
  })
  return {
    workroom,
    router,
    plans,
    thing,
    isAtWork,
    isBare,
    nextWords,
    go,
    replan,
    moveStep,
    lightShare,
    kicker,
  }
}
