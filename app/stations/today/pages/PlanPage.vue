<script setup lang="ts">
import ChoiceCard from '../../../kit/ChoiceCard.vue'
import KitButton from '../../../kit/KitButton.vue'
import { numberOrNull } from '@core/quantity/number'
import { computed, onUnmounted, ref, shallowRef } from 'vue'
import { useRouter } from 'vue-router'
import { CoreError } from '@core/errors'
import { formatSpan } from '@core/quantity/format'
import { PlanRoom } from '@core/schema/plan'
import { coatsAlike } from '@core/schedule/needs'
import { useNow } from '../../../state/useNow'
import { useWorkroom } from '../../../state/workroom.store'
import { standingWords } from '../../../words/printWords'
import BigTarget from '../../../kit/BigTarget.vue'
import EmptyPage from '../../../kit/EmptyPage.vue'
import { useKeyRows } from '../../../state/keys.store'
import { useMarginNotes } from '../../../state/margin.store'
import { momentSaid, timeOfDay } from '../../../words/moments'
import { useNotice } from '../../../state/notice.store'
import TextField from '../../../kit/TextField.vue'
import { useAttempt } from '../../../state/useAttempt'
import type { MadePlan } from '../../../workers/plan.worker'
import PlanTable from '../parts/PlanTable.vue'
import { usePlan, type PlanWish } from '../../../state/plan.store'
import { wasStopped } from '../../../workers/call'
import { reasonLine } from '../planWords'
import { readTime } from '../readTime'
import { partGlass, shareGlass } from '../../../state/actions/batch.actions'
import { stepNamed } from '../stepNamed'

/** A session planned from the prints wanted: which sheets, from when, until when, with what there is in the room. */
const [router, workroom, plans, now, notice] = [useRouter(), useWorkroom(), usePlan(), useNow(), useNotice()]
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
  { key: 'frames', label: 'Frames' },
  { key: 'underOneLight', label: 'Under one light at once' },
  { key: 'sheetsInATray', label: 'Sheets in a tray of solution' },
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
          problem: 'No sheet is in the plan.',
          remedy: 'Choose one, or begin a sheet first.',
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
          problem: 'Something in the room is no number of places.',
          remedy: 'Write whole numbers from 1 on.',
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
  notice.say(`Planned until ${momentSaid(made.value.plan.endsAt, now.now)}.`, () => plans.takeBack(id))
  void router.push({ name: 'today' })
}
const next = () => (made.value ? work() : planning.value ? cancel() : make())
const nextWords = computed(() =>
  made.value ? 'Work by this plan' : planning.value ? 'Stop looking' : 'Make the plan',
)
useKeyRows('The plan', () => [
  { key: 'enter', name: nextWords.value, run: () => void next() },
  { key: 'escape', name: 'Back to today', run: () => void router.push({ name: 'today' }) },
])

/** Sheets that take the same mix: what would save one is the printer's to choose. */
const alike = computed(() =>
  coatsAlike(plans.sheetsOf([...chosen.value])).map((group) => group.map((one) => one.sheet)),
)
async function fromOneGlass(sheets: readonly { id: string; number: number }[]): Promise<void> {
  const ids = sheets.map((sheet) => sheet.id)
  await shareGlass(ids)
  made.value = null
  notice.say(`Sheets ${numbersOf(sheets)} are coated from one glass.`, () => partGlass(ids))
}
const numbersOf = (sheets: readonly { number: number }[]) => sheets.map((sheet) => sheet.number).join(', ')
useMarginNotes(() => [
  {
    title: 'What a plan keeps',
    lines: [
      'Coats dry at least as long as they must and are printed within their life; prints go from the frame straight to the bath; baths are not left past their ceiling.',
      'One pair of hands: three minutes for a mix, two for a coat, one to lay a frame, half a minute to take it out, twenty seconds from tray to tray, a minute to hang. Common practice; where this app starts.',
    ],
  },
  ...(made.value?.plan.spent.length
    ? [
        {
          title: 'Past its life',
          lines: made.value.plan.spent.map(
            (one) => `${named(one.sheetId)}: its coat should have been used. Planned as if it still served.`,
          ),
          tone: 'caution' as const,
        },
      ]
    : []),
])
</script>

