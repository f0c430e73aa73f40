<script setup lang="ts">
import { texts } from '../words'
import ColourField from '../../../kit/ColourField.vue'
import KitCheckbox from '../../../kit/KitCheckbox.vue'
import { computed } from 'vue'
import { MOST_LAYERS } from '@core/negative/registerMarks'
import type { Refusal } from '@core/errors'
import ChoiceRow from '../../../kit/ChoiceRow.vue'
import QuantityField from '../../../kit/QuantityField.vue'
import FieldGrid from '../../../kit/FieldGrid.vue'
import { borderMillimetres, type NegativeDraft } from '../negative.draft'

/** What is around the picture on its film, in which ink, and as which kind of file. */
const props = defineProps<{ draft: NegativeDraft; fault: Refusal | undefined }>()
/** Each layer's marks are at places of their own, so that the print tells how they are on each other. */
const LAYERS = Array.from({ length: MOST_LAYERS }, (_, i) => ({ id: String(i), name: String(i + 1) }))
/* eslint-disable vue/no-mutating-props -- the draft is the desk's own, handed down whole */
const side = computed({
  get: () => (props.draft.isMirrored ? 'mirrored' : 'straight'),
  set: (chosen: string | undefined) => (props.draft.isMirrored = chosen === 'mirrored'),
})
const ground = computed({
  get: () => (props.draft.isInked ? 'inked' : 'clear'),
  set: (chosen: string | undefined) => (props.draft.isInked = chosen === 'inked'),
})
/* eslint-enable vue/no-mutating-props */
</script>

<template>
  <!-- eslint-disable vue/no-mutating-props -- as above -->
  <div class="FilmFields">
    <div class="FilmFields-row">
      <ChoiceRow
        v-model="side"
        label="Orientation"
        :options="[
          { id: 'mirrored', name: 'mirrored' },
          { id: 'straight', name: 'not mirrored' },
        ]"
      />
      <ChoiceRow
        v-model="draft.format"
        label="File"
        :options="[
          { id: 'png', name: 'PNG' },
          { id: 'tiff', name: 'TIFF' },
          { id: 'pdf', name: 'PDF' },
        ]"
      />
      <ChoiceRow
        v-model="ground"
        label="Border"
        :options="[
          { id: 'inked', name: 'black (keeps the margin white)' },
          { id: 'clear', name: 'clear film' },
        ]"
      />
    </div>
    <ChoiceRow
      v-if="draft.hasMarks && (borderMillimetres(draft.border) ?? 0) >= 8"
      v-model="draft.marksLayer"
      :label="draft.layers.length ? 'Register marks from layer' : 'Register marks of layer'"
      :options="LAYERS"
    />
    <FieldGrid>
      <QuantityField
        v-model="draft.border"
        label="Border, mm"
        :hint="texts.marginLeavesRoomForMarks"
        :fault="fault?.field === 'border' ? fault : undefined"
        dimension="length"
        unit="mm"
      />
      <div>
        <ColourField v-model="draft.tint" label="Ink colour" />
        <p class="es-quiet">black gives a greyscale file</p>
      </div>
      <fieldset>
        <legend>In the border</legend>
        <KitCheckbox v-model="draft.hasMarks">register marks</KitCheckbox>
        <KitCheckbox v-model="draft.hasStrip">11-step tone scale</KitCheckbox>
        <KitCheckbox v-model="draft.hasLabel">a line of text</KitCheckbox>
      </fieldset>
    </FieldGrid>
  </div>
</template>

<style scoped>
.FilmFields {
  display: grid;
  gap: var(--es-space-3);
}

.FilmFields-row {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-3) var(--es-space-6);
}

.FilmFields-tint {
  display: grid;
  gap: var(--es-space-2);
  color: var(--es-quiet);
  font-size: var(--es-size-small);
}

fieldset {
  display: grid;
  gap: var(--es-space-2);
  margin: 0;
  padding: 0;
  border: 0;
}

legend {
  color: var(--es-quiet);
  font-size: var(--es-size-small);
}
</style>
