<script setup lang="ts">
import { computed, useTemplateRef } from 'vue'
import FileChoice from '../../../kit/FileChoice.vue'
import KitButton from '../../../kit/KitButton.vue'
import { useMarginNotes } from '../../../state/margin.store'
import { useNotice } from '../../../state/notice.store'
import { useWorkroom } from '../../../state/workroom.store'
import { useLessons } from '../lessons.store'
import { texts } from '../words'

/** Lessons in the order of the craft, each on one virtual print. */
const [lessons, workroom, notice] = [useLessons(), useWorkroom(), useNotice()]
const input = useTemplateRef<InstanceType<typeof FileChoice>>('input')
const done = computed(() => lessons.all.filter(({ id }) => lessons.isPassed(id)).length)

async function take([file]: File[]): Promise<void> {
  if (!file) return
  try {
    notice.say(texts.lessonsTaken({ count: lessons.takeIn(await file.text()) }))
  } catch (error) {
    notice.refuse(error, 'the lessons')
  }
}
const startOver = () => notice.say(texts.lessonsStartOver, lessons.forget())
useMarginNotes(() => [
  { title: 'Lessons', lines: [texts.lessonsAreApart] },
  { title: 'For teachers', lines: [texts.teachersFile] },
])
</script>

<template>
  <section class="LessonsPage">
    <header>
      <h1>Lessons</h1>
      <p class="es-quiet">{{ done }} of {{ lessons.all.length }} passed</p>
    </header>
    <p class="LessonsPage-acts">
      <KitButton @click="input?.open()">Take in lessons</KitButton>
      <KitButton kind="quiet" @click="startOver">Start over</KitButton>
    </p>
    <ol aria-label="Lessons">
      <li v-for="lesson in lessons.all" :key="lesson.id">
        <RouterLink :to="{ name: 'practice', query: { lesson: lesson.id } }">{{ lesson.title }}</RouterLink>
        <span class="es-quiet">{{ workroom.definitionOf(lesson.processId).name }}</span>
        <span>{{ lessons.isPassed(lesson.id) ? 'passed' : '' }}</span>
      </li>
    </ol>
    <FileChoice ref="input" label="File of lessons" accept=".json,application/json" @chosen="take" />
  </section>
</template>

<style scoped>
.LessonsPage {
  display: grid;
  gap: var(--es-space-5);
  max-width: 56.25rem;
}

ol {
  margin: 0;
  padding: 0;
  list-style: none;
}

li {
  display: grid;
  grid-template-columns: 1.4fr 1fr 5rem;
  gap: var(--es-space-2) var(--es-space-6);
  align-items: baseline;
  padding: var(--es-space-2) 0;
  border-bottom: 1px solid var(--es-rule);
}

li a {
  padding: var(--es-space-2) 0;
  color: var(--es-ink);
  font: 500 var(--es-size-lead)/1.2 var(--es-serif);
}

.LessonsPage-acts {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-3);
  margin: 0;
}
</style>
