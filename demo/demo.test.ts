import { ledgeOf } from '@core/run/deadlines'
import { expectedLight, sunSceneOf } from '@core/light/lightNow'
import { healthOf, historyOf } from '@core/light/lightLedger'
import { replay } from '@core/run/run'
import { trueBaseDose, VIRTUAL_COATS } from '@core/tone/printResponse'
import { characteristicOf } from '@core/tone/characteristic'
import { curveOf, stageOf } from '@core/calibration/calibration'
import { passesOf } from '@core/process/baths'
import { stacksOf } from '@core/run/layers'
import { registerOf } from '@core/scan/registerError'
import { placeOf } from '@core/run/place'
import { looksDue } from '@core/schedule/nextThing'
import { logsBySheet } from '@core/archive/logs'
import { SheetEvent } from '@core/schema/event'
import { Holdings } from '@core/schema/records'
import { drawPrint } from './pictures/cyanotype'
import { RATIO } from './pictures/drawing'
import * as scenes from './pictures/scenes'
import { seededRandom, seededUuid } from '@core/quantity/random'
import { demoPictures, demoScenario } from './scenario'

const NOW = Date.UTC(2026, 5, 12, 14, 3, 7, 250)
const { records, pictures } = demoScenario(1851, NOW)
const logs = logsBySheet(records.events)
const states = records.sheets.map((sheet) => replay(sheet.id, logs.get(sheet.id) ?? []))

describe('the demo scenario', () => {
  it('is a sound workroom', () => {
    const { events, ...holdings } = records
    expect(Holdings.parse(holdings)).toEqual(holdings)
    expect(events.map((event) => SheetEvent.parse(event))).toEqual(events)
  })

  it('is the same for the same seed and moment, and other for others', () => {
    expect(demoScenario(1851, NOW).records).toEqual(records)
    expect(demoScenario(1852, NOW).records.sheets[0]?.id).not.toBe(records.sheets[0]?.id)
  })

  it('moves with the present moment', () => {
    const later = demoScenario(1851, NOW + 3_600_000).records
    expect(later.events.map((event) => event.at - 3_600_000)).toEqual(records.events.map((event) => event.at))
  })

  it('holds a sheet in every state', () => {
    const places = states.map(placeOf)
    for (const place of ['planned', 'coat', 'light', 'wet', 'line', 'finished', 'setAside'])
      expect(places).toContain(place)
    expect(records.sheets.length).toBeGreaterThanOrEqual(12)
  })

  it('has clocks running, none of them over yet, and looks due', () => {
    const clocks = ledgeOf(states, NOW)
    expect(clocks.length).toBeGreaterThanOrEqual(3)
    for (const clock of clocks) expect(clock.remainingSeconds).toBeGreaterThan(60)
    expect(
      looksDue(states, NOW)
        .map((look) => look.id)
        .sort(),
    ).toEqual(['dry', 'dry', 'settled'])
  })

  it('has lights of which something is told', () => {
    const [box, sill] = records.lights
    const history = (light: typeof box) => historyOf(light!, records.lightEntries, records.bases, [], NOW)
    const health = healthOf(history(box), NOW)
    expect(health.left!.value).toBeGreaterThan(80)
    expect(health.left!.value).toBeLessThan(92)
    expect(expectedLight(history(box), NOW)!.value).toBeCloseTo(4.2, 1)
    expect(sunSceneOf(history(sill), NOW)!.correction.value).not.toBe(1)
    for (const entry of records.lightEntries) expect(entry.at).toBeLessThanOrEqual(NOW)
  })

  it('has a strip that tells the base exposure of its coat', () => {
    const strip = records.sheets.find((sheet) => sheet.strip)!
    const base = records.bases.find((one) => one.sheetId === strip.id)!
    const truth =
      trueBaseDose({ ...VIRTUAL_COATS.cyanotype, speedMillijoulesPerCm2: 470 }, 0.04) / base.milliwattsPerCm2!
    expect(Math.abs(base.seconds / truth - 1)).toBeLessThan(0.1)
    const read = replay(strip.id, logs.get(strip.id)!).stripRead!
    expect(read.densities).toHaveLength(strip.strip!.count)
  })

  it('has a calibration that was corrected and is good, one whose film waits, and a film for a sheet', () => {
    const [whole, begun] = records.calibrations
    expect([stageOf(whole!), stageOf(begun!)]).toEqual(['done', 'print'])
    const [first, second] = whole!.checks
    expect(second!.mean).toBeLessThan(first!.mean)
    expect(second!.worst).toBeLessThan(2)
    expect(curveOf(whole!).inks.at(-1)).toBeGreaterThan(0.9)
    const [film] = records.negatives
    expect(records.sheets.some((sheet) => sheet.id === film!.sheetId)).toBe(true)
  })

  it('has tablets of which the chlorate makes the harder ones, and one with a speck on it', () => {
    const curves = records.tabletPrints.map((one) => characteristicOf(one.tablet, one.print))
    const ranges = curves.map((curve) => curve.negativeRange!.value)
    expect(ranges).toEqual([...ranges].sort((a, b) => b - a))
    expect(curves[0]!.outliers[17]).toBe(true)
  })

  it('has baths that served before, a print in two layers in register as it was read, and a plan of the day', () => {
    const works = records.sheets.map((sheet) => ({
      sheet,
      state: replay(sheet.id, logs.get(sheet.id) ?? []),
    }))
    const citrate = records.baths.find((bath) => bath.bath === 'citrate')!
    expect(passesOf(citrate.id, works)).toHaveLength(3)

    const gum = records.sheets.find((sheet) => sheet.over !== undefined)!
    expect(stacksOf(works)(gum.id)).toEqual([gum.over, gum.id])
    const register = registerOf(records.registerChecks[0]!.marks)
    expect(register.shift[0]).toBeCloseTo(0.34, 1)
    expect(register.stretchAcross).toBeCloseTo(0.003, 4)

    const [plan] = records.plans
    expect(plan!.endsAt).toBeGreaterThanOrEqual(plan!.boundAt)
    for (const id of plan!.sheetIds) {
      const moves = plan!.moves.filter((move) => move.sheetId === id)
      expect(moves.at(-1)!.stepId).toBe('hang')
      for (const [i, move] of moves.slice(1).entries()) expect(move.from).toBeGreaterThanOrEqual(moves[i]!.to)
    }
    const hands = [...plan!.hands].sort((a, b) => a.from - b.from)
    for (const [i, span] of hands.slice(1).entries()) expect(span.from).toBeGreaterThanOrEqual(hands[i]!.to)
  })

  it('knows nothing of the future', () => {
    for (const event of records.events) expect(event.at).toBeLessThanOrEqual(NOW)
    for (const photo of records.photos) expect(photo.takenAt).toBeLessThanOrEqual(NOW)
  })

  it('points at papers, lights and bottles that are there', () => {
    const ids = new Set([...records.papers, ...records.lights, ...records.bottles].map(({ id }) => id))
    for (const sheet of records.sheets)
      for (const id of [sheet.paperId, sheet.lightId, ...Object.values(sheet.bottles)])
        expect(ids).toContain(id)
  })

  it('works at a human pace: no step in less than a second a drop, no wash of nothing', () => {
    for (const state of states)
      for (const step of state.steps) {
        if (step.finishedAt === undefined || step.startedAt === undefined) continue
        expect(step.finishedAt - step.startedAt).toBeGreaterThan(20_000)
      }
  })

  it('has a picture for every photograph', () => {
    expect([...pictures.keys()]).toEqual(records.photos.map((photo) => photo.id))
    for (const number of pictures.values()) expect(demoPictures.has(number)).toBe(true)
  })
})

