import sharp from 'sharp'
import { greyFromSamples, linearFromSrgb, LUMINANCE } from '../negative/grey'
import { readProfile } from './icc'

/** Profiles of the picture library, which are free to use, as it writes them into a file. */
async function profileOf(name: 'srgb' | 'p3'): Promise<Uint8Array> {
  const png = await sharp({ create: { width: 2, height: 2, channels: 3, background: '#888' } })
    .withIccProfile(name)
    .png()
    .toBuffer()
  const { icc } = await sharp(png).metadata()
  return Uint8Array.from(icc!)
}

/** A profile made by hand: 128 bytes of header, a table of tags, and their contents. */
function made(space: string, tags: Record<string, number[]>): Uint8Array {
  const names = Object.keys(tags)
  const sizes = names.map((name) => tags[name]!.length)
  const start = 132 + 12 * names.length
  const bytes = new Uint8Array(start + sizes.reduce((sum, one) => sum + one, 0))
  const view = new DataView(bytes.buffer)
  const write = (at: number, word: string) => [...word].forEach((c, i) => (bytes[at + i] = c.charCodeAt(0)))
  write(16, space)
  write(36, 'acsp')
  view.setUint32(128, names.length)
  let at = start
  names.forEach((name, i) => {
    write(132 + 12 * i, name)
    view.setUint32(136 + 12 * i, at)
    view.setUint32(140 + 12 * i, sizes[i]!)
    bytes.set(tags[name]!, at)
    at += sizes[i]!
  })
  return bytes
}
const word = (text: string) => [...text].map((c) => c.charCodeAt(0))
const fixed = (value: number) => {
  const whole = Math.round(value * 65_536)
  return [(whole >> 24) & 255, (whole >> 16) & 255, (whole >> 8) & 255, whole & 255]
}
const gamma = (value: number) => [
  ...word('curv'),
  0,
  0,
  0,
  0,
  0,
  0,
  0,
  1,
  Math.floor(value),
  Math.round((value % 1) * 256),
]
const parametric = (kind: number, ...values: number[]) => [
  ...word('para'),
  0,
  0,
  0,
  0,
  0,
  kind,
  0,
  0,
  ...values.flatMap(fixed),
]
const xyz = (...values: number[]) => [...word('XYZ '), 0, 0, 0, 0, ...values.flatMap(fixed)]

describe('colour profiles', () => {
  it('of sRGB is what the standard says', async () => {
    const profile = readProfile(await profileOf('srgb'))
    for (const coded of [0, 0.02, 0.2, 0.5, 0.9, 1])
      expect(profile.toLight[0]!(coded)).toBeCloseTo(linearFromSrgb(coded), 3)
    // BT.709 weights, adapted to the white of profiles: within a hundredth and a half.
    ;[LUMINANCE.red, LUMINANCE.green, LUMINANCE.blue].forEach((weight, i) =>
      expect(Math.abs(profile.luminance[i]! - weight)).toBeLessThan(0.015),
    )
  })

  it('of Display-P3 has its own weights, and the same curve', async () => {
    const profile = readProfile(await profileOf('p3'))
    expect(profile.toLight[1]!(0.5)).toBeCloseTo(linearFromSrgb(0.5), 3)
    expect(profile.luminance[0]).toBeGreaterThan(0.22)
    const grey = greyFromSamples(
      { width: 1, height: 1, channels: 3, bits: 16, data: Uint16Array.of(65_535, 65_535, 65_535) },
      profile,
    )
    expect(grey.data[0]).toBeCloseTo(1, 5)
  })

  it('of a wide RGB: gamma 2.2 and a matrix', () => {
    const profile = readProfile(
      made('RGB ', {
        rXYZ: xyz(0.6097, 0.3111, 0.0195),
        gXYZ: xyz(0.2053, 0.6257, 0.0609),
        bXYZ: xyz(0.1492, 0.0632, 0.7446),
        rTRC: gamma(2.19921875),
        gTRC: gamma(2.19921875),
        bTRC: gamma(2.19921875),
      }),
    )
    expect(profile.toLight[0]!(0.5)).toBeCloseTo(0.5 ** 2.19921875, 6)
    expect(profile.luminance.map((one) => one.toFixed(3))).toEqual(['0.311', '0.626', '0.063'])
  })

  it.each<[string, number[], (coded: number) => number]>([
    ['gamma', parametric(0, 1.8), (x) => x ** 1.8],
    ['with an offset', parametric(1, 2, 0.9, 0.1), (x) => (0.9 * x + 0.1) ** 2],
    ['with a foot that is level', parametric(2, 2, 0.9, 0.05, 0.02), (x) => (0.9 * x + 0.05) ** 2 + 0.02],
    [
      'with a straight foot',
      parametric(3, 2.4, 1 / 1.055, 0.055 / 1.055, 1 / 12.92, 0.04045),
      linearFromSrgb,
    ],
    [
      'of all seven',
      parametric(4, 2, 1, 0, 0.5, 0.25, 0.01, 0.02),
      (x) => (x >= 0.25 ? x ** 2 + 0.01 : 0.5 * x + 0.02),
    ],
  ])('of grey, curve %s', (_, curve, wanted) => {
    const profile = readProfile(made('GRAY', { kTRC: curve }))
    for (const coded of [0.01, 0.2, 0.3, 0.7, 1])
      expect(profile.toLight[0]!(coded)).toBeCloseTo(wanted(coded), 4)
  })

  it('of grey with a table', () => {
    const table = [...word('curv'), 0, 0, 0, 0, 0, 0, 0, 3, 0, 0, 64, 0, 255, 255]
    const { toLight } = readProfile(made('GRAY', { kTRC: table }))
    expect(toLight[0]!(0.5)).toBeCloseTo(16_384 / 65_535, 9)
    expect(toLight[0]!(0.75)).toBeCloseTo((16_384 / 65_535 + 1) / 2, 9)
  })

  it.each<[string, Uint8Array, RegExp]>([
    ['for printing inks', made('CMYK', { A2B0: [0, 0, 0, 0] }), /CMYK/],
    ['by tables only', made('RGB ', { A2B0: [0, 0, 0, 0] }), /RGB/],
    ['of nothing', new Uint8Array(10), /damaged|cut off/],
    ['cut off', made('GRAY', { kTRC: gamma(2) }).slice(0, 147), /incomplete/],
    ['with an unknown curve', made('GRAY', { kTRC: [...word('what'), 0, 0, 0, 0, 0, 0, 0, 0] }), /curve/],
    ['without a matrix', made('RGB ', { rTRC: gamma(2) }), /RGB/],
  ])('refuses one %s', (_, bytes, words) => {
    expect(() => readProfile(bytes)).toThrow(expect.objectContaining({ code: 'profile' }))
    expect(() => readProfile(bytes)).toThrow(words)
  })

  it('does not lay a grey profile on a picture in colour', () => {
    const profile = readProfile(made('GRAY', { kTRC: gamma(2) }))
    const samples = { width: 1, height: 1, channels: 3, bits: 8, data: Uint8Array.of(1, 2, 3) }
    expect(() => greyFromSamples(samples, profile)).toThrow(expect.objectContaining({ code: 'profile' }))
    const grey = greyFromSamples({ ...samples, channels: 1, data: Uint8Array.of(128) }, profile)
    expect(grey.data[0]).toBeCloseTo((128 / 255) ** 2, 5)
  })
})
