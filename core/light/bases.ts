import type { Figure } from '../quantity/figure'
import type { Base } from '../schema/light'

/** One combination for which a base exposure can be kept. */
export interface Combination {
  processId: string
  choices: Readonly<Record<string, string>>
  paperId?: string | undefined
  lightId: string
}

/** A base exposure that was kept, and where found under other conditions than are asked for. */
export interface FoundBase {
  base: Base
  differs: ('paper' | 'choices')[]
}

/**
 * The base exposure to start from: the newest of the same process and light, of the same paper and sensitizer before
 * any other.
 */
export function baseFor(bases: readonly Base[], wanted: Combination): FoundBase | null {
  const candidates = bases
    .filter(
      (base) =>
        base.takenBackAt === undefined &&
        base.processId === wanted.processId &&
        base.lightId === wanted.lightId,
    )
    .map((base): FoundBase => {
      const other = Object.entries(base.choices).some(
        ([choice, option]) => (wanted.choices[choice] ?? option) !== option,
      )
      return {
        base,
        differs: [
          ...(base.paperId !== wanted.paperId ? ['paper' as const] : []),
          ...(other ? ['choices' as const] : []),
        ],
      }
    })
  return candidates.sort((a, b) => a.differs.length - b.differs.length || b.base.at - a.base.at)[0] ?? null
}

/** Less than this share of the light in which a base was found is no light to plan by. */
const LEAST_SHARE = 0.02

/** An exposure that follows from a base exposure. */
export interface ExposureFromBase {
  seconds: Figure
  /** The dose it stands for, mJ/cm²; absent where the base was found without knowing the light. */
  millijoulesPerCm2?: number
}

/**
 * Seconds to give now for the dose of a base exposure.
 *
 * @param expected light now, where it is known in the same units; without it the base's own time is given.
 * @param schwarzschild exponent p of E·tᵖ for this light; 1 where light and time stand for each other.
 */
export function exposureFromBase(
  { base, differs }: FoundBase,
  expected: Figure | null,
  schwarzschild = 1,
): ExposureFromBase {
  const dose = base.milliwattsPerCm2 === undefined ? undefined : base.seconds * base.milliwattsPerCm2
  // Under a sun that is down no time would be enough; then the base's own stands, and the clock counts its dose.
  const isScaled =
    dose !== undefined && expected !== null && expected.value > LEAST_SHARE * (base.milliwattsPerCm2 ?? 0)
  const half =
    base.highSeconds !== undefined ? (base.highSeconds - (base.lowSeconds ?? base.seconds)) / 2 : undefined
  const scale = isScaled ? ((base.milliwattsPerCm2 ?? 1) / expected.value) ** (1 / schwarzschild) : 1
  return {
    ...(dose !== undefined && { millijoulesPerCm2: dose }),
    seconds: {
      value: base.seconds * scale,
      unit: 's',
      ...(half !== undefined && {
        uncertainty: isScaled
          ? base.seconds *
            scale *
            Math.hypot(half / base.seconds, (expected.uncertainty ?? 0) / expected.value)
          : half,
      }),
      working: {
        words: isScaled ? 'dose of the base exposure ÷ light now' : 'the saved base exposure',
        formula: !isScaled ? 't = t₀' : schwarzschild === 1 ? 't = t₀·E₀ / E' : 't = t₀·(E₀ / E)^(1/p)',
        inputs: [
          { name: 'base exposure', symbol: 't₀', value: base.seconds, unit: 's', standing: 'yours' },
          ...(isScaled
            ? [
                {
                  name: 'light at that time',
                  symbol: 'E₀',
                  value: base.milliwattsPerCm2 ?? 0,
                  unit: 'mW/cm²',
                  standing: 'yours' as const,
                },
                {
                  name: 'light now',
                  symbol: 'E',
                  value: expected.value,
                  unit: 'mW/cm²',
                  standing: expected.working.standing,
                },
              ]
            : []),
        ],
        standing: 'yours',
        source: SOURCE[base.by],
        ...(differs.length && {
          leavesOut: `found ${differs.map((one) => OTHER[one]).join(' and ')}`,
        }),
      },
    },
  }
}

const SOURCE = {
  strip: 'Your test strip',
  eye: 'Your test strip, by eye',
  typed: 'Entered by you',
  calibration: 'The exposure of your calibration',
} as const
const OTHER = { paper: 'on another paper', choices: 'with another recipe or sensitizer' } as const
