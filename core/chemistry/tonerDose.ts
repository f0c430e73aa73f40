import type { Figure, Standing } from '../quantity/figure'
import type { SubstanceBook } from './lots'
import { metalContent, type Metal } from './metalContent'

/** How much of a metal an image takes up as it is toned, mg/m² of picture. */
export interface MetalUptake {
  metal: Metal
  least: number
  most: number
  standing: Standing
  source: string
}

/** What a toned picture takes up, and how much of the toner holds that. */
export interface TonerDose {
  /** Name of the metal. */
  name: string
  /** Metal for the picture, mg: from a light picture to a dark one. */
  least: Figure
  most: Figure
  /** Toner that holds the most, ml: less of it cannot tone a dark picture through. */
  millilitres: Figure
}

/**
 * How much metal a picture takes up in a toner, by its area, and how much toner holds it.
 *
 * @param contents of the toner, % w/v.
 * @param squareMetres of the picture, or of several that are toned in it.
 * @returns `null` for a toner without a metal of which the uptake is known, and for no area.
 */
export function tonerDose(
  contents: readonly { substanceId: string; percent: number }[],
  squareMetres: number,
  book: SubstanceBook,
  uptakes: readonly MetalUptake[],
): TonerDose | null {
  if (!(squareMetres > 0)) return null
  const metals = metalContent(
    contents.map(({ substanceId, percent }) => ({
      name: book[substanceId]?.name ?? substanceId,
      millilitres: 1,
      percentWv: percent,
      formula: book[substanceId]?.forms[0]?.formula,
    })),
  )
  for (const { metal, name, mass } of metals) {
    const uptake = uptakes.find((one) => one.metal === metal)
    if (!uptake) continue
    const { standing, source } = uptake
    const area = { name: 'picture', symbol: 'A', value: squareMetres, unit: 'm²' }
    const takenUp = (value: number, words: string): Figure => ({
      value: value * squareMetres,
      unit: 'mg',
      working: {
        words,
        formula: 'm = u · A',
        inputs: [{ name: `${name} taken up`, symbol: 'u', value, unit: 'mg/m²', standing }, area],
        standing,
        source,
      },
    })
    const most = takenUp(uptake.most, `${name} that a dark picture takes up`)
    return {
      name,
      least: takenUp(uptake.least, `${name} that a light picture takes up`),
      most,
      millilitres: {
        value: most.value / mass.value,
        unit: 'ml',
        working: {
          words: `toner that holds the ${name} of a dark picture`,
          formula: 'V = m / c',
          inputs: [
            { name: `${name} for the picture`, symbol: 'm', value: most.value, unit: 'mg', standing },
            { name: `${name} in the toner`, symbol: 'c', value: mass.value, unit: 'mg/ml' },
          ],
          standing,
          source,
        },
      },
    }
  }
  return null
}
