import type { SheetEvent } from '@core/schema/event'
import type { Diagnosis } from '@core/schema/judgement'
import { type Photo, type Sheet, type WorkroomRecords } from '@core/schema/records'
import type { PrintLook } from './pictures/cyanotype'
import { otherSheets, paperDrawer } from './drawerStory'
import { seededRandom, seededUuid } from '@core/quantity/random'
import { chartStory } from './chartStory'
import { lightStory } from './lightStory'
import { demoShelf, type DemoShelf } from './shelf'
import { planStory, wetStory } from './wetStory'
import { carryOn, choicesWith, workLog } from './sheetStory'
import { MINUTE, DAY, ENTRIES, type Entry } from './entries'

/** Width of the drawn photographs in pixels; their height follows from the sheet. */
export const PICTURE_WIDTH = 560

/** The photographs of the scenario by number of the sheet, for drawing them ahead. */
export const demoPictures: ReadonlyMap<number, PrintLook> = new Map(
  ENTRIES.flatMap((entry) =>
    entry.look ? [[entry.number, { ...entry.look, seed: entry.number }] as const] : [],
  ),
)

/**
 * The demo workroom at a present moment. The same seed and moment give the same records to the last identity.
 *
 * @param now milliseconds.
 * @returns the records, and for each photograph the number of the sheet whose picture it is (see `demoPictures`).
 */
export function demoScenario(
  seed: number,
  now: number,
): { records: WorkroomRecords; pictures: Map<string, number> } {
  const random = seededRandom(seed)
  const shelf = demoShelf(random, now)
  const records: WorkroomRecords = shelf.records
  const pictures = new Map<string, number>()

  for (const entry of ENTRIES) {
    const at = now - entry.work.ago
    const sheet = sheetOf(entry, shelf, seededUuid(random), at)
    const paper = shelf.papers[entry.paper]
    const log = workLog(
      sheet,
      {
        exposureSeconds: sheet.exposureSeconds,
        washSeconds: 620,
        waters: 3,
        ...entry.work,
        gramsPerM2: paper.gramsPerM2 ?? 0,
        at,
      },
      random,
    )
    const later = [...(entry.after ?? [])]
    if (entry.look) {
      const photo = photoOf(sheet, at + 5 * MINUTE, seededUuid(random))
      records.photos.push(photo)
      pictures.set(photo.id, entry.number)
      later.push([photo.takenAt - at, { type: 'photographed', photoId: photo.id }])
    }
    for (const [after, what] of later.sort((a, b) => a[0] - b[0])) {
      // A look asked for again is asked for in years from its own moment.
      const dated = what.type === 'judged' && what.lookAgainAt !== undefined
      const next = dated ? { ...what, lookAgainAt: Math.round(at + after + 365 * DAY) } : what
      carryOn(log, sheet.id, at + after, next, random)
    }
    const before = records.sheets.find((one) => one.number === entry.again)
    records.sheets.push({ ...sheet, ...(before && { after: before.id }) })
    records.events.push(...(log satisfies SheetEvent[]))
  }
  const others = otherSheets(shelf, random, now)
  const drawer = paperDrawer(shelf, random, now)
  records.sheets.push(...others.sheets)
  records.events.push(...others.events, ...drawer.events)
  // A source of its own, so that what is told of light moves no one else's identity.
  const light = lightStory(shelf, seededRandom(seed + 1), now)
  records.lights = light.lights
  records.lightEntries.push(...light.lightEntries)
  records.bases.push(...light.bases)
  records.tabletPrints.push(...light.tabletPrints)
  records.sheets.push(...light.sheets)
  records.events.push(...light.events)
  const charts = chartStory(
    shelf,
    seededRandom(seed + 2),
    now,
    light.bases[0],
    records.sheets.find((sheet) => sheet.number === 35),
  )
  records.calibrations.push(...charts.calibrations)
  records.negatives.push(...charts.negatives)
  const wet = wetStory(shelf, seededRandom(seed + 3), now)
  records.sheets.push(...wet.sheets)
  records.events.push(...wet.events)
  records.baths.push(...wet.baths)
  records.registerChecks.push(...wet.registerChecks)
  records.plans.push(...planStory(records, seededRandom(seed + 4), now))
  records.diagnoses.push(...diagnosisStory(records.sheets, seededRandom(seed + 5), now))
  records.pieces.push(...drawer.pieces)
  records.paperRuns.push(...drawer.paperRuns)
  return { records, pictures }
}

function sheetOf(entry: Entry, shelf: DemoShelf, id: string, at: number): Sheet {
  const light = shelf.lights[entry.light]
  const createdAt = Math.round(at - 90 * MINUTE)
  return {
    id,
    number: entry.number,
    title: entry.title,
    portfolio: 'Fog signals, disused',
    process: { id: 'classic-cyanotype', version: 1 },
    choices: choicesWith({ subject: entry.photogram ? 'photogram' : 'negative' }),
    widthMillimetres: 203.2,
    heightMillimetres: 254,
    coats: 1,
    tool: 'brush',
    parts: { sensitizer: [1, 1] },
    coverageMillilitresPerM2: 38.8,
    dropsPerMillilitre: 20,
    subject: entry.subject,
    exposureSeconds: entry.work.exposureSeconds ?? light.usualSeconds ?? 480,
    ...(entry.edition && { edition: entry.edition }),
    paperId: shelf.papers[entry.paper].id,
    lightId: light.id,
    bottles: {
      iron: shelf.bottles[entry.number < 26 ? 'A-6' : 'A-7']?.id ?? '',
      ferricyanide: shelf.bottles['B-4']?.id ?? '',
    },
    createdAt,
    changedAt: createdAt,
  }
}

/** Two prints that went wrong: one whose cause is known, one that is still being talked about. */
function diagnosisStory(sheets: readonly Sheet[], random: () => number, now: number): Diagnosis[] {
  const about = (
    number: number,
    ago: number,
    parts: Pick<Diagnosis, 'symptoms' | 'answers'> & Partial<Diagnosis>,
  ) => {
    const sheet = sheets.find((one) => one.number === number)
    const at = Math.round(now - ago)
    return sheet
      ? [{ id: seededUuid(random), sheetId: sheet.id, at, ruledOut: [], note: '', changedAt: at, ...parts }]
      : []
  }
  return [
    ...about(20, 21.8 * DAY, { symptoms: ['whites-yellow'], answers: {}, confirmed: 'washed-short' }),
    ...about(24, 5 * DAY, { symptoms: ['fogged', 'whites-blue'], answers: { 'room-bright': 'no' } }),
  ]
}

const photoOf = (sheet: Sheet, takenAt: number, id: string): Photo => ({
  id,
  sheetId: sheet.id,
  takenAt: Math.round(takenAt),
  mime: 'image/jpeg',
  widthPixels: PICTURE_WIDTH,
  heightPixels: Math.round(PICTURE_WIDTH * 1.25),
  bytes: 1, // the encoder says how many when it has drawn it
  note: `${sheet.number} drying`,
})
