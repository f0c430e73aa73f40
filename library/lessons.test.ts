import { lessonResult, readLessons } from '@core/simulate/lesson'
import { practiceScore } from '@core/simulate/practiceScore'
import { bestDose } from '@core/simulate/virtualPrint'
import { UNTOUCHED, USUAL_CONDITIONS, type SheetWork } from '@core/simulate/virtualProcess'
import { faults } from './faults'
import { lessons } from './lessons'
import { practiceFaults, practiceProcesses } from './practice'

const known = {
  processIds: practiceProcesses.map(({ processId }) => processId),
  causeIds: practiceFaults.map(({ causeId }) => causeId),
}
const file = (list: readonly object[]) =>
  JSON.stringify({ format: 'ember-sheet-lessons', version: 1, lessons: list })

describe.each(lessons.map((lesson) => [lesson.title, lesson] as const))('the lesson “%s”', (_, lesson) => {
  const process = practiceProcesses.find(({ processId }) => processId === lesson.processId)!
  const made = { ...USUAL_CONDITIONS, ...lesson.sheet }
  const well: SheetWork = {
    dose: bestDose(process, made),
    developed: 240,
    cleared: 6 * process.clearSeconds.value,
    fixed: process.fix?.seconds.value ?? null,
    hoursDry: 24,
  }

  it('is passed by one who works well, and failed by one who does nothing', () => {
    expect(lessonResult(lesson, practiceScore(process, made, well, 3), lesson.causeId ?? '').isPassed).toBe(
      true,
    )
    const nothing = lessonResult(lesson, practiceScore(process, made, { ...UNTOUCHED, hoursDry: 24 }, 9), '')
    expect(nothing.isPassed).toBe(false)
    expect(nothing.rows.length).toBeGreaterThan(0)
  })

  it('can be written to a file and read again', () =>
    expect(readLessons(file([lesson]), known)).toEqual([lesson]))
})

it('every fault that is hidden is a cause of the book, and some lesson hides it', () => {
  for (const { causeId } of practiceFaults) {
    expect(faults.causes.some(({ id }) => id === causeId)).toBe(true)
    expect(lessons.some((lesson) => lesson.causeId === causeId)).toBe(true)
  }
})

describe('a file of lessons', () => {
  const [one] = lessons as [(typeof lessons)[number]]
  it.each([
    ['no JSON', 'lessons', /not JSON/],
    ['another file', '{"format":"other"}', /format/],
    ['no lessons', file([]), /lessons/],
    ['a field that is unknown', file([{ ...one, colour: 'red' }]), /colour/],
    ['a sheet that cannot be', file([{ ...one, sheet: { coverage: -1 } }]), /lessons\.0\.sheet\.coverage/],
    ['an unknown process', file([{ ...one, processId: 'no-such-process' }]), /cannot be practised/],
    ['an unknown cause', file([{ ...one, causeId: 'ghosts' }]), /not known/],
    ['the same id twice', file([one, one]), /same id/],
  ])('with %s is refused, and says where', (_, text, words) =>
    expect(() => readLessons(text, known)).toThrow(words),
  )
})
