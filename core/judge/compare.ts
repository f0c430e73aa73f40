import { digits } from '../quantity/format'
import type { Standing } from '../quantity/figure'
import type { FactKind, ThreadFact } from './threadFacts'

/**
 * How much a difference is likely to change the print: for words the weight as it is, for numbers the weight of a
 * doubling (`ratio`) or of one unit (`step`).
 */
export interface EffectWeight {
  weight: number
  by: 'word' | 'ratio' | 'step'
}
export interface EffectBook {
  weights: Readonly<Record<FactKind, EffectWeight>>
  standing: Standing
  source: string
}

/** Something in which two prints differ. */
export interface Difference {
  kind: FactKind
  of: string
  name: string
  /** As each print has it, in the order given; `null` where its record does not say. */
  said: readonly (string | null)[]
  /** How much it is likely to have changed the print: larger is more. */
  effect: number
  /** In a line: `11 % more`, `twice as long`; empty where words differ. */
  change: string
}

/** Numbers nearer than this share of each other are the same; no one counts finer at the bench. */
const SAME = 0.03

/**
 * What differs in the threads of two prints or more, in order of likely effect.
 *
 * @param threads facts of each print, in the order in which they are compared.
 * @param book how much each kind of difference is likely to do.
 */
export function differencesOf(threads: readonly (readonly ThreadFact[])[], book: EffectBook): Difference[] {
  const keys = new Map<string, ThreadFact>()
  for (const thread of threads) for (const one of thread) if (!keys.has(keyOf(one))) keys.set(keyOf(one), one)
  return [...keys.entries()]
    .flatMap(([key, sample]): Difference[] => {
      const found = threads.map((thread) => thread.find((one) => keyOf(one) === key) ?? null)
      const known = found.flatMap((one) => (one ? [one.value] : []))
      if (known.length < threads.length && sample.kind !== 'bath') {
        // What only one record tells is worth a word where it is a step or a choice, not where no one looked.
        if (!TOLD_BY_ONE.has(sample.kind)) return []
      } else if (isSame(known, book.weights[sample.kind])) return []
      const effect = effectOf(known, known.length < threads.length, book.weights[sample.kind])
      return effect > 0
        ? [
            {
              kind: sample.kind,
              of: sample.of,
              name: sample.name,
              said: found.map((one) => one?.said ?? null),
              effect,
              change: known.length === threads.length ? changeSaid(known, book.weights[sample.kind]) : '',
            },
          ]
        : []
    })
    .sort((a, b) => b.effect - a.effect)
}

const TOLD_BY_ONE: ReadonlySet<FactKind> = new Set(['develop', 'clear', 'fix', 'tone', 'wash', 'choice'])
const keyOf = (one: ThreadFact) => `${one.kind}/${one.of}`

function isSame(values: readonly (number | string)[], { by }: EffectWeight): boolean {
  const [first] = values
  if (typeof first !== 'number') return values.every((one) => one === first)
  const numbers = values as number[]
  const [low, high] = [Math.min(...numbers), Math.max(...numbers)]
  return by === 'ratio' ? high <= low * (1 + SAME) : high - low < 0.5
}

function effectOf(
  values: readonly (number | string)[],
  isMissing: boolean,
  { weight, by }: EffectWeight,
): number {
  if (isMissing || by === 'word' || typeof values[0] !== 'number') return weight
  const numbers = values as number[]
  const [low, high] = [Math.min(...numbers), Math.max(...numbers)]
  if (by === 'step') return weight * (high - low)
  // Against nothing at all a ratio says nothing: four doublings stand for it.
  return weight * (low > 0 ? Math.min(4, Math.log2(high / low)) : 4)
}

/** The last against the first. */
function changeSaid(values: readonly (number | string)[], { by }: EffectWeight): string {
  const [from, to] = [values[0], values.at(-1)]
  if (typeof from !== 'number' || typeof to !== 'number' || from === to) return ''
  const word = to > from ? 'more' : 'less'
  if (by === 'step' || from <= 0) return `${digits(Math.abs(to - from), 2)} ${word}`
  const ratio = to / from
  if (ratio >= 1.95) return `${digits(ratio, 2)} times as much`
  return `${digits(Math.abs(ratio - 1) * 100, 2)} % ${word}`
}
