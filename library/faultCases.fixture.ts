import { diagnose, type Observed, type RankedCause } from '@core/judge/diagnosis'
import { rankQuestions } from '@core/judge/questions'
import { traitsOf } from '@core/judge/traits'
import type { Moment } from '@core/judge/faultBook'
import { startingChoices } from '@core/process/plan'
import type { Light } from '@core/schema/light'
import { faults } from './faults'
import { processes } from './index'

/** A print that went wrong as a printer would tell of it. */
export interface Case {
  process: string
  seen: string[]
  /** What the record shows. */
  recorded?: string[]
  /** What the record shows to be in order. */
  fine?: string[]
  /** What is true besides, and is answered when it is asked; every other answer is no. */
  true?: string[]
  /** When it was first seen, for who asks. */
  when?: Moment
  light?: Light['kind']
  cause: string
}
export const caseOf = (
  process: string,
  cause: string,
  seen: string[],
  known: Pick<Case, 'recorded' | 'fine' | 'true' | 'when' | 'light'> = {},
): Case => ({ process, cause, seen, ...known })

/** Whether the printer answers yes; `null` where it cannot be said. */
function answerOf({ when, true: truth = [] }: Case, factId: string): boolean | null {
  const moment = faults.facts.find(({ id }) => id === factId)?.moment
  if (!moment) return truth.includes(factId)
  return when === undefined ? null : when === moment
}

/** What is known of a case after so many questions, each answered as the case has it, and what follows. */
export function asked(one: Case, questions: number): { ranked: RankedCause[]; traits: ReturnType<typeof traitsOf> } {
  const definition = processes[one.process]!
  const traits = traitsOf(
    definition,
    {
      choices: { ...startingChoices(definition), subject: 'negative', ...(one.process === 'van-dyke' && { toner: 'gold' }) },
      ...(one.process === 'gum-over' && { over: 'x' }),
    },
    { kind: one.light ?? 'uvBox' },
  )
  const observed: Observed[] = [
    ...(one.recorded ?? []).map((factId) => ({ factId, is: true, said: factId, isRecorded: true })),
    ...(one.fine ?? []).map((factId) => ({ factId, is: false, said: factId, isRecorded: true })),
  ]
  const ranked = () => diagnose(faults, { traits, symptoms: one.seen, observed, confirmed: [] })
  const skipped = new Set<string>()
  for (let n = 0; n < questions; n++) {
    const question = rankQuestions(faults, ranked(), { traits, observed }).find(({ id }) => !skipped.has(id))
    if (!question) break
    const answer = answerOf(one, question.id)
    // The moment is one question with several answers.
    const factId = question.moment ? faults.facts.find(({ moment }) => moment === one.when)?.id : question.id
    if (answer === null || !factId) skipped.add(question.id)
    else observed.push({ factId, is: question.moment ? true : answer, said: factId })
  }
  return { ranked: ranked(), traits }
} // prettier-ignore

export const rightAfter = (cases: readonly Case[], questions: number): Case[] =>
  cases.filter((one) => asked(one, questions).ranked[0]?.cause.id === one.cause)
