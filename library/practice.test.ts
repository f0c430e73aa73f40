import fc from 'fast-check'
import { bestDose, answerTo, depthOf, givenDose, virtualSheet, workWell } from '@core/simulate/virtualPrint'
import { negativeOfPicture } from '@core/simulate/practiceNegative'
import { practiceScore, type PracticeEffort } from '@core/simulate/practiceScore'
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

/** Worked without end, and washed of everything: what is left is the paper and what light made. */
const ENDLESS = { developed: 1e6, cleared: 1e6, toned: null, fixed: null, washed: null, hoursDry: 1e6 }
/** A process without the losses that endless baths would bring. */
const lossless = (process: VirtualProcess): VirtualProcess => ({
  ...process,
  fix: null,
  washSeconds: null,
  clearLossPerHour: { value: 0, standing: 'invented' },
})
const unit = fc.double({ min: 0, max: 1, noNaN: true })
const seconds = (max: number) => fc.double({ min: 0, max, noNaN: true })
const conditions = fc.record({
  coverage: fc.double({ min: 0.3, max: 2, noNaN: true }),
  imbalance: fc.double({ min: -2, max: 2, noNaN: true }),
  relativeHumidity: fc.double({ min: 15, max: 90, noNaN: true }),
  coatAgeHours: fc.double({ min: 0, max: 100, noNaN: true }),
  isBuffered: fc.boolean(),
  sizing: unit,
  contrast: fc.double({ min: 0.6, max: 2, noNaN: true }),
  fogDose: seconds(500),
  nanometres: fc.double({ min: 340, max: 400, noNaN: true }),
  lampShare: fc.double({ min: 0.2, max: 1.5, noNaN: true }),
  coldDose: seconds(1000),
})
const work = fc.record({
  dose: seconds(20_000),
  developed: seconds(600),
  cleared: seconds(1800),
  toned: fc.option(seconds(900)),
  fixed: seconds(900),
  washed: seconds(3600),
  hoursDry: seconds(100),
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
      const halide = ['salted-paper', 'albumen-type', 'collodion-chloride'].includes(id)
      const salt = halide ? 'silver chloride' : id === 'gum-over' ? 'dichromate' : 'iron salts'
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
              density(process, { ...made, relativeHumidity: made.relativeHumidity * more }, done, behind),
              density(process, { ...made, isBuffered: false }, done, behind),
              density(process, { ...made, sizing: Math.min(1, made.sizing * more) }, done, behind),
              density(process, { ...made, fogDose: made.fogDose * more }, done, behind),
              density(process, { ...made, lampShare: made.lampShare * more }, done, behind),
              density(process, { ...made, coldDose: made.coldDose / more }, done, behind),
              density(process, made, { ...done, developed: done.developed * more }, behind),
              density(process, made, { ...done, cleared: done.cleared / more }, behind),
              density(process, made, { ...done, toned: (done.toned ?? 0) * more }, behind),
              density(process, made, { ...done, fixed: done.fixed / more, washed: 1e6 }, behind),
              density(process, made, { ...done, washed: done.washed * more }, behind),
            ]
            for (const one of deeper) expect(one).toBeGreaterThanOrEqual(base - tolerance)
            const washed = { ...done, washed: 1e6 }
            expect(density(process, made, { ...washed, hoursDry: done.hoursDry * more }, behind)) // prettier-ignore
              .toBeGreaterThanOrEqual(density(process, made, washed, behind) - tolerance)
            // Nothing is lighter than the paper, or deeper than a coat can be with all its fog and stain.
            expect(base).toBeGreaterThanOrEqual(process.white.value)
            expect(base).toBeLessThan(4)
          },
        ),
        RUNS,
      ))

    it('has a shorter exposure scale with a contrast agent', () => {
      // Doses between a tenth and nine tenths of the way to black.
      const scale = (contrast: number) => {
        const made = { ...USUAL_CONDITIONS, contrast }
        const { densityAt } = virtualSheet(process, made)
        const of = (dose: number) => densityAt(0, workWell(process, dose))
        const [least, most] = [of(1e-9), of(1e9)]
        const doses = Array.from({ length: 400 }, (_, i) => 10 ** (i / 100))
        const at = (share: number) => doses.find((dose) => of(dose) >= least + share * (most - least)) ?? NaN
        return Math.log10(at(0.9) / at(0.1))
      }
      if (process.over) return
      expect(scale(1.6)).toBeLessThan(scale(1) - 0.1)
      expect(scale(1)).toBeLessThan(scale(0.7) - 0.1)
    })

    it('of no light is the paper, once it is cleared; of endless light its black', () => {
      if (process.over) return
      const fresh = { ...USUAL_CONDITIONS, coatAgeHours: 0 }
      expect(density(lossless(process), fresh, { ...ENDLESS, dose: 0 }, 0)).toBeCloseTo(
        process.white.value,
        9,
      )
      expect(density(lossless(process), fresh, { ...ENDLESS, dose: 1e12 }, 0)).toBeCloseTo(
        process.black.value,
        6,
      )
    })

    it('without self-masking is the plain approach 1 − exp(−(H/H₀)^k)', () => {
      if (process.over) return
      const plain = { ...lossless(process), selfMasking: { value: 0, standing: 'invented' as const } }
      const fresh = { ...USUAL_CONDITIONS, coatAgeHours: 0 }
      for (const dose of [50, 300, 900, 3000]) {
        const share = 1 - Math.exp(-((dose / process.speed.value) ** process.steepness.value))
        const wanted = process.white.value + (process.black.value - process.white.value) * share
        expect(density(plain, fresh, { ...ENDLESS, dose }, 0)).toBeCloseTo(wanted, 6)
      }
    })

    it('has a best dose that all but reaches its black, and more of it under a lamp that it hardly answers', () => {
      const best = bestDose(process, USUAL_CONDITIONS)
      const own = { ...lossless(process), over: undefined } as VirtualProcess
      const black = density(own, USUAL_CONDITIONS, { ...ENDLESS, dose: 1e9 }, 0)
      expect(black - density(own, USUAL_CONDITIONS, { ...ENDLESS, dose: best }, 0)).toBeCloseTo(0.04, 2)
      const { toNanometres, bestNanometres } = process
      const edge = (toNanometres.value + bestNanometres.value) / 2
      expect(bestDose(process, { ...USUAL_CONDITIONS, nanometres: edge })).toBeCloseTo(2 * best, 0)
      expect(bestDose(process, { ...USUAL_CONDITIONS, nanometres: 600 })).toBe(Infinity)
      expect(bestDose(process, { ...USUAL_CONDITIONS, lampShare: 0.5 })).toBeCloseTo(2 * best, 0)
      // Under a lamp that starts cold the clock says more, and the light is the same.
      const cold = { ...USUAL_CONDITIONS, coldDose: 300 }
      expect(givenDose(bestDose(process, cold), cold)).toBeCloseTo(best, 3)
      // Printers expose these coats for minutes under 5 mW/cm², and not for seconds or hours; a layer of gum for about a
      // quarter of the print below it: common practice.
      const minutes = best / 5 / 60
      expect(minutes).toBeGreaterThan(process.over ? 0.5 : 2)
      expect(minutes).toBeLessThan(40)
      const under = process.over ? best / bestDose(process.over, USUAL_CONDITIONS) : 0.25
      expect(under).toBeGreaterThan(0.15)
      expect(under).toBeLessThan(0.4)
    })

    it('is judged by decisions: best work has full marks, and each mistake costs in its own place', () => {
      const best = workWell(process, bestDose(process, USUAL_CONDITIONS))
      const effort: PracticeEffort = { looks: 2, tests: 0, hidden: [], named: null }
      const marks = (change: Partial<SheetWork>, more: Partial<PracticeEffort> = {}) =>
        practiceScore(process, USUAL_CONDITIONS, { ...best, ...change }, { ...effort, ...more }).marks
      const [fixing, washing] = process.fix ? [100, 100] : [null, null]
      expect(marks({})).toEqual({ exposure: 100, clearing: 100, fixing, washing, economy: 100, cause: null, total: 100 }) // prettier-ignore
      expect(marks({ dose: best.dose * 2 }).exposure).toBeLessThan(70)
      expect(marks({ dose: best.dose / 4 }).exposure).toBeLessThan(20)
      expect(marks({ cleared: 5 }).clearing).toBeLessThan(50)
      expect(marks({}, { looks: 8 }).economy).toBe(50)
      expect(marks({ dose: 8 * best.dose }, { isLadder: true })).toMatchObject({ exposure: null, total: 100 })
      expect(marks({}, { tests: 4 }).economy).toBe(70)
      // Two faults: both found, one of them, one and a wrong one, and nothing said.
      const hidden = ['brush', 'chalk']
      const cause = (named: string[] | null) => marks({}, { hidden, named }).cause
      expect([['chalk', 'brush'], ['brush'], ['brush', 'dust'], null].map(cause)).toEqual([100, 50, 25, 0])
      expect(marks({}, { hidden, named: [] }).total).toBeLessThan(90)
      if (process.fix) {
        expect(marks({ fixed: null }).fixing).toBe(0)
        expect(marks({ fixed: 0.5 * process.fix.seconds.value }).fixing).toBe(0)
        // Fixed for hours, most of it is gone; but it was fixed.
        const hours = practiceScore(process, USUAL_CONDITIONS, { ...best, fixed: 36_000 }, effort)
        expect([hours.isUnfixed, hours.marks.fixing]).toEqual([false, 0])
        expect(marks({ fixed: 1800 }).fixing).toBeLessThan(70)
        expect(marks({ washed: 20 }).washing).toBe(0)
      }
      expect(practiceScore(process, USUAL_CONDITIONS, UNTOUCHED, effort).marks.exposure).toBe(0)
    })

    it('keeps for years what was fixed and washed, and neither what was not', () => {
      const { fix } = process
      const well = workWell(process, bestDose(process, USUAL_CONDITIONS))
      const years = { ...well, hoursDry: 3 * 8766 }
      const at = (work: SheetWork, film: number) => density(process, USUAL_CONDITIONS, work, film)
      expect(at(years, 0.6)).toBeCloseTo(at(well, 0.6), 1)
      // What was not cleared is a stain that grows.
      const uncleared = { ...well, cleared: 0.5 * process.clearSeconds.value }
      const grows = at({ ...uncleared, hoursDry: 3 * 8766 }, 9) - at(uncleared, 9)
      expect(grows).toBeGreaterThan(0.3 * process.stain.value)
      if (!fix) return
      expect(at({ ...years, washed: 30 }, 0.6)).toBeLessThan(at(well, 0.6) - 0.15)
      expect(at({ ...years, fixed: 5 }, 3)).toBeGreaterThan(at(well, 3) + 0.2)
    })
  },
)

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
