import type { z } from 'zod'
import type { Refusal } from '../errors'
import { RECORD_SCHEMAS, type Holdings } from './records'

/** What is wrong with a record that its schema refuses, in words; `null` for a sound one. */
export function refusalOfRecord(kind: keyof Holdings, value: unknown): Refusal | null {
  const issue = RECORD_SCHEMAS[kind].safeParse(value).error?.issues[0]
  if (!issue) return null
  const where = issue.path.filter((part) => typeof part === 'string').at(-1) ?? kind
  return {
    code: 'wrong-record',
    field: String(where),
    problem: `This cannot be saved: ${wordsOfIssue(issue, spaced(String(where)))}.`,
    remedy: 'Correct it and try again. Nothing was changed.',
  }
}

/** `milliwattsPerCm2` reads `milliwatts per cm2`. */
const spaced = (name: string) => name.replace(/([a-z])([A-Z])/g, '$1 $2').toLowerCase()

/** One fault of a schema as a person would say it. */
function wordsOfIssue(issue: z.core.$ZodIssue, name: string): string {
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
