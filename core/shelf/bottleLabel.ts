import { CoreError } from '../errors'
import type { Bottle } from '../schema/records'

/**
 * The first label of the initials of a name that no bottle has ever had.
 *
 * @returns such as `IC-3`.
 */
export function freeLabel(name: string, bottles: readonly Bottle[]): string {
  const initials = name
    .split(/\s+/)
    .slice(0, 3)
    .map((word) => word[0]?.toUpperCase() ?? '')
    .join('')
  const taken = new Set(bottles.map((one) => one.label))
  let n = 1
  while (taken.has(`${initials}-${n}`)) n++
  return `${initials}-${n}`
}

/**
 * The label that was written, or the suggested one where none was.
 *
 * @throws CoreError `taken` when another bottle on the shelf has it: two of one label cannot be told apart.
 */
export function writtenLabel(text: string, suggested: string, bottles: readonly Bottle[]): string {
  const label = text.trim() || suggested
  if (bottles.some((one) => !one.ended && one.label === label))
    throw new CoreError({
      code: 'taken',
      field: 'label',
      problem: `${label} is already on the shelf.`,
      remedy: `Choose another label, such as ${suggested}.`,
    })
  return label
}
