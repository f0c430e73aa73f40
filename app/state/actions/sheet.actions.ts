import { v4 as uuid } from 'uuid'
import { CoreError } from '@core/errors'
import { Sheet, type Bottle, type Paper } from '@core/schema/records'
import type { RunState } from '@core/run/runState'
import type { Light } from '@core/schema/light'
import type { Happening, PlannedStep } from '@core/schema/event'
import { db } from '../../storage/db'
import { append, undo } from '../../storage/log'
import { addRunState, stateIn } from '../../storage/runStates'
import { BY_NUMBER } from '../../storage/workroomDb'

/** A sheet ready to be recorded, with the papers, bottles and lights that were named for the first time. */
export interface SheetsToSave {
  /** As it will be written, but for what only the writing knows. A batch has its number of sheets here. */
  sheet: Omit<Sheet, 'id' | 'number' | 'createdAt' | 'batch'>
  sheets: number
  /** Title of each sheet of a row; where there is none, all have that of the sheet. */
  titles: string[]
  /** Paper of each sheet of a row, where they differ. */
  paperIds?: string[]
  /** How work begins on sheets that were coated, exposed or finished before they came. */
  cameIn?: Happening
  papers: Paper[]
  bottles: Bottle[]
  lights: Light[]
}

/** What a new sheet hangs on besides what was typed. */
export interface SheetTies {
  /** The sheet whose plan is changed, as long as its work has not begun. */
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
 * @throws CoreError `begun-already` where the plan of a sheet in work would be changed.
 */
export async function writeSheets(
  read: SheetsToSave,
  { changing, under, after, test }: SheetTies = {},
): Promise<string> {
  const firstId = changing?.id ?? uuid()
  await db.transaction(
    'rw',
    [db.sheets, db.papers, db.bottles, db.lights, db.logBundles, db.standingBundles, db.diagnoses],
    async () => {
      // The number is taken inside the transaction, so that two windows never give the same one twice.
      const next = ((await db.sheets.orderBy(BY_NUMBER).last())?.number ?? 0) + 1
      await Promise.all([
        db.papers.bulkPut(read.papers),
        db.bottles.bulkPut(read.bottles),
        db.lights.bulkPut(read.lights),
      ])
      if (changing) {
        if ((await stateIn(db, firstId))?.begunAt) throw begunAlready()
        // What stays with a sheet while its plan changes, and what was typed again.
        await db.sheets.put(Sheet.parse({ ...kept(changing), ...read.sheet, id: firstId }))
        return
      }
      const batchId = uuid()
      for (let place = 1; place <= read.sheets; place++) {
        const sheet = Sheet.parse({
          ...read.sheet,
          title: read.titles[place - 1] ?? read.sheet.title,
          ...(read.paperIds && { paperId: read.paperIds[place - 1] }),
          id: place === 1 ? firstId : uuid(),
          // A layer is on the same sheet of paper, which has its number already.
          number: under?.number ?? next + place - 1,
          ...(under && { over: under.id }),
          ...(after && { after }),
          createdAt: Date.now(),
          ...(read.sheets > 1 && { batch: { id: batchId, of: read.sheets, place } }),
        })
        await db.sheets.add(sheet)
        await addRunState(db, sheet.id)
        if (read.cameIn) await append(sheet.id, read.cameIn)
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

/** How far the work on a sheet is by what is written now, which the screen may not show yet. */
export const stateWritten = (sheetId: string): Promise<RunState | undefined> => stateIn(db, sheetId)

const begunAlready = () =>
  new CoreError({
    code: 'begun-already',
    field: 'sheet',
    problem: 'Work on this sheet has started, so its plan stays as it is.',
    remedy: 'Undo the start on the sheet’s page in Coat, then change the plan.',
  })

const kept = ({ number, createdAt, batch, over, after, edition }: Sheet) => ({
  number,
  createdAt,
  ...(batch && { batch }),
  ...(over && { over }),
  ...(after && { after }),
  ...(edition && { edition }),
})

/**
 * Turns a sheet whose exposure has not begun into a test strip. Work that has begun carries its plan in its log, so a
 * new length is recorded there too.
 *
 * @param step the step in hand, where the work has begun.
 * @returns what makes it the sheet that it was.
 */
export async function makeStrip(
  sheet: Sheet,
  plan: NonNullable<Sheet['strip']>,
  step: PlannedStep | null,
): Promise<() => Promise<void>> {
  // A strip has its own times; the dose that the sheet was planned for is not its own.
  await db.sheets.put(
    Sheet.parse({
      ...sheet,
      millijoulesPerCm2: undefined,
      strip: plan,
      exposureSeconds: plan.lastSeconds,
      changedAt: Date.now(),
    }),
  )
  const isRecorded = step?.kind === 'expose'
  if (isRecorded)
    await append(sheet.id, {
      type: 'exposureChanged',
      step: step.id,
      plannedSeconds: plan.lastSeconds,
      said: 'a test strip',
    })
  return async () => {
    if (isRecorded) await undo(sheet.id)
    await db.sheets.put(sheet)
  }
}
