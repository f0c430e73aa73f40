<script setup lang="ts">
import { texts } from './words'
import BathPanel from '../../kit/BathPanel.vue'
import BigClock from '../../kit/BigClock.vue'
import BigTarget from '../../kit/BigTarget.vue'
import UndoTargets from '../../kit/UndoTargets.vue'
import CoatSwatch from '../../kit/CoatSwatch.vue'
import EmptyPage from '../../kit/EmptyPage.vue'
import EndpointStrip from '../../kit/EndpointStrip.vue'
import FindingList from '../../kit/FindingList.vue'
import LeaveOut from '../../kit/LeaveOut.vue'
import LeastTime from '../../kit/LeastTime.vue'
import RoomReading from '../../kit/RoomReading.vue'
import RowPanel from '../../kit/RowPanel.vue'
import StationHead from '../../kit/StationHead.vue'
import CoatEnough from './parts/CoatEnough.vue'
import CoatFigures from './parts/CoatFigures.vue'
import DropCounter from './parts/DropCounter.vue'
import SaltBalance from './parts/SaltBalance.vue'
import { arePlans } from './useMixPlans'
import { useCoatStation } from './useCoatStation'

const {
  router,
  here,
  inHand,
  step,
  stepWords,
  reading,
  hasMovedOn,
  placeTitle,
  record,
  undoLast,
  redoLast,
  mayRedo,
  follow,
  saveWorkCard,
  mayEditPlan,
  editPlan,
  choose,
  plans,
  balance,
  isCounting,
  hasCounted,
  findings,
  isOthersGlass,
  shownPlan,
  coverage,
  parts,
  glassSaid,
  tray,
  title,
  bottleLabels,
  swatch,
  offered,
  dropsSaid,
  beginWords,
  begin,
  finishWords,
  finish,
  finishAsPlanned,
  startOrFinish,
  stepTarget,
  nextOfRow,
  nextOfRowWords,
  coatNextOfRow,
  isDrying,
  driedByHairDryer,
  leaveOut,
  row,
  leftOutOfPress,
  toggleInPress,
  takeOutOfRow,
  coatLaid,
  lifeWords,
  paper,
} = useCoatStation()
</script>

