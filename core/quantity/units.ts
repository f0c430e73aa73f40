/**
 * Units of the workroom. Every quantity is held in the canonical unit of its dimension, the first of each group below.
 */
export type Dimension =
  | 'length'
  | 'altitude'
  | 'area'
  | 'volume'
  | 'coverage'
  | 'drops'
  | 'dropRate'
  | 'mass'
  | 'paperWeight'
  | 'liquidDensity'
  | 'time'
  | 'temperature'
  | 'humidity'
  | 'fraction'
  | 'stops'
  | 'opticalDensity'
  | 'dose'
  | 'irradiance'

export interface Unit {
  id: string
  dimension: Dimension
  /** Canonical units in one of this unit. */
  factor: number
  /** Canonical value at zero of this unit; only degrees need it. */
  offset?: number
  /** What people write for it, in lower case, without full stops. */
  names: readonly string[]
  /** How the application writes it. */
  label: string
  /** The unit that a bare number after this one is counted in: `7 min 30`. */
  next?: string
}

/*
 * Factors: the inch is 25.4 mm and the pound 453.592 37 g by definition (international yard and pound, 1959), the grain
 * 1/7000 of it; the US gallon is 231 cubic inches, and its teaspoon 1/768 of it (NIST Handbook 44, Appendix C). From
 * memory. A pound of watercolour paper is the weight of 500 sheets of 22 x 30 in, of bond 17 x 22,
 * of cover 20 x 26, of text and book 25 x 38: common practice.
 */
const INCH_MM = 25.4
const US_GALLON_ML = (231 * INCH_MM ** 3) / 1000
const POUND_G = 453.59237
/** Area of 500 sheets of so many inches, m². */
const reamOf = (width: number, height: number): number => 500 * width * height * (INCH_MM / 1000) ** 2
const REAM_M2 = reamOf(22, 30)
/** Pounds of a kind of paper, as they are written. */
const poundsOf = (...kinds: string[]): string[] =>
  kinds.flatMap((kind) => ['lb', 'lbs', '#', 'pound', 'pounds'].map((pound) => `${pound} ${kind}`))

/** Area in the names of light: `cm2`, `cm²`, `cm^2`, `sq cm`. */
const per = (units: readonly string[], area: 'cm' | 'm'): string[] =>
  units.flatMap((unit) => [
    ...[`${area}2`, `${area}²`, `${area}^2`].map((name) => `${unit}/${name}`),
    `${unit} per ${area}2`,
    `${unit}/sq ${area}`,
  ])

type Row = [id: string, factor: number, names: string[], label: string, more?: Pick<Unit, 'next' | 'offset'>]

