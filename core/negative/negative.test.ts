import { deflateSync } from 'node:zlib'
import { decode } from 'fast-png'
import fc from 'fast-check'
import { PNG } from 'pngjs'
import sharp from 'sharp'
import { joined, pngChunk, pngHead, pngRow, pngTail } from '../formats/png16'
import { seededRandom } from '../simulate/random'
import { inkOf, PLAIN_INVERSION } from '../tone/curve'
import { greyFrom16, greyFromRgba, linearFromSrgb, LUMINANCE } from './grey'
import { negativeSize, renderNegative, toneOf, type NegativePlan } from './render'
import { resample, type GreyPicture } from './resample'

const random = seededRandom(5)
const noise = (width: number, height: number): GreyPicture => ({
  width,
  height,
  data: Float32Array.from({ length: width * height }, () => random()),
})
/** Something with edges and slopes, so that a filter has work to do. */
const scene = (width: number, height: number): GreyPicture => ({
  width,
  height,
  data: Float32Array.from({ length: width * height }, (_, i) => {
    const [x, y] = [i % width, Math.floor(i / width)]
    return (x > width / 3 && y > height / 4 ? 0.7 : 0.1) * (0.6 + 0.4 * Math.sin(x / 7) * Math.cos(y / 5))
  }),
})
const plan: NegativePlan = {
  widthMillimetres: 25.4, heightMillimetres: 20.32, pixelsPerInch: 100, blackPoint: 0, whitePoint: 100, middle: 1,
  curve: PLAIN_INVERSION, isMirrored: false,
} // prettier-ignore
function rendered(picture: GreyPicture, changes: Partial<NegativePlan> = {}): Uint16Array[] {
  const rows: Uint16Array[] = []
  renderNegative(picture, { ...plan, ...changes }, (row) => rows.push(row.slice()))
  return rows
}

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

  it('is the same from 16 bits as from 8, in grey and in colour', () => {
    const eight = Uint8ClampedArray.of(12, 200, 99, 255)
    const sixteen = Uint16Array.from(eight, (value) => value * 257)
    expect(greyFrom16(sixteen, 4, LUMINANCE)[0]).toBeCloseTo(greyFromRgba(eight)[0]!, 6)
    expect(greyFrom16(sixteen.slice(0, 3), 3)[0]).toBeCloseTo(greyFromRgba(eight)[0]!, 6)
    expect(greyFrom16(Uint16Array.of(32_768), 1)[0]).toBeCloseTo(linearFromSrgb(32_768 / 65_535), 6)
    expect(greyFrom16(Uint16Array.of(0, 0), 2)[0]).toBe(1)
  })
})

/** The same filter in double precision, all at once and without rows kept back. */
function reference({ width, height, data }: GreyPicture, toWidth: number, toHeight: number): Float64Array {
  const weight = (from: number, to: number, i: number) => {
    const scale = from / to
    const widen = Math.max(1, scale)
    const centre = (i + 0.5) * scale - 0.5
    const taps = Array.from({ length: from }, (_, k) => {
      const x = (k - centre) / widen
      if (Math.abs(x) >= 3) return 0
      return x === 0 ? 1 : (3 * Math.sin(Math.PI * x) * Math.sin((Math.PI * x) / 3)) / (Math.PI * x) ** 2
    })
    const sum = taps.reduce((total, one) => total + one, 0)
    return taps.map((one) => one / sum)
  }
  const across = Array.from({ length: toWidth }, (_, x) => weight(width, toWidth, x))
  const down = Array.from({ length: toHeight }, (_, y) => weight(height, toHeight, y))
  return Float64Array.from({ length: toWidth * toHeight }, (_, i) => {
    const [x, y] = [i % toWidth, Math.floor(i / toWidth)]
    let sum = 0
    for (let row = 0; row < height; row++) {
      if (!down[y]![row]) continue
      for (let column = 0; column < width; column++)
        if (across[x]![column]) sum += down[y]![row]! * across[x]![column]! * data[row * width + column]!
    }
    return sum
  })
}

describe('resampling', () => {
  it.each([
    [40, 30, 90, 70],
    [90, 70, 40, 30],
    [50, 40, 50, 40],
    [33, 21, 20, 50],
  ])('%d × %d to %d × %d agrees with a double-precision reference within 8 of 65535', (w, h, tw, th) => {
    for (const picture of [noise(w, h), scene(w, h)]) {
      const wanted = reference(picture, tw, th)
      let worst = 0
      resample(picture, tw, th, (row, y) =>
        row.forEach((value, x) => (worst = Math.max(worst, Math.abs(value - wanted[y * tw + x]!)))),
      )
      expect(worst * 65_535).toBeLessThan(8)
    }
  })

  it('of nothing but one grey is that grey, and of the same size is itself', () => {
    const even: GreyPicture = { width: 31, height: 17, data: new Float32Array(31 * 17).fill(0.37) }
    resample(even, 80, 9, (row) => row.forEach((value) => expect(value).toBeCloseTo(0.37, 5)))
    const picture = noise(20, 20)
    resample(picture, 20, 20, (row, y) =>
      row.forEach((value, x) => expect(value).toBeCloseTo(picture.data[y * 20 + x]!, 5)),
    )
  })

  it('comes near a picture library’s Lanczos', async () => {
    const picture = scene(120, 90)
    const eight = await sharp(
      Buffer.from(Uint8Array.from(picture.data, (value) => Math.round(value * 255))),
      {
        raw: { width: 120, height: 90, channels: 1 },
      },
    )
      .resize(60, 45, { kernel: 'lanczos3', fit: 'fill' })
      .raw()
      .toBuffer()
    const channels = eight.length / (60 * 45)
    let sum = 0
    resample(picture, 60, 45, (row, y) =>
      row.forEach((value, x) => (sum += Math.abs(value * 255 - eight[(y * 60 + x) * channels]!))),
    )
    expect(sum / (60 * 45)).toBeLessThan(1.5)
  })
})

