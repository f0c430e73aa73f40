<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import type { BenchTray } from '@core/process/bench'
import { ledgeOf } from '@core/run/deadlines'
import { coatSolutes } from '@core/process/orderRules'
import { nextRocking } from '@core/run/timing'
import { trayVolume } from '@core/paper/amounts'
import { formatClock } from '@core/quantity/format'
import type { Happening } from '@core/schema/event'
import { substances } from '@library/index'
import { useNow } from '../../state/useNow'
import { useWorkroom, type SheetInRoom } from '../../state/workroom.store'
import { addWaste, takeWasteBack } from '../../state/actions/shelf.actions'
import { usePour } from '../../state/usePour'
import BigClock from '../../kit/BigClock.vue'
import BigTarget from '../../kit/BigTarget.vue'
import EmptyPage from '../../kit/EmptyPage.vue'
import EndpointStrip from '../../kit/EndpointStrip.vue'
import FindingList from '../../kit/FindingList.vue'
import { useKeyRows } from '../../state/keys.store'
import LeastTime from '../../kit/LeastTime.vue'
import { useNotice } from '../../state/notice.store'
import StationHead from '../../kit/StationHead.vue'
import { useStation } from '../../state/useStation'
import BathPanel from './parts/BathPanel.vue'
import { useBaths } from '../../state/baths.store'
import TrayRow from './parts/TrayRow.vue'
import { useWetNotes } from './useWetNotes'

const [router, workroom, baths, now, notice] = [useRouter(), useWorkroom(), useBaths(), useNow(), useNotice()]
const {
  here,
  inHand,
  step,
  stepWords,
  reading,
  hasMovedOn,
  placeTitle,
  record,
  takeBack,
  move,
  follow,
  choose,
} = useStation('wet', withBath)

/** A print that leaves a tray says which bath it lay in. */
function withBath(next: Happening): Happening {
  const bath = inHand.value && next.type === 'stepFinished' ? baths.bathUnder(inHand.value) : null
  return bath && next.type === 'stepFinished' ? { ...next, bathId: bath.id } : next
}

// What is told in words need not be asked at every beat.
const second = computed(() => Math.floor(now.now / 1000) * 1000)
const isWaiting = computed(() => step.value?.status === 'waiting')
const title = computed(() => {
  if (hasMovedOn.value) return inHand.value?.state.setAside ? 'Set aside' : 'On the line'
  const name = stepWords.value?.title ?? ''
  return isWaiting.value ? `Ready: ${name.toLowerCase()}` : name
})
const nextWords = computed(
  () => (isWaiting.value ? stepWords.value?.press.start : stepWords.value?.press.finish) ?? '',
)
const waters = computed(() => step.value?.waters.length ?? 0)

/** Every process at work on the bench, the one in hand first, each with its sheets. */
const benches = computed(() => {
  const sheets = [
    ...(inHand.value ? [inHand.value] : []),
    ...here.value.filter((one) => one.sheet.id !== inHand.value?.sheet.id),
  ]
  const ids = [...new Set(sheets.map((one) => one.definition.id))]
  return ids.map((id) => {
    const own = sheets.filter((one) => one.definition.id === id)
    return { definition: (own[0] as SheetInRoom).definition, sheets: own }
  })
})

/** The print that wants a hand soonest, if it is not the one in hand. */
const other = computed(() => {
  const states = here.value
    .map((one) => one.state)
    .filter((state) => state.sheetId !== inHand.value?.sheet.id)
  const waiting = here.value.find(
    (one) =>
      one.sheet.id !== inHand.value?.sheet.id && one.state.steps[one.state.current]?.status === 'waiting',
  )
  const id = waiting?.sheet.id ?? ledgeOf(states, second.value)[0]?.sheetId
  return id ? (workroom.find(id) ?? null) : null
})
const rocking = computed(() => {
  const next = step.value && nextRocking(step.value, second.value)
  return next ? formatClock(Math.ceil((next - second.value) / 1000)) : null
})

