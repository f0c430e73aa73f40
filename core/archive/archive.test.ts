import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import fc from 'fast-check'
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate'
import { samples } from '../fixtures/samples'
import { jpeg, workroom } from '../fixtures/workroom'
import { logOf, SHEET, T0, uuid, wholeJob } from '../fixtures/logs'
import { LIMITS } from '../formats/zip'
import { mimeOf, partsOf, writeArchive } from './archive'
import { readArchive } from './archiveReading'
import { applyMerge, conflictKey, planMerge } from './merge'
import { eventsIn, logBook } from './logs'
import { migrate, MIGRATIONS } from './migrations'
import type { SheetEvent } from '../schema/event'
import {
  emptyHoldings,
  emptyRecords,
  RECORD_VERSION,
  type Holdings,
  type WorkroomRecords,
} from '../schema/records'
import { sha256 } from '@noble/hashes/sha2.js'
import { bytesToHex } from '@noble/hashes/utils.js'

const archive = () => writeArchive(workroom(), 'Test workroom', T0)
/** What was written, its logs as events again. */
function readBack(bytes: Uint8Array) {
  const { records, logs, pixels } = readArchive(bytes)
  return { records: { ...records, events: [...logs.values()].flatMap(eventsIn) }, pixels }
}
const contentsOf = ({ events, ...records }: WorkroomRecords) => ({ records, logs: logBook(events) })
/** The lines of every log, by sheet. */
const linesBySheet = ({ logs }: ReturnType<typeof readArchive>) =>
  Object.fromEntries([...logs].map(([id, { lines }]) => [id, lines]))
const refusing = (code: string) => expect.objectContaining({ code })

/** Opens an archive, lets a test spoil it, and closes it again, with honest checksums unless told otherwise. */
function spoiled(spoil: (files: Record<string, Uint8Array>) => void, keepSums = false): Uint8Array {
  const files = unzipSync(archive())
  spoil(files)
  if (!keepSums && files['manifest.json']) {
    const manifest = JSON.parse(strFromU8(files['manifest.json']))
    for (const path of Object.keys(manifest.files ?? {}))
      if (files[path])
        manifest.files[path] = { bytes: files[path].length, sha256: bytesToHex(sha256(files[path])) }
    files['manifest.json'] = strToU8(JSON.stringify(manifest))
  }
  return zipSync(files)
}
const editJson = (path: string, edit: (json: ReturnType<typeof JSON.parse>) => void) =>
  spoiled((files) => {
    const json = JSON.parse(strFromU8(files[path]!))
    edit(json)
    files[path] = strToU8(JSON.stringify(json))
  })
/** Edits the first file of logs as the events that it holds. */
const editEvents = (edit: (events: SheetEvent[]) => void) =>
  spoiled((files) => {
    const events = eventsIn({ lines: strFromU8(files['logs/0001.jsonl']!).trim() })
    edit(events)
    files['logs/0001.jsonl'] = strToU8(events.map((event) => `${JSON.stringify(event)}\n`).join(''))
  })
const editLogs = (edit: (text: string) => string) =>
  spoiled((files) => {
    files['logs/0001.jsonl'] = strToU8(edit(strFromU8(files['logs/0001.jsonl']!)))
  })
const editRecords = (edit: (records: Holdings) => void) => editJson('records.json', edit)

