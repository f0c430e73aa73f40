<script setup lang="ts">
import { texts } from './words'
import { computed, defineAsyncComponent, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { formatSpan } from '@core/quantity/format'
import { watchSystemClock } from '../storage/time'
import { useNow } from '../state/useNow'
import { useBaths } from '../state/baths.store'
import { useLights } from '../state/lights.store'
import { useWorkroom } from '../state/workroom.store'
import { stations } from '../state/stations'
import { clocksOf } from '@core/run/deadlines'
import { useKeyRows, useKeys } from '../state/keys.store'
import MarginColumn from './MarginColumn.vue'
import NoticeLine from './NoticeLine.vue'
import { useNotice } from '../state/notice.store'
import { usePreferences } from '../state/preferences.store'
import StationNav from './StationNav.vue'
import StandingNotices from './StandingNotices.vue'
import TheLedge from './TheLedge.vue'
import ThumbIndex from './ThumbIndex.vue'
import { useAlarms } from './useAlarms'
import { useAwakeScreen } from './useAwakeScreen'
import { openVoice } from '../state/voice'

// Keys are asked for rarely, and their dialog is half the weight of the first screen.
const KeySheet = defineAsyncComponent(() => import('./KeySheet.vue'))

const router = useRouter()
const keys = useKeys()
const workroom = useWorkroom()
const [baths, lights] = [useBaths(), useLights()]
/** No page speaks, and nothing can be pressed, before what it goes by is read: a tray is not empty because it is unread. */
const isReady = computed(() => workroom.isReady && baths.isReady && lights.isReady)
const now = useNow()
const preferences = usePreferences()
const notice = useNotice()
const areKeysShown = ref(false)
const ledge = ref<InstanceType<typeof TheLedge> | null>(null)

const isClockRunning = computed(() =>
  workroom.states.some((state) => clocksOf(state, now.now).some((clock) => clock.kind !== 'keeps')),
)
useAwakeScreen(() => isClockRunning.value)
// The system clock may be moved while a clock runs: that bends nothing, and is said.
watch(
  () => now.now,
  () => {
    const move = isReady.value ? watchSystemClock(isClockRunning.value) : null
    if (!move) return
    const { milliseconds, isCounted, change } = move
    const how = `The system clock moved ${milliseconds < 0 ? 'back' : 'forward'} by ${formatSpan(Math.abs(milliseconds) / 1000)}`
    if (isCounted)
      notice.say(texts.clockMovedOrSlept({ how }), change, texts.doNotCountThatTime) // prettier-ignore
    else if (milliseconds > 0)
      notice.say(`${how}. Running clocks go on as before.`, change, 'The computer slept: count that time') // prettier-ignore
    else notice.say(`${how}. Running clocks go on as before.`)
  },
)
useAlarms()

useKeyRows('Everywhere', () => [
  ...stations.map((station, index) => ({
    key: String(index + 1),
    name: station.title,
    run: () => void router.push({ name: station.name }),
  })),
  { key: 'n', name: 'New sheet', run: () => void router.push({ name: 'begin' }) },
  { key: 'g', name: 'Go to the next clock', run: () => ledge.value?.goToNearest() },
  { key: 'd', name: 'Switch daylight / dim room', run: preferences.switchPalette },
  { key: 'o', name: 'Workroom: backup, import, settings', run: () => void router.push({ name: 'workroom' }) },
  { key: '?', name: 'Show all keys', run: () => (areKeysShown.value = true) },
])

/** A button that was clicked gives the keyboard back, so that a foot pedal's space does the next thing, not the last. */
function releaseFocus(event: MouseEvent): void {
  const pressed = event.target instanceof Element ? event.target.closest('button, a') : null
  if (event.detail > 0 && pressed instanceof HTMLElement && !pressed.closest('[role=dialog], form'))
    pressed.blur()
}

document.addEventListener('keydown', keys.answer)
document.addEventListener('keydown', openVoice)
document.addEventListener('pointerdown', openVoice)
</script>

<template>
  <div class="AppShell" :class="{ 'has-folded-notes': !preferences.chosen.notes }" @click="releaseFocus">
    <main id="page" class="AppShell-page" tabindex="-1">
      <StationNav v-if="isReady" />
      <StandingNotices :is-clock-running="isClockRunning" />
      <RouterView v-if="isReady" v-slot="{ Component, route }">
        <!-- Another recipe in the address is another form, also where a form is open already. -->
        <!-- A practice print is kept while another station asks for hands; no record holds it. -->
        <KeepAlive include="PracticeStation">
          <component :is="Component" :key="route.name === 'make' ? route.fullPath : undefined" />
        </KeepAlive>
      </RouterView>
    </main>
    <MarginColumn class="AppShell-margin" />
    <ThumbIndex class="AppShell-index" @show-keys="areKeysShown = true" />
    <NoticeLine class="AppShell-notice" />
    <TheLedge ref="ledge" class="AppShell-ledge" />
    <KeySheet v-if="areKeysShown" @close="areKeysShown = false" />
  </div>
</template>

<style scoped>
.AppShell {
  display: grid;
  grid-template: minmax(0, 1fr) auto auto / minmax(0, 1fr) var(--es-margin-width) var(--es-index-width);
  height: 100dvh;
}

.AppShell-page {
  grid-row: 1 / 3;
  overflow: hidden auto;
  padding: var(--es-space-4) var(--es-pad) var(--es-space-6);
  outline: none;
}

.AppShell.has-folded-notes {
  --es-margin-width: 3rem;
}

.AppShell-ledge {
  grid-column: 1 / -1;
}

.AppShell-index {
  grid-area: 1 / 3 / span 2;
}

/* A message takes its room from the margin, so that nothing on the page moves or is covered. */
.AppShell-notice {
  grid-area: 2 / 2;
}

/* Without the margin there is no room but the page's own. */
.has-folded-notes .AppShell-notice {
  grid-area: 2 / 1;
}

.has-folded-notes .AppShell-page {
  grid-row: 1;
}

@media (width <= 51.25em) {
  .AppShell {
    display: block;
    height: auto;
    min-height: 100dvh;
    padding-bottom: calc(var(--es-bar-bottom) + var(--es-space-3));
  }

  /* The window scrolls here; were the page a scrolling box too, bars would stick to its end and not stay in sight. */
  .AppShell-page {
    overflow: clip visible;
  }

  .AppShell-notice {
    position: fixed;
    bottom: calc(var(--es-ledge-height) + var(--es-index-height));
    z-index: 10;
    width: 100%;
  }

  .AppShell-ledge {
    position: fixed;
    bottom: var(--es-index-height);
    z-index: 9;
    width: 100%;
  }

  .AppShell-index {
    position: fixed;
    bottom: 0;
    z-index: 9;
    width: 100%;
  }
}
</style>
