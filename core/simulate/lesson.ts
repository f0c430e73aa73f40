import { CoreError } from '../errors'
import { LessonFile, type Lesson } from '../schema/lesson'
import type { PracticeScore } from './practiceScore'

/** What a lesson came to, aim by aim. */
export interface LessonResult {
  isPassed: boolean
  rows: { name: 'exposure' | 'clearing' | 'fixing' | 'economy' | 'cause'; wanted: number; reached: number }[]
}

const NAMES = ['exposure', 'clearing', 'fixing', 'economy'] as const

/** Judges a lesson by its own aims. @param guessed cause that was named; a hidden one counts as an aim of 100. */
export function lessonResult(lesson: Lesson, { marks }: PracticeScore, guessed: string): LessonResult {
  const rows: LessonResult['rows'] = NAMES.flatMap((name) => {
    const wanted = lesson.aims[name]
    return wanted === undefined ? [] : [{ name, wanted, reached: marks[name] }]
  })
  if (lesson.causeId) rows.push({ name: 'cause', wanted: 100, reached: guessed === lesson.causeId ? 100 : 0 })
  return { isPassed: rows.every(({ wanted, reached }) => reached >= wanted), rows }
}

/**
 * Reads a file of lessons.
 *
 * @param known processes and causes that this app has.
 * @throws CoreError `not-lessons` with the place that is wrong.
 */
export function readLessons(
  text: string,
  known: { processIds: readonly string[]; causeIds: readonly string[] },
): Lesson[] {
  let json: unknown
  try {
    json = JSON.parse(text)
  } catch {
    throw refuse('This file is not JSON.')
  }
  const read = LessonFile.safeParse(json)
  if (!read.success) {
    const [issue] = read.error.issues
    throw refuse(`At ${issue?.path.join('.') || 'the top'}: ${issue?.message ?? 'unknown fault'}.`)
  }
  const { lessons } = read.data
  for (const { title, processId, causeId } of lessons) {
    if (!known.processIds.includes(processId))
      throw refuse(`“${title}” is of a process that cannot be practised: ${processId}.`)
    if (causeId && !known.causeIds.includes(causeId))
      throw refuse(`“${title}” hides a cause that is not known: ${causeId}.`)
  }
  if (new Set(lessons.map(({ id }) => id)).size < lessons.length)
    throw refuse('Two lessons have the same id.')
  return lessons
}

const refuse = (problem: string) =>
  new CoreError({
    code: 'not-lessons',
    field: 'lessons',
    problem,
    remedy: 'Choose a file of lessons as docs/lessons.md describes it.',
  })
