<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { CurveAim, NamedAim } from '@core/tone/curve'
import ChoiceRow from '../../../kit/ChoiceRow.vue'
import SelectField from '../../../kit/SelectField.vue'
import TextField from '../../../kit/TextField.vue'
import SlideField from '../../../kit/SlideField.vue'

/** What the tones of a print aim at: even steps, or an aim that is drawn or taken from another print. */
const props = defineProps<{
  /** Aims of other calibrations, as the lightness of their prints. */
  others: readonly { id: string; name: string; aim: NamedAim }[]
  black: number
  white: number
}>()
const aim = defineModel<CurveAim>({ required: true })
const STEPS = 5

const kind = computed({
  get: () => (typeof aim.value === 'object' ? 'own' : aim.value),
  set: (chosen: string | undefined) => {
    aim.value = chosen === 'density' ? 'density' : chosen === 'own' ? evenAim() : 'lightness'
  },
})
const evenAim = (): NamedAim => ({
  name: 'my target',
  points: Array.from({ length: STEPS }, (_, i) => ({
    tone: i / (STEPS - 1),
    lightness: Math.round(props.black + (i / (STEPS - 1)) * (props.white - props.black)),
  })),
})
const own = computed(() => (typeof aim.value === 'object' ? aim.value : null))
const name = computed({
  get: () => own.value?.name ?? '',
  set: (text: string) => {
    if (own.value) aim.value = { ...own.value, name: text.trim() || 'my target' }
  },
})
/** A point takes those beyond it along, so that lightness never falls. */
function set(index: number, lightness: number): void {
  if (!own.value) return
  aim.value = {
    ...own.value,
    points: own.value.points.map((point, i) => ({
      tone: point.tone,
      lightness:
        i === index
          ? lightness
          : i < index
            ? Math.min(point.lightness, lightness)
            : Math.max(point.lightness, lightness),
    })),
  }
}
const otherId = ref('')
watch(otherId, (id) => {
  const other = props.others.find((one) => one.id === id)
  if (other) aim.value = { ...other.aim, points: other.aim.points.map((point) => ({ ...point })) }
})
</script>

<template>
  <div class="AimField">
    <ChoiceRow
      v-model="kind"
      label="Target"
      :options="[
        { id: 'lightness', name: 'even in lightness (L*)' },
        { id: 'density', name: 'even in density' },
        { id: 'own', name: 'my own target curve' },
      ]"
    />
    <template v-if="own">
      <div class="AimField-row">
        <TextField v-model="name" label="Name of the target" />
        <SelectField
          v-model="otherId"
          label="Copy from a print"
          :options="others"
          clearable
          placeholder="drawn here"
        />
      </div>
      <div class="AimField-points">
        <SlideField
          v-for="(point, index) in own.points"
          :key="index"
          :model-value="point.lightness"
          :label="`Tone ${Math.round(100 * point.tone)} prints as`"
          :step="0.5"
          :said="`L* ${point.lightness.toFixed(0)}`"
          @update:model-value="set(index, $event)"
        />
      </div>
    </template>
  </div>
</template>

<style scoped>
.AimField {
  display: grid;
  gap: var(--es-space-3);
}

.AimField-row {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: var(--es-space-1) var(--es-space-6);
}

.AimField-points {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(160px, 1fr));
  gap: 0 var(--es-space-6);
}
</style>
