import { SHEET, uuid, workroom } from '../fixtures/workroom'
import { replay, type RunState } from '../process/run'
import { checkPictures, checkWorkroom, type Flaw } from './integrity'
import { logsBySheet } from './logs'
import type { WorkroomRecords } from './records'

function look(
  spoil: (records: WorkroomRecords) => void = () => undefined,
  standings?: ReadonlyMap<string, RunState>,
) {
  const { records } = workroom()
  const logs = logsBySheet(records.events)
  const sound = new Map(
    [...records.sheets, ...records.paperRuns].map(({ id }) => [id, replay(id, logs.get(id) ?? [])]),
  )
  spoil(records)
  const work = checkWorkroom(records, standings ?? sound)
  const shares: number[] = []
  let step = work.next()
  while (!step.done) {
    shares.push(step.value)
    step = work.next()
  }
  return { flaws: step.value, shares }
}
const kinds = (flaws: readonly Flaw[]) => [...new Set(flaws.map((flaw) => flaw.kind))]

describe('looking through a workroom', () => {
  it('finds nothing in a sound one, and says how far it is', () => {
    const { flaws, shares } = look()
    expect(flaws).toEqual([])
    expect(shares.at(-1)).toBe(1)
    expect(shares).toEqual([...shares].sort((a, b) => a - b))
  })

  it.each<[string, (records: WorkroomRecords) => void, Flaw['kind']]>([
    ['a record of a wrong shape', (r) => Object.assign(r.papers[0]!, { gramsPerM2: 'heavy' }), 'record'],
    ['an event of a wrong shape', (r) => Object.assign(r.events[3]!, { at: 'noon' }), 'event'],
    ['a photograph of no sheet', (r) => Object.assign(r.photos[0]!, { sheetId: uuid(99) }), 'end'],
    ['a log with a gap', (r) => r.events.splice(4, 1), 'end'],
    ['two of one identity', (r) => r.papers.push({ ...r.papers[0]! }), 'end'],
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

describe('looking at pictures', () => {
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
