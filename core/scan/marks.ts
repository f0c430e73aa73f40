import { MARK } from '../chart/chart'
import type { GreyPicture } from '../negative/resample'

/** A mark as it was found: its centre and the diameter of its ring, in pixels. */
export interface FoundMark {
  x: number
  y: number
  diameter: number
  /** How far ring and dot are from what they should be; 0 is perfect. */
  oddness: number
}

/** Something dark that hangs together. */
export interface Blob {
  area: number
  x: number
  y: number
  left: number
  right: number
  top: number
  bottom: number
}

/** A picture made smaller by a whole number, each pixel the mean of those it stands for. */
export function shrunk(picture: GreyPicture, longestSide: number): { picture: GreyPicture; by: number } {
  const by = Math.max(1, Math.ceil(Math.max(picture.width, picture.height) / longestSide))
  if (by === 1) return { picture, by }
  const [width, height] = [Math.floor(picture.width / by), Math.floor(picture.height / by)]
  const data = new Float32Array(width * height)
  for (let y = 0; y < height * by; y++) {
    const [from, to] = [y * picture.width, Math.floor(y / by) * width]
    for (let x = 0, at = from; x < width; x++) {
      let sum = 0
      for (const end = at + by; at < end; at++) sum += picture.data[at]!
      data[to + x]! += sum
    }
  }
  const share = 1 / by ** 2
  for (let i = 0; i < data.length; i++) data[i]! *= share
  return { picture: { width, height, data }, by }
}

/**
 * What is darker than its neighbourhood, as a map of 0 and 1. Compared is the square root of light, in which light and
 * dark differ more evenly.
 *
 * @param reach half the side of the neighbourhood, in pixels.
 */
function darkMap({ width, height, data }: GreyPicture, reach: number): Uint8Array {
  const sums = new Float64Array((width + 1) * (height + 1))
  const root = new Float32Array(data.length)
  for (let y = 0; y < height; y++) {
    let row = 0
    for (let x = 0; x < width; x++) {
      const value = Math.sqrt(Math.max(0, data[y * width + x]!))
      root[y * width + x] = value
      row += value
      sums[(y + 1) * (width + 1) + x + 1] = sums[y * (width + 1) + x + 1]! + row
    }
  }
  const dark = new Uint8Array(data.length)
  for (let y = 0; y < height; y++) {
    const [top, bottom] = [Math.max(0, y - reach), Math.min(height, y + reach + 1)]
    for (let x = 0; x < width; x++) {
      const [left, right] = [Math.max(0, x - reach), Math.min(width, x + reach + 1)]
      const sum =
        sums[bottom * (width + 1) + right]! -
        sums[top * (width + 1) + right]! -
        sums[bottom * (width + 1) + left]! +
        sums[top * (width + 1) + left]!
      const mean = sum / ((bottom - top) * (right - left))
      if (root[y * width + x]! < 0.93 * mean - 0.01) dark[y * width + x] = 1
    }
  }
  return dark
}

/** Dark things that hang together by their sides, by filling from seed to seed. */
function blobsOf(dark: Uint8Array, width: number, height: number): Blob[] {
  const blobs: Blob[] = []
  const open: number[] = []
  const take = (at: number) => {
    dark[at] = 0
    open.push(at)
  }
  for (let seed = 0; seed < dark.length; seed++) {
    if (!dark[seed]) continue
    const blob: Blob = { area: 0, x: 0, y: 0, left: width, right: 0, top: height, bottom: 0 }
    take(seed)
    while (open.length) {
      const at = open.pop()!
      const [x, y] = [at % width, Math.floor(at / width)]
      blob.area++
      blob.x += x
      blob.y += y
      blob.left = Math.min(blob.left, x)
      blob.right = Math.max(blob.right, x)
      blob.top = Math.min(blob.top, y)
      blob.bottom = Math.max(blob.bottom, y)
      if (x > 0 && dark[at - 1]) take(at - 1)
      if (x < width - 1 && dark[at + 1]) take(at + 1)
      if (y > 0 && dark[at - width]) take(at - width)
      if (y < height - 1 && dark[at + width]) take(at + width)
    }
    if (blob.area >= 9) blobs.push({ ...blob, x: blob.x / blob.area, y: blob.y / blob.area })
  }
  return blobs
}

