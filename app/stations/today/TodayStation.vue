<script setup lang="ts">
import KitButton from '../../kit/KitButton.vue'
import { hasServer } from '../../storage/server'
import { goToWorkroom } from '../../storage/whichWorkroom'
import BigTarget from '../../kit/BigTarget.vue'
import EmptyPage from '../../kit/EmptyPage.vue'
import { timeOfDay } from '../../words/moments'
import DayThreads from './parts/DayThreads.vue'
import { headline } from './todayWords'
import { useTodayStation } from './useTodayStation'

const {
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
} = useTodayStation()
</script>

<template>
  <EmptyPage
    v-if="isBare"
    kicker="An empty workroom"
    title="Begin with one sheet of paper"
    action="A first print"
    @act="router.push({ name: 'start' })"
  >
    <p>
      You need two bottles (iron citrate and ferricyanide), a brush, a sheet of paper, something to print
      through, and light.
    </p>
    <p>
      Ember Sheet counts the drops with you, keeps the clocks of coat, exposure and wash, and writes the
      record as you work. Nothing leaves this machine.
    </p>
    <p>
      <RouterLink :to="{ name: 'begin' }">Begin a sheet with all its choices</RouterLink>
      or
      <KitButton v-if="hasServer" kind="link" class="TodayStation-demo" @click="goToWorkroom('demo')">
        look round the demo
      </KitButton>
    </p>
  </EmptyPage>

  <div v-else class="TodayStation">
    <header>
      <div>
        <p class="es-kicker">{{ kicker }}</p>
        <h1>{{ headline(thing, workroom.work) }}</h1>
      </div>
      <BigTarget :label="nextWords" hint=" " @press="go" />
    </header>
    <nav class="TodayStation-acts" aria-label="The day">
      <RouterLink :to="{ name: 'plan' }">Plan the day</RouterLink>
      <template v-if="plans.current">
        <KitButton kind="link" :disabled="plans.isBusy" @click="replan()">
          {{ plans.isBusy ? 'Planning…' : 'Plan again from now' }}
        </KitButton>
        <RouterLink :to="{ name: 'prepare' }">To have ready</RouterLink>
      </template>
      <p v-if="plans.current" class="TodayStation-plan">
        light busy {{ lightShare }} %,
        {{
          plans.current.isProven
            ? 'cannot be shorter'
            : `cannot be over before ${timeOfDay(plans.current.boundAt)}`
        }}
      </p>
    </nav>
    <DayThreads v-if="isAtWork || plans.current" :sheets="workroom.open" @move="moveStep" />
    <p v-else class="TodayStation-still">
      No sheet is at work. Press
      <strong>n</strong>
      to begin one, or look at what hangs under Prints.
    </p>
  </div>
</template>

<style scoped>
.TodayStation-demo {
  padding: 0;
  border: 0;
  background: none;
  cursor: pointer;
  text-decoration: underline;
}

.TodayStation {
  display: grid;
  grid-template-rows: auto auto minmax(0, 1fr);
  gap: var(--es-space-5);
  height: 100%;
}

header {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-5) var(--es-space-6);
  align-items: flex-start;
}

header > div {
  flex: 1 1 340px;
}

.TodayStation-plan {
  color: var(--es-quiet);
  margin-left: auto;
  font-size: var(--es-size-small);
}

.TodayStation-acts {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-2) var(--es-space-6);
  align-items: center;
  min-height: 32px;
}

.TodayStation-still {
  font-size: var(--es-size-lead);
}

@media (width <= 820px) {
  .TodayStation {
    height: auto;
  }
}
</style>
