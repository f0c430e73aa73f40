import type { z } from 'zod'
import type { Refusal } from './errors'

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
        ? `${name} is longer than ${issue.maximum} letters`
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
      return `${name} is none of ${issue.values.map(String).join(', ')}`
    case 'unrecognized_keys':
      return `${issue.keys.join(', ')} is not known here`
    default:
      return `${name} is not of the right kind`
  }
}
