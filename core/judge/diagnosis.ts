import { belongs, type Cause, type FaultBook, type FaultFact, type FaultTest, type Trait } from './faultBook'

/** A fact about a print that is known: from its record, or as the user answered. */
export interface Observed {
  factId: string
  is: boolean
  /** In plain words with its figures: `fixed 2 min where 4 is due`. */
  said: string
  /** Measured or written while the print was made, and not answered from memory. */
  isRecorded?: boolean
}

/** What spoke for or against a cause. */
export interface Evidence {
  said: string
  /** How many times likelier the cause makes it than chance: above 1 speaks for it. */
  ratio: number
}

export interface RankedCause {
  cause: Cause
  /** 0 to 1; those of all causes come to 1. */
  probability: number
  /** Strongest first. */
  for: readonly Evidence[]
  against: readonly Evidence[]
  /** Prints of one's own in which it turned out to be the cause, and how they changed its weight. */
  own: { confirmed: number; factor: number }
}

export interface DiagnosisInput {
  traits: ReadonlySet<Trait>
  symptoms: readonly string[]
  observed: readonly Observed[]
  /** Causes that the user confirmed for earlier prints, one each. */
  confirmed: readonly string[]
  /** Causes that are ruled out for this print. */
  ruledOut?: readonly string[]
}

/** The book's weights are trusted like so many prints of one's own. */
const BOOK_PRINTS = 20
/** A symptom no one picked speaks against a cause, but people leave some out. */
const SILENCE = 0.35
/** What a cause does not make shows beside it by chance: in so much of the prints that show it at all. */
const BESIDE = 0.25
/** What a record proves of a cause is not outweighed by one look that the cause is not known for. */
const BESIDE_PROVEN = 0.75
const PROVEN = 0.8
/** By chance alone nothing is certain. */
const LEAST = 0.01
/** Evidence this near to 1 is not worth a line. */
const TELLING = 1.25

/** Every share is kept off 0 and 1, where one odd fact would settle everything. */
const sure = (share: number): number => Math.min(1 - LEAST, Math.max(LEAST, share))

/**
 * Ranks the causes of a fault: the book's weights, moved by one's own confirmed cases, times how much likelier each cause
 * makes what is seen and known than chance does (naive Bayes).
 *
 * @returns causes that can happen to such a print, likeliest first; probabilities come to 1.
 */
export function diagnose(book: FaultBook, input: DiagnosisInput): RankedCause[] {
  const causes = book.causes.filter(
    (cause) => belongs(cause.needs, input.traits) && !input.ruledOut?.includes(cause.id),
  )
  const total = causes.reduce((sum, cause) => sum + cause.weight, 0)
  const ids = new Set(causes.map((cause) => cause.id))
  const counted = input.confirmed.filter((id) => ids.has(id))
  const ranked = causes.map((cause) => {
    const usual = cause.weight / total
    const confirmed = counted.filter((id) => id === cause.id).length
    const prior = (BOOK_PRINTS * usual + confirmed) / (BOOK_PRINTS + counted.length)
    const evidence = evidenceFor(book, cause, input)
    const score = evidence.reduce((sum, one) => sum + Math.log(one.ratio), Math.log(prior))
    const strongest = (list: Evidence[]) =>
      list.sort((a, b) => Math.abs(Math.log(b.ratio)) - Math.abs(Math.log(a.ratio)))
    return {
      cause,
      score,
      own: { confirmed, factor: prior / usual },
      for: strongest(evidence.filter((one) => one.ratio >= TELLING)),
      against: strongest(evidence.filter((one) => one.ratio <= 1 / TELLING)),
    }
  })
  const best = Math.max(...ranked.map((one) => one.score))
  const sum = ranked.reduce((all, one) => all + Math.exp(one.score - best), 0)
  return ranked
    .map(({ score, ...one }) => ({ ...one, probability: Math.exp(score - best) / sum }))
    .sort((a, b) => b.probability - a.probability)
}

function evidenceFor(
  book: FaultBook,
  cause: Cause,
  { traits, symptoms, observed }: DiagnosisInput,
): Evidence[] {
  const isProven = observed.some(
    ({ factId, is, isRecorded }) => isRecorded && is && (cause.facts[factId] ?? 0) >= PROVEN,
  )
  const beside = isProven ? BESIDE_PROVEN : BESIDE
  const seen = book.symptoms
    .filter((symptom) => belongs(symptom.needs, traits))
    .map((symptom): Evidence => {
      const [share, base] = [sure(cause.shows[symptom.id] ?? beside * symptom.base), sure(symptom.base)]
      return symptoms.includes(symptom.id)
        ? { said: `you see it: ${lower(symptom.name)}`, ratio: share / base }
        : {
            said: `usual with this cause but not seen: ${lower(symptom.name)}`,
            ratio: ((1 - share) / (1 - base)) ** SILENCE,
          }
    })
  const known = observed.flatMap((one): (Evidence & { group: string })[] => {
    const fact = book.facts.find((each) => each.id === one.factId)
    if (!fact) return []
    const [share, base] = [sure(cause.facts[fact.id] ?? fact.base), sure(fact.base)]
    const ratio = one.is ? share / base : (1 - share) / (1 - base)
    return [{ said: one.said, ratio, group: fact.group ?? fact.id }]
  })
  return [...seen, ...strongestOfGroups(known)]
}

