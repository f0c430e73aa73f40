import { z } from 'zod'
import { refusalOfIssue } from './schemaWords'

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
