import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { isByCamera } from '@core/formats/cameraExif'
import { wholeOf } from '@core/negative/resample'
import { decodePicture } from './decodePicture'

// Small files that other programs wrote once, from the same 24 × 16 pixels: ImageMagick 6.9 (png, lab, palette,
// white-is-zero, alpha, two-pages, camera), tiffcp of libtiff 4.5 (big-tiles, high-byte-first, planes, packbits, zstd, lzma,
// webp), and ExifTool 12.5 (turned, and the exposure in camera.jpg).

// A browser's own decoder reads what is plain; here it refuses everything, so that only our own paths are tried.
Object.assign(globalThis, { createImageBitmap: () => Promise.reject(new Error('plain')) })

const stored = (name: string) => readFileSync(join(__dirname, 'fixtures', name))
async function decoded(name: string) {
  const { picture, notes } = await decodePicture(new Blob([stored(name)]), null)
  return { ...wholeOf(picture), notes }
}

const [WIDTH, HEIGHT] = [24, 16]
/** Values of eight bits as they went in; of sixteen they are 257 times as much. */
const rgb = Array.from({ length: 3 * WIDTH * HEIGHT }, (_, i) => (i * 31 + ((i * i) % 67)) % 256)
const linear = (value: number) => {
  const coded = value / 255
  return coded <= 0.04045 ? coded / 12.92 : ((coded + 0.055) / 1.055) ** 2.4
}
const light = Array.from(
  { length: WIDTH * HEIGHT },
  (_, i) =>
    0.2126 * linear(rgb[3 * i]!) + 0.7152 * linear(rgb[3 * i + 1]!) + 0.0722 * linear(rgb[3 * i + 2]!),
)
const worst = (found: ArrayLike<number>, right: readonly number[]) =>
  Math.max(...right.map((value, i) => Math.abs(value - found[i]!)))

describe('files that other programs wrote', () => {
  it.each([
    ['big-tiles.tif', 2e-4],
    ['high-byte-first.tif', 2e-4],
    ['planes.tif', 2e-4],
    ['packbits-low-bit-first.tif', 2e-4],
    ['lab.tif', 2e-4],
    ['deep.png', 2e-4],
    // 256 colours out of 384: as near as the program that chose them came.
    ['palette.tif', 0.06],
  ])('%s has the light that went in', async (name, within) => {
    const { data, width, height } = await decoded(name)
    expect([width, height]).toEqual([WIDTH, HEIGHT])
    expect(worst(data, light)).toBeLessThan(within)
  })

  it('with white as 0: red taken as grey, and its tones turned round by the mark', async () => {
    const { data } = await decoded('white-is-zero.tif')
    expect(
      worst(
        data,
        Array.from(light, (_, i) => linear(255 - rgb[3 * i]!)),
      ),
    ).toBeLessThan(2e-4)
  })

  it('see-through by 40 % is put on white', async () => {
    const { data } = await decoded('alpha.tif')
    expect(worst(data, light.map((one) => 0.4 * one + 0.6))).toBeLessThan(2e-3) // prettier-ignore
  })

  it('turned by its orientation', async () => {
    const { data, width, height } = await decoded('turned.tif')
    expect([width, height]).toEqual([HEIGHT, WIDTH])
    // A quarter turn clockwise: the first row goes down the right edge.
    for (let x = 0; x < WIDTH; x++) expect(data[x * HEIGHT + HEIGHT - 1]).toBeCloseTo(light[x]!, 3)
  })

  it('of two pages the larger one is taken, and it is said', async () => {
    const { data, notes } = await decoded('two-pages.tif')
    expect(worst(data, light)).toBeLessThan(2e-4)
    expect(notes).toEqual(['This file has 2 pictures. The largest is used.'])
  })

  it.each(['zstd.tif', 'lzma.tif', 'webp.tif'])(
    '%s, whose packing no one reads here, is refused by name',
    (name) =>
      expect(decoded(name)).rejects.toMatchObject({
        refusal: { problem: 'This TIFF is packed in a way that cannot be read here.' },
      }),
  )

  it('a camera is known by what ExifTool wrote', () => {
    expect(isByCamera(stored('camera.jpg'))).toBe(true)
    expect(isByCamera(stored('deep.png'))).toBe(false)
  })
})
