import { converter } from 'culori'
import { encode } from 'fast-png'
import { zlibSync } from 'fflate'
import sharp from 'sharp'
import { tiffOf, type MadeTiff } from '@core/fixtures/tiffMaker'
import { pngChunk } from '@core/formats/png16'
import type { ChannelMix } from '@core/negative/grey'
import { wholeOf } from '@core/negative/resample'
import { decodePicture } from './decodePicture'

// Files made by another library, or byte by byte; the light they should have is computed from the values that went in.

// A browser's own decoder reads what is plain; here it refuses everything, so that only our own paths are tried.
Object.assign(globalThis, { createImageBitmap: () => Promise.reject(new Error('plain')) })

const linear = (coded: number) => (coded <= 0.04045 ? coded / 12.92 : ((coded + 0.055) / 1.055) ** 2.4)
const light = ([r, g, b]: readonly number[], most = 255) =>
  0.2126 * linear(r! / most) + 0.7152 * linear(g! / most) + 0.0722 * linear(b! / most)

async function decoded(bytes: Uint8Array, mix: ChannelMix | null = null) {
  const { picture, notes, bits } = await decodePicture(new Blob([bytes as Uint8Array<ArrayBuffer>]), mix)
  return { ...wholeOf(picture), notes, bits }
}
const problem = (bytes: Uint8Array) =>
  decoded(bytes).then(
    () => 'read',
    (error: { refusal?: { problem: string } }) => error.refusal?.problem ?? String(error),
  )

const [WIDTH, HEIGHT] = [40, 24]
const rgb = Array.from({ length: 3 * WIDTH * HEIGHT }, (_, i) => (i * 31 + ((i * i) % 67)) % 256)
const wanted = Array.from({ length: WIDTH * HEIGHT }, (_, i) => light(rgb.slice(3 * i, 3 * i + 3)))
const raw = () => sharp(Buffer.from(rgb), { raw: { width: WIDTH, height: HEIGHT, channels: 3 } })
const plain: MadeTiff = { width: WIDTH, height: HEIGHT, data: rgb, channels: 3, photometric: 2 }

function expectLight(found: ArrayLike<number>, right: readonly number[], within = 2e-4): void {
  expect(found.length).toBe(right.length)
  const off = right.map((value, i) => Math.abs(value - found[i]!))
  expect(Math.max(...off)).toBeLessThan(within)
}

describe('TIFF by another library', () => {
  it.each([
    ['plain', {}],
    ['in tiles', { tile: true, tileWidth: 16, tileHeight: 16 }],
    ['packed by PackBits', { compression: 'packbits' }],
    ['packed by LZW with a predictor', { compression: 'lzw', predictor: 'horizontal' }],
    ['packed by deflate', { compression: 'deflate' }],
    ['BigTIFF', { bigtiff: true }],
    ['with smaller copies of itself', { tile: true, pyramid: true, tileWidth: 16, tileHeight: 16 }],
  ] as const)('%s', async (_, options) => {
    const { data, width, height } = await decoded(
      await raw()
        .tiff({ compression: 'none', ...options })
        .toBuffer(),
    )
    expect([width, height]).toEqual([WIDTH, HEIGHT])
    expectLight(data, wanted)
  })

  it('with a JPEG inside, as near as that is', async () => {
    const flat = sharp({
      create: { width: 64, height: 64, channels: 3, background: { r: 180, g: 120, b: 60 } },
    })
    const { data } = await decoded(await flat.tiff({ compression: 'jpeg', quality: 95 }).toBuffer())
    expect(data[2000]).toBeCloseTo(light([180, 120, 60]), 2)
  })

  it('in print colours, with their profile', async () => {
    const cmyk = sharp({
      create: { width: 32, height: 32, channels: 3, background: { r: 128, g: 128, b: 128 } },
    })
      .toColourspace('cmyk')
      .withIccProfile('cmyk')
    for (const bytes of [
      await cmyk.clone().tiff().toBuffer(),
      await cmyk.clone().jpeg({ quality: 100 }).toBuffer(),
    ]) {
      const { data, notes } = await decoded(bytes)
      // A middle grey stays one, as near as inks come to it.
      expect(Math.abs(data[500]! - light([128, 128, 128]))).toBeLessThan(0.06)
      expect(notes).toEqual([])
    }
  })
})

