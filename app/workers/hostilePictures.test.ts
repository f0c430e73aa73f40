import { encode } from 'fast-png'
import sharp from 'sharp'
import { CoreError } from '@core/errors'
import { mutated } from '@core/fixtures/mutations'
import { samples } from '@core/fixtures/samples'
import { decodePicture } from './decodePicture'

// A browser's own decoder refuses what it cannot read; here it refuses everything, so only our own paths are tried.
Object.assign(globalThis, { createImageBitmap: () => Promise.reject(new Error('no picture')) })

const png = encode({
  width: 8, height: 6, channels: 1, depth: 16, data: Uint16Array.from({ length: 48 }, (_, i) => i * 1300),
}) // prettier-ignore

const COUNT = samples(5, 150)

describe('spoilt pictures', () => {
  it.each(['png', 'tiff'] as const)(
    '%s is decoded or refused in words, however it was damaged',
    async (kind) => {
      const tiff = await sharp({ create: { width: 8, height: 6, channels: 3, background: '#345' } })
        .tiff({ compression: 'lzw' })
        .toBuffer()
      const whole = kind === 'png' ? png : new Uint8Array(tiff)
      let refused = 0
      for (let seed = 0; seed < COUNT; seed++)
        try {
          const { picture } = await decodePicture(
            new Blob([mutated(whole, seed) as Uint8Array<ArrayBuffer>]),
            null,
          )
          expect(picture.width * picture.height).toBeGreaterThan(0)
        } catch (error) {
          if (!(error instanceof CoreError))
            throw new Error(`seed ${seed}: ${String(error)}`, { cause: error })
          refused++
        }
      expect(refused).toBeGreaterThan(COUNT / 5)
    },
  )
})
