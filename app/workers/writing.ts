import fontAddress from '@fontsource/b612/files/b612-latin-400-normal.woff2?url'
import type { Writing } from '@core/negative/drawing'

/** The app's own letters, brought in when the first line is written; without them the browser's serve. */
let letters: Promise<void> | null = null
async function bringLetters(): Promise<void> {
  try {
    const face = new FontFace('B612', `url(${fontAddress})`)
    ;(self as unknown as { fonts: FontFaceSet }).fonts.add(await face.load())
  } catch {
    // A line in other letters is better than no film.
  }
}

/** A line of writing, as large as its room allows. */
export async function writingIn(
  text: string,
  room: { x: number; y: number; width: number; height: number },
): Promise<Writing> {
  await (letters ??= bringLetters())
  const canvas = new OffscreenCanvas(room.width, room.height).getContext('2d', { willReadFrequently: true })
  if (!canvas) return { ...room, data: new Float32Array(room.width * room.height) }
  let size = 0.75 * room.height
  canvas.font = `${size}px B612, sans-serif`
  size *= Math.min(1, room.width / canvas.measureText(text).width)
  canvas.font = `${size}px B612, sans-serif`
  canvas.textBaseline = 'middle'
  canvas.fillText(text, 0, room.height / 2)
  const rgba = canvas.getImageData(0, 0, room.width, room.height).data
  return {
    ...room,
    data: Float32Array.from({ length: room.width * room.height }, (_, i) => rgba[4 * i + 3]! / 255),
  }
}
