import { noise, scene } from './pictures.fixture'
import { inkOf, PLAIN_INVERSION } from '../tone/curve'
import { NO_BORDER } from './film'
import { MIDDLE } from './frame'
import { rowsFromRgba, type ChannelMix } from './grey'
import { linearFromSrgb } from '../tone/srgb'
import { histogramOf, negativeSize, renderNegative, type NegativePlan } from './render'
import { resampled, wholeOf, type GreyPicture } from './resample'
import { AS_IT_IS, threePoints, toneCurve } from './tone'

const greyFromRgba = (rgba: Uint8ClampedArray, mix?: ChannelMix) =>
  wholeOf(rowsFromRgba(rgba, rgba.length / 4, 1, mix)).data

const plan: NegativePlan = {
  widthMillimetres: 25.4,
  heightMillimetres: 20.32,
  pixelsPerInch: 100,
  framing: MIDDLE,
  points: AS_IT_IS,
  localContrast: 0,
  sharpening: 0,
  curve: PLAIN_INVERSION,
  border: NO_BORDER,
  isMirrored: false,
}
/** Rows of ink. */
const rendered = (picture: GreyPicture, changes: Partial<NegativePlan> = {}): Float32Array[] =>
  Array.from(renderNegative(picture, { ...plan, ...changes }), (row) => row.slice())

describe('grey', () => {
  // IEC 61966-2-1: the two branches meet at 0.04045; 0.5 is 0.2140 of the light.
  it.each([
    [0, 0],
    [0.04045, 0.0031308],
    [0.5, 0.21404],
    [1, 1],
  ])('sRGB %d is %d of the light', (coded, light) => expect(linearFromSrgb(coded)).toBeCloseTo(light, 5))

  it('weighs the channels by BT.709, and lays what is see-through on white', () => {
    const rgb = [200, 90, 30] as const
    const own = greyFromRgba(Uint8ClampedArray.of(...rgb, 255))[0]!
    const [r, g, b] = rgb.map((value) => linearFromSrgb(value / 255)) as [number, number, number]
    expect(own).toBeCloseTo(0.2126 * r + 0.7152 * g + 0.0722 * b, 6)
    expect(greyFromRgba(Uint8ClampedArray.of(0, 0, 0, 0))[0]).toBe(1)
    expect(greyFromRgba(Uint8ClampedArray.of(255, 0, 0, 255), { red: 1, green: 0, blue: 0 })[0]).toBe(1)
  })

  it('comes row by row as it comes whole', () => {
    const rgba = Uint8ClampedArray.from({ length: 4 * 60 }, (_, i) => (i * 53) % 256)
    const rows = rowsFromRgba(rgba, 10, 6)
    expect([...wholeOf(rows).data]).toEqual([...greyFromRgba(rgba)])
    const straight = Array.from(resampled(rows, 25, 9), (row) => [...row])
    expect(straight).toEqual(Array.from(resampled(wholeOf(rows), 25, 9), (row) => [...row]))
  })

  it('refuses a mix that leaves no light', () =>
    expect(() => greyFromRgba(Uint8ClampedArray.of(1, 2, 3, 255), { red: 0, green: 0, blue: 0 })).toThrow(
      expect.objectContaining({ code: 'out-of-range' }),
    ))
})

describe('a positive film', () => {
  it('is dark where the picture is dark, and the negative of the negative', () => {
    const picture = {
      width: 32,
      height: 16,
      data: Float32Array.from({ length: 512 }, (_, i) => (i % 32) / 31),
    }
    const own = {
      ...plan,
      widthMillimetres: 32,
      heightMillimetres: 16,
      pixelsPerInch: 36,
      isMirrored: false,
      border: NO_BORDER,
    }
    const rows = (isPositive: boolean) =>
      Array.from(renderNegative(picture, { ...own, isPositive }), (row) => [...row])
    const [negative, positive] = [rows(false), rows(true)]
    negative.forEach((row, y) => row.forEach((ink, x) => expect(ink + positive[y]![x]!).toBeCloseTo(1, 4)))
    expect(positive[0]!.at(0)).toBeGreaterThan(positive[0]!.at(-1)!)
  })
})

