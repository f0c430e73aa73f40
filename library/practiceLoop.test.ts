import { baseExposure } from '@core/light/baseExposure'
import { stripTimes } from '@core/light/strip'
import { chartPlaces, tagOf, type ChartPlan } from '@core/chart/chart'
import { checkPatchesOf, patchesOf } from '@core/calibration/calibration'
import { normal, seededRandom } from '@core/quantity/random'
import { virtualSheet } from '@core/simulate/virtualPrint'
import {
  UNTOUCHED,
  USUAL_CONDITIONS,
  type SheetWork,
  type VirtualProcess,
} from '@core/simulate/virtualProcess'
import { refinedPatches } from '@core/tone/correction'
import { inkOf, solveCurve } from '@core/tone/curve'
import { samples } from '@core/fixtures/samples'
import { practiceProcesses } from './practice'

/** L* by density: CIE 15, from memory, and not the function that the curve is solved with. */
function lightness(density: number): number {
  const light = 10 ** -density
  return light > 216 / 24389 ? 116 * light ** (1 / 3) - 16 : (24389 / 27) * light
}

/** A printer who has never seen this coat: its figures are moved by chance, and every sheet is coated by hand. */
function printer(process: VirtualProcess, seed: number) {
  const random = seededRandom(seed)
  const moved = (share: number) => 1 + share * (2 * random() - 1)
  const unseen: VirtualProcess = {
    ...process,
    speed: { ...process.speed, value: process.speed.value * 2 ** (2 * random() - 1) },
    steepness: { ...process.steepness, value: process.steepness.value * moved(0.1) },
    black: { ...process.black, value: process.black.value * moved(0.06) },
    selfMasking: { ...process.selfMasking, value: process.selfMasking.value * moved(0.4) },
  }
  const [irradiance, filmRange, bend] = [4 * moved(0.3), 2.1 * moved(0.12), moved(0.25)]
  let sheets = 0
  const done: Omit<SheetWork, 'dose'> = { ...UNTOUCHED, developed: 240, cleared: 1800, fixed: 60, washed: 3600, hoursDry: 24 } // prettier-ignore
  /** A sheet: density behind ink after so many seconds of light, as a densitometer reads a place of it. */
  const sheet = () => {
    sheets++
    const room = {
      ...USUAL_CONDITIONS,
      relativeHumidity: 50 + 3 * normal(random),
      coverage: 1 + 0.02 * normal(random),
    }
    const made = virtualSheet(unseen, room)
    return (ink: number, seconds: number) =>
      made.densityAt(filmRange * ink ** bend, { ...done, dose: irradiance * seconds }) *
        (1 + 0.004 * normal(random)) +
      0.003 * normal(random)
  }
  /** The same without chance: what the next sheet does on the average. */
  const truth = virtualSheet(unseen, USUAL_CONDITIONS)
  const average = (ink: number, seconds: number) =>
    truth.densityAt(filmRange * ink ** bend, { ...done, dose: irradiance * seconds })
  return { sheet, average, sheets: () => sheets }
}

const CHART: ChartPlan = { steps: 31, repeats: 2, isScattered: true, hasStrip: false, seed: 2, tag: 0 }

/** Worst distance of a print through a curve from even steps of lightness, L*. */
function offLinear(print: (ink: number) => number, ink: (tone: number) => number): number {
  const [black, white] = [lightness(print(0)), lightness(print(1))]
  return Math.max(
    ...Array.from({ length: 41 }, (_, i) =>
      Math.abs(lightness(print(ink(i / 40))) - black - (i / 40) * (white - black)),
    ),
  )
}

/** By the app's advice alone: strips until one holds the base exposure, a chart, its curve, a check, the corrected curve. */
function followed(process: VirtualProcess, seed: number) {
  const hand = printer(process, seed)
  let [first, last] = [60, 1800]
  let base: number | null = null
  for (let tries = 0; tries < 2 && base === null; tries++) {
    const strip = hand.sheet()
    const times = stripTimes({
      firstSeconds: first,
      lastSeconds: last,
      count: 12,
      spacing: 'ratio',
      card: 'covers',
    })
    const found = baseExposure(times.map((seconds) => ({ seconds, densities: [strip(0, seconds)] })))
    base = found.reach === 'enough' ? (found.seconds?.value ?? null) : null
    if (found.reach === 'tooShort') [first, last] = [first * 4, last * 4]
    if (found.reach === 'tooLong') [first, last] = [first / 8, last / 8]
  }
  if (base === null) throw new Error('no strip held the base exposure')
  const seconds = base
  const read = (plan: ChartPlan, ink: (tone: number) => number) => {
    const sheet = hand.sheet()
    return chartPlaces(plan).map(({ step }) => ({
      step,
      density: sheet(ink(step / (plan.steps - 1)), seconds),
    }))
  }
  const patches = patchesOf(
    CHART,
    read(CHART, (tone) => tone),
  )
  const curve = solveCurve(patches)
  const plan = { ...CHART, tag: tagOf(curve) }
  const check = checkPatchesOf(plan, read(plan, inkOf(curve)), inkOf(curve))
  const corrected = solveCurve(refinedPatches(patches, check))
  const print = (ink: number) => hand.average(ink, seconds)
  return {
    sheets: hand.sheets(),
    plain: offLinear(print, (tone) => tone),
    first: offLinear(print, inkOf(curve)),
    corrected: offLinear(print, inkOf(corrected)),
  }
}

describe('a virtual printer who follows the app', () => {
  it.each(practiceProcesses.map((process) => [process.processId, process] as const))(
    'prints %s linear within 2 L* in five sheets at most',
    (_, process) => {
      const off: { plain: number; first: number; corrected: number }[] = []
      const worst = { sheets: 0, plain: 0, first: 0, corrected: 0 }
      for (let seed = 0; seed < samples(2, 40); seed++) {
        const { sheets, plain, first, corrected } = followed(process, seed)
        expect(sheets).toBeLessThanOrEqual(5)
        expect(first).toBeLessThan(3)
        expect(corrected).toBeLessThan(2)
        off.push({ plain, first, corrected })
        if (corrected > worst.corrected) Object.assign(worst, { sheets, plain, first, corrected })
      }
      // Without a curve the same print is far off: the loop has something to do.
      expect(Math.max(...off.map(({ plain }) => plain))).toBeGreaterThan(4)
      const said = [worst.plain, worst.first, worst.corrected].map((one) => one.toFixed(1)).join(', ')
      globalThis.process.stdout.write(
        `Virtual printer, ${process.processId}: worst from linear ${said} L* in ${worst.sheets} sheets\n`,
      )
    },
  )
})
