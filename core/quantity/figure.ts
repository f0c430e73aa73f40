/** How well founded a figure is. */
export type Standing =
  /** A published source is named. */
  | 'published'
  /** Common practice of the trade, no single source. */
  | 'practice'
  /** Recalled from the trade's literature, not looked up. */
  | 'memory'
  /** The user's own measurement or choice. */
  | 'yours'
  /** Follows from its inputs by arithmetic or definition alone. */
  | 'arithmetic'

export interface FigureInput {
  name: string
  symbol: string
  value: number
  unit: string
  standing?: Standing
  note?: string
}

/** How a value came about: enough to check it by hand. */
export interface Working {
  /** The formula in the trade's words: `area × coverage × coats`. */
  words: string
  /** The same in symbols, the branch that was taken: `V = A·c·n`. */
  formula: string
  inputs: readonly FigureInput[]
  standing: Standing
  source: string
  /** What the formula leaves out, where that matters. */
  leavesOut?: string
}

/** A computed value that can be opened to its working. Every number a screen shows that was computed is one. */
export interface Figure {
  value: number
  unit: string
  /** Half width of the interval it is in, in the same unit, where known. */
  uncertainty?: number
  working: Working
}
