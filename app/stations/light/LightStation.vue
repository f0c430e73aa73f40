<script setup lang="ts">
import { texts } from './words'
import KitButton from '../../kit/KitButton.vue'
import { digits, formatClock, formatSpan, formatStops } from '@core/quantity/format'
import BigClock from '../../kit/BigClock.vue'
import BigTarget from '../../kit/BigTarget.vue'
import UndoTargets from '../../kit/UndoTargets.vue'
import EmptyPage from '../../kit/EmptyPage.vue'
import EndpointStrip from '../../kit/EndpointStrip.vue'
import FigureValue from '../../kit/FigureValue.vue'
import LeaveOut from '../../kit/LeaveOut.vue'
import RoomReading from '../../kit/RoomReading.vue'
import RowPanel from '../../kit/RowPanel.vue'
import TryFirst from '../../kit/TryFirst.vue'
import StationHead from '../../kit/StationHead.vue'
import ExposureRule from './parts/ExposureRule.vue'
import GiveMore from './parts/GiveMore.vue'
import { irradianceText } from './lightWords'
import StripCard from './parts/StripCard.vue'
import { useLightStation } from './useLightStation'

const {
  router,
  here,
  inHand,
  step,
  stepWords,
  reading,
  hasMovedOn,
  placeTitle,
  undoLast,
  redoLast,
  mayRedo,
  follow,
  choose,
  leaveOut,
  row,
  leftOutOfPress,
  toggleInPress,
  takeOutOfRow,
  live,
  trouble,
  doubt,
  believeMeter,
  strip,
  isGivingMore,
  light,
  isWaiting,
  isDone,
  title,
  plannedFigure,
  planned,
  shareFigure,
  share,
  nextWords,
  taken,
  next,
  takeOut,
  give,
  deeper,
  wanted,
  doseLine,
  trend,
  record,
  paper,
} = useLightStation()
</script>

<template>
  <EmptyPage
    v-if="!inHand"
    kicker="Light"
    title="No sheet is ready to expose"
    action="New sheet"
    @act="router.push({ name: 'begin' })"
  >
    <p>{{ texts.sheetAppearsHereWhenIts }}</p>
  </EmptyPage>

  <div v-else class="LightStation">
    <StationHead :title="title" :in-hand="inHand" :here="here" @choose="choose" />
    <RowPanel
      v-if="!hasMovedOn"
      :in-hand="inHand"
      :row="row"
      :left-out="leftOutOfPress"
      @toggle="toggleInPress"
      @take-out="takeOutOfRow"
    />

    <template v-if="hasMovedOn">
      <p class="LightStation-doing">{{ texts.keepPrintOutDaylightUntil }}</p>
      <div class="LightStation-acts">
        <BigTarget :label="`Go to ${placeTitle}`" hint=" " @press="follow" />
        <UndoTargets :may-redo="mayRedo" @undo="undoLast" @redo="redoLast" />
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
        <p v-if="trend" class="LightStation-dose">{{ trend }}</p>
        <p v-if="doubt" class="LightStation-trouble" role="alert">
          {{ texts.meterJumped({ from: digits(doubt.from), to: digits(doubt.to) }) }}
          <KitButton @click="believeMeter">{{ texts.meterRightUseNewReading }}</KitButton>
        </p>
        <p v-if="trouble" class="LightStation-trouble" role="status">{{ trouble }}</p>
        <template v-if="strip">
          <p class="LightStation-cue" role="status">
            <strong v-if="strip.next">{{ strip.next.words }}</strong>
            <strong v-else>{{ texts.onlyLastStepStillExposing }}</strong>
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
          label="of it done"
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
          :label="isWaiting ? 'Change exposure' : 'Add exposure'"
          hint="+"
          @press="isGivingMore = true"
        />
        <BigTarget v-if="!isWaiting && !isDone" quiet label="Finish exposure" hint="enter" @press="takeOut" />
        <UndoTargets :may-redo="mayRedo" @undo="undoLast" @redo="redoLast" />
        <LeaveOut
          :state="inHand.state"
          :definition="inHand.definition"
          :choices="inHand.sheet.choices"
          @leave="leaveOut"
        />
      </div>
      <TryFirst v-if="isWaiting" :plan="inHand.sheet" />
      <RoomReading
        v-if="isWaiting"
        :room="inHand.state.room"
        :wanted="inHand.definition.air"
        :grams-per-m2="paper?.gramsPerM2"
        @record="record"
      />
    </template>
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

/* Always at hand, however much is above them. */
.LightStation-acts {
  position: sticky;
  bottom: var(--es-bar-bottom);
  z-index: 2;
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-4);
  padding: var(--es-space-3) 0 var(--es-space-5);
  background: var(--es-page);
}
</style>
