import {
  dryChange,
  saidOf,
  linearityMark,
  LADDER_DENSITY,
  offLinear,
  readingMark,
  readLadder,
  readWedge,
} from '@core/simulate/practiceReading'
import { practiceLadder, practiceNegative, throughCurve } from '@core/simulate/practiceNegative'
import { looksOfWork } from '@core/simulate/practiceWater'
import { negativeOnSheet } from '@core/simulate/printLooks'
import { colourAt, printPicture } from '@core/simulate/printPicture'
import { bestDose, virtualSheet, workWell } from '@core/simulate/virtualPrint'
import {
  standingsOf,
  UNTOUCHED,
  USUAL_CONDITIONS,
  USUAL_FILM,
  type SheetWork,
} from '@core/simulate/virtualProcess'
import { inkOf, solveCurve } from '@core/tone/curve'
import { practiceProcesses } from './practice'

const of = (id: string) => practiceProcesses.find(({ processId }) => processId === id)!
const [cyanotype, platinum, salted, gum] = ['classic-cyanotype', 'platinum-palladium', 'salted-paper', 'gum-over'].map(of) as [ReturnType<typeof of>, ReturnType<typeof of>, ReturnType<typeof of>, ReturnType<typeof of>] // prettier-ignore

describe('a virtual print as a picture', () => {
  const ink = { width: 4, height: 1, data: Float32Array.of(0, 0.3, 0.7, 1) }
  const negative = negativeOnSheet(ink, { ...USUAL_FILM, range: 1.8 }, [])
  const sheet = virtualSheet(cyanotype, USUAL_CONDITIONS)

  it('grows darker with the light while it prints, and lighter towards the thick of the film', () => {
    const lightOf = (done: SheetWork) => {
      const { rgba } = printPicture(negative, cyanotype, USUAL_CONDITIONS, done)
      return [0, 1, 2, 3].map((i) => rgba[4 * i]! + rgba[4 * i + 1]! + rgba[4 * i + 2]!)
    }
    const [little, much] = [lightOf({ ...UNTOUCHED, dose: 100 }), lightOf({ ...UNTOUCHED, dose: 1500 })]
    for (const row of [little, much])
      row.forEach((one, i) => i && expect(one).toBeGreaterThanOrEqual(row[i - 1]!))
    expect(much[0]!).toBeLessThan(little[0]!)
  })

  it('of a cyanotype is yellow-green before it is washed, and blue after', () => {
    const [r, g, b] = colourAt(cyanotype, sheet, UNTOUCHED, 3)
    expect(b).toBeLessThan(Math.min(r, g))
    const [red, , blue] = colourAt(cyanotype, sheet, workWell(cyanotype, 2000), 0)
    expect(blue).toBeGreaterThan(red + 30)
  })

  it('of silver is brown, turns plum in gold, and yellows over the years where the fixer was not washed out', () => {
    const made = virtualSheet(salted, USUAL_CONDITIONS)
    const well = workWell(salted, bestDose(salted, USUAL_CONDITIONS))
    const redOverBlue = (work: SheetWork) => {
      const [r, , b] = colourAt(salted, made, work, 0.8)
      return r - b
    }
    const plain = redOverBlue(well)
    const toned = [30, 120, 600].map((seconds) => redOverBlue({ ...well, toned: seconds }))
    expect(plain).toBeGreaterThan(15)
    expect([...toned].sort((a, b) => b - a)).toEqual(toned)
    expect(toned.at(-1)).toBeLessThan(plain - 12)
    // Faded, it is lighter, and yellower for its depth.
    const [then, now] = [{ ...well, washed: 0, hoursDry: 3 * 8766 }, well].map((work) => {
      const [r, g, b] = colourAt(salted, made, work, 0.8)
      return { light: r + g + b, yellow: (r - b) / (255 - g) }
    })
    expect(then!.light).toBeGreaterThan(now!.light + 60)
    expect(then!.yellow).toBeGreaterThan(now!.yellow + 0.05)
  })

  it('of gum has the print under it: a layer without light leaves the print as it was once it has floated off', () => {
    const layer = virtualSheet(gum, { ...USUAL_CONDITIONS, coatAgeHours: 0 })
    const base = virtualSheet(platinum, USUAL_CONDITIONS)
    const baseWork = workWell(platinum, bestDose(platinum, USUAL_CONDITIONS))
    const floated: SheetWork = { ...UNTOUCHED, cleared: 1e5, hoursDry: 48 }
    for (const film of [0, 0.5, 1, 2])
      expect(layer.densityAt(film, floated)).toBeCloseTo(base.densityAt(film, baseWork), 3)
    const lit = { ...workWell(gum, bestDose(gum, USUAL_CONDITIONS)) }
    expect(layer.densityAt(0.5, lit)).toBeGreaterThan(layer.densityAt(0.5, floated) + 0.1)
    const [r, g] = colourAt(gum, layer, lit, 0.7)
    const [red, green] = colourAt(platinum, base, baseWork, 0.7)
    expect(r - g).toBeGreaterThan(red - green + 10)
  })
})

