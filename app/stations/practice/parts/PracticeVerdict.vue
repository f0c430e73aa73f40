<script setup lang="ts">
import { computed } from 'vue'
import type { PracticeScore } from '@core/simulate/practiceScore'
import BigTarget from '../../../kit/BigTarget.vue'
import SelectField from '../../../kit/SelectField.vue'
import type { Lesson } from '@core/schema/lesson'
import type { LessonResult } from '@core/simulate/lesson'
import { texts } from '../words'

/** What a practice print is worth, decision by decision, and what was wrong with its sheet. */
const props = defineProps<{
  score: PracticeScore
  hasFixer: boolean
  causes: readonly { id: string; name: string }[]
  verdict: string
  lesson: Lesson | null
  result: LessonResult | null
}>()
defineEmits<{ again: [] }>()
const guess = defineModel<string>({ required: true })

const AIMS = {
  exposure: 'Exposure',
  clearing: 'Clearing',
  fixing: 'Fixing',
  economy: 'Looks',
  cause: 'Cause',
} as const
const rows = computed(() => {
  const { doseStops, stainLeft, fixLoss, isUnfixed, looks, marks } = props.score
  return [
    {
      name: 'Exposure',
      marks: marks.exposure,
      said: Number.isFinite(doseStops) ? texts.doseSaid({ stops: doseStops }) : texts.notExposed,
    },
    {
      name: 'Clearing',
      marks: marks.clearing,
      said: stainLeft < 0.006 ? texts.clearedWell : texts.stainLeft({ density: stainLeft.toFixed(2) }),
    },
    ...(props.hasFixer
      ? [
          {
            name: 'Fixing',
            marks: marks.fixing,
            said: isUnfixed
              ? texts.notFixed
              : fixLoss < 0.025
                ? texts.fixedWell
                : texts.fixTook({ percent: Math.round(100 * fixLoss) }),
          },
        ]
      : []),
    { name: 'Looks', marks: marks.economy, said: texts.looksSaid({ looks }) },
  ]
})
</script>

<template>
  <div class="PracticeVerdict">
    <p class="PracticeVerdict-total">{{ score.marks.total }} of 100</p>
    <dl aria-label="Marks">
      <div v-for="row in rows" :key="row.name">
        <dt>{{ row.name }}</dt>
        <dd class="PracticeVerdict-marks">{{ row.marks }}</dd>
        <dd class="PracticeVerdict-said">{{ row.said }}</dd>
      </div>
    </dl>
    <template v-if="causes.length">
      <SelectField
        v-model="guess"
        :label="texts.chooseCause"
        :options="causes"
        placeholder="choose a cause"
      />
      <p v-if="verdict" role="status">{{ verdict }}</p>
    </template>
    <template v-if="lesson">
      <p v-if="!result">{{ texts.nameTheCause }}</p>
      <template v-else>
        <p role="status">
          <strong>{{ result.isPassed ? texts.lessonPassed : texts.lessonFailed }}</strong>
          {{ lesson.after }}
        </p>
        <ul aria-label="What the lesson needed">
          <li v-for="row in result.rows" :key="row.name">
            {{ texts.aimSaid({ name: AIMS[row.name], wanted: row.wanted, reached: row.reached }) }}
          </li>
        </ul>
        <RouterLink :to="{ name: 'lessons' }">All lessons</RouterLink>
      </template>
    </template>
    <BigTarget label="Practise again" hint="enter" @press="$emit('again')" />
  </div>
</template>

<style scoped>
.PracticeVerdict {
  display: grid;
  gap: var(--es-space-4);
  align-content: start;
  justify-items: start;
}

.PracticeVerdict-total {
  margin: 0;
  font: 500 var(--es-size-figure)/1.15 var(--es-serif);
}

ul {
  margin: 0;
  padding: 0;
  list-style: none;
}

dl {
  display: grid;
  gap: var(--es-space-3);
  margin: 0;
}

dl > div {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 0 var(--es-space-4);
}

dd {
  margin: 0;
}

.PracticeVerdict-said {
  grid-column: 1 / -1;
  color: var(--es-quiet);
}

.PracticeVerdict-marks {
  text-align: right;
  font-variant-numeric: tabular-nums;
}
</style>
