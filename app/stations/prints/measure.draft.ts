import { texts } from './words'
import { parseQuantity } from '@core/quantity/parse'
import { numberOrNull } from '@core/quantity/number'
import { CoreError } from '@core/errors'
import { Reading } from '@core/schema/judgement'

/** What is typed of one place of a print. */
export interface ReadingDraft {
  of: Reading['of']
  name: string
  density: string
  lab: string
}

export const emptyReadings = (): ReadingDraft[] => [
  { of: 'black', name: '', density: '', lab: '' },
  { of: 'white', name: '', density: '', lab: '' },
]

/**
 * Reads what was typed; places left empty are left out.
 *
 * @throws CoreError `unreadable`, `nothing`, `twice` with the index of the place in `field`.
 */
export function readReadings(drafts: readonly ReadingDraft[]): Reading[] {
  const readings = drafts.flatMap((draft, i): Reading[] => {
    const density = draft.density.trim()
      ? parseQuantity(draft.density, 'opticalDensity', { field: `density-${i}`, bareUnit: 'D' })
      : undefined
    const lab = draft.lab.trim() ? labOf(draft.lab, `lab-${i}`) : undefined
    if (density === undefined && lab === undefined) return []
    const name = draft.of === 'patch' ? draft.name.trim().slice(0, 200) || `patch ${i - 1}` : ''
    const read = Reading.safeParse({
      of: draft.of,
      name,
      ...(density !== undefined && { density }),
      ...(lab && { lab }),
    })
    if (!read.success) throw refuse(`density-${i}`, texts.thisValueNotPlausibleFor, texts.enterDensityFrom05)
    return [read.data]
  })
  if (!readings.length)
    throw new CoreError({
      code: 'nothing',
      field: 'density-0',
      problem: 'There is no measurement to save.',
      remedy: texts.enterAtLeastOneDensity,
    })
  const names = readings.map((one) => `${one.of}/${one.name}`)
  if (new Set(names).size < names.length)
    throw refuse('density-0', 'Two patches have the same name.', 'Give each patch its own name.')
  return readings
}

function labOf(text: string, field: string): [number, number, number] {
  const parts = text
    .split(/[\s;/]+|,(?=\s)/)
    .map((part) => part.replace(/[Lab*=:]+/gi, ''))
    .filter(Boolean)
    .map(numberOrNull)
  if (parts.length !== 3 || parts.some((part) => part === null))
    throw refuse(field, `“${text}” is not a colour.`, texts.enterLab)
  return parts as [number, number, number]
}

const refuse = (field: string, problem: string, remedy: string) =>
  new CoreError({ code: 'unreadable', field, problem, remedy })
