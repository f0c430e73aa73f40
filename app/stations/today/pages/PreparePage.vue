<script setup lang="ts">
import { texts } from '../words'
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
  const left = without ? `, without ${without} (no price on their bottles)` : ''
  return texts.costOfCoats({ money: money.toFixed(2), left })
})
async function save(): Promise<void> {
  try {
    const text = await calendarFile(entries.value, named)
    const at = plans.current?.startsAt ?? now.now
    const name = `ember-sheet-${new Date(at).toISOString().slice(0, 10)}.ics`
    saveFile(new Blob([text], { type: 'text/calendar' }), name)
    notice.say(`Saved: ${name}, ${entries.value.length} entries.`)
  } catch (error) {
    notice.refuse(error, 'the calendar file')
  }
}
useKeyRows('Preparations', () => [
  { key: 'e', name: 'Save calendar file', run: () => void save() },
  { key: 'escape', name: 'Back to Today', run: () => void router.push({ name: 'today' }) },
])
useMarginNotes(() => [
  {
    title: 'When to start',
    lines: [texts.solutionsThatMustRestMade, texts.onlyRestedSolutionsWithinTheir],
  },
  {
    title: 'The calendar file',
    lines: [texts.preparationsSessionAndLaterChecks],
  },
])
</script>

<template>
  <EmptyPage
    v-if="!plans.current || !prepared"
    kicker="No plan"
    title="No plan yet"
    action="Plan the day"
    @act="router.push({ name: 'plan' })"
  >
    <p>{{ texts.planDayFirstThisPage }}</p>
  </EmptyPage>

  <div v-else class="PreparePage">
    <header>
      <div>
        <p class="es-kicker">Session of {{ dayOf(plans.current.startsAt) }}</p>
        <h1>Preparations</h1>
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
    <p v-if="!prepared.list.length">Everything is ready.</p>
    <section v-if="prepared.shopping.length" aria-label="Shopping list">
      <h2>Shopping list</h2>
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

@media (width <= 40em) {
  li {
    grid-template-columns: 1fr;
  }
}
</style>
