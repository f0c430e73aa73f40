import { sheet, workroom } from '../fixtures/workroom'
import { logOf, T0, uuid, wholeJob } from '../fixtures/logs'
import { SheetEvent } from './event'
import { logsBySheet } from '../archive/logs'
import { Calibration, MadeNegative, Base, Light, LightEntry, Strip, TabletPrint } from './light'
import { Bottle, Paper, Photo, Sheet, Holdings } from './records'

describe('the records', () => {
  it('accept a whole workroom', () => {
    const { events, ...holdings } = workroom().records
    expect(Holdings.parse(holdings)).toEqual(holdings)
    expect(events.map((event) => SheetEvent.parse(event))).toEqual(events)
  })

  it.each<[string, object]>([
    ['no title', { title: '' }],
    ['a title of a thousand letters', { title: 'x'.repeat(1000) }],
    ['a number below one', { number: 0 }],
    ['a broken number', { number: 1.5 }],
    ['no width', { widthMillimetres: 0 }],
    ['a sheet as wide as a house', { widthMillimetres: 50_000 }],
    ['no parts', { parts: [] }],
    ['a part of nothing', { parts: [1, 0] }],
    ['endless exposure', { exposureSeconds: Infinity }],
    ['a moment in seconds', { createdAt: Math.round(T0 / 1000) }],
    ['an identity of its own making', { id: 'sheet-7' }],
    ['a bottle that is no identity', { bottles: { iron: 'A-7' } }],
    ['a field nobody knows', { colour: 'blue' }],
  ])('refuse a sheet with %s', (_, change) =>
    expect(Sheet.safeParse({ ...sheet, ...change }).success).toBe(false),
  )

  it.each([{}, { paperId: uuid(2) }, { lightId: uuid(4) }, { bottles: { iron: uuid(3) } }])(
    'allow a sheet with or without paper, light and bottles: %j',
    (materials) => expect(Sheet.safeParse({ ...sheet, ...materials }).success).toBe(true),
  )

  const records = workroom().records
  it.each([
    ['a bottle over 100 %', Bottle, { ...records.bottles[0], percentWv: 120 }],
    ['a paper without a name', Paper, { ...records.papers[0], name: '' }],
    ['a light of an unknown kind', Light, { ...records.lights[0], kind: 'candle' }],
    [
      'a sun at no place on earth',
      Light,
      { ...records.lights[0], place: { name: '', latitude: 95, longitude: 0, altitudeMetres: 0 } },
    ],
    [
      'a reading of no light',
      LightEntry,
      { ...records.lightEntries[0], what: { type: 'read', milliwattsPerCm2: 0, by: 'typed' } },
    ],
    ['a base exposure of no time', Base, { ...records.bases[0], seconds: 0 }],
    [
      'a strip of one mark',
      Strip,
      { firstSeconds: 60, lastSeconds: 600, count: 1, spacing: 'ratio', card: 'covers' },
    ],
    [
      'a tablet print of three steps',
      TabletPrint,
      { ...records.tabletPrints[0], tablet: [0, 1, 2], print: [1, 0.5, 0.1] },
    ],
    [
      'an aim that falls',
      Calibration,
      {
        ...records.calibrations[0],
        aim: {
          name: 'down',
          points: [
            { tone: 0, lightness: 50 },
            { tone: 1, lightness: 20 },
          ],
        },
      },
    ],
    [
      'a chart of three steps',
      Calibration,
      { ...records.calibrations[0], chart: { ...records.calibrations[0]?.chart, steps: 3 } },
    ],
    ['a negative of no size', MadeNegative, { ...records.negatives[0], widthMillimetres: 0 }],
    ['a photograph of no size', Photo, { ...records.photos[0], widthPixels: 0 }],
    ['a photograph of an unknown kind', Photo, { ...records.photos[0], mime: 'image/svg+xml' }],
  ])('refuse %s', (_, schema, value) => expect(schema.safeParse(value).success).toBe(false))
})

describe('the events', () => {
  const [begun, drop] = logOf(wholeJob)

  it('are each accepted as written', () => {
    for (const event of logOf(wholeJob)) expect(SheetEvent.parse(event)).toEqual(event)
  })

  it.each([
    ['an unknown type', { ...drop, type: 'exploded' }],
    ['a drop and a half', { ...drop, change: 1.5 }],
    ['a drop of nothing known', { ...drop, component: '../iron' }],
    ['an index below nothing', { ...drop, index: -1 }],
    ['a beginning without steps', { ...begun, steps: [] }],
    ['a judgement in other words', { ...drop, type: 'judged', moment: 'dry', verdict: 'superb', note: '' }],
  ])('refuse %s', (_, event) => expect(SheetEvent.safeParse(event).success).toBe(false))
})

describe('logsBySheet', () => {
  it('sorts events out by sheet and puts each log in order', () => {
    const [a, b] = [logOf(wholeJob, uuid(1)), logOf(wholeJob.slice(0, 3), uuid(2))]
    const mixed = [...a, ...b].sort((x, y) => y.index - x.index)
    const logs = logsBySheet(mixed)
    expect(logs.get(uuid(1))).toEqual(a)
    expect(logs.get(uuid(2))).toEqual(b)
    expect(logs.size).toBe(2)
  })
})
