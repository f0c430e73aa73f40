import sharp from 'sharp'
import { noise, scene } from './pictures.fixture'
import { resampled, type GreyPicture } from './resample'

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
      let at = 0
      for (const row of resampled(picture, tw, th))
        for (const value of row) worst = Math.max(worst, Math.abs(value - wanted[at++]!))
      expect(worst * 65_535).toBeLessThan(8)
    }
  })

  it('of nothing but one grey is that grey, and of the same size is itself', () => {
    const even: GreyPicture = { width: 31, height: 17, data: new Float32Array(31 * 17).fill(0.37) }
    for (const row of resampled(even, 80, 9)) for (const value of row) expect(value).toBeCloseTo(0.37, 5)
    const picture = noise(20, 20)
    const rows = Array.from(resampled(picture, 20, 20), (row) => [...row]).flat()
    rows.forEach((value, i) => expect(value).toBeCloseTo(picture.data[i]!, 5))
  })

  it('of a part is that part, with what lies around it where the filter reaches over', () => {
    const picture = scene(60, 48)
    const whole = Array.from(resampled(picture, 120, 96), (row) => row.slice())
    const part = Array.from(resampled(picture, 40, 40, { x: 20, y: 10, width: 20, height: 20 }), (row) =>
      row.slice(),
    )
    part.forEach((row, y) => row.forEach((value, x) => expect(value).toBeCloseTo(whole[y + 20]![x + 40]!, 5)))
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
    let [sum, at] = [0, 0]
    for (const row of resampled(picture, 60, 45))
      for (const value of row) sum += Math.abs(value * 255 - eight[channels * at++]!)
    expect(sum / (60 * 45)).toBeLessThan(1.5)
  })
})
