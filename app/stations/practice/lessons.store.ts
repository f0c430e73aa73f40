import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { z } from 'zod'
import { Lesson } from '@core/schema/lesson'
import { readLessons } from '@core/simulate/lesson'
import { lessons as ownLessons } from '@library/lessons'
import { practiceFaults, practiceProcesses } from '@library/practice'

/** Kept on this device, apart from the records: no archive holds it. */
const KEY = 'ember-sheet-practice'
const Kept = z.object({
  /** Ids of lessons that were passed. */
  passed: z.array(z.string()).catch([]),
  /** Lessons that a teacher handed out. */
  handedOut: z.array(Lesson).catch([]),
})

function load(): z.infer<typeof Kept> {
  try {
    return Kept.parse(JSON.parse(localStorage.getItem(KEY) ?? '{}'))
  } catch {
    return { passed: [], handedOut: [] }
  }
}

/** Lessons that can be played, and which of them were passed. */
export const useLessons = defineStore('lessons', () => {
  const kept = ref(load())
  function save(): void {
    try {
      localStorage.setItem(KEY, JSON.stringify(kept.value))
    } catch {
      // Where nothing can be kept, lessons are played without it.
    }
  }
  const all = computed(() => {
    const handedOut = new Set(kept.value.handedOut.map(({ id }) => id))
    return [...ownLessons.filter(({ id }) => !handedOut.has(id)), ...kept.value.handedOut]
  })
  const lessonOf = (id: string) => all.value.find((lesson) => lesson.id === id) ?? null
  const isPassed = (id: string) => kept.value.passed.includes(id)

  function pass(id: string): void {
    if (isPassed(id)) return
    kept.value.passed.push(id)
    save()
  }
  /** Takes in a teacher's file; lessons of the same id are replaced. @throws CoreError `not-lessons`. */
  function takeIn(text: string): number {
    const read = readLessons(text, {
      processIds: practiceProcesses.map(({ processId }) => processId),
      causeIds: practiceFaults.map(({ causeId }) => causeId),
    })
    const ids = new Set(read.map(({ id }) => id))
    kept.value.handedOut = [...kept.value.handedOut.filter(({ id }) => !ids.has(id)), ...read]
    save()
    return read.length
  }
  /** Forgets what was passed and handed out. @returns what brings it back. */
  function forget(): () => void {
    const before = kept.value
    kept.value = { passed: [], handedOut: [] }
    save()
    return () => {
      kept.value = before
      save()
    }
  }
  return { all, lessonOf, isPassed, pass, takeIn, forget }
})