/** Dark things of a picture that hang together, of whatever shape. @param reach half the side of the neighbourhood they are darker than, pixels. */
export const darkBlobs = (picture: GreyPicture, reach: number): Blob[] =>
  blobsOf(darkMap(picture, reach), picture.width, picture.height)

const DOT_TO_RING = MARK.dot / MARK.radius

/** Marks in a picture, the best first: a dark ring about a dark dot that share their centre. */
export function findMarks(picture: GreyPicture): FoundMark[] {
  const small = shrunk(picture, 1400)
  const { width, height } = small.picture
  const found: FoundMark[] = []
  // Marks are as large or as small in the picture as the chart is; a smaller neighbourhood serves where the first does not.
  for (const reach of [Math.round(Math.max(width, height) / 16), Math.round(Math.max(width, height) / 40)]) {
    if (found.length >= 4) break
    const blobs = blobsOf(darkMap(small.picture, reach), width, height)
    const round = (blob: Blob) => {
      const [w, h] = [blob.right - blob.left + 1, blob.bottom - blob.top + 1]
      return Math.max(w / h, h / w) < 1.9
    }
    const dots = blobs.filter((blob) => round(blob) && blob.area > 0.5 * sideOf(blob) ** 2)
    const rings = blobs.filter(
      (blob) => round(blob) && blob.area > 0.2 * sideOf(blob) ** 2 && blob.area < 0.62 * sideOf(blob) ** 2,
    )
    for (const ring of rings) {
      const side = sideOf(ring)
      for (const dot of dots) {
        if (
          dot.left <= ring.left ||
          dot.right >= ring.right ||
          dot.top <= ring.top ||
          dot.bottom >= ring.bottom
        )
          continue
        const off = Math.hypot(dot.x - ring.x, dot.y - ring.y) / side
        const ratio = sideOf(dot) / side
        const oddness = 5 * off + Math.abs(Math.log(ratio / DOT_TO_RING))
        if (off < 0.1 && oddness < 0.9)
          found.push({
            x: (dot.x + 0.5) * small.by,
            y: (dot.y + 0.5) * small.by,
            diameter: side * small.by,
            oddness,
          })
      }
    }
  }
  return found
    .sort((a, b) => a.oddness - b.oddness)
    .filter((mark, i, all) => !all.slice(0, i).some((other) => isSame(mark, other)))
}

const sideOf = (blob: Blob) => Math.sqrt((blob.right - blob.left + 1) * (blob.bottom - blob.top + 1))
const isSame = (a: FoundMark, b: FoundMark) => Math.hypot(a.x - b.x, a.y - b.y) < a.diameter / 2

/** Centre of a mark's dot to a part of a pixel: the middle of what is dark there. */
export function refined(picture: GreyPicture, mark: FoundMark): FoundMark {
  let { x, y } = mark
  const reach = (mark.diameter / 2) * ((MARK.dot + MARK.inner) / 2 / MARK.radius)
  for (let round = 0; round < 3; round++) {
    const values: number[] = []
    const places: Point3[] = []
    for (let py = Math.floor(y - reach); py <= y + reach; py++)
      for (let px = Math.floor(x - reach); px <= x + reach; px++) {
        if (px < 0 || py < 0 || px >= picture.width || py >= picture.height) continue
        if (Math.hypot(px + 0.5 - x, py + 0.5 - y) > reach) continue
        const value = picture.data[py * picture.width + px]!
        values.push(value)
        places.push([px + 0.5, py + 0.5, value])
      }
    if (values.length < 9) return mark
    values.sort((a, b) => a - b)
    const [dark, light] = [values[Math.floor(0.1 * values.length)]!, values[Math.floor(0.9 * values.length)]!]
    let [sum, sx, sy] = [0, 0, 0]
    for (const [px, py, value] of places) {
      const weight = Math.min(1, Math.max(0, (light - value) / (light - dark || 1)))
      sum += weight
      sx += weight * px
      sy += weight * py
    }
    if (!sum) return mark
    ;[x, y] = [sx / sum, sy / sum]
  }
  return { ...mark, x, y }
}
type Point3 = readonly [x: number, y: number, value: number]
