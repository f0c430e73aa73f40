import fc from 'fast-check'
import { bestDose, answerTo, depthOf, virtualSheet } from '@core/simulate/virtualPrint'
import { colourAt, printPicture } from '@core/simulate/printPicture'
import { negativeOfPicture } from '@core/simulate/practiceNegative'
import { practiceScore } from '@core/simulate/practiceScore'
import {
  UNTOUCHED,
  USUAL_CONDITIONS,
  type SheetConditions,
  type SheetWork,
  type VirtualProcess,
} from '@core/simulate/virtualProcess'
import { coatReaches } from './spectrum'
import { practiceProcesses } from './practice'
import { processes } from '.'

const FINISHED: SheetWork = { dose: 2000, developed: 180, cleared: 900, fixed: 60, hoursDry: 48 }
const conditions = fc.record({
  coverage: fc.double({ min: 0.3, max: 2, noNaN: true }),
  imbalance: fc.double({ min: -2, max: 2, noNaN: true }),
  relativeHumidity: fc.double({ min: 15, max: 90, noNaN: true }),
  coatAgeHours: fc.double({ min: 0, max: 100, noNaN: true }),
  isBuffered: fc.boolean(),
  nanometres: fc.double({ min: 340, max: 400, noNaN: true }),
})
const work = fc.record({
  dose: fc.double({ min: 0, max: 20_000, noNaN: true }),
  developed: fc.double({ min: 0, max: 600, noNaN: true }),
  cleared: fc.double({ min: 0, max: 1800, noNaN: true }),
  fixed: fc.double({ min: 0, max: 900, noNaN: true }),
  hoursDry: fc.double({ min: 0, max: 100, noNaN: true }),
})
const film = fc.double({ min: 0, max: 3, noNaN: true })
const density = (process: VirtualProcess, made: SheetConditions, done: SheetWork, behind: number) =>
  virtualSheet(process, made).densityAt(behind, done)
const RUNS = { numRuns: 25 }

describe.each(practiceProcesses.map((process) => [process.processId, process] as const))(
  'practice of %s',
  (id, process) => {
    it('is of a process of this library, and its reach is that of its light-sensitive salt', () => {
      expect(processes[id]).toBeDefined()
      const salt = id === 'salted-paper' ? 'silver chloride' : 'iron salts'
      const reach = coatReaches.find(({ name }) => name === salt)
      expect([process.bestNanometres.value, process.toNanometres.value]).toEqual([reach?.bestNanometres, reach?.toNanometres]) // prettier-ignore
    })

    it('is deeper with every input that deepens, at every stage', () =>
      fc.assert(
        fc.property(
          conditions,
          work,
          film,
          fc.double({ min: 1, max: 1.6, noNaN: true }),
          (made, done, behind, more) => {
            const base = density(process, made, done, behind)
            const tolerance = 1e-9
            const deeper = [
              density(process, made, { ...done, dose: done.dose * more }, behind),
              density(process, made, done, behind / more),
              density(process, { ...made, coverage: made.coverage * more }, done, behind),
              density(process, { ...made, imbalance: made.imbalance / more }, done, behind),
              density(process, { ...made, coatAgeHours: made.coatAgeHours * more }, done, behind),
              density(process, { ...made, isBuffered: false }, done, behind),
              density(process, made, { ...done, developed: done.developed * more }, behind),
              density(process, made, { ...done, cleared: done.cleared / more }, behind),
              density(process, made, { ...done, fixed: done.fixed / more }, behind),
              density(process, made, { ...done, hoursDry: done.hoursDry * more }, behind),
            ]
            for (const one of deeper) expect(one).toBeGreaterThanOrEqual(base - tolerance)
            // Nothing is lighter than the paper, or deeper than a coat can be with all its fog and stain.
            expect(base).toBeGreaterThanOrEqual(process.white.value)
            expect(base).toBeLessThan(3)
          },
        ),
        RUNS,
      ))

    it('of no light is the paper, once it is cleared; of endless light its black', () => {
      const fresh = { ...USUAL_CONDITIONS, coatAgeHours: 0 }
      const cleared = { ...FINISHED, cleared: 1e6, fixed: 0, hoursDry: 1e6, developed: 1e6 }
      expect(density(process, fresh, { ...cleared, dose: 0 }, 0)).toBeCloseTo(process.white.value, 9)
      expect(density(process, fresh, { ...cleared, dose: 1e12 }, 0)).toBeCloseTo(process.black.value, 6)
    })

    it('without self-masking is the plain approach 1 − exp(−(H/H₀)^k)', () => {
      const plain = { ...process, selfMasking: { value: 0, standing: 'invented' as const } }
      const fresh = { ...USUAL_CONDITIONS, coatAgeHours: 0 }
      const done = { ...FINISHED, cleared: 1e6, fixed: 0, hoursDry: 1e6, developed: 1e6 }
      for (const dose of [50, 300, 900, 3000]) {
        const share = 1 - Math.exp(-((dose / process.speed.value) ** process.steepness.value))
        const wanted = process.white.value + (process.black.value - process.white.value) * share
        expect(density(plain, fresh, { ...done, dose }, 0)).toBeCloseTo(wanted, 6)
      }
    })

    it('has a best dose that all but reaches its black, and more of it under a lamp that it hardly answers', () => {
      const done = { ...FINISHED, cleared: 1e6, fixed: 0, hoursDry: 1e6, developed: 1e6 }
      const best = bestDose(process, USUAL_CONDITIONS)
      const black = density(process, USUAL_CONDITIONS, { ...done, dose: 1e9 }, 0)
      expect(black - density(process, USUAL_CONDITIONS, { ...done, dose: best }, 0)).toBeCloseTo(0.04, 2)
      expect(bestDose(process, { ...USUAL_CONDITIONS, nanometres: 410 })).toBeGreaterThan(best)
      expect(bestDose(process, { ...USUAL_CONDITIONS, nanometres: 600 })).toBe(Infinity)
      // Printers expose these coats for minutes under 5 mW/cm², and not for seconds or hours: common practice.
      const minutes = best / 5 / 60
      expect(minutes).toBeGreaterThan(2)
      expect(minutes).toBeLessThan(40)
    })

    it('is judged by decisions: best work has full marks, and each mistake costs in its own place', () => {
      const best: SheetWork = {
      dose: bestDose(process, USUAL_CONDITIONS), developed: 180, cleared: 6 * process.clearSeconds.value,
      fixed: process.fix?.seconds.value ?? null, hoursDry: 24,
    } // prettier-ignore
      const marks = (change: Partial<SheetWork>, looks = 2) =>
        practiceScore(process, USUAL_CONDITIONS, { ...best, ...change }, looks).marks
      expect(marks({})).toEqual({ exposure: 100, clearing: 100, fixing: 100, economy: 100, total: 100 })
      expect(marks({ dose: best.dose * 2 }).exposure).toBeLessThan(70)
      expect(marks({ dose: best.dose / 4 }).exposure).toBeLessThan(20)
      expect(marks({ cleared: 5 }).clearing).toBeLessThan(50)
      expect(marks({}, 8).economy).toBe(50)
      if (process.fix) {
        expect(marks({ fixed: null }).fixing).toBe(0)
        expect(marks({ fixed: 0.5 * process.fix.seconds.value }).fixing).toBe(0)
        // Fixed for hours, most of it is gone; but it was fixed.
        const hours = practiceScore(process, USUAL_CONDITIONS, { ...best, fixed: 36_000 }, 0)
        expect([hours.isUnfixed, hours.marks.fixing]).toEqual([false, 0])
        expect(marks({ fixed: 1800 }).fixing).toBeLessThan(70)
      }
      expect(practiceScore(process, USUAL_CONDITIONS, UNTOUCHED, 0).marks.exposure).toBe(0)
    })
  },
)

