<script setup lang="ts">
import { computed } from 'vue'
import { leastTime } from '@core/process/stepTimes'
import { formatClock } from '@core/quantity/format'
import type { StepDefinition } from '@core/schema/definition'
import BigTarget from '../../../kit/BigTarget.vue'
import ChoiceRow from '../../../kit/ChoiceRow.vue'
import EndpointStrip from '../../../kit/EndpointStrip.vue'
import FigureValue from '../../../kit/FigureValue.vue'
import TintedPicture from '../../../kit/TintedPicture.vue'
import { texts } from '../words'

/** What the hands do in a timed step: the clock, what to look for, the water, and the targets. */
const props = defineProps<{
  step: StepDefinition | null
  isLight: boolean
  seconds: number
  isRunning: boolean
  /** Colour of the water in the tray; empty where it says nothing. */
  water: string
  isSoftWater: boolean
}>()
defineEmits<{ toggle: []; look: []; next: []; salt: [] }>()
const speed = defineModel<string>('speed', { required: true })
const least = computed(() => (props.step ? leastTime(props.step, undefined) : null))
const pressed = computed(() =>
  props.isLight
    ? props.isRunning
      ? 'Light off'
      : 'Light on'
    : props.isRunning
      ? 'Stop the time'
      : 'Start the time',
)
</script>

<template>
  <div class="PracticeHands">
    <p class="PracticeHands-time">
      {{ formatClock(seconds) }}
      <span class="es-quiet">{{ isLight ? 'exposed' : 'in the bath' }}</span>
    </p>
    <FigureValue v-if="least && !isLight" label="minimum time" :figure="least" />
    <EndpointStrip :colours="step?.endpoint?.swatch ?? []" />
    <figure v-if="water" class="PracticeHands-water">
      <TintedPicture>
        <div :style="{ backgroundColor: water }" role="img" aria-label="The water in a dark tray" />
      </TintedPicture>
      <figcaption>{{ isSoftWater ? texts.waterSaysNothing : 'Water in the dark tray' }}</figcaption>
    </figure>
    <ChoiceRow
      v-model="speed"
      label="Time runs"
      :options="[
        { id: '1', name: '1×' },
        { id: '60', name: '60×' },
        { id: '240', name: '240×' },
        { id: '960', name: '960×' },
      ]"
    />
    <div class="PracticeHands-acts">
      <BigTarget :label="pressed" hint=" " @press="$emit('toggle')" />
      <BigTarget v-if="isLight" quiet label="Open the frame" hint="o" @press="$emit('look')" />
      <BigTarget
        v-if="water && isSoftWater"
        quiet
        label="Add a pinch of salt"
        hint="s"
        @press="$emit('salt')"
      />
      <BigTarget
        quiet
        :label="isLight ? 'Into the baths' : 'Next step'"
        hint="enter"
        @press="$emit('next')"
      />
    </div>
  </div>
</template>

<style scoped>
.PracticeHands {
  display: grid;
  gap: var(--es-space-4);
  align-content: start;
  justify-items: stretch;
}

.PracticeHands-time {
  margin: 0;
  font-size: var(--es-size-figure);
  font-variant-numeric: tabular-nums;
}

.PracticeHands-time span {
  font-size: var(--es-size-small);
}

.PracticeHands-water {
  margin: 0;
}

.PracticeHands-water div[role='img'] {
  height: 2.75rem;
}

figcaption {
  color: var(--es-quiet);
  font-size: var(--es-size-small);
}

.PracticeHands-acts {
  display: grid;
  gap: var(--es-space-3);
}

/* On a telephone the targets follow the picture and its clock; what to look for is further down. */
@media (width <= 40em) {
  .PracticeHands-time {
    order: -2;
  }

  .PracticeHands-acts {
    grid-template-columns: 1fr 1fr;
    order: -1;
  }
}
</style>