describe('the archive', () => {
  it('gives back exactly what was written', () => {
    expect(readBack(archive())).toEqual(workroom())
  })

  it('is an ordinary ZIP that any tool opens', () => {
    expect(Object.keys(unzipSync(archive())).sort()).toEqual([
      'logs/0001.jsonl',
      'manifest.json',
      `photos/${uuid(50)}.jpg`,
      'records.json',
      `thumbnails/${uuid(50)}.jpg`,
    ])
  })

  it('writes a record a line, so that any editor opens it', () => {
    const text = strFromU8(unzipSync(archive())['records.json']!)
    const lines = text.split('\n').filter((line) => line.includes('"id"'))
    const { records } = workroom()
    const { events, ...holdings } = records
    expect(lines).toHaveLength(Object.values(holdings).reduce((sum, list) => sum + list.length, 0))
    expect(JSON.parse(text)).toEqual(holdings)
    const log = strFromU8(unzipSync(archive())['logs/0001.jsonl']!)
    expect(log.endsWith('\n')).toBe(true)
    expect(log.trim().split('\n').map((line) => JSON.parse(line) as unknown)).toEqual(events) // prettier-ignore
  })

  it('does not write what it would not read', () => {
    const write = (limit: object) => () => writeArchive(workroom(), 'Test', T0, { ...LIMITS, ...limit })
    expect(write({ totalBytes: 1000 })).toThrow(refusing('too-large'))
    expect(write({ entries: 3 })).toThrow(refusing('too-large'))
  })

  it.each([
    ['is gone', []],
    ['is no picture any more', [[uuid(50), { original: strToU8('rubbish'), thumbnail: jpeg }]]],
    ['has no small one', [[uuid(50), { original: jpeg, thumbnail: new Uint8Array() }]]],
  ] as const)('is written and read though a picture %s', (_, pixels) => {
    const { records } = workroom()
    const bytes = writeArchive({ records, pixels: new Map(pixels) }, 'Test', T0)
    expect(JSON.parse(strFromU8(unzipSync(bytes)['manifest.json']!)).without).toEqual([uuid(50)])
    expect(readBack(bytes)).toEqual({ records, pixels: new Map() })
  })

  it('shares pictures out in their order, none twice, over no more archives than their limits ask for', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 40 })), (sizes) => {
        const pictures = sizes.map((bytes, n) => [String(n), bytes] as const)
        const parts = partsOf(pictures, { bytes: 60, pictures: 4 })
        expect(parts.flat()).toEqual(pictures.map(([id]) => id))
        const total = (part: readonly string[]) => part.reduce((sum, id) => sum + sizes[Number(id)]!, 0)
        for (const [n, part] of parts.entries()) {
          expect(part.length).toBeLessThanOrEqual(4)
          expect(total(part)).toBeLessThanOrEqual(60)
          const next = parts[n + 1]?.[0]
          if (next) expect(part.length === 4 || total(part) + sizes[Number(next)]! > 60).toBe(true)
        }
      }),
    )
    expect(partsOf([], { bytes: 1, pictures: 1 })).toEqual([[]])
    // One that is larger than the limit is by itself.
    expect(partsOf([['a', 1], ['b', 9], ['c', 1]], { bytes: 4, pictures: 9 })).toEqual([['a'], ['b'], ['c']]) // prettier-ignore
  })

  it('holds an empty workroom too', () => {
    const empty = { records: emptyRecords(), pixels: new Map() }
    expect(readBack(writeArchive(empty, '', T0))).toEqual(empty)
  })

  it.each<[string, () => Uint8Array, string]>([
    ['a text file', () => strToU8('Dear diary'), 'not-a-zip'],
    ['an empty file', () => new Uint8Array(), 'not-a-zip'],
    ['somebody else’s ZIP', () => zipSync({ 'letter.txt': strToU8('hello') }), 'not-ours'],
    ['a ZIP with another manifest', () => zipSync({ 'manifest.json': strToU8('{"format":"recipes"}') }), 'not-ours'],
    ['the first half', () => archive().slice(0, 900), 'truncated'],
    ['all but the last byte', () => archive().slice(0, -1), 'truncated'],
    ['records that are no JSON', () => spoiled((files) => { files['records.json'] = strToU8('{"sheets": [') }), 'damaged'],
    ['a path that climbs out', () => spoiled((files) => { files['../../evil.sh'] = strToU8('x') }), 'unsafe-path'],
    ['an absolute path', () => spoiled((files) => { files['/etc/evil'] = strToU8('x') }), 'unsafe-path'],
    ['a drive letter', () => spoiled((files) => { files['C:evil'] = strToU8('x') }), 'unsafe-path'],
    ['missing records', () => spoiled((files) => { delete files['records.json'] }), 'missing-file'],
    ['a newer version', () => editJson('manifest.json', (manifest) => { manifest.recordVersion = RECORD_VERSION + 1 }), 'newer-version'],
    ['a version that never was', () => editJson('manifest.json', (manifest) => { manifest.recordVersion = 0 }), 'unknown-version'],
    ['an event among the records', () => editJson('records.json', (records) => { records.events = [] }), 'wrong-record'],
  ])('refuses %s', (_, make, code) => {
    expect(() => readArchive(make())).toThrow(refusing(code))
  }) // prettier-ignore

  it.each<[string, () => Uint8Array, string]>([
    ['a flipped byte in a picture', () => spoiled((files) => { files[`photos/${uuid(50)}.jpg`]![5]! ^= 1 }, true), 'file doubtful'],
    ['a file that is not on the list', () => spoiled((files) => { files['extra.txt'] = strToU8('x') }), 'file leftOut'],
    ['a missing picture', () => spoiled((files) => { delete files[`photos/${uuid(50)}.jpg`] }), 'file leftOut'],
    ['a text where a number is due', () => editRecords((records) => { (records.sheets[0] as { number: unknown }).number = 'seven' }), 'sheets repaired'],
    ['a field of its own', () => editRecords((records) => { Object.assign(records.sheets[0]!, { script: 'x' }) }), 'sheets repaired'],
    ['a prototype in disguise', () => editRecords((records) => { records.sheets[0]!.choices = JSON.parse('{"__proto__": {"x": 1}, "Bad key!": "x"}') }), 'sheets repaired'],
    ['a picture that is a script', () => spoiled((files) => { files[`photos/${uuid(50)}.jpg`] = strToU8('<svg onload=alert(1)>') }), 'picture leftOut'],
    ['two sheets of one identity', () => editRecords((records) => { records.sheets.push(records.sheets[0]!) }), ''],
    ['an event of no sheet', () => editEvents((events) => { for (const event of events) event.sheetId = uuid(99) }), 'log setAside'],
    ['a log with a hole', () => editEvents((events) => { events.splice(4, 1) }), 'log setAside'],
    ['a log that could not have happened', () => editEvents((events) => { Object.assign(events[8]!, { step: 'wash' }) }), 'log setAside'],
    ['a log that is parted by another one', () => editEvents((events) => { events.push(events.shift()!) }), 'log setAside'],
    ['two events of one identity', () => editEvents((events) => { events[5]!.id = events[4]!.id }), 'log setAside'],
    ['a photograph that no file is about', () => editRecords((records) => { records.photos = [] }), 'picture leftOut'],
    ['an event with a field of its own', () => editEvents((events) => { Object.assign(events[2]!, { script: 'x' }) }), 'log setAside'],
    ['two events in one line', () => editLogs((text) => text.replace('\n', ',')), 'log setAside'],
    ['a line that was cut off', () => editLogs((text) => text.slice(0, -9)), 'log setAside'],
    ['an empty line between two events', () => editLogs((text) => text.replace('\n', '\n\n')), 'log setAside'],
    ['something taken from no bottle', () => editRecords((records) => { records.takings[0]!.bottleId = uuid(99) }), 'takings setAside'],
    ['a base exposure under no light', () => editRecords((records) => { records.bases[0]!.lightId = uuid(99) }), 'bases setAside'],
    ['a piece of no paper', () => editRecords((records) => { records.pieces[0]!.paperId = uuid(99) }), 'pieces setAside'],
    ['a treatment that could not have happened', () => editEvents((events) => { Object.assign(events.at(-1)!, { step: 'hang' }) }), 'log setAside'],
    ['a bottle of a strength beyond all solubility', () => editRecords((records) => { records.bottles[0]!.contents[0]!.percent = 4000 }), 'bottles repaired'],
    ['a tearing into nothing', () => editRecords((records) => { records.pieces[0]!.widthMillimetres = 0 }), 'pieces setAside'],
    ['a photograph of no sheet', () => editRecords((records) => { records.photos[0]!.sheetId = uuid(99) }), 'photos setAside'],
  ])('reads the rest of one with %s', (_, make, noted) => {
    const { notes, records, logs, pixels } = readArchive(make())
    expect(notes.map(({ kind, outcome }) => `${kind} ${outcome}`)[0] ?? '').toBe(noted)
    // What was changed or not used is kept as it was, and what is left goes out and comes in again without a word.
    expect(records.setAside.length - 1).toBe(notes.filter(({ outcome }) => /setAside|repaired/.test(outcome)).length)
    const events = [...logs.values()].flatMap(eventsIn)
    const again = readArchive(writeArchive({ records: { ...records, events }, pixels }, '', T0))
    expect(again.notes.filter(({ kind }) => kind !== 'picture')).toEqual([])
    expect(again.records).toEqual(records)
    // Read once more, the same damage is the same entry.
    expect(readArchive(make()).records.setAside).toEqual(records.setAside)
  }) // prettier-ignore

  it('names what is wrong with a record as a person would', () => {
    const bad = editRecords((records) => { (records.lights[0] as { kind: string }).kind = 'candle' })
    const { notes, records } = readArchive(bad)
    expect(notes).toEqual([expect.objectContaining({ kind: 'lights', id: records.lights[0]!.id, problem: 'kind must be one of sun, uvBox, lamp, tubes.' })])
    // What hangs on the light is not lost with it.
    expect(records.lightEntries).toEqual(workroom().records.lightEntries)
  }) // prettier-ignore

  it('names the line of an event that is none, and takes the log up to it', () => {
    const bad = editEvents((events) => { (events[6] as { at: unknown }).at = 'noon' })
    const { notes, records, logs } = readArchive(bad)
    expect(notes).toEqual([expect.objectContaining({ name: 'Log of sheet 7', problem: expect.stringContaining('Line 7 is not a valid event: at: ') })])
    expect(eventsIn(logs.get(SHEET)).map(({ id }) => id)).toEqual(workroom().records.events.slice(0, 6).map(({ id }) => id))
    const kept = records.setAside.find((one) => one.kind === 'log')?.original ?? ''
    expect(kept.split('\n')).toHaveLength(workroom().records.events.filter((event) => event.sheetId === SHEET).length - 6)
  }) // prettier-ignore

  it('stops a bomb by what comes out, not by what it claims', () => {
    const bomb = spoiled((files) => { files['records.json'] = new Uint8Array(8 * 2 ** 20) }) // prettier-ignore
    expect(bomb.length).toBeLessThan(50_000)
    expect(() => readArchive(bomb, { ...LIMITS, entryBytes: 4 * 2 ** 20 })).toThrow(refusing('too-large'))
    expect(() => readArchive(archive(), { ...LIMITS, totalBytes: 100 })).toThrow(refusing('too-large'))
    expect(() => readArchive(archive(), { ...LIMITS, entryBytes: 100 })).toThrow(refusing('too-large'))
    expect(() => readArchive(archive(), { ...LIMITS, entries: 2 })).toThrow(refusing('too-large'))
  })

  it('survives any single flipped byte without a wrong reading', () => {
    const good = archive()
    const expected = workroom()
    for (let at = 0; at < good.length; at += samples(41, 7)) {
      const bad = good.slice()
      bad[at]! ^= 0x55
      try {
        // Either a byte that is never read, such as a date in the directory, or it is said which file changed.
        if (!readArchive(bad).notes.length) expect(readBack(bad)).toEqual(expected)
      } catch (error) {
        expect(error).toMatchObject({ name: 'CoreError' })
      }
    }
  })

  it.each([
    [jpeg, 'image/jpeg'],
    [new Uint8Array([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]), 'image/png'],
    [strToU8('RIFF0000WEBPVP8 '), 'image/webp'],
    [strToU8('GIF89a'), null],
  ])('knows a picture by its first bytes', (bytes, mime) => expect(mimeOf(bytes)).toBe(mime))
})

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

