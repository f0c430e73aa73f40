<script setup lang="ts">
import { texts } from './words'
import BigClock from '../../kit/BigClock.vue'
import BigTarget from '../../kit/BigTarget.vue'
import UndoTargets from '../../kit/UndoTargets.vue'
import EmptyPage from '../../kit/EmptyPage.vue'
import EndpointStrip from '../../kit/EndpointStrip.vue'
import FindingList from '../../kit/FindingList.vue'
import LeaveOut from '../../kit/LeaveOut.vue'
import LeastTime from '../../kit/LeastTime.vue'
import RowPanel from '../../kit/RowPanel.vue'
import StationHead from '../../kit/StationHead.vue'
import BathPanel from '../../kit/BathPanel.vue'
import TrayRow from './parts/TrayRow.vue'
import { useWetStation } from './useWetStation'

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
  choose,
  leaveOut,
  row,
  leftOutOfPress,
  toggleInPress,
  takeOutOfRow,
  isWaiting,
  title,
  nextWords,
  waters,
  benches,
  other,
  rocking,
  opened,
  openedFor,
  open,
  next,
  isWater,
  changeWater,
  kept,
  keptFindings,
  keepWater,
  goToOther,
} = useWetStation()
</script>

<template>
  <EmptyPage
    v-if="!inHand"
    kicker="Wet side"
    title="No prints in the trays"
    action="Go to Light"
    @act="router.push({ name: 'light' })"
  >
    <p>
      {{ texts.printAppearsHereWhenIts }}
    </p>
  </EmptyPage>

  <div v-else class="WetStation">
    <StationHead :title="title" :in-hand="inHand" :here="here" @choose="choose" />
    <RowPanel
      v-if="!hasMovedOn"
      :in-hand="inHand"
      :row="row"
      :left-out="leftOutOfPress"
      @toggle="toggleInPress"
      @take-out="takeOutOfRow"
    />
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
      <p class="WetStation-doing">{{ texts.hungDryYouCanLook }}</p>
      <div class="WetStation-acts">
        <BigTarget :label="`Go to ${placeTitle}`" hint=" " @press="next" />
        <BigTarget
          v-if="other"
          quiet
          :label="`Sheet ${other.sheet.number} next`"
          hint="j"
          @press="goToOther"
        />
        <UndoTargets :may-redo="mayRedo" @undo="undoLast" @redo="redoLast" />
      </div>
    </template>

    <template v-else-if="step && stepWords">
      <div class="WetStation-bath" :class="{ 'is-low': benches.length > 1 }">
        <div>
          <p class="WetStation-doing">{{ stepWords.doing }}</p>
          <BigClock v-if="reading" :reading="reading" />
          <p v-if="rocking" class="es-quiet">{{ texts.rockTray({ wait: rocking }) }}</p>
        </div>
        <div>
          <LeastTime :step="stepWords" :state="step" :sheet="inHand.sheet" />
          <EndpointStrip :colours="stepWords.endpoint?.swatch ?? []" />
        </div>
      </div>
      <FindingList :findings="keptFindings" />
      <div class="WetStation-acts">
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
        <UndoTargets :may-redo="mayRedo" @undo="undoLast" @redo="redoLast" />
        <LeaveOut
          :state="inHand.state"
          :definition="inHand.definition"
          :choices="inHand.sheet.choices"
          @leave="leaveOut"
        />
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

.WetStation-doing {
  max-width: 40em;
  font-size: var(--es-size-lead);
}

.WetStation-bath {
  --clock-size: var(--es-size-clock);
}

.WetStation-bath.is-low {
  --clock-size: calc(0.8 * var(--es-size-clock));
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

.WetStation-acts :deep(.BigTarget.is-quiet) {
  padding-inline: var(--es-space-5);
  font-size: var(--es-size-lead);
}

@media (width <= 68.75em) {
  .WetStation-bath.is-low {
    --clock-size: calc(0.55 * var(--es-size-clock));
  }
}

@media (width <= 51.25em) {
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
