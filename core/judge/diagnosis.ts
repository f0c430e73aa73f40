import { belongs, shareOf, type Cause, type FaultBook, type FaultFact, type Trait } from './faultBook'

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
export const sure = (share: number): number => Math.min(1 - LEAST, Math.max(LEAST, share))

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
  const moment = momentKnown(book, observed)
  const known = observed.flatMap((one): (Evidence & { group: string })[] => {
    const fact = book.facts.find((each) => each.id === one.factId)
    // Where the moment is known, a no to another one says nothing more.
    if (!fact || (moment && fact.moment && fact !== moment)) return []
    const [share, base] = [sure(shareOf(fact, cause, traits)), sure(fact.base)]
    const ratio = one.is ? share / base : (1 - share) / (1 - base)
    return [{ said: one.said, ratio, group: fact.group ?? fact.id }]
  })
  return [...seen, ...strongestOfGroups(known)]
}

/** When the fault was first seen, where that is known. */
export const momentKnown = (book: FaultBook, observed: readonly Observed[]): FaultFact | undefined =>
  book.facts.find(({ id, moment }) => moment && observed.some(({ factId, is }) => is && factId === id))

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
