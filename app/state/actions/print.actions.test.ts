import 'fake-indexeddb/auto'
import { createPinia, setActivePinia } from 'pinia'
import { sheet } from '@core/fixtures/workroom'
import { logOf, SHEET, T0, uuid, wholeJob } from '@core/fixtures/logs'
import { replay } from '@core/run/run'
import { linesOf } from '@core/archive/logs'
import type * as database from '../../storage/db'
import type * as actions from './print.actions'
import { logIn, writeState } from '../../storage/runStates'
import { storageFault } from '../../storage/storageFaults'

// The workroom asks the page which one it is, so there has to be a page before it is loaded.
Object.assign(globalThis, { document: { querySelector: () => null, addEventListener: () => undefined } })

let db: typeof database.db
let act: typeof actions

beforeAll(async () => {
  ;({ db } = await import('../../storage/db'))
  act = await import('./print.actions')
})
beforeEach(async () => {
  setActivePinia(createPinia())
  await db.delete()
  await db.open()
  await db.sheets.add(sheet)
  await db.logs.put(SHEET, wholeJob.length, linesOf(logOf(wholeJob)))
  await writeState(db, replay(SHEET, logOf(wholeJob)))
})
const refusing = (code: string) => expect.objectContaining({ code })

describe('what a print is called', () => {
  it('changes, moves its moment on, and goes back as it was', async () => {
    const back = await act.changeIdentity(SHEET, {
      title: 'Gauge',
      portfolio: 'Tides',
      subject: '',
      edition: { number: 2, of: 7 },
    })
    const changed = await db.sheets.get(SHEET)
    expect(changed).toMatchObject({ title: 'Gauge', portfolio: 'Tides', edition: { number: 2, of: 7 } })
    expect(changed!.changedAt).toBeGreaterThan(sheet.changedAt)
    await back()
    expect(await db.sheets.get(SHEET)).toMatchObject({ title: sheet.title })
    expect((await db.sheets.get(SHEET))?.edition).toBeUndefined()
  })

  it('is refused where it cannot stand, and nothing is changed', async () => {
    const next = { title: '', portfolio: '', subject: '', edition: undefined }
    await expect(act.changeIdentity(SHEET, next)).rejects.toThrow()
    await expect(act.changeIdentity(uuid(99), next)).rejects.toThrow(refusing('gone'))
    expect(await db.sheets.get(SHEET)).toEqual(sheet)
  })
})

describe('the bin', () => {
  it('takes a sheet and gives it back', async () => {
    await act.setBinned([SHEET], true)
    expect((await db.sheets.get(SHEET))?.binnedAt).toBeGreaterThan(T0)
    await act.setBinned([SHEET], false)
    expect((await db.sheets.get(SHEET))?.binnedAt).toBeUndefined()
  })

  it('removes for good with everything that hangs on it, and frees what repeats it', async () => {
    const again = { ...sheet, id: uuid(8), number: 8, after: SHEET }
    await db.sheets.add(again)
    await db.diagnoses.add({ id: uuid(75), sheetId: SHEET, at: T0, symptoms: ['pale'], answers: {}, ruledOut: [], note: '', changedAt: T0 }) // prettier-ignore
    await act.removeForGood([SHEET])
    expect(
      await Promise.all([db.logBundles, db.standingBundles, db.diagnoses].map((table) => table.count())),
    ).toEqual([0, 0, 0])
    expect((await db.sheets.get(uuid(8)))?.after).toBeUndefined()
  })

  it('keeps a sheet that another one lies over', async () => {
    await db.sheets.add({ ...sheet, id: uuid(9), over: SHEET })
    await expect(act.removeForGood([SHEET])).rejects.toThrow(refusing('still-needed'))
    expect(await logIn(db, SHEET)).toHaveLength(wholeJob.length)
    await act.removeForGood([SHEET, uuid(9)])
    expect(await db.sheets.count()).toBe(0)
  })
})

describe('a diagnosis', () => {
  it('is begun, carried on and taken back', async () => {
    const { id } = await act.beginDiagnosis(SHEET, ['pale'])
    const back = await act.changeDiagnosis(id, (one) => ({ ...one, confirmed: 'chalk' }))
    expect((await db.diagnoses.get(id))?.confirmed).toBe('chalk')
    await back()
    expect((await db.diagnoses.get(id))?.confirmed).toBeUndefined()
    await expect(act.beginDiagnosis(SHEET, [])).rejects.toThrow()
    await expect(act.changeDiagnosis(uuid(1), (one) => one)).rejects.toThrow(refusing('gone'))
  })
})

describe('what a browser’s storage error means', () => {
  const named = (name: string, inner?: unknown) => Object.assign(new Error(name), { name, inner })

  it.each<[string, unknown, string]>([
    ['no room', named('QuotaExceededError'), 'disk-full'],
    ['no room, inside another', named('AbortError', named('QuotaExceededError')), 'disk-full'],
    [
      'no room for one of many',
      Object.assign(named('BulkError'), { failures: [named('QuotaExceededError')] }),
      'disk-full',
    ],
    ['a newer shape', named('VersionError'), 'old-version'],
    ['closed', named('DatabaseClosedError'), 'storage-gone'],
  ])('%s', (_, error, code) => expect(storageFault(error)?.code).toBe(code))

  it('of anything else is nothing', () => {
    expect(storageFault(new Error('other'))).toBeNull()
    expect(storageFault(null)).toBeNull()
    expect(storageFault('text')).toBeNull()
  })
})
