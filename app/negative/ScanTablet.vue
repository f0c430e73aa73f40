<script setup lang="ts">
import { ref, useTemplateRef } from 'vue'
import { CoreError } from '@core/errors'
import type { Anchor } from '@core/scan/chartScan'
import { readDensities } from '../light/stripReading'
import TextField from '../shell/TextField.vue'
import { useAttempt } from '../shell/useAttempt'
import { refusalOfWork, workOn } from '../workers/negativeWork'

/** A step tablet that the same scanner saw: by it the scanner's own numbers become densities. */
const anchors = defineModel<Anchor[] | null>({ required: true })
const { faults, attempt } = useAttempt()
const densities = ref('')
const input = useTemplateRef<HTMLInputElement>('input')

const take = (list: FileList | null) =>
  attempt('tablet', async () => {
    const file = list?.[0]
    if (!file) return
    try {
      const question = { act: 'tablet' as const, file, densities: readDensities(densities.value, 'density') }
      const answer = await workOn(question).answer
      if (answer.kind === 'tablet') anchors.value = answer.anchors
    } catch (error) {
      const refusal = refusalOfWork(error)
      if (refusal) throw new CoreError(refusal)
    } finally {
      if (input.value) input.value.value = ''
    }
  })
</script>

<template>
  <details class="ScanTablet">
    <summary>{{ anchors ? 'Scaled by a step tablet' : 'Or scale it by a scanned step tablet' }}</summary>
    <TextField
      v-model="densities"
      label="Densities of its steps, lightest first"
      placeholder="0.05 0.20 0.35 …"
      :fault="faults.tablet"
      hint="a reflection tablet, scanned by the same scanner and cropped to itself"
    />
    <button type="button" @click="input?.click()">Choose its scan</button>
    <button v-if="anchors" type="button" @click="anchors = null">without it</button>
    <input
      ref="input"
      class="es-unseen"
      type="file"
      tabindex="-1"
      aria-label="Scan of the step tablet"
      accept="image/*,.tif,.tiff"
      @change="take(($event.target as HTMLInputElement).files)"
    />
  </details>
</template>

<style scoped>
.ScanTablet {
  width: 100%;
}

summary {
  padding: 4px 0;
  color: var(--es-quiet);
  cursor: pointer;
}

button {
  margin-right: 12px;
  padding: 8px 12px;
  border: 1px solid var(--es-line);
  background: none;
  cursor: pointer;
}
</style>
