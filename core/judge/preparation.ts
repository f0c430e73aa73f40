import { formatSpan } from '../quantity/format'
import type { SubstanceBook } from '../chemistry/lots'
import { acidSteps, concerns, type TreatmentWork } from '../process/acidTreated'
import { missingSeconds } from '../run/shortened'
import { slipsOf, type Slip } from '../run/timing'
import { wordsIdOf } from '../run/runState'
import type { Sheet } from '../schema/records'

/** One treatment that the paper of a sheet has been through, as far as it went. */
export interface Preparation extends TreatmentWork {
  /** Whether only half of the piece was treated, to see what the treatment does. */
  isHalf: boolean
  /** Titles of steps that were not finished. */
  missed: string[]
  /** Steps that were too short or too long. */
  slips: Slip[]
  /** Its acid bath: long enough, cut short, or none. */
  acid: 'whole' | 'short' | 'none'
}

/**
 * What was done to the paper of a sheet before it was coated, oldest first.
 *
 * @param sheet the piece it is on, or the paper of which it is a whole sheet.
 */
export function preparationsOf(
  sheet: Pick<Sheet, 'pieceId' | 'paperId'>,
  treatments: readonly TreatmentWork[],
  book: SubstanceBook,
): Preparation[] {
  return treatments
    .filter(({ run, state }) => state.begunAt !== null && !state.setAside && concerns(run, sheet))
    .sort((a, b) => (a.state.begunAt ?? 0) - (b.state.begunAt ?? 0))
    .map((work) => {
      const acid = acidSteps(work, book)
      return {
        ...work,
        isHalf: sheet.pieceId !== undefined && work.run.halfPieceId === sheet.pieceId,
        missed: work.state.steps
          .filter(({ status }) => status === 'waiting')
          .map(({ planned }) => titleOf(work, wordsIdOf(planned))),
        slips: slipsOf(work.state, work.definition, work.state.lastAt),
        acid: acid.length ? (acid.some((step) => missingSeconds(step) === 0) ? 'whole' : 'short') : 'none',
      }
    })
}

const titleOf = ({ definition }: TreatmentWork, id: string): string =>
  definition.steps.find((step) => step.id === id)?.title ?? id

/** A treatment in one line: what it was, in what, on how much of the piece, and what was left out or cut short. */
export function preparationSaid(preparation: Preparation): string {
  const { run, definition, isHalf, missed, slips } = preparation
  const options = definition.choices.flatMap(({ id, options: all }) =>
    all.filter((one) => one.id === run.choices[id]),
  )
  const off = slips.map(({ wordsId, kind, seconds }) =>
    kind === 'leftOut'
      ? `${titleOf(preparation, wordsId)} left out`
      : `${titleOf(preparation, wordsId)} ${formatSpan(seconds)} ${kind === 'early' ? 'short' : 'too long'}`,
  )
  return [
    definition.name,
    ...options.map(({ name }) => name),
    ...(isHalf ? ['half of the piece'] : []),
    ...off,
    ...(missed.length ? [`not done: ${missed.join(', ')}`] : []),
  ].join(', ')
}
