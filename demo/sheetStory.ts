import { beginning, startingChoices } from '@core/process/plan'
import type { Happening, SheetEvent } from '@core/schema/event'
import type { Sheet } from '@core/schema/records'
import { classicCyanotype } from '@library/processes/classicCyanotype'
import { seededUuid } from '@core/quantity/random'

const SECOND = 1000
const MINUTE = 60 * SECOND

/** Where a sheet of the scenario has got to; each stage includes all before it. */
export type Stage = 'planned' | 'drying' | 'dry' | 'exposing' | 'exposed' | 'washing' | 'hung'

const ORDER: readonly Stage[] = ['planned', 'drying', 'dry', 'exposing', 'exposed', 'washing', 'hung']

/** How one sheet was worked, in the hands of one person. */
export interface Work {
  stage: Stage
  /** Moment of the last thing that the stage tells of, in milliseconds: when it was laid in the dark, hung, and so on. */
  at: number
  exposureSeconds: number
  washSeconds: number
  waters: number
  gramsPerM2: number
  /** Minutes the dry coat lay before it was exposed. */
  waitedMinutes?: number
  /** The light under which it was exposed, where it was known. */
  milliwattsPerCm2?: number
  /** A change given under the light. */
  given?: { said: string; plannedSeconds: number }
}

/**
 * The log of one sheet: every drop, clock and water, worked out backwards from the moment the stage began.
 *
 * @param random a repeatable source; it makes the hand uneven and gives events their identities.
 */
export function workLog(sheet: Sheet, work: Work, random: () => number): SheetEvent[] {
  const steps: { after: number; what: Happening }[] = []
  const reached = (stage: Stage) => ORDER.indexOf(work.stage) >= ORDER.indexOf(stage)
  const then = (milliseconds: number, what: Happening) =>
    steps.push({ after: Math.round(milliseconds), what })
  const about = (milliseconds: number) => milliseconds * (0.9 + 0.2 * random())
  const expose = sheet.choices.subject === 'photogram' ? 'expose-objects' : 'expose'
  const total = work.given?.plannedSeconds ?? work.exposureSeconds

  if (reached('drying')) {
    then(0, beginning(classicCyanotype, sheet, { sensitizer: [20, 20] }, work.gramsPerM2))
    for (const component of ['iron', 'ferricyanide'])
      for (let drop = 0; drop < 20; drop++) then(about(1100), { type: 'dropped', component, change: 1 })
    then(about(12 * SECOND), { type: 'stepFinished', step: 'mix', drawn: drawnFor(sheet) })
    then(about(95 * SECOND), { type: 'stepFinished', step: 'spread' })
  }
  if (reached('dry')) {
    then(about(3 * MINUTE), {
      type: 'coatJudged',
      coat: 1,
      ...(random() < 0.3 ? { said: 'over', byMillilitres: 0.1 } : { said: 'right' }),
    })
    then(about(10 * MINUTE), { type: 'stepFinished', step: 'dry' })
  }
  if (reached('exposing')) {
    const { milliwattsPerCm2 } = work
    then((work.waitedMinutes ?? 6) * MINUTE, {
      type: 'stepStarted',
      step: expose,
      ...(milliwattsPerCm2 && { light: { milliwattsPerCm2 } }),
    })
    if (reached('exposed')) {
      then(total * 550, { type: 'looked', step: expose })
      then(about(18 * SECOND), { type: 'returned', step: expose })
      if (work.given)
        then(4 * SECOND, {
          type: 'exposureChanged',
          step: expose,
          said: work.given.said,
          plannedSeconds: work.given.plannedSeconds,
        })
      then(total * 450 + about(2 * SECOND) - (work.given ? 4 * SECOND : 0), {
        type: 'stepFinished',
        step: expose,
      })
    }
  }
  if (reached('washing')) {
    then(about(50 * SECOND), { type: 'stepStarted', step: 'wash' })
    if (reached('hung')) {
      for (let water = 1; water <= work.waters; water++)
        then((work.washSeconds * SECOND) / (work.waters + 1), { type: 'waterChanged', step: 'wash' })
      then((work.washSeconds * SECOND) / (work.waters + 1), { type: 'stepFinished', step: 'wash' })
    }
  }
  let at = work.at - steps.reduce((sum, step) => sum + step.after, 0)
  return steps.map(({ after, what }, index) => {
    at += after
    return { ...what, id: seededUuid(random), sheetId: sheet.id, index, at } as SheetEvent
  })
}

/** Twenty drops of each, off the bottles that were chosen. */
const drawnFor = (sheet: Sheet) =>
  Object.entries(sheet.bottles).map(([component, bottleId]) => ({ component, bottleId, millilitres: 1 }))

/** Adds one more thing to a log. */
export function carryOn(
  log: SheetEvent[],
  sheetId: string,
  at: number,
  what: Happening,
  random: () => number,
): void {
  log.push({ ...what, id: seededUuid(random), sheetId, index: log.length, at: Math.round(at) } as SheetEvent)
}

export const choicesWith = (changes: Record<string, string>): Record<string, string> => ({
  ...startingChoices(classicCyanotype),
  ...changes,
})
