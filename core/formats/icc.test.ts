import sharp from 'sharp'
import { LUMINANCE } from '../negative/grey'
import { linearFromSrgb } from '../tone/srgb'
import { isSrgb } from './colourHint'
import { matrixProfile } from './icc'

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
  it('of sRGB is what the standard says, and is known for it', async () => {
    const bytes = await profileOf('srgb')
    const profile = matrixProfile(bytes)!
    for (const coded of [0, 0.02, 0.2, 0.5, 0.9, 1])
      expect(profile.toLight[0]!(coded)).toBeCloseTo(linearFromSrgb(coded), 3)
    // BT.709 weights, adapted to the white of profiles: within a hundredth and a half.
    ;[LUMINANCE.red, LUMINANCE.green, LUMINANCE.blue].forEach((weight, i) =>
      expect(Math.abs(profile.luminance[i]! - weight)).toBeLessThan(0.015),
    )
    expect(isSrgb(bytes)).toBe(true)
  })

  it('of Display-P3 has the same curve and other shares, and is not mistaken for sRGB', async () => {
    const bytes = await profileOf('p3')
    const profile = matrixProfile(bytes)!
    expect(profile.toLight[1]!(0.5)).toBeCloseTo(linearFromSrgb(0.5), 3)
    expect(profile.luminance[0]).toBeGreaterThan(0.23)
    expect(isSrgb(bytes)).toBe(false)
  })

  it('of a wide RGB: gamma 2.2 and a matrix', () => {
    const bytes = made('RGB ', {
      rXYZ: xyz(0.6097, 0.3111, 0.0195),
      gXYZ: xyz(0.2053, 0.6257, 0.0609),
      bXYZ: xyz(0.1492, 0.0632, 0.7446),
      rTRC: gamma(2.19921875),
      gTRC: gamma(2.19921875),
      bTRC: gamma(2.19921875),
    })
    const profile = matrixProfile(bytes)!
    expect(profile.toLight[0]!(0.5)).toBeCloseTo(0.5 ** 2.19921875, 6)
    expect(profile.luminance.map((one) => one.toFixed(3))).toEqual(['0.311', '0.626', '0.063'])
    expect(isSrgb(bytes)).toBe(false)
  })

  it('of a table and of sRGB’s own formula', () => {
    const rgb = (curve: number[]) =>
      matrixProfile(
        made('RGB ', {
          rXYZ: xyz(0.436, 0.2225, 0.0139), gXYZ: xyz(0.385, 0.7169, 0.0971), bXYZ: xyz(0.143, 0.0606, 0.7141),
          rTRC: curve, gTRC: curve, bTRC: curve,
        }),
      )!.toLight[0]! // prettier-ignore
    const table = [...word('curv'), 0, 0, 0, 0, 0, 0, 0, 3, 0, 0, 64, 0, 255, 255]
    expect(rgb(table)(0.5)).toBeCloseTo(16_384 / 65_535, 9)
    expect(rgb(table)(0.75)).toBeCloseTo((16_384 / 65_535 + 1) / 2, 9)
    const formula = rgb(parametric(3, 2.4, 1 / 1.055, 0.055 / 1.055, 1 / 12.92, 0.04045))
    for (const coded of [0.01, 0.2, 0.7, 1]) expect(formula(coded)).toBeCloseTo(linearFromSrgb(coded), 4)
  })

  it.each<[string, Uint8Array]>([
    ['for printing inks', made('CMYK', { A2B0: [0, 0, 0, 0] })],
    ['by tables only', made('RGB ', { A2B0: [0, 0, 0, 0] })],
    ['that is empty', new Uint8Array(10)],
    ['of grey', made('GRAY', { kTRC: gamma(2) })],
    ['without a matrix', made('RGB ', { rTRC: gamma(2) })],
  ])('says nothing of one %s', (_, bytes) => {
    expect(matrixProfile(bytes)).toBe(null)
    expect(isSrgb(bytes)).toBe(false)
  })
})