describe('a print from wet to dry', () => {
  const change = (id: string, made = USUAL_CONDITIONS) => {
    const process = of(id)
    return dryChange(process, made, {
      ...workWell(process, bestDose(process, USUAL_CONDITIONS)),
      hoursDry: 24,
    })
  }
  it('dries darker, Van Dyke most of all, and sinks on paper without size', () => {
    // Common practice: Van Dyke brown dries about a quarter darker in density, the others by less.
    for (const { processId } of practiceProcesses) expect(change(processId)).toBeGreaterThan(0.1)
    expect(change('van-dyke')).toBeGreaterThan(change('kallitype') + 2)
    expect(change('kallitype', { ...USUAL_CONDITIONS, sizing: 0 })).toBeLessThan(0)
  })

  it('is too light, right or too dark by its dose', () =>
    expect([-Infinity, -0.6, -0.2, 0, 0.3, 0.5].map(saidOf)).toEqual(['light', 'light', 'right', 'right', 'right', 'dark'])) // prettier-ignore
})

describe('a toner that loose silver was carried into', () => {
  it('works in patches, and evenly where the first water was clear', () => {
    const well = { ...workWell(salted, bestDose(salted, USUAL_CONDITIONS)), toned: 200 }
    expect(looksOfWork(salted, well)).toEqual([])
    expect(looksOfWork(salted, { ...well, cleared: 20, toned: null })).toEqual([])
    expect(looksOfWork(salted, { ...well, cleared: 20 })).toEqual(['patches'])
    const grey = { width: 200, height: 160, data: new Float32Array(32_000).fill(0.4) }
    const colours = (looks: ReturnType<typeof looksOfWork>) => {
      const { rgba } = printPicture(negativeOnSheet(grey, USUAL_FILM, looks), salted, USUAL_CONDITIONS, well)
      return new Set(new Uint32Array(rgba.buffer)).size
    }
    expect([colours([]), colours(['patches'])]).toEqual([1, 3])
  })
})

describe('figures of a model', () => {
  it('are counted by their standing, and every one of them has one', () => {
    for (const process of practiceProcesses) {
      const { published, practice, invented, measured } = standingsOf(process)
      expect(published + measured).toBe(0)
      expect(practice).toBeGreaterThan(4)
      expect(invented).toBeGreaterThan(4)
      expect(standingsOf({ ...process, speed: { value: 1, standing: 'measured' } }).measured).toBe(1)
    }
  })
})

describe('a ladder of half stops on a print', () => {
  // Doses that a printer would find by halving the light: a stop is log10 2 = 0.301 of density.
  const at = (stops: number) => workWell(platinum, bestDose(platinum, USUAL_CONDITIONS) * 2 ** stops)
  const read = (stops: number, steps: number) => readLadder(platinum, USUAL_CONDITIONS, at(stops), steps)

  it('is black in one step more for every half stop', () => {
    expect(LADDER_DENSITY).toBeCloseTo(0.1505, 4)
    expect([0.01, 0.51, 1.01, 1.51].map((stops) => read(stops, 8).lastBlack)).toEqual([1, 2, 3, 4])
    expect(read(-1, 8).lastBlack).toBe(0)
    expect(read(8, 8).lastBlack).toBe(8)
  })

  it('shows more tones behind a longer tablet, and the first of them white at last', () => {
    const { lastBlack, lastTone } = read(0.51, 21)
    expect(lastBlack).toBe(2)
    expect(lastTone).toBeGreaterThan(8)
    expect(lastTone).toBeLessThan(21)
    const picture = practiceLadder(21)
    expect(new Set(picture.data.subarray(400_000, 401_000)).size).toBe(21)
  })

  it('is marked by how far the reading is off, and not at all where it shows no base exposure', () => {
    expect(readingMark([3], [3], 8)).toBe(100)
    expect(readingMark([4], [3], 8)).toBe(67)
    expect(readingMark([3, 10], [3, 12], 21)).toBe(67)
    expect(readingMark([8], [3], 8)).toBe(0)
    expect(readingMark([0], [0], 8)).toBe(0)
    expect(readingMark([8], [8], 8)).toBe(0)
  })
})

describe('a curve from the wedge of a practice print', () => {
  it('makes the next print even, as long as it is exposed and worked the same', () => {
    const work = workWell(platinum, bestDose(platinum, USUAL_CONDITIONS))
    const film = { ...USUAL_FILM, power: 1.2 }
    const plain = readWedge(platinum, USUAL_CONDITIONS, work, film, (tone) => tone)
    const ink = inkOf(solveCurve(plain))
    const off = (done: SheetWork) => offLinear(readWedge(platinum, USUAL_CONDITIONS, done, film, ink))
    expect(offLinear(plain)).toBeGreaterThan(8)
    expect(off(work)).toBeLessThan(1)
    expect(off({ ...work, dose: 2 * work.dose })).toBeGreaterThan(4)
    expect([0, 2, 8, 14, 40].map(linearityMark)).toEqual([100, 100, 50, 0, 0])
  })

  it('changes the ink of a negative tone by tone', () => {
    const [plain, curved] = [practiceNegative(), throughCurve(practiceNegative(), (tone) => tone ** 2)]
    for (let i = 0; i < plain.data.length; i += 997)
      expect(curved.data[i]).toBeCloseTo(plain.data[i]! ** 2, 2)
  })
})
