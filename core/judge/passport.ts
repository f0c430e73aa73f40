import { formatSize, type UnitChoice } from '../quantity/format'
import type { StoryLine } from '../run/story'
import type { Light } from '../schema/light'
import { threadFacts } from './compare'
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
  materials: readonly (readonly [name: string, value: string])[]
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
): Passport {
  const { sheet, definition, paper, light, bottles, films, state } = record
  const edition = sheet.edition
  const numbered =
    edition &&
    `${edition.isProof ? 'proof' : 'print'} ${edition.number}${edition.of ? ` of ${edition.of}` : ''}`
  const rows: (readonly [string, string | undefined])[] = [
    ['Size', formatSize(sheet, units)],
    ['Paper', paper ? `${paper.name}${paper.gramsPerM2 ? `, ${paper.gramsPerM2} g/m²` : ''}` : undefined],
    ['Coat', threadFacts(record).find((one) => one.kind === 'coverage')?.said],
    ...bottles.map(
      ({ bottle }) =>
        [
          bottle.name,
          [bottle.label, ...bottle.contents.map((one) => `${one.substanceId} ${one.percent} %`)].join(', '),
        ] as const,
    ),
    ['Light', lightSaid(light)],
    ['Exposure', threadFacts(record).find((one) => one.kind === 'exposure')?.said],
    ['Picture', sheet.subject],
    ...films.map(
      (film) => ['Negative', [film.fileName, film.layer, film.curve].filter(Boolean).join(', ')] as const,
    ),
  ]
  return {
    title: sheet.title,
    line: [`Sheet ${sheet.number}`, numbered, sheet.portfolio].filter(Boolean).join(' · '),
    process: definition.name,
    madeAt: state.begunAt,
    materials: rows.flatMap(([name, value]) => (value ? [[name, value] as const] : [])),
    steps: story,
    results: resultsOf([state]),
    care,
  }
}

const KIND = { sun: 'sun', uvBox: 'UV box', lamp: 'lamp', tubes: 'tubes' } as const
const lightSaid = (light: Light | null) => (light ? `${light.name} (${KIND[light.kind]})` : undefined)
