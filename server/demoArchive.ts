import { writeArchive, type PhotoPixels } from '@core/archive/archive'
import { demoScenario } from '@demo/scenario'

const SEED = 1851

/**
 * The demo workroom as an archive, relative to a moment.
 *
 * @param drawn photographs by number of the sheet.
 * @param now milliseconds.
 */
export function demoArchive(drawn: ReadonlyMap<number, PhotoPixels>, now: number): Uint8Array {
  const { records, pictures } = demoScenario(SEED, now)
  const pixels = new Map(
    [...pictures].map(([photoId, number]) => [photoId, drawn.get(number) as PhotoPixels]),
  )
  const photos = records.photos.map((photo) => ({
    ...photo,
    bytes: pixels.get(photo.id)?.original.length ?? photo.bytes,
  }))
  return writeArchive({ records: { ...records, photos }, pixels }, 'Demo workroom', now)
}
