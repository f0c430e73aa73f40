import { workroom } from '../fixtures/workroom'
import { SHEET, T0, uuid } from '../fixtures/logs'
import { emptyRun } from '../run/runState'
import { checkedRecords } from './archiveReading'
import { checkLogs, checkPictures, flawsOf, type Flaw } from './integrity'
import { linked } from './links'
import { lookThroughLogs } from './logReading'
import { linesOf, logsBySheet } from './logs'
import type { WorkroomRecords } from '../schema/records'
import { Salvage } from './salvage'

/** Looks through a workroom as a store keeps it: a text a log, and what it amounts to beside it. */
function look(
  spoil: (records: WorkroomRecords) => void = () => undefined,
  standings?: ReadonlyMap<string, string>,
  lost?: readonly string[],
) {
  const { records } = workroom()
  const read = () => [...logsBySheet(records.events).values()].flatMap((log) => lookThroughLogs(linesOf(log)).logs) // prettier-ignore
  const stored = new Map(read().map((log) => [log.sheetId, log.standing]))
  spoil(records)
  const { events, ...holdings } = records
  void events
  const salvage = new Salvage(T0)
  const work = checkedRecords(holdings, salvage)
  const shares: number[] = []
  let step = work.next()
  while (!step.done) {
    shares.push(step.value)
    step = work.next()
  }
  const sound = linked(step.value, read(), salvage)
  const broken = new Set(salvage.notes.flatMap((note) => (note.kind === 'log' ? [note.id] : [])))
  const flaws = [
    ...flawsOf(salvage.notes),
    ...checkLogs(sound.records, sound.logs, broken, standings ?? stored, lost),
  ]
  return { flaws, shares }
}
const kinds = (flaws: readonly Flaw[]) => [...new Set(flaws.map((flaw) => flaw.kind))]

describe('looking through a workroom', () => {
  it('finds nothing in a sound one, and says how far it is', () => {
    expect(look().flaws).toEqual([])
    const paper = workroom().records.papers[0]!
    const { flaws, shares } = look((records) => {
      for (let n = 0; n < 10_000; n++) records.papers.push({ ...paper, id: uuid(7000 + n) })
    })
    expect(flaws).toEqual([])
    expect(shares).toHaveLength(2)
    expect(shares[0]).toBeLessThan(shares[1]!)
  })

  it('does not take a log that is gone for one that says nothing: what is shown of it must stay', () => {
    const gone = [{ kind: 'event', id: SHEET, problem: 'The log of sheet 7 is missing.' }]
    const withoutLog = (records: WorkroomRecords) => {
      records.events = records.events.filter((event) => event.sheetId !== SHEET)
    }
    expect(look(withoutLog).flaws).toEqual(gone)
    expect(look(withoutLog, undefined, [SHEET]).flaws).toEqual(gone)
    // One that was only planned has none, and lacks nothing.
    const planned = new Map([[SHEET, JSON.stringify(emptyRun(SHEET))]])
    expect(look(withoutLog, planned).flaws.filter(({ id }) => id === SHEET)).toEqual([])
  })

  it('says nothing of the standing of a log that cannot be read: that has been said', () => {
    const { flaws } = look((r) => Object.assign(r.events[3]!, { at: 'noon' }))
    expect(flaws.map((flaw) => [flaw.kind, flaw.id])).toEqual([['record', SHEET]])
    expect(flaws[0]?.problem).toContain('Log of sheet 7: Line 4 is not a valid event: at')
  })

  it('knows a sheet on which nothing has happened', () => {
    const { sheets } = workroom().records
    const fresh = (records: WorkroomRecords) => {
      records.sheets.push({ ...sheets[0]!, id: uuid(98), number: 98, createdAt: T0 })
    }
    expect(look(fresh).flaws.map((flaw) => [flaw.kind, flaw.id])).toEqual([['standing', uuid(98)]])
  })

  it.each<[string, (records: WorkroomRecords) => void, Flaw['kind']]>([
    ['a record of a wrong shape', (r) => Object.assign(r.papers[0]!, { gramsPerM2: 'heavy' }), 'record'],
    ['an event of a wrong shape', (r) => Object.assign(r.events[3]!, { at: 'noon' }), 'record'],
    ['a photograph of no sheet', (r) => Object.assign(r.photos[0]!, { sheetId: uuid(99) }), 'record'],
    ['a log with a gap', (r) => r.events.splice(4, 1), 'record'],
    ['two of one identity', (r) => r.papers.push({ ...r.papers[0]!, name: 'Other' }), 'record'],
  ])('finds %s', (_, spoil, kind) => expect(kinds(look(spoil).flaws)).toContain(kind))

  it('finds standings that are gone, or not what the log says', () => {
    const { flaws } = look(undefined, new Map())
    expect(flaws.map((flaw) => [flaw.kind, flaw.id])).toContainEqual(['standing', SHEET])
    const later = look((records) => {
      const last = records.events.find((event) => event.index === 16)
      records.events.push({
        id: uuid(5000),
        sheetId: SHEET,
        index: 17,
        at: last?.at ?? 0,
        type: 'noted',
        text: 'x',
      })
    })
    expect(kinds(later.flaws)).toEqual(['standing'])
  })
})

describe('checking pictures', () => {
  const photo = { ...workroom().records.photos[0]!, sha256: 'a'.repeat(64) }
  const stored = { id: photo.id, bytes: photo.bytes, sha256: photo.sha256, hasThumbnail: true }

  it('finds nothing where all is as it was added', () => {
    expect(checkPictures([photo], [stored])).toEqual([])
  })

  it.each([
    ['gone', []],
    ['unreadable', [{ ...stored, bytes: 0 }]],
    ['cut short', [{ ...stored, bytes: 3 }]],
    ['changed', [{ ...stored, sha256: 'b'.repeat(64) }]],
    ['without its small one', [{ ...stored, hasThumbnail: false }]],
    ['of no photograph', [stored, { ...stored, id: uuid(88) }]],
  ])('finds one that is %s', (_, list) => expect(checkPictures([photo], list)).toHaveLength(1))
})
