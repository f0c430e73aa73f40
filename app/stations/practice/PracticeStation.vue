<script setup lang="ts">
import { computed, useTemplateRef } from 'vue'
import BigTarget from '../../kit/BigTarget.vue'
import { saidOf } from '@core/simulate/practiceReading'
import ChoiceRow from '../../kit/ChoiceRow.vue'
import FileChoice from '../../kit/FileChoice.vue'
import KitButton from '../../kit/KitButton.vue'
import TintedPicture from '../../kit/TintedPicture.vue'
import LadderReading from './parts/LadderReading.vue'
import PracticeHands from './parts/PracticeHands.vue'
import PracticeProblem from './parts/PracticeProblem.vue'
import PracticeSheetForm from './parts/PracticeSheetForm.vue'
import PracticeVerdict from './parts/PracticeVerdict.vue'
import { usePractice } from './usePractice'
import { usePracticeNotes } from './usePracticeNotes'
import { usePracticePicture } from './usePracticePicture'
import { texts } from './words'

/** A print that exists only in numbers: coated, exposed, processed and judged like a real one. */
const practice = usePractice()
const { form, lesson, process, definition, options, ladderSteps, own, takePicture, isTuned, step, realStep, work, question, score, isAsked, result, reading } = practice // prettier-ignore
const { seconds, looks, speed, isRunning, isOpen, isSalted, isOld, water, hidden, tests, shown, offered, causes, guesses, named, verdict } = practice // prettier-ignore
const { read, isRead, canBeRead, truth, curve, off, wetSaid, dried } = reading
usePracticeNotes(practice)

const WET_CHECK = [
  { id: 'light', name: 'too light' },
  { id: 'right', name: 'right' },
  { id: 'dark', name: 'too dark' },
] as const
const wetCheck = computed(() => {
  const is = score.value ? saidOf(score.value.doseStops) : 'right'
  const nameOf = (said: string) => WET_CHECK.find(({ id }) => id === said)?.name ?? ''
  const change = texts.driedBy({ change: dried.value })
  // With something wrong in the sheet, its exposure alone does not say how it is.
  if (!wetSaid.value || hidden.value.length) return change
  return `${change} ${wetSaid.value === is ? texts.wetWasRight : texts.wetWasWrong({ said: nameOf(wetSaid.value), is: nameOf(is) })}`
})
const input = useTemplateRef<InstanceType<typeof FileChoice>>('input')
const canvas = useTemplateRef<HTMLCanvasElement>('canvas')
usePracticePicture(
  canvas,
  () => question.value,
  () => reading.inked.value,
)
const title = computed(() =>
  step.value === 'sheet'
    ? 'Practice'
    : step.value === 'judged'
      ? isOld.value
        ? 'Two years later'
        : 'A day later'
      : (realStep.value?.title ?? 'Practice'),
)
const hint = computed(() =>
  step.value === 'sheet'
    ? lesson.value
      ? ''
      : texts.nothingIsUsed
    : step.value === 'light'
      ? process.value.developSeconds
        ? texts.ghostToWatch
        : texts.whatToWatch
      : step.value === 'judged'
        ? ''
        : (realStep.value?.doing ?? ''),
)
</script>

