<script setup lang="ts">
import { texts } from '../words'
import ChoiceCard from '../../../kit/ChoiceCard.vue'
import KitButton from '../../../kit/KitButton.vue'
import { formatSpan } from '@core/quantity/format'
import { standingWords } from '../../../words/printWords'
import BigTarget from '../../../kit/BigTarget.vue'
import EmptyPage from '../../../kit/EmptyPage.vue'
import { momentSaid, timeOfDay } from '../../../words/moments'
import TextField from '../../../kit/TextField.vue'
import PlanTable from '../parts/PlanTable.vue'
import { usePlanPage } from '../usePlanPage'

const {
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
} = usePlanPage()
</script>

<template>
  <EmptyPage
    v-if="!plans.candidates.length"
    kicker="Plan"
    title="No sheets to plan"
    action="New sheet"
    @act="router.push({ name: 'begin' })"
  >
    <p>{{ texts.addSheetsYouWantPrint }}</p>
  </EmptyPage>

  <form v-else class="PlanPage" @submit.prevent="next">
    <header>
      <div>
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
      Sheets {{ numbersOf(sheets) }} use the same mix.
      <KitButton kind="quiet" @click="fromOneGlass(sheets)">Coat them from one mix</KitButton>
    </p>

    <div class="PlanPage-fields">
      <TextField v-model="startsAt" label="Start at" placeholder="now" :fault="faults.startsAt" />
      <TextField v-model="finishBy" label="Finish by" placeholder="any time" :fault="faults.finishBy" />
    </div>
    <details>
      <summary>Equipment</summary>
      <div class="PlanPage-fields">
        <TextField v-for="{ key, label } in ROOM" :key="key" v-model="room[key]" :label="label" />
      </div>
      <p v-if="faults.room" role="alert">{{ faults.room.problem }} {{ faults.room.remedy }}</p>
    </details>

    <p v-if="planning" role="status">
      Searching
      <template v-if="soFar">
        : finished by {{ timeOfDay(soFar.endsAt) }} so far, earliest finish {{ timeOfDay(soFar.boundAt) }}
      </template>
      …
    </p>
    <section v-if="none" class="PlanPage-none" role="alert" aria-label="No plan">
      <h2>{{ none.isProven ? 'No plan fits' : 'No plan found' }}</h2>
      <p v-for="line in none.lines" :key="line">{{ line }}</p>
      <p v-if="!none.lines.length">{{ texts.removeSheetOrAllowMore }}</p>
    </section>
    <section v-if="made" aria-label="The plan">
      <h2>
        Finish {{ momentSaid(made.plan.endsAt, now.now) }},
        {{ formatSpan((made.plan.endsAt - made.wish.startsAt) / 1000) }} in total
      </h2>
      <p class="es-quiet">
        {{
          made.plan.isProven
            ? texts.shortestPossiblePlan
            : texts.shortestPlanFound({ earliest: timeOfDay(made.plan.boundAt) })
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
  grid-template-columns: repeat(auto-fill, minmax(min(18.75rem, 100%), 1fr));
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
  min-height: 3rem;
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
  grid-template-columns: repeat(auto-fit, minmax(min(10rem, 100%), 1fr));
  gap: var(--es-space-3) var(--es-space-6);
  max-width: 47.5rem;
}

summary {
  min-height: 2.5rem;
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