<template>
  <EmptyPage
    v-if="!inHand"
    kicker="Coat"
    title="No sheet is being coated"
    action="New sheet"
    @act="router.push({ name: 'begin' })"
  >
    <p>{{ texts.choosePicturePaperAndSize }}</p>
  </EmptyPage>
  <div v-else class="CoatStation">
    <StationHead :title="title" :in-hand="inHand" :here="here" @choose="choose">
      <CoatSwatch v-if="inHand.state.begunAt" :colour="swatch.colour" :label="swatch.label" />
    </StationHead>
    <RowPanel
      v-if="!hasMovedOn"
      :in-hand="inHand"
      :row="row"
      :left-out="leftOutOfPress"
      @toggle="toggleInPress"
      @take-out="takeOutOfRow"
    />

    <template v-if="hasMovedOn">
      <p class="CoatStation-doing">
        Sheet {{ inHand.sheet.number }} is at {{ placeTitle }} now
        <template v-if="lifeWords">: {{ lifeWords }}</template>
        .
      </p>
      <div class="CoatStation-acts">
        <BigTarget :label="`Go to ${placeTitle}`" hint=" " @press="follow" />
        <BigTarget quiet label="New sheet" hint="n" @press="router.push({ name: 'begin' })" />
      </div>
    </template>

    <template v-else-if="!step">
      <p v-if="!arePlans(plans)" role="alert">{{ plans.field }}: {{ plans.problem }} {{ plans.remedy }}</p>
      <template v-else>
        <p v-if="isOthersGlass" class="CoatStation-doing">
          {{
            texts.coatedFromMixOfSheet({ number: inHand.sheet.number - (inHand.sheet.batch?.place ?? 1) + 1 })
          }}
        </p>
        <p v-else-if="dropsSaid" class="CoatStation-doing">
          {{ dropsSaid }}.
          <span v-if="offered" class="es-quiet">
            {{
              texts.countThatMatchesRatioBetter({ total: offered.total, drops: offered.drops.join(' + ') })
            }}
          </span>
        </p>
        <p v-if="glassSaid" role="status">{{ glassSaid }}</p>
        <FindingList :findings="findings" />
        <template v-if="!isOthersGlass">
          <CoatFigures v-for="one in plans" :key="one.mix.id" :plan="one" :named="plans.length > 1" />
        </template>
        <SaltBalance v-if="balance" :balance="balance" />
        <div class="CoatStation-acts">
          <BigTarget :label="beginWords" hint=" " @press="begin()" />
          <BigTarget
            v-if="offered"
            quiet
            :label="`Use ${offered.drops.join(' + ')}`"
            @press="begin(offered.drops)"
          />
          <BigTarget quiet label="Edit plan" @press="editPlan" />
          <BigTarget plain label="Work card, PDF" @press="saveWorkCard" />
        </div>
      </template>
    </template>

    <template v-else-if="isCounting && stepWords">
      <p class="CoatStation-doing">{{ stepWords.doing }}</p>
      <DropCounter
        :key="`${inHand.sheet.id}/${step.planned.id}`"
        :step="step"
        :definition="inHand.definition"
        :bottle-labels="bottleLabels"
        :drops-per-millilitre="inHand.sheet.dropsPerMillilitre"
        :finish-words="finishWords"
        :parts="parts"
        @record="record"
        @finish="finish"
        @finish-as-planned="finishAsPlanned"
      >
        <FindingList :findings="findings" />
        <CoatFigures v-if="shownPlan" :plan="shownPlan" :coverage="coverage" />
      </DropCounter>
      <div class="CoatStation-aside">
        <BigTarget v-if="!hasCounted && mayEditPlan" plain label="Edit plan" @press="editPlan" />
        <LeaveOut
          :state="inHand.state"
          :definition="inHand.definition"
          :choices="inHand.sheet.choices"
          @leave="leaveOut"
        />
      </div>
    </template>

    <template v-else-if="stepWords">
      <p class="CoatStation-doing">{{ stepWords.doing }}</p>
      <p v-if="glassSaid" role="status">{{ glassSaid }}</p>
      <p v-if="step.status === 'waiting' && lifeWords" class="es-quiet">{{ lifeWords }}.</p>
      <BigClock v-if="reading" :reading="reading" />
      <LeastTime :step="stepWords" :state="step" :sheet="inHand.sheet" />
      <EndpointStrip :colours="stepWords.endpoint?.swatch ?? []" />
      <div class="CoatStation-acts">
        <BigTarget v-if="nextOfRow" :label="nextOfRowWords" hint="g" @press="coatNextOfRow" />
        <BigTarget :quiet="nextOfRow !== null" :label="stepTarget" hint=" " @press="startOrFinish" />
        <BigTarget v-if="isDrying" quiet label="Dried with a hair dryer" hint="h" @press="driedByHairDryer" />
        <UndoTargets :may-redo="mayRedo" @undo="undoLast" @redo="redoLast" />
        <LeaveOut
          :state="inHand.state"
          :definition="inHand.definition"
          :choices="inHand.sheet.choices"
          @leave="leaveOut"
        />
      </div>
      <BathPanel v-if="tray" :tray="tray" :one="inHand" stays />
    </template>
    <CoatEnough
      v-if="coatLaid"
      :coat="coatLaid"
      :judged="inHand.state.coatsJudged.find((one) => one.coat === coatLaid)"
      @record="record"
    />
    <RoomReading
      v-if="inHand.state.begunAt && (!isCounting || !hasCounted) && !hasMovedOn"
      :room="inHand.state.room"
      :wanted="inHand.definition.air"
      :grams-per-m2="paper?.gramsPerM2"
      @record="record"
    />
  </div>
</template>

<style scoped>
.CoatStation {
  display: grid;
  gap: var(--es-space-6);
}

.CoatStation-doing {
  max-width: 44em;
  font-size: var(--es-size-lead);
}

.CoatStation-aside {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-4);
}

/* Always at hand, however much is above them. */
.CoatStation-acts {
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