<template>
  <section class="PracticeStation">
    <header>
      <p class="es-kicker">{{ lesson ? `Lesson: ${lesson.title}` : `${definition.name}, virtual` }}</p>
      <h1>{{ title }}</h1>
    </header>
    <p v-if="hint" class="es-quiet">{{ hint }}</p>

    <form v-if="step === 'sheet'" @submit.prevent="practice.coatSheet">
      <p v-if="lesson" class="PracticeStation-before">{{ lesson.before }}</p>
      <PracticeSheetForm
        v-else
        :model-value="form"
        :options="options"
        :has-toner="!!process.toner"
        :shows-milk="process.showsMilk"
      />
      <p v-if="!lesson && isTuned">
        {{ texts.followsOwnPrints }}
        <RouterLink :to="{ name: 'model' }">My own prints</RouterLink>
      </p>
      <p v-if="!ladderSteps" class="PracticeStation-own">
        <KitButton @click="input?.open()">{{ own ? 'Another picture' : 'Print my own picture' }}</KitButton>
        <KitButton v-if="own" kind="quiet" @click="own = null">The drawn negative</KitButton>
      </p>
      <FileChoice ref="input" label="Own picture" accept="image/*,.tif,.tiff" @chosen="takePicture" />
      <BigTarget label="Coat the sheet" hint=" " @press="practice.coatSheet" />
    </form>

    <div v-else class="PracticeStation-bench">
      <div class="PracticeStation-sheet">
        <div class="PracticeStation-frame" :class="{ 'is-split': step === 'light' && work.dose > 0 }">
          <TintedPicture v-show="isOpen">
            <canvas ref="canvas" width="1000" height="800" role="img" aria-label="The practice print now" />
          </TintedPicture>
          <p v-if="!isOpen" class="PracticeStation-closed">The frame is closed.</p>
        </div>
        <ol v-if="ladderSteps" class="PracticeStation-steps" aria-hidden="true">
          <li v-for="n in ladderSteps" :key="n">{{ n }}</li>
        </ol>
        <p v-if="shown" class="es-quiet">{{ shown.test.doing }}</p>
        <PracticeVerdict
          v-if="score"
          :score="score"
          :looks="looks"
          :tests="tests.length"
          :is-named="named !== null"
          :lesson="lesson"
          :asked="isAsked"
          :result="result"
        />
      </div>
      <PracticeHands
        v-if="step === 'light' || practice.isBath(step)"
        v-model:speed="speed"
        :step="realStep"
        :is-light="step === 'light'"
        :seconds="seconds"
        :is-running="isRunning"
        :water="water"
        :is-soft-water="form.hasSoftWater && !isSalted"
        @toggle="practice.toggle"
        @look="practice.look"
        @next="practice.next"
        @salt="practice.addSalt"
      />
      <div v-else-if="step === 'dry'" class="PracticeStation-end">
        <ChoiceRow v-if="!ladderSteps" v-model="wetSaid" :label="texts.wetCheck" :options="WET_CHECK" />
        <BigTarget label="Look a day later" hint="enter" @press="practice.next" />
      </div>
      <div v-else-if="score" class="PracticeStation-end">
        <LadderReading
          v-if="ladderSteps && truth"
          :model-value="read"
          :steps="ladderSteps"
          :is-tablet="form.negative === 'tablet'"
          :can-be-read="canBeRead"
          :is-read="isRead"
          :truth="truth"
          :mark="reading.reading.value"
          @check="isRead = true"
        />
        <PracticeProblem
          v-if="hidden.length"
          :count="hidden.length"
          :offered="offered"
          :tests="tests"
          :shown="shown"
          :causes="causes"
          :guesses="guesses"
          :verdict="verdict"
          @test="practice.makeTest"
          @show="shown = $event"
          @name="practice.name"
        />
        <p v-if="!ladderSteps">{{ wetCheck }}</p>
        <template v-if="off !== null && !hidden.length">
          <p>
            {{
              curve ? texts.throughCurve({ off: off.toFixed(1) }) : texts.plainTones({ off: off.toFixed(1) })
            }}
          </p>
          <KitButton v-if="!curve" @click="practice.printCorrected">
            Correct the negative, print again
          </KitButton>
        </template>
        <KitButton kind="quiet" @click="practice.age">
          {{ isOld ? 'Back to the first day' : 'Look two years later' }}
        </KitButton>
        <BigTarget label="Practise again" hint="enter" @press="practice.again" />
      </div>
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

.PracticeStation-sheet,
.PracticeStation-end {
  display: grid;
  gap: var(--es-space-4);
  align-content: start;
}

.PracticeStation-end {
  justify-items: start;
}

.PracticeStation-sheet > p,
.PracticeStation-end > p {
  margin: 0;
}

@media (width < 51.25em) {
  .PracticeStation-bench {
    grid-template-columns: 1fr;
  }
}

.PracticeStation-frame > * {
  aspect-ratio: 5 / 4;
}

/* Half of the back is opened to look, and the other half keeps the register. */
.PracticeStation-frame.is-split canvas {
  clip-path: inset(0 0 0 45%);
}

.PracticeStation-frame.is-split {
  background: var(--es-rule);
}

.PracticeStation-frame.is-split > * {
  background: none;
}

.PracticeStation-closed {
  display: grid;
  place-items: center;
  margin: 0;
  border: 1px solid var(--es-line);
  color: var(--es-quiet);
}

.PracticeStation-steps {
  display: grid;
  grid-auto-columns: 1fr;
  grid-auto-flow: column;
  margin: 0;
  padding: 0 3.6%;
  color: var(--es-quiet);
  font-size: var(--es-size-small);
  text-align: center;
  list-style: none;
}

canvas {
  display: block;
  width: 100%;
  height: 100%;
}
</style>
