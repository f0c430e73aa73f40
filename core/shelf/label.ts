import { labelElements, mixtureStatements, type LabelElements, type Pictogram } from '../chemistry/ghs'
import { solutesIn, type SubstanceBook } from '../chemistry/lots'
import { digits } from '../quantity/format'
import type { Bottle } from '../schema/records'

/** What is on the label of a bottle, in the order in which it is printed. */
export interface BottleLabel {
  title: string
  label: string
  /** A line a content, with its true strength. */
  contents: string[]
  dates: string[]
  signal: 'DANGER' | 'WARNING' | null
  pictograms: Pictogram[]
  /** Hazard statements, each with its code. */
  statements: string[]
  /** Address that the QR code holds. */
  link: string
}

const SIGNAL = { danger: 'DANGER', warning: 'WARNING', none: null } as const

/**
 * The label of a bottle: contents with true strengths, dates, and the hazards of what it holds at that strength.
 *
 * @param statements wording of the hazard statements by code.
 * @param day how a moment is written on paper.
 */
export function labelOf(
  bottle: Bottle,
  book: SubstanceBook,
  statements: Readonly<Record<string, string>>,
  link: string,
  day: (moment: number) => string,
): BottleLabel {
  const hazards = hazardsOf(bottle, book)
  const unit = bottle.kind === 'solution' ? '% w/v' : bottle.kind === 'liquid' ? '% w/w' : '%'
  const forms = bottle.contents.map((one) =>
    book[one.substanceId]?.forms.find((form) => form.id === one.form),
  )
  return {
    title: bottle.name,
    label: bottle.label,
    contents: solutesIn(bottle, book).map(({ name, percentWv }, i) => {
      const form = forms[i]
      return `${name}${form && bottle.kind === 'solid' ? `, ${form.name}` : ''} ${digits(percentWv)} ${unit}${bottle.isAssumed ? ' (assumed)' : ''}`
    }),
    dates: [
      bottle.madeAt !== undefined &&
        `${bottle.kind === 'solution' ? 'made' : 'opened'} ${day(bottle.madeAt)}`,
      bottle.ripeAt !== undefined && `not before ${day(bottle.ripeAt)}`,
      bottle.bestUntil !== undefined && `best until ${day(bottle.bestUntil)}`,
    ].filter((line) => line !== false),
    signal: SIGNAL[hazards.signal],
    pictograms: hazards.pictograms,
    statements: hazards.statements.map((code) => `${code} ${statements[code] ?? ''}`.trim()),
    link,
  }
}

/** Departures of a bought liquid under this share of its usual strength are the usual liquid. */
const AS_SOLD = 0.05

/**
 * Signal word, pictograms and hazard statements of what a bottle holds: of the chemical itself for a solid and for a
 * liquid of the usual strength, by the rules for mixtures for everything else.
 */
export function hazardsOf(bottle: Pick<Bottle, 'kind' | 'contents'>, book: SubstanceBook): LabelElements {
  const parts = bottle.contents.flatMap(({ substanceId, percent }) => {
    const substance = book[substanceId]
    return substance ? [{ substance, percent }] : []
  })
  const isPure =
    bottle.kind === 'solid' ||
    (bottle.kind === 'liquid' &&
      parts.every(({ substance: { liquid }, percent }) =>
        liquid ? Math.abs(percent / liquid.percentWw - 1) <= AS_SOLD : true,
      ))
  return labelElements(
    isPure ? parts.flatMap(({ substance }) => substance.hazard.statements) : mixtureStatements(parts),
  )
}
