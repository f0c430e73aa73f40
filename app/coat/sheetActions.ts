import { v4 as uuid } from 'uuid'
import { Sheet } from '@core/schema/records'
import { db } from '../data/db'
import { addStanding } from '../data/standings'
import { BY_NUMBER } from '../data/workroomDb'
import type { ReadDraft } from './sheetDraft'

/** What a new sheet hangs on besides what was typed. */
export interface SheetTies {
  /** The plan that is changed, as long as its work has not begun. */
  changing?: Sheet | null
  /** The print that it is a further layer over. */
  under?: Sheet | null
  /** The print that it repeats. */
  after?: string | undefined
  /** The test of a diagnosis that it makes. */
  test?: { diagnosisId: string; testId: string } | undefined
}

/**
 * Writes a planned sheet down, or all sheets alike of a batch, with the papers, bottles and lights that were named for the
 * first time.
 *
 * @returns the id of the first.
 */
export async function writeSheets(
  read: ReadDraft,
  { changing, under, after, test }: SheetTies = {},
): Promise<string> {
  const firstId = changing?.id ?? uuid()
  await db.transaction(
    'rw',
    [db.sheets, db.papers, db.bottles, db.lights, db.standingBundles, db.diagnoses],
    async () => {
      // The number is taken inside the transaction, so that two windows never give the same one twice.
      const next = ((await db.sheets.orderBy(BY_NUMBER).last())?.number ?? 0) + 1
      await Promise.all([
        db.papers.bulkPut(read.papers),
        db.bottles.bulkPut(read.bottles),
        db.lights.bulkPut(read.lights),
      ])
      if (changing) {
        // What stays with a sheet while its plan changes, and what was typed anew.
        await db.sheets.put(Sheet.parse({ ...kept(changing), ...read.sheet, id: firstId }))
        return
      }
      const batchId = uuid()
      for (let place = 1; place <= read.sheets; place++) {
        const sheet = Sheet.parse({
          ...read.sheet,
          id: place === 1 ? firstId : uuid(),
          // A layer lies on the same sheet of paper, which has its number already.
          number: under?.number ?? next + place - 1,
          ...(under && { over: under.id }),
          ...(after && { after }),
          createdAt: Date.now(),
          ...(read.sheets > 1 && { batch: { id: batchId, of: read.sheets, place } }),
        })
        await db.sheets.add(sheet)
        await addStanding(db, sheet.id)
      }
      if (test)
        await db.diagnoses.update(test.diagnosisId, {
          test: { testId: test.testId, sheetId: firstId },
          changedAt: Date.now(),
        })
    },
  )
  return firstId
}

const kept = ({ number, createdAt, batch, over, after, edition }: Sheet) => ({
  number,
  createdAt,
  ...(batch && { batch }),
  ...(over && { over }),
  ...(after && { after }),
  ...(edition && { edition }),
})
