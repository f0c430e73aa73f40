import { solutesOf, type SubstanceBook } from '../chemistry/lots'
import { digits, formatQuantity, formatSpan } from '../quantity/format'
import type { SoluteDefinition } from '../schema/definition'
import type { BathMet, PrintRecord } from './printRecord'

/** What was in a tray when a sheet was laid on it: as it was poured, less what sheets had drawn from it. */
export const inTray = ({ bath, standing }: BathMet): SoluteDefinition[] =>
  bath.contents.map(({ substanceId, percent }) => ({
    substanceId,
    percentWv: percent * standing.strength.value,
  }))

/**
 * The solutions that a sheet was floated on or soaked in before it was printed, each with its tray as it was then: how
 * full, how strong, when filtered, and what the sheet took along.
 *
 * @returns the name of the solution and what is said of it, in the order of the steps.
 */
export function laidFromTrays(
  { sheet, definition, baths }: Pick<PrintRecord, 'sheet' | 'definition' | 'baths'>,
  book: SubstanceBook,
): (readonly [name: string, said: string])[] {
  const squareMetres = (sheet.widthMillimetres * sheet.heightMillimetres) / 1e6
  return baths.flatMap((met) => {
    const lays = definition.steps.find(({ id }) => id === met.wordsId)?.lays
    if (!lays) return []
    const { bath, standing, exchange, at } = met
    const strengths = solutesOf(inTray(met), book).map(
      ({ name, percentWv }) => `${name} ${digits(percentWv)}\u00a0%`,
    )
    const filteredAt = Math.max(...bath.filtered)
    const sheets = standing.passes.length
    const said = [
      `${lays.by === 'float' ? 'floated' : 'soaked'}: ${formatQuantity(standing.level.value, 'volume')} in the tray, ${strengths.join(' + ')}${bath.isAssumed ? ', assumed: strength not stated' : ''}`,
      sheets ? `sheet ${sheets + 1} in it` : 'first sheet in it',
      ...(bath.filtered.length
        ? [`filtered ${formatSpan(Math.round((at - filteredAt) / 1000))} before`]
        : []),
      `took about ${formatQuantity(exchange.takes * squareMetres, 'volume')} on ${digits(squareMetres * 1e4)}\u00a0cm²`,
    ]
    return [[bath.name, said.join('; ')] as const]
  })
}
