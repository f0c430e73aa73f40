import { checkingChart, checkOf, checkPatchesOf, curveOf, patchesOf } from '@core/calibration/calibration'
import { chartPlaces, type ChartPlan } from '@core/chart/chart'
import type { Base, Calibration, MadeNegative } from '@core/schema/light'
import type { Sheet } from '@core/schema/records'
import { densityOf, trueBaseDose, VIRTUAL_COATS } from '@core/tone/printResponse'
import { normal, seededUuid } from '@core/quantity/random'
import { inkOf } from '@core/tone/curve'
import type { DemoShelf } from './shelf'

const DAY = 86_400_000
const CHART: ChartPlan = { steps: 31, repeats: 2, isScattered: true, hasStrip: true, seed: 4, tag: 0 }
/** Density that the film's ink holds back at its fullest, and how late most of it comes. */
const [FILM_RANGE, FILM_BEND] = [2.1, 1.25]

/** The print of the attic box's cyanotype behind ink; `tired` is how much less light a dimmer box gives, in stops. */
function printOf(tired: number): (ink: number) => number {
  const coat = { ...VIRTUAL_COATS.cyanotype, speedMillijoulesPerCm2: 470 }
  const dose = trueBaseDose(coat, 0.04) * 2 ** -tired
  const density = densityOf(coat)
  return (ink) => density(dose * 10 ** -(FILM_RANGE * ink ** FILM_BEND))
}

/** Two calibrations: one that was read, checked, corrected and checked again; one whose film waits to be printed. */
export function chartStory(
  shelf: DemoShelf,
  random: () => number,
  now: number,
  base: Base | undefined,
  sheet: Sheet | undefined,
): { calibrations: Calibration[]; negatives: MadeNegative[] } {
  const ago = (days: number) => Math.round(now - days * DAY)
  const id = () => seededUuid(random)
  const read = (plan: ChartPlan, print: (ink: number) => number, inkOfStep: (tone: number) => number) =>
    chartPlaces(plan).map(({ step }, i) => ({
      step,
      // A hair lay on one patch.
      density: i === 17 ? null : print(inkOfStep(step / (plan.steps - 1))) + 0.006 * normal(random),
    }))

  const whole: Calibration = {
    id: id(),
    at: ago(27),
    name: 'Heron rag, the attic box',
    chart: CHART,
    filmMadeAt: ago(27),
    printedAt: ago(26),
    readAt: ago(25),
    by: 'scan',
    patches: patchesOf(
      CHART,
      read(CHART, printOf(0), (tone) => tone),
    ),
    whiteDensity: 0.09,
    aim: 'lightness',
    checks: [],
    processId: 'classic-cyanotype',
    paperId: shelf.papers.rag.id,
    lightId: shelf.lights.box.id,
    film: 'clear film, black ink',
    ...(base && { seconds: base.seconds }),
    note: '',
    changedAt: ago(12),
  }
  for (const [days, tired, isUsed] of [
    [20, 0.12, true],
    [12, 0.14, false],
  ] as const) {
    const curve = curveOf(whole)
    const through = inkOf(curve)
    const chart = checkingChart(CHART, curve)
    const check = checkOf(
      whole,
      checkPatchesOf(chart, read(chart, printOf(tired), through), through),
      ago(days),
      'scan',
    )
    whole.checks.push({ ...check, isUsed })
  }
  const begun: Calibration = {
    id: id(),
    at: ago(2),
    name: 'Saltmarsh laid, the south sill',
    chart: { ...CHART, steps: 21, repeats: 3, seed: 5 },
    filmMadeAt: ago(2),
    patches: [],
    aim: 'lightness',
    checks: [],
    processId: 'salted-paper',
    paperId: shelf.papers.laid.id,
    lightId: shelf.lights.sill.id,
    film: 'clear film, black ink',
    note: '',
    changedAt: ago(2),
  }
  const negatives: MadeNegative[] = sheet
    ? [
        {
          id: id(),
          at: ago(3),
          picture: 'compressor-hall.tif',
          fileName: 'compressor-hall-negative.png',
          sheetId: sheet.id,
          calibrationId: whole.id,
          curve: whole.name,
          widthMillimetres: sheet.widthMillimetres,
          heightMillimetres: sheet.heightMillimetres,
          pixelsPerInch: 360,
          note: '',
        },
      ]
    : []
  return { calibrations: [whole, begun], negatives }
}
