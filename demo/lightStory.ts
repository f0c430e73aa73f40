import type { Happening, SheetEvent } from '@core/schema/event'
import type { Base, Light, LightEntry, TabletPrint } from '@core/schema/light'
import type { Sheet } from '@core/schema/records'
import { stripTimes } from '@core/light/strip'
import { densityOf, VIRTUAL_COATS } from '@core/tone/printResponse'
import { normal, seededUuid } from '@core/quantity/random'
import { baseExposure } from '@core/light/baseExposure'
import { evenTablet } from '@core/tone/tablet'
import { carryOn, choicesWith, workLog } from './sheetStory'
import type { DemoShelf } from './shelf'

const HOUR = 3_600_000
const DAY = 24 * HOUR

/** The attic box when its tubes were new, and how fast they fade. */
const NEW_MILLIWATTS = 4.9
const FADES_AN_HOUR = 0.0011
/** Days ago and hours by then: the box is read about once a month. */
const READ = [
  [210, 12],
  [174, 41],
  [139, 63],
  [101, 88],
  [64, 117],
  [33, 139],
] as const

const STRIP = { firstSeconds: 60, lastSeconds: 1320, count: 12, spacing: 'ratio', card: 'covers' } as const

/** Lights with what is told of them: the box is fading, the sill knows its place, a strip and three tablets were read. */
export function lightStory(
  shelf: DemoShelf,
  random: () => number,
  now: number,
): {
  lights: Light[]
  lightEntries: LightEntry[]
  bases: Base[]
  tabletPrints: TabletPrint[]
  sheets: Sheet[]
  events: SheetEvent[]
} {
  const { box, sill } = shelf.lights
  const id = () => seededUuid(random)
  const ago = (days: number) => Math.round(now - days * DAY)
  const lights: Light[] = [
    {
      ...box,
      warmUp: { startsAt: 0.6, settlesSeconds: 75 },
      distanceMillimetres: 150,
      falloff: { kind: 'line', lengthMillimetres: 590 },
    },
    {
      ...sill,
      place: { name: 'Harbour house', latitude: 55.9, longitude: -2.4, altitudeMetres: 20 },
      facing: 'sun',
      sky: { share: 0.85, factor: 1.25, by: 'veil', at: Math.round(now - HOUR) },
    },
  ]
  const fades = (hours: number) => NEW_MILLIWATTS * Math.exp(-FADES_AN_HOUR * hours)
  const told = (days: number, lightId: string, what: LightEntry['what']): LightEntry => ({
    id: id(),
    lightId,
    at: ago(days),
    what,
    note: '',
  })
  const lightEntries = [
    told(211, box.id, { type: 'hours', hours: 12 }),
    ...READ.flatMap(([days, hours]) => [
      told(days + 0.01, box.id, { type: 'hours', hours }),
      told(days, box.id, {
        type: 'read',
        milliwattsPerCm2: Math.round(1000 * fades(hours) * (1 + 0.008 * normal(random))) / 1000,
        by: 'typed',
      }),
    ]),
    told(18, sill.id, { type: 'read', milliwattsPerCm2: 1.31, by: 'typed', reckonedMilliwattsPerCm2: 1.22 }),
    told(6, sill.id, { type: 'read', milliwattsPerCm2: 0.92, by: 'typed', reckonedMilliwattsPerCm2: 0.98 }),
  ]

  const strip: Sheet = {
    id: id(),
    number: 16,
    title: 'Test strip, Heron rag',
    portfolio: '',
    process: { id: 'classic-cyanotype', version: 1 },
    choices: choicesWith({ subject: 'negative' }),
    widthMillimetres: 60,
    heightMillimetres: 240,
    coats: 1,
    tool: 'brush',
    parts: { sensitizer: [1, 1] },
    coverageMillilitresPerM2: 38.8,
    dropsPerMillilitre: 20,
    subject: 'clear film',
    exposureSeconds: STRIP.lastSeconds,
    strip: STRIP,
    paperId: shelf.papers.rag.id,
    lightId: box.id,
    bottles: { iron: shelf.bottles['A-6']?.id ?? '', ferricyanide: shelf.bottles['B-4']?.id ?? '' },
    createdAt: ago(31.2),
    changedAt: ago(31.2),
  }
  const milliwattsPerCm2 = Math.round(1000 * fades(139)) / 1000
  const events = workLog(
    strip,
    {
      stage: 'hung',
      at: ago(31),
      exposureSeconds: STRIP.lastSeconds,
      washSeconds: 640,
      waters: 3,
      gramsPerM2: 300,
      milliwattsPerCm2,
    },
    random,
  )
  // The coat of this strip is a virtual one, a little faster than the stand-ins'.
  const density = densityOf({ ...VIRTUAL_COATS.cyanotype, speedMillijoulesPerCm2: 470 })
  const readings = stripTimes(STRIP).map((seconds) => ({
    seconds,
    densities: Array.from(
      { length: 3 },
      () => Math.round(1000 * (density(seconds * milliwattsPerCm2) + 0.006 * normal(random))) / 1000,
    ),
  }))
  const read: Happening = { type: 'stripRead', by: 'typed', densities: readings.map((one) => one.densities) }
  carryOn(events, strip.id, ago(29.9), read, random)
  carryOn(
    events,
    strip.id,
    ago(29.8),
    { type: 'judged', moment: 'dry', verdict: 'keep', note: 'Read three times each, dry.' },
    random,
  )
  carryOn(events, strip.id, ago(15), { type: 'judged', moment: 'settled', verdict: 'keep', note: '' }, random)
  const found = baseExposure(readings)
  const bases: Base[] = found.seconds
    ? [
        {
          id: id(),
          at: ago(29.9),
          processId: strip.process.id,
          choices: strip.choices,
          paperId: shelf.papers.rag.id,
          lightId: box.id,
          film: 'clear film',
          seconds: Math.round(found.seconds.value),
          lowSeconds: Math.round(found.low ?? 0),
          highSeconds: Math.round(found.high ?? 0),
          difference: 0.04,
          milliwattsPerCm2,
          by: 'strip',
          sheetId: strip.id,
          note: '',
        },
      ]
    : []

  const tablet = evenTablet(31, 0.1)
  /** A platinum-palladium paper: `steep` grows with the chlorate. */
  const tabletPrint = (name: string, steep: number, days: number): TabletPrint => {
    const print = tablet.map((step) => {
      const x = (1.15 - step) * steep
      const value = 0.06 + 1.38 / (1 + Math.exp(-2.3 * x))
      return Math.round(100 * (value + 0.008 * normal(random))) / 100
    })
    return {
      id: id(),
      at: ago(days),
      name,
      tablet,
      print,
      by: 'typed',
      processId: 'platinum-palladium',
      lightId: box.id,
      note: '',
    }
  }
  const plain = tabletPrint('no chlorate', 1.35, 26)
  const speck = plain.print[17]
  if (speck != null) plain.print[17] = Math.round(100 * (speck + 0.16)) / 100
  return {
    lights,
    lightEntries,
    bases,
    tabletPrints: [
      plain,
      tabletPrint('2 drops of chlorate', 1.7, 25.9),
      tabletPrint('4 drops of chlorate', 2.15, 25.8),
    ],
    sheets: [strip],
    events,
  }
}