<template>
  <EmptyPage
    v-if="!plans.candidates.length"
    kicker="Nothing to plan"
    title="No sheet waits to be printed"
    action="Begin a sheet"
    @act="router.push({ name: 'begin' })"
  >
    <p>Begin the sheets you want to print; then their day can be planned.</p>
  </EmptyPage>

  <form v-else class="PlanPage" @submit.prevent="next">
    <header>
      <div>
        <p class="es-kicker">A session from the prints wanted</p>
        <h1>Plan the day</h1>
      </div>
      <BigTarget :label="nextWords" hint="enter" @press="next" />
    </header>

    <fieldset class="PlanPage-sheets">
      <legend>Which sheets</legend>
      <ChoiceCard
        v-for="one in plans.candidates"
        :key="one.sheet.id"
        :picked="chosen.has(one.sheet.id)"
        @pick="toggle(one.sheet.id)"
      >
        <span class="PlanPage-mark" :style="{ background: `var(--es-${one.definition.mark})` }" />
        <span>{{ one.sheet.number }} {{ one.sheet.title }}</span>
        <small>{{ one.definition.name }}, {{ standingWords(one, now.now) }}</small>
      </ChoiceCard>
      <p v-if="faults.sheets" role="alert">{{ faults.sheets.problem }} {{ faults.sheets.remedy }}</p>
    </fieldset>

    <p v-for="sheets in alike" :key="numbersOf(sheets)" class="PlanPage-alike">
      Sheets {{ numbersOf(sheets) }} take the same mix.
      <KitButton kind="link" @click="fromOneGlass(sheets)">Coat them from one glass</KitButton>
    </p>

    <div class="PlanPage-fields">
      <TextField v-model="startsAt" label="Begin at" placeholder="now" :fault="faults.startsAt" />
      <TextField v-model="finishBy" label="Over by" placeholder="when it is done" :fault="faults.finishBy" />
    </div>
    <details>
      <summary>What there is in the room</summary>
      <div class="PlanPage-fields">
        <TextField v-for="{ key, label } in ROOM" :key="key" v-model="room[key]" :label="label" />
      </div>
      <p v-if="faults.room" role="alert">{{ faults.room.problem }} {{ faults.room.remedy }}</p>
    </details>

    <p v-if="planning" role="status">
      Looking
      <template v-if="soFar">
        : over by {{ timeOfDay(soFar.endsAt) }} so far, cannot be before {{ timeOfDay(soFar.boundAt) }}
      </template>
      …
    </p>
    <section v-if="none" class="PlanPage-none" role="alert" aria-label="No plan">
      <h2>{{ none.isProven ? 'There is no such plan' : 'No plan was found' }}</h2>
      <p v-for="line in none.lines" :key="line">{{ line }}</p>
      <p v-if="!none.lines.length">Take a sheet out, or give it more time.</p>
    </section>
    <section v-if="made" aria-label="The plan">
      <h2>
        Over by {{ momentSaid(made.plan.endsAt, now.now) }},
        {{ formatSpan((made.plan.endsAt - made.wish.startsAt) / 1000) }} in all
      </h2>
      <p class="es-quiet">
        {{
          made.plan.isProven
            ? 'No plan could be shorter.'
            : `No plan could be over before ${timeOfDay(made.plan.boundAt)}; this is the shortest that was found.`
        }}
      </p>
      <PlanTable :moves="made.plan.moves" :hands="made.plan.hands" />
    </section>
  </form>
</template>

<style scoped>
.PlanPage {
  display: grid;
  gap: var(--es-space-5);
}

header {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-5) var(--es-space-6);
  align-items: flex-start;
  justify-content: space-between;
}

.PlanPage-sheets {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(300px, 1fr));
  gap: var(--es-space-1) var(--es-space-6);
  margin: 0;
  padding: 0;
  border: 0;
}

legend {
  padding: 0;
  color: var(--es-quiet);
  font-size: var(--es-size-small);
}

.PlanPage-sheets label {
  display: grid;
  grid-template-columns: auto auto 1fr;
  gap: 0 var(--es-space-3);
  align-items: center;
  min-height: 48px;
  border-bottom: 1px solid var(--es-rule);
  cursor: pointer;
}

.PlanPage-sheets small {
  grid-column: 3;
  color: var(--es-quiet);
  font-size: var(--es-size-small);
}

.PlanPage-sheets :deep(input) {
  grid-row: span 2;
  width: 20px;
  height: 20px;
  accent-color: var(--es-ember);
}

.PlanPage-mark {
  grid-row: span 2;
  width: 5px;
  height: 32px;
}

.PlanPage-fields {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(160px, 1fr));
  gap: var(--es-space-3) var(--es-space-6);
  max-width: 760px;
}

summary {
  min-height: 40px;
  color: var(--es-quiet);
  cursor: pointer;
}

[role='alert'] {
  color: var(--es-ember);
}

.PlanPage-none p {
  color: var(--es-ink);
  font-size: var(--es-size-lead);
}

h2 {
  font-size: var(--es-size-lead);
}
</style>