describe('TIFF byte by byte', () => {
  it.each<[string, MadeTiff, { isBig?: boolean; isLittle?: boolean }]>([
    ['channel after channel', { ...plain, isPlanar: true }, {}],
    ['high byte first', plain, { isLittle: false }],
    ['BigTIFF, high byte first', plain, { isBig: true, isLittle: false }],
    ['of 16 bits', { ...plain, bits: 16, data: rgb.map((value) => 257 * value) }, {}],
    ['of 16 bits, channel after channel', { ...plain, bits: 16, data: rgb.map((value) => 257 * value), isPlanar: true }, {}],
  ])('%s', async (_, made, options) => expectLight((await decoded(tiffOf([made], options))).data, wanted)) // prettier-ignore

  it('with a channel that says nothing of itself is not bleached by it', async () => {
    const four = Array.from({ length: 4 * WIDTH * HEIGHT }, (_, i) => (i % 4 === 3 ? 30 : rgb[3 * Math.floor(i / 4) + (i % 4)]!))
    const unknown = await decoded(tiffOf([{ ...plain, channels: 4, data: four, extra: [0] }]))
    expectLight(unknown.data, wanted)
    expect(unknown.notes).toEqual(['A channel that is no colour was left out.'])
    // As alpha it is put on white.
    const alpha = await decoded(tiffOf([{ ...plain, channels: 4, data: four, extra: [2] }]))
    expectLight(alpha.data, wanted.map((value) => (30 / 255) * value + 1 - 30 / 255))
  }) // prettier-ignore

  it('with alpha multiplied in is the same as without', async () => {
    const pixel = [200, 100, 40]
    const half = 128 / 255
    const page = { width: 1, height: 1, channels: 4, photometric: 2 }
    const apart = await decoded(tiffOf([{ ...page, data: [...pixel, 128], extra: [2] }]))
    const inIt = await decoded(tiffOf([{ ...page, data: [...pixel.map((value) => Math.round(value * half)), 128], extra: [1] }])) // prettier-ignore
    expect(Math.abs(inIt.data[0]! - apart.data[0]!)).toBeLessThan(0.004)
    expect(apart.data[0]).toBeCloseTo(half * light(pixel) + 1 - half, 4)
  })

  it('of which the first page is a smaller copy gives the whole picture', async () => {
    const small: MadeTiff = { width: 4, height: 2, data: new Array<number>(24).fill(9), channels: 3, photometric: 2, isReduced: true } // prettier-ignore
    const older: MadeTiff = { ...small, isReduced: false, more: { 255: [2] } }
    for (const pages of [[small, plain], [plain, small], [older, plain], [{ ...small, below: plain }]]) {
      const { data, width, notes } = await decoded(tiffOf(pages))
      expect(width).toBe(WIDTH)
      expectLight(data, wanted)
      expect(notes).toEqual([])
    }
    // Of two whole pictures the larger is used, and the user is informed.
    const { width, notes } = await decoded(tiffOf([{ ...small, isReduced: false }, plain]))
    expect([width, notes]).toEqual([WIDTH, ['This file has 2 pictures. The largest is used.']])
  })

  it.each([1, 2, 3, 4, 5, 6, 7, 8])('turned and mirrored as its orientation %d says', async (orientation) => {
    // An F on its side would do; three greys tell all eight ways apart.
    const { data, width, height } = await decoded(
      tiffOf([
        { width: 2, height: 3, data: [10, 20, 30, 40, 50, 60], channels: 1, photometric: 1, orientation },
      ]),
    )
    const shown: Record<number, number[]> = {
      1: [10, 20, 30, 40, 50, 60], 2: [20, 10, 40, 30, 60, 50], 3: [60, 50, 40, 30, 20, 10], 4: [50, 60, 30, 40, 10, 20],
      5: [10, 30, 50, 20, 40, 60], 6: [50, 30, 10, 60, 40, 20], 7: [60, 40, 20, 50, 30, 10], 8: [20, 40, 60, 10, 30, 50],
    } // prettier-ignore
    expect([width, height]).toEqual(orientation > 4 ? [3, 2] : [2, 3])
    expectLight(
      data,
      shown[orientation]!.map((value) => linear(value / 255)),
    )
  })

  it('in grey with white as 0, of a palette, of floating point, in Lab and in print colours without a profile', async () => {
    const one = (parts: Partial<MadeTiff>) =>
      decoded(tiffOf([{ width: 2, height: 1, data: [], channels: 1, photometric: 1, ...parts }]))
    expectLight((await one({ photometric: 0, data: [55, 255] })).data, [linear(200 / 255), 0])
    const palette = [...[0, 1, 2].flatMap((c) => Array.from({ length: 256 }, (_, i) => (i === 7 ? 257 * [200, 90, 30][c]! : 0)))]
    expectLight((await one({ photometric: 3, data: [7, 0], palette })).data, [light([200, 90, 30]), 0])
    const float = await one({ bits: 32, channels: 3, photometric: 2, data: [0.5, 0.5, 0.5, 2, 2, 2] })
    expectLight(float.data, [0.5, 1], 1e-6)
    expect(float.notes).toEqual(['Floating-point values are read as light, from 0 to 1.'])
    // L* of 50 is 18.4 % of the light (CIE 15).
    expect((await one({ photometric: 8, channels: 3, data: [128, 0, 0, 255, 0, 0] })).data[0]).toBeCloseTo(0.1852, 2)
    const cmyk = await one({ photometric: 5, channels: 4, data: [0, 0, 0, 0, 0, 0, 0, 255] })
    expect(cmyk.data[0]).toBeGreaterThan(0.95)
    expect(cmyk.data[1]).toBeLessThan(0.06)
    expect(cmyk.notes).toEqual(['CMYK without a profile: usual print colours are assumed.'])
  }) // prettier-ignore

  it.each<[string, MadeTiff]>([
    ['of a sensor', { ...plain, channels: 1, photometric: 32_803, data: rgb.slice(0, WIDTH * HEIGHT) }],
    ['whose preview comes first', { ...plain, isReduced: true, below: { ...plain, channels: 1, photometric: 32_803, data: rgb.slice(0, WIDTH * HEIGHT) } }],
    ['with the mark of a raw file', { ...plain, more: { 50_706: [1] } }],
  ])('is known as a raw file: %s', async (_, made) =>
    expect(await problem(tiffOf([made]))).toBe('Raw files of a camera cannot be read here.'),
  ) // prettier-ignore
})

