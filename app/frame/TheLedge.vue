<script setup lang="ts">
import PressCard from '../kit/PressCard.vue'
import { computed } from 'vue'
import { useRouter, type RouteLocationRaw } from 'vue-router'
import { ledgeOf } from '@core/run/deadlines'
import { sharedClocks } from '@core/run/rowClocks'
import { formatSpan } from '@core/quantity/format'
import { useNow } from '../state/useNow'
import { useWorkroom } from '../state/workroom.store'
import { useLights } from '../state/lights.store'
import { useNegativeQueue } from '../state/queue.store'
import { isLate, lateWords, ledgeFigure, ledgeLine } from '../words/clockWords'
import { momentSaid } from '../words/moments'
import { stationOfSheet } from '../state/stations'

const workroom = useWorkroom()
const lights = useLights()
const queue = useNegativeQueue()
const now = useNow()
const router = useRouter()

/** One clock as the ledge shows it. */
interface LedgeItem {
  key: string
  figure: string
  line: string
  isOver: boolean
  /** Long past its time: what to do is said, without alarm. */
  isLate: boolean
  isHeld: boolean
  share: number
  to: RouteLocationRaw
}
/** A bar that grew by a part of a pixel would be painted for nothing, four times a second. */
const inSteps = (share: number) => Math.min(1, Math.floor(share * 150) / 150)
const worked = computed(() =>
  sharedClocks(ledgeOf(workroom.states, now.now, lights.courseOf), workroom.ofClock).flatMap(
    ({ clock, sheetIds }): LedgeItem[] => {
      const found = workroom.work(clock.sheetId)
      if (!found) return []
      return [
        {
          key: `${clock.sheetId}/${clock.stepId}/${clock.kind}`,
          figure: ledgeFigure(clock),
          line: `${workroom.nameOf(sheetIds)} · ${isLate(clock) ? lateWords(found.definition, clock) : ledgeLine(found.definition, clock, now.now)}`,
          isOver: (clock.remainingSeconds ?? 1) <= 0 && !isLate(clock),
          isLate: isLate(clock),
          isHeld: clock.held,
          share: clock.targetSeconds ? inSteps(clock.elapsedSeconds / clock.targetSeconds) : 0,
          to: { name: stationOfSheet(found.state), params: { sheetId: clock.sheetId } },
        },
      ]
    },
  ),
)
/** Solutions that rest until they may be used; they come after what is in the hands. */
const resting = computed(() =>
  workroom.bottles.flatMap(({ id, name, label, madeAt, ripeAt, ended }): LedgeItem[] => {
    if (ended || ripeAt === undefined || ripeAt <= now.now) return []
    const began = madeAt ?? now.now
    return [
      {
        key: id,
        figure: formatSpan(Math.max(60, Math.ceil((ripeAt - now.now) / 60_000) * 60)),
        line: `${name} ${label} · resting, ready ${momentSaid(ripeAt, now.now)}`,
        isOver: false,
        isLate: false,
        isHeld: false,
        share: ripeAt > began ? Math.min(1, (now.now - began) / (ripeAt - began)) : 0,
        to: { name: 'shelf', params: { bottleId: id } },
      },
    ]
  }),
)
/** Films that are made beside the page. */
const films = computed(() =>
  queue.waiting.map((job): LedgeItem => ({
    key: job.id,
    figure: `${Math.round(100 * job.share)} %`,
    line: `${job.fileName} · ${job.state === 'working' ? 'in progress' : 'waiting'}`,
    isOver: false,
    isLate: false,
    isHeld: job.state === 'waiting',
    share: job.share,
    to: { name: 'negative' },
  })),
)
const items = computed(() => [...worked.value, ...films.value, ...resting.value])
const go = (item: LedgeItem) => void router.push(item.to)
function goToNearest(): void {
  const nearest = items.value[0]
  if (nearest) go(nearest)
}
defineExpose({ goToNearest })
</script>

<template>
  <section class="TheLedge" aria-label="Running clocks">
    <PressCard
      v-for="item in items"
      :key="item.key"
      class="TheLedge-clock"
      :class="{ 'is-over': item.isOver, 'is-late': item.isLate, 'is-held': item.isHeld }"
      @click="go(item)"
    >
      <i class="TheLedge-share" :style="{ width: `${100 * item.share}%` }" aria-hidden="true" />
      <strong>{{ item.figure }}</strong>
      <span>{{ item.line }}</span>
    </PressCard>
    <p v-if="!items.length" class="TheLedge-still">No clock is running.</p>
  </section>
</template>

<style scoped>
.TheLedge {
  display: flex;
  overflow: auto hidden;
  height: var(--es-ledge-height);
  border-top: 3px solid var(--es-rule-strong);
  background: var(--es-index);
}

.TheLedge-clock {
  position: relative;
  content-visibility: auto;
  contain-intrinsic-width: auto 210px;
  display: grid;
  flex: none;
  align-content: center;
  min-width: 11.875rem;
  padding: var(--es-space-2) var(--es-space-6) var(--es-space-1);
  border: 0;
  border-right: 1px solid var(--es-rule);
  background: none;
  cursor: pointer;
  text-align: left;
}

.TheLedge-clock strong {
  font-size: var(--es-size-figure);
  font-weight: 400;
  line-height: 1.15;
}

.TheLedge-clock span {
  color: var(--es-quiet);
  font-size: var(--es-size-small);
}

/* Over the ledge's own edge, so that what has run is drawn in ember on it. */
.TheLedge-share {
  position: absolute;
  inset: 0 auto auto 0;
  height: 3px;
  background: var(--es-ember);
}

.TheLedge-clock.is-over {
  animation: over 1.2s steps(2, jump-none) infinite;
}

.TheLedge-clock.is-over,
.TheLedge-clock.is-over span {
  background: var(--es-ember);
  color: var(--es-page);
}

.TheLedge-clock.is-late {
  max-width: 15rem;
}

.TheLedge-clock.is-late strong {
  color: var(--es-ember);
  font-size: var(--es-size-lead);
}

.TheLedge-clock.is-held strong {
  font-style: italic;
}

.TheLedge-still {
  align-self: center;
  padding: 0 var(--es-pad);
  color: var(--es-quiet);
  font-size: var(--es-size-small);
}

@keyframes over {
  to {
    filter: brightness(0.82);
  }
}
</style>
