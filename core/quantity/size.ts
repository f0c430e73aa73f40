import { CoreError } from '../errors'
import { plainText } from './number'
import { parseQuantity, readAll, type ParseOptions } from './parse'

/** A sheet or image size, both in millimetres, in the order in which it was typed. */
export interface Size {
  widthMillimetres: number
  heightMillimetres: number
}

const inches = (width: number, height: number): Size => ({
  widthMillimetres: width * 25.4,
  heightMillimetres: height * 25.4,
})

/**
 * Name of an upright sheet of the A series, such as `A4`; `null` for any other size.
 */
export const nameOfSize = ({ widthMillimetres, heightMillimetres }: Size): string | null =>
  A_NAMES.find(
    (name) =>
      Math.abs(NAMED[name]!.widthMillimetres - widthMillimetres) < 0.5 &&
      Math.abs(NAMED[name]!.heightMillimetres - heightMillimetres) < 0.5,
  )?.toUpperCase() ?? null

const A_NAMES = ['a0', 'a1', 'a2', 'a3', 'a4', 'a5', 'a6', 'a7'] as const

/** Sizes by name. A sizes: ISO 216:2007, from memory; plates: common practice. */
const NAMED: Readonly<Record<string, Size>> = {
  ...Object.fromEntries(
    ([[841, 1189], [594, 841], [420, 594], [297, 420], [210, 297], [148, 210], [105, 148], [74, 105]] as const).map(
      ([widthMillimetres, heightMillimetres], n) => [`a${n}`, { widthMillimetres, heightMillimetres }],
    ),
  ),
  'whole plate': inches(6.5, 8.5),
  'full plate': inches(6.5, 8.5),
  'quarter plate': inches(3.25, 4.25),
} // prettier-ignore

/** Formats that are said without a unit and mean inches wherever they are said. */
const IN_INCHES = ['4x5', '5x7', '8x10', '11x14', '16x20', '20x24', '7x17', '12x20', '6.5x8.5', '8.5x11', '9x12', '22x30', '24x36'] // prettier-ignore

/**
 * Reads a size: two lengths, such as `8x10`, `8 x 10 in`, `20 × 25 cm` or `8 1/2" by 11"`, or a name such as `A4` or
 * `whole plate`. A unit after the second length holds for the first as well.
 *
 * @throws CoreError as `parseQuantity`; `not-a-size` when there are not two lengths or one is zero; `ambiguous` for a
 *   half plate, and for a well-known size in inches where a bare number counts in centimetres or millimetres.
 */
export function parseSize(text: string, options: ParseOptions): Size {
  const plain = plainText(text).trim()
  const name = plain.toLowerCase().replace(/[\s-]+/g, ' ')
  const named = NAMED[name] ?? NAMED[name.replace(/^(?:iso|din) /, '').replace(/ /g, '')]
  if (named) return { ...named }
  if (name === 'half plate')
    throw refuse(
      options,
      'ambiguous',
      plain,
      'A half plate is 4.25 x 5.5 in or 4.75 x 6.5 in.',
      'Enter the size itself.',
    )

  const sides = plain.split(/\s*(?:[x×*]|\bby\b)\s*/i)
  if (sides.length !== 2 || !sides[0] || !sides[1])
    throw refuse(options, 'not-a-size', plain, `“${plain}” is not two lengths.`)
  const [first, second] = sides as [string, string]
  const hasOwnUnit = readAll(first, 'length', options).some((reading) => reading.unit)
  const lastUnit = readAll(second, 'length', options).at(-1)?.unit
  refuseInches(plain, sides, hasOwnUnit || !!lastUnit, options)
  const height = parseQuantity(second, 'length', options)
  const width = parseQuantity(
    first,
    'length',
    hasOwnUnit || !lastUnit ? options : { ...options, bareUnit: lastUnit.id },
  )
  if (width === 0 || height === 0)
    throw refuse(options, 'not-a-size', plain, 'Both sides must be above zero.')
  return { widthMillimetres: width, heightMillimetres: height }
}

/** `8x10` is 8 x 10 in wherever it is said; a workroom of centimetres must not make a stamp of it. */
function refuseInches(
  plain: string,
  sides: readonly string[],
  hasUnit: boolean,
  options: ParseOptions,
): void {
  const size = sides.map((side) => side.replace(',', '.')).join('x')
  const turned = [...sides].reverse().join('x')
  const isMetric = options.bareUnit !== undefined && options.bareUnit !== 'in' && options.bareUnit !== 'ft'
  if (hasUnit || !isMetric || (!IN_INCHES.includes(size) && !IN_INCHES.includes(turned))) return
  const said = sides.join(' x ')
  throw refuse(
    options,
    'ambiguous',
    plain,
    `“${plain}” is a size in inches, but this workroom uses ${options.bareUnit}.`,
    `Enter ${said} in, or ${said} ${options.bareUnit}.`,
  )
}

const refuse = (
  { field }: ParseOptions,
  code: string,
  part: string,
  problem: string,
  remedy = 'Enter a size such as 8 x 10 in or 20 x 25 cm.',
) => new CoreError({ code, field, problem, remedy, part })
