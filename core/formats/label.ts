import { solutesIn, type SubstanceBook } from '../chemistry/lots'
import { digits } from '../quantity/format'
import type { Bottle } from '../record/records'
import type { Substance } from '../record/substance'

/** What stands on the label of a bottle, in the order in which it is printed. */
export interface BottleLabel {
  title: string
  label: string
  /** A line a content, with its true strength. */
  contents: string[]
  dates: string[]
  signal: 'DANGER' | 'WARNING' | null
  pictograms: Substance['hazard']['pictograms']
  /** Hazard statements, each with its code. */
  statements: string[]
  /** Address that the QR code holds. */
  link: string
}

const SIGNAL = { danger: 'DANGER', warning: 'WARNING', none: null } as const

/** Below this share of a solution a substance no longer decides the hazard of the whole: a rough rule, from memory. */
const COUNTS_FROM_PERCENT = 1

/**
 * The label of a bottle: contents with true strengths, dates, and the hazards of all that is in it in more than a trace.
 *
 * @param statements wording of the hazard statements by code.
 * @param day how a moment is written on paper.
 * @see UN GHS: a mixture below its cut-off carries no statement of the part; the single cut-off of 1 % is from memory
 */
export function labelOf(
  bottle: Bottle,
  book: SubstanceBook,
  statements: Readonly<Record<string, string>>,
  link: string,
  day: (moment: number) => string,
): BottleLabel {
  const parts = bottle.contents
    .filter((one) => bottle.kind !== 'solution' || one.percent >= COUNTS_FROM_PERCENT)
    .flatMap((one) => book[one.substanceId] ?? [])
  const signals = parts.map((one) => one.hazard.signal)
  const signal = signals.includes('danger') ? 'danger' : signals.includes('warning') ? 'warning' : 'none'
  const unit = bottle.kind === 'solution' ? '% w/v' : bottle.kind === 'liquid' ? '% w/w' : '%'
  const forms = bottle.contents.map((one) =>
    book[one.substanceId]?.forms.find((form) => form.id === one.form),
  )
  return {
    title: bottle.name,
    label: bottle.label,
    contents: solutesIn(bottle, book).map(({ name, percentWv }, i) => {
      const form = forms[i]
      return `${name}${form && bottle.kind === 'solid' ? `, ${form.name}` : ''} ${digits(percentWv)} ${unit}`
    }),
    dates: [
      bottle.madeAt !== undefined &&
        `${bottle.kind === 'solution' ? 'made' : 'opened'} ${day(bottle.madeAt)}`,
      bottle.ripeAt !== undefined && `not before ${day(bottle.ripeAt)}`,
      bottle.bestUntil !== undefined && `best until ${day(bottle.bestUntil)}`,
    ].filter((line) => line !== false),
    signal: SIGNAL[signal],
    pictograms: [...new Set(parts.flatMap((one) => one.hazard.pictograms))],
    statements: [...new Set(parts.flatMap((one) => one.hazard.statements))].map((code) =>
      `${code} ${statements[code] ?? ''}`.trim(),
    ),
    link,
  }
}
