import { someOf } from '../fixtures/samples'
import { densityOf, trueBaseDose, VIRTUAL_COATS } from '../tone/printResponse'
import { seededRandom } from '../quantity/random'
import { plainScanner, scanOfChart, turned, type VirtualScanner } from '../simulate/scan'
import { chartPlaces, chartLayout, placeCorner, PATCH, type ChartPlan } from '../chart/chart'
import { scanChart } from './chartScan'
import { scaleOf } from './response'
import { homographyOf, mapped } from '../negative/homography'
import type { GreyPicture } from '../negative/resample'

const PLAN: ChartPlan = { steps: 21, repeats: 3, isScattered: true, hasStrip: true, seed: 7, tag: 0 }
const coat = VIRTUAL_COATS.developingOut
const dose = trueBaseDose(coat, 0.04)
const print = (ink: number) => densityOf(coat)(dose * 10 ** (-1.9 * ink))
const white = print(1)
/** Pixels to the millimetre of the scans. */
const SCALE = 4

const scanned = (change: Partial<VirtualScanner> = {}, degrees = 0, plan = PLAN) =>
  scanOfChart(
    plan,
    print,
    { ...turned({ ...plainScanner(plan, SCALE), ...change }, degrees) },
    seededRandom(5),
  )

/** Worst difference between what was read and what was printed, in density, of the patches that are trusted. */
function worst({ patches }: ReturnType<typeof scanChart>, plan = PLAN): number {
  const off = patches
    .filter(({ damage }) => !damage)
    .map(({ step, density }) => Math.abs(density - (print(step / (plan.steps - 1)) - white)))
  expect(off.length).toBeGreaterThan(0.9 * patches.length)
  return Math.max(...off)
}

/** The picture of a mirror. */
function mirrored({ width, height, data }: GreyPicture): GreyPicture {
  const out = new Float32Array(data.length)
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) out[y * width + x] = data[y * width + width - 1 - x]!
  return { width, height, data: out }
}

