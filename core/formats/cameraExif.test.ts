import sharp from 'sharp'
import { isByCamera } from './cameraExif'

const jpeg = (exif?: Record<string, string>) => {
  const picture = sharp({ create: { width: 8, height: 8, channels: 3, background: '#888' } })
  return (exif ? picture.withExif({ IFD2: exif }) : picture).jpeg().toBuffer()
}

describe('a picture of a camera', () => {
  it('is known by its exposure', async () => {
    expect(isByCamera(await jpeg({ ExposureTime: '1/60' }))).toBe(true)
    expect(isByCamera(await jpeg({ FNumber: '28/10' }))).toBe(true)
  })

  it('is not one whose file says nothing of a camera, or is cut off, or is none', async () => {
    const whole = await jpeg({ ExposureTime: '1/60' })
    expect(isByCamera(await jpeg())).toBe(false)
    expect(isByCamera(await jpeg({ UserComment: 'scanned' }))).toBe(false)
    for (const length of [0, 1, 3, 20, 30]) expect(isByCamera(whole.subarray(0, length))).toBe(false)
    expect(isByCamera(await sharp(whole).png().toBuffer())).toBe(false)
  })
})