describe('a negative', () => {
  it('has the size it is to have, with its border', () => {
    // 8 × 10 in at 360 to the inch.
    const film = { widthMillimetres: 203.2, heightMillimetres: 254, pixelsPerInch: 360, border: NO_BORDER }
    expect(negativeSize(film)).toEqual({ width: 2880, height: 3600 })
    expect(negativeSize({ ...film, border: { ...NO_BORDER, millimetres: 12.7 } })).toEqual({
      width: 3240,
      height: 3960,
    })
    const rows = rendered(scene(50, 40))
    expect([rows[0]!.length, rows.length]).toEqual([100, 80])
  })

  it('is within 1 of 65535 of a double-precision reference, before resampling', () => {
    const picture = noise(100, 80)
    const rows = rendered(picture)
    const [ink, tone] = [inkOf(PLAIN_INVERSION), toneCurve(AS_IT_IS)]
    let worst = 0
    picture.data.forEach((light, i) => {
      const exact = 65_535 * ink(tone(light))
      worst = Math.max(worst, Math.abs(65_535 * rows[Math.floor(i / 100)]![i % 100]! - exact))
    })
    expect(worst).toBeLessThan(1)
  })

  it('has ink where the picture is light, and is mirrored when it is mirrored', () => {
    const picture: GreyPicture = {
      width: 100,
      height: 80,
      data: Float32Array.from({ length: 8000 }, (_, i) => (i % 100) / 99),
    }
    const row = rendered(picture)[40]!
    expect(row[0]).toBe(0)
    expect(row[99]).toBeCloseTo(1, 3)
    const mirrored = rendered(picture, { isMirrored: true })[40]!
    expect([...mirrored].reverse()).toEqual([...row])
  })

  it('mirrored twice is the same', () => {
    const picture = scene(50, 40)
    const flipped: GreyPicture = {
      width: 100,
      height: 80,
      data: Float32Array.from(rendered(picture, { isMirrored: true }).flatMap((row) => [...row])),
    }
    const again = Array.from(resampled(flipped, 100, 80), (row) => [...row].reverse()).flat()
    const straight = rendered(picture).flatMap((row) => [...row])
    again.forEach((value, i) => expect(value).toBeCloseTo(straight[i]!, 4))
  })

  it('is turned, and filled by the part that is asked for, never stretched', () => {
    // Left half black, right half white, twice as wide as high.
    const picture: GreyPicture = {
      width: 80,
      height: 40,
      data: Float32Array.from({ length: 3200 }, (_, i) => (i % 80 < 40 ? 0 : 1)),
    }
    const square = { widthMillimetres: 10.16, heightMillimetres: 10.16, pixelsPerInch: 100 }
    const inkAt = (changes: object, x: number, y: number) =>
      rendered(picture, { ...square, ...changes })[y]![x]!
    const framing = (change: object) => ({ framing: { ...MIDDLE, ...change } })
    expect(inkAt({}, 8, 20)).toBeCloseTo(0, 2)
    expect(inkAt({}, 32, 20)).toBeCloseTo(1, 2)
    expect(inkAt(framing({ across: 0 }), 32, 20)).toBeCloseTo(0, 2)
    expect(inkAt(framing({ across: 1 }), 8, 20)).toBeCloseTo(1, 2)
    // A quarter turn clockwise puts the left side on top.
    expect(inkAt(framing({ turns: 1 }), 20, 5)).toBeCloseTo(0, 2)
    expect(inkAt(framing({ turns: 1 }), 20, 35)).toBeCloseTo(1, 2)
    expect(inkAt(framing({ turns: 2 }), 8, 20)).toBeCloseTo(1, 2)
    expect(inkAt(framing({ turns: 3 }), 20, 5)).toBeCloseTo(1, 2)
    expect(inkAt(framing({ closer: 4, across: 1 }), 2, 20)).toBeCloseTo(1, 2)
  })

  it('takes its points as they are said', () => {
    const half = 0.18418651851244416
    expect(toneCurve(AS_IT_IS)(half)).toBeCloseTo(0.5, 6)
    const stretched = toneCurve(threePoints(10, 90))
    expect(stretched(half)).toBeCloseTo(0.5, 6)
    expect(stretched(0.01)).toBe(0)
    expect(stretched(1)).toBe(1)
    expect(toneCurve(threePoints(0, 100, 25))(half)).toBeCloseTo(0.25, 6)
  })

  it('sets tones off from their neighbourhood and edges from each other, as much as it is asked to', () => {
    const picture = scene(100, 80)
    const spread = (changes: Partial<NegativePlan>) => {
      const rows = rendered(picture, changes)
      const [across, down] = [60, 50]
      const around = rows.slice(down - 6, down + 6).flatMap((row) => [...row.slice(across - 6, across + 6)])
      return Math.max(...around) - Math.min(...around)
    }
    expect(spread({ localContrast: 1 })).toBeGreaterThan(1.2 * spread({}))
    expect(spread({ localContrast: 1 })).toBeLessThan(1.9 * spread({}))
    const edge = (changes: Partial<NegativePlan>) => {
      const row = rendered(picture, changes)[60]!
      return Math.max(...row.slice(1).map((value, x) => Math.abs(value - row[x]!)))
    }
    expect(edge({ sharpening: 1 })).toBeGreaterThan(1.15 * edge({}))
    // Nothing but one grey has nothing to be set off from.
    const even: GreyPicture = { width: 30, height: 24, data: new Float32Array(720).fill(0.3) }
    const plain = rendered(even)[0]![0]!
    for (const row of rendered(even, { localContrast: 1, sharpening: 1 }))
      for (const value of row) expect(value).toBeCloseTo(plain, 3)
  })

  it('has as many rows when it is sharpened as when it is not', () =>
    expect(rendered(scene(50, 40), { sharpening: 0.5 })).toHaveLength(80))

  it('has a border with marks and a strip that goes through the curve', () => {
    const border = { millimetres: 10, isInked: true, hasMarks: true, layer: 0, hasStrip: true }
    const big = { widthMillimetres: 101.6, heightMillimetres: 76.2, pixelsPerInch: 200, border }
    const rows = rendered(scene(50, 40), { ...big, curve: { tones: [0, 0.5, 1], inks: [0, 0.3, 1] } })
    const at = (x: number, y: number) => rows[Math.round((y * 200) / 25.4)]![Math.round((x * 200) / 25.4)]!
    expect([rows[0]!.length, rows.length]).toEqual([958, 758])
    expect(at(3, 1)).toBe(1)
    // The cross in the upper left corner is clear in an inked border.
    expect(at(5, 5)).toBeLessThan(0.5)
    expect(at(60.8, 5)).toBeLessThan(0.5)
    // The sixth of eleven tones is the middle one.
    const [from, to] = [12, 121.6 / 2 - 8]
    expect(at(from + ((to - from) * 5.5) / 11, 91.2)).toBeCloseTo(0.3, 2)
    expect(at(from + ((to - from) * 0.5) / 11, 91.2)).toBe(0)
    const clear = rendered(scene(50, 40), { ...big, border: { ...border, isInked: false } })
    expect(clear[8]![24]).toBe(0)
  })

  it('is the same however many rows are taken at a time', () => {
    const picture = scene(50, 40)
    const rows = renderNegative(picture, plan)
    const first = Array.from({ length: 13 }, () => [...(rows.next().value as Float32Array)])
    const rest = Array.from(rows, (row) => [...row])
    expect([...first, ...rest]).toEqual(rendered(picture).map((row) => [...row]))
  })

  it.each<[string, Partial<NegativePlan>]>([
    ['a picture of a millimetre', { widthMillimetres: 1 }],
    ['a wall', { widthMillimetres: 9000, heightMillimetres: 9000, pixelsPerInch: 360 }],
    ['dots as fine as dust', { pixelsPerInch: 9999 }],
    ['no tones', { points: threePoints(60, 61) }],
    [
      'tones that fall',
      {
        points: [
          { from: 0, to: 100 },
          { from: 100, to: 0 },
        ],
      },
    ],
    ['a border of a metre', { border: { ...NO_BORDER, millimetres: 1000 } }],
    ['a part that is not there', { framing: { ...MIDDLE, across: 2 } }],
    ['a part from afar', { framing: { ...MIDDLE, closer: 0.5 } }],
  ])('refuses %s', (_, changes) =>
    expect(() => rendered(scene(20, 20), changes)).toThrow(expect.objectContaining({ code: 'out-of-range' })),
  )
})

it('a histogram counts every pixel under its L*', () => {
  const picture: GreyPicture = { width: 3, height: 1, data: Float32Array.of(0, 0.18418651851244416, 1) }
  const counts = histogramOf(picture)
  expect([counts[0], counts[50], counts[100]]).toEqual([1, 1, 1])
  expect(counts.reduce((sum, one) => sum + one, 0)).toBe(3)
})
