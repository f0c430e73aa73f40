import type { SubstanceBook } from '../chemistry/lots'
import { schoolStocks } from './plan'
import { wordsIdOf, type RunState, type StepState } from '../run/runState'
import { trayOf } from './trays'
import type { ProcessDefinition } from '../schema/definition'
import type { PaperRun, Sheet } from '../schema/records'

/** A treatment of paper, as far as it went. */
export interface TreatmentWork {
  run: PaperRun
  state: RunState
  definition: ProcessDefinition
}

/**
 * Whether the paper of a sheet has been through an acid bath: the one rule by which diagnosis, preparations and the notes
 * on paper tell that chalk is gone. A size or a salt is no acid bath, and a half-treated piece counts as untreated.
 *
 * @param sheet the piece it is on, or the paper of which it is a whole sheet.
 */
export function isAcidTreated(
  sheet: Pick<Sheet, 'pieceId' | 'paperId'>,
  treatments: readonly TreatmentWork[],
  book: SubstanceBook,
): boolean {
  const { pieceId } = sheet
  return treatments.some(
    (one) =>
      concerns(one.run, sheet) &&
      (pieceId === undefined || one.run.halfPieceId !== pieceId) &&
      acidSteps(one, book).length > 0,
  )
}

/** Whether a treatment was one of this piece, or of the paper of this whole sheet. */
export function concerns(run: PaperRun, { pieceId, paperId }: Pick<Sheet, 'pieceId' | 'paperId'>): boolean {
  if (pieceId !== undefined) return run.pieceIds.includes(pieceId)
  return run.pieceIds.length === 0 && run.paperId !== undefined && run.paperId === paperId
}

/** The finished steps of a treatment in an acid. */
export function acidSteps({ run, state, definition }: TreatmentWork, book: SubstanceBook): StepState[] {
  const stocks = schoolStocks(definition, run.choices)
  return state.steps.filter((step) => {
    const words = definition.steps.find((one) => one.id === wordsIdOf(step.planned))
    const tray = words && trayOf(definition, words, run.choices)
    const solutes = tray ? (stocks[tray.id] ?? tray.stock.solutes) : []
    return (
      step.status === 'done' &&
      !step.skipped &&
      solutes.some((one) => book[one.substanceId]?.reacts.includes('acid'))
    )
  })
}
