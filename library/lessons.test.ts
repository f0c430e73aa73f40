import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { Lesson } from '@core/schema/lesson'
import { lessonResult, readLessons } from '@core/simulate/lesson'
import { spoiltBy } from '@core/simulate/practiceFault'
import { practiceScore } from '@core/simulate/practiceScore'
import { bestDose, workWell } from '@core/simulate/virtualPrint'
import { UNTOUCHED, USUAL_CONDITIONS } from '@core/simulate/virtualProcess'
import { faultsOf } from './practice.fixture'
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
  const hidden = practiceFaults.filter(({ causeId }) => causeId === lesson.causeId)
  const made = { ...spoiltBy(USUAL_CONDITIONS, process, hidden), ...lesson.sheet }
  const well = { ...workWell(process, bestDose(process, made)), toned: lesson.isToned ? 300 : null }
  const effort = {
    isLadder: !!lesson.negative,
    looks: 3,
    tests: 1,
    hidden: hidden.map(({ causeId }) => causeId),
  }

  it('is passed by one who works well, and failed by one who does nothing', () => {
    const score = practiceScore(process, made, well, { ...effort, named: effort.hidden })
    expect(lessonResult(lesson, score, { reading: 100, linearity: 100 }).isPassed).toBe(true)
    const none = practiceScore(
      process,
      made,
      { ...UNTOUCHED, hoursDry: 24 },
      { ...effort, looks: 9, named: [] },
    )
    const nothing = lessonResult(lesson, none)
    expect(nothing.isPassed).toBe(false)
    expect(nothing.rows.length).toBeGreaterThan(0)
  })

  it('takes under ten minutes at sixty times the speed of time', () => {
    const { dose, developed, cleared, toned, fixed, washed } = well
    const seconds = dose / 5 + [developed, cleared, toned, fixed, washed].reduce<number>((sum, one) => sum + (one ?? 0), 0) // prettier-ignore
    expect(((lesson.isCalibrated ? 2 : 1) * seconds) / 60).toBeLessThan(8 * 60)
  })

  it('can be written to a file and read again', () =>
    expect(readLessons(file([lesson]), known)).toEqual([lesson]))
})

it('ten lessons ask what went wrong, each with a fault that its process can have', () => {
  const cases = lessons.filter(({ causeId }) => causeId)
  expect(new Set(cases.map(({ causeId }) => causeId)).size).toBe(10)
  for (const { processId, causeId } of cases)
    expect(faultsOf(processId).map((fault) => fault.causeId)).toContain(causeId)
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
    [
      'an exposure of a strip',
      file([{ ...one, negative: 'strip', aims: { exposure: 60 } }]),
      /aim at “reading”/,
    ],
    ['a reading without a strip', file([{ ...one, aims: { reading: 60 } }]), /nothing to read/],
    ['evenness without a curve', file([{ ...one, aims: { linearity: 60 } }]), /prints no curve/],
    ['a calibration of a tablet', file([{ ...one, isCalibrated: true, negative: 'tablet' }]), /leave out/],
    ['the same id twice', file([one, one]), /same id/],
  ])('with %s is refused, and says where', (_, text, words) =>
    expect(() => readLessons(text, known)).toThrow(words),
  )
})

describe('docs/lessons.md', () => {
  const doc = readFileSync(join(__dirname, '..', 'docs', 'lessons.md'), 'utf8')
  it('shows a file that can be read, and names every process, cause, field and aim', () => {
    const [, example = ''] = /```json\n([\s\S]*?)```/.exec(doc) ?? []
    expect(readLessons(example, known)).toHaveLength(1)
    const { sheet, aims, ...fields } = Lesson.shape
    const named = [
      ...known.processIds,
      ...known.causeIds,
      ...Object.keys(sheet.shape),
      ...Object.keys(aims.shape),
      ...Object.keys(fields).filter((field) => !['id', 'title', 'before', 'after'].includes(field)),
    ]
    expect(named.filter((name) => !doc.includes(`\`${name}\``))).toEqual([])
  })
})
