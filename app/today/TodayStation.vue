<script setup lang="ts">
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { clocksOf } from '@core/process/deadlines'
import { looksDue, nextThing } from '@core/schedule/nextThing'
import { schoolStocks, startingChoices } from '@core/process/plan'
import { placeOf } from '@core/process/standing'
import { classicCyanotype } from '@library/processes/classicCyanotype'
import { useNow } from '../data/useNow'
import { useWorkroom, type SheetInRoom } from '../data/workroom.store'
import { useLights } from '../light/lights.store'
import BigTarget from '../shell/BigTarget.vue'
import EmptyPage from '../shell/EmptyPage.vue'
import { useKeyRows } from '../shell/keys.store'
import { momentSaid, nameOfDay } from '../shell/moments'
import { useMarginNotes, type MarginNote } from '../shell/margin.store'
import { stationOfSheet } from '../stations'
import { cautionNotes } from '../shell/stepNotes'
import DayThreads from './DayThreads.vue'
import { dayLine, headline } from './todayWords'

const [workroom, now, router, lights] = [useWorkroom(), useNow(), useRouter(), useLights()]

const thing = computed(() => nextThing(workroom.states, now.now, lights.courseOf))
const next = computed(() => ('sheetId' in thing.value ? workroom.work(thing.value.sheetId) : undefined))
const isAtWork = computed(() =>
  workroom.sheets.some((one) => ['coat', 'light', 'wet', 'line'].includes(placeOf(one.state))),
)
/** No sheet yet, and no paper in a treatment either. */
const isBare = computed(() => !workroom.sheets.length && thing.value.kind === 'nothing')
const nextWords = computed(() => (next.value ? `Go to ${next.value.name.toLowerCase()}` : 'Begin a sheet'))

function go(): void {
  if (next.value)
    void router.push({ name: stationOfSheet(next.value.state), params: { sheetId: next.value.id } })
  else void router.push({ name: 'begin' })
}
useKeyRows('Today', () => [{ key: ' ', name: nextWords.value, run: go }])

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
      title: 'To have ready',
      lines: [...bottles, 'A soft brush without metal, distilled water, a frame or a sheet of glass.'],
    },
    ...cautions.flatMap((id) => cautionNotes(classicCyanotype, id)),
    { title: 'At the bench', lines: ['d dims the room, ? lists every key, space does the next thing.'] },
  ]
}

useMarginNotes(() => {
  if (isBare.value) return firstNotes()
  const notes: MarginNote[] = []
  const due = looksDue(workroom.states, now.now)
  for (const id of ['dry', 'settled'] as const) {
    const sheets = due.filter((look) => look.id === id).flatMap((look) => workroom.find(look.sheetId) ?? [])
    if (sheets.length)
      notes.push({
        title: id === 'dry' ? 'Due for a dry look' : 'Settled by now',
        lines: [
          ...sheets.map(named),
          id === 'dry'
            ? 'They have hung a day. Judge them now, not from the wet notes.'
            : 'Two weeks on: has the colour held?',
        ],
        tone: 'caution',
      })
  }
  const coats = workroom.sheets.flatMap((one) => {
    const life = clocksOf(one.state, now.now).find((clock) => clock.kind === 'keeps')
    return life?.dueAt ? [`${named(one)}: print before ${momentSaid(life.dueAt, now.now)}`] : []
  })
  if (coats.length) notes.push({ title: 'Coats that will not wait', lines: coats, tone: 'caution' })
  const ready = workroom.sheets.filter(
    (one) => placeOf(one.state) === 'light' && one.state.steps[one.state.current]?.status === 'waiting',
  )
  if (ready.length) notes.push({ title: 'Dry, in the dark drawer', lines: ready.map(named) })
  const planned = workroom.sheets.filter((one) => placeOf(one.state) === 'planned')
  if (planned.length) notes.push({ title: 'Planned', lines: planned.map(named) })
  if (isAtWork.value)
    notes.push({
      title: 'How to read the threads',
      lines: [
        'Time runs down. Thick where hands are needed, dotted where a sheet may wait, pale for what lies ahead if nothing slips.',
      ],
    })
  return notes
})
</script>

<template>
  <EmptyPage
    v-if="isBare"
    kicker="An empty workroom"
    title="Begin with one sheet of paper"
    action="Begin a sheet"
    @act="router.push({ name: 'begin' })"
  >
    <p>
      You need two bottles (iron citrate and ferricyanide), a brush, a sheet of paper, something to print
      through, and light.
    </p>
    <p>
      Ember Sheet counts the drops with you, keeps the clocks of coat, exposure and wash, and writes the
      record as you work. Nothing leaves this machine.
    </p>
  </EmptyPage>

  <div v-else class="TodayStation">
    <header>
      <div>
        <p class="es-kicker">{{ nameOfDay(now.now) }}, {{ dayLine(workroom.sheets) }}</p>
        <h1>{{ headline(thing, workroom.work) }}</h1>
      </div>
      <BigTarget :label="nextWords" hint=" " @press="go" />
    </header>
    <DayThreads v-if="isAtWork" :sheets="workroom.sheets" />
    <p v-else class="TodayStation-still">
      No sheet is at work. Press
      <strong>n</strong>
      to begin one, or look at what hangs under Prints.
    </p>
  </div>
</template>

<style scoped>
.TodayStation {
  display: grid;
  grid-template-rows: auto minmax(0, 1fr);
  gap: 20px;
  height: 100%;
}

header {
  display: flex;
  flex-wrap: wrap;
  gap: 14px 24px;
  align-items: flex-start;
}

header > div {
  flex: 1 1 340px;
}

.TodayStation-still {
  font-size: 18px;
}

@media (width <= 820px) {
  .TodayStation {
    height: auto;
  }
}
</style>