const GROUPS: readonly [Dimension, readonly Row[]][] = [
  ['length', [
    ['mm', 1, ['mm', 'millimetre', 'millimetres', 'millimeter', 'millimeters'], 'mm'],
    ['cm', 10, ['cm', 'centimetre', 'centimetres', 'centimeter', 'centimeters'], 'cm'],
    ['m', 1000, ['m', 'metre', 'metres', 'meter', 'meters'], 'm'],
    ['in', INCH_MM, ['in', 'inch', 'inches', '"', '″', '”', "''"], 'in'],
    ['ft', 12 * INCH_MM, ['ft', 'foot', 'feet', "'", '′', '’'], 'ft', { next: 'in' }],
  ]],
  ['altitude', [
    ['altitudeM', 1, ['m', 'metre', 'metres', 'meter', 'meters'], 'm'],
    ['altitudeKm', 1000, ['km', 'kilometre', 'kilometres', 'kilometer', 'kilometers'], 'km'],
    ['altitudeFt', 0.012 * INCH_MM, ['ft', 'foot', 'feet', "'", '′'], 'ft'],
  ]],
  ['area', [
    ['cm2', 1, ['cm2', 'cm²', 'cm^2', 'sq cm'], 'cm²'],
    ['m2', 10_000, ['m2', 'm²', 'm^2', 'sq m'], 'm²'],
    ['in2', (INCH_MM / 10) ** 2, ['in2', 'in²', 'in^2', 'sq in'], 'in²'],
  ]],
  ['volume', [
    ['ml', 1, ['ml', 'cc', 'cm3', 'millilitre', 'millilitres', 'milliliter', 'milliliters'], 'ml'],
    ['cl', 10, ['cl', 'centilitre', 'centilitres'], 'cl'],
    ['l', 1000, ['l', 'litre', 'litres', 'liter', 'liters'], 'l'],
    ['tsp', US_GALLON_ML / 768, ['tsp', 'teaspoon', 'teaspoons'], 'tsp'],
    ['tbsp', US_GALLON_ML / 256, ['tbsp', 'tablespoon', 'tablespoons'], 'tbsp'],
    ['floz', US_GALLON_ML / 128, ['fl oz', 'floz', 'fluid ounce', 'fluid ounces'], 'fl oz'],
    ['cup', US_GALLON_ML / 16, ['cup', 'cups'], 'cup'],
    ['pint', US_GALLON_ML / 8, ['pt', 'pint', 'pints', 'us pint'], 'pt'],
    ['quart', US_GALLON_ML / 4, ['qt', 'quart', 'quarts', 'us quart'], 'qt'],
    ['gallon', US_GALLON_ML, ['gal', 'gallon', 'gallons', 'us gallon', 'us gallons'], 'gal'],
  ]],
  ['coverage', [
    ['mlPerM2', 1, [...per(['ml'], 'm')], 'ml/m²'],
    ['mlPerCm2', 10_000, [...per(['ml'], 'cm')], 'ml/cm²'],
  ]],
  ['drops', [['drop', 1, ['drop', 'drops', 'dr'], 'drops']]],
  ['dropRate', [['dropsPerMl', 1, ['drops/ml', 'drops per ml', 'drop/ml', 'drops to the ml', '/ml', 'drops'], 'drops/ml']]],
  ['mass', [
    ['g', 1, ['g', 'gram', 'grams', 'gramme', 'grammes'], 'g'],
    ['mg', 0.001, ['mg', 'milligram', 'milligrams'], 'mg'],
    ['kg', 1000, ['kg', 'kilo', 'kilos', 'kilogram', 'kilograms'], 'kg'],
    ['grain', POUND_G / 7000, ['grain', 'grains'], 'grains'],
    ['oz', POUND_G / 16, ['oz', 'ounce', 'ounces'], 'oz'],
    ['lb', POUND_G, ['lb', 'lbs', 'pound', 'pounds'], 'lb', { next: 'oz' }],
  ]],
  ['paperWeight', [
    ['gsm', 1, ['gsm', 'g', ...per(['g'], 'm')], 'g/m²'],
    ['reamLb', POUND_G / REAM_M2, ['lb', 'lbs', 'pound', 'pounds', '#', ...poundsOf('watercolour', 'watercolor')], 'lb'],
    ['bondLb', POUND_G / reamOf(17, 22), poundsOf('bond', 'writing', 'ledger'), 'lb bond'],
    ['coverLb', POUND_G / reamOf(20, 26), poundsOf('cover'), 'lb cover'],
    ['textLb', POUND_G / reamOf(25, 38), poundsOf('text', 'book', 'offset'), 'lb text'],
  ]],
  ['liquidDensity', [
    ['gPerMl', 1, ['g/ml', 'g/cm3', 'g/cm³', 'g/cc', 'kg/l', 'g per ml', 'kg/dm3'], 'g/ml'],
    ['gPerL', 0.001, ['g/l', 'kg/m3', 'kg/m³'], 'g/l'],
  ]],
  ['time', [
    ['s', 1, ['s', 'sec', 'secs', 'second', 'seconds', '"', '″', '”', "''"], 's'],
    ['min', 60, ['min', 'mins', 'minute', 'minutes', 'm', "'", '′', '’'], 'min', { next: 's' }],
    ['h', 3600, ['h', 'hr', 'hrs', 'hour', 'hours'], 'h', { next: 'min' }],
    ['d', 86_400, ['d', 'day', 'days'], 'days', { next: 'h' }],
    ['week', 604_800, ['week', 'weeks', 'wk'], 'weeks', { next: 'd' }],
  ]],
  ['temperature', [
    ['degC', 1, ['°c', 'c', 'celsius', 'deg c', 'degree c', 'degrees c', 'degrees celsius', 'º c', 'ºc', '° c'], '°C'],
    ['degF', 5 / 9, ['°f', 'f', 'fahrenheit', 'deg f', 'degree f', 'degrees f', 'degrees fahrenheit', 'º f', 'ºf', '° f'], '°F', { offset: (-32 * 5) / 9 }],
  ]],
  ['humidity', [['rh', 1, ['%', '% rh', '%rh', 'rh', 'percent', 'per cent', '% humidity'], '%']]],
  ['fraction', [['percent', 1, ['%', 'per cent', 'percent', 'pct'], '%']]],
  ['stops', [['stop', 1, ['stop', 'stops', 'ev'], 'stop']]],
  ['opticalDensity', [['D', 1, ['d', 'od', 'log d', 'density'], 'D']]],
  ['dose', [
    ['mJPerCm2', 1, per(['mj'], 'cm'), 'mJ/cm²'],
    ['JPerCm2', 1000, per(['j'], 'cm'), 'J/cm²'],
    ['uJPerCm2', 0.001, per(['µj', 'μj', 'uj'], 'cm'), 'µJ/cm²'],
    ['JPerM2', 0.1, per(['j'], 'm'), 'J/m²'],
    ['kJPerM2', 100, per(['kj'], 'm'), 'kJ/m²'],
  ]],
  ['irradiance', [
    ['mWPerCm2', 1, per(['mw'], 'cm'), 'mW/cm²'],
    ['WPerCm2', 1000, per(['w'], 'cm'), 'W/cm²'],
    ['uWPerCm2', 0.001, per(['µw', 'μw', 'uw'], 'cm'), 'µW/cm²'],
    ['WPerM2', 0.1, per(['w'], 'm'), 'W/m²'],
    ['mWPerM2', 0.0001, per(['mw'], 'm'), 'mW/m²'],
  ]],
] // prettier-ignore

/** Every unit that is read, each with its factor to the canonical unit of its dimension. */
export const UNITS: readonly Unit[] = GROUPS.flatMap(([dimension, rows]) =>
  rows.map(([id, factor, names, label, more]): Unit => ({ id, dimension, factor, names, label, ...more })),
)

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
  altitude: '400 m or 1300 ft',
  area: '500 cm2',
  volume: '2.5 ml or 1 1/2 tsp',
  coverage: '38 ml/m2',
  drops: '20 drops',
  dropRate: '20 drops/ml',
  mass: '12.5 g',
  paperWeight: '300 g/m2 or 140 lb',
  liquidDensity: '1.18 g/ml',
  time: '7:30 or 7 min 30',
  temperature: '21 C or 70 F',
  humidity: '48 %',
  fraction: '10 %',
  stops: '1/3 stop',
  opticalDensity: '1.35 D',
  dose: '1200 mJ/cm2 or 12 kJ/m2',
  irradiance: '4.8 mW/cm2 or 48 W/m2',
}
