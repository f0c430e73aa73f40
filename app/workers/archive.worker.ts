import { readArchive, writeArchive, type Workroom } from '@core/record/archive'
import type { WorkroomRecords } from '@core/record/records'
import { serve } from './call'

export type PixelBlobs = ReadonlyMap<string, { original: Blob; thumbnail: Blob }>
export type ArchiveQuestion =
  | { act: 'read'; file: Blob }
  | { act: 'write'; records: WorkroomRecords; pixels: PixelBlobs; name: string; at: number }
export type ArchiveAnswer = Workroom | Blob

const bytesOf = async (blob: Blob) => new Uint8Array(await blob.arrayBuffer())

serve<ArchiveQuestion, ArchiveAnswer>('archive', async (question) => {
  if (question.act === 'read') return readArchive(await bytesOf(question.file))
  const pixels = new Map<string, { original: Uint8Array; thumbnail: Uint8Array }>()
  for (const [id, { original, thumbnail }] of question.pixels)
    pixels.set(id, { original: await bytesOf(original), thumbnail: await bytesOf(thumbnail) })
  const bytes = writeArchive({ records: question.records, pixels }, question.name, question.at)
  return new Blob([bytes as Uint8Array<ArrayBuffer>], { type: 'application/zip' })
})
