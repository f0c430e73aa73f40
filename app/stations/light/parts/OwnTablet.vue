<script setup lang="ts">
import { texts } from '../words'
import KitButton from '../../../kit/KitButton.vue'
import { addTablet } from '../../../state/actions/light.actions'
import { ref } from 'vue'
import { CoreError } from '@core/errors'
import TextField from '../../../kit/TextField.vue'
import { useAttempt } from '../../../state/useAttempt'
import { readDensities } from '@core/tone/typedReadings'

/** A step tablet of one's own, with the densities of its steps. */
const emit = defineEmits<{ kept: [id: string] }>()
const { faults, attempt } = useAttempt()
const ownName = ref('')
const ownDensities = ref('')
const keepTablet = () =>
  attempt('tablet', async () => {
    const densities = readDensities(ownDensities.value, 'density')
    if (densities.length < 6)
      throw new CoreError({
        code: 'too-few',
        field: 'tablet',
        problem: texts.stepTabletNeedsAtLeast,
        remedy: texts.enterDensityEachStepClear,
      })
    const clear = densities[0] ?? 0
    // Over its clear step, so that readings with and without film base are the same tablet.
    const id = await addTablet({
      name: ownName.value.trim() || 'my tablet',
      densities: densities.map((one) => Math.max(0, Math.round((one - clear) * 1000) / 1000)),
    })
    emit('kept', id)
    ;[ownName.value, ownDensities.value] = ['', '']
  })
</script>

<template>
  <details>
    <summary>Your own step tablet</summary>
    <div class="OwnTablet-row">
      <TextField v-model="ownName" label="Name" placeholder="calibrated, no. 4" />
      <TextField
        v-model="ownDensities"
        :label="texts.densitiesItsStepsClearFilm"
        placeholder="0.05 0.20 0.36 …"
        :fault="faults.tablet"
      />
    </div>
    <KitButton @click="keepTablet">Save step tablet</KitButton>
  </details>
</template>

<style scoped>
.OwnTablet-row {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: var(--es-space-1) var(--es-space-6);
}

summary {
  padding: var(--es-space-3) 0;
  cursor: pointer;
}
</style>
