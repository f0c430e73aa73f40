<script setup lang="ts">
import { computed, ref } from 'vue'
import { CoreError } from '@core/errors'
import { silverByDensity, silverByDrops, silverToAdd } from '@core/chemistry/titration'
import { numberOrNull } from '@core/quantity/number'
import { useDropper } from '../state/useCoverage'
import { substances } from '@library/index'
import FigureValue from './FigureValue.vue'
import TextField from './TextField.vue'
import { texts } from './words'

/** How strong a silver bath still is, by drops of salt water, and what brings it back. */
const props = defineProps<{ wantedPercent: number; millilitres: number }>()
const dropper = useDropper()
const [drops, salt] = [ref(''), ref('2')]
const found = computed(() => {
  const [counted, percent] = [numberOrNull(drops.value), numberOrNull(salt.value)]
  if (counted === null || percent === null || !(counted > 0) || !(percent > 0)) return null
  return silverByDrops({
    sampleMillilitres: 1,
    drops: counted,
    dropsPerMillilitre: dropper.value.dropsPerMillilitre,
    saltPercent: percent,
  })
})
const density = ref('')
/** By the hydrometer, where its reading is one of silver nitrate. */
const weighed = computed(() => {
  const read = numberOrNull(density.value)
  const silver = substances['silver-nitrate']
  if (read === null || !silver) return null
  try {
    return { figure: silverByDensity(silver, read), fault: undefined }
  } catch (error) {
    if (error instanceof CoreError) return { figure: null, fault: error.refusal }
    throw error
  }
})
const missing = computed(
  () => found.value && silverToAdd(props.wantedPercent, found.value.value, props.millilitres),
)
</script>

<template>
  <details class="SilverByDrops">
    <summary>Strength by drops of salt, or by hydrometer</summary>
    <p class="es-quiet">{{ texts.silverByDrops }}</p>
    <div>
      <TextField v-model="drops" label="Drops to the end of the milk" placeholder="40" />
      <TextField v-model="salt" label="Salt water, %" />
      <FigureValue v-if="found" label="silver nitrate in the bath" :figure="found" />
      <TextField
        v-model="density"
        label="Hydrometer at 20 °C, g/ml"
        placeholder="1.088"
        :fault="weighed?.fault"
        :hint="texts.hydrometer"
      />
      <FigureValue v-if="weighed?.figure" label="silver nitrate by hydrometer" :figure="weighed.figure" />
      <FigureValue v-if="missing && missing.value > 0" label="silver nitrate to add" :figure="missing" />
    </div>
  </details>
</template>

<style scoped>
.SilverByDrops div {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-3) var(--es-space-6);
}

summary {
  min-height: 1.5rem;
  color: var(--es-quiet);
  cursor: pointer;
}
</style>