describe('the drawn pictures', () => {
  it.each(Object.entries(scenes))('%s has tones between black and white, and both ends', (_, scene) => {
    let [low, high] = [1, 0]
    for (let y = 0; y < RATIO; y += 0.02)
      for (let x = 0; x < 1; x += 0.02) {
        const tone = scene(x, y)
        low = Math.min(low, tone)
        high = Math.max(high, tone)
      }
    expect(Number.isFinite(high - low)).toBe(true)
    expect(low).toBeLessThan(0.25)
    expect(high).toBeGreaterThan(0.65)
  })

  it('are blue on cream: the paper light and warm, the brushed edge deep and blue', () => {
    const { rgb, width, height } = drawPrint({ scene: scenes.tideGauge, depth: 1, seed: 3 }, 120)
    const at = (x: number, y: number) =>
      [...rgb.slice((y * width + x) * 3, (y * width + x) * 3 + 3)] as [number, number, number]
    expect(height).toBe(150)
    const [paperRed, , paperBlue] = at(2, 2)
    expect(paperRed).toBeGreaterThan(225)
    expect(paperRed).toBeGreaterThan(paperBlue)
    const [edgeRed, , edgeBlue] = at(60, 9)
    expect(edgeBlue).toBeGreaterThan(edgeRed + 30)
  })

  it('show the faults they are told to: fog lifts the whites’ density, stain yellows them', () => {
    const mean = (look: object) => {
      const { rgb } = drawPrint({ scene: scenes.hornHouse, depth: 0.9, seed: 4, ...look }, 80)
      const sum = [0, 0, 0]
      rgb.forEach((byte, i) => (sum[i % 3]! += byte))
      return sum.map((total) => total / (rgb.length / 3)) as [number, number, number]
    }
    const [good, fogged, stained] = [mean({}), mean({ fog: 1 }), mean({ stain: 1 })]
    expect(fogged[0]).toBeLessThan(good[0])
    expect(stained[2] - stained[0]).toBeLessThan(good[2] - good[0])
  })
})

describe('the seeded source', () => {
  it('repeats itself, stays in [0, 1) and fills it evenly', () => {
    const [a, b] = [seededRandom(7), seededRandom(7)]
    const row = Array.from({ length: 4000 }, () => a())
    expect(row).toEqual(Array.from({ length: 4000 }, () => b()))
    expect(Math.min(...row)).toBeGreaterThanOrEqual(0)
    expect(Math.max(...row)).toBeLessThan(1)
    expect(row.reduce((sum, value) => sum + value, 0) / row.length).toBeCloseTo(0.5, 1)
  })

  it('makes identities of version 4', () => {
    const random = seededRandom(9)
    for (let i = 0; i < 50; i++)
      expect(seededUuid(random)).toMatch(
        /^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/,
      )
  })
})
