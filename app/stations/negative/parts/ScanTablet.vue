<script setup lang="ts">
import { texts } from '../words'
import FileChoice from '../../../kit/FileChoice.vue'
import KitButton from '../../../kit/KitButton.vue'
import { ref, useTemplateRef } from 'vue'
import { CoreError } from '@core/errors'
import type { Anchor } from '@core/scan/chartScan'
import { readDensities } from '@core/tone/typedReadings'
import TextField from '../../../kit/TextField.vue'
import { useAttempt } from '../../../state/useAttempt'
import { refusalOfWork, workOn } from '../../../workers/negativeWork'

/** A step tablet that the same scanner saw: by it the scanner's own numbers become densities. */
const anchors = defineModel<Anchor[] | null>({ required: true })
const { faults, attempt } = useAttempt()
const densities = ref('')
const input = useTemplateRef<InstanceType<typeof FileChoice>>('input')

const take = ([file]: File[]) =>
  attempt('tablet', async () => {
    if (!file) return
    try {
      const question = { act: 'tablet' as const, file, densities: readDensities(densities.value, 'density') }
      anchors.value = await workOn(question)
    } catch (error) {
      const refusal = refusalOfWork(error)
      if (refusal) throw new CoreError(refusal)
      // What was stopped says nothing.
    }
  })
</script>

<template>
  <details class="ScanTablet">
    <summary>{{ anchors ? 'Scaled with a step tablet' : 'Or scale with a scanned step tablet' }}</summary>
    <TextField
      v-model="densities"
      label="Densities of its steps, lightest first"
      placeholder="0.05 0.20 0.35 …"
      :fault="faults.tablet"
      :hint="texts.reflectionStepTabletFromSame"
    />
    <KitButton @click="input?.open()">Choose tablet scan</KitButton>
    <KitButton v-if="anchors" @click="anchors = null">without tablet</KitButton>
    <FileChoice ref="input" label="Scan of the step tablet" accept="image/*,.tif,.tiff" @chosen="take" />
  </details>
</template>

<style scoped>
.ScanTablet {
  width: 100%;
}

summary {
  padding: var(--es-space-2) 0;
  color: var(--es-quiet);
  cursor: pointer;
}
</style>
