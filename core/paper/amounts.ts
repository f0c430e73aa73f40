import { molarMass } from '../chemistry/molarMass'
import { CoreError } from '../errors'
import type { Figure } from '../quantity/figure'
import type { Size } from '../quantity/size'

const CHALK = 'CaCO3'

/**
 * Weight of a paper from its basis weight: 140 lb at 22 x 30 in is about 300 g/m².
 *
 * @param pounds of a ream; @param basis size of the sheets it is computed in, inches; @param ream sheets in it.
 * @returns g/m².
 */
export function gramsPerM2(
  pounds: number,
  basis: { width: number; height: number } = { width: 22, height: 30 },
  ream = 500,
): Figure {
  const grams = pounds * 453.59237
  const squareMetres = basis.width * basis.height * 0.0254 ** 2 * ream
  if (!(pounds > 0) || !(squareMetres > 0))
    throw new CoreError({
      code: 'out-of-range',
      field: 'weight',
      problem: 'The basis weight must be above zero.',
      remedy: 'Enter a weight such as 140 lb.',
    })
  return {
    value: grams / squareMetres,
    unit: 'g/m²',
    working: {
      words: 'weight of the ream over its area',
      formula: 'm = P·453.59 / (w·h·n)',
      inputs: [
        { name: 'ream', symbol: 'P', value: pounds, unit: 'lb' },
        { name: 'basis, width', symbol: 'w', value: basis.width, unit: 'in' },
        { name: 'basis, height', symbol: 'h', value: basis.height, unit: 'in' },
        { name: 'sheets', symbol: 'n', value: ream, unit: '' },
      ],
      standing: 'published',
      source: 'Pound of 453.592 37 g and inch of 25.4 mm, by definition (1959)',
    },
  }
}

/**
 * Solution that a tray takes so that sheets of this size are covered.
 *
 * @param depthMillimetres of liquid; a centimetre and a half where several sheets are slid in behind one another.
 * @returns millilitres.
 */
export function trayVolume(sheet: Size, depthMillimetres: number, marginMillimetres = 25): Figure {
  const width = sheet.widthMillimetres + 2 * marginMillimetres
  const height = sheet.heightMillimetres + 2 * marginMillimetres
  return {
    value: (width * height * depthMillimetres) / 1000,
    unit: 'ml',
    working: {
      words: 'tray × depth',
      formula: 'V = (w + 2r)·(h + 2r)·d / 1000',
      inputs: [
        { name: 'width', symbol: 'w', value: sheet.widthMillimetres, unit: 'mm' },
        { name: 'height', symbol: 'h', value: sheet.heightMillimetres, unit: 'mm' },
        { name: 'room round it', symbol: 'r', value: marginMillimetres, unit: 'mm', standing: 'practice' },
        { name: 'depth', symbol: 'd', value: depthMillimetres, unit: 'mm', standing: 'practice' },
      ],
      standing: 'practice',
      source: 'A tray a little larger than the sheet; common practice',
    },
  }
}

export interface AcidBath {
  percentWv: number
  formula: string
  /** Moles of chalk that a mole of the acid turns: oxalic 1, citric 1.5, sulfamic ½. */
  chalkPerMole: number
  millilitres: number
}

/** Chalk in a buffered paper: recalled, not looked up; papers differ. */
const CHALK_PERCENT = 3

/**
 * Paper that an acid bath frees of its chalk before half of the acid is used, after which the fizzing grows slow.
 *
 * @returns m².
 */
export function acidCapacity(bath: AcidBath, paperGramsPerM2: number, chalkPercent = CHALK_PERCENT): Figure {
  const acid = (bath.millilitres * bath.percentWv * 10) / molarMass(bath.formula).value
  const chalk = (paperGramsPerM2 * chalkPercent * 10) / molarMass(CHALK).value
  return {
    value: (0.5 * acid * bath.chalkPerMole) / chalk,
    unit: 'm²',
    working: {
      words: 'half of the acid over the chalk in a square metre',
      formula: 'A = ½·n(acid)·z / n(chalk)',
      inputs: [
        { name: 'acid in the tray', symbol: 'n(acid)', value: acid, unit: 'mmol' },
        { name: 'chalk a mole of it turns', symbol: 'z', value: bath.chalkPerMole, unit: 'mol/mol' },
        { name: 'paper', symbol: 'm', value: paperGramsPerM2, unit: 'g/m²' },
        { name: 'chalk in it', symbol: 'p', value: chalkPercent, unit: '%', standing: 'memory' },
        { name: 'chalk', symbol: 'n(chalk)', value: chalk, unit: 'mmol/m²' },
      ],
      standing: 'memory',
      source: 'A buffered paper holds a few percent of chalk; from memory, papers differ',
      leavesOut: 'what the sheets carry out; renew the bath when the fizzing stops coming',
    },
  }
}

/**
 * Drops of hardener for a size.
 *
 * @param perFiveMillilitres common practice is about one.
 */
export function hardenerDrops(sizeMillilitres: number, perFiveMillilitres = 1): Figure {
  return {
    value: Math.max(1, Math.round((sizeMillilitres / 5) * perFiveMillilitres)),
    unit: 'drops',
    working: {
      words: 'a drop for every 5 ml of size, to the nearest whole drop',
      formula: 'N = round(V·h / 5)',
      inputs: [
        { name: 'size', symbol: 'V', value: sizeMillilitres, unit: 'ml' },
        { name: 'for 5 ml', symbol: 'h', value: perFiveMillilitres, unit: 'drops', standing: 'practice' },
      ],
      standing: 'practice',
      source: 'About one drop of hardener to 5 ml of size; common practice',
    },
  }
}
