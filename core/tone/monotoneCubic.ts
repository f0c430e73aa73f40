/**
 * Shape-preserving interpolation: a piecewise cubic that rises only where its points rise, and falls only where they
 * fall. Slopes are weighted harmonic means of the neighbouring chords, 0 at every turn; the ends are one-sided.
 *
 * @param xs shape (n,), rising, n ≥ 2.
 * @param ys shape (n,).
 * @returns a function; outside its points it stays at the end it left by.
 * @see Fritsch & Carlson 1980; Fritsch & Butland 1984, SIAM J. Sci. Stat. Comput. 5, 300–304 (weighted slopes)
 */
export function monotoneCubic(xs: readonly number[], ys: readonly number[]): (x: number) => number {
  const n = xs.length
  const widths = xs.slice(1).map((x, i) => x - xs[i]!)
  const chords = widths.map((width, i) => (ys[i + 1]! - ys[i]!) / width)
  const slopes = xs.map((_, i) => {
    if (n === 2) return chords[0]!
    if (i === 0) return endSlope(widths[0]!, widths[1]!, chords[0]!, chords[1]!)
    if (i === n - 1) return endSlope(widths[n - 2]!, widths[n - 3]!, chords[n - 2]!, chords[n - 3]!)
    const [before, after] = [chords[i - 1]!, chords[i]!]
    if (before * after <= 0) return 0
    const [left, right] = [2 * widths[i]! + widths[i - 1]!, widths[i]! + 2 * widths[i - 1]!]
    return (left + right) / (left / before + right / after)
  })
  return (x) => {
    if (x <= xs[0]!) return ys[0]!
    if (x >= xs[n - 1]!) return ys[n - 1]!
    let [low, high] = [0, n - 1]
    while (high - low > 1) {
      const middle = (low + high) >> 1
      if (xs[middle]! <= x) low = middle
      else high = middle
    }
    const width = widths[low]!
    const t = (x - xs[low]!) / width
    const [a, b] = [ys[low]!, ys[low + 1]!]
    const [da, db] = [slopes[low]! * width, slopes[low + 1]! * width]
    return a + t * (da + t * (3 * (b - a) - 2 * da - db + t * (da + db - 2 * (b - a))))
  }
}

/** One-sided three-point slope, held so that the curve keeps its shape at the end. */
function endSlope(width: number, next: number, chord: number, nextChord: number): number {
  const slope = ((2 * width + next) * chord - width * nextChord) / (width + next)
  if (slope * chord <= 0) return 0
  return chord * nextChord <= 0 && Math.abs(slope) > 3 * Math.abs(chord) ? 3 * chord : slope
}
