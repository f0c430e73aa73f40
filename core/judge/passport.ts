import { cameFinished } from '../run/place'
import type { SubstanceBook } from '../chemistry/lots'
import type { UnitChoice } from '../quantity/format'
import type { StoryLine } from '../run/story'
import { materialsOf, type MaterialRow } from './materials'
import type { PrintRecord } from './printRecord'
import { resultsOf, type ResultRow } from './results'

/** What is on the passport of a print, in the order in which it is printed. */
export interface Passport {
  title: string
  /** Sheet, edition, portfolio. */
  line: string
  process: string
  madeAt: number | null
  /** Name and value of each material. */
  materials: readonly MaterialRow[]
  steps: readonly StoryLine[]
  results: readonly ResultRow[]
  care: readonly string[]
}

/**
 * The passport of a print: what it is, of what it was made and how, what it measured, how to keep it.
 *
 * @param story its record told in lines (see `storyOf`).
 * @param care words on keeping it, that belong to it.
 */
export function passportOf(
  record: PrintRecord,
  story: readonly StoryLine[],
  care: readonly string[],
  units: UnitChoice,
  book: SubstanceBook,
): Passport {
  const { sheet, definition, state } = record
  const edition = sheet.edition
  const numbered =
    edition &&
    `${edition.isProof ? 'proof' : 'print'} ${edition.number}${edition.of ? ` of ${edition.of}` : ''}`
  return {
    title: sheet.title,
    line: [`Sheet ${sheet.number}`, numbered, sheet.portfolio].filter(Boolean).join(' · '),
    process: definition.name,
    madeAt: cameFinished(state) ? null : state.begunAt,
    materials: materialsOf(record, book, units),
    steps: story,
    results: resultsOf([state]),
    care,
  }
}
