<script setup lang="ts">
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import BigClock from '../shell/BigClock.vue'
import BigTarget from '../shell/BigTarget.vue'
import EmptyPage from '../shell/EmptyPage.vue'
import EndpointStrip from '../shell/EndpointStrip.vue'
import { useKeyRows } from '../shell/keys.store'
import LeastTime from '../shell/LeastTime.vue'
import { useMarginNotes } from '../shell/margin.store'
import StationHead from '../shell/StationHead.vue'
import { stepNotes } from '../shell/stepNotes'
import { useStation } from '../shell/useStation'
import TrayRow from './TrayRow.vue'

const router = useRouter()
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
} = useStation('wet')

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

function next(): void {
  if (hasMovedOn.value) return follow()
  const what = isWaiting.value ? 'in' : 'out'
  void move(`Sheet ${inHand.value?.sheet.number}: ${stepWords.value?.title.toLowerCase()}, ${what}.`)
}
const changeWater = () => step.value && void record({ type: 'waterChanged', step: step.value.planned.id })

useKeyRows('In the water', () => {
  if (!inHand.value) return []
  return [
    { key: ' ', name: hasMovedOn.value ? `On to ${placeTitle.value}` : nextWords.value, run: next },
    ...(hasMovedOn.value || isWaiting.value ? [] : [{ key: 'w', name: 'Water changed', run: changeWater }]),
    { key: 'u', name: 'Undo the last thing', run: () => void takeBack() },
  ]
})
useMarginNotes(() =>
  inHand.value && !hasMovedOn.value ? stepNotes(inHand.value.definition, stepWords.value) : [],
)
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
    <TrayRow :definition="inHand.definition" :in-hand="inHand" :here="here" @choose="choose" />

    <template v-if="hasMovedOn">
      <p class="WetStation-doing">It hangs. Look at it wet if you like; it counts only when it is dry.</p>
      <div class="WetStation-acts">
        <BigTarget :label="`On to ${placeTitle}`" hint=" " @press="next" />
        <BigTarget plain label="Undo" hint="u" @press="takeBack" />
      </div>
    </template>

    <template v-else-if="step && stepWords">
      <div class="WetStation-bath">
        <div>
          <p class="WetStation-doing">{{ stepWords.doing }}</p>
          <BigClock v-if="reading" :reading="reading" />
        </div>
        <div>
          <LeastTime :step="stepWords" :sheet="inHand.sheet" />
          <EndpointStrip :colours="stepWords.endpoint?.swatch ?? []" />
        </div>
      </div>
      <div class="WetStation-acts">
        <BigTarget :label="nextWords" hint=" " @press="next" />
        <BigTarget
          v-if="!isWaiting"
          quiet
          :label="waters ? `Water changed (${waters})` : 'Water changed'"
          hint="w"
          @press="changeWater"
        />
        <BigTarget plain label="Undo" hint="u" @press="takeBack" />
      </div>
    </template>
  </div>
</template>

<style scoped>
.WetStation {
  display: grid;
  gap: 18px;
}

.WetStation-bath {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 330px);
  gap: 24px;
  align-items: end;
}

.WetStation-doing {
  max-width: 40em;
  font-size: 18px;
}

.WetStation-bath :deep(.BigClock-figure) {
  font-size: clamp(80px, 11vw, 130px);
}

.WetStation-acts {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
}

@media (width <= 820px) {
  .WetStation-bath {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
