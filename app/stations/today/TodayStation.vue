<script setup lang="ts">
import { texts } from './words'
import KitButton from '../../kit/KitButton.vue'
import { hasServer } from '../../storage/server'
import { goToWorkroom } from '../../storage/whichWorkroom'
import BigTarget from '../../kit/BigTarget.vue'
import EmptyPage from '../../kit/EmptyPage.vue'
import { timeOfDay } from '../../words/moments'
import RoomPlaces from './parts/RoomPlaces.vue'
import RunningOrder from './parts/RunningOrder.vue'
import type { Cue } from './runningOrder'
import { headline } from './todayWords'
import { useRunningOrder } from './useRunningOrder'
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
const { order, room, done, stepTitle, durationOf, placeToGo, moved } = useRunningOrder()
function move(cue: Cue, quarters: number): void {
  const step = moved(cue, quarters)
  if (step) moveStep(step)
}
</script>

<template>
  <EmptyPage
    v-if="isBare"
    kicker="Welcome"
    title="Start with one sheet of paper"
    action="Make a first print"
    @act="router.push({ name: 'start' })"
  >
    <p>
      {{ texts.youNeedTwoBottlesIron }}
    </p>
    <p>
      {{ texts.emberSheetCountsDropsWith }}
    </p>
    <p>
      <RouterLink :to="{ name: 'begin' }">New sheet with all options</RouterLink>
      or
      <KitButton v-if="hasServer" kind="quiet" class="TodayStation-demo" @click="goToWorkroom('demo')">
        open the demo
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
    <div v-if="plans.current" class="TodayStation-acts">
      <KitButton kind="quiet" :disabled="plans.isBusy" @click="replan()">
        {{ plans.isBusy ? 'Planning…' : 'Plan again from now' }}
      </KitButton>
      <p class="TodayStation-plan">
        Lamp in use {{ lightShare }} %,
        {{
          plans.current.isProven
            ? 'shortest possible plan'
            : `earliest finish ${timeOfDay(plans.current.boundAt)}`
        }}
      </p>
    </div>
    <div v-if="isAtWork || plans.current" class="TodayStation-day">
      <RunningOrder
        :order="order"
        :done="done"
        :step-title="stepTitle"
        :duration-of="durationOf"
        :place-to-go="placeToGo"
        @move="move"
      />
      <RoomPlaces :room="room" :place-to-go="placeToGo" />
    </div>
    <p v-else class="TodayStation-still">
      No sheet is in progress. Press
      <strong>n</strong>
      {{ texts.startOneOrOpenPrints }}
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
  gap: var(--es-space-5);
}

.TodayStation-day {
  display: grid;
  grid-template-columns: minmax(0, 3fr) minmax(0, 2fr);
  gap: var(--es-space-7);
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
  min-height: 2rem;
}

.TodayStation-still {
  font-size: var(--es-size-lead);
}

@media (width <= 51.25em) {
  .TodayStation-day {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
