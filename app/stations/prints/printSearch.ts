import { placeOf, verdictOf } from '@core/run/place'
import type { Bottle, Light, Paper } from '@core/schema/records'
import type { SheetInRoom } from '../../state/workroom.store'

/** Where a print stands, as far as a collection is sorted by it. */
export const STANDINGS = [
  { id: 'kept', name: 'kept' },
  { id: 'again', name: 'to be printed again' },
  { id: 'undecided', name: 'not decided' },
  { id: 'line', name: 'drying' },
  { id: 'work', name: 'in progress' },
  { id: 'aside', name: 'set aside' },
] as const
export type StandingId = (typeof STANDINGS)[number]['id']

export function standingIdOf({ state }: SheetInRoom): StandingId {
  const place = placeOf(state)
  if (place === 'setAside') return 'aside'
  const verdict = verdictOf(state)
  if (verdict === 'keep') return 'kept'
  if (verdict === 'again') return 'again'
  if (place === 'finished') return 'undecided'
  return place === 'line' ? 'line' : 'work'
}

/** What is asked of the collection; empty fields ask nothing. */
export interface PrintFilter {
  words: string
  portfolio: string
  processId: string
  standing: StandingId | ''
}

/** What a thread names that is in other records. */
export interface ThreadNames {
  papers: ReadonlyMap<string, Paper>
  lights: ReadonlyMap<string, Light>
  bottles: ReadonlyMap<string, Bottle>
}

const MONTHS = 'january february march april may june july august september october november december'.split(
  ' ',
)

/** Everything known of one sheet in one line of lower-case text. */
export function threadText({ sheet, state, definition }: SheetInRoom, names: ThreadNames): string {
  const drawn = state.steps.flatMap((step) => step.drawn.map((one) => one.bottleId))
  const bottles = new Set([...Object.values(sheet.bottles), ...drawn])
  const begun = new Date(state.begunAt ?? sheet.createdAt)
  const chosen = definition.choices.map(
    (choice) => choice.options.find((one) => one.id === sheet.choices[choice.id])?.name,
  )
  return [
    `sheet ${sheet.number}`,
    sheet.title,
    sheet.portfolio,
    sheet.subject,
    sheet.edition
      ? `edition ${sheet.edition.number}${sheet.edition.of ? ` of ${sheet.edition.of}` : ''}`
      : '',
    sheet.strip ? 'test strip' : '',
    definition.name,
    ...chosen,
    names.papers.get(sheet.paperId ?? '')?.name,
    names.lights.get(sheet.lightId ?? '')?.name,
    ...[...bottles].map((id) => names.bottles.get(id)?.label),
    `${begun.getDate()} ${MONTHS[begun.getMonth()] ?? ''} ${begun.getFullYear()}`,
    STANDINGS.find((one) => one.id === standingIdOf({ sheet, state, definition }))?.name,
    ...state.notes.map((note) => note.text),
    ...state.judgements.map(
      (one) =>
        `${one.verdict} ${one.shadows ? `shadows ${one.shadows}` : ''} ${one.highlights ? `highlights ${one.highlights}` : ''} ${one.whites ? `whites ${one.whites}` : ''} ${one.note}`,
    ),
    state.setAside?.reason,
  ]
    .filter(Boolean)
    .join(' ')
    .toLowerCase()
}

/** Texts of threads, made once for as long as a thread and what it names stay as they are. */
export class ThreadTexts {
  private texts = new WeakMap<SheetInRoom, string>()
  private names: ThreadNames | null = null

  /** @param stack every layer of the sheet, so that a word of any of them finds it. */
  of(stack: readonly SheetInRoom[], names: ThreadNames): string {
    if (this.names !== names) {
      this.texts = new WeakMap()
      this.names = names
    }
    const [first] = stack
    // Most are alone, and a text that is put together again has to be laid out in memory before it can be searched.
    if (first && stack.length === 1) return this.ofOne(first, names)
    return stack.map((one) => this.ofOne(one, names)).join(' ')
  }

  private ofOne(one: SheetInRoom, names: ThreadNames): string {
    const known = this.texts.get(one)
    if (known !== undefined) return known
    const text = threadText(one, names)
    this.texts.set(one, text)
    return text
  }
}

/** The words that all have to be found; what is in “quotes” is found as it stands. */
export const wordsOf = (text: string): string[] =>
  [...text.toLowerCase().matchAll(/["“]([^"”]+)["”]?|(\S+)/g)].map((match) =>
    (match[1] ?? match[2] ?? '').trim(),
  )

/**
 * Prints that the filter lets through, in the order given.
 *
 * @param textOf text of everything known of a print (see `ThreadTexts`); asked only where words are.
 * @param isWithin whether a value of it is where it is wanted (see `rangeOf`).
 */
export function found(
  prints: readonly SheetInRoom[],
  { words, portfolio, processId, standing }: PrintFilter,
  textOf: (one: SheetInRoom) => string,
  isWithin: ((one: SheetInRoom) => boolean) | null = null,
): SheetInRoom[] {
  const wanted = wordsOf(words).filter(Boolean)
  return prints.filter(
    (one) =>
      (!portfolio || one.sheet.portfolio === portfolio) &&
      (!processId || one.sheet.process.id === processId) &&
      (!standing || standingIdOf(one) === standing) &&
      (!isWithin || isWithin(one)) &&
      (!wanted.length || includesAll(textOf(one), wanted)),
  )
}

const includesAll = (text: string, words: readonly string[]) => words.every((word) => text.includes(word))
