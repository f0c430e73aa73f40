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
  /** Places after the point, 0 for a whole number or a fraction. */
  places: number
}

/** Digits of other scripts (Arabic, Persian, Devanagari) begin here, ten in a row. */
const ZEROS = [0x0660, 0x06f0, 0x0966]

/**
 * Rewrites the forms that mean the same: vulgar fractions become `1/2`, the long minus a hyphen, full-width signs and
 * digits of other scripts ours, and the spaces and quotes with which thousands are grouped disappear.
 */
export const plainText = (text: string): string =>
  text
    .replace(/[\uff01-\uff5e]/g, (sign) => String.fromCharCode(sign.charCodeAt(0) - 0xfee0))
    .replace(/[\u0660-\u0669\u06f0-\u06f9\u0966-\u096f]/g, (digit) => {
      const code = digit.charCodeAt(0)
      return String(code - (ZEROS.find((zero) => code >= zero && code < zero + 10) ?? code))
    })
    .replace(
      /(?<![\d.,/])(\d{1,3})((?:[ \u00a0\u2009\u202f'’]\d{3})+)(?![\d/])/g,
      (_, first, rest: string) => `${first}${rest.replace(/\D/g, '')}`,
    )
    .replace(/[½⅓⅔¼¾⅛⅜⅝⅞]/g, (sign) => ` ${VULGAR[sign]}`)
    .replace(/\u2044/g, '/')
    .replace(/[−–‑]/g, '-')
    .replace(/[\u00a0\u2009\u202f\u3000]/g, ' ')

/** 1,234,567 or 1,234.5 or 1.234,5 or 1.234.567: grouped in a way that cannot be read otherwise. */
const GROUPED =
  /^(?:\d{1,3}(?:,\d{3})+\.\d+|\d{1,3}(?:,\d{3}){2,}|\d{1,3}(?:\.\d{3})+,\d+|\d{1,3}(?:\.\d{3}){2,})(?![\d.,])/
const NUMBER = /^([+-]\s*)?(?:(\d+)(?:\s+|\s*-\s*)(\d+)\/(\d+)|(\d+)\/(\d+)|(\d+(?:[.,]\d+)?|[.,]\d+))/

/**
 * Reads a whole, decimal (point or comma), grouped, fraction or mixed number at the front of `text`.
 *
 * @param text already passed through `plainText`.
 * @param field what the number is for, named in a refusal.
 * @returns the number, or `null` when the text does not begin with one.
 * @throws CoreError `ambiguous` for `1,000`, which is one to some and a thousand to others; `zero-divisor` for `1/0`.
 */
export function numberAtFront(text: string, field: string): NumberAtFront | null {
  const sign = /^[+-]\s*/.exec(text)?.[0] ?? ''
  const grouped = GROUPED.exec(text.slice(sign.length))?.[0]
  if (grouped) {
    const decimals = /[.,](\d+)$/.exec(grouped)
    const hasDecimals = grouped.includes(',') && grouped.includes('.')
    const whole = hasDecimals ? grouped.slice(0, decimals?.index) : grouped
    const size = Number(`${whole.replace(/[.,]/g, '')}${hasDecimals ? `.${decimals?.[1]}` : ''}`)
    return {
      value: sign.trim() === '-' ? -size : size,
      text: sign + grouped,
      signed: sign !== '',
      places: hasDecimals ? (decimals?.[1]?.length ?? 0) : 0,
    }
  }
  const match = NUMBER.exec(text)
  if (!match) return null
  const [whole, signed, mixed, mixedOver, mixedUnder, over, under, decimal] = match
  const refuse = (code: string, problem: string, remedy: string) =>
    new CoreError({ code, field, problem, remedy, part: whole })

  if (decimal && /^[1-9]\d{0,2},\d{3}$/.test(decimal)) {
    const [one, many] = [decimal.replace(',', '.'), decimal.replace(',', '')]
    throw refuse(
      'ambiguous',
      `“${decimal}” can be read as ${Number(one)} or as ${many}.`,
      `Enter ${many} or ${Number(one)}.`,
    )
  }
  const bottom = Number(mixedUnder ?? under ?? 1)
  if (bottom === 0)
    throw refuse('zero-divisor', `“${whole}” divides by zero.`, 'Enter a fraction such as 1/3.')

  const size = decimal
    ? Number(decimal.replace(',', '.'))
    : Number(mixed ?? 0) + Number(mixedOver ?? over) / bottom
  return {
    value: signed?.trim() === '-' ? -size : size,
    text: whole,
    signed: signed !== undefined,
    places: /[.,](\d+)$/.exec(decimal ?? '')?.[1]?.length ?? 0,
  }
}

export interface NumberOptions {
  /** What is being typed, in the user's words. */
  field: string
  /** Bounds, both inclusive. */
  min?: number
  max?: number
  isWhole?: boolean
  /** Above zero. */
  isPositive?: boolean
  /** A form that can be read, for the refusal. */
  example?: string
}

/**
 * Reads a text that is one number and nothing else, for what has no unit: a count, a ratio, a price.
 *
 * @throws CoreError `empty`, `unreadable`, `ambiguous`, `not-whole` or `out-of-range`.
 */
export function parseNumber(
  text: string,
  { field, min, max, isWhole, isPositive, example }: NumberOptions,
): number {
  const plain = plainText(text).trim()
  const remedy = `Enter a number${example ? `, for example ${example}` : ''}.`
  const refuse = (code: string, problem: string, how = remedy) =>
    new CoreError({ code, field, problem, remedy: how, part: plain })
  if (!plain) throw refuse('empty', 'This field is empty.')
  const found = numberAtFront(plain, field)
  if (!found || plain.slice(found.text.length).trim())
    throw refuse('unreadable', `“${plain}” is not a number.`)
  if (isWhole && !Number.isInteger(found.value))
    throw refuse('not-whole', `“${plain}” is not a whole number.`)
  if (isPositive && !(found.value > 0)) throw refuse('out-of-range', `“${plain}” is not above zero.`)
  if (min !== undefined && found.value < min)
    throw refuse('out-of-range', `“${plain}” is too small.`, `Enter at least ${min}.`)
  if (max !== undefined && found.value > max)
    throw refuse('out-of-range', `“${plain}” is too large.`, `Enter at most ${max}.`)
  return found.value
}

/** The number that a text is, or `null` where it is none: for a look at a field while something is typed in it. */
export function numberOrNull(text: string): number | null {
  try {
    return parseNumber(text, { field: '' })
  } catch {
    return null
  }
}

/**
 * A value rounded to so many significant digits, as a number.
 *
 * @param significant 1 to 100.
 */
export const toSignificant = (value: number, significant: number): number =>
  Number(value.toPrecision(significant))

/**
 * A number that a program wrote, `1234.5`: the id of an answer, a part of an address. What a person types is read by
 * `parseNumber`, which knows that `1.234` may mean either.
 *
 * @returns NaN where it is none.
 */
export const writtenNumber = (text: string | undefined): number => (text?.trim() ? Number(text) : Number.NaN)
