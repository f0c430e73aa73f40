import { workroom } from '../fixtures/workroom'
import { T0, uuid } from '../fixtures/logs'
import { KINDS } from './merge'
import { RECORD_SCHEMAS, type Kind } from '../schema/records'
import { Salvage } from './salvage'

const [sheet] = workroom().records.sheets
/** What becomes of a record, and what is noted. */
function salvaged(kind: Kind, value: unknown) {
  const salvage = new Salvage(T0)
  const record = salvage.record(kind, value)
  if (record !== null) expect(RECORD_SCHEMAS[kind].safeParse(record).success).toBe(true)
  return { record, note: salvage.notes[0], kept: salvage.setAside }
}

describe('a record that may be damaged', () => {
  it('passes as it is where it is sound, of every kind, and nothing is noted', () => {
    const { records } = workroom()
    for (const kind of KINDS)
      for (const row of records[kind]) {
        const { record, note } = salvaged(kind, row)
        expect(record).toEqual(row)
        expect(note).toBeUndefined()
      }
  })

  it.each<[string, object, object, string]>([
    ['a field that is not known', { script: 'x' }, {}, 'script is not known.'],
    ['a field that may be absent', { lightId: 'the porch' }, {}, 'light id has the wrong type.'],
    ['one entry of several', { choices: { ...sheet!.choices, 'Bad key!': 'x' } }, {}, 'bad key! has the wrong type.'],
    ['a text that is too long', { subject: 'x'.repeat(300) }, { subject: 'x'.repeat(200) }, 'subject is longer than 200 characters.'],
    ['no title', { title: '' }, { title: '(no title)' }, 'title is empty.'],
    ['a number that is none', { exposureSeconds: Number.NaN }, { exposureSeconds: 1 }, 'exposure seconds has the wrong type.'],
    ['a process called like what every object has', { process: { id: 'constructor', version: 1 } }, { process: { id: 'unknown', version: 1 } }, 'id has the wrong type.'],
    ['a bottle for a part called like that', { bottles: { toString: uuid(3) } }, { bottles: {} }, 'to string has the wrong type.'],
    ['two faults', { title: '', tool: 'roller' }, { title: '(no title)', tool: 'brush' }, 'title is empty; tool must be one of brush, rod, sponge, cotton.'],
  ])('is repaired with %s, and kept as it was', (_, change, repaired, problem) => {
    const bad = { ...sheet, ...change }
    const { record, note, kept } = salvaged('sheets', bad)
    expect(record).toEqual({ ...sheet, ...repaired })
    expect(note).toMatchObject({ kind: 'sheets', id: sheet!.id, outcome: 'repaired', problem })
    expect(kept[0]?.original).toBe(JSON.stringify(bad))
    expect(RECORD_SCHEMAS.setAside.safeParse(kept[0]).success).toBe(true)
  }) // prettier-ignore

  it('never loses an entry of a list, which would then say something else', () => {
    const [bottle] = workroom().records.bottles
    const contents = [...bottle!.contents, { substanceId: 'silver-nitrate', percent: -3 }]
    const { record, note } = salvaged('bottles', { ...bottle, contents })
    // Better nothing is known of what it holds than half.
    expect(record).toEqual({ ...bottle, contents: [] })
    expect(note?.problem).toBe('percent is not more than 0.')
  })

  it.each<[string, Kind, unknown]>([
    ['a reading no lamp gives', 'lightEntries', { ...workroom().records.lightEntries[0], what: { type: 'read', milliwattsPerCm2: 4820, by: 'typed' } }],
    ['an identity that is none', 'sheets', { ...sheet, id: 'seven' }],
    ['nothing at all', 'sheets', null],
    ['a text', 'papers', 'Rag'],
    ['a list', 'bottles', []],
  ])('is set aside with %s', (_, kind, value) => {
    const { record, note, kept } = salvaged(kind, value)
    expect(record).toBeNull()
    expect(note?.outcome).toBe('setAside')
    expect(kept[0]?.original).toBe(JSON.stringify(value))
  }) // prettier-ignore

  it('is one entry, however often the same damage is found', () => {
    const bad = { ...sheet, title: '' }
    const [one, two] = [new Salvage(T0), new Salvage(T0 + 5000)]
    one.record('sheets', bad)
    two.record('sheets', bad)
    expect(one.setAside[0]?.id).toBe(two.setAside[0]?.id)
    two.record('sheets', { ...bad, id: uuid(8) })
    expect(new Set(two.setAside.map(({ id }) => id)).size).toBe(2)
  })
})
