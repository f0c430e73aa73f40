import { workroom } from '../fixtures/workroom'
import { logOf, SHEET, uuid, wholeJob } from '../fixtures/logs'
import { applyMerge, conflictKey, planMerge } from './merge'
import { emptyHoldings, emptyRecords } from '../schema/records'
import { contentsOf } from './archives.fixture'

describe('a merge', () => {
  const none = contentsOf(emptyRecords())
  const records = workroom().records
  const theirs = contentsOf(records)
  const both = [SHEET, records.paperRuns[0]!.id]

  it('adds everything to an empty workroom', () => {
    const plan = planMerge(none, theirs)
    expect(applyMerge(plan, theirs, new Set())).toEqual({ records: theirs.records, logs: both })
    expect(plan.events).toBe(records.events.length)
    expect(plan.conflicts).toEqual([])
  })

  it('finds everything the same the second time', () => {
    const plan = planMerge(theirs, theirs)
    expect(plan.same).toEqual({
      sheets: 1,
      papers: 1,
      pieces: 1,
      paperRuns: 1,
      bottles: 1,
      takings: 1,
      wastes: 1,
      droppers: 1,
      lightEntries: 1,
      bases: 1,
      tablets: 1,
      tabletPrints: 1,
      calibrations: 1,
      negatives: 1,
      baths: 1,
      registerChecks: 1,
      setAside: 1,
      plans: 1,
      diagnoses: 1,
      ownProcesses: 0,
      lights: 1,
      photos: 1,
    })
    expect(applyMerge(plan, theirs, new Set())).toEqual({ records: emptyHoldings(), logs: [] })
  })

  it('carries a log on', () => {
    const plan = planMerge(contentsOf({ ...records, events: records.events.slice(0, 5) }), theirs)
    expect([plan.continued, plan.logs]).toEqual([[SHEET], both])
    expect(plan.events).toBe(records.events.length - 5)
  })

  it('leaves a longer log here alone', () => {
    const plan = planMerge(theirs, contentsOf({ ...records, events: records.events.slice(0, 5) }))
    expect([plan.logs, plan.events]).toEqual([[], 0])
  })

  it('offers its log in place of one that a disk has spoilt', () => {
    const spoilt = { ...theirs, logs: new Map([...theirs.logs, [SHEET, { lines: '{"id": "half of a li' }]]) }
    const plan = planMerge(spoilt, theirs)
    expect(plan.conflicts).toMatchObject([
      { kind: 'log', id: SHEET, differs: ['the log here cannot be read'], fields: [{ here: 'damaged' }] },
    ])
    expect(applyMerge(plan, theirs, new Set()).logs).toEqual([])
    expect(applyMerge(plan, theirs, new Set([`log/${SHEET}`])).logs).toEqual([SHEET])
  })

  it('finds a log the same that another program wrote in other words', () => {
    const spaced = (log: { lines: string }) => ({
      lines: log.lines.replaceAll('":', '": ').replace(/^\{(.*?), ?("\w+": .*)\}$/gm, '{ $1, $2 }'),
    })
    const other = { ...theirs, logs: new Map([...theirs.logs].map(([id, log]) => [id, spaced(log)])) }
    expect(other.logs.get(SHEET)?.lines).not.toBe(theirs.logs.get(SHEET)?.lines)
    expect(planMerge(theirs, other)).toMatchObject({ logs: [], events: 0, conflicts: [] })
  })

  it('keeps what is here in a conflict, unless told otherwise', () => {
    const here = structuredClone(records)
    here.papers[0]!.name = 'Another rag'
    here.events = [
      ...logOf([...wholeJob.slice(0, 4), [60, { type: 'noted', text: 'went another way' }]]),
      ...records.events.filter((event) => event.sheetId !== SHEET),
    ]
    const plan = planMerge(contentsOf(here), theirs)
    expect(plan.conflicts.map((conflict) => [conflictKey(conflict), conflict.differs])).toEqual([
      [`papers/${uuid(2)}`, ['name']],
      [`log/${uuid(1)}`, ['the logs differ after 4 events']],
    ])
    expect(applyMerge(plan, theirs, new Set())).toEqual({ records: emptyHoldings(), logs: [] })
    expect(applyMerge(plan, theirs, new Set(plan.conflicts.map(conflictKey)))).toEqual({
      records: { ...emptyHoldings(), papers: records.papers },
      logs: [SHEET],
    })
  })
})

describe('a merge of shelf and paper', () => {
  const records = workroom().records
  const theirs = contentsOf(records)

  it('names what differs as a person would, and asks', () => {
    const here = structuredClone(records)
    here.bottles[0]!.amount = 50
    here.pieces[0]!.side = 'the other one'
    here.wastes[0]!.amount = 5
    here.droppers[0]!.name = 'Steel'
    const plan = planMerge(contentsOf(here), theirs)
    expect(plan.conflicts.map((one) => [one.kind, one.name, one.differs])).toEqual([
      ['pieces', 'Piece R-1', ['side']],
      ['bottles', 'Bottle A-7', ['amount']],
      ['wastes', 'Waste, Iron citrate A-7', ['amount']],
      ['droppers', 'Glass', ['name']],
    ])
    const taken = applyMerge(plan, theirs, new Set([conflictKey(plan.conflicts[1]!)])).records
    expect(taken.bottles).toEqual(records.bottles)
    expect(taken.pieces).toEqual([])
  })

  it('carries a treatment’s log on like a sheet’s', () => {
    const [begun, ...rest] = records.events.filter((event) => event.sheetId !== SHEET)
    const ofSheet = records.events.filter((event) => event.sheetId === SHEET)
    const run = records.paperRuns[0]!.id
    const plan = planMerge(contentsOf({ ...records, events: [...ofSheet, begun!] }), theirs)
    expect([plan.continued, plan.logs, plan.events]).toEqual([[run], [run], rest.length])
    const other = { ...begun!, at: begun!.at + 1000 }
    const [conflict] = planMerge(contentsOf({ ...records, events: [...ofSheet, other] }), theirs).conflicts
    expect([conflict?.kind, conflict?.name]).toEqual(['log', 'Treatment 1'])
  })
})
