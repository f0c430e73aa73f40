import fc from 'fast-check'
import { samples } from '../fixtures/samples'
import { jpeg, sheet } from '../fixtures/workroom'
import { begun, T0, uuid } from '../fixtures/logs'
import { nextMove } from '../run/nextMove'
import { advance, replay } from '../run/run'
import { emptyRun } from '../run/runState'
import { writeArchive, type PhotoPixels } from './archive'
import { readArchive } from './archiveReading'
import type { SheetEvent } from '../schema/event'
import { eventsIn, logBook, logsBySheet } from './logs'
import { applyMerge, conflictKey, planMerge } from './merge'
import { emptyHoldings, emptyRecords, Holdings, type Sheet, type WorkroomRecords } from '../schema/records'

/** A log as some hand might have made it: the next thing again and again, with notes and undos between. */
function logFor(sheetId: string, moves: readonly ('move' | 'undo' | 'note')[], salt: number): SheetEvent[] {
  const log: SheetEvent[] = []
  let state = emptyRun(sheetId)
  for (const [n, move] of moves.entries()) {
    const at = T0 + (n + 1) * 40_000
    const what =
      move === 'note'
        ? ({ type: 'noted', text: `note ${n} of ${salt}` } as const)
        : move === 'undo'
          ? state.last && ({ type: 'undone', eventId: state.last.id } as const)
          : state.begunAt === null
            ? begun
            : nextMove(state, at)
    if (!what) continue
    const event = {
      ...what,
      id: uuid(salt * 100_000 + log.length),
      sheetId,
      index: log.length,
      at,
    } as SheetEvent
    state = event.type === 'undone' ? replay(sheetId, [...log, event]) : advance(state, event)
    log.push(event)
  }
  return log
}

const text = fc.string({ minLength: 1, maxLength: 40 })
const moves = fc.array(fc.constantFrom<'move' | 'undo' | 'note'>('move', 'move', 'move', 'undo', 'note'), {
  maxLength: 25,
})
const workroom: fc.Arbitrary<{ records: WorkroomRecords; pixels: Map<string, PhotoPixels> }> = fc
  .array(
    fc.record({
      title: text,
      portfolio: fc.string({ maxLength: 20 }),
      moves,
      width: fc.integer({ min: 20, max: 900 }),
      hasPhoto: fc.boolean(),
    }),
    { maxLength: 5 },
  )
  .map((entries) => {
    const records = emptyRecords()
    const pixels = new Map<string, PhotoPixels>()
    entries.forEach((entry, n) => {
      const one: Sheet = {
        ...sheet,
        id: uuid(n + 1),
        number: n + 1,
        title: entry.title,
        portfolio: entry.portfolio,
        widthMillimetres: entry.width,
      }
      records.sheets.push(one)
      records.events.push(...logFor(one.id, entry.moves, n + 1))
      if (!entry.hasPhoto) return
      const id = uuid(900 + n)
      records.photos.push({
        id,
        sheetId: one.id,
        takenAt: T0,
        mime: 'image/jpeg',
        widthPixels: 1,
        heightPixels: 1,
        bytes: 9,
        note: '',
      })
      pixels.set(id, { original: jpeg, thumbnail: jpeg })
    })
    return { records, pixels }
  })

const contentsOf = ({ events, ...records }: WorkroomRecords) => ({ records, logs: logBook(events) })
type Contents = ReturnType<typeof contentsOf>

/** The logs after an import, each with all of its events. */
function logsAfter(here: Contents, theirs: Contents, take = new Set<string>()) {
  const { logs } = applyMerge(planMerge(here, theirs), theirs, take)
  const both = new Map([...here.logs, ...logs.map((id) => [id, theirs.logs.get(id)!] as const)])
  return new Map([...both].map(([id, log]) => [id, eventsIn(log)]))
}

describe('any workroom', () => {
  it('is a sound set of records', () => {
    fc.assert(
      fc.property(workroom, ({ records }) => void Holdings.parse(contentsOf(records).records)),
      { numRuns: samples(15, 60) },
    )
  })

  it('comes back from its archive as it was, with what every log amounts to', () => {
    fc.assert(
      fc.property(workroom, (room) => {
        const { records, logs, pixels } = readArchive(writeArchive(room, 'any', T0))
        expect({ ...records, events: [...logs.values()].flatMap(eventsIn) }).toEqual(room.records)
        expect(pixels).toEqual(room.pixels)
        for (const [id, log] of logsBySheet(room.records.events))
          expect(logs.get(id)?.standing).toBe(JSON.stringify(replay(id, log)))
      }),
      { numRuns: samples(12, 40) },
    )
  })

  it('merged into nothing is itself, and into itself is nothing', () => {
    fc.assert(
      fc.property(workroom, ({ records }) => {
        const theirs = contentsOf(records)
        const into = (here: Contents) => applyMerge(planMerge(here, theirs), theirs, new Set())
        expect(into(contentsOf(emptyRecords()))).toEqual({
          records: theirs.records,
          logs: [...theirs.logs.keys()],
        })
        expect(into(theirs)).toEqual({ records: emptyHoldings(), logs: [] })
      }),
      { numRuns: samples(15, 60) },
    )
  })

  it('merged with an earlier self is carried on, whatever moment that was', () => {
    fc.assert(
      fc.property(workroom, fc.nat(40), ({ records }, cut) => {
        const earlier = { ...records, events: records.events.filter((event) => event.index < cut) }
        const together = logsAfter(contentsOf(earlier), contentsOf(records))
        expect(together).toEqual(logsBySheet(records.events))
      }),
      { numRuns: samples(15, 60) },
    )
  })

  it('never loses what is here to an import, whatever comes', () => {
    fc.assert(
      fc.property(workroom, workroom, (mine, theirs) => {
        const [here, other] = [contentsOf(mine.records), contentsOf(theirs.records)]
        const { records: added } = applyMerge(planMerge(here, other), other, new Set())
        const known = new Set(mine.records.sheets.map((one) => one.id))
        for (const one of added.sheets) expect(known).not.toContain(one.id)
        const logs = logsAfter(here, other)
        for (const [id, log] of logsBySheet(mine.records.events))
          expect(logs.get(id)?.slice(0, log.length)).toEqual(log)
        for (const [id, log] of logs) expect(() => replay(id, log)).not.toThrow()
      }),
      { numRuns: samples(15, 60) },
    )
  })

  it('given every conflict becomes what the archive says', () => {
    fc.assert(
      fc.property(workroom, workroom, (mine, theirs) => {
        const [here, other] = [contentsOf(mine.records), contentsOf(theirs.records)]
        const plan = planMerge(here, other)
        const all = new Set(plan.conflicts.map(conflictKey))
        const logs = logsAfter(here, other, all)
        const parted = plan.conflicts.filter((one) => one.kind === 'log')
        for (const { id } of parted) expect(logs.get(id)).toEqual(eventsIn(other.logs.get(id)))
        for (const one of applyMerge(plan, other, all).records.sheets)
          expect(theirs.records.sheets).toContainEqual(one)
      }),
      { numRuns: samples(15, 60) },
    )
  })
})
