import { belongs, type Cause, type FaultBook, type FaultFact, type FaultTest, type Trait } from './faultBook'

/** Another cause that looks the same, and what tells the two apart. */
export interface Alike {
  cause: Cause
  /** A fact that is true of the one and not of the other; `isTrue` says of which: of this other cause, or not of it. */
  by: { fact: FaultFact; isTrue: boolean } | null
}

/** Looks that two causes share, over all that they show, below which one is not mistaken for the other. */
const ALIKE = 0.6
/** Shares of a fact this far apart tell two causes from one another. */
const APART = 0.35

/** How much two causes look the same, 0 to 1: the cosine of the shares of what they show. */
export function likeness(one: Pick<Cause, 'shows'>, other: Pick<Cause, 'shows'>): number {
  const length = ({ shows }: Pick<Cause, 'shows'>) => Math.hypot(...Object.values(shows))
  const dot = Object.entries(one.shows).reduce((sum, [id, share]) => sum + share * (other.shows[id] ?? 0), 0)
  return dot / (length(one) * length(other) || 1)
}

/**
 * Causes that look most like one, the most usual first, each with the fact that tells it from that one best.
 *
 * @param most how many at most.
 */
export function alikeTo(book: FaultBook, cause: Cause, traits: ReadonlySet<Trait>, most = 3): Alike[] {
  return book.causes
    .filter((other) => other.id !== cause.id && belongs(other.needs, traits))
    .map((other) => ({ other, like: likeness(cause, other) }))
    .filter(({ like }) => like >= ALIKE)
    .sort((a, b) => b.like * b.other.weight - a.like * a.other.weight)
    .slice(0, most)
    .map(({ other }) => ({ cause: other, by: tellingApart(book, cause, other, traits) }))
}

function tellingApart(book: FaultBook, cause: Cause, other: Cause, traits: ReadonlySet<Trait>): Alike['by'] {
  const facts = book.facts
    .filter((fact) => belongs(fact.needs, traits) && !fact.moment)
    .map((fact) => ({
      fact,
      apart: (other.facts[fact.id] ?? fact.base) - (cause.facts[fact.id] ?? fact.base),
    }))
    .filter(({ apart }) => Math.abs(apart) >= APART)
    .sort((a, b) => Math.abs(b.apart) - Math.abs(a.apart))
  const [best] = facts
  return best ? { fact: best.fact, isTrue: best.apart > 0 } : null
}

/** A test that misses a cause more often than this proves nothing of it. */
const PROVES = 0.5

/**
 * The test that takes a cause away most surely, of equals the one of less effort.
 *
 * @param done tests that the sheet was already made by.
 * @returns `null` where the book has none.
 */
export function proofOf(
  book: FaultBook,
  { id }: Pick<Cause, 'id'>,
  traits: ReadonlySet<Trait>,
  done: readonly string[] = [],
): FaultTest | null {
  const [best] = book.tests
    .filter((test) => belongs(test.needs, traits) && !done.includes(test.id))
    .filter(({ cures }) => (cures[id] ?? 0) >= PROVES)
    .sort((a, b) => (b.cures[id] ?? 0) - (a.cures[id] ?? 0) || a.effort - b.effort)
  return best ?? null
}
