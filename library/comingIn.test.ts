import { comingIn, startingChoices } from '@core/process/plan'
import { sheet } from '@core/fixtures/workroom'
import { SHEET, T0 } from '@core/fixtures/logs'
import { placeOf } from '@core/run/place'
import { replay } from '@core/run/run'
import { stepInHand } from '@core/run/runState'
import type { CameIn, SheetEvent } from '@core/schema/event'
import { uuid } from '@core/fixtures/logs'
import { madeAtOf } from '@core/judge/results'
import { materialsOf } from '@core/judge/materials'
import { printRecord } from '@core/judge/printRecord'
import { emptyHoldings } from '@core/schema/records'
import { processes, substances } from './index'

describe.each(Object.values(processes))('$name, coming in half-way', (definition) => {
  const choices = startingChoices(definition)
  const after = (cameIn: CameIn) => {
    const begun = comingIn(definition, { ...sheet, choices, batch: undefined }, cameIn, 300)
    return replay(SHEET, [{ ...begun, id: uuid(900), sheetId: SHEET, index: 0, at: T0 } as SheetEvent])
  }

  it('is exposed next when it was coated, and is in the first bath when it was exposed', () => {
    expect(stepInHand(after('coated'))?.planned.kind).toBe('expose')
    const exposed = after('exposed')
    expect(placeOf(exposed)).toBe('wet')
    const before = exposed.steps[exposed.current - 1]
    expect(before?.planned.station).toBe('light')
  })
  it('has no coat and no exposure among its materials: nothing is known of them', () => {
    const planned = { ...sheet, choices, batch: undefined, bottles: {} }
    const record = printRecord(
      { sheet: planned, state: after('finished'), definition },
      { ...emptyHoldings(), prints: [], treatments: [], substances },
    )
    const names = materialsOf(record, substances, { length: 'in', temperature: 'degC' }).map(([name]) => name)
    expect(names).toContain('Size')
    expect(names.filter((name) => ['Coat', 'Exposure', 'In the glass'].includes(name))).toEqual([])
  })
  it('has nothing left to do when it was finished, and no one knows when it was made', () => {
    expect(madeAtOf(after('finished'))).toBeNull()
    expect(madeAtOf(after('coated'))).toBe(T0)
    expect([stepInHand(after('finished')), placeOf(after('finished'))]).toEqual([null, 'finished'])
  })
})
