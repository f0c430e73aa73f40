<script setup lang="ts">
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { diaryOf } from '@core/schedule/diary'
import { formatQuantity } from '@core/quantity/format'
import { useNow } from '../../../state/useNow'
import { useWorkroom } from '../../../state/workroom.store'
import BigTarget from '../../../kit/BigTarget.vue'
import EmptyPage from '../../../kit/EmptyPage.vue'
import { useKeyRows } from '../../../state/keys.store'
import { useMarginNotes } from '../../../state/margin.store'
import { dayOf, momentSaid } from '../../../words/moments'
import { useNotice } from '../../../state/notice.store'
import { saveFile } from '../../../state/saveFile'
import { calendarFile } from '../calendarFile'
import { usePlan } from '../../../state/plan.store'
import { becauseLine, preparationLine } from '../planWords'
import { usePreparations } from '../usePreparations'

/** What the plan wants ready, and when to begin with it; all of it as a calendar file. */
const [router, workroom, plans, now, notice] = [useRouter(), useWorkroom(), usePlan(), useNow(), useNotice()]
const prepared = usePreparations(() => plans.current)
const named = (sheetId: string) => {
  const one = workroom.find(sheetId)
  return one ? `Sheet ${one.sheet.number}, ${one.sheet.title}` : 'A sheet'
}
const entries = computed(() => {
  const plan = plans.current
  if (!plan || !prepared.value) return []
  const looks = (sheetId: string) =>
    (workroom.find(sheetId)?.definition.secondLooks ?? []).map(({ id, dueAfterSeconds }) => ({
      id,
      dueAfterSeconds,
    }))
  return diaryOf(plan, prepared.value.list, workroom.states, looks).filter(
    (entry) => entry.at > now.now - 86_400_000,
  )
})
const costLine = computed(() => {
  const { money = 0, without = 0 } = prepared.value?.cost ?? {}
  const left = without ? `, without ${without} whose bottles have no price` : ''
  return `The coats come to ${money.toFixed(2)} in your money${left}.`
})
async function save(): Promise<void> {
  try {
    const text = await calendarFile(entries.value, named)
    const at = plans.current?.startsAt ?? now.now
    const name = `ember-sheet-${new Date(at).toISOString().slice(0, 10)}.ics`
    saveFile(new Blob([text], { type: 'text/calendar' }), name)
    notice.say(`Written: ${name}, ${entries.value.length} entries.`)
  } catch (error) {
    notice.refuse(error, 'the calendar file')
  }
}
useKeyRows('To have ready', () => [
  { key: 'e', name: 'Write the calendar file', run: () => void save() },
  { key: 'escape', name: 'Back to today', run: () => void router.push({ name: 'today' }) },
])
useMarginNotes(() => [
  {
    title: 'When to begin',
    lines: [
      'What ripens is begun early enough to be ripe; what does not keep is left until it is wanted. Twenty minutes to make a solution, five to fill a tray.',
      'Only what is ripe and within its life counts as ready.',
    ],
  },
  {
    title: 'The calendar file',
    lines: [
      'Preparations, the session, and the later looks at its prints, as iCalendar: any calendar takes it.',
    ],
  },
])
</script>

<template>
  <EmptyPage
    v-if="!plans.current || !prepared"
    kicker="No plan"
    title="Nothing is planned"
    action="Plan the day"
    @act="router.push({ name: 'plan' })"
  >
    <p>From a plan follows what has to be made, filled and treated before it, and when.</p>
  </EmptyPage>

  <div v-else class="PreparePage">
    <header>
      <div>
        <p class="es-kicker">For the session of {{ dayOf(plans.current.startsAt) }}</p>
        <h1>To have ready</h1>
      </div>
      <BigTarget quiet label="Calendar file" hint="e" @press="save" />
    </header>
    <ul>
      <li
        v-for="one in prepared.list"
        :key="`${one.kind}-${one.id}`"
        :class="{ 'is-late': one.beginBy < now.now }"
      >
        <strong>{{ momentSaid(one.beginBy, now.now) }}</strong>
        <span>
          {{ preparationLine(one) }}
          <small v-if="becauseLine(one)">{{ becauseLine(one) }}</small>
        </span>
        <small>wanted {{ momentSaid(one.wantedAt, now.now) }}</small>
      </li>
    </ul>
    <p v-if="!prepared.list.length">Everything stands ready.</p>
    <section v-if="prepared.shopping.length" aria-label="To buy">
      <h2>To buy</h2>
      <p v-for="line in prepared.shopping" :key="line.substanceId">
        {{ line.name }}, {{ formatQuantity(line.grams - line.haveGrams, 'mass') }}, for
        {{ line.forWhat.join(', ').toLowerCase() }}
      </p>
    </section>
    <p v-if="prepared.cost.money" class="es-quiet">{{ costLine }}</p>
  </div>
</template>

<style scoped>
.PreparePage {
  display: grid;
  gap: var(--es-space-5);
}

header {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-5) var(--es-space-6);
  justify-content: space-between;
}

ul {
  margin: 0;
  padding: 0;
  list-style: none;
}

li {
  display: grid;
  grid-template-columns: 150px 1fr auto;
  gap: 0 var(--es-space-5);
  align-items: baseline;
  padding: var(--es-space-3) 0;
  border-bottom: 1px solid var(--es-rule);
}

li strong {
  font-variant-numeric: tabular-nums;
}

li.is-late strong {
  color: var(--es-ember);
}

small {
  color: var(--es-quiet);
  font-size: var(--es-size-small);
}

li span small {
  display: block;
}

h2 {
  font-size: var(--es-size-lead);
}

@media (width <= 640px) {
  li {
    grid-template-columns: 1fr;
  }
}
</style>
