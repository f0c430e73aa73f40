import { SHEET, T0, logOf, uuid, wholeJob } from '../fixtures/logs'
import type { Happening } from '../schema/event'
import { replay } from './run'
import { ledgeOf } from './deadlines'
import { sharedClocks } from './rowClocks'
import { alongside, groupsOf, isForRow, nextToCoat, pressedTogether, rowOf, type InRow } from './row'

const BATCH = uuid(70)
/** A sheet of the row, with so many entries of the whole job, so many seconds later than the first. */
function at(place: number, entries: number, later = 0, isAlone?: true): InRow {
  const id = uuid(80 + place)
  const happened = wholeJob.slice(0, entries).map(([seconds, what]) => [seconds + later, what] as const)
  return {
    sheet: { id, batch: { id: BATCH, of: 20, place, ...(isAlone && { isAlone }) } },
    state: replay(id, logOf(happened, id)),
  }
}
const MORE: Happening = { type: 'exposureChanged', step: 'expose', plannedSeconds: 9000, said: '2 h 30 min' }
const placesOf = (row: readonly InRow[]) => row.map(({ sheet }) => sheet.batch?.place)
const [COUNTED, COATED, DRIED, EXPOSING] = [6, 7, 8, 9]

describe('a row', () => {
  it('has its sheets in order, without those that were taken out of it and those of other rows', () => {
    const other: InRow = {
      sheet: { id: SHEET, batch: { id: uuid(99), of: 2, place: 1 } },
      state: at(1, 0).state,
    }
    const all = [at(3, 0), at(1, 0), at(2, 0, 0, true), other]
    expect(placesOf(rowOf(at(1, 0), all))).toEqual([1, 3])
    expect(rowOf(at(2, 0, 0, true), all)).toEqual([])
    expect(rowOf({ ...other, sheet: { id: SHEET } }, all)).toEqual([])
  })
  it('is pressed together where its sheets wait for the same step', () => {
    const all = [at(1, DRIED), at(2, DRIED, 90), at(3, COATED), at(4, EXPOSING)]
    expect(placesOf(alongside(all[0]!, all, T0 + 900_000))).toEqual([2])
  })
  it('has one clock for what was started at once, and another for what came later', () => {
    const all = [at(1, EXPOSING), at(2, EXPOSING), at(3, EXPOSING, 60)]
    expect(placesOf(alongside(all[0]!, all, T0 + 1_000_000))).toEqual([2])
  })
  it('leaves under the light what has to stay there longer', () => {
    const longer = (place: number): InRow => {
      const one = at(place, EXPOSING)
      const log = [...wholeJob.slice(0, EXPOSING), [1000, MORE] as const]
      return { ...one, state: replay(one.sheet.id, logOf(log, one.sheet.id)) }
    }
    const all = [at(1, EXPOSING), at(2, EXPOSING), longer(3)]
    const [started, due] = [all[0]!.state.steps.find(({ planned }) => planned.kind === 'expose')!, 1]
    const planned = started.plannedSeconds ?? started.planned.plannedSeconds ?? 0
    const end = (started.startedAt ?? 0) + (planned + due) * 1000
    expect(placesOf(alongside(all[0]!, all, end))).toEqual([2])
    expect(placesOf(alongside(all[0]!, all, end - 60_000))).toEqual([2, 3])
    expect(placesOf(alongside(all[2]!, all, end))).toEqual([1, 2])
  })
  it('takes from the dark what has dried for its ten minutes, and leaves the rest', () => {
    const all = [at(1, COATED), at(2, COATED, 60), at(3, COATED, 400)]
    // The first was coated at 100 s and the second a minute later: at 800 s both have had their 600 s.
    expect(placesOf(alongside(all[0]!, all, T0 + 800_000))).toEqual([2])
  })
  it('is coated sheet by sheet: no other is alongside while one is coated', () => {
    const all = [at(1, COUNTED), at(2, COUNTED)]
    expect(alongside(all[0]!, all, T0 + 50_000)).toEqual([])
  })
})

describe('the next sheet to coat', () => {
  it('is the first that has not begun, and none when all have', () => {
    const all = [at(1, COATED), at(2, COATED, 60), at(3, 0), at(4, 0)]
    expect(nextToCoat(all[1]!, all)?.sheet.batch?.place).toBe(3)
    expect(nextToCoat(all[0]!, all.slice(0, 2))).toBeNull()
  })
})

describe('an undo in a row', () => {
  it('takes back what one press did for all, and nothing else', () => {
    const finish: Happening = { type: 'stepFinished', step: 'dry' }
    const dried = (place: number, seconds: number): InRow => {
      const one = at(place, COATED)
      const log = [...wholeJob.slice(0, COATED), [seconds, finish] as const]
      return { ...one, state: replay(one.sheet.id, logOf(log, one.sheet.id)) }
    }
    const all = [dried(1, 800), dried(2, 800), dried(3, 801)]
    expect(placesOf(pressedTogether(all[0]!, all))).toEqual([2])
  })
})

describe('the clocks of a row', () => {
  const clocksAt = (row: readonly InRow[], seconds: number, isWaiting = false) =>
    sharedClocks(
      ledgeOf(row.map(({ state }) => state), T0 + seconds * 1000),
      (id) => ({ rowId: row.find(({ sheet }) => sheet.id === id)?.sheet.batch?.id, isWaiting }),
    ) // prettier-ignore

  it('are one for sheets that were put under the light at once, and two where one came later', () => {
    const row = [at(1, EXPOSING), at(2, EXPOSING), at(3, EXPOSING, 60)]
    expect(clocksAt(row, 1000).map(({ sheetIds }) => sheetIds.length)).toEqual([2, 1])
  })
  it('are one for sheets that dry: it runs until the last is dry', () => {
    const row = [at(1, COATED), at(2, COATED, 60), at(3, COATED, 120)]
    const [clock, ...others] = clocksAt(row, 400, true)
    expect(others).toEqual([])
    // Coated at 220 s, dry ten minutes later.
    expect([clock?.sheetIds.length, clock?.clock.dueAt]).toEqual([3, T0 + 820_000])
  })
  it('stay apart for sheets of no row', () => {
    const row = [at(1, EXPOSING), at(2, EXPOSING)].map((one) => ({ ...one, sheet: { id: one.sheet.id } }))
    expect(clocksAt(row, 1000)).toHaveLength(2)
  })
})

describe('sheets in one tray', () => {
  it('are grouped by row and start, the one in hand first', () => {
    const alone: InRow = { sheet: { id: SHEET }, state: at(1, EXPOSING).state }
    const row = [at(1, EXPOSING), at(2, EXPOSING), at(3, EXPOSING, 60), alone]
    expect(groupsOf(row, row[2]!.sheet.id).map((group) => group.length)).toEqual([1, 2, 1])
    expect(groupsOf(row, row[2]!.sheet.id)[0]).toEqual([row[2]])
  })
})

describe('what one press says of a row', () => {
  it('is the work, and not the hair dryer of one sheet or what is noted of it', () => {
    expect(isForRow({ type: 'stepFinished', step: 'dry' })).toBe(true)
    expect(isForRow({ type: 'stepFinished', step: 'dry', byHairDryer: true })).toBe(false)
    expect(isForRow({ type: 'noted', text: 'a fingerprint' })).toBe(false)
  })
})
