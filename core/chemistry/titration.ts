import { CoreError } from '../errors'
import type { Figure } from '../quantity/figure'
import type { Substance } from '../schema/substance'
import { strengthByDensity } from './dilution'
import { molarMass } from './molarMass'

/** A drop test of a silver bath: so many drops of salt water until no more milk forms. */
export interface SilverTitration {
  /** Bath that was tested, ml. */
  sampleMillilitres: number
  /** Drops of salt water after which the next makes no new milk. */
  drops: number
  dropsPerMillilitre: number
  /** Strength of the salt water, % w/v of sodium chloride. */
  saltPercent: number
}

const [SILVER, SALT] = ['AgNO3', 'NaCl']

/**
 * Strength of a silver bath by drops of salt water: each mole of chloride takes down one of silver.
 *
 * @returns % w/v of silver nitrate; its uncertainty is that of one drop more or less.
 * @throws CoreError `out-of-range` for anything not above zero.
 * @see AgNO3 + NaCl → AgCl + NaNO3, the reaction of the argentometric titration
 */
export function silverByDrops({
  sampleMillilitres,
  drops,
  dropsPerMillilitre,
  saltPercent,
}: SilverTitration): Figure {
  if (![sampleMillilitres, drops, dropsPerMillilitre, saltPercent].every((one) => one > 0))
    throw new CoreError({
      code: 'out-of-range',
      field: 'drops of salt',
      problem: 'Sample, drops and strength of the salt water must be above zero.',
      remedy: 'Enter the drops after which no new milk formed, for example 28.',
    })
  const [silver, salt] = [molarMass(SILVER).value, molarMass(SALT).value]
  const perDrop = (saltPercent * silver) / (dropsPerMillilitre * salt * sampleMillilitres)
  return {
    value: drops * perDrop,
    unit: '% w/v',
    uncertainty: perDrop,
    working: {
      words: 'salt in the drops, as moles of silver, in the sample',
      formula: 'c = N·s·M(AgNO₃) / (d·M(NaCl)·V)',
      inputs: [
        { name: 'drops of salt water', symbol: 'N', value: drops, unit: '', standing: 'yours' },
        { name: 'salt water', symbol: 's', value: saltPercent, unit: '% w/v' },
        { name: 'drops in a millilitre', symbol: 'd', value: dropsPerMillilitre, unit: '' },
        { name: 'sample of the bath', symbol: 'V', value: sampleMillilitres, unit: 'ml' },
        { name: 'molar mass of silver nitrate', symbol: 'M(AgNO₃)', value: silver, unit: 'g/mol' },
        { name: 'molar mass of sodium chloride', symbol: 'M(NaCl)', value: salt, unit: 'g/mol' },
      ],
      standing: 'arithmetic',
      source: 'AgNO₃ + NaCl → AgCl + NaNO₃',
      leavesOut: 'organic matter in a used bath, which can hold some silver back',
    },
  }
}

/**
 * Silver nitrate that brings a bath back to its strength.
 *
 * @param millilitres in the tray. @returns g, 0 where it is strong enough.
 */
export function silverToAdd(wantedPercent: number, foundPercent: number, millilitres: number): Figure {
  return {
    value: Math.max(0, ((wantedPercent - foundPercent) * millilitres) / 100),
    unit: 'g',
    working: {
      words: 'what is missing in 100 ml × volume',
      formula: 'm = (c₁ − c)·V / 100',
      inputs: [
        { name: 'wanted', symbol: 'c₁', value: wantedPercent, unit: '% w/v' },
        { name: 'found', symbol: 'c', value: foundPercent, unit: '% w/v' },
        { name: 'in the tray', symbol: 'V', value: millilitres, unit: 'ml' },
      ],
      standing: 'arithmetic',
      source: 'The volume is taken to stay the same',
    },
  }
}

/**
 * Silver nitrate in a fresh bath by its density, as a hydrometer reads it. In a bath that has been used, the nitrates that
 * take the place of the silver are as heavy, so it reads too high.
 *
 * @param silver the substance, with its table of densities.
 * @param gramsPerMillilitre at 20 °C.
 * @returns % w/v.
 * @throws CoreError as `strengthByDensity`.
 */
export function silverByDensity(silver: Substance, gramsPerMillilitre: number): Figure {
  const byWeight = strengthByDensity(silver, gramsPerMillilitre)
  return {
    value: byWeight.value * gramsPerMillilitre,
    unit: '% w/v',
    working: {
      ...byWeight.working,
      words: 'read off the table of densities, then from weight to volume',
      formula: 'c = w(ρ) · ρ',
      leavesOut: 'nitrates that gather in a used bath and read as silver',
    },
  }
}