describe('colours beyond sRGB', () => {
  const inXyz = converter('xyz65')
  const p3 = ([r, g, b]: readonly [number, number, number]) =>
    inXyz({ mode: 'p3', r: r / 255, g: g / 255, b: b / 255 }).y
  const wide = (r: number, g: number, b: number) =>
    sharp({ create: { width: 64, height: 64, channels: 3, background: { r, g, b } } }).keepIccProfile()

  it.each(['jpeg', 'png', 'webp', 'tiff'] as const)('of eight bits, in %s', async (format) => {
    for (const [r, g, b] of [[250, 20, 20], [20, 240, 30], [128, 128, 128]] as const) {
      const flat = await wide(r, g, b).png().toBuffer()
      // The values are given the profile, not converted to it.
      const bytes = await sharp(flat).withIccProfile('p3').toFormat(format, { quality: 100, lossless: true }).toBuffer()
      const stored = await sharp(bytes).raw({ depth: 'uchar' }).toColourspace('srgb').ensureAlpha().toBuffer()
      expect(stored.length).toBe(4 * 64 * 64)
      const { data } = await decoded(bytes)
      // An sRGB colour stays the same light, whichever profile holds it.
      expect(Math.abs(data[2000]! - light([r, g, b]))).toBeLessThan(0.012)
    }
  }) // prettier-ignore

  it('of a P3 that no sRGB holds, by a reference library', async () => {
    const withP3 = await sharp(await wide(10, 10, 10).png().toBuffer()).withIccProfile('p3').tiff({ compression: 'none' }).toBuffer()
    // The profile of the other library, in a file of our own values.
    const { icc } = await sharp(withP3).metadata()
    for (const values of [[255, 0, 0], [0, 255, 0], [30, 200, 90]] as const) {
      const bytes = withProfile(values, Uint8Array.from(icc!))
      expect(Math.abs((await decoded(bytes)).data[0]! - p3(values))).toBeLessThan(0.003)
    }
  }) // prettier-ignore

  it('weighs channels of light by the mix, through the profile too', async () => {
    const red = { red: 1, green: 0, blue: 0 }
    const flat = await sharp(await wide(200, 120, 60).png().toBuffer())
      .withIccProfile('p3')
      .tiff()
      .toBuffer()
    // An sRGB colour has the red of sRGB, whichever profile holds it.
    expect(Math.abs((await decoded(flat, red)).data[0]! - linear(200 / 255))).toBeLessThan(0.012)
    const { data } = await decoded(tiffOf([plain]), red)
    expectLight(
      data,
      Array.from({ length: WIDTH * HEIGHT }, (_, i) => linear(rgb[3 * i]! / 255)),
    )
  })
})

