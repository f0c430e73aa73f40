import { CoreError } from '../errors'
import { LessonFile, type Lesson } from '../schema/lesson'
import type { PracticeScore } from './practiceScore'

/** What a lesson has aims for. */
export type LessonAim = keyof Lesson['aims'] | 'cause'

/** The result of a lesson, aim by aim. */
export interface LessonResult {
  isPassed: boolean
  rows: { name: LessonAim; wanted: number; reached: number }[]
}

const NAMES = ['exposure', 'clearing', 'fixing', 'washing', 'economy', 'reading', 'linearity'] as const

/**
 * Judges a lesson by its own aims. A hidden cause counts as an aim of 100.
 *
 * @param readings marks for what was read and linearized, where the lesson asks for it.
 */
export function lessonResult(
  lesson: Lesson,
  { marks }: PracticeScore,
  readings: { reading?: number; linearity?: number } = {},
): LessonResult {
  const reachedAt = { ...marks, ...readings } as Partial<Record<(typeof NAMES)[number], number | null>>
  const rows: LessonResult['rows'] = NAMES.flatMap((name) => {
    const wanted = lesson.aims[name]
    return wanted === undefined ? [] : [{ name, wanted, reached: reachedAt[name] ?? 0 }]
  })
  if (lesson.causeId) rows.push({ name: 'cause', wanted: 100, reached: marks.cause ?? 0 })
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
  for (const { title, processId, causeId, isCalibrated, negative, aims } of lessons) {
    if (!known.processIds.includes(processId))
      throw refuse(`“${title}” is of a process that cannot be practised: ${processId}.`)
    if (isCalibrated && negative)
      throw refuse(`“${title}” is calibrated with a negative of its own: leave out “negative”.`)
    if (negative && aims.exposure !== undefined)
      throw refuse(`“${title}” has a strip or tablet, which is read: aim at “reading”, not at “exposure”.`)
    if (!negative && aims.reading !== undefined)
      throw refuse(`“${title}” has nothing to read: add “negative”, or leave out “reading”.`)
    if (!isCalibrated && aims.linearity !== undefined)
      throw refuse(`“${title}” prints no curve: add “isCalibrated”, or leave out “linearity”.`)
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
