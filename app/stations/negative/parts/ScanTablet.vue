<script setup lang="ts">
import { texts } from '../words'
import ChoiceRow from '../../../kit/ChoiceRow.vue'
import FileChoice from '../../../kit/FileChoice.vue'
import KitButton from '../../../kit/KitButton.vue'
import { computed, ref, useTemplateRef } from 'vue'
import { CoreError } from '@core/errors'
import type { Anchor } from '@core/scan/response'
import { readDensities } from '@core/tone/typedReadings'
import TextField from '../../../kit/TextField.vue'
import { useAttempt } from '../../../state/useAttempt'
import { refusalOfWork, workOn } from '../../../workers/negativeWork'

/** A step tablet that the same scanner saw: by it the scanner's own numbers become densities. */
const anchors = defineModel<Anchor[] | null>({ required: true })
/** Densities of one beside the chart in the same picture. */
const beside = defineModel<number[] | null>('beside', { required: true })
const { faults, attempt } = useAttempt()
const densities = ref('')
const place = ref<string | undefined>('beside')
const input = useTemplateRef<InstanceType<typeof FileChoice>>('input')
const isUsed = computed(() => anchors.value !== null || beside.value !== null)

const useBeside = () =>
  attempt('tablet', () => {
    const read = readDensities(densities.value, 'density')
    if (read.length < 3 || read.some((one, i) => i > 0 && one <= (read[i - 1] ?? 0)))
      throw new CoreError({
        code: 'not-a-tablet',
        field: 'the tablet',
        problem: texts.tabletHasThreeSteps,
        remedy: texts.enterTabletDensities,
      })
    ;[beside.value, anchors.value] = [read, null]
  })

const take = ([file]: File[]) =>
  attempt('tablet', async () => {
    if (!file) return
    try {
      const question = { act: 'tablet' as const, file, densities: readDensities(densities.value, 'density') }
      ;[anchors.value, beside.value] = [await workOn(question), null]
    } catch (error) {
      const refusal = refusalOfWork(error)
      if (refusal) throw new CoreError(refusal)
      // What was stopped says nothing.
    }
  })
function drop(): void {
  ;[anchors.value, beside.value] = [null, null]
}
</script>

<template>
  <details class="ScanTablet">
    <summary>{{ isUsed ? 'Scaled with a step tablet' : 'Or scale with a step tablet' }}</summary>
    <TextField
      v-model="densities"
      label="Densities of its steps, lightest first"
      placeholder="0.05 0.20 0.35 …"
      :fault="faults.tablet"
      :hint="texts.reflectionStepTabletKnown"
    />
    <ChoiceRow
      v-model="place"
      label="Where it is"
      :options="[
        { id: 'beside', name: 'beside the chart, in its picture' },
        { id: 'alone', name: 'in a scan of its own' },
      ]"
    />
    <p class="es-quiet">{{ place === 'beside' ? texts.layTabletBesideChart : texts.cropTabletScan }}</p>
    <KitButton v-if="place === 'beside'" @click="useBeside">Use this tablet</KitButton>
    <KitButton v-else @click="input?.open()">Choose tablet scan</KitButton>
    <KitButton v-if="isUsed" kind="quiet" @click="drop">Without tablet</KitButton>
    <FileChoice ref="input" label="Scan of the step tablet" accept="image/*,.tif,.tiff" @chosen="take" />
  </details>
</template>

<style scoped>
.ScanTablet {
  width: 100%;
}

.ScanTablet > * {
  margin-block-end: var(--es-space-3);
}

summary {
  padding: var(--es-space-2) 0;
  color: var(--es-quiet);
  cursor: pointer;
}
</style>
