import { CoreError } from '../errors'
import { numberAtFront, plainText } from './number'
import { EXAMPLE, UNITS, toCanonical, unitOf, type Dimension, type Unit } from './units'

export interface ParseOptions {
  /** What is being typed, in the user's words; it opens every refusal. */
  field: string
  /** Id of the unit a bare number is counted in; without it a bare number is refused. */
  bareUnit?: string
}

/** A change of exposure as the printer says it; what it amounts to depends on the time it changes. */
export type ExposureChange =
  { kind: 'stops'; stops: number } | { kind: 'percent'; percent: number } | { kind: 'time'; seconds: number }

const MAY_BE_NEGATIVE: ReadonlySet<Dimension> = new Set([
  'altitude',
  'temperature',
  'fraction',
  'stops',
  'opticalDensity',
])
const NAME_OF: Readonly<Record<Dimension, string>> = {
  length: 'a length',
  altitude: 'a height above sea level',
  area: 'an area',
  volume: 'a volume',
  coverage: 'a coverage',
  drops: 'a count of drops',
  dropRate: 'drops per ml',
  mass: 'a weight',
  paperWeight: 'a paper weight',
  liquidDensity: 'the density of a liquid',
  time: 'a time',
  temperature: 'a temperature',
  humidity: 'a humidity',
  fraction: 'a percentage',
  stops: 'a number of stops',
  opticalDensity: 'a density',
  dose: 'a dose',
  irradiance: 'an irradiance',
}
/** What is never outside of these bounds. */
const BOUNDS: Partial<Record<Dimension, readonly [number, number]>> = {
  humidity: [0, 100],
  opticalDensity: [-0.5, 6],
}

interface Reading {
  value: number
  unit: Unit | null
  text: string
  /** Places after the point. */
  places: number
}

/**
 * Reads one quantity as people write it: `20 cm`, `1 1/2 tsp`, `7:30`, `7 min 30`, `5 ft 3 in`, `½ stop`.
 *
 * @param text what was typed.
 * @param dimension what is wanted.
 * @returns the value in the canonical unit of the dimension (see `units.ts`).
 * @throws CoreError `empty`, `unreadable`, `no-unit`, `wrong-dimension`, `negative`, `out-of-range`, `ambiguous` or
 *   `seconds-over-59`; `part` is the piece that could not be read.
 */
export function parseQuantity(text: string, dimension: Dimension, options: ParseOptions): number {
  const plain = plainText(text).trim()
  if (!plain) throw refusal('empty', dimension, options, `This field is empty.`, '')
  if (dimension === 'time' && plain.includes(':')) return parseColonTime(plain, options)

  const readings = readAll(plain, dimension, options)
  if (dimension === 'time') refuseClockWithPoint(readings, plain, options)
  let sum = 0
  let previous: Unit | null = null
  for (const reading of readings) {
    const unit = unitFor(reading, previous, dimension, options)
    if (previous && unit.factor >= previous.factor)
      throw refusal(
        'unreadable',
        dimension,
        options,
        `“${reading.text}” cannot follow ${previous.label}.`,
        reading.text,
      )
    sum += toCanonical(reading.value, unit)
    previous = unit
  }
  if (sum < 0 && !MAY_BE_NEGATIVE.has(dimension))
    throw refusal('negative', dimension, options, `${NAME_OF[dimension]} cannot be below zero.`, plain)
  const bounds = BOUNDS[dimension]
  if (bounds && (sum < bounds[0] || sum > bounds[1]))
    throw refusal(
      'out-of-range',
      dimension,
      options,
      `“${plain}” is out of range: ${NAME_OF[dimension]} must be between ${bounds[0]} and ${bounds[1]}.`,
      plain,
    )
  return sum
}

