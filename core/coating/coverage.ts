import { mean, standardDeviation } from '../quantity/statistics'
import type { Figure, Standing } from '../quantity/figure'
import { BRUSH_COVERAGE, BRUSH_SOURCE } from './coatVolume'

export type Tool = 'brush' | 'rod' | 'sponge' | 'cotton'

/** A glass rod lays about this much of what a brush does; recalled, not looked up. */
const ROD_SHARE = 0.6
/** A coat said to be short or over, without a measure, moves the estimate by this much beyond what was laid. */
const STEP = 0.1
/** How many of the last coats count. */
const REMEMBERED = 12

/** One coat that was laid and judged. */
export interface JudgedCoat {
  tool: Tool
  areaSquareCentimetres: number
  millilitres: number
  said: 'short' | 'right' | 'over'
  /** Millilitres left in the glass or added, where it was measured. */
  byMillilitres?: number
}

/** A coverage by brush and where it comes from. */
export interface BrushCoverage {
  millilitresPerM2: number
  standing: Standing
  source: string
}

const USUAL: BrushCoverage = { millilitresPerM2: BRUSH_COVERAGE, standing: 'practice', source: BRUSH_SOURCE }

/**
 * Coverage to start from with a tool.
 *
 * @param brush by brush, the process's own where it has one.
 */
export function usualCoverage(tool: Tool, brush: BrushCoverage = USUAL): Figure {
  const isRod = tool === 'rod'
  const share = isRod ? ROD_SHARE : 1
  return {
    value: brush.millilitresPerM2 * share,
    unit: 'ml/m²',
    working: {
      words: isRod ? 'by brush × what a rod lays of it' : 'by brush',
      formula: isRod ? 'k = kᵦ·r' : 'k = kᵦ',
      inputs: [
        {
          name: 'by brush',
          symbol: 'kᵦ',
          value: brush.millilitresPerM2,
          unit: 'ml/m²',
          standing: brush.standing,
        },
        ...(isRod
          ? [{ name: 'rod', symbol: 'r', value: ROD_SHARE, unit: '', standing: 'memory' as const }]
          : []),
      ],
      standing: tool === 'brush' ? brush.standing : 'memory',
      source:
        tool === 'brush'
          ? brush.source
          : isRod
            ? `${brush.source}. A rod uses about 60 % of a brush (from memory)`
            : `${brush.source}. The value for a brush, until your own coats are recorded (from memory)`,
    },
  }
}

/**
 * Coverage learned from one's own coats: each coat says what would have been right, and the last ones are averaged.
 *
 * @param coats oldest first; only those by the tool count.
 * @returns ml/m² with its spread as uncertainty; `null` before the first judged coat.
 */
export function learnedCoverage(coats: readonly JudgedCoat[], tool: Tool): Figure | null {
  const wanted = coats
    .filter((coat) => coat.tool === tool && coat.areaSquareCentimetres > 0)
    .slice(-REMEMBERED)
    .map((coat) => (10_000 * rightVolume(coat)) / coat.areaSquareCentimetres)
  if (!wanted.length) return null
  const spread = standardDeviation(wanted)
  return {
    value: mean(wanted),
    unit: 'ml/m²',
    ...(spread !== undefined && { uncertainty: spread }),
    working: {
      words: 'mean of what your last coats would have taken',
      formula: 'k = Σkᵢ / n',
      inputs: wanted.map((value, i) => ({
        name: `coat ${i + 1} of ${wanted.length}`,
        symbol: `k${i + 1}`,
        value,
        unit: 'ml/m²',
        standing: 'yours' as const,
      })),
      standing: 'yours',
      source: 'Your own coats: not enough, just right, too much',
      leavesOut: 'a coat judged only by eye counts as 10 % too little or too much',
    },
  }
}

function rightVolume({ millilitres, said, byMillilitres }: JudgedCoat): number {
  if (said === 'right') return millilitres
  const by = byMillilitres ?? millilitres * STEP
  return said === 'short' ? millilitres + by : Math.max(0, millilitres - by)
}
