<script setup lang="ts">
import { texts } from '../words'
import KitButton from '../../../kit/KitButton.vue'
import { computed } from 'vue'
import type { Refusal } from '@core/errors'
import ChoiceRow from '../../../kit/ChoiceRow.vue'
import SelectField from '../../../kit/SelectField.vue'
import TextField from '../../../kit/TextField.vue'
import { borderMillimetres, layersOf, type NegativeDraft, type Parting } from '../negative.draft'

/** A print in several layers: which light each takes away, which tones it carries, and its curve. */
const props = defineProps<{
  draft: NegativeDraft
  curves: readonly { id: string; name: string }[]
  fault: Refusal | undefined
}>()
const shown = defineModel<number>('shown', { required: true })
const PARTINGS = [
  { id: 'one', name: 'one film' },
  { id: 'three', name: 'cyan, magenta, yellow' },
  { id: 'two', name: 'magenta with yellow, cyan' },
  { id: 'gum', name: 'pigments by tonal range' },
] as const
/* eslint-disable vue/no-mutating-props -- the draft is the desk's own, handed down whole */
const parting = computed({
  get: () => props.draft.parting,
  set: (chosen: string | undefined) => {
    props.draft.parting = chosen as Parting
    props.draft.layers = layersOf(props.draft.parting, props.draft.curveId)
    // Layers need marks to be laid on each other by.
    if (props.draft.layers.length && (borderMillimetres(props.draft.border) ?? 0) < 8)
      props.draft.border = '10'
    shown.value = 0
  },
})
function add(): void {
  const name = `layer ${props.draft.layers.length + 1}`
  props.draft.layers.push({
    name,
    red: '',
    green: '',
    blue: '',
    from: '0',
    to: '100',
    curveId: props.draft.curveId,
  })
}
function remove(index: number): void {
  props.draft.layers.splice(index, 1)
  shown.value = Math.max(0, Math.min(shown.value, props.draft.layers.length - 1))
}
/* eslint-enable vue/no-mutating-props */
</script>

<template>
  <!-- eslint-disable vue/no-mutating-props -- as above -->
  <div class="LayerFields">
    <ChoiceRow v-model="parting" label="Separation" :options="PARTINGS" />
    <p v-if="fault?.field === 'layers'" role="alert" class="LayerFields-fault">
      {{ fault.problem }} {{ fault.remedy }}
    </p>
    <ul v-if="draft.layers.length" aria-label="Layers">
      <li v-for="(layer, index) in draft.layers" :key="index" :class="{ 'is-shown': index === shown }">
        <TextField v-model="layer.name" label="Name" />
        <TextField v-model="layer.red" label="Red, %" />
        <TextField v-model="layer.green" label="Green, %" />
        <TextField v-model="layer.blue" label="Blue, %" />
        <TextField v-model="layer.from" label="Full at L*" />
        <TextField v-model="layer.to" label="No ink at L*" />
        <SelectField v-model="layer.curveId" label="Curve" :options="curves" />
        <p>
          <KitButton kind="quiet" :aria-pressed="index === shown" @click="shown = index">show</KitButton>
          <KitButton kind="quiet" :aria-label="`Remove ${layer.name}`" @click="remove(index)">out</KitButton>
        </p>
      </li>
    </ul>
    <KitButton v-if="draft.layers.length && draft.layers.length < 6" kind="quiet" @click="add">
      Add a layer
    </KitButton>
    <p v-if="draft.layers.length" class="es-quiet">
      {{ texts.cyanAbsorbsRedLightMagenta }}
    </p>
  </div>
</template>

<style scoped>
.LayerFields {
  display: grid;
  gap: var(--es-space-3);
  justify-items: start;
}

.LayerFields-fault {
  color: var(--es-ember);
}

ul {
  display: grid;
  width: 100%;
  margin: 0;
  padding: 0;
  list-style: none;
}

li {
  display: grid;
  grid-template-columns: 2fr repeat(5, 1fr) 2.4fr auto;
  gap: 0 var(--es-space-4);
  padding-left: var(--es-space-3);
  border-left: 3px solid var(--es-rule);
}

li.is-shown {
  border-left-color: var(--es-ember);
}

li p {
  display: flex;
  gap: var(--es-space-3);
  align-items: center;
}

@media (width <= 68.75em) {
  li {
    grid-template-columns: 1fr 1fr 1fr;
  }
}
</style>
