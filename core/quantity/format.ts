import { nameOfSize, type Size } from './size'
import { fromCanonical, unitOf, type Dimension } from './units'

/** The units a person reads in. Times, drops, percent and stops have one form each. */
export interface UnitChoice {
  length: 'in' | 'cm' | 'mm'
  temperature: 'degC' | 'degF'
}

export const METRIC: UnitChoice = { length: 'cm', temperature: 'degC' }
export const INCHES: UnitChoice = { length: 'in', temperature: 'degC' }

/** Joins a number to its unit without a line break between. */
const NARROW = '\u00a0'
const THIN = '\u2009'

/**
 * A number to so many significant digits, in plain notation, without trailing zeros unless `keepZeros`.
 *
 * @param value any finite number.
 * @param significant digits that count; whole numbers are never rounded to fewer places than their units.
 */
export function digits(value: number, significant = 3, keepZeros = false): string {
  if (value === 0) return '0'
  const places = Math.max(0, significant - 1 - Math.floor(Math.log10(Math.abs(value))))
  const fixed = value.toFixed(Math.min(places, 12))
  const trimmed = keepZeros || !fixed.includes('.') ? fixed : fixed.replace(/\.?0+$/, '')
  const [whole = '', decimals] = trimmed.replace('-', '−').split('.')
  const grouped = whole.replace(/\d(?=(\d{3})+$)/g, (digit, _, at: number) =>
    whole.length > 4 || at < whole.length - 4 ? digit + THIN : digit,
  )
  return decimals ? `${grouped}.${decimals}` : grouped
}

/**
 * A quantity in words and digits, in the unit the person chose.
 *
 * @param value in the canonical unit of the dimension.
 */
export function formatQuantity(value: number, dimension: Dimension, choice: UnitChoice = METRIC): string {
  if (dimension === 'time') return formatSpan(value)
  if (dimension === 'stops') return formatStops(value)
  if (dimension === 'drops') {
    const shown = digits(value)
    return `${shown}${NARROW}${shown === '1' ? 'drop' : 'drops'}`
  }
  const unit = unitOf(unitIdFor(value, dimension, choice))
  return `${digits(fromCanonical(value, unit), dimension === 'temperature' ? 2 : 3)}${NARROW}${unit.label}`
}

function unitIdFor(value: number, dimension: Dimension, choice: UnitChoice): string {
  const size = Math.abs(value)
  switch (dimension) {
    case 'length':
      return choice.length
    case 'area':
      return size >= 10_000 ? 'm2' : 'cm2'
    case 'volume':
      return size >= 1000 ? 'l' : 'ml'
    case 'mass':
      return size >= 1000 ? 'kg' : size < 0.1 && size > 0 ? 'mg' : 'g'
    case 'temperature':
      return choice.temperature
    default:
      return 'percent'
  }
}

/** Whether a length is so many whole steps, as far as it can have been meant. */
const isWhole = (millimetres: number, step: number): boolean =>
  Math.abs(millimetres / step - Math.round(millimetres / step)) * step < 0.02

/** The unit in which a size was given, where that shows: in quarters of an inch, or in whole millimetres. */
function ownUnitOf({ widthMillimetres, heightMillimetres }: Size): 'in' | 'cm' | null {
  const sides = [widthMillimetres, heightMillimetres]
  const [isInches, isMetric] = [
    sides.every((side) => isWhole(side, 25.4 / 4)),
    sides.every((side) => isWhole(side, 1)),
  ]
  return isInches === isMetric ? null : isInches ? 'in' : 'cm'
}

/**
 * Both sides of a sheet in the unit in which they were given, such as `8 × 10 in`, and in the chosen one where that does not
 * show; an upright A size by its name where lengths are in inches.
 */