describe('a virtual print as a picture', () => {
  const [process] = practiceProcesses as [VirtualProcess]
  const ink = { width: 4, height: 1, data: Float32Array.of(0, 0.3, 0.7, 1) }
  const sheet = virtualSheet(process, USUAL_CONDITIONS)

  it('grows darker with the light while it prints, and lighter towards the thick of the film', () => {
    const lightOf = (done: SheetWork) => {
      const { rgba } = printPicture(ink, 1.8, process, sheet, done)
      return [0, 1, 2, 3].map((i) => rgba[4 * i]! + rgba[4 * i + 1]! + rgba[4 * i + 2]!)
    }
    const [little, much] = [lightOf({ ...UNTOUCHED, dose: 100 }), lightOf({ ...UNTOUCHED, dose: 1500 })]
    for (const row of [little, much])
      row.forEach((one, i) => i && expect(one).toBeGreaterThanOrEqual(row[i - 1]!))
    expect(much[0]!).toBeLessThan(little[0]!)
  })

  it('of a cyanotype is yellow-green before it is washed, and blue after', () => {
    const [r, g, b] = colourAt(process, sheet, UNTOUCHED, 3)
    expect(b).toBeLessThan(Math.min(r, g))
    const [red, , blue] = colourAt(process, sheet, { ...FINISHED, fixed: null }, 0)
    expect(blue).toBeGreaterThan(red + 30)
  })
})

describe('what a coat depends on', () => {
  it('is as deep as usual at the usual amount, and never more than a little deeper', () => {
    expect(depthOf(1)).toBeCloseTo(1, 9)
    expect(depthOf(0)).toBe(0)
    expect(depthOf(50)).toBeLessThan(1.12)
  })

  it('answers all of a lamp up to its best, half of it in the middle, and nothing beyond its end', () => {
    const reach = { bestNanometres: { value: 400, standing: 'practice' as const }, toNanometres: { value: 440, standing: 'practice' as const } } // prettier-ignore
    expect([380, 400, 420, 440, 500].map((nm) => +answerTo(nm, reach).toFixed(6))).toEqual([1, 1, 0.5, 0, 0])
  })
})

describe('a negative of one’s own picture', () => {
  it('has as much ink as the picture is light, with clear film all round', () => {
    const picture = { width: 3, height: 2, data: Float32Array.of(0, 0.1841865, 1, 2, 0.5, 0) }
    const { width, height, data } = negativeOfPicture(picture)
    expect([width, height]).toEqual([19, 18])
    const at = (x: number, y: number) => data[(y + 8) * width + x + 8]!
    // L* of 18.4 % of the light is 50 (CIE 15).
    expect([at(0, 0), at(1, 0), at(2, 0), at(0, 1)].map((one) => +one.toFixed(3))).toEqual([0, 0.5, 1, 1])
    expect(data[0]).toBe(0)
    expect(at(3, 0)).toBe(0)
  })
})
