<script setup lang="ts">
import { computed, useTemplateRef } from 'vue'
import { formatClock, formatSpan } from '@core/quantity/format'
import BigTarget from '../../kit/BigTarget.vue'
import ChoiceRow from '../../kit/ChoiceRow.vue'
import FileChoice from '../../kit/FileChoice.vue'
import KitButton from '../../kit/KitButton.vue'
import FieldGrid from '../../kit/FieldGrid.vue'
import KitCheckbox from '../../kit/KitCheckbox.vue'
import SelectField from '../../kit/SelectField.vue'
import TintedPicture from '../../kit/TintedPicture.vue'
import PracticeVerdict from './parts/PracticeVerdict.vue'
import { FILM_RANGE, usePractice } from './usePractice'
import { usePracticePicture } from './usePracticePicture'
import { texts } from './words'

/** A print that exists only in numbers: coated, exposed, processed and judged like a real one. */
const {
  processId,
  process,
  options,
  coat,
  air,
  hasFault,
  speed,
  work,
  step,
  seconds,
  isRunning,
  isOpen,
  guess,
  own,
  takePicture,
  conditions,
  score,
  lesson,
  result,
  hiddenId,
  causes,
  verdict,
  coatSheet,
  toggle,
  look,
  next,
  again,
} = usePractice()

const input = useTemplateRef<InstanceType<typeof FileChoice>>('input')
const canvas = useTemplateRef<HTMLCanvasElement>('canvas')
usePracticePicture(
  canvas,
  () =>
    step.value === 'sheet' || !isOpen.value
      ? null
      : { filmRange: FILM_RANGE, process: process.value, conditions: conditions.value, work: { ...work } },
  () => own.value,
)
const TITLES = {
  sheet: 'Practice',
  light: 'Expose',
  develop: 'Develop',
  clear: 'Wash and clear',
  fix: 'Fix',
  dry: 'Hang to dry',
  judged: 'A day later',
} as const
const HINTS = computed(() => ({
  sheet: texts.nothingIsUsed,
  light: texts.whatToWatch,
  develop: texts.developUntilStill,
  clear: texts.clearUntilWhite,
  fix: texts.fixFor({ time: formatSpan(process.value.fix?.seconds.value ?? 0) }),
  dry: texts.judgeDry,
  judged: '',
}))
const isTimed = computed(() => !['sheet', 'dry', 'judged'].includes(step.value))
</script>

<template>
  <section class="PracticeStation">
    <header>
      <p class="es-kicker">
        {{
          lesson ? `Lesson: ${lesson.title}` : `${options.find(({ id }) => id === processId)?.name}, virtual`
        }}
      </p>
      <h1>{{ TITLES[step] }}</h1>
    </header>
    <p v-if="HINTS[step] && !(lesson && step === 'sheet')" class="es-quiet">{{ HINTS[step] }}</p>

    <form v-if="step === 'sheet'" @submit.prevent="coatSheet">
      <p v-if="lesson" class="PracticeStation-before">{{ lesson.before }}</p>
      <template v-else>
        <FieldGrid>
          <SelectField v-model="processId" label="Process" :options="options" />
        </FieldGrid>
        <ChoiceRow
          v-model="coat"
          label="Coat"
          :options="[
            { id: 'thin', name: 'thin' },
            { id: 'usual', name: 'as usual' },
            { id: 'heavy', name: 'heavy' },
          ]"
        />
        <ChoiceRow
          v-model="air"
          label="Humidity, %"
          :options="['30', '50', '70'].map((id) => ({ id, name: id }))"
        />
        <KitCheckbox v-model="hasFault">With a hidden fault</KitCheckbox>
      </template>
      <p class="PracticeStation-own">
        <KitButton @click="input?.open()">{{ own ? 'Another picture' : 'Print my own picture' }}</KitButton>
        <KitButton v-if="own" kind="quiet" @click="own = null">The drawn negative</KitButton>
      </p>
      <FileChoice ref="input" label="Own picture" accept="image/*,.tif,.tiff" @chosen="takePicture" />
      <BigTarget label="Coat the sheet" hint=" " @press="coatSheet" />
    </form>

    <div v-else class="PracticeStation-bench">
      <div class="PracticeStation-frame">
        <TintedPicture v-show="isOpen">
          <canvas ref="canvas" width="1000" height="800" role="img" aria-label="The practice print now" />
        </TintedPicture>
        <p v-if="!isOpen" class="PracticeStation-closed">The frame is closed.</p>
      </div>
      <div v-if="isTimed" class="PracticeStation-hands">
        <p class="PracticeStation-time">
          {{ formatClock(seconds) }}
          <span class="es-quiet">{{ step === 'light' ? 'exposed' : 'in the bath' }}</span>
        </p>
        <ChoiceRow
          v-model="speed"
          label="Time runs"
          :options="[
            { id: '10', name: '10 ×' },
            { id: '60', name: '60 ×' },
            { id: '240', name: '240 ×' },
          ]"
        />
        <div class="PracticeStation-acts">
          <BigTarget
            :label="
              isRunning
                ? step === 'light'
                  ? 'Light off'
                  : 'Stop the time'
                : step === 'light'
                  ? 'Light on'
                  : 'Start the time'
            "
            hint=" "
            @press="toggle"
          />
          <BigTarget v-if="step === 'light'" quiet label="Open the frame" hint="o" @press="look" />
          <BigTarget
            quiet
            :label="step === 'light' ? 'Into the baths' : 'Next step'"
            hint="enter"
            @press="next"
          />
        </div>
      </div>
      <BigTarget v-else-if="step === 'dry'" label="Look a day later" hint="enter" @press="next" />
      <PracticeVerdict
        v-else-if="score"
        v-model="guess"
        :score="score"
        :has-fixer="!!process.fix"
        :causes="hiddenId ? causes : []"
        :lesson="lesson"
        :result="result"
        :verdict="verdict"
        @again="again"
      />
    </div>
  </section>
</template>

<style scoped>
.PracticeStation,
form {
  display: grid;
  gap: var(--es-space-5);
  justify-items: start;
  max-width: 56.25rem;
}

form > .FieldGrid {
  width: 100%;
}

.PracticeStation-own {
  display: flex;
  gap: var(--es-space-3);
  margin: 0;
}

.PracticeStation-before {
  margin: 0;
  font-size: var(--es-size-lead);
}

.PracticeStation-bench {
  display: grid;
  grid-template-columns: minmax(0, 32rem) minmax(14rem, 1fr);
  gap: var(--es-space-5);
  width: 100%;
}

.PracticeStation-hands {
  display: grid;
  gap: var(--es-space-4);
  align-content: start;
  justify-items: stretch;
}

@media (width < 51.25em) {
  .PracticeStation-bench {
    grid-template-columns: 1fr;
  }
}

.PracticeStation-frame > * {
  aspect-ratio: 5 / 4;
}

.PracticeStation-closed {
  display: grid;
  place-items: center;
  margin: 0;
  border: 1px solid var(--es-line);
  color: var(--es-quiet);
}

.PracticeStation-time {
  margin: 0;
  font-size: var(--es-size-figure);
  font-variant-numeric: tabular-nums;
}

.PracticeStation-time span {
  font-size: var(--es-size-small);
}

canvas {
  display: block;
  width: 100%;
  height: 100%;
}

.PracticeStation-acts {
  display: grid;
  gap: var(--es-space-3);
}
</style>
