// Times of the heavier sums, measured in Node on the sources themselves.
import { createServer } from 'vite'
import { root } from './setup.mjs'

const median = (values) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]

/** Median milliseconds of one call, after a warm-up. */
function timeOf(work, rounds) {
  for (let i = 0; i < 20; i++) work()
  const took = []
  for (let i = 0; i < rounds; i++) {
    const began = performance.now()
    work()
    took.push(performance.now() - began)
  }
  return median(took)
}

/** The sources, to be loaded module by module; `close` when all is done. */
export async function loadSources() {
  const server = await createServer({
    configFile: `${root}/vite.config.ts`,
    server: { middlewareMode: true, hmr: false, ws: false },
    appType: 'custom',
    logLevel: 'error',
    optimizeDeps: { noDiscovery: true },
  })
  return {
    load: (path) => server.ssrLoadModule(`${root}/${path}`),
    close: () => server.close(),
  }
}

/** Prints each figure as a share of its budget. @returns whether all are within. */
export async function benchCore({ load }) {
  const { readSolution } = await load('app/stations/shelf/solution.draft.ts')
  const { rowOf } = await load('app/stations/shelf/recipeRows.ts')
  const { substances, incompatibilities } = await load('library/index.ts')
  const { tearingPlan } = await load('core/paper/tearing.ts')

  const sources = [
    'silver-nitrate',
    'citric-acid',
    'sodium-chloride',
    'sodium-sulfite',
    'sodium-thiosulfate',
    'borax',
    'gelatin',
    'oxalic-acid',
    'potassium-oxalate',
    'sodium-carbonate',
  ]
  const draft = {
    name: 'Ten',
    volume: '1 l',
    finish: 'topUpTo',
    stated: '3',
    rows: sources.map((source, i) => rowOf(String(i), source, 1 + i, 'percentWv')),
  }
  const room = {
    book: substances,
    incompatibilities,
    bottles: [],
    taken: new Map(),
    dropsPerMillilitre: 20,
    celsius: 20,
    now: Date.now(),
  }
  const recipe = timeOf(() => readSolution(draft, room), 300)

  // Eighths of an inch: 22.5 x 30 in into three mixed sizes.
  const eighth = 3.175
  const size = (width, height, count) => ({
    width: width * 8 * eighth,
    height: height * 8 * eighth,
    count,
    mayTurn: true,
  })
  const sheet = { width: 22.5 * 8 * eighth, height: 30 * 8 * eighth }
  const wanted = [size(8.125, 10.25, 4), size(5.375, 7.125, 6), size(4, 5.625, 8)]
  const tearing = timeOf(() => tearingPlan(sheet, wanted, 0), 15)
  const single = timeOf(() => tearingPlan(sheet, [size(11.25, 10, 99)], 0), 15)

  // Light: eight hours of a meter at 10 Hz, a day of the sun minute by minute, a hundred tablets with their noise.
  const { integrateIrradiance } = await load('core/run/dose.ts')
  const { sunCurve } = await load('core/sun/day.ts')
  const { CLEAR_SKY } = await load('core/sun/irradiance.ts')
  const { characteristicOf } = await load('core/tone/characteristic.ts')
  const { seededRandom } = await load('core/quantity/random.ts')
  const random = seededRandom(1)
  const log = Array.from({ length: 8 * 36_000 }, (_, i) => [i * 100, 4.8 + 0.01 * random()])
  const dose = timeOf(() => integrateIrradiance(log, 0, 8 * 3_600_000), 15)
  const plainSum = timeOf(() => log.reduce((sum, [, value]) => sum + value * 0.1, 0), 15)
  const scene = {
    place: { latitude: 52, longitude: 5, altitudeMetres: 0 },
    sky: CLEAR_SKY,
    facing: 'sun',
    correction: 1,
  }
  const day = timeOf(() => sunCurve(scene, 1_790_000_000_000, 1_790_086_400_000), 15)
  const steps = Array.from({ length: 21 }, (_, i) => i * 0.15)
  const tablets = Array.from({ length: 100 }, () =>
    steps.map((step) => 0.06 + 1.4 / (1 + Math.exp(4 * (step - 1.3))) + 0.02 * (random() - 0.5)),
  )
  const fits = timeOf(() => tablets.forEach((print) => characteristicOf(steps, print)), 9)

  // A curve from 101 tones, each laid four times.
  const { solveCurve } = await load('core/tone/curve.ts')
  const patches = Array.from({ length: 101 }, (_, i) => ({
    ink: i / 100,
    densities: [0, 1, 2, 3].map(() => 0.08 + 1.35 * (1 - i / 100) ** 2 + 0.02 * (random() - 0.5)),
  }))
  const curve = timeOf(() => solveCurve(patches), 50)

  const rows = [
    ['a curve from 101 tones, four patches each', curve, 10],
    ['dose of eight hours at 10 Hz', dose, 30],
    ['the sun of a day, minute by minute', day, 20],
    ['a hundred step tablets', fits, 200],
    ['a recipe of ten components, worked out again', recipe, 2],
    ['tearing plan, three mixed sizes in eighths of an inch', tearing, 100],
    ['tearing plan, one size', single, 100],
  ]
  console.log(`Dose integral over a plain sum of the same log: ${(dose / plainSum).toFixed(1)} times`)
  console.log('Sums, median in Node:')
  for (const [name, took, budget] of rows)
    console.log(
      `  ${name}: ${took.toFixed(2)} ms, ${(took / budget).toFixed(3)} of the budget of ${budget} ms`,
    )
  return rows.every(([, took, budget]) => took <= budget)
}
