<script setup lang="ts">
import { useTemplateRef } from 'vue'
import { formatSpan } from '@core/quantity/format'
import KitCheckbox from '../../../kit/KitCheckbox.vue'
import SlideField from '../../../kit/SlideField.vue'
import TintedPicture from '../../../kit/TintedPicture.vue'
import type { PracticeQuestion } from '../../../workers/practice.worker'
import { usePracticePicture } from '../usePracticePicture'
import type { Variant } from '../useTryPage'

/** One way to make a print: what is set, what it looks like, and what it comes to. */
const props = defineProps<{
  question: Omit<PracticeQuestion, 'ink'> | null
  figures: { seconds: number; black: number; white: number; distinct: number } | null
}>()
const variant = defineModel<Variant>({ required: true })
const canvas = useTemplateRef<HTMLCanvasElement>('canvas')
usePracticePicture(canvas, () => props.question)
const stopsSaid = (stops: number) =>
  stops === 0 ? 'best' : `${stops > 0 ? '+' : '−'}${Math.abs(stops)} stops`
</script>

<template>
  <section class="TryVariant" :aria-label="variant.name">
    <h2>{{ variant.name }}</h2>
    <TintedPicture>
      <canvas ref="canvas" width="1000" height="800" role="img" :aria-label="`${variant.name}: the print`" />
    </TintedPicture>
    <p v-if="figures">
      {{ formatSpan(Math.round(figures.seconds)) }} at 5 mW/cm²; black L* {{ figures.black.toFixed(0) }},
      white {{ figures.white.toFixed(0) }}; {{ figures.distinct }} % of the film’s tones distinct
    </p>
    <SlideField
      v-model="variant.stops"
      label="Exposure"
      :min="-3"
      :max="3"
      :step="0.5"
      :said="stopsSaid(variant.stops)"
    />
    <SlideField
      v-model="variant.coat"
      label="Coat"
      :min="20"
      :max="200"
      :step="10"
      :said="`${variant.coat} %`"
    />
    <SlideField
      v-model="variant.humidity"
      label="Humidity"
      :min="15"
      :max="85"
      :step="5"
      :said="`${variant.humidity} %`"
    />
    <KitCheckbox v-model="variant.hasChalk">Paper with chalk</KitCheckbox>
  </section>
</template>

<style scoped>
.TryVariant {
  display: grid;
  gap: var(--es-space-3);
  align-content: start;
}

.TryVariant > * {
  margin: 0;
}

.TryVariant > .TintedPicture {
  max-width: 15.5rem;
}

canvas {
  display: block;
  width: 100%;
}
</style>
