import { CoreError } from '../errors'

const VULGAR: Readonly<Record<string, string>> = {
  '½': '1/2', '⅓': '1/3', '⅔': '2/3', '¼': '1/4', '¾': '3/4', '⅛': '1/8', '⅜': '3/8', '⅝': '5/8', '⅞': '7/8',
} // prettier-ignore

/** A number as people write it, found at the front of a text. */
export interface NumberAtFront {
  value: number
  /** The piece of text that was read. */
  text: string
  /** Whether it carried a sign, which turns an amount into a change. */
  signed: boolean
}

/**
 * Rewrites the forms that mean the same: vulgar fractions become `1/2`, the long minus a hyphen, and the thin
 * spaces with which we group thousands disappear.
 */
export const plainText = (text: string): string =>
  text
    .replace(/(\d)[\u2009\u202f](?=\d{3})/g, '$1')
    .replace(/[½⅓⅔¼¾⅛⅜⅝⅞]/g, (sign) => ` ${VULGAR[sign]}`)
    .replace(/\u2044/g, '/')
    .replace(/[−–]/g, '-')
    .replace(/[\u00a0\u2009\u202f]/g, ' ')

const NUMBER = /^([+-]\s*)?(?:(\d+)\s+(\d+)\/(\d+)|(\d+)\/(\d+)|(\d+(?:[.,]\d+)?|[.,]\d+))/

/**
 * Reads a whole, decimal (point or comma), fraction or mixed number at the front of `text`.
 *
 * @param text already passed through `plainText`.
 * @param field what the number is for, named in a refusal.
 * @returns the number, or `null` when the text does not begin with one.
 * @throws CoreError `ambiguous` for `1,000`, which is one to some and a thousand to others; `zero-divisor` for `1/0`.
 */
export function numberAtFront(text: string, field: string): NumberAtFront | null {
  const match = NUMBER.exec(text)
  if (!match) return null
  const [whole, sign, mixed, mixedOver, mixedUnder, over, under, decimal] = match
  const refuse = (code: string, problem: string, remedy: string) =>
    new CoreError({ code, field, problem, remedy, part: whole })

  if (decimal && /^[1-9]\d{0,2},\d{3}$/.test(decimal)) {
    const [one, many] = [decimal.replace(',', '.'), decimal.replace(',', '')]
    throw refuse(
      'ambiguous',
      `“${decimal}” can be read as ${Number(one)} or as ${many}.`,
      `Write ${many}, or ${Number(one)}.`,
    )
  }
  const bottom = Number(mixedUnder ?? under ?? 1)
  if (bottom === 0)
    throw refuse('zero-divisor', `“${whole}” divides by nothing.`, 'Write a fraction such as 1/3.')

  const size = decimal
    ? Number(decimal.replace(',', '.'))
    : Number(mixed ?? 0) + Number(mixedOver ?? over) / bottom
  return { value: sign?.trim() === '-' ? -size : size, text: whole, signed: sign !== undefined }
}
