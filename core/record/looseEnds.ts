import { CoreError } from '../errors'
import { replay, type RunState } from '../process/run'
import { logsBySheet } from './logs'
import type { WorkroomRecords } from './records'

/**
 * Records that point at nothing, identities used twice and logs that could not have happened, one by one.
 *
 * @param sound told what each log amounts to that could have happened.
 */
export function* looseEnds(
  records: WorkroomRecords,
  sound: (state: RunState) => void = () => undefined,
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
  const logged = new Set([...sheets, ...records.paperRuns.map((run) => run.id)])
  for (const event of records.events)
    if (!logged.has(event.sheetId)) yield `An event belongs to no sheet: ${event.id}.`
  const photos = new Set(records.photos.map((photo) => photo.id))
  for (const event of records.events)
    if (event.type === 'photographed' && !photos.has(event.photoId))
      yield `An event names a photograph that is not here: ${event.photoId}.`

  const logs = logsBySheet(records.events)
  const owners = [
    ...records.sheets.map(({ id, number }) => ({ id, name: `sheet ${number}` })),
    ...records.paperRuns.map(({ id, number }) => ({ id, name: `treatment ${number}` })),
  ]
  for (const { id, name } of owners) {
    try {
      sound(replay(id, logs.get(id) ?? []))
    } catch (error) {
      const reason = error instanceof CoreError ? error.refusal.problem : String(error)
      yield `The log of ${name} could not have happened. ${reason}`
    }
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
