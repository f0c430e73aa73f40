import type { SubstanceBook } from '../chemistry/lots'
import type { Bottle, Waste } from '../record/records'
import type { ReactionClass, WasteClass } from '../record/substance'

/** Jars from the most to the least troublesome: a mixture goes where its worst part belongs. */
const ORDER: readonly WasteClass[] = [
  'chromium',
  'cyanoferrate',
  'noble',
  'silver',
  'selenium',
  'aldehyde',
  'solvent',
  'oxidiser',
  'iron',
  'acid',
  'base',
  'plain',
]

/** Which waste jar the contents of a bottle belong in. */
export function wasteClassOf(contents: Bottle['contents'], book: SubstanceBook): WasteClass {
  const classes = contents.map((one) => book[one.substanceId]?.waste ?? 'plain')
  return ORDER.find((one) => classes.includes(one)) ?? 'plain'
}

/** Every way in which what a bottle holds reacts, for asking what it must not meet. */
export const reactionsOf = (contents: Bottle['contents'], book: SubstanceBook): ReactionClass[] => [
  ...new Set(contents.flatMap((one) => book[one.substanceId]?.reacts ?? [])),
]

/** One waste jar: what lies in it and has not been handed over. */
export interface WasteJar {
  wasteClass: WasteClass
  millilitres: number
  grams: number
  entries: Waste[]
}

/** What waits for the licensed service, a jar a class, the most troublesome first. */
export function wasteJars(wastes: readonly Waste[]): WasteJar[] {
  return ORDER.flatMap((wasteClass) => {
    const entries = wastes.filter(
      (one) =>
        one.wasteClass === wasteClass && one.handedOverAt === undefined && one.takenBackAt === undefined,
    )
    const sum = (unit: Waste['unit']) =>
      entries.filter((one) => one.unit === unit).reduce((total, one) => total + one.amount, 0)
    return entries.length ? [{ wasteClass, millilitres: sum('ml'), grams: sum('g'), entries }] : []
  })
}