const opened = ref<{ tray: BenchTray; processId: string } | null>(null)
const openedFor = computed(
  () => benches.value.find((bench) => bench.definition.id === opened.value?.processId)?.sheets[0] ?? null,
)
function open(tray: BenchTray, processId: string): void {
  opened.value =
    opened.value?.tray.id === tray.id && opened.value.processId === processId ? null : { tray, processId }
}

function next(): void {
  if (hasMovedOn.value) return follow()
  const what = isWaiting.value ? 'in' : 'out'
  void move(`Sheet ${inHand.value?.sheet.number}: ${stepWords.value?.title.toLowerCase()}, ${what}.`)
}
/** Water is changed; a solution is not. */
const isWater = computed(() => !!inHand.value && !baths.solutionOf(inHand.value, false))
const changeWater = () => step.value && void record({ type: 'waterChanged', step: step.value.planned.id })

/** Water in this tray: it may hold silver or dichromate, which is kept with what the coat gave it. */
const kept = computed(() => {
  const [one, wasteClass] = [inHand.value, stepWords.value?.isKept]
  if (!one || !wasteClass || isWaiting.value) return null
  // What the coat was dissolved in has dried off.
  const contents = coatSolutes(one.definition, one.sheet.choices)
    .filter(({ substanceId }) => substances[substanceId]?.state !== 'liquid')
    .map(({ substanceId }) => ({ substanceId }))
  return { name: `water of sheet ${one.sheet.number}`, contents, wasteClass }
})
const { findings: keptFindings, jarName } = usePour(kept)
async function keepWater(): Promise<void> {
  if (!kept.value || !inHand.value) return
  const amount = Math.round(trayVolume(inHand.value.sheet, 15).value / 50) * 50
  const { name, contents, wasteClass } = kept.value
  const id = await addWaste({ wasteClass, amount, unit: 'ml', what: name, contents })
  notice.say(`${amount} ml into the waste jar: ${jarName.value}.`, () => takeWasteBack(id))
}
const goToOther = () => other.value && choose(other.value.sheet.id)

useKeyRows('In the water', () => {
  if (!inHand.value) return []
  const isRunning = !hasMovedOn.value && !isWaiting.value
  return [
    { key: ' ', name: hasMovedOn.value ? `On to ${placeTitle.value}` : nextWords.value, run: next },
    ...(isRunning && isWater.value ? [{ key: 'w', name: 'Water changed', run: changeWater }] : []),
    ...(isRunning && kept.value
      ? [{ key: 'k', name: 'Keep this water in its jar', run: () => void keepWater() }]
      : []),
    ...(other.value ? [{ key: 'j', name: 'The other print that is due', run: goToOther }] : []),
    { key: 'u', name: 'Undo the last thing', run: () => void takeBack() },
  ]
})

useWetNotes({ inHand, here, stepWords, isWaiting, hasMovedOn, second })
</script>