describe('reading a chart from a picture', () => {
  it.each(someOf(2, [133, 0, 3, 90, 180, 315]))('finds it turned by %d degrees', (degrees) => {
    const picture = scanned({}, degrees)
    const scan = scanChart(picture)
    expect([scan.plan, scan.isMirrored]).toEqual([PLAN, false])
    expect(worst(scan)).toBeLessThan(0.012)
  })

  it('finds it in a mirror', () => {
    const picture = mirrored(scanned({}, 20))
    const scan = scanChart(picture)
    expect([scan.plan, scan.isMirrored]).toEqual([PLAN, true])
    expect(worst(scan)).toBeLessThan(0.012)
  })

  const plans: [string, ChartPlan][] = [
    ['few patches', { ...PLAN, steps: 11, repeats: 1, hasStrip: false }],
    ['a curve’s mark', { ...PLAN, tag: 9999 }],
    ['many patches', { ...PLAN, steps: 101, repeats: 2 }],
    ['patches in rows', { ...PLAN, isScattered: false, repeats: 1 }],
  ]
  it.each(someOf(2, plans))('tells what chart it is: %s', (_, plan) => {
    const picture = scanned({}, 12, plan)
    const scan = scanChart(picture)
    expect(scan.plan).toEqual(plan)
    expect(worst(scan, plan)).toBeLessThan(0.012)
  })

  it('corrects perspective, as of a photo by hand', () => {
    const { corners } = plainScanner(PLAN, SCALE)
    const [a, b, c, d] = corners as [number, number][]
    const tilted: [number, number][] = [
      [a![0] + 60, a![1] + 30],
      [b![0] - 20, b![1] + 5],
      [c![0], c![1]],
      [d![0] + 5, d![1] - 25],
    ]
    const picture = scanned({ corners: tilted }, 0)
    const scan = scanChart(picture)
    expect(scan.plan).toEqual(PLAN)
    expect(worst(scan)).toBeLessThan(0.015)
  })

  it('takes out uneven light, and says how much there was', () => {
    const picture = scanned({ falloff: 0.4 })
    const scan = scanChart(picture)
    expect(worst(scan)).toBeLessThan(0.02)
    expect(scan.lightRange).toBeGreaterThan(1.3)
    expect(scan.warnings).toContain('uneven')
    expect(scanChart(scanned({ falloff: 0.05 })).warnings).not.toContain('uneven')
  })

  it('reads on through noise, dust and eight bits', () => {
    const picture = scanned({ falloff: 0.15, noise: 0.006, dust: 120, isEightBit: true }, 4)
    const scan = scanChart(picture)
    const trusted = scan.patches.filter(({ damage }) => !damage)
    expect(trusted.length).toBeGreaterThan(0.8 * scan.patches.length)
    const off = trusted.map(({ step, density }) => density - (print(step / 20) - white))
    expect(Math.sqrt(off.reduce((sum, one) => sum + one ** 2, 0) / off.length)).toBeLessThan(0.03)
  })

  it('names damaged patches: a hair, a bubble, one differs from its repeats', () => {
    const picture = scanned()
    const { width } = picture
    const layout = chartLayout(PLAN)
    const toPixels = homographyOf(
      [
        [0, 0],
        [layout.width, 0],
        [layout.width, layout.height],
        [0, layout.height],
      ],
      scanChart(picture).corners,
    )!
    const paint = (
      place: { column: number; row: number },
      of: [number, number, number, number],
      light: number,
    ) => {
      const corner = placeCorner(layout, place)
      const [x0, y0] = mapped(toPixels, [corner.x + of[0] * PATCH, corner.y + of[1] * PATCH])
      const [x1, y1] = mapped(toPixels, [corner.x + of[2] * PATCH, corner.y + of[3] * PATCH])
      for (let y = Math.round(y0); y < y1; y++)
        picture.data.fill(light, y * width + Math.round(x0), y * width + Math.round(x1))
    }
    const middle = chartPlaces(PLAN).filter(({ step }) => step > 5 && step < 15)
    const [hair, bubble, stranger] = [middle[0]!, middle[10]!, middle[20]!]
    paint(hair, [0.44, 0, 0.58, 1], 0.9)
    paint(bubble, [0, 0, 0.5, 0.5], 0.8)
    paint(stranger, [-0.1, -0.1, 1.1, 1.1], 0.02)
    const { patches } = scanChart(picture)
    const damage = (of: { column: number; row: number }) =>
      patches.find(({ column, row }) => column === of.column && row === of.row)?.damage
    expect([damage(hair), damage(bubble), damage(stranger)]).toEqual(['speck', 'streak', 'stranger'])
    expect(patches.filter((patch) => patch.damage)).toHaveLength(3)
  })

  it('still reads when one mark is covered', () => {
    const picture = scanned()
    const [x, y] = scanChart(picture).corners[2]!
    for (let row = Math.round(y - 22 * SCALE); row < y - 3 * SCALE; row++)
      picture.data.fill(
        0.8,
        row * picture.width + Math.round(x - 22 * SCALE),
        row * picture.width + Math.round(x - 3 * SCALE),
      )
    expect(scanChart(picture).plan).toEqual(PLAN)
  })

  it('warns of a scan whose whites or blacks are cut off', () => {
    expect(scanChart(scanned({ white: 1.4 })).warnings).toContain('white-clipped')
    const dark = scanned({ white: 0.02, isEightBit: true })
    expect(scanChart(dark).warnings).toEqual([])
    const picture = scanned()
    expect(scanChart(picture).warnings).toEqual([])
    picture.data.forEach((value, i) => (picture.data[i] = Math.max(0, value - 0.05)))
    expect(scanChart(picture).warnings).toContain('black-clipped')
  })

  it('warns of a scan that shows the chart small', () => {
    const picture = scanOfChart(PLAN, print, plainScanner(PLAN, 3.2), seededRandom(1))
    expect(scanChart(picture).warnings).toEqual(['small'])
  })

  it('warns of a scan that was pulled apart afterwards', () => {
    const smooth = Array.from({ length: 256 }, () => 4000)
    const combed = smooth.map((count, code) => (code % 6 === 3 ? 0 : count))
    const picture = scanned()
    expect(scanChart(picture, { codes: smooth }).warnings).toEqual([])
    expect(scanChart(picture, { codes: combed }).warnings).toEqual(['altered'])
  })

  it('says what is missing', () => {
    const blank = { width: 900, height: 700, data: new Float32Array(900 * 700).fill(0.7) }
    expect(() => scanChart(blank)).toThrow(expect.objectContaining({ code: 'no-chart' }))
    const noise = {
      ...blank,
      data: blank.data.map(
        (
          (random) => () =>
            random()
        )(seededRandom(1)),
      ),
    }
    expect(() => scanChart(noise)).toThrow(expect.objectContaining({ code: 'no-chart' }))
    const covered = scanned()
    const [left, right] = scanChart(covered).corners as [[number, number], [number, number]]
    for (let y = Math.round(left[1] + 3 * SCALE); y < left[1] + 17 * SCALE; y++)
      covered.data.fill(
        0.8,
        y * covered.width + Math.round(left[0] + 17 * SCALE),
        y * covered.width + Math.round(right[0] - 17 * SCALE),
      )
    expect(() => scanChart(covered)).toThrow(expect.objectContaining({ code: 'no-code' }))
    // Cropped at one side: which rings are gone is said, as the picture is seen.
    const whole = scanned()
    const cropped = (from: number, to: number) => ({
      ...whole,
      height: to - from,
      data: whole.data.slice(from * whole.width, to * whole.width),
    })
    const below = Math.round((left[1] + whole.height) / 2)
    expect(() => scanChart(cropped(0, below))).toThrow(/The two lower ones are missing/)
    // One ring and the code are covered with the ground around them.
    const corner = { ...whole, data: whole.data.slice() }
    const marks = scanChart(whole).corners
    // Rings are 10 mm inside of the corners of the film.
    const far = marks.reduce((one, other) => (other[1] - other[0] > one[1] - one[0] ? other : one))
    const lower = [far[0] + 10 * SCALE, far[1] - 10 * SCALE] as const
    const ground = whole.data[Math.round(far[1] - 3 * SCALE) * whole.width + Math.round(far[0] + 3 * SCALE)]!
    const cover = (x0: number, x1: number, y0: number, y1: number) => {
      for (let y = Math.max(0, Math.round(y0)); y < Math.min(whole.height, y1); y++)
        for (let x = Math.max(0, Math.round(x0)); x < Math.min(whole.width, x1); x++)
          corner.data[y * whole.width + x] = ground
    }
    cover(lower[0] - 7 * SCALE, lower[0] + 7 * SCALE, lower[1] - 7 * SCALE, lower[1] + 7 * SCALE)
    cover(left[0] + 17 * SCALE, right[0] - 17 * SCALE, left[1] - 17 * SCALE, left[1] + 17 * SCALE)
    expect(() => scanChart(corner)).toThrow(/The one at the lower left is missing/)
    const small = scanOfChart(PLAN, print, plainScanner(PLAN, 2.2), seededRandom(1))
    expect(() => scanChart(small)).toThrow(
      expect.objectContaining({ code: expect.stringMatching(/too-small|no-/) as string }),
    )
  })
})

