import { book } from '../fixtures/substances'
import { T0, uuid } from '../fixtures/logs'
import { unknownProcess } from './unknownProcess'
import { emptyRun, type StepState } from '../run/runState'
import type { ProcessDefinition } from '../schema/definition'
import type { PaperRun } from '../schema/records'
import { isAcidTreated, type TreatmentWork } from './acidTreated'

const [PAPER, PIECE, OTHER] = [uuid(2), uuid(20), uuid(21)]

/** A treatment of one step in one solution. */
function treatment(substanceId: string, run: Partial<PaperRun>, isDone = true): TreatmentWork {
  const stock = {
    solutes: [{ substanceId, percentWv: 3 }],
    making: [],
    standing: 'practice',
    source: 's',
  } as const
  const base = unknownProcess('bath')
  const definition = {
    ...base,
    components: [{ id: 'bath', name: 'Bath', letter: 'A', cautions: [], stock }],
    steps: [{ ...base.steps[0], id: 'soak', tray: 'bath' }],
  } as unknown as ProcessDefinition
  const step = { planned: { id: 'soak' }, status: isDone ? 'done' : 'running' } as unknown as StepState
  return {
    definition,
    state: { ...emptyRun(uuid(30)), begunAt: T0, steps: [step] },
    run: { pieceIds: [], choices: {}, paperId: PAPER, ...run } as PaperRun,
  }
}
const isTreated = (sheet: { pieceId?: string; paperId?: string }, ...works: TreatmentWork[]) =>
  isAcidTreated(sheet, works, book)

describe('a treated paper', () => {
  it('is a whole sheet whose paper was in the acid, though it was never torn', () => {
    expect(isTreated({ paperId: PAPER }, treatment('citric-acid', {}))).toBe(true)
    expect(isTreated({ paperId: uuid(3) }, treatment('citric-acid', {}))).toBe(false)
    expect(isTreated({}, treatment('citric-acid', { paperId: undefined }))).toBe(false)
  })

  it('is a piece that was in the acid itself', () => {
    const run = treatment('citric-acid', { pieceIds: [PIECE] })
    expect(isTreated({ pieceId: PIECE, paperId: PAPER }, run)).toBe(true)
    expect(isTreated({ pieceId: OTHER, paperId: PAPER }, run)).toBe(false)
    // A bath of some pieces says nothing of a whole sheet, and a bath of whole sheets nothing of a piece.
    expect(isTreated({ paperId: PAPER }, run)).toBe(false)
    expect(isTreated({ pieceId: PIECE, paperId: PAPER }, treatment('citric-acid', {}))).toBe(false)
  })

  it('is not a piece of which half stayed dry', () => {
    const run = treatment('citric-acid', { pieceIds: [PIECE, OTHER], halfPieceId: PIECE })
    expect(isTreated({ pieceId: PIECE }, run)).toBe(false)
    expect(isTreated({ pieceId: OTHER }, run)).toBe(true)
  })

  it('is not one that was sized or salted, or is still in the bath', () => {
    expect(isTreated({ paperId: PAPER }, treatment('sodium-chloride', {}))).toBe(false)
    expect(isTreated({ paperId: PAPER }, treatment('citric-acid', {}, false))).toBe(false)
  })
})