export function formatSize(size: Size, choice: UnitChoice): string {
  const unit = unitOf(ownUnitOf(size) ?? choice.length)
  // A sheet of a metric standard has no name in inches but its own: 8.27 × 11.7 in says less than A4.
  const name = choice.length === 'in' ? nameOfSize(size) : null
  if (name) return name
  const side = (millimetres: number) => digits(fromCanonical(millimetres, unit), millimetres < 1000 ? 3 : 4)
  return `${side(size.widthMillimetres)}${NARROW}×${NARROW}${side(size.heightMillimetres)}${NARROW}${unit.label}`
}

/**
 * A running clock: `0:05`, `7:30`, `1:02:09`; with days left it is said in words, `3 days`.
 *
 * @param seconds may be negative for time over the end, shown with a plus: `+0:12`.
 */
export function formatClock(seconds: number): string {
  const whole = Math.floor(Math.abs(seconds))
  const [h, m, s] = [Math.floor(whole / 3600), Math.floor(whole / 60) % 60, whole % 60]
  const two = (part: number) => String(part).padStart(2, '0')
  const body = h ? `${h}:${two(m)}:${two(s)}` : `${m}:${two(s)}`
  return seconds < 0 && whole > 0 ? `+${body}` : body
}

/** A length of time in words that the parser reads back: `45 s`, `7 min 30 s`, `3 h 20 min`, `2 days`. */
export function formatSpan(seconds: number): string {
  const whole = Math.round(Math.abs(seconds))
  if (whole < 60) return `${seconds < 10 && seconds % 1 ? digits(seconds, 2) : whole}${NARROW}s`
  if (whole < 3600) return two(Math.floor(whole / 60), 'min', whole % 60, 's')
  if (whole < 172_800) {
    const minutes = Math.round(whole / 60)
    return two(Math.floor(minutes / 60), 'h', minutes % 60, 'min')
  }
  const hours = Math.round(whole / 3600)
  return two(Math.floor(hours / 24), 'days', whole < 604_800 ? hours % 24 : 0, 'h')
}

const two = (large: number, largeUnit: string, small: number, smallUnit: string): string =>
  `${large}${NARROW}${largeUnit}${small ? ` ${small}${NARROW}${smallUnit}` : ''}`

const THIRDS = new Map([
  [0.25, '¼'],
  [1 / 3, '⅓'],
  [0.5, '½'],
  [2 / 3, '⅔'],
  [0.75, '¾'],
])

/** Stops with the fractions photographers use where one is within a hundredth: `⅓ stop`, `1⅔ stops`. */
export function formatStops(stops: number): string {
  const size = Math.abs(stops)
  const whole = Math.floor(size + 0.01)
  const fraction = [...THIRDS].find(([value]) => Math.abs(size - whole - value) < 0.01)?.[1]
  const isWhole = Math.abs(size - whole) < 0.01
  const body = fraction ? `${whole || ''}${fraction}` : isWhole ? String(whole) : digits(size, 2)
  return `${stops < 0 ? '−' : ''}${body}${NARROW}${size > 1.01 ? 'stops' : 'stop'}`
}

const SIXTEENTHS = 16

/**
 * A position as one reads it off a rule: inches in sixteenths (`11 1/4 in`), centimetres in millimetres (`28.6 cm`).
 *
 * @param millimetres not below 0.
 */
export function formatOnRule(millimetres: number, unit: UnitChoice['length']): string {
  if (unit === 'mm') return `${Math.round(millimetres)}${NARROW}mm`
  if (unit === 'cm') return `${(Math.round(millimetres) / 10).toFixed(1)}${NARROW}cm`
  const sixteenths = Math.round((millimetres / 25.4) * SIXTEENTHS)
  const [whole, rest] = [Math.floor(sixteenths / SIXTEENTHS), sixteenths % SIXTEENTHS]
  if (rest === 0) return `${whole}${NARROW}in`
  let [over, under] = [rest, SIXTEENTHS]
  while (over % 2 === 0) [over, under] = [over / 2, under / 2]
  return `${whole ? `${whole}${NARROW}` : ''}${over}/${under}${NARROW}in`
}
