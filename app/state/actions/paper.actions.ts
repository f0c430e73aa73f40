import { v4 as uuid } from 'uuid'
import { beginningOfTreatment } from '@core/process/plan'
import type { ProcessDefinition } from '@core/schema/definition'
import { Paper, PaperRun, Piece } from '@core/schema/records'
import { db } from '../../storage/db'
import { append } from '../../storage/log'
import { addRunState } from '../../storage/runStates'

export async function addPaper(paper: Omit<Paper, 'id' | 'changedAt'>): Promise<string> {
  const id = uuid()
  await db.papers.add(Paper.parse({ ...paper, id, changedAt: Date.now() }))
  return id
}

/** Puts a whole paper as it now is; fields that are left out are gone. */
export const changePaper = (paper: Paper): Promise<string> =>
  db.papers.put(Paper.parse({ ...paper, changedAt: Date.now() }))

type NewPiece = Pick<Piece, 'label' | 'widthMillimetres' | 'heightMillimetres' | 'side'>

/**
 * Writes torn pieces down and takes their large sheets off the stock.
 *
 * @param largeSheets torn at once, one on the other.
 * @returns what undoes it.
 */
export async function writePieces(
  paperId: string,
  pieces: readonly NewPiece[],
  largeSheets = 1,
): Promise<() => Promise<void>> {
  const at = Date.now()
  const records = pieces.map((piece) =>
    Piece.parse({ ...piece, id: uuid(), paperId, tornAt: at, changedAt: at }),
  )
  const change = (by: number) =>
    db.papers
      .where('id')
      .equals(paperId)
      .modify((paper) => {
        if (paper.sheets !== undefined) paper.sheets = Math.max(0, paper.sheets + by)
      })
  await db.transaction('rw', [db.papers, db.pieces], async () => {
    await db.pieces.bulkAdd(records)
    await change(-largeSheets)
  })
  return () =>
    db.transaction('rw', [db.papers, db.pieces], async () => {
      await db.pieces.bulkDelete(records.map((one) => one.id))
      await change(largeSheets)
    })
}

export const changePiece = (id: string, change: Partial<Piece>): Promise<number> =>
  db.pieces.update(id, { ...change, changedAt: Date.now() })

/** Begins a treatment of paper: its record, and the first event of its log. @returns its id. */
export async function beginTreatment(
  definition: ProcessDefinition,
  run: Omit<PaperRun, 'id' | 'number' | 'process' | 'createdAt' | 'changedAt'>,
  gramsPerM2: number | undefined,
): Promise<string> {
  const [id, at] = [uuid(), Date.now()]
  await db.transaction('rw', [db.paperRuns, db.standingBundles], async () => {
    const number = ((await db.paperRuns.orderBy('number').last())?.number ?? 0) + 1
    const process = { id: definition.id, version: definition.version }
    await db.paperRuns.add(PaperRun.parse({ ...run, id, number, process, createdAt: at, changedAt: at }))
    await addRunState(db, id)
  })
  await append(id, beginningOfTreatment(definition, run, gramsPerM2))
  return id
}
