<script setup lang="ts">
import { texts } from '../words'
import type { Reading } from '@core/schema/judgement'
import BigTarget from '../../../kit/BigTarget.vue'
import ChoiceRow from '../../../kit/ChoiceRow.vue'
import TextField from '../../../kit/TextField.vue'
import QuantityField from '../../../kit/QuantityField.vue'
import TintedPicture from '../../../kit/TintedPicture.vue'
import { usePhotoSpots, type PhotoSpotsProps } from '../usePhotoSpots'

/** Densities from a photograph that shows a grey of known density beside the print: one points at both. */
const props = defineProps<PhotoSpotsProps>()
const emit = defineEmits<{ read: [readings: Reading[], doubtful: string[]]; close: [] }>()

const {
  MOST_STEPS,
  choices,
  what,
  grey,
  steps,
  stepCount,
  spots,
  ends,
  marks,
  size,
  faults,
  radius,
  point,
  nudge,
  read,
} = usePhotoSpots(props, emit)
</script>

<template>
  <div class="PhotoSpots">
    <p>
      {{ texts.pointAtGreyCardAt }}
    </p>
    <ChoiceRow v-model="what" label="Point at" :options="choices" />
    <div class="PhotoSpots-figures">
      <QuantityField
        v-model="grey"
        label="Density of the grey card"
        hint="0.74 for 18 % grey"
        dimension="opticalDensity"
        unit="D"
      />
      <TextField
        v-if="ends.length"
        v-model="steps"
        label="Steps of the step scale"
        :hint="stepCount ? 'evenly spaced between its ends' : `Enter a whole number from 2 to ${MOST_STEPS}.`"
      />
    </div>
    <TintedPicture class="PhotoSpots-picture">
      <canvas
        ref="canvas"
        tabindex="0"
        role="application"
        :aria-label="texts.photoPointAtArrowKeys"
        @click="point"
        @keydown="nudge"
      />
      <svg :viewBox="`0 0 ${size.width} ${size.height}`" aria-hidden="true">
        <g v-for="(mark, i) in marks" :key="i">
          <circle :cx="mark.x" :cy="mark.y" :r="radius" />
          <text :x="mark.x + radius * 1.6" :y="mark.y + radius * 0.9" :font-size="radius * 3.2">
            {{ mark.said }}
          </text>
        </g>
      </svg>
    </TintedPicture>
    <p v-if="faults.photo" role="alert" class="PhotoSpots-fault">
      {{ faults.photo.problem }} {{ faults.photo.remedy }}
    </p>
    <div class="PhotoSpots-acts">
      <BigTarget label="Read values" :disabled="spots.length < 2" @press="read" />
      <BigTarget quiet label="Type values instead" @press="emit('close')" />
    </div>
  </div>
</template>

<style scoped>
.PhotoSpots {
  display: grid;
  gap: var(--es-space-3);
}

.PhotoSpots-figures {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 0 var(--es-space-5);
}

.PhotoSpots-picture {
  display: grid;
  justify-self: start;
}

canvas,
svg {
  grid-area: 1 / 1;
  max-width: 100%;
  max-height: 420px;
  cursor: crosshair;
}

svg {
  width: 100%;
  height: 100%;
  pointer-events: none;
}

circle {
  fill: none;
  stroke: var(--es-ember);
  stroke-width: 4;
}

text {
  fill: var(--es-ember);
}

.PhotoSpots-fault {
  color: var(--es-ember);
}

.PhotoSpots-acts {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-3);
}
</style>
