import { refusalOfIssue } from '../errors'
import type { Refusal } from '../errors'
import { RECORD_SCHEMAS, type Kind } from '../schema/records'

/** What is wrong with a record that its schema refuses, in words; `null` for a sound one. */
export function refusalOfRecord(kind: Kind, value: unknown): Refusal | null {
  const issue = RECORD_SCHEMAS[kind].safeParse(value).error?.issues[0]
  return issue ? refusalOfIssue(issue, kind) : null
}