describe('scaling a scan', () => {
  it('shifts by one anchor, takes stray light off by two, bends by more, and goes on one to one', () => {
    expect(scaleOf([{ read: 0, density: 0.07 }])(1)).toBeCloseTo(1.07)
    const two = scaleOf([
      { read: 0, density: 0.06 },
      { read: 1.2, density: 1.5 },
    ])
    // Between them as much light is too much as at the black: of 10^-0.6 it is less than of 10^-1.2.
    const stray = (10 ** -1.2 - 10 ** -1.44) / (1 - 10 ** -1.44)
    const middle = 0.06 - Math.log10((10 ** -0.6 - stray) / (1 - stray))
    const wanted = [0.06, middle, 1.5, 1.6, 0.05]
    ;[0, 0.6, 1.2, 1.3, -0.01].forEach((read, i) => expect(two(read)).toBeCloseTo(wanted[i]!, 9))
    const pulled = scaleOf([
      { read: 0, density: 0.06 },
      { read: 1.8, density: 1.5 },
    ])
    expect(pulled(0.9)).toBeCloseTo(0.78, 9)
    const tablet = Array.from({ length: 12 }, (_, i) => ({
      read: 0.1 * i,
      density: 0.05 + 0.1 * i + 0.02 * i ** 1.5,
    }))
    const bent = scaleOf(tablet)
    for (const { read, density } of tablet) expect(bent(read)).toBeCloseTo(density)
    expect(bent(0.55)).toBeGreaterThan(bent(0.5))
  })
})