/** `7.30` without a unit is seven and a half minutes to some, and 7.3 minutes to others. */
function refuseClockWithPoint(readings: readonly Reading[], plain: string, options: ParseOptions): void {
  const [only] = readings
  const isBare = readings.length === 1 && only && !only.unit && options.bareUnit === 'min'
  const after = Math.round(((only?.value ?? 0) % 1) * 100)
  if (!isBare || only.places !== 2 || after > 59) return
  const minutes = Math.floor(only.value)
  throw new CoreError({
    code: 'ambiguous',
    field: options.field,
    problem: `“${plain}” can be read as ${minutes} min ${after} s or as ${only.value} minutes.`,
    remedy: `Enter ${minutes}:${String(after).padStart(2, '0')}, or ${only.value} min.`,
    part: plain,
  })
}

/**
 * Reads a change of exposure: `1/3 stop`, `+10 %`, `-1/2 stop`, `2 min`, `0:30`, `10 % more`, `1/2 stop less`.
 *
 * @throws CoreError as `parseQuantity`; a bare number is refused, since it could be any of the three.
 */
export function parseExposureChange(text: string, field: string): ExposureChange {
  const plain = inWords(plainText(text).trim(), field)
  const name = /[^\d\s.,/:+-].*$/.exec(plain)?.[0]?.trim().toLowerCase() ?? ''
  const isNamed = (dimension: Dimension) =>
    UNITS.some((unit) => unit.dimension === dimension && unit.names.includes(name))
  if (isNamed('stops')) return { kind: 'stops', stops: parseQuantity(plain, 'stops', { field }) }
  if (isNamed('fraction')) return { kind: 'percent', percent: parseQuantity(plain, 'fraction', { field }) }
  const takesAway = plain.startsWith('-')
  const isTime = name !== '' || plain.includes(':')
  if (!isTime)
    throw new CoreError({
      code: plain ? 'no-unit' : 'empty',
      field,
      problem: plain ? `“${plain}” could be stops, percent or minutes.` : 'This field is empty.',
      remedy: 'Enter 1/3 stop, 10 % or 2 min.',
      part: plain,
    })
  const seconds = parseQuantity(plain.replace(/^[+-]\s*/, ''), 'time', { field })
  return { kind: 'time', seconds: takesAway ? -seconds : seconds }
}

/** A change that says `more` or `less` in a word: the sign goes to the front. */
function inWords(plain: string, field: string): string {
  const found = /^(.*\S)\s+(more|longer|extra|less|shorter)$/i.exec(plain)
  if (!found) return plain
  const amount = found[1] ?? ''
  const sign = /less|shorter/i.test(found[2] ?? '') ? '-' : '+'
  if (/^[+-]/.test(amount))
    throw new CoreError({
      code: 'ambiguous',
      field,
      problem: `“${plain}” has both a sign and a word.`,
      remedy: 'Enter -10 % or 10 % less.',
      part: plain,
    })
  return `${sign}${amount}`
}

/**
 * Reads a ratio by volume, such as `1 : 1`, `2:1` or `4 : 1 : 3`.
 *
 * @param count how many parts it must name.
 * @returns shape (count,), each above 0.
 * @throws CoreError `not-a-ratio`.
 */
export function parseRatio(text: string, count: number, field: string): number[] {
  const parts = plainText(text)
    .trim()
    .split(/\s*:\s*/)
  const numbers = parts.map((part) => (/^\d+(?:[.,]\d+)?$/.test(part) ? Number(part.replace(',', '.')) : 0))
  if (numbers.length !== count || numbers.some((number) => !(number > 0)))
    throw new CoreError({
      code: 'not-a-ratio',
      field,
      problem: `“${text.trim()}” is not a ratio of ${count} parts.`,
      remedy: `Enter it like ${Array(count).fill(1).join(' : ')}.`,
      part: text,
    })
  return numbers
}

