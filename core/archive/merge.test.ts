import fc from 'fast-check'
import { sheet, workroom } from '../fixtures/workroom'
import { begun, logOf, SHEET, T0, uuid, wholeJob } from '../fixtures/logs'
import { logBook } from './logs'
import { applyMerge, conflictKey, planMerge, summaryOf } from './merge'
import { replay } from '../run/run'
import type { Happening } from '../schema/event'
import { emptyRecords, type Paper, type Sheet, type WorkroomRecords } from '../schema/records'

const paper = (n: number): Paper => ({ id: uuid(100 + n), name: `Paper ${n}`, note: '', changedAt: T0 })
const sheetOf = (n: number): Sheet => ({ ...sheet, id: uuid(200 + n), number: n + 1 })

/** Two workrooms that grew from one: each has some of the same papers and sheets, with logs of some length. */
const twoRooms = fc
  .record({
    mine: fc.uniqueArray(fc.integer({ min: 0, max: 11 }), { maxLength: 8 }),
    theirs: fc.uniqueArray(fc.integer({ min: 0, max: 11 }), { maxLength: 8 }),
    lengths: fc.array(fc.tuple(fc.integer({ min: 0, max: 16 }), fc.integer({ min: 0, max: 16 })), {
      minLength: 12,
      maxLength: 12,
    }),
  })
  .map(({ mine, theirs, lengths }) => {
    const room = (has: readonly number[], side: 0 | 1): WorkroomRecords => ({
      ...emptyRecords(),
      papers: has.map(paper),
      sheets: has.map(sheetOf),
      events: has.flatMap((n) =>
        logOf(wholeJob, sheetOf(n).id)
          .map((event) => ({ ...event, id: uuid(10_000 + 100 * n + event.index) }))
          .slice(0, lengths[n]![side]),
      ),
    })
    return [room(mine, 0), room(theirs, 1)] as const
  })

const contentsOf = ({ events, ...records }: WorkroomRecords) => ({ records, logs: logBook(events) })
const planned = (here: WorkroomRecords, theirs: WorkroomRecords) =>
  planMerge(contentsOf(here), contentsOf(theirs))

/** A workroom after an import, as a set: order is no one's. */
function merged(here: WorkroomRecords, theirs: WorkroomRecords, take = new Set<string>()): WorkroomRecords {
  const { records, logs } = applyMerge(planned(here, theirs), contentsOf(theirs), take)
  const taken = new Set(logs)
  const out = {
    ...here,
    events: [
      ...here.events.filter((event) => !taken.has(event.sheetId)),
      ...theirs.events.filter((event) => taken.has(event.sheetId)),
    ],
  }
  for (const kind of ['papers', 'sheets'] as const) {
    const fresh = new Set(records[kind].map((one) => one.id))
    ;(out[kind] as { id: string }[]) = [
      ...(here[kind] as { id: string }[]).filter((one) => !fresh.has(one.id)),
      ...records[kind],
    ]
  }
  return out
}
const asSet = ({ papers, sheets, events }: WorkroomRecords) =>
  [papers, sheets, events].map((list) => [...list].sort((a, b) => a.id.localeCompare(b.id)))

describe('merging two workrooms', () => {
  it('where nothing conflicts comes to the same, whichever is taken into which', () => {
    fc.assert(
      fc.property(twoRooms, ([mine, theirs]) => {
        expect(planned(mine, theirs).conflicts).toEqual([])
        expect(asSet(merged(mine, theirs))).toEqual(asSet(merged(theirs, mine)))
      }),
    )
  })

  it('done twice is done once', () => {
    fc.assert(
      fc.property(twoRooms, ([mine, theirs]) => {
        const once = merged(mine, theirs)
        const again = planned(once, theirs)
        expect(summaryOf(again)).toMatchObject({ events: 0, continued: 0, conflicts: [] })
        expect(asSet(merged(once, theirs))).toEqual(asSet(once))
      }),
    )
  })

  it('loses nothing that either had', () => {
    fc.assert(
      fc.property(twoRooms, ([mine, theirs]) => {
        const ids = new Set(merged(mine, theirs).events.map((event) => event.id))
        for (const event of [...mine.events, ...theirs.events]) expect(ids.has(event.id)).toBe(true)
      }),
    )
  })

  it('shows a conflict field by field, both ways, and takes only what is asked for', () => {
    const mine = workroom().records
    const theirs = workroom().records
    theirs.papers[0]! = { ...theirs.papers[0]!, name: 'Rag, washed', gramsPerM2: 310 }
    const plan = planned(mine, theirs)
    expect(plan.conflicts).toHaveLength(1)
    expect(plan.conflicts[0]?.fields).toEqual([
      { name: 'name', here: 'Rag', theirs: 'Rag, washed' },
      { name: 'gramsPerM2', here: '300', theirs: '310' },
    ])
    expect(merged(mine, theirs).papers[0]?.name).toBe('Rag')
    expect(merged(mine, theirs, new Set(plan.conflicts.map(conflictKey))).papers[0]?.name).toBe('Rag, washed')
  })

  it('names logs that part, with how many lines each has of its own', () => {
    const of = (last: string) => ({
      ...emptyRecords(),
      sheets: [sheet],
      events: logOf([[0, begun], [5, { type: 'noted', text: last }]]),
    }) // prettier-ignore
    const [conflict] = planned(of('mine'), of('theirs')).conflicts
    expect(conflict).toMatchObject({ kind: 'log', id: SHEET, differs: ['the logs differ after 1 events'] })
    expect(conflict?.fields[0]).toMatchObject({ here: '1 line of its own', theirs: '1 line of its own' })
  })

  it('carries on a log that was corrected elsewhere, and names two corrections that part', () => {
    const of = (...more: Happening[]) => ({
      ...emptyRecords(),
      sheets: [sheet],
      events: logOf([...wholeJob, ...more.map((what, n): [number, Happening] => [4000 + n, what])]),
    })
    const to = (seconds: number): Happening => ({
      type: 'corrected',
      eventId: uuid(1015),
      right: { at: T0 + seconds * 1000 },
    })
    const endIn = (records: WorkroomRecords) => replay(SHEET, records.events).steps[4]?.finishedAt
    expect(endIn(merged(of(), of(to(1900))))).toBe(T0 + 1_900_000)
    expect(planned(of(to(1900)), of()).conflicts).toEqual([])
    expect(endIn(merged(of(to(1900)), of()))).toBe(T0 + 1_900_000)
    const { conflicts } = planned(of(to(1900)), of(to(1850)))
    expect(conflicts).toMatchObject([{ kind: 'log', id: SHEET }])
    expect(endIn(merged(of(to(1900)), of(to(1850))))).toBe(T0 + 1_900_000)
    const taken = merged(of(to(1900)), of(to(1850)), new Set(conflicts.map(conflictKey)))
    expect(endIn(taken)).toBe(T0 + 1_850_000)
  })

  it('names numbers that two different sheets have, but not a layer on its own sheet of paper', () => {
    const other: Sheet = { ...sheet, id: uuid(301) }
    const layer: Sheet = { ...sheet, id: uuid(302), over: SHEET }
    const here = { ...emptyRecords(), sheets: [sheet] }
    expect(planned(here, { ...emptyRecords(), sheets: [other] }).clashes).toEqual([7])
    expect(planned(here, { ...emptyRecords(), sheets: [sheet, layer] }).clashes).toEqual([])
  })
})
