/** Something laid on the film, in millimetres from its upper left corner. */
export type FilmShape =
  | { kind: 'rect'; x: number; y: number; width: number; height: number; ink: number }
  | { kind: 'disc'; x: number; y: number; radius: number; ink: number }

/** A picture of how much is laid where, such as a line of writing: 0 nothing, 1 all. */
export interface Writing {
  width: number
  height: number
  /** Shape (width · height,). */
  data: Float32Array | Uint8Array
  /** Where its upper left corner is, in pixels of the whole. */
  x: number
  y: number
}

/**
 * Lays shapes on one row of a film; edges that fall within a pixel share it.
 *
 * @param row ink of 0 to 1, shape (width,); changed in place.
 * @param pixelsPerMillimetre scale; `y` is the number of the row.
 */
export function drawShapes(
  row: Float32Array,
  y: number,
  shapes: readonly FilmShape[],
  pixelsPerMillimetre: number,
): void {
  for (const shape of shapes) {
    if (shape.kind === 'rect') {
      const [top, bottom] = [shape.y * pixelsPerMillimetre, (shape.y + shape.height) * pixelsPerMillimetre]
      const share = Math.min(bottom, y + 1) - Math.max(top, y)
      if (share <= 0) continue
      const [left, right] = [shape.x * pixelsPerMillimetre, (shape.x + shape.width) * pixelsPerMillimetre]
      lay(row, left, right, share, shape.ink)
    } else {
      const off = (y + 0.5) / pixelsPerMillimetre - shape.y
      const half = Math.sqrt(Math.max(0, shape.radius ** 2 - off ** 2))
      if (half > 0)
        lay(row, (shape.x - half) * pixelsPerMillimetre, (shape.x + half) * pixelsPerMillimetre, 1, shape.ink)
    }
  }
}

function lay(row: Float32Array, left: number, right: number, share: number, ink: number): void {
  const last = Math.min(row.length - 1, Math.ceil(right) - 1)
  for (let x = Math.max(0, Math.floor(left)); x <= last; x++) {
    const covered = share * (Math.min(right, x + 1) - Math.max(left, x))
    row[x]! += covered * (ink - row[x]!)
  }
}

/** Lays writing on one row, in an ink of its own. */
export function drawWriting(row: Float32Array, y: number, writing: Writing, ink: number): void {
  const line = y - writing.y
  if (line < 0 || line >= writing.height) return
  for (let i = 0; i < writing.width; i++) {
    const x = writing.x + i
    if (x < 0 || x >= row.length) continue
    row[x]! += writing.data[line * writing.width + i]! * (ink - row[x]!)
  }
}
