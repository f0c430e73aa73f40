<script setup lang="ts">
import { computed } from 'vue'
import type { ToneControls } from '@core/negative/toneControls'
import KitButton from '../../../kit/KitButton.vue'
import ChoiceRow from '../../../kit/ChoiceRow.vue'
import FieldGrid from '../../../kit/FieldGrid.vue'
import type { NegativeDraft } from '../negative.draft'
import SlideField from '../../../kit/SlideField.vue'
import { texts } from '../words'

/** Which part of the picture, which of its channels, its tones as a whole, and how it is set off. */
const props = defineProps<{
  draft: NegativeDraft
  /** Share of the picture that is cropped. */
  cropped: number
}>()
const emit = defineEmits<{ controls: [ToneControls] }>()
const MIXES = [
  { id: 'luminance', name: 'luminance' },
  { id: 'red', name: 'red channel' },
  { id: 'green', name: 'green channel' },
  { id: 'blue', name: 'blue channel' },
] as const
const FITS = [
  { id: 'whole', name: 'whole picture' },
  { id: 'fill', name: 'fill the size, crop the rest' },
] as const
const KINDS = [
  { id: 'tones', name: 'a photograph' },
  { id: 'lines', name: 'line art' },
] as const
const FILMS = [
  { id: 'negative', name: 'negative: dark lines on light paper' },
  { id: 'positive', name: 'positive: light lines on a dark ground' },
] as const
const kind = computed({
  get: () => (props.draft.isLines ? 'lines' : 'tones'),
  // eslint-disable-next-line vue/no-mutating-props -- the draft is the desk's own, handed down whole
  set: (is: string) => void (props.draft.isLines = is === 'lines'),
})
const film = computed({
  get: () => (props.draft.isPositive ? 'positive' : 'negative'),
  // eslint-disable-next-line vue/no-mutating-props -- the draft is the desk's own, handed down whole
  set: (is: string) => void (props.draft.isPositive = is === 'positive'),
})
const CONTROLS = [
  { id: 'brightness', name: 'Brightness' },
  { id: 'contrast', name: 'Contrast' },
  { id: 'shadows', name: 'Shadows' },
  { id: 'highlights', name: 'Highlights' },
] as const
const signed = (value: number) => (value > 0 ? `+${value}` : `${value}`)
</script>

<template>
  <!-- eslint-disable vue/no-mutating-props -- the draft is the desk's own, handed down whole -->
  <div class="PictureFields">
    <div class="PictureFields-row">
      <ChoiceRow v-model="draft.fit" label="Framing" :options="FITS" />
      <KitButton @click="draft.framing.turns = (draft.framing.turns + 1) % 4">Rotate 90°</KitButton>
      <p v-if="draft.fit === 'fill'" class="es-quiet">{{ texts.cropped({ percent: 100 * cropped }) }}</p>
    </div>
    <FieldGrid v-if="draft.fit === 'fill'">
      <SlideField
        v-model="draft.framing.closer"
        label="Zoom"
        :min="1"
        :max="6"
        :step="0.05"
        :said="`${draft.framing.closer.toFixed(2)} ×`"
      />
      <SlideField
        v-model="draft.framing.across"
        label="Crop position, horizontal"
        :max="1"
        :step="0.01"
        :said="`${Math.round(100 * draft.framing.across)} %`"
      />
      <SlideField
        v-model="draft.framing.down"
        label="Crop position, vertical"
        :max="1"
        :step="0.01"
        :said="`${Math.round(100 * draft.framing.down)} %`"
      />
    </FieldGrid>
    <div class="PictureFields-row">
      <ChoiceRow v-model="kind" label="It is" :options="KINDS" />
      <ChoiceRow v-if="!draft.layers.length" v-model="draft.mix" label="Greyscale from" :options="MIXES" />
    </div>
    <FieldGrid v-if="!draft.isLines">
      <SlideField
        v-for="{ id, name } in CONTROLS"
        :key="id"
        :model-value="draft.controls[id]"
        :label="name"
        :min="-100"
        :max="100"
        :step="1"
        :said="signed(draft.controls[id])"
        @update:model-value="emit('controls', { ...draft.controls, [id]: $event })"
      />
      <SlideField v-model="draft.localContrast" label="Local contrast" :said="`${draft.localContrast} %`" />
      <SlideField v-model="draft.sharpening" label="Output sharpening" :said="`${draft.sharpening} %`" />
    </FieldGrid>
    <template v-else>
      <ChoiceRow v-model="film" label="Film" :options="FILMS" />
      <SlideField
        v-model="draft.threshold"
        class="PictureFields-threshold"
        label="Threshold"
        :min="5"
        :max="95"
        :step="1"
        :said="`L* ${draft.threshold}`"
      />
    </template>
  </div>
</template>

<style scoped>
.PictureFields {
  display: grid;
  gap: var(--es-space-3);
}

.PictureFields-row {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-3) var(--es-space-6);
  align-items: end;
}

.PictureFields-threshold {
  max-width: 20rem;
}
</style>
