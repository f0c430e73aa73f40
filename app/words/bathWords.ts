import type { BathCondition, BathVerdict } from '@core/process/baths'
import type { Slip } from '@core/run/timing'
import { digits, formatQuantity, formatSpan } from '@core/quantity/format'
import type { Bath } from '@core/schema/bath'
import type { BathUse } from '@core/schema/definition'

/** How a bath stands, in a few words below its tray. */
export function bathLine(standing: BathCondition, use: BathUse | undefined): string {
  const count = standing.passes.length
  const prints = count === 1 ? '1 print' : `${count} prints`
  switch (standing.verdict) {
    case 'fresh':
      return 'fresh'
    case 'used':
      return 'used: discard'
    case 'spent':
      return `${prints}: spent`
    case 'old':
      return 'past its shelf life'
    case 'replenish':
      return `${prints}; add ${ml(use?.replenish?.millilitres ?? 0)} first`
    case 'replenishSoon':
      return `${prints}; add ${ml(use?.replenish?.millilitres ?? 0)}`
    case 'serves':
      return use?.replenish
        ? `${prints}; add ${ml(use.replenish.millilitres)} after ${use.replenish.afterPrints}`
        : standing.used
          ? `${prints}, ${digits(100 * standing.used.value, 2)} % used`
          : prints
  }
}

const ml = (value: number) => formatQuantity(value, 'volume')

/** Whether a tray is drawn as one that wants something. */
export const isWanting = (verdict: BathVerdict): boolean => !['fresh', 'serves'].includes(verdict)

/** What the next print will meet, for the margin. */
export function meetsLines(bath: Bath, standing: BathCondition): string[] {
  const lines = [
    `${bath.name}, ${ml(bath.millilitres)}, ${bath.contents.map((one) => `${digits(one.percent)} %`).join(' + ')}${bath.isAssumed ? ', assumed: strength not stated' : ''}${
      bath.celsius === undefined ? '' : `, ${digits(bath.celsius)} °C`
    }.`,
  ]
  if (standing.strength.value < 0.985)
    lines.push(
      `About ${digits(100 * standing.strength.value, 3)} % of its strength: sheets carry water into it or draw on it.`,
    )
  if (standing.printsLeft !== null)
    lines.push(
      standing.printsLeft === 0
        ? 'No capacity left for another 8 × 10 in print.'
        : `Enough for about ${standing.printsLeft} more of 8 × 10 in.`,
    )
  return lines
}

const KIND: Record<Slip['kind'], (span: string) => string> = {
  leftOut: () => 'left out',
  early: (span) => `${span} early`,
  late: (span) => `${span} over the maximum time`,
  coatEarly: (span) => `printed ${span} before its rest was over`,
  coatLate: (span) => `printed ${span} past the life of the coat`,
}

/** A step that came early or late, as one line. */
export const slipLine = (title: string, slip: Slip): string =>
  `${title}: ${KIND[slip.kind](formatSpan(Math.round(slip.seconds)))}. ${slip.means}`
