<script setup lang="ts">
import { computed } from 'vue'
import type { Lesson } from '@core/schema/lesson'
import type { LessonAim, LessonResult } from '@core/simulate/lesson'
import type { PracticeScore } from '@core/simulate/practiceScore'
import { texts } from '../words'

/** What a practice print is worth, decision by decision, and the result of its lesson. */
const props = defineProps<{
  score: PracticeScore
  looks: number
  tests: number
  /** The causes of what was hidden were named. */
  isNamed: boolean
  lesson: Lesson | null
  /** What the lesson still asks for. */
  asked: string
  result: LessonResult | null
}>()

const AIMS: Record<LessonAim, string> = {
  exposure: 'Exposure',
  clearing: 'Clearing',
  fixing: 'Fixing',
  washing: 'Washing',
  economy: 'Looks and tests',
  cause: 'Cause',
  reading: 'Reading',
  linearity: 'Linearity',
}
const rows = computed(() => {
  const { doseStops, stainLeft, fixLoss, isUnfixed, fixerLeft, marks } = props.score
  const percent = (share: number) => Math.round(100 * share)
  const all = [
    {
      id: 'exposure',
      said: Number.isFinite(doseStops) ? texts.doseSaid({ stops: doseStops }) : texts.notExposed,
    },
    {
      id: 'clearing',
      said: stainLeft < 0.006 ? texts.clearedWell : texts.stainLeft({ density: stainLeft.toFixed(2) }),
    },
    {
      id: 'fixing',
      said: isUnfixed
        ? texts.notFixed
        : fixLoss < 0.025
          ? texts.fixedWell
          : texts.fixTook({ percent: percent(fixLoss) }),
    },
    {
      id: 'washing',
      said: fixerLeft < 0.07 ? texts.washedWell : texts.fixerLeft({ percent: percent(fixerLeft) }),
    },
    { id: 'economy', said: texts.effortSaid({ looks: props.looks, tests: props.tests }) },
    { id: 'cause', said: props.isNamed ? texts.causeCounts : texts.notNamed },
  ] as const
  return all.flatMap(({ id, said }) =>
    marks[id] === null ? [] : [{ id, name: AIMS[id], marks: marks[id], said }],
  )
})
</script>

<template>
  <div class="PracticeVerdict">
    <p class="PracticeVerdict-total">{{ score.marks.total }} of 100</p>
    <template v-if="lesson">
      <p v-if="!result">{{ asked }}</p>
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
    <dl aria-label="Marks">
      <div v-for="row in rows" :key="row.id">
        <dt>{{ row.name }}</dt>
        <dd class="PracticeVerdict-marks">{{ row.marks }}</dd>
        <dd class="PracticeVerdict-said">{{ row.said }}</dd>
      </div>
    </dl>
  </div>
</template>

<style scoped>
.PracticeVerdict {
  display: grid;
  gap: var(--es-space-4);
  align-content: start;
  justify-items: start;
  width: 100%;
}

.PracticeVerdict p {
  margin: 0;
}

.PracticeVerdict-total {
  font: 500 var(--es-size-figure)/1.15 var(--es-serif);
}

ul {
  margin: 0;
  padding: 0;
  list-style: none;
}

dl {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(13.5rem, 1fr));
  gap: var(--es-space-3) var(--es-space-5);
  width: 100%;
  margin: 0;
}

dl > div {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 0 var(--es-space-4);
  align-content: start;
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
