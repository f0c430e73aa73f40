<script setup lang="ts">
import KitButton from '../../kit/KitButton.vue'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { isOver } from '@core/run/nextMove'
import { changeExposure } from '@core/light/exposureChange'
import { exposureShare, plannedExposure } from '@core/light/plannedExposure'
import { printDeeper } from '@core/light/deeper'
import { doseSeconds, STEADY } from '@core/run/dose'
import { digits, formatClock, formatSpan, formatStops } from '@core/quantity/format'
import { useNow } from '../../state/useNow'
import { useWorkroom } from '../../state/workroom.store'
import BigClock from '../../kit/BigClock.vue'
import BigTarget from '../../kit/BigTarget.vue'
import EmptyPage from '../../kit/EmptyPage.vue'
import EndpointStrip from '../../kit/EndpointStrip.vue'
import FigureValue from '../../kit/FigureValue.vue'
import { useKeyRows } from '../../state/keys.store'
import { useMarginNotes } from '../../state/margin.store'
import StationHead from '../../kit/StationHead.vue'
import { stepNotes } from '../../words/stepNotes'
import { useStation } from '../../state/useStation'
import ExposureRule from './parts/ExposureRule.vue'
import { exposureNotes } from './exposureNotes'
import GiveMore from './parts/GiveMore.vue'
import LightNav from './parts/LightNav.vue'
import { useLights } from '../../state/lights.store'
import { COUNTED_BY, doseText, irradianceText } from './lightWords'
import StripCard from './parts/StripCard.vue'
import { useDoseClock } from './useDoseClock'

const [router, workroom, now] = [useRouter(), useWorkroom(), useNow()]
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
} = useStation('light', (next) => withLight(next))
const { course, samples, live, trouble, doubt, believeMeter, withLight, strip } = useDoseClock(
  () => inHand.value,
  () => step.value,
)
const lights = useLights()
const isGivingMore = ref(false)

const light = computed(() => workroom.lights.find((one) => one.id === inHand.value?.sheet.lightId))
const isWaiting = computed(() => step.value?.status === 'waiting')
const isOut = computed(() => step.value?.status === 'held')
const isDone = computed(() => inHand.value !== null && isOver(inHand.value.state, now.now, lights.courseOf))
const title = computed(() => {
  if (hasMovedOn.value) return inHand.value?.state.setAside ? 'Set aside' : 'Out of the light'
  const under = light.value ? `, under ${light.value.name}` : ''
  if (isWaiting.value) return `Ready for the frame${under}`
  return isOut.value ? 'Out for a look' : `In the frame${under}`
})
const plannedFigure = computed(() => (step.value ? plannedExposure(step.value) : null))
const planned = computed(() => plannedFigure.value?.value ?? 0)
const shareFigure = computed(() =>
  step.value ? exposureShare(step.value, now.now, course.value ?? undefined) : null,
)
const share = computed(() => shareFigure.value?.value ?? 0)

/** The one target: start, a look, back under the light, or out when the time is up. */
const nextWords = computed(() => {
  if (isWaiting.value) return stepWords.value?.press.start ?? ''
  if (isOut.value) return 'Back under the light'
  return isDone.value ? (stepWords.value?.press.finish ?? '') : 'Open the back'
})
/** Where on the exposure's own rule the looks lie. */
const taken = computed(() => {
  const { startedAt, holds = [] } = step.value ?? {}
  if (startedAt === undefined) return []
  return holds.map((hold, i) =>
    doseSeconds(course.value ?? STEADY, { startedAt, holds: holds.slice(0, i) }, hold.from),
  )
})
const next = () => (hasMovedOn.value ? follow() : void move())
function takeOut(): void {
  if (step.value && !isWaiting.value)
    void record(
      withLight({ type: 'stepFinished', step: step.value.planned.id }),
      `Sheet ${inHand.value?.sheet.number}: out after ${formatSpan(Math.round(reading.value?.elapsedSeconds ?? 0))}.`,
    )
}
function give(change: Parameters<typeof changeExposure>[1], said: string): void {
  if (!step.value) return
  const figure = changeExposure(planned.value, change)
  isGivingMore.value = false
  void record(
    {
      type: 'exposureChanged',
      step: step.value.planned.id,
      plannedSeconds: Math.round(figure.value * 10) / 10,
      said,
    },
    `Planned exposure now ${formatSpan(figure.value)}.`,
  )
}

