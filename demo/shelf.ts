import { emptyRecords, type Bottle, type Light, type Paper, type WorkroomRecords } from '@core/schema/records'
import { seededUuid } from '@core/quantity/random'

const DAY = 86_400_000
const YEAR_DAYS = 365

type Contents = readonly (readonly [substanceId: string, percent: number, form?: string])[]
interface Put {
  label: string
  name: string
  kind: Bottle['kind']
  contents: Contents
  amount: number
  /** Days since it was made or opened. */
  days: number
  keepsDays?: number
  ripensDays?: number
  price?: number
  stated?: number
  density?: number
}

/** The shelf of the scenario: what one printer of iron and silver has about, some of it older than it should be. */
const PUT: readonly Put[] = [
  { label: 'A-6', name: 'Iron citrate', kind: 'solution', contents: [['ferric-ammonium-citrate', 25]], amount: 20, days: 170, keepsDays: 182, price: 1.4 },
  { label: 'A-7', name: 'Iron citrate', kind: 'solution', contents: [['ferric-ammonium-citrate', 25]], amount: 100, days: 9, keepsDays: 182, price: 7 },
  { label: 'B-4', name: 'Ferricyanide', kind: 'solution', contents: [['potassium-ferricyanide', 10]], amount: 100, days: 48, keepsDays: YEAR_DAYS, price: 3 },
  { label: 'SN-3', name: 'Silver', kind: 'solution', contents: [['silver-nitrate', 12], ['citric-acid', 6]], amount: 100, days: 21, keepsDays: YEAR_DAYS, price: 31 },
  { label: 'S-1', name: 'Silver', kind: 'solution', contents: [['silver-nitrate', 10]], amount: 50, days: 34, keepsDays: YEAR_DAYS, price: 13 },
  { label: 'FO-2', name: 'Ferric oxalate', kind: 'solution', contents: [['ferric-oxalate', 20]], amount: 50, days: 78, keepsDays: 90, ripensDays: 1, price: 9 },
  { label: 'V-2', name: 'Van Dyke sensitizer', kind: 'solution', contents: [['ferric-ammonium-citrate', 9], ['tartaric-acid', 1.5], ['silver-nitrate', 3.8]], amount: 100, days: 23, keepsDays: 182, ripensDays: 2, price: 14 },
  { label: 'PD-1', name: 'Palladium', kind: 'solution', contents: [['potassium-chloropalladite', 100 / 6], ['sodium-chloride', 50 / 6]], amount: 6, days: 19, keepsDays: 5 * YEAR_DAYS, price: 62, stated: 15 },
  { label: 'AF-1', name: 'Ammonium ferric oxalate', kind: 'solution', contents: [['ammonium-ferric-oxalate', 40], ['ascorbic-acid', 0.08]], amount: 50, days: 0.4, keepsDays: 120, price: 6 },
  { label: 'SA-2', name: 'Salt', kind: 'solution', contents: [['sodium-chloride', 2]], amount: 1000, days: 60, keepsDays: YEAR_DAYS, price: 0.3 },
  { label: 'CD-1', name: 'Citrate developer', kind: 'solution', contents: [['sodium-citrate', 20]], amount: 1000, days: 12, keepsDays: YEAR_DAYS, price: 8 },
  { label: 'CA-5', name: 'Citric acid', kind: 'solution', contents: [['citric-acid', 3]], amount: 1000, days: 2, keepsDays: 7, price: 1 },
  { label: 'PH-9', name: 'Plain hypo', kind: 'solution', contents: [['sodium-thiosulfate', 10]], amount: 1000, days: 0.6, keepsDays: 2, price: 1.2 },
  { label: 'GT-2', name: 'Gold toner', kind: 'solution', contents: [['gold-chloride', 0.02], ['sodium-bicarbonate', 0.1]], amount: 500, days: 6.2, keepsDays: 7, ripensDays: 0.02, price: 18 },
  { label: 'AC-3', name: 'Citric acid', kind: 'solution', contents: [['citric-acid', 6]], amount: 2000, days: 0.1, keepsDays: 7, price: 2 },
  { label: 'FAC-2', name: 'Ferric ammonium citrate', kind: 'solid', contents: [['ferric-ammonium-citrate', 100]], amount: 500, days: 120, price: 42 },
  { label: 'PF-1', name: 'Potassium ferricyanide', kind: 'solid', contents: [['potassium-ferricyanide', 99, 'anhydrous']], amount: 250, days: 300, price: 21 },
  { label: 'AG-4', name: 'Silver nitrate', kind: 'solid', contents: [['silver-nitrate', 99.9, 'anhydrous']], amount: 25, days: 40, price: 58 },
  { label: 'CIT-1', name: 'Citric acid', kind: 'solid', contents: [['citric-acid', 99.5, 'monohydrate']], amount: 1000, days: 90, price: 9 },
  { label: 'SC-1', name: 'Sodium chloride', kind: 'solid', contents: [['sodium-chloride', 99.5, 'anhydrous']], amount: 1000, days: 400, price: 3 },
  { label: 'ST-2', name: 'Sodium thiosulfate', kind: 'solid', contents: [['sodium-thiosulfate', 99, 'pentahydrate']], amount: 2500, days: 70, price: 14 },
  { label: 'HCL-1', name: 'Hydrochloric acid', kind: 'liquid', contents: [['hydrochloric-acid', 37, 'gas']], amount: 500, days: 200, price: 11, density: 1.184 },
] // prettier-ignore

