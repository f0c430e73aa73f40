import { auditNeighbours, type Finding } from './audits'
import type { SubstanceBook } from './lots'
import type { Waste } from '../schema/records'
import type { Incompatibility, ReactionClass, WasteClass } from '../schema/substance'

/** What a waste holds: substances, with their strength where it is known. */
export type WasteContents = NonNullable<Waste['contents']>

/**
 * The class of a mixture is that of the part named first here. What reacts on its own comes before what is only toxic;
 * solvents come before silver, so that collodion emulsion never meets water-based silver waste; fixer comes before
 * silver, since silver in hypo is spent fixer.
 */
const ORDER: readonly WasteClass[] = [
  'chromium',
  'hypochlorite',
  'peroxide',
  'chlorate',
  'oxidiser',
  'solvent',
  'cyanoferrate',
  'noble',
  'selenium',
  'fixer',
  'silver',
  'aldehyde',
  'oxidisingAcid',
  'ammonia',
  'iron',
  'acid',
  'base',
  'plain',
]

/** Which waste jar these contents belong in; `plain` for nothing, or for what is not known here. */
export function wasteClassOf(contents: WasteContents, book: SubstanceBook): WasteClass {
  const classes = contents.map((one) => book[one.substanceId]?.waste ?? 'plain')
  return ORDER.find((one) => classes.includes(one)) ?? 'plain'
}

const reactionsOf = (contents: WasteContents, book: SubstanceBook): ReactionClass[] => [
  ...new Set(contents.flatMap((one) => book[one.substanceId]?.reacts ?? [])),
]

/** One waste jar: what is in it and has not been handed over. */
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

/**
 * What speaks against pouring something into a waste jar: parts of it that must not meet one another, what is in the jar
 * that it must not meet, and entries of the jar that no one recorded.
 *
 * @param poured its name and contents; @param wasteClass the jar; @param wastes every waste of the workroom.
 * @param table what must not meet.
 */
export function auditPour(
  poured: { name: string; contents: WasteContents },
  wasteClass: WasteClass,
  wastes: readonly Waste[],
  book: SubstanceBook,
  table: readonly Incompatibility[],
): Finding[] {
  const parts = poured.contents.flatMap(({ substanceId }) => book[substanceId] ?? [])
  const mine = { name: poured.name, reacts: reactionsOf(poured.contents, book) }
  const entries = wasteJars(wastes).find((one) => one.wasteClass === wasteClass)?.entries ?? []
  const inJar = entries.map(({ what, contents = [] }) => ({
    name: what,
    reacts: reactionsOf(contents, book),
  }))
  const findings = [
    ...auditNeighbours(parts, table),
    ...inJar.flatMap((entry) => auditNeighbours([mine, entry], table)),
    // Three that are dangerous only together may come from three places.
    ...auditNeighbours(
      [mine, ...inJar],
      table.filter(({ between }) => between.length > 2),
    ),
  ]
  const unknown = entries.filter((one) => one.contents === undefined)
  if (unknown.length && mine.reacts.length)
    findings.push({
      code: 'unknown-contents',
      subject: poured.name,
      problem: `The contents of this jar are not fully recorded: ${unknown.map((one) => one.what).join(', ')}.`,
      remedy: 'Read the label of the jar first. Use a new jar if you are not sure.',
      corrections: [],
    })
  return [...new Map(findings.map((one) => [`${one.subject}: ${one.problem}`, one])).values()]
}
