<script setup lang="ts">
import { parseNumber } from '@core/quantity/number'
import { ref } from 'vue'
import type { ChartPlan } from '@core/chart/chart'
import type { NegativeCurve } from '@core/tone/curve'
import ChoiceRow from '../shell/ChoiceRow.vue'
import TextField from '../shell/TextField.vue'
import BigTarget from '../shell/BigTarget.vue'
import { saveFile } from '../shell/saveFile'
import { useNotice } from '../shell/notice.store'
import type { FilmFormat } from '../workers/filmFile'
import { refusalOfWork, workOn } from '../workers/negativeWork'
import { CoreError } from '@core/errors'
import { tintOf } from './negativeDraft'

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
const tint = ref('#000000')
const isMaking = ref(false)

async function make(): Promise<void> {
  isMaking.value = true
  const kind = format.value as FilmFormat
  try {
    const answer = await workOn({
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
    }).answer
    if (answer.kind !== 'made') return
    saveFile(answer.file, `${props.fileName}.${kind === 'tiff' ? 'tif' : kind}`)
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
      <TextField v-model="resolution" label="Pixels to the inch" hint="what the printer works in" />
      <ChoiceRow
        v-model="format"
        label="File"
        :options="[
          { id: 'png', name: 'PNG' },
          { id: 'tiff', name: 'TIFF' },
          { id: 'pdf', name: 'PDF' },
        ]"
      />
      <label>
        Colour of the ink
        <input v-model="tint" type="color" />
      </label>
    </div>
    <BigTarget :label="isMaking ? 'Drawing…' : label" :disabled="isMaking" @press="make" />
  </div>
</template>

<style scoped>
.ChartFilm {
  display: grid;
  gap: 10px;
  justify-items: start;
}

.ChartFilm-row {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 24px;
}

label {
  display: grid;
  gap: 4px;
  align-content: start;
  color: var(--es-quiet);
  font-size: 14px;
}
</style>