export interface DemoShelf {
  papers: Record<'rag' | 'laid' | 'thin', Paper>
  lights: Record<'box' | 'sill', Light>
  bottles: Readonly<Record<string, Bottle>>
  records: WorkroomRecords
}

/** Papers, lights, bottles and the odd taking of the scenario. */
export function demoShelf(random: () => number, now: number): DemoShelf {
  const changedAt = Math.round(now - 40 * DAY)
  const id = () => seededUuid(random)
  const ago = (days: number) => Math.round(now - days * DAY)
  const papers: DemoShelf['papers'] = {
    rag: { id: id(), name: 'Heron rag', gramsPerM2: 300, widthMillimetres: 571.5, heightMillimetres: 762, sheets: 6, buffered: 'yes', side: 'the smoother side', price: 7.5, note: 'Smoother side to the coat. Takes the brush well.', changedAt },
    laid: { id: id(), name: 'Saltmarsh laid', gramsPerM2: 160, widthMillimetres: 482.6, heightMillimetres: 635, sheets: 11, buffered: 'no', price: 3.2, note: 'Needs a light hand; pills at the third stroke.', changedAt },
    thin: { id: id(), name: 'Gull tissue', gramsPerM2: 45, widthMillimetres: 630, heightMillimetres: 930, sheets: 4, buffered: 'unknown', note: 'Rides on plastic in the wash.', changedAt },
  } // prettier-ignore
  const lights: DemoShelf['lights'] = {
    box: { id: id(), name: 'the attic box', kind: 'uvBox', usualSeconds: 480, note: 'Eight tubes, five minutes to burn steady.', changedAt },
    sill: { id: id(), name: 'the south sill', kind: 'sun', usualSeconds: 780, note: 'Good from eleven to two.', changedAt },
  } // prettier-ignore
  const bottles = Object.fromEntries(
    PUT.map((put): [string, Bottle] => [
      put.label,
      {
        id: id(),
        label: put.label,
        name: put.name,
        kind: put.kind,
        contents: put.contents.map(([substanceId, percent, form]) => ({
          substanceId,
          percent,
          ...(form && { form }),
        })),
        amount: put.amount,
        madeAt: ago(put.days),
        ...(put.ripensDays !== undefined && { ripeAt: ago(put.days - put.ripensDays) }),
        ...(put.keepsDays !== undefined && { bestUntil: ago(put.days - put.keepsDays) }),
        ...(put.price !== undefined && { price: put.price }),
        ...(put.stated !== undefined && { statedPercent: put.stated }),
        ...(put.density !== undefined && { gramsPerMillilitre: put.density }),
        note: '',
        changedAt: ago(put.days),
      },
    ]),
  )
  const bottleId = (label: string) => bottles[label]?.id ?? ''
  const taking = (label: string, amount: number, days: number, forLabel: string) => ({
    id: id(),
    bottleId: bottleId(label),
    amount,
    at: ago(days),
    why: 'solution' as const,
    forId: bottleId(forLabel),
    note: '',
  })
  const records: WorkroomRecords = {
    ...emptyRecords(),
    papers: Object.values(papers),
    lights: Object.values(lights),
    bottles: Object.values(bottles),
    takings: [
      taking('FAC-2', 25, 9, 'A-7'),
      taking('PF-1', 10, 48, 'B-4'),
      taking('AG-4', 12, 21, 'SN-3'),
      taking('AG-4', 5, 34, 'S-1'),
      taking('AG-4', 3.8, 23, 'V-2'),
      taking('CIT-1', 66, 2, 'CA-5'),
      taking('ST-2', 100, 0.6, 'PH-9'),
    ],
    wastes: [
      { id: id(), wasteClass: 'silver', amount: 420, unit: 'ml', what: 'first wash waters, salted paper', contents: [{ substanceId: 'silver-nitrate' }, { substanceId: 'citric-acid' }], at: ago(6) },
      { id: id(), wasteClass: 'fixer', amount: 1000, unit: 'ml', what: 'Plain hypo PH-8', contents: [{ substanceId: 'sodium-thiosulfate', percent: 10 }], at: ago(3) },
      { id: id(), wasteClass: 'iron', amount: 1200, unit: 'ml', what: 'citric acid, spent', contents: [{ substanceId: 'citric-acid', percent: 3 }, { substanceId: 'ferric-oxalate' }], at: ago(12) },
    ],
    droppers: [
      { id: id(), name: 'the glass dropper', weighings: [{ drops: 20, grams: 0.99 }, { drops: 20, grams: 1.01 }, { drops: 20, grams: 0.994 }], gramsPerMillilitre: 0.998, changedAt: ago(30) },
    ],
  } // prettier-ignore
  return { papers, lights, bottles, records }
}
