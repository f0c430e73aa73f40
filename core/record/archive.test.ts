import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate'
import { jpeg, logOf, SHEET, T0, uuid, wholeJob, workroom } from '../fixtures/workroom'
import { LIMITS } from '../formats/zip'
import { mimeOf, writeArchive } from './archive'
import { readArchive } from './archiveReading'
import { applyMerge, conflictKey, planMerge } from './merge'
import { migrate, MIGRATIONS } from './migrations'
import { emptyRecords, RECORD_VERSION, type WorkroomRecords } from './records'
import { sha256 } from '@noble/hashes/sha2.js'
import { bytesToHex } from '@noble/hashes/utils.js'

const archive = () => writeArchive(workroom(), 'Test workroom', T0)
/** What was written, without what reading made of it. */
function readBack(bytes: Uint8Array) {
  const { records, pixels } = readArchive(bytes)
  return { records, pixels }
}
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
const editRecords = (edit: (records: WorkroomRecords) => void) => editJson('records.json', edit)

describe('the archive', () => {
  it('gives back exactly what was written', () => {
    expect(readBack(archive())).toEqual(workroom())
  })

  it('is an ordinary ZIP that any tool opens', () => {
    expect(Object.keys(unzipSync(archive())).sort()).toEqual([
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
    expect(lines).toHaveLength(Object.values(records).reduce((sum, list) => sum + list.length, 0))
    expect(JSON.parse(text)).toEqual(records)
  })

  it('does not write what it would not read', () => {
    const write = (limit: object) => () => writeArchive(workroom(), 'Test', T0, { ...LIMITS, ...limit })
    expect(write({ totalBytes: 1000 })).toThrow(refusing('too-large'))
    expect(write({ entries: 3 })).toThrow(refusing('too-large'))
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
    ['a flipped byte in a picture', () => spoiled((files) => { files[`photos/${uuid(50)}.jpg`]![5]! ^= 1 }, true), 'damaged'],
    ['records that are no JSON', () => spoiled((files) => { files['records.json'] = strToU8('{"sheets": [') }), 'damaged'],
    ['a path that climbs out', () => spoiled((files) => { files['../../evil.sh'] = strToU8('x') }), 'unsafe-path'],
    ['an absolute path', () => spoiled((files) => { files['/etc/evil'] = strToU8('x') }), 'unsafe-path'],
    ['a drive letter', () => spoiled((files) => { files['C:evil'] = strToU8('x') }), 'unsafe-path'],
    ['a file that is not on the list', () => spoiled((files) => { files['extra.txt'] = strToU8('x') }), 'stranger-file'],
    ['a missing picture', () => spoiled((files) => { delete files[`photos/${uuid(50)}.jpg`] }), 'missing-file'],
    ['missing records', () => spoiled((files) => { delete files['records.json'] }), 'missing-file'],
    ['a newer version', () => editJson('manifest.json', (manifest) => { manifest.recordVersion = RECORD_VERSION + 1 }), 'newer-version'],
    ['a version that never was', () => editJson('manifest.json', (manifest) => { manifest.recordVersion = 0 }), 'unknown-version'],
    ['a text where a number is due', () => editRecords((records) => { (records.sheets[0] as { number: unknown }).number = 'seven' }), 'wrong-record'],
    ['a field of its own', () => editRecords((records) => { Object.assign(records.sheets[0]!, { script: 'x' }) }), 'wrong-record'],
    ['a prototype in disguise', () => editRecords((records) => { records.sheets[0]!.choices = JSON.parse('{"__proto__": {"x": 1}, "Bad key!": "x"}') }), 'wrong-record'],
    ['a picture that is a script', () => spoiled((files) => { files[`photos/${uuid(50)}.jpg`] = strToU8('<svg onload=alert(1)>') }), 'wrong-record'],
    ['two sheets of one identity', () => editRecords((records) => { records.sheets.push(records.sheets[0]!) }), 'loose-end'],
    ['an event of no sheet', () => editRecords((records) => { records.events[3]!.sheetId = uuid(99) }), 'loose-end'],
    ['a log with a hole', () => editRecords((records) => { records.events.splice(4, 1) }), 'loose-end'],
    ['a log that could not have happened', () => editRecords((records) => { Object.assign(records.events[8]!, { step: 'wash' }) }), 'loose-end'],
    ['something taken from no bottle', () => editRecords((records) => { records.takings[0]!.bottleId = uuid(99) }), 'loose-end'],
    ['a base exposure under no light', () => editRecords((records) => { records.bases[0]!.lightId = uuid(99) }), 'loose-end'],
    ['a piece of no paper', () => editRecords((records) => { records.pieces[0]!.paperId = uuid(99) }), 'loose-end'],
    ['a treatment that could not have happened', () => editRecords((records) => { Object.assign(records.events.at(-1)!, { step: 'hang' }) }), 'loose-end'],
    ['a bottle of a strength beyond all solubility', () => editRecords((records) => { records.bottles[0]!.contents[0]!.percent = 4000 }), 'wrong-record'],
    ['a tearing into nothing', () => editRecords((records) => { records.pieces[0]!.widthMillimetres = 0 }), 'wrong-record'],
    ['a photograph of no sheet', () => editRecords((records) => { records.photos[0]!.sheetId = uuid(99) }), 'loose-end'],
  ])('refuses %s', (_, make, code) => {
    expect(() => readArchive(make())).toThrow(refusing(code))
  }) // prettier-ignore

  it('names the place of a wrong record', () => {
    const bad = editRecords((records) => { (records.lights[0] as { kind: string }).kind = 'candle' })
    expect(() => readArchive(bad)).toThrow(expect.objectContaining({ refusal: expect.objectContaining({ problem: expect.stringContaining('lights.0.kind') }) }))
  }) // prettier-ignore

  it('stops a bomb by what comes out, not by what it claims', () => {
    const bomb = spoiled((files) => { files['records.json'] = new Uint8Array(64 * 2 ** 20) }) // prettier-ignore
    expect(bomb.length).toBeLessThan(200_000)
    expect(() => readArchive(bomb)).toThrow(refusing('too-large'))
    expect(() => readArchive(archive(), { ...LIMITS, totalBytes: 100 })).toThrow(refusing('too-large'))
    expect(() => readArchive(archive(), { ...LIMITS, entryBytes: 100 })).toThrow(refusing('too-large'))
    expect(() => readArchive(archive(), { ...LIMITS, entries: 2 })).toThrow(refusing('too-large'))
  })

  it('survives any single flipped byte without a wrong reading', () => {
    const good = archive()
    const expected = workroom()
    for (let at = 0; at < good.length; at += 7) {
      const bad = good.slice()
      bad[at]! ^= 0x55
      try {
        expect(readBack(bad)).toEqual(expected) // a byte nobody reads, such as a date in the directory
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
  const none = emptyRecords()
  const theirs = workroom().records

  it('adds everything to an empty workroom', () => {
    const plan = planMerge(none, theirs)
    expect(applyMerge(plan, theirs, new Set()).records).toEqual(theirs)
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
      plans: 1,
      diagnoses: 1,
      ownProcesses: 0,
      lights: 1,
      photos: 1,
    })
    expect(applyMerge(plan, theirs, new Set()).records).toEqual(none)
  })

  it('carries a log on', () => {
    const here = { ...theirs, events: theirs.events.slice(0, 5) }
    const plan = planMerge(here, theirs)
    expect(plan.continued).toEqual([theirs.sheets[0]!.id])
    expect(plan.events).toEqual(theirs.events.slice(5))
  })

  it('leaves a longer log here alone', () => {
    expect(planMerge(theirs, { ...theirs, events: theirs.events.slice(0, 5) }).events).toEqual([])
  })

  it('keeps what is here in a conflict, unless told otherwise', () => {
    const here = structuredClone(theirs)
    here.papers[0]!.name = 'Another rag'
    const treatment = theirs.events.filter((event) => event.sheetId !== SHEET)
    const ofSheet = theirs.events.filter((event) => event.sheetId === SHEET)
    here.events = [
      ...logOf([...wholeJob.slice(0, 4), [60, { type: 'noted', text: 'went another way' }]]),
      ...treatment,
    ]
    const plan = planMerge(here, theirs)
    expect(plan.conflicts.map((conflict) => [conflictKey(conflict), conflict.differs])).toEqual([
      [`papers/${uuid(2)}`, ['name']],
      [`log/${uuid(1)}`, ['the logs part after 4 events']],
    ])
    expect(applyMerge(plan, theirs, new Set()).records).toEqual(none)
    const taken = applyMerge(plan, theirs, new Set(plan.conflicts.map(conflictKey)))
    expect(taken).toEqual({
      records: { ...none, papers: theirs.papers, events: ofSheet },
      replaceLogs: [uuid(1)],
    })
  })
})

describe('a merge of shelf and paper', () => {
  const theirs = workroom().records

  it('names what differs as a person would, and asks', () => {
    const here = structuredClone(theirs)
    here.bottles[0]!.amount = 50
    here.pieces[0]!.side = 'the other one'
    here.wastes[0]!.amount = 5
    here.droppers[0]!.name = 'Steel'
    const plan = planMerge(here, theirs)
    expect(plan.conflicts.map((one) => [one.kind, one.name, one.differs])).toEqual([
      ['pieces', 'Piece R-1', ['side']],
      ['bottles', 'Bottle A-7', ['amount']],
      ['wastes', 'Waste, Iron citrate A-7', ['amount']],
      ['droppers', 'Glass', ['name']],
    ])
    const { records } = applyMerge(plan, theirs, new Set([conflictKey(plan.conflicts[1]!)]))
    expect(records.bottles).toEqual(theirs.bottles)
    expect(records.pieces).toEqual([])
  })

  it('carries a treatment’s log on like a sheet’s', () => {
    const [begun, ...rest] = theirs.events.filter((event) => event.sheetId !== SHEET)
    const ofSheet = theirs.events.filter((event) => event.sheetId === SHEET)
    const plan = planMerge({ ...theirs, events: [...ofSheet, begun!] }, theirs)
    expect(plan.continued).toEqual([theirs.paperRuns[0]!.id])
    expect(plan.events).toEqual(rest)
    const other = structuredClone(begun!)
    other.at += 1000
    const conflict = planMerge({ ...theirs, events: [...ofSheet, other] }, theirs).conflicts[0]
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
    const { records } = readArchive(stored)
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
    const { records } = readArchive(stored)
    expect(
      [records.sheets, records.events, records.calibrations, records.lightEntries].map((list) => list.length),
    ).toEqual([20, 1002, 2, 15])
    expect([records.baths, records.registerChecks, records.plans]).toEqual([[], [], []])
  })

  it('version 4 is read as it was meant, and grows diagnoses', () => {
    const stored = new Uint8Array(readFileSync(join(__dirname, '..', 'fixtures', 'archive-v4.zip')))
    const { records } = readArchive(stored)
    expect(
      [records.sheets, records.events, records.baths, records.plans, records.registerChecks].map(
        (list) => list.length,
      ),
    ).toEqual([25, 1356, 4, 1, 1])
    expect(records.diagnoses).toEqual([])
  })
})
