import fc from 'fast-check'
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate'
import { samples } from '../fixtures/samples'
import { jpeg, workroom } from '../fixtures/workroom'
import { SHEET, T0, uuid } from '../fixtures/logs'
import { LIMITS } from '../formats/zip'
import { mimeOf, partsOf, writeArchive } from './archive'
import { readArchive } from './archiveReading'
import { eventsIn } from './logs'
import { emptyRecords, RECORD_VERSION } from '../schema/records'
import {
  archive,
  readBack,
  refusing,
  spoiled,
  editJson,
  editEvents,
  editLogs,
  editRecords,
} from './archives.fixture'

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