describe('archives of earlier versions', () => {
  // Written once by the version in its name and never again: whatever comes later must still read it.
  it('version 1 is read as it was meant', () => {
    const stored = new Uint8Array(readFileSync(join(__dirname, '..', 'fixtures', 'archive-v1.zip')))
    const { records, pixels } = workroom()
    expect(readBack(stored)).toEqual({
      records: {
        ...emptyRecords(),
        sheets: records.sheets,
        events: records.events.filter((event) => event.sheetId === SHEET),
        papers: records.papers,
        bottles: [
          {
            id: uuid(3),
            label: 'A-7',
            name: 'Iron citrate',
            kind: 'solution',
            contents: [{ substanceId: 'ferric-ammonium-citrate', percent: 25 }],
            note: '',
            changedAt: T0,
          },
        ],
        lights: records.lights,
        photos: records.photos,
      },
      pixels,
    })
  })
})

describe('migration', () => {
  it('has a step from every earlier version', () => expect(MIGRATIONS).toHaveLength(RECORD_VERSION - 1))

  it('climbs one version at a time and leaves the current one alone', () => {
    const steps = [(old: unknown) => ({ two: old }), (old: unknown) => ({ three: old })]
    expect(migrate('one', 1, steps, 3)).toEqual({ three: { two: 'one' } })
    expect(migrate('two', 2, steps, 3)).toEqual({ three: 'two' })
    expect(migrate('three', 3, steps, 3)).toBe('three')
    expect(() => migrate('four', 4, steps, 3)).toThrow(refusing('newer-version'))
  })

  it('version 2 is read as it was meant, and grows the lists that came later', () => {
    const stored = new Uint8Array(readFileSync(join(__dirname, '..', 'fixtures', 'archive-v2.zip')))
    const { records } = readBack(stored)
    expect(records.sheets).toHaveLength(7)
    expect(records.events).toHaveLength(280)
    expect(records.lights.map((light) => [light.name, light.usualSeconds])).toEqual([
      ['the attic box', 480],
      ['the south sill', 780],
    ])
    expect([
      records.lightEntries,
      records.bases,
      records.tablets,
      records.tabletPrints,
      records.calibrations,
      records.negatives,
    ]).toEqual([[], [], [], [], [], []])
  })

  it('version 3 is read as it was meant, and grows baths, register checks and plans', () => {
    const stored = new Uint8Array(readFileSync(join(__dirname, '..', 'fixtures', 'archive-v3.zip')))
    const { records } = readBack(stored)
    expect(
      [records.sheets, records.events, records.calibrations, records.lightEntries].map((list) => list.length),
    ).toEqual([20, 1002, 2, 15])
    expect([records.baths, records.registerChecks, records.plans]).toEqual([[], [], []])
  })

  it('version 4 is read as it was meant, and grows diagnoses', () => {
    const stored = new Uint8Array(readFileSync(join(__dirname, '..', 'fixtures', 'archive-v4.zip')))
    const { records } = readBack(stored)
    expect(
      [records.sheets, records.events, records.baths, records.plans, records.registerChecks].map(
        (list) => list.length,
      ),
    ).toEqual([25, 1356, 4, 1, 1])
    expect(records.diagnoses).toEqual([])
  })

  it('version 5 is read as it was meant: the logs that lay among its records are whole', () => {
    const stored = new Uint8Array(readFileSync(join(__dirname, '..', 'fixtures', 'archive-v5.zip')))
    const among = JSON.parse(strFromU8(unzipSync(stored)['records.json']!)) as WorkroomRecords
    const { records } = readBack(stored)
    expect([records.sheets, records.events, records.diagnoses].map((list) => list.length)).toEqual([
      25, 1366, 2,
    ])
    const byId = (events: readonly SheetEvent[]) => [...events].sort((a, b) => a.id.localeCompare(b.id))
    expect(byId(records.events)).toEqual(byId(among.events))
    const { events, ...rest } = among
    void events
    expect(records).toMatchObject(rest)
  })

  it('version 6 is read as it was meant: waste says what it holds, in the jar it was poured into', () => {
    const stored = new Uint8Array(readFileSync(join(__dirname, '..', 'fixtures', 'archive-v6.zip')))
    const { records } = readBack(stored)
    expect([records.sheets, records.events, records.wastes].map((list) => list.length)).toEqual([25, 1379, 6])
    const byId = (n: number) => records.wastes.find((one) => one.id === uuid(n))
    expect(byId(902)).toMatchObject({
      wasteClass: 'oxidiser',
      contents: [{ substanceId: 'hydrogen-peroxide', percent: 3 }],
    })
    expect(byId(903)).toMatchObject({
      wasteClass: 'silver',
      contents: [{ substanceId: 'sodium-thiosulfate', percent: 10 }],
    })
    expect(byId(904)).toMatchObject({ wasteClass: 'base', what: 'something blue' })
    expect(byId(904)?.contents).toBeUndefined()
  })

  it('version 7 is read as it was meant, and nothing of it is set aside', () => {
    const stored = new Uint8Array(readFileSync(join(__dirname, '..', 'fixtures', 'archive-v7.zip')))
    const { records } = readBack(stored)
    expect([records.sheets, records.events, records.bottles, records.photos].map((list) => list.length)).toEqual([25, 1372, 22, 2])
    expect(records.setAside).toEqual([])
    expect(readArchive(stored).notes).toEqual([])
  }) // prettier-ignore

  it('version 8 is read as it was meant: washes of an own process have their role', () => {
    const stored = new Uint8Array(readFileSync(join(__dirname, '..', 'fixtures', 'archive-v8.zip')))
    const { records } = readBack(stored)
    expect([records.sheets, records.events, records.ownProcesses].map((list) => list.length)).toEqual([25, 1372, 1])
    const own = records.ownProcesses.find((one) => one.id === uuid(910))
    const roles = own?.definition.steps.map(({ id, role }) => [id, role])
    expect(roles).toEqual(
      expect.arrayContaining([['wash-fixer', 'wash'], ['final-wash', 'wash'], ['fix', 'fix'], ['rinse', undefined]]),
    )
    expect(readArchive(stored).notes).toEqual([])
  }) // prettier-ignore

  it('version 9 is read as it was meant, and nothing of it is set aside', () => {
    const stored = new Uint8Array(readFileSync(join(__dirname, '..', 'fixtures', 'archive-v9.zip')))
    const { records } = readBack(stored)
    expect([records.sheets, records.events, records.ownProcesses].map((list) => list.length)).toEqual([25, 1372, 1])
    expect(readArchive(stored).notes).toEqual([])
  }) // prettier-ignore

  it('version 10 is read as it was meant, and its baths were never filtered', () => {
    const stored = new Uint8Array(readFileSync(join(__dirname, '..', 'fixtures', 'archive-v10.zip')))
    const { records } = readBack(stored)
    expect([records.sheets.length, records.events.length]).toEqual([25, 1374])
    expect(records.events.filter(({ type }) => type === 'corrected')).toHaveLength(2)
    expect(records.baths.map(({ filtered }) => filtered)).toEqual([[], [], [], []])
    expect(readArchive(stored).notes).toEqual([])
  })

  it('version 11 is read as it was meant, and one pair of hands worked by its plans', () => {
    const stored = new Uint8Array(readFileSync(join(__dirname, '..', 'fixtures', 'archive-v11.zip')))
    const { records } = readBack(stored)
    expect([records.sheets.length, records.events.length]).toEqual([25, 1374])
    expect(records.plans.map(({ room }) => room.hands)).toEqual([1])
    expect(records.baths.map(({ filtered }) => filtered.length)).toEqual([1, 0, 0, 0])
    expect(readArchive(stored).notes).toEqual([])
  })

  it('of an archive of version 5 with wrong events, the sound ones are read', () => {
    const old = (events: (events: SheetEvent[]) => unknown) => {
      const files = unzipSync(new Uint8Array(readFileSync(join(__dirname, '..', 'fixtures', 'archive-v5.zip'))))
      const manifest = JSON.parse(strFromU8(files['manifest.json']!)) as { files: Record<string, object> }
      const among = JSON.parse(strFromU8(files['records.json']!)) as WorkroomRecords
      const text = strToU8(JSON.stringify({ ...among, events: events(among.events) }))
      manifest.files['records.json'] = { bytes: text.length, sha256: bytesToHex(sha256(text)) }
      return zipSync({ ...files, 'manifest.json': strToU8(JSON.stringify(manifest)), 'records.json': text })
    }
    const whole = readArchive(old((events) => events.reverse()))
    expect(whole.notes).toEqual([])
    expect(() => readArchive(old(() => 'none'))).toThrow(refusing('wrong-record'))
    const logsNoted = (bytes: Uint8Array) => readArchive(bytes).notes.map(({ kind, outcome }) => `${kind} ${outcome}`)
    expect(logsNoted(old((events) => events.slice(1)))).toEqual(['log setAside'])
    expect(logsNoted(old((events) => [...events, { index: 3 }]))).toEqual(['log setAside'])
    const bent = readArchive(old((events) => [...events, { ...events[0], id: uuid(9), index: 1e6 }]))
    expect(bent.notes.map(({ kind }) => kind)).toEqual(['log'])
    expect(linesBySheet(bent)).toEqual(linesBySheet(whole))
  }) // prettier-ignore
})
