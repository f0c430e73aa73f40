import type { LogLook } from './logReading'
import type { Holdings } from './records'

/**
 * Records that point at nothing, identities used twice and logs that could not have happened, one by one.
 *
 * @param logs what looking through every log found.
 */
export function* looseEnds(
  records: Holdings,
  logs: Iterable<Pick<LogLook, 'sheetId' | 'problem' | 'photoIds'>>,
): Generator<string> {
  for (const [kind, list] of Object.entries(records)) {
    const ids = new Set<string>()
    for (const { id } of list as { id: string }[]) {
      if (ids.has(id)) yield `Two ${kind} share the identity ${id}.`
      ids.add(id)
    }
  }
  const sheets = new Set(records.sheets.map((sheet) => sheet.id))
  for (const photo of records.photos)
    if (!sheets.has(photo.sheetId)) yield `A photograph belongs to no sheet: ${photo.id}.`
  for (const sheet of records.sheets)
    if (sheet.over !== undefined && !sheets.has(sheet.over))
      yield `Sheet ${sheet.number} is a layer over a sheet that is not here.`
  for (const check of records.registerChecks)
    if (!sheets.has(check.sheetId)) yield `A register check belongs to no sheet: ${check.id}.`
  for (const diagnosis of records.diagnoses)
    if (!sheets.has(diagnosis.sheetId)) yield `A diagnosis belongs to no sheet: ${diagnosis.id}.`

  const photos = new Set(records.photos.map((photo) => photo.id))
  const owners = new Map([
    ...records.sheets.map(({ id, number }) => [id, `sheet ${number}`] as const),
    ...records.paperRuns.map(({ id, number }) => [id, `treatment ${number}`] as const),
  ])
  const seen = new Set<string>()
  for (const { sheetId, problem, photoIds } of logs) {
    const name = owners.get(sheetId)
    if (!name) yield `A log belongs to no sheet: ${sheetId}.`
    if (seen.has(sheetId)) yield `The log of ${name ?? sheetId} lies in two places.`
    seen.add(sheetId)
    if (problem) yield `The log of ${name ?? sheetId} could not have happened. ${problem}`
    for (const id of photoIds)
      if (!photos.has(id)) yield `An event names a photograph that is not here: ${id}.`
  }

  const bottles = new Set(records.bottles.map((bottle) => bottle.id))
  for (const taking of records.takings)
    if (!bottles.has(taking.bottleId))
      yield `Something was taken from a bottle that is not here: ${taking.id}.`
  const papers = new Set(records.papers.map((paper) => paper.id))
  for (const piece of records.pieces)
    if (!papers.has(piece.paperId)) yield `A piece was torn from a paper that is not here: ${piece.label}.`
  const lights = new Set(records.lights.map((light) => light.id))
  for (const entry of [...records.lightEntries, ...records.bases])
    if (!lights.has(entry.lightId)) yield `Something is told of a light that is not here: ${entry.id}.`
}