useKeyRows('Under the light', () => {
  if (!inHand.value) return []
  if (hasMovedOn.value)
    return [
      { key: ' ', name: `On to ${placeTitle.value}`, run: follow },
      { key: 'u', name: 'Undo the last thing', run: () => void takeBack() },
    ]
  return [
    { key: ' ', name: nextWords.value, run: next },
    { key: '+', name: 'Change the exposure', run: () => (isGivingMore.value = true) },
    ...(isWaiting.value ? [] : [{ key: 'enter', name: 'Take it out', run: takeOut }]),
    { key: 'u', name: 'Undo the last thing', run: () => void takeBack() },
  ]
})
useMarginNotes(() => {
  if (!inHand.value || hasMovedOn.value) return []
  return [
    ...exposureNotes({
      definition: inHand.value.definition,
      step: stepWords.value,
      share: share.value,
      course: course.value,
      samples: samples.value,
      plannedSeconds: planned.value,
      milliwattsPerCm2: course.value?.milliwattsPerCm2At?.(now.now) ?? live.value?.milliwattsPerCm2 ?? null,
      deeper: deeper.value,
    }),
    ...stepNotes(inHand.value.definition, stepWords.value),
  ]
})
/** How much deeper to print, by the trade and by one's own prints of this process. */
const deeper = computed(() => {
  const one = inHand.value
  if (!one) return null
  const states = workroom.sheets
    .filter((other) => other.sheet.process.id === one.sheet.process.id)
    .map((other) => other.state)
    .reverse()
  return printDeeper(one.definition.deeper, states)
})
/** What a planned dose takes under the light as it is now. */
const wanted = computed(() => {
  const { millijoulesPerCm2, exposureSeconds } = inHand.value?.sheet ?? {}
  if (!millijoulesPerCm2 || !exposureSeconds || !live.value) return null
  return (planned.value * millijoulesPerCm2) / exposureSeconds / live.value.milliwattsPerCm2
})
const doseLine = computed(() => {
  const reference = course.value?.referenceMilliwattsPerCm2
  const at = course.value?.milliwattsPerCm2At?.(now.now)
  const parts = [
    ...(reference
      ? [
          `${digits(Math.round((share.value / 100) * planned.value * reference), 4)} of ${doseText(planned.value * reference)}`,
        ]
      : []),
    ...(at !== undefined
      ? [`${course.value?.by === 'meter' ? 'meter' : 'about'} ${irradianceText(at)}`]
      : []),
    COUNTED_BY[course.value?.by ?? 'steady'],
  ]
  return parts.join(' · ')
})
</script>