/** Of facts that say the same thing the one that says most, so that nothing counts twice. */
function strongestOfGroups(known: readonly (Evidence & { group: string })[]): Evidence[] {
  const best = new Map<string, Evidence>()
  for (const { group, ...one } of known) {
    const before = best.get(group)
    if (!before || Math.abs(Math.log(one.ratio)) > Math.abs(Math.log(before.ratio))) best.set(group, one)
  }
  return [...best.values()]
}

const lower = (text: string) => text.charAt(0).toLowerCase() + text.slice(1)

/** Information in a split of probabilities, bits. */
export const entropy = (probabilities: readonly number[]): number =>
  -probabilities.reduce((sum, p) => (p > 0 ? sum + p * Math.log2(p) : sum), 0)

/**
 * What one yes or no is expected to tell of the causes, in bits: how much less is open after it, each answer weighed by
 * how likely it is.
 *
 * @param yes probability of a yes for each cause, in the order of `ranked`.
 */
export function expectedBits(
  ranked: readonly Pick<RankedCause, 'probability'>[],
  yes: readonly number[],
): number {
  const before = ranked.map((one) => one.probability)
  const after = [true, false].map((answer) => {
    const joint = before.map((p, i) => p * (answer ? (yes[i] as number) : 1 - (yes[i] as number)))
    const likely = joint.reduce((sum, one) => sum + one, 0)
    return likely > 0 ? likely * entropy(joint.map((one) => one / likely)) : 0
  })
  return entropy(before) - after.reduce((sum, one) => sum + one, 0)
}

/** Chance that a fault goes away with a change that has nothing to do with it. */
const BY_CHANCE = 0.08

export interface RankedTest {
  test: FaultTest
  /** Expected information, bits. */
  bits: number
  /** Causes it would point to, likeliest first. */
  cures: readonly Cause[]
  /** The likeliest cause that it takes away and the likeliest that it leaves: what it tells apart. */
  separates: readonly [Cause, Cause] | null
}

/** What a scrap, a sheet and a new solution cost in time and material, against each other. */
const COST = { 1: 1, 2: 1.5, 3: 2.5 } as const
/** A test that tells less than this is none. */
const LEAST_TOLD = 0.01

/** What is known of the print that a test is chosen for. */
export interface TestedPrint {
  traits: ReadonlySet<Trait>
  symptoms?: readonly string[]
  /** Tests that the sheet was already made by: a rod for a sheet that was coated by rod. */
  done?: readonly string[]
}

/**
 * Tests for the next sheet, the one first that is expected to tell most about the cause for what it costs. Left out are
 * those that cannot show what is seen, tell nothing, or were done already.
 */
export function rankTests(
  book: FaultBook,
  ranked: readonly RankedCause[],
  { traits, symptoms = [], done = [] }: TestedPrint,
): RankedTest[] {
  const canShow = ({ shows }: FaultTest) =>
    !shows || !symptoms.length || shows.some((one) => symptoms.includes(one))
  const isCured = (test: FaultTest, cause: Cause) => (test.cures[cause.id] ?? 0) >= 0.5
  const worth = ({ test, bits }: RankedTest) => bits / COST[test.effort]
  return book.tests
    .filter((test) => belongs(test.needs, traits) && canShow(test) && !done.includes(test.id))
    .map((test) => ({
      test,
      bits: expectedBits(
        ranked,
        ranked.map(({ cause }) => test.cures[cause.id] ?? BY_CHANCE),
      ),
      cures: ranked.filter(({ cause }) => cause.id in test.cures).map(({ cause }) => cause),
      separates: separatedBy(ranked, (cause) => isCured(test, cause)),
    }))
    .filter(({ bits }) => bits >= LEAST_TOLD)
    .sort((a, b) => worth(b) - worth(a) || b.bits - a.bits)
}

function separatedBy(
  ranked: readonly RankedCause[],
  isCured: (cause: Cause) => boolean,
): readonly [Cause, Cause] | null {
  const gone = ranked.find(({ cause }) => isCured(cause))
  const left = ranked.find(({ cause }) => !isCured(cause))
  return gone && left ? [gone.cause, left.cause] : null
}

/** Ranking after a test of its own came out one way or the other. */
export function afterTest(
  ranked: readonly RankedCause[],
  test: FaultTest,
  outcome: 'changed' | 'same',
): RankedCause[] {
  const weighed = ranked.map((one) => {
    const share = test.cures[one.cause.id] ?? BY_CHANCE
    return { ...one, probability: one.probability * (outcome === 'changed' ? share : 1 - share) }
  })
  const sum = weighed.reduce((all, one) => all + one.probability, 0)
  return weighed
    .map((one) => ({ ...one, probability: one.probability / sum }))
    .sort((a, b) => b.probability - a.probability)
}

/** An answer worth less than this is not worth the asking. */
const LEAST_BITS = 0.02

/** Questions that no record answers, first those that tell most and can be known most easily. */
export function rankQuestions(
  book: FaultBook,
  ranked: readonly RankedCause[],
  { traits, observed }: Pick<DiagnosisInput, 'traits' | 'observed'>,
): FaultFact[] {
  const known = new Set(observed.map((one) => one.factId))
  return book.facts
    .filter((fact) => fact.ask !== undefined && !known.has(fact.id) && belongs(fact.needs, traits))
    .map((fact) => ({
      fact,
      bits: expectedBits(
        ranked,
        ranked.map(({ cause }) => sure(cause.facts[fact.id] ?? fact.base)),
      ),
    }))
    .filter(({ bits }) => bits >= LEAST_BITS)
    .sort((a, b) => b.bits * (b.fact.ease ?? 1) - a.bits * (a.fact.ease ?? 1))
    .map(({ fact }) => fact)
}
