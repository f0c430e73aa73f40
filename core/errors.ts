import { z } from 'zod'

/** What a refusal says: the kind of fault, which field it concerns, what is wrong, and what would do. */
export interface Refusal {
  /** Stable name of the kind of fault, for code and tests. */
  code: string
  /** The field, step or file that is refused, in the user's words. */
  field: string
  /** What is wrong, as a plain sentence. */
  problem: string
  /** What would do instead, as a plain sentence. */
  remedy: string
  /** The offending piece of what was typed, where there is one. */
  part?: string
}

/** Wrong input, refused by name. It crosses worker and network borders as its plain `refusal`. */
export class CoreError extends Error {
  readonly refusal: Refusal

  constructor(refusal: Refusal) {
    super(`${refusal.field}: ${refusal.problem} ${refusal.remedy}`)
    this.name = 'CoreError'
    this.refusal = refusal
  }

  get code(): string {
    return this.refusal.code
  }
}

/**
 * The one way to refuse where several things may be wrong at one place: a maker of errors for it.
 *
 * @param field the field, step or file, in the user's words.
 * @returns takes a stable code, what is wrong, and what to do instead; each as `Refusal` has them.
 */
export const refusalAt =
  (field: string) =>
  (code: string, problem: string, remedy: string): CoreError =>
    new CoreError({ code, field, problem, remedy })

/**
 * A refusal for anything that was thrown, so that no failure reaches the user without words.
 *
 * @param thrown whatever a `catch` caught.
 * @param field what was being done, for failures that are not ours.
 */
export function refusalOf(thrown: unknown, field: string): Refusal {
  if (thrown instanceof CoreError) return thrown.refusal
  const issue = thrown instanceof z.ZodError ? thrown.issues[0] : undefined
  if (issue) return refusalOfIssue(issue, field)
  const detail = thrown instanceof Error ? thrown.message : String(thrown)
  return {
    code: 'unexpected',
    field,
    problem: `This did not work: ${detail}.`,
    remedy: 'Nothing was changed. Try again.',
  }
}

/** What a schema refuses, in words. @param fallback name for what has no field. */
export function refusalOfIssue(issue: z.core.$ZodIssue, fallback: string): Refusal {
  const field = fieldOf(issue, fallback)
  return {
    code: 'wrong-record',
    field,
    problem: `This cannot be saved: ${wordsOfIssue(issue, fallback)}.`,
    remedy: 'Correct it and try again. Nothing was changed.',
  }
}

const fieldOf = (issue: z.core.$ZodIssue, fallback: string) =>
  String(issue.path.findLast((part) => typeof part === 'string') ?? fallback)

/** `milliwattsPerCm2` reads `milliwatts per cm2`. */
const spaced = (name: string) => name.replace(/([a-z])([A-Z])/g, '$1 $2').toLowerCase()

/** One fault of a schema as a person would say it. */
export function wordsOfIssue(issue: z.core.$ZodIssue, fallback: string): string {
  const name = spaced(fieldOf(issue, fallback))
  switch (issue.code) {
    case 'too_big':
      return issue.origin === 'string'
        ? `${name} is longer than ${issue.maximum} characters`
        : issue.origin === 'array'
          ? `${name} has more than ${issue.maximum} entries`
          : `${name} is more than ${issue.maximum}`
    case 'too_small':
      return issue.origin === 'string'
        ? `${name} is empty`
        : issue.origin === 'array'
          ? `${name} has fewer than ${issue.minimum} entries`
          : `${name} is ${issue.inclusive ? 'less than' : 'not more than'} ${issue.minimum}`
    case 'invalid_value':
      return `${name} must be one of ${issue.values.map(String).join(', ')}`
    case 'unrecognized_keys':
      return `${issue.keys.join(', ')} is not known`
    default:
      return `${name} has the wrong type`
  }
}
