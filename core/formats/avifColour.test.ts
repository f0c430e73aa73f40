import sharp from 'sharp'
import { avifColour } from './avifColour'

const avif = (profile?: string) => {
  const picture = sharp({ create: { width: 16, height: 16, channels: 3, background: '#a40' } })
  return (profile ? picture.withIccProfile(profile) : picture).avif().toBuffer()
}
/** A box of colours as the standard has it: its primaries, curve and matrix by number. */
const numbered = (primaries: number, curve: number) =>
  Uint8Array.from([
    0,
    0,
    0,
    19,
    ...[...'colrnclx'].map((letter) => letter.charCodeAt(0)),
    0,
    primaries,
    0,
    curve,
    0,
    1,
    0x80,
  ])

describe('the colours of an AVIF', () => {
  it('are known by its profile', async () => {
    expect(avifColour(await avif())).toBe('srgb')
    expect(avifColour(await avif('srgb'))).toBe('srgb')
    expect(avifColour(await avif('p3'))).toBe('wide')
  })

  it('are known by their numbers', () => {
    expect(avifColour(numbered(1, 13))).toBe('srgb')
    expect(avifColour(numbered(12, 13))).toBe('wide')
    expect(avifColour(numbered(9, 14))).toBe('wide')
  })

  it.each([16, 18])('brighter than white (%d) are refused by name', (curve) =>
    expect(() => avifColour(numbered(9, curve))).toThrow(/high dynamic range/),
  )

  it('of a file that is cut off are taken to be plain', async () => {
    const whole = await avif('p3')
    for (const length of [0, 10, 100, 192]) expect(avifColour(whole.subarray(0, length))).toBe('srgb')
  })
})
