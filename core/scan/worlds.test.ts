import { checkPatchesOf, patchesOf, readingsOf } from '../calibration/calibration'
import { curveError, scaleError } from '../calibration/curveError'
import { tagOf, type ChartPlan } from '../chart/chart'
import { samples, someOf } from '../fixtures/samples'
import { refinedPatches } from '../tone/correction'
import { inkOf, solveCurve } from '../tone/curve'
import { scanChart, type ScanWarning } from './chartScan'
import { pictureOf, processOf, TABLET, WORLDS, type World } from './worlds.fixture'

const PLAN: ChartPlan = { steps: 51, repeats: 2, isScattered: true, hasStrip: false, seed: 1, tag: 0 }

/** L* by density: CIE 15, from memory, and not the function that the curve is solved with. */
function lightness(density: number): number {
  const light = 10 ** -density
  return light > 216 / 24389 ? 116 * light ** (1 / 3) - 16 : (24389 / 27) * light
}

/** Worst distance of a print from even steps of lightness, L*. */
function trueError(print: (ink: number) => number, ink: (tone: number) => number): number {
  const [black, white] = [lightness(print(0)), lightness(print(1))]
  const off = Array.from({ length: 51 }, (_, i) =>
    Math.abs(lightness(print(ink(i / 50))) - black - (i / 50) * (white - black)),
  )
  return Math.max(...off)
}

/** What a round came to, what the app would say of it, and what it warned of. */
interface Round {
  truth: number
  stated: number
  warnings: ScanWarning[]
}

/** A chart, and its check, in a world: printed, read, and what the curve is off, by truth and by what the app says. */
async function rounds(world: World, seed: number, knowsBlack: boolean, count: 1 | 2): Promise<Round[]> {
  const print = processOf(world, seed)
  // A densitometer shows two places.
  const shown = (density: number) => Math.round(100 * density) / 100
  const by = { whiteDensity: shown(print(1)), ...(knowsBlack && { blackDensity: shown(print(0)) }) }
  const tablet = world.tablet.length ? world.tablet : undefined
  const read = async (plan: ChartPlan, part: number, ink?: (tone: number) => number) =>
    scanChart(await pictureOf(plan, world, print, seed + part, ink), { tablet })
  const scan = await read(PLAN, 0)
  const patches = patchesOf(PLAN, readingsOf(scan, by))
  const curve = solveCurve(patches)
  const scale = scaleError(curve, 'lightness', {
    by: tablet ? 'tablet' : knowsBlack ? 'black' : 'white',
    isByCamera: scan.warnings.includes('by-camera'),
    isGlared: scan.warnings.includes('glare'),
  })
  const round = (of: typeof curve, sheets: number, { warnings }: typeof scan): Round => ({
    truth: trueError(print, inkOf(of)),
    stated: curveError(of, sheets, scale),
    warnings,
  })
  const first = round(curve, 1, scan)
  if (count === 1) return [first]
  const plan = { ...PLAN, tag: tagOf(curve) }
  const checked = await read(plan, 40, inkOf(curve))
  const check = checkPatchesOf(plan, readingsOf(checked, by), inkOf(curve))
  const corrected = solveCurve(refinedPatches(patches, check))
  return [first, round(corrected, 2, checked)]
}

const SEEDS = Array.from({ length: samples(1, 10) }, (_, seed) => seed)

describe('charts that nothing of ours has drawn, photographed or scanned', () => {
  const worlds: [keyof typeof WORLDS, number][] = [
    ['telephone', 1.2],
    ['streaky', 2],
    ['flare', 1.2],
    ['brown', 1.2],
    ['flatbed', 1.2],
  ]
  it.each(someOf(2, worlds))('print in two rounds within the aim: %s, %d L*', async (name, most) => {
    for (const seed of SEEDS) {
      const [, second] = (await rounds(WORLDS[name], seed, true, 2)) as [Round, Round]
      expect(second.truth).toBeLessThan(most)
      expect(second.truth).toBeLessThan(second.stated)
    }
  })

  it('without a tablet a telephone is far off, and the app says so', async () => {
    const [first] = (await rounds(WORLDS.untold, 1, true, 1)) as [Round]
    expect(first.truth).toBeGreaterThan(3)
    expect(first.stated).toBeGreaterThan(first.truth)
    expect(first.warnings).toContain('by-camera')
  })

  it('a reflection is taken off, and named', async () => {
    const [first] = (await rounds(WORLDS.glared, 1, true, 1)) as [Round]
    expect(first.warnings).toContain('glare')
    expect(first.truth).toBeLessThan(1.2)
  })

  it('a chart that repeats nothing is read by the tablet alone', async () => {
    const world = WORLDS.telephone
    const plan = { ...PLAN, steps: 31, repeats: 1 }
    const print = processOf(world, 3)
    const scan = scanChart(await pictureOf(plan, world, print, 3), { tablet: world.tablet })
    const off = readingsOf(scan, { whiteDensity: world.white }).flatMap(({ step, density }) =>
      density === null ? [] : [Math.abs(lightness(density) - lightness(print(step / 30)))],
    )
    expect(off.length).toBeGreaterThan(30)
    expect(off.sort((a, b) => a - b)[Math.floor(0.9 * off.length)]).toBeLessThan(3)
  })

  it('a tablet that is not there is missed, and one that does not rise refused', async () => {
    const picture = await pictureOf(PLAN, WORLDS.flatbed, processOf(WORLDS.flatbed, 1), 1)
    for (const tablet of [TABLET, [0.05, 0.6, 0.5], [0.05, 1]])
      expect(() => scanChart(picture, { tablet })).toThrow(expect.objectContaining({ code: 'not-a-tablet' }))
  })

  if (LONG_TESTS)
    it('what the app states covers the truth in 95 of 100 cases, and is not four times as much', async () => {
      const all: Round[] = []
      for (const world of Object.values<World>(WORLDS))
        for (const knowsBlack of [false, true])
          for (const seed of SEEDS.slice(0, 4)) all.push(...(await rounds(world, seed + 100, knowsBlack, 2)))
      const covered = all.filter(({ truth, stated }) => truth <= stated).length / all.length
      expect(covered).toBeGreaterThanOrEqual(0.95)
      const typical = all.map(({ truth, stated }) => stated / truth).sort((a, b) => a - b)
      expect(typical[Math.floor(typical.length / 2)]).toBeLessThan(4)
    })
})

declare const LONG_TESTS: boolean
