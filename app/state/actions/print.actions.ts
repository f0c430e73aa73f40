import { v4 as uuid } from 'uuid'
import { CoreError } from '@core/errors'
import { Diagnosis } from '@core/schema/judgement'
import { Sheet } from '@core/schema/records'
import { db } from '../../storage/db'
import { dropPictures } from '../../storage/pictures'

/** What of a sheet may still be changed when it is printed. */
export type SheetIdentity = Pick<Sheet, 'title' | 'portfolio' | 'subject' | 'edition'>

/**
 * Changes what a sheet is called and where it belongs.
 *
 * @returns the way back.
 */
export async function changeIdentity(sheetId: string, next: SheetIdentity): Promise<() => Promise<void>> {
  return db.transaction('rw', db.sheets, async () => {
    const before = await present(sheetId)
    const { edition, ...rest } = next
    const { edition: old, ...kept } = before
    void old
    await db.sheets.put(
      Sheet.parse({ ...kept, ...rest, ...(edition && { edition }), changedAt: later(before.changedAt) }),
    )
    return async () => {
      await db.sheets.put({ ...before, changedAt: later(Date.now()) })
    }
  })
}

/** A list follows the moment of change: it must be another one even within the same millisecond. */
const later = (than: number) => Math.max(Date.now(), than + 1)

async function present(sheetId: string): Promise<Sheet> {
  const sheet = await db.sheets.get(sheetId)
  if (!sheet)
    throw new CoreError({
      code: 'gone',
      field: 'sheet',
      problem: 'This sheet has been deleted.',
      remedy: 'Another window may have deleted it. Look in All prints and in the bin.',
    })
  return sheet
}

/** Puts sheets into the bin, or takes them out: all layers of a sheet of paper go together. */
export async function setBinned(sheetIds: readonly string[], isBinned: boolean): Promise<void> {
  await db.transaction('rw', db.sheets, async () => {
    for (const id of sheetIds) {
      const { binnedAt, ...sheet } = await present(id)
      void binnedAt
      const changedAt = later(sheet.changedAt)
      await db.sheets.put({ ...sheet, changedAt, ...(isBinned && { binnedAt: changedAt }) })
    }
  })
}

/**
 * Removes sheets in the bin for good, with their logs and photographs. Other sheets that are over them, or repeat them,
 * keep them from going.
 *
 * @throws CoreError `still-needed`.
 */
export async function removeForGood(sheetIds: readonly string[]): Promise<void> {
  const going = new Set(sheetIds)
  await db.transaction(
    'rw',
    [
      db.sheets,
      db.logBundles,
      db.standingBundles,
      db.photos,
      db.packs,
      db.registerChecks,
      db.diagnoses,
      db.traces,
      db.negatives,
    ],
    async () => {
      const staying = (await db.sheets.toArray()).filter((one) => !going.has(one.id))
      const upper = staying.find((one) => one.over !== undefined && going.has(one.over))
      if (upper)
        throw new CoreError({
          code: 'still-needed',
          field: 'bin',
          problem: `Sheet ${upper.number} is a layer over one of them.`,
          remedy: 'Move that sheet to the bin too, or deselect this one.',
        })
      for (const sheet of staying)
        if (sheet.after !== undefined && going.has(sheet.after)) {
          const { after, ...rest } = sheet
          void after
          await db.sheets.put({ ...rest, changedAt: later(sheet.changedAt) })
        }
      const photos = await db.photos.filter((photo) => going.has(photo.sheetId)).primaryKeys()
      await dropPictures(db, photos)
      await db.photos.bulkDelete(photos)
      await db.logs.drop(sheetIds)
      await db.standings.drop(sheetIds)
      for (const id of sheetIds) {
        await db.registerChecks.where('sheetId').equals(id).delete()
        await db.diagnoses.where('sheetId').equals(id).delete()
        await db.traces.where('sheetId').equals(id).delete()
        await db.negatives
          .where('sheetId')
          .equals(id)
          .modify((film) => {
            delete film.sheetId
          })
        await db.sheets.delete(id)
      }
    },
  )
}

/** Begins to talk about what went wrong with a print. */
export async function beginDiagnosis(sheetId: string, symptoms: string[]): Promise<Diagnosis> {
  const at = Date.now()
  const diagnosis = Diagnosis.parse({
    id: uuid(),
    sheetId,
    at,
    symptoms,
    answers: {},
    ruledOut: [],
    note: '',
    changedAt: at,
  })
  await db.diagnoses.add(diagnosis)
  return diagnosis
}

/** Goes on with it: what else is seen, answered, ruled out or found. */
export async function changeDiagnosis(
  id: string,
  change: (before: Diagnosis) => Diagnosis,
): Promise<() => Promise<void>> {
  return db.transaction('rw', db.diagnoses, async () => {
    const before = await db.diagnoses.get(id)
    if (!before)
      throw new CoreError({
        code: 'gone',
        field: 'diagnosis',
        problem: 'This diagnosis has been deleted.',
        remedy: 'Start a new diagnosis.',
      })
    await db.diagnoses.put(Diagnosis.parse({ ...change(before), changedAt: Date.now() }))
    return async () => {
      await db.diagnoses.put(before)
    }
  })
}
