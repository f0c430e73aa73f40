<script setup lang="ts">
import { useTemplateRef } from 'vue'
import { formatSpan } from '@core/quantity/format'
import type { GreyPicture } from '@core/negative/resample'
import type { ProcessDefinition } from '@core/schema/definition'
import KitCheckbox from '../../../kit/KitCheckbox.vue'
import SelectField from '../../../kit/SelectField.vue'
import SlideField from '../../../kit/SlideField.vue'
import TintedPicture from '../../../kit/TintedPicture.vue'
import type { PracticeQuestion } from '../../../workers/practice.worker'
import { usePracticePicture } from '../usePracticePicture'
import type { Variant, WayFigures } from '../useTryPage'
import { texts } from '../words'

/** One way to make a print: what is set, what it looks like, and what it comes to. */
const props = defineProps<{
  question: Omit<PracticeQuestion, 'ink'>
  ink: GreyPicture
  figures: WayFigures
  options: readonly { id: string; name: string }[]
  choices: ProcessDefinition['choices']
}>()
defineEmits<{ process: [id: string]; choose: [choiceId: string, optionId: string] }>()
const variant = defineModel<Variant>({ required: true })
const canvas = useTemplateRef<HTMLCanvasElement>('canvas')
usePracticePicture(
  canvas,
  () => props.question,
  () => props.ink,
)
const stopsSaid = (stops: number) =>
  stops === 0 ? 'best' : `${stops > 0 ? '+' : '−'}${Math.abs(stops).toFixed(1)} stops`
const span = (seconds: number) => formatSpan(Math.round(seconds))
</script>

<template>
  <section class="TryVariant" :aria-label="variant.name">
    <h2>{{ variant.name }}</h2>
    <SelectField
      :model-value="variant.processId"
      label="Process"
      :options="options"
      @update:model-value="$emit('process', $event)"
    />
    <TintedPicture>
      <canvas ref="canvas" width="1000" height="800" role="img" :aria-label="`${variant.name}: the print`" />
    </TintedPicture>
    <SlideField
      v-model="variant.stops"
      label="Exposure"
      :min="-3"
      :max="3"
      :step="0.1"
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
    <dl>
      <div>
        <dt>Exposure</dt>
        <dd>{{ span(figures.exposure) }} at 5 mW/cm²</dd>
      </div>
      <div>
        <dt>Tones</dt>
        <dd>
          black L* {{ figures.black.toFixed(0) }}, white {{ figures.white.toFixed(0) }};
          {{ figures.distinct }} % of the film’s tones distinct
        </dd>
      </div>
      <div>
        <dt>Time</dt>
        <dd>at least {{ span(figures.seconds) }} until the print hangs</dd>
      </div>
      <div>
        <dt>Cost</dt>
        <dd>
          {{ figures.cost === null ? texts.noPrice : texts.priced({ money: figures.cost.toFixed(2) }) }}
        </dd>
      </div>
      <div>
        <dt>Cautions</dt>
        <dd>{{ figures.hazards.join(' · ') }}</dd>
      </div>
    </dl>
    <SelectField
      v-for="choice in choices"
      :key="choice.id"
      :model-value="variant.choices[choice.id] ?? choice.startsWith"
      :label="choice.name"
      :options="choice.options"
      @update:model-value="$emit('choose', choice.id, $event)"
    />
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

dl > div {
  display: grid;
  grid-template-columns: 5rem 1fr;
  gap: var(--es-space-3);
}

dt {
  color: var(--es-quiet);
}

dd {
  margin: 0;
}

canvas {
  display: block;
  width: 100%;
}
</style>
