import { digits, formatSize, type UnitChoice } from '../quantity/format'
import { solutesIn, type SubstanceBook } from '../chemistry/lots'
import type { Bottle } from '../schema/records'
import type { Light } from '../schema/light'
import { isCoatKnown, threadFacts } from './threadFacts'
import { laidFromTrays } from './laidFromTray'
import { preparationSaid } from './preparation'
import type { PrintRecord } from './printRecord'

/** Name and value of one material. */
export type MaterialRow = readonly [name: string, value: string]

/**
 * What a print was made of and by: size, paper with its piece and treatments, bottles, what was in the glass, light,
 * exposure and negative. The margin of a print and its passport say the same.
 */
export function materialsOf(record: PrintRecord, book: SubstanceBook, units: UnitChoice): MaterialRow[] {
  const { sheet, paper, piece, preparations, light, bottles, films, glasses, definition } = record
  const fact = (kind: 'coverage' | 'exposure') => threadFacts(record).find((one) => one.kind === kind)?.said
  const coats = sheet.coats === 1 ? 'one coat' : `${sheet.coats} coats`
  const rows: (readonly [string, string | undefined])[] = [
    ['Size', [formatSize(sheet, units), isCoatKnown(record.state) ? coats : ''].filter(Boolean).join(', ')],
    ['Paper', paper ? `${paper.name}${paper.gramsPerM2 ? `, ${paper.gramsPerM2} g/m²` : ''}` : undefined],
    ['Piece', piece ? `${piece.label}${piece.side ? `, ${piece.side}` : ''}` : undefined],
    ...preparations.map((one) => ['Prepared', preparationSaid(one)] as const),
    ['Coat', fact('coverage')],
    ...bottles.map(({ bottle }) => [bottle.name, `${bottle.label}, ${contentsSaid(bottle, book)}`] as const),
    ...laidFromTrays(record, book),
    ...glasses.map((said) => ['In the glass', said] as const),
    [sheet.choices.subject === 'photogram' ? 'Printed from' : 'Picture', sheet.subject],
    ...films.map(
      (film) =>
        [
          'Negative',
          [film.fileName, film.layer, film.curve, `${film.pixelsPerInch} ppi`].filter(Boolean).join(', '),
        ] as const,
    ),
    ['Light', light ? `${light.name} (${LIGHTS[light.kind]})` : undefined],
    ['Exposure', fact('exposure')],
    ...definition.choices.map(
      ({ id, name, options }) => [name, options.find((one) => one.id === sheet.choices[id])?.name] as const,
    ),
  ]
  return rows.flatMap(([name, value]) => (value ? [[name, value] as const] : []))
}

/** What a bottle holds, with its strengths; says so where none was stated. */
export function contentsSaid(bottle: Bottle, book: SubstanceBook): string {
  if (!bottle.contents.length) return 'strength not stated'
  const held = solutesIn(bottle, book).map(({ name, percentWv }) => `${name} ${digits(percentWv)}\u00a0%`)
  return `${held.join(' + ')}${bottle.isAssumed ? ', assumed: strength not stated' : ''}`
}

const LIGHTS: Readonly<Record<Light['kind'], string>> = {
  sun: 'sun',
  uvBox: 'UV box',
  lamp: 'lamp',
  tubes: 'tubes',
}
