import { dayIn } from '../../words/readMoment'
import { parseNumber } from '@core/quantity/number'
import type { Dimension } from '@core/quantity/units'
import { densityAt, DRY } from '@core/tone/measured'
import { exposureOf, secondsGiven } from '@core/judge/printRecord'
import { madeAtOf } from '@core/judge/results'
import type { RunState } from '@core/run/runState'
import { parseQuantity } from '@core/quantity/parse'
import { lightnessFromDensity } from '@core/tone/density'
import type { SheetInRoom } from '../../state/workroom.store'

/** What a print has a number for, and how that number is typed. */
interface PrintValue {
  id: string
  name: string
  /** An example of what can be typed. */
  example: string
  /** `null` where the thread does not tell it. */
  of: (one: SheetInRoom) => number | null
  /** @param isTo a day, a month and a year last until their end. */
  read: (text: string, field: string, isTo: boolean, length: 'in' | 'cm' | 'mm') => number
}

const plain = (text: string, field: string): number => parseNumber(text, { field, example: '40' })
const quantity =
  (dimension: Dimension, bareUnit: string) =>
  (text: string, field: string): number =>
    parseQuantity(text, dimension, { field, bareUnit })

const density = (state: RunState, of: 'black' | 'white') => densityAt(state, of, DRY)
const lightness = (value: number | null) => (value === null ? null : lightnessFromDensity(value))

export const VALUES = [
  {
    id: 'exposure',
    name: 'exposure',
    example: '8:30',
    of: ({ sheet, state }) => secondsGiven(exposureOf(state)) ?? sheet.exposureSeconds,
    read: (text, field) => parseQuantity(text, 'time', { field, bareUnit: 'min' }),
  },
  { id: 'black', name: 'Dmax', example: '1.4', of: ({ state }) => density(state, 'black'), read: quantity('opticalDensity', 'D') },
  { id: 'white', name: 'paper white, L*', example: '92', of: ({ state }) => lightness(density(state, 'white')), read: plain },
  { id: 'humidity', name: 'room humidity, %', example: '45', of: ({ state }) => state.room?.relativeHumidity ?? null, read: quantity('humidity', 'rh') },
  { id: 'celsius', name: 'room temperature, °C', example: '21', of: ({ state }) => state.room?.celsius ?? null, read: quantity('temperature', 'degC') },
  {
    id: 'side',
    name: 'longer side of the sheet',
    example: '10 in',
    of: ({ sheet }) => Math.max(sheet.widthMillimetres, sheet.heightMillimetres),
    read: (text, field, _, length) => parseQuantity(text, 'length', { field, bareUnit: length }),
  },
  { id: 'coats', name: 'coats', example: '2', of: ({ sheet }) => sheet.coats, read: plain },
  { id: 'coverage', name: 'sensitizer, ml/m²', example: '45', of: ({ sheet }) => sheet.coverageMillilitresPerM2, read: quantity('coverage', 'mlPerM2') },
  { id: 'made', name: 'date', example: '2026-05', of: ({ state }) => madeAtOf(state), read: dayIn },
] as const satisfies readonly PrintValue[] // prettier-ignore
export type ValueId = (typeof VALUES)[number]['id']

const valueOf = (id: ValueId): PrintValue => VALUES.find((one) => one.id === id) as PrintValue

export const exampleOf = (id: ValueId): string => valueOf(id).example

/**
 * Prints whose value is between two others; an end that is left empty is open, and ends the wrong way round are turned.
 *
 * @returns `null` where both ends are open.
 * @throws CoreError where an end cannot be read; its field is `from` or `to`.
 */
export function rangeOf(
  id: ValueId,
  ends: { from: string; to: string },
  length: 'in' | 'cm' | 'mm',
): ((one: SheetInRoom) => boolean) | null {
  const value = valueOf(id)
  const read = (field: 'from' | 'to', text: string, isTo: boolean) =>
    text.trim() ? value.read(text, field, isTo, length) : null
  let [low, high] = [read('from', ends.from, false), read('to', ends.to, true)]
  if (low === null && high === null) return null
  if (low !== null && high !== null && low > high)
    [low, high] = [read('to', ends.to, false), read('from', ends.from, true)]
  return (one) => {
    const found = value.of(one)
    return found !== null && (low === null || found >= low) && (high === null || found <= high)
  }
}
