<script setup lang="ts">
import KitButton from '../../../kit/KitButton.vue'
import ChoiceRow from '../../../kit/ChoiceRow.vue'
import FieldGrid from '../../../kit/FieldGrid.vue'
import type { NegativeDraft } from '../negative.draft'
import SlideField from '../../../kit/SlideField.vue'

/** Which part of the picture, which of its channels, and how it is set off. */
defineProps<{ draft: NegativeDraft }>()
const MIXES = [
  { id: 'luminance', name: 'luminance' },
  { id: 'red', name: 'red channel' },
  { id: 'green', name: 'green channel' },
  { id: 'blue', name: 'blue channel' },
] as const
</script>

<template>
  <!-- eslint-disable vue/no-mutating-props -- the draft is the desk's own, handed down whole -->
  <div class="PictureFields">
    <div class="PictureFields-row">
      <ChoiceRow v-if="!draft.layers.length" v-model="draft.mix" label="Greyscale from" :options="MIXES" />
      <KitButton @click="draft.framing.turns = (draft.framing.turns + 1) % 4">Rotate 90°</KitButton>
    </div>
    <FieldGrid>
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
      <SlideField v-model="draft.localContrast" label="Local contrast" :said="`${draft.localContrast} %`" />
      <SlideField v-model="draft.sharpening" label="Output sharpening" :said="`${draft.sharpening} %`" />
    </FieldGrid>
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
  gap: var(--es-space-6);
  align-items: end;
}
</style>
