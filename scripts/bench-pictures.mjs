// Pictures that the bench makes negatives of.
import sharp from 'sharp'

/** Something like a photograph: slopes, edges, texture and grain, from a seed. */
export async function photograph(width, height) {
  let seed = 7
  const noise = () => ((seed = (Math.imul(seed, 1_664_525) + 1_013_904_223) >>> 0) / 2 ** 32 - 0.5) * 14
  const data = Buffer.alloc(3 * width * height)
  for (let y = 0, at = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const sky = 200 - (120 * y) / height
      const wave = 40 * Math.sin(x / 90) * Math.cos(y / 70) + 20 * Math.sin((x + y) / 9)
      const edge = Math.hypot(x - width / 2, y - height / 2) < height / 4 ? -60 : 0
      for (let c = 0; c < 3; c++) data[at++] = Math.max(0, Math.min(255, sky + wave + edge + 8 * c + noise()))
    }
  return sharp(data, { raw: { width, height, channels: 3 } })
    .jpeg({ quality: 92 })
    .toBuffer()
}

/** A TIFF of 18 megapixels, 16 bits and a wide profile, as a camera's picture comes out of an editor. */
export async function deepTiff(jpeg) {
  const { data, info } = await sharp(jpeg)
    .resize(5184, 3456, { fit: 'fill' })
    .raw()
    .toBuffer({ resolveWithObject: true })
  return sharp(data, { raw: info })
    .toColourspace('rgb16')
    .withIccProfile('p3')
    .tiff({ compression: 'lzw' })
    .toBuffer()
}