function parseColonTime(plain: string, options: ParseOptions): number {
  const match = /^(?:(\d+):)?(\d+):(\d{1,2})(?:\s*(?:h|min))?$/.exec(plain)
  if (!match) throw refusal('unreadable', 'time', options, `“${plain}” is not a time.`, plain)
  const [hours, minutes, seconds] = [Number(match[1] ?? 0), Number(match[2]), Number(match[3])]
  if (seconds > 59 || (match[1] !== undefined && minutes > 59))
    throw refusal('seconds-over-59', 'time', options, `“${plain}” has more than 59 after the colon.`, plain)
  return hours * 3600 + minutes * 60 + seconds
}

/** Everything up to the next number: a unit may hold a full stop, a slash and a small power, but no number. */
const WORD =
  /^(?:[^\d\s.,+-][^\d+,-]*?(?:\/(?:c|k|d)?m\^?[23]|[23](?=\s|$))?|\/[a-z]+)(?=\s*(?:[\d+-]|[.,]\s*\d|[.,]?$))/i

/**
 * The numbers of a text with their units, in order: `5 ft 3 in` gives two.
 *
 * @throws CoreError as `parseQuantity`.
 */
export function readAll(plain: string, dimension: Dimension, options: ParseOptions): Reading[] {
  const readings: Reading[] = []
  let rest = plain
  while (rest) {
    const number = numberAtFront(rest, options.field)
    if (!number) {
      const problem = readings.length
        ? `“${rest}” is not understood.`
        : `“${rest}” does not start with a number.`
      throw refusal('unreadable', dimension, options, problem, rest)
    }
    if (number.signed && readings.length)
      throw refusal('unreadable', dimension, options, `“${rest}” is not understood.`, rest)
    rest = rest.slice(number.text.length).trimStart()
    const word = WORD.exec(rest)?.[0] ?? ''
    rest = rest
      .slice(word.length)
      .trimStart()
      .replace(/^\.(?:\s+|$)/, '')
    const isBareDegree = dimension === 'temperature' && /^(?:°|º|deg|degrees?)$/i.test(word.trim())
    const unit = word && !isBareDegree ? readUnit(word.trim(), dimension, options) : null
    readings.push({
      value: number.value,
      unit,
      text: `${number.text}${word ? ` ${word.trim()}` : ''}`,
      places: number.places,
    })
  }
  return readings
}

function readUnit(word: string, dimension: Dimension, options: ParseOptions): Unit {
  const name = word
    .toLowerCase()
    .replace(/\./g, '')
    .replace(/\s+/g, ' ')
    .replace(/\s*\/\s*/g, '/')
  const meant = UNITS.filter((unit) => unit.names.includes(name))
  const fitting = meant.find((unit) => unit.dimension === dimension)
  if (fitting) return fitting
  const other = meant[0]
  if (other)
    throw refusal(
      'wrong-dimension',
      dimension,
      options,
      `“${word}” is a unit for ${NAME_OF[other.dimension]}; this field needs ${NAME_OF[dimension]}.`,
      word,
    )
  throw refusal('unreadable', dimension, options, `“${word}” is not a known unit.`, word)
}

function unitFor(reading: Reading, previous: Unit | null, dimension: Dimension, options: ParseOptions): Unit {
  if (reading.unit) return reading.unit
  if (previous?.next) return unitOf(previous.next)
  if (previous)
    throw refusal('unreadable', dimension, options, `“${reading.text}” has no unit.`, reading.text)
  if (options.bareUnit) return unitOf(options.bareUnit)
  throw refusal('no-unit', dimension, options, `“${reading.text}” needs a unit.`, reading.text)
}

function refusal(
  code: string,
  dimension: Dimension,
  options: ParseOptions,
  problem: string,
  part: string,
): CoreError {
  const capital = problem[0]?.toUpperCase() + problem.slice(1)
  return new CoreError({
    code,
    field: options.field,
    problem: capital,
    remedy: `Enter it like ${EXAMPLE[dimension]}.`,
    part,
  })
}