/** Chunks go behind the header, which is 33 bytes long with the signature. */
const withChunks = (bytes: Uint8Array, ...chunks: Uint8Array[]) =>
  Uint8Array.from([...bytes.slice(0, 33), ...chunks.flatMap((one) => [...one]), ...bytes.slice(33)])

/** One pixel of 8 bits in a PNG with a profile. */
function withProfile(values: readonly number[], icc: Uint8Array): Uint8Array {
  const bytes = encode({ width: 1, height: 1, channels: 3, depth: 8, data: Uint8Array.from(values) })
  const chunk = pngChunk('iCCP', Uint8Array.from([112, 51, 0, 0, ...zlibSync(icc)]))
  return withChunks(bytes, chunk)
}

describe('PNG that says how its values become light', () => {
  const sixteen = (values: readonly number[]) =>
    encode({ width: 1, height: 1, channels: 3, depth: 16, data: Uint16Array.from(values) })
  const numbers = (...values: number[]) =>
    Uint8Array.from(
      values.flatMap((value) => [value >>> 24, (value >>> 16) & 255, (value >>> 8) & 255, value & 255]),
    )
  const VALUES = [50_000, 20_000, 9000] as const

  it('without a word is sRGB', async () =>
    expect((await decoded(sixteen(VALUES))).data[0]).toBeCloseTo(light(VALUES, 65_535), 4))

  it('by an exponent and chromaticities', async () => {
    // Primaries of a wide RGB under D65 (x and y times 100,000), whose shares are published: 0.2973, 0.6274, 0.0753.
    const chrm = pngChunk('cHRM', numbers(31_270, 32_900, 64_000, 33_000, 21_000, 71_000, 15_000, 6000))
    const gama = pngChunk('gAMA', numbers(100_000))
    const [r, g, b] = VALUES.map((value) => value / 65_535) as [number, number, number]
    expect((await decoded(withChunks(sixteen(VALUES), gama, chrm))).data[0]).toBeCloseTo(
      0.2973 * r + 0.6274 * g + 0.0753 * b,
      3,
    )
  })

  it('by numbers for coding-independent code points', async () => {
    const cicp = (primaries: number, transfer: number) =>
      withChunks(sixteen(VALUES), pngChunk('cICP', Uint8Array.of(primaries, transfer, 0, 1)))
    const [r, g, b] = VALUES.map((value) => linear(value / 65_535)) as [number, number, number]
    // P3 with sRGB's curve: 0.2290, 0.6917, 0.0793 (SMPTE EG 432-1).
    expect((await decoded(cicp(12, 13))).data[0]).toBeCloseTo(0.229 * r + 0.6917 * g + 0.0793 * b, 3)
    expect(await problem(cicp(9, 16))).toBe('Pictures of high dynamic range cannot be read here.')
  })

  it('with a broken checksum is refused', async () => {
    const bytes = encode({ width: 40, height: 40, channels: 3, depth: 16, data: new Uint16Array(4800).map((_, i) => i * 13) }) // prettier-ignore
    const at = bytes.indexOf(0x49, 40)
    bytes[at + 40] = bytes[at + 40]! ^ 0x55
    expect(await problem(bytes)).toBe('This file is not a supported picture, or it is damaged.')
  })
})

describe('what is no picture here', () => {
  const bytes = (text: string) => Uint8Array.from(text.padEnd(64, '\0'), (c) => c.charCodeAt(0))
  it.each([
    ['a HEIC', '\0\0\0\x18ftypheic', /HEIC/],
    ['a raw file', 'a maker.CCD-RAW 0201', /Raw files/],
    ['a raw file like a TIFF', 'II*\0\x10\0\0\0CR\x02\0', /Raw files/],
    ['a file with layers', '8BPS\0\x01', /layers/],
    ['a PDF', '%PDF-1.7', /PDF/],
    ['an SVG', '<?xml version="1.0"?>\n<svg xmlns="x">', /drawing of lines/],
    ['a JPEG XL', '\0\0\0\x0cJXL \r\n\x87\n', /JPEG XL/],
    ['a text', 'hello', /not a supported picture/],
    ['nothing', '', /not a supported picture/],
  ])('%s is refused by name', async (_, text, words) => expect(await problem(bytes(text))).toMatch(words))
})
