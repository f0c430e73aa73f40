/** Solutions from which a trace is counted, % w/v, the strongest first: common practice. */
const STRENGTHS = [20, 10, 5, 2, 1, 0.5] as const
/** What a scale of the workroom does not show any more, g: common practice. */
const LEAST_WEIGHED = 0.05
/** Fewer drops are not counted well. */
const LEAST_DROPS = 3

/** A trace of a substance, as it is measured. */
export interface DropsOfSolution {
  drops: number
  /** Strength of the solution from which they are counted, % w/v. */
  percent: number
}

/**
 * How a trace of a substance is measured: by drops of the strongest solution of which there are three or more.
 *
 * @param grams above 0.
 * @param dropsPerMillilitre of the dropper.
 * @returns `null` for what can be weighed, and for less than three drops of the weakest solution.
 */
export function dropsOfSolution(grams: number, dropsPerMillilitre: number): DropsOfSolution | null {
  if (!(grams > 0) || grams >= LEAST_WEIGHED) return null
  for (const percent of STRENGTHS) {
    const drops = (grams / percent) * 100 * dropsPerMillilitre
    if (drops >= LEAST_DROPS) return { drops: Math.round(drops), percent }
  }
  return null
}