<template>
  <EmptyPage
    v-if="!inHand"
    kicker="The trays are empty"
    title="Nothing is in the water"
    action="Go to the light"
    @act="router.push({ name: 'light' })"
  >
    <p>
      A print comes here when it leaves the frame. Each tray keeps its clock; the eye decides when it moves
      on.
    </p>
  </EmptyPage>

  <div v-else class="WetStation">
    <StationHead :title="title" :in-hand="inHand" :here="here" @choose="choose" />
    <TrayRow
      v-if="benches[0]"
      :definition="benches[0].definition"
      :sheets="benches[0].sheets"
      :in-hand-id="inHand.sheet.id"
      :open-tray="opened?.processId === benches[0].definition.id ? opened.tray.id : null"
      :is-named="benches.length > 1"
      :is-aside="false"
      @choose="choose"
      @open="open($event, benches[0].definition.id)"
    />
    <div v-if="benches.length > 1" class="WetStation-aside">
      <TrayRow
        v-for="bench in benches.slice(1)"
        :key="bench.definition.id"
        :definition="bench.definition"
        :sheets="bench.sheets"
        :in-hand-id="inHand.sheet.id"
        :open-tray="opened?.processId === bench.definition.id ? opened.tray.id : null"
        is-named
        is-aside
        @choose="choose"
        @open="open($event, bench.definition.id)"
      />
    </div>
    <BathPanel v-if="opened && openedFor" :tray="opened.tray" :one="openedFor" @close="opened = null" />

    <template v-if="hasMovedOn">
      <p class="WetStation-doing">It hangs. Look at it wet if you like; it counts only when it is dry.</p>
      <div class="WetStation-acts" :class="{ 'is-above': notice.current }">
        <BigTarget :label="`On to ${placeTitle}`" hint=" " @press="next" />
        <BigTarget
          v-if="other"
          quiet
          :label="`Sheet ${other.sheet.number} next`"
          hint="j"
          @press="goToOther"
        />
        <BigTarget plain label="Undo" hint="u" @press="takeBack" />
      </div>
    </template>

    <template v-else-if="step && stepWords">
      <div class="WetStation-bath" :class="{ 'is-low': benches.length > 1 }">
        <div>
          <p class="WetStation-doing">{{ stepWords.doing }}</p>
          <BigClock v-if="reading" :reading="reading" />
          <p v-if="rocking" class="es-quiet">Rock it, or turn it over, in {{ rocking }}.</p>
        </div>
        <div>
          <LeastTime :step="stepWords" :sheet="inHand.sheet" />
          <EndpointStrip :colours="stepWords.endpoint?.swatch ?? []" />
        </div>
      </div>
      <FindingList :findings="keptFindings" />
      <div class="WetStation-acts" :class="{ 'is-above': notice.current }">
        <BigTarget :label="nextWords" hint=" " @press="next" />
        <BigTarget
          v-if="!isWaiting && isWater"
          quiet
          :label="waters ? `Water changed (${waters})` : 'Water changed'"
          hint="w"
          @press="changeWater"
        />
        <BigTarget v-if="kept" quiet label="Keep this water" hint="k" @press="keepWater" />
        <BigTarget
          v-if="other"
          quiet
          :label="`Sheet ${other.sheet.number} next`"
          hint="j"
          @press="goToOther"
        />
        <BigTarget plain label="Undo" hint="u" @press="takeBack" />
      </div>
    </template>
  </div>
</template>

<style scoped>
.WetStation {
  display: grid;
  gap: var(--es-space-5);
}

.WetStation-bath {
  display: grid;
  padding-top: var(--es-space-3);
  border-top: 1px solid var(--es-rule);
  grid-template-columns: minmax(0, 1fr) minmax(0, 330px);
  gap: var(--es-space-6);
  align-items: end;
}

.WetStation-aside {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-4) var(--es-space-8);
}

.WetStation > :deep(.StationHead) {
  margin-bottom: 0;
}

.WetStation-doing {
  max-width: 40em;
  font-size: var(--es-size-lead);
}

.WetStation-bath :deep(.BigClock-figure) {
  font-size: var(--es-size-clock);
}

.WetStation-bath.is-low :deep(.BigClock-figure) {
  font-size: calc(0.8 * var(--es-size-clock));
}

/* Always at hand, however many trays there are. */
.WetStation-acts {
  position: sticky;
  bottom: var(--es-bar-bottom);
  z-index: 2;
  padding: var(--es-space-3) 0 var(--es-space-5);
  background: var(--es-page);
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-4);
}

/* What was just said lies over the end of the page for a while; the target stays above it. */
.WetStation-acts.is-above {
  bottom: 32px;
}

.WetStation-acts :deep(.BigTarget.is-quiet) {
  padding-inline: var(--es-space-5);
  font-size: var(--es-size-lead);
}

@media (width <= 820px) {
  .WetStation-bath {
    grid-template-columns: minmax(0, 1fr);
  }

  /* On a telephone what is in the hand comes before the rest of the bench. */
  .WetStation > :deep(section),
  .WetStation-aside {
    order: 1;
  }
}
</style>
