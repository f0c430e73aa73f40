<script setup lang="ts">
import ColourField from '../../../kit/ColourField.vue'
import { parseNumber } from '@core/quantity/number'
import { ref } from 'vue'
import type { ChartPlan } from '@core/chart/chart'
import type { NegativeCurve } from '@core/tone/curve'
import ChoiceRow from '../../../kit/ChoiceRow.vue'
import TextField from '../../../kit/TextField.vue'
import BigTarget from '../../../kit/BigTarget.vue'
import { saveFile } from '../../../state/saveFile'
import { usePreferences } from '../../../state/preferences.store'
import { useNotice } from '../../../state/notice.store'
import type { FilmFormat } from '../../../workers/filmFile'
import { refusalOfWork, workOn } from '../../../workers/negativeWork'
import { CoreError } from '@core/errors'
import { tintOf } from '../negative.draft'

/** A chart as a file to be printed on film, at its exact size. */
const props = defineProps<{
  plan: ChartPlan
  /** Curve it is laid through; without one its ink rises in even steps. */
  curve: NegativeCurve | null
  writing: string
  fileName: string
  label: string
}>()
const emit = defineEmits<{ made: [] }>()
const notice = useNotice()
const resolution = ref('360')
const format = ref<string | undefined>('png')
const tint = ref(usePreferences().chosen.inkColour)
const isMaking = ref(false)

async function make(): Promise<void> {
  isMaking.value = true
  const kind = format.value as FilmFormat
  try {
    const { file } = await workOn({
      act: 'chart',
      plan: { ...props.plan },
      pixelsPerInch: parseNumber(resolution.value, {
        field: 'resolution',
        isPositive: true,
        example: '360',
      }),
      isMirrored: true,
      curve: props.curve && { tones: [...props.curve.tones], inks: [...props.curve.inks] },
      format: kind,
      tint: tintOf(tint.value),
      writing: props.writing,
    })
    saveFile(file, `${props.fileName}.${kind === 'tiff' ? 'tif' : kind}`)
    emit('made')
  } catch (error) {
    const refusal = refusalOfWork(error)
    if (refusal) notice.refuse(new CoreError(refusal), 'the chart')
  } finally {
    isMaking.value = false
  }
}
</script>

<template>
  <div class="ChartFilm">
    <div class="ChartFilm-row">
      <TextField v-model="resolution" label="Resolution, ppi" hint="the printer’s native resolution" />
      <ChoiceRow
        v-model="format"
        label="File"
        :options="[
          { id: 'png', name: 'PNG' },
          { id: 'tiff', name: 'TIFF' },
          { id: 'pdf', name: 'PDF' },
        ]"
      />
      <ColourField v-model="tint" label="Ink colour" />
    </div>
    <BigTarget :label="isMaking ? 'Drawing…' : label" :disabled="isMaking" @press="make" />
  </div>
</template>

<style scoped>
.ChartFilm {
  display: grid;
  gap: var(--es-space-3);
  justify-items: start;
}

.ChartFilm-row {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-3) var(--es-space-6);
}

label {
  display: grid;
  gap: var(--es-space-2);
  align-content: start;
  color: var(--es-quiet);
  font-size: var(--es-size-small);
}
</style>
