import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { bytesToHex } from '@noble/hashes/utils.js'
import { sha256 } from '@noble/hashes/sha2.js'
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate'
import { workroom } from '../fixtures/workroom'
import { SHEET, T0, uuid } from '../fixtures/logs'
import { readArchive } from './archiveReading'
import { migrate, MIGRATIONS } from './migrations'
import { type SheetEvent } from '../schema/event'
import { emptyRecords, RECORD_VERSION, type WorkroomRecords } from '../schema/records'
import { readBack, linesBySheet, refusing } from './archives.fixture'

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

  it('version 12 is read as it was meant, and nothing of it is set aside', () => {
    const stored = new Uint8Array(readFileSync(join(__dirname, '..', 'fixtures', 'archive-v12.zip')))
    const { records } = readBack(stored)
    expect([records.sheets.length, records.events.length]).toEqual([25, 1374])
    expect(records.plans.map(({ room }) => room.hands)).toEqual([1])
    expect(readArchive(stored).notes).toEqual([])
  })

  it('version 13 is read as it was meant, and nothing of it is set aside', () => {
    const stored = new Uint8Array(readFileSync(join(__dirname, '..', 'fixtures', 'archive-v13.zip')))
    const { records } = readBack(stored)
    expect([records.sheets.length, records.events.length]).toEqual([25, 1374])
    expect(records.papers.every((paper) => !('soaked' in paper))).toBe(true)
    expect(readArchive(stored).notes).toEqual([])
  })

  it('version 14 is read as it was meant, and nothing of it is set aside', () => {
    const stored = new Uint8Array(readFileSync(join(__dirname, '..', 'fixtures', 'archive-v14.zip')))
    const { records } = readBack(stored)
    expect([records.sheets.length, records.events.length]).toEqual([25, 1374])
    expect(records.calibrations.map(({ by, scanError }) => [by, scanError])).toEqual([
      ['scan', undefined],
      [undefined, undefined],
    ])
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
