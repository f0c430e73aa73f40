<script setup lang="ts">
import WayBack from '../../../kit/WayBack.vue'
import { texts } from '../words'
import { computed } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { clocksOf } from '@core/run/deadlines'
import { nextMove } from '@core/run/nextMove'
import { stepInHand, wordsIdOf } from '@core/run/runState'
import { storyOf } from '@core/run/story'
import { formatOnRule } from '@core/quantity/format'
import { logOf } from '../../../storage/log'
import { useLiveQuery } from '../../../state/useLiveQuery'
import { useNow } from '../../../state/useNow'
import { useRecording } from '../../../state/useRecording'
import { useWorkroom } from '../../../state/workroom.store'
import BigClock from '../../../kit/BigClock.vue'
import LeaveOut from '../../../kit/LeaveOut.vue'
import BigTarget from '../../../kit/BigTarget.vue'
import UndoTargets from '../../../kit/UndoTargets.vue'
import EmptyPage from '../../../kit/EmptyPage.vue'
import { useKeyRows } from '../../../state/keys.store'
import { useMarginNotes } from '../../../state/margin.store'
import { timeOfDay } from '../../../words/moments'
import { usePreferences } from '../../../state/preferences.store'
import { stepNotes } from '../../../words/stepNotes'

const [route, router, workroom, now, preferences] = [
  useRoute(),
  useRouter(),
  useWorkroom(),
  useNow(),
  usePreferences(),
]
const id = computed(() => String(route.params.sheetId ?? ''))
const inHand = computed(() => workroom.findTreatment(id.value))
const step = computed(() => (inHand.value ? stepInHand(inHand.value.state) : null))
const words = computed(() => {
  const planned = step.value?.planned
  return (planned && inHand.value?.definition.steps.find((one) => one.id === wordsIdOf(planned))) ?? null
})
const reading = computed(
  () =>
    (inHand.value &&
      clocksOf(inHand.value.state, now.now).find((clock) => clock.stepId === step.value?.planned.id)) ??
    null,
)
const pieces = computed(() =>
  workroom.pieces
    .filter((one) => inHand.value?.run.pieceIds.includes(one.id))
    .map((one) => one.label)
    .sort((a, b) => a.localeCompare(b, 'en', { numeric: true })),
)
const rule = (millimetres: number) => formatOnRule(millimetres, preferences.chosen.length)
const size = computed(() =>
  inHand.value
    ? `${rule(inHand.value.run.widthMillimetres)} × ${rule(inHand.value.run.heightMillimetres)}`
    : '',
)
const half = computed(() => workroom.pieces.find((one) => one.id === inHand.value?.run.halfPieceId)?.label)
const log = useLiveQuery(() => logOf(id.value), [], [id])
const story = computed(() =>
  inHand.value && log.value.length ? storyOf(id.value, log.value, inHand.value.definition) : [],
)

const { record, undoLast, redoLast, mayRedo } = useRecording(() => id.value || null)
const target = computed(
  () => (step.value?.status === 'waiting' ? words.value?.press.start : words.value?.press.finish) ?? '',
)
function next(): void {
  const move = inHand.value && nextMove(inHand.value.state, Date.now())
  if (move) void record(move)
}
useKeyRows('Treatment', () => [
  ...(step.value ? [{ key: ' ', name: target.value, run: next }] : []),
  { key: 'u', name: 'Undo the last step', run: () => void undoLast() },
  ...(mayRedo.value ? [{ key: 'y', name: 'Redo', run: () => void redoLast() }] : []),
])
useMarginNotes(() => (inHand.value ? stepNotes(inHand.value.definition, words.value) : []))
</script>

<template>
  <EmptyPage
    v-if="!inHand"
    kicker="Paper"
    title="Treatment not found"
    action="Go to Paper"
    @act="router.push({ name: 'paper' })"
  >
    <p>It may belong to another workroom.</p>
  </EmptyPage>
  <section v-else class="TreatmentPage">
    <WayBack />
    <header>
      <p class="es-kicker">
        Paper {{ inHand.run.number }} · {{ inHand.definition.name }} · {{ inHand.run.sheets }}
        {{ inHand.run.sheets === 1 ? 'sheet' : 'sheets' }} of
        {{ size }}
      </p>
      <h1>{{ words?.title ?? 'Done' }}</h1>
    </header>
    <p v-if="pieces.length">
      {{ pieces.join(', ') }}
      <template v-if="half">{{ texts.dipOnlyHalf({ piece: half }) }}</template>
    </p>
    <template v-if="step && words">
      <p class="TreatmentPage-doing">{{ words.doing }}</p>
      <BigClock v-if="reading" :reading="reading" />
    </template>
    <p v-else class="TreatmentPage-doing">
      {{ texts.sheetsReadyWettedSheetDries }}
    </p>
    <div class="TreatmentPage-acts">
      <BigTarget v-if="step" :label="target" hint=" " @press="next" />
      <BigTarget v-else label="Go to Paper" @press="router.push({ name: 'paper' })" />
      <UndoTargets :may-redo="mayRedo" @undo="undoLast" @redo="redoLast" />
      <LeaveOut
        v-if="step"
        :state="inHand.state"
        :definition="inHand.definition"
        :choices="inHand.run.choices"
        @leave="record({ type: 'stepLeftOut', step: $event })"
      />
    </div>
    <ol aria-label="History">
      <li v-for="line in story" :key="`${line.at}/${line.what}`">
        <span class="es-quiet">{{ timeOfDay(line.at) }}</span>
        {{ line.what }}
        <span class="es-quiet">{{ line.detail }}</span>
      </li>
    </ol>
  </section>
</template>

<style scoped>
.TreatmentPage {
  display: grid;
  gap: var(--es-space-5);
}

.TreatmentPage-doing {
  max-width: 44em;
  font-size: var(--es-size-lead);
}

.TreatmentPage-acts {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-4);
}

ol {
  margin: 0;
  padding: 0;
  list-style: none;
}
</style>
