import fc from 'fast-check'
import { begun, jpeg, sheet, T0, uuid } from '../fixtures/workroom'
import { nextMove } from '../process/nextMove'
import { advance, emptyRun, replay } from '../process/run'
import { writeArchive, type Workroom } from './archive'
import { readArchive } from './archiveReading'
import type { SheetEvent } from './event'
import { logsBySheet } from './logs'
import { applyMerge, conflictKey, planMerge } from './merge'
import { emptyRecords, WorkroomRecords, type Sheet } from './records'

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
const workroom: fc.Arbitrary<Workroom> = fc
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
    const pixels = new Map<string, { original: Uint8Array; thumbnail: Uint8Array }>()
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

const none = emptyRecords()

describe('any workroom', () => {
  it('is a sound set of records', () => {
    fc.assert(
      fc.property(workroom, ({ records }) => void WorkroomRecords.parse(records)),
      { numRuns: 60 },
    )
  })

  it('comes back from its archive as it was', () => {
    fc.assert(
      fc.property(workroom, (room) => {
        const { states, ...read } = readArchive(writeArchive(room, 'any', T0))
        expect(read).toEqual(room)
        for (const [id, log] of logsBySheet(room.records.events))
          expect(states.get(id)).toEqual(replay(id, log))
      }),
      { numRuns: 40 },
    )
  })

  it('merged into nothing is itself, and into itself is nothing', () => {
    fc.assert(
      fc.property(workroom, ({ records }) => {
        const into = (here: WorkroomRecords) =>
          applyMerge(planMerge(here, records), records, new Set()).records
        expect(into(none)).toEqual({ ...records, events: [...logsBySheet(records.events).values()].flat() })
        expect(into(records)).toEqual(none)
      }),
      { numRuns: 60 },
    )
  })

  it('merged with an earlier self is carried on, whatever moment that was', () => {
    fc.assert(
      fc.property(workroom, fc.nat(40), ({ records }, cut) => {
        const earlier = { ...records, events: records.events.filter((event) => event.index < cut) }
        const { records: added } = applyMerge(planMerge(earlier, records), records, new Set())
        const together = logsBySheet([...earlier.events, ...added.events])
        expect(together).toEqual(logsBySheet(records.events))
        for (const [id, log] of together) expect(() => replay(id, log)).not.toThrow()
      }),
      { numRuns: 60 },
    )
  })

  it('never loses what is here to an import, whatever comes', () => {
    fc.assert(
      fc.property(workroom, workroom, (mine, theirs) => {
        const plan = planMerge(mine.records, theirs.records)
        const { records: added, replaceLogs } = applyMerge(plan, theirs.records, new Set())
        expect(replaceLogs).toEqual([])
        const known = new Set(mine.records.sheets.map((one) => one.id))
        for (const one of added.sheets) expect(known).not.toContain(one.id)
        const logs = logsBySheet([...mine.records.events, ...added.events])
        for (const [id, log] of logsBySheet(mine.records.events))
          expect(logs.get(id)?.slice(0, log.length)).toEqual(log)
        for (const [id, log] of logs) expect(() => replay(id, log)).not.toThrow()
      }),
      { numRuns: 60 },
    )
  })

  it('given every conflict becomes what the archive says', () => {
    fc.assert(
      fc.property(workroom, workroom, (mine, theirs) => {
        const plan = planMerge(mine.records, theirs.records)
        const all = new Set(plan.conflicts.map(conflictKey))
        const { records: taken, replaceLogs } = applyMerge(plan, theirs.records, all)
        const kept = mine.records.events.filter((event) => !replaceLogs.includes(event.sheetId))
        const logs = logsBySheet([...kept, ...taken.events])
        for (const id of replaceLogs) expect(logs.get(id)).toEqual(logsBySheet(theirs.records.events).get(id))
        for (const one of taken.sheets) expect(theirs.records.sheets).toContainEqual(one)
      }),
      { numRuns: 60 },
    )
  })
})