describe('a negative', () => {
  it('has the size it is to have', () => {
    // 8 × 10 in at 360 to the inch.
    expect(negativeSize({ widthMillimetres: 203.2, heightMillimetres: 254, pixelsPerInch: 360 })).toEqual({
      width: 2880,
      height: 3600,
    })
    const rows = rendered(scene(50, 40))
    expect([rows[0]!.length, rows.length]).toEqual([100, 80])
  })

  it('is within 1 of 65535 of a double-precision reference, before resampling', () => {
    const picture = noise(100, 80)
    const rows = rendered(picture)
    const ink = inkOf(PLAIN_INVERSION)
    let worst = 0
    picture.data.forEach((light, i) => {
      const exact = Math.round(65_535 * (1 - ink(toneOf(light, plan))))
      worst = Math.max(worst, Math.abs(rows[Math.floor(i / 100)]![i % 100]! - exact))
    })
    expect(worst).toBeLessThanOrEqual(1)
  })

  it('is dark where the picture is light, and turned left to right when it is mirrored', () => {
    const picture: GreyPicture = {
      width: 100,
      height: 80,
      data: Float32Array.from({ length: 8000 }, (_, i) => (i % 100) / 99),
    }
    const row = rendered(picture)[40]!
    expect(row[0]).toBe(65_535)
    expect(row[99]).toBeLessThan(40)
    const mirrored = rendered(picture, { isMirrored: true })[40]!
    expect([...mirrored].reverse()).toEqual([...row])
  })

  it('takes black point, white point and middle as they are said', () => {
    expect(toneOf(0.18418651851244416, plan)).toBeCloseTo(0.5, 6)
    const stretched = { ...plan, blackPoint: 10, whitePoint: 90 }
    expect(toneOf(0.18418651851244416, stretched)).toBeCloseTo(0.5, 6)
    expect(toneOf(0.01, stretched)).toBe(0)
    expect(toneOf(1, stretched)).toBe(1)
    expect(toneOf(0.18418651851244416, { ...plan, middle: 2 })).toBeCloseTo(0.25, 6)
  })

  it('can be stopped, and says how far it is', () => {
    const heard: number[] = []
    const stop = () =>
      renderNegative(
        scene(50, 40),
        { ...plan, heightMillimetres: 101.6 },
        () => undefined,
        (share) => heard.push(share) < 3,
      )
    expect(stop).toThrow(expect.objectContaining({ code: 'stopped' }))
    expect(heard).toEqual([0, 0.16, 0.32])
  })

  it.each<[string, Partial<NegativePlan>]>([
    ['a picture of a millimetre', { widthMillimetres: 1 }],
    ['a wall', { widthMillimetres: 9000, heightMillimetres: 9000, pixelsPerInch: 360 }],
    ['dots as fine as dust', { pixelsPerInch: 9999 }],
    ['no tones', { blackPoint: 60, whitePoint: 62 }],
  ])('refuses %s', (_, changes) =>
    expect(() => rendered(scene(20, 20), changes)).toThrow(expect.objectContaining({ code: 'out-of-range' })),
  )
})

describe('the PNG that is written', () => {
  const file = (rows: readonly Uint16Array[]) => {
    const width = rows[0]!.length
    const packed = rows.map((row, y) => {
      const into = new Uint8Array(1 + 2 * width)
      pngRow(row, rows[y - 1] ?? new Uint16Array(width), into)
      return into
    })
    return joined([
      pngHead(width, rows.length, 360),
      pngChunk('IDAT', deflateSync(joined(packed))),
      pngTail(),
    ])
  }

  it('is read back to the last bit by three independent readers, with its physical size', async () => {
    fc.assert(
      fc.property(
        fc.array(fc.array(fc.integer({ min: 0, max: 65_535 }), { minLength: 5, maxLength: 5 }), {
          minLength: 1,
          maxLength: 6,
        }),
        (values) => {
          const rows = values.map((row) => Uint16Array.from(row))
          const read = decode(file(rows))
          expect([read.width, read.height, read.depth, read.channels]).toEqual([5, rows.length, 16, 1])
          expect([...read.data]).toEqual(values.flat())
        },
      ),
      { numRuns: 40 },
    )
    const rows = rendered(scene(50, 40))
    const bytes = Buffer.from(file(rows))
    const meta = await sharp(bytes).metadata()
    expect(meta).toMatchObject({ width: 100, height: 80, depth: 'ushort', density: 360 })
    const { data } = await sharp(bytes)
      .toColourspace('grey16')
      .raw({ depth: 'ushort' })
      .toBuffer({ resolveWithObject: true })
    const read = new Uint16Array(data.buffer, data.byteOffset, data.length / 2)
    expect([...read]).toEqual(rows.flatMap((row) => [...row]))
    expect(PNG.sync.read(bytes)).toMatchObject({ width: 100, height: 80, depth: 16 })
  })
})
