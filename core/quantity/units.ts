/**
 * Units of the workroom. Every quantity is held in the canonical unit of its dimension:
 * millimetre, square centimetre, millilitre, drop, gram, second, degree Celsius, per cent, stop.
 */
export type Dimension =
  'length' | 'area' | 'volume' | 'drops' | 'mass' | 'time' | 'temperature' | 'fraction' | 'stops'

export interface Unit {
  id: string
  dimension: Dimension
  /** Canonical units in one of this unit. */
  factor: number
  /** Canonical value at zero of this unit; only degrees need it. */
  offset?: number
  /** What people write for it, lower case except where case tells units apart. */
  names: readonly string[]
  /** How the application writes it. */
  label: string
  /** The unit that a bare number after this one is counted in: `7 min 30`. */
  next?: string
}

/*
 * Factors: the inch is 25.4 mm and the pound 453.592 37 g by definition (international yard and pound, 1959);
 * the US gallon is 231 cubic inches, and its teaspoon 1/768 of it (NIST Handbook 44, Appendix C; from memory).
 */
const INCH_MM = 25.4
const US_GALLON_ML = (231 * INCH_MM ** 3) / 1000
const POUND_G = 453.59237

export const UNITS: readonly Unit[] = [
  {
    id: 'mm',
    dimension: 'length',
    factor: 1,
    names: ['mm', 'millimetre', 'millimetres', 'millimeter', 'millimeters'],
    label: 'mm',
  },
  {
    id: 'cm',
    dimension: 'length',
    factor: 10,
    names: ['cm', 'centimetre', 'centimetres', 'centimeter', 'centimeters'],
    label: 'cm',
  },
  {
    id: 'm',
    dimension: 'length',
    factor: 1000,
    names: ['m', 'metre', 'metres', 'meter', 'meters'],
    label: 'm',
  },
  {
    id: 'in',
    dimension: 'length',
    factor: INCH_MM,
    names: ['in', 'inch', 'inches', '"', '″', '”', "''"],
    label: 'in',
  },
  {
    id: 'ft',
    dimension: 'length',
    factor: 12 * INCH_MM,
    names: ['ft', 'foot', 'feet', "'", '′', '’'],
    label: 'ft',
    next: 'in',
  },

  { id: 'cm2', dimension: 'area', factor: 1, names: ['cm2', 'cm²', 'sq cm'], label: 'cm²' },
  { id: 'm2', dimension: 'area', factor: 10_000, names: ['m2', 'm²', 'sq m'], label: 'm²' },
  { id: 'in2', dimension: 'area', factor: (INCH_MM / 10) ** 2, names: ['in2', 'in²', 'sq in'], label: 'in²' },

  {
    id: 'ml',
    dimension: 'volume',
    factor: 1,
    names: ['ml', 'cc', 'millilitre', 'millilitres', 'milliliter', 'milliliters'],
    label: 'ml',
  },
  {
    id: 'l',
    dimension: 'volume',
    factor: 1000,
    names: ['l', 'litre', 'litres', 'liter', 'liters'],
    label: 'l',
  },
  {
    id: 'tsp',
    dimension: 'volume',
    factor: US_GALLON_ML / 768,
    names: ['tsp', 'teaspoon', 'teaspoons'],
    label: 'tsp',
  },
  {
    id: 'tbsp',
    dimension: 'volume',
    factor: US_GALLON_ML / 256,
    names: ['tbsp', 'tablespoon', 'tablespoons'],
    label: 'tbsp',
  },
  {
    id: 'floz',
    dimension: 'volume',
    factor: US_GALLON_ML / 128,
    names: ['fl oz', 'floz', 'fluid ounce', 'fluid ounces'],
    label: 'fl oz',
  },
  { id: 'cup', dimension: 'volume', factor: US_GALLON_ML / 16, names: ['cup', 'cups'], label: 'cup' },

  { id: 'drop', dimension: 'drops', factor: 1, names: ['drop', 'drops', 'dr'], label: 'drops' },

  { id: 'mg', dimension: 'mass', factor: 0.001, names: ['mg', 'milligram', 'milligrams'], label: 'mg' },
  { id: 'g', dimension: 'mass', factor: 1, names: ['g', 'gram', 'grams', 'gramme', 'grammes'], label: 'g' },
  {
    id: 'kg',
    dimension: 'mass',
    factor: 1000,
    names: ['kg', 'kilo', 'kilos', 'kilogram', 'kilograms'],
    label: 'kg',
  },
  { id: 'oz', dimension: 'mass', factor: POUND_G / 16, names: ['oz', 'ounce', 'ounces'], label: 'oz' },
  {
    id: 'lb',
    dimension: 'mass',
    factor: POUND_G,
    names: ['lb', 'lbs', 'pound', 'pounds'],
    label: 'lb',
    next: 'oz',
  },

  {
    id: 's',
    dimension: 'time',
    factor: 1,
    names: ['s', 'sec', 'secs', 'second', 'seconds', '"', '″', '”', "''"],
    label: 's',
  },
  {
    id: 'min',
    dimension: 'time',
    factor: 60,
    names: ['min', 'mins', 'minute', 'minutes', 'm', "'", '′', '’'],
    label: 'min',
    next: 's',
  },
  {
    id: 'h',
    dimension: 'time',
    factor: 3600,
    names: ['h', 'hr', 'hrs', 'hour', 'hours'],
    label: 'h',
    next: 'min',
  },
  { id: 'd', dimension: 'time', factor: 86_400, names: ['d', 'day', 'days'], label: 'days', next: 'h' },
  {
    id: 'week',
    dimension: 'time',
    factor: 604_800,
    names: ['week', 'weeks', 'wk'],
    label: 'weeks',
    next: 'd',
  },

  { id: 'degC', dimension: 'temperature', factor: 1, names: ['°c', 'c', 'celsius', 'deg c'], label: '°C' },
  {
    id: 'degF',
    dimension: 'temperature',
    factor: 5 / 9,
    offset: (-32 * 5) / 9,
    names: ['°f', 'f', 'fahrenheit', 'deg f'],
    label: '°F',
  },

  { id: 'percent', dimension: 'fraction', factor: 1, names: ['%', 'per cent', 'percent', 'pct'], label: '%' },
  { id: 'stop', dimension: 'stops', factor: 1, names: ['stop', 'stops', 'ev'], label: 'stop' },
]

const byId = new Map(UNITS.map((unit) => [unit.id, unit]))

/**
 * The unit of that id.
 *
 * @throws Error for an id that is not in the table: a programmer's slip, not the user's.
 */
export function unitOf(id: string): Unit {
  const unit = byId.get(id)
  if (!unit) throw new Error(`no unit is called ${id}`)
  return unit
}

/** Value in canonical units of a number written in `unit`. */
export const toCanonical = (value: number, unit: Unit): number => value * unit.factor + (unit.offset ?? 0)

/** Number in `unit` of a canonical value. */
export const fromCanonical = (value: number, unit: Unit): number => (value - (unit.offset ?? 0)) / unit.factor

/** What one says when a value of this dimension is wanted, with a form that can be read. */
export const EXAMPLE: Readonly<Record<Dimension, string>> = {
  length: '20 cm or 8 in',
  area: '500 cm2',
  volume: '2.5 ml or 1 1/2 tsp',
  drops: '20 drops',
  mass: '12.5 g',
  time: '7:30 or 7 min 30',
  temperature: '21 C or 70 F',
  fraction: '10 %',
  stops: '1/3 stop',
}