<template>
  <EmptyPage
    v-if="!inHand"
    kicker="Nothing waits for the light"
    title="No frame is out"
    action="Begin a sheet"
    @act="router.push({ name: 'begin' })"
  >
    <p>A sheet comes here when its coat is dry. Its clock starts when the cover comes off.</p>
    <LightNav here="light" />
  </EmptyPage>

  <div v-else class="LightStation">
    <StationHead :title="title" :in-hand="inHand" :here="here" @choose="choose" />

    <template v-if="hasMovedOn">
      <p class="LightStation-doing">Keep it from daylight until it lies in the water.</p>
      <div class="LightStation-acts">
        <BigTarget :label="`On to ${placeTitle}`" hint=" " @press="follow" />
        <BigTarget plain label="Undo" hint="u" @press="takeBack" />
      </div>
    </template>

    <template v-else-if="step && stepWords">
      <p v-if="isWaiting" class="LightStation-doing">{{ stepWords.doing }}</p>
      <p v-if="isWaiting" class="LightStation-planned">
        <strong>{{ formatSpan(planned) }}</strong>
        <span>planned{{ light ? ` under ${light.name}` : '' }}</span>
      </p>
      <p v-if="isWaiting && live" class="LightStation-dose">
        {{ live.by === 'meter' ? 'The meter reads' : 'Expected now: about' }}
        {{ irradianceText(live.milliwattsPerCm2) }}
        <template v-if="wanted && Math.abs(wanted - planned) > planned / 100">
          , for which it takes about {{ formatSpan(Math.round(wanted)) }}
        </template>
      </p>
      <StripCard v-if="isWaiting && strip" :times="strip.times" :covered="strip.covered" />
      <template v-if="reading">
        <BigClock :reading="reading" />
        <p class="LightStation-dose">{{ doseLine }}</p>
        <p v-if="doubt" class="LightStation-trouble" role="alert">
          The meter jumped from {{ digits(doubt.from) }} to {{ digits(doubt.to) }} mW/cm². Check its unit and
          range. Until then the dose counts on by the reading before.
          <KitButton @click="believeMeter">The meter is right: count it</KitButton>
        </p>
        <p v-if="trouble" class="LightStation-trouble" role="status">{{ trouble }}</p>
        <template v-if="strip">
          <p class="LightStation-cue" role="status">
            <strong v-if="strip.next">{{ strip.next.words }}</strong>
            <strong v-else>All marks have theirs but the last</strong>
            <template v-if="strip.next">
              in {{ formatClock(Math.max(0, Math.ceil(strip.next.atSeconds - strip.counted))) }}
            </template>
          </p>
          <StripCard :times="strip.times" :covered="strip.covered" />
        </template>
        <ExposureRule
          v-else
          :elapsed="reading.elapsedSeconds"
          :planned="planned"
          :looks="stepWords.looks ?? []"
          :taken="taken"
        />
      </template>
      <div v-if="plannedFigure && shareFigure" class="LightStation-figures">
        <FigureValue label="planned exposure" :figure="plannedFigure" />
        <FigureValue
          v-if="!isWaiting"
          label="of it so far"
          :figure="shareFigure"
          :text="`${Math.floor(share)} %`"
        />
        <FigureValue
          v-if="deeper && (deeper.value || deeper.working.standing === 'yours')"
          :label="deeper.value < 0 ? 'print lighter by' : 'print deeper by'"
          :figure="deeper"
          :text="formatStops(Math.abs(deeper.value)).replace('+', '')"
        />
        <EndpointStrip
          v-if="!isWaiting"
          class="LightStation-strip"
          :colours="stepWords.endpoint?.swatch ?? []"
        />
      </div>
      <div class="LightStation-acts">
        <BigTarget :label="nextWords" hint=" " @press="next" />
        <BigTarget
          quiet
          :label="isWaiting ? 'Change the time' : 'Give it more'"
          hint="+"
          @press="isGivingMore = true"
        />
        <BigTarget v-if="!isWaiting && !isDone" quiet label="Take it out" hint="enter" @press="takeOut" />
        <BigTarget plain label="Undo" hint="u" @press="takeBack" />
      </div>
    </template>
    <LightNav here="light" class="LightStation-nav" />
    <GiveMore v-if="isGivingMore" :planned-seconds="planned" @give="give" @close="isGivingMore = false" />
  </div>
</template>

<style scoped>
.LightStation {
  display: grid;
  gap: var(--es-space-5);
}

.LightStation-doing {
  max-width: 44em;
  font-size: var(--es-size-lead);
}

.LightStation-planned strong {
  display: block;
  font-size: var(--es-size-clock);
  font-weight: 400;
  line-height: 1.1;
}

.LightStation-planned span {
  font-size: var(--es-size-lead);
}

.LightStation-dose {
  font-size: var(--es-size-lead);
}

.LightStation-trouble {
  color: var(--es-ember);
}

.LightStation-cue {
  font-size: var(--es-size-figure);
}

.LightStation-cue strong {
  font-weight: 400;
}

.LightStation-nav {
  margin-top: var(--es-space-5);
}

.LightStation-figures {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-4) var(--es-space-7);
  align-items: flex-start;
}

.LightStation-strip {
  flex: 1 1 240px;
  margin-left: auto;
}

.LightStation-acts {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-4);
}
</style>
