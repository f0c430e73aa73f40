import type { Figure } from '../quantity/figure'
import type { WantedAir } from '../schema/air'

/** Air for a process that says nothing of it: about 50 % relative humidity; common practice. */
const USUAL = { leastPercent: 38, mostPercent: 65 } as const

/**
 * Whether the air of the room suits coating and printing.
 *
 * @param relativeHumidity %, 0 to 100.
 * @param wanted what the process wants; between 38 and 65 % where it says nothing.
 */
export const airFor = (
  relativeHumidity: number,
  wanted: Pick<WantedAir, 'leastPercent' | 'mostPercent'> = USUAL,
): 'dry' | 'right' | 'damp' =>
  relativeHumidity < wanted.leastPercent ? 'dry' : relativeHumidity > wanted.mostPercent ? 'damp' : 'right'

/** A salt whose saturated solution holds the air of a closed box at one humidity. */
export interface BoxSalt {
  name: string
  /** Relative humidity over it, %, at 20 and at 25 °C. */
  at20: number
  at25: number
}

/**
 * Salts for a conditioning box, driest first.
 *
 * @see L. Greenspan, Humidity fixed points of binary saturated aqueous solutions, J. Res. NBS 81A (1977) 89; values from memory
 */
export const BOX_SALTS: readonly BoxSalt[] = [
  { name: 'magnesium chloride', at20: 33.1, at25: 32.8 },
  { name: 'potassium carbonate', at20: 43.2, at25: 43.2 },
  { name: 'magnesium nitrate', at20: 54.4, at25: 52.9 },
  { name: 'sodium bromide', at20: 59.1, at25: 57.6 },
  { name: 'sodium chloride', at20: 75.5, at25: 75.3 },
]

/** Beyond these temperatures the line is not drawn on, °C. */
const BOX_CELSIUS = [10, 35] as const

/**
 * Relative humidity over a saturated salt, on the straight line through 20 and 25 °C.
 *
 * @param celsius of the box; below 10 and above 35 the value at these ends holds.
 */
export function humidityOver(salt: BoxSalt, celsius: number): Figure {
  const box = Math.min(BOX_CELSIUS[1], Math.max(BOX_CELSIUS[0], celsius))
  return {
    value: salt.at20 + ((salt.at25 - salt.at20) * (box - 20)) / 5,
    unit: '% RH',
    working: {
      words: 'relative humidity over the saturated solution',
      formula: 'h = h₂₀ + (h₂₅ − h₂₀)·(t − 20)/5',
      inputs: [
        { name: 'at 20 °C', symbol: 'h₂₀', value: salt.at20, unit: '%' },
        { name: 'at 25 °C', symbol: 'h₂₅', value: salt.at25, unit: '%' },
        { name: 'of the box', symbol: 't', value: box, unit: '°C' },
      ],
      standing: 'published',
      source: 'Greenspan 1977, humidity fixed points of saturated salt solutions; values from memory',
    },
  }
}

/** The salt whose humidity comes nearest to what is aimed at. @param aimPercent relative humidity, %. */
export const saltFor = (aimPercent: number, celsius = 20): BoxSalt =>
  BOX_SALTS.reduce((best, salt) =>
    Math.abs(humidityOver(salt, celsius).value - aimPercent) <
    Math.abs(humidityOver(best, celsius).value - aimPercent)
      ? salt
      : best,
  )

/** Half an hour for a thin paper and two hours for a heavy one; from memory. */
const CONDITIONING = {
  thin: { gramsPerM2: 120, seconds: 1800 },
  heavy: { gramsPerM2: 400, seconds: 7200 },
} as const

/**
 * How long a sheet lies in a conditioning box until its coat has the humidity of the air in it.
 *
 * @param gramsPerM2 of the paper; `undefined` where it is not known, which counts as a heavy one.
 * @returns seconds, half an hour to two hours.
 */
export function conditioningTime(gramsPerM2: number | undefined): Figure {
  const { thin, heavy } = CONDITIONING
  const share = ((gramsPerM2 ?? heavy.gramsPerM2) - thin.gramsPerM2) / (heavy.gramsPerM2 - thin.gramsPerM2)
  return {
    value: thin.seconds + (heavy.seconds - thin.seconds) * Math.min(1, Math.max(0, share)),
    unit: 's',
    working: {
      words: 'half an hour for thin paper to two hours for heavy paper, by its weight',
      formula: 't = t₁ + (t₂ − t₁)·(m − m₁)/(m₂ − m₁)',
      inputs: [
        { name: 'thin paper', symbol: 'm₁', value: thin.gramsPerM2, unit: 'g/m²' },
        { name: 'heavy paper', symbol: 'm₂', value: heavy.gramsPerM2, unit: 'g/m²' },
        ...(gramsPerM2 === undefined
          ? []
          : [
              {
                name: 'this paper',
                symbol: 'm',
                value: gramsPerM2,
                unit: 'g/m²',
                standing: 'yours' as const,
              },
            ]),
      ],
      standing: 'memory',
      source: 'Half an hour to two hours by weight of paper; from memory',
      leavesOut:
        'size, coat and how far the sheet is from it; a sheet that has stopped changing weight is done',
    },
  }
}
