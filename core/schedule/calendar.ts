/** What is booked of one resource. */
export class Calendar {
  /** In order of their beginnings. */
  private readonly spans: { from: number; to: number }[] = []
  private longest = 0

  constructor(private readonly capacity: number) {}

  book(from: number, to: number): void {
    this.spans.splice(this.placeOf(from), 0, { from, to })
    this.longest = Math.max(this.longest, to - from)
  }

  free(from: number, to: number): void {
    const at = this.spans.findIndex((span) => span.from === from && span.to === to)
    if (at >= 0) this.spans.splice(at, 1)
  }

  /**
   * Where a stretch does not fit, the moment before which it cannot begin, as far as the first thing in its way says;
   * `null` where it fits.
   */
  inTheWay(from: number, to: number): number | null {
    let at = this.placeOf(from - this.longest)
    if (this.capacity === 1) {
      for (; at < this.spans.length; at++) {
        const span = this.spans[at]!
        if (span.from >= to) return null
        if (span.to > from) return span.to
      }
      return null
    }
    const running: { from: number; to: number }[] = []
    for (; at < this.spans.length; at++) {
      const span = this.spans[at]!
      if (span.from >= to) break
      if (span.to <= from) continue
      running.push(span)
      const moment = Math.max(from, span.from)
      const now = running.filter((one) => one.to > moment)
      if (now.length >= this.capacity) return Math.min(...now.map((one) => one.to))
    }
    return null
  }

  /** Index of the first span that does not begin before a moment. */
  private placeOf(from: number): number {
    let [low, high] = [0, this.spans.length]
    while (low < high) {
      const middle = (low + high) >> 1
      if (this.spans[middle]!.from < from) low = middle + 1
      else high = middle
    }
    return low
  }
}
