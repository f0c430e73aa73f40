import { passportOf, type Passport } from '@core/judge/passport'
import { belongs } from '@core/judge/faultBook'
import type { PrintRecord } from '@core/judge/printRecord'
import { traitsOf } from '@core/judge/traits'
import { storyOf } from '@core/run/story'
import { withWords } from '@core/formats/pictureWords'
import type { UnitChoice } from '@core/quantity/format'
import type { SheetEvent } from '@core/schema/event'
import { care, substances } from '@library/index'
import { photoWithPicture } from '../../state/queries'
import { saveFile } from '../../state/saveFile'
import type { PassportPicture } from './passportPdf'

const passport = (record: PrintRecord, log: readonly SheetEvent[], units: UnitChoice): Passport => {
  const traits = traitsOf(record.definition, record.sheet)
  const words = care.filter((one) => belongs(one.needs, traits)).map((one) => one.text)
  const story = storyOf(record.sheet.id, log, record.definition)
  return passportOf(record, story, words, units, substances)
}

const nameOf = ({ sheet }: PrintRecord, what: string, ending: string) =>
  `${what}-${sheet.number}-${sheet.title.toLowerCase().replace(/[^a-z0-9]+/g, '-').replace(/^-|-$/g, '') || 'print'}.${ending}` // prettier-ignore

/** The passport of a print as a PDF. The PDF writer is fetched when it is first asked for. */
export async function downloadPassport(
  record: PrintRecord,
  log: readonly SheetEvent[],
  units: UnitChoice,
): Promise<void> {
  const { passportPdf } = await import('./passportPdf')
  const picture = await uprightFor(record)
  saveFile(await passportPdf(passport(record, log, units), picture), nameOf(record, 'passport', 'pdf'))
}

/** A label for the back of the print. */
export async function downloadBackLabel(
  record: PrintRecord,
  log: readonly SheetEvent[],
  units: UnitChoice,
): Promise<void> {
  const { backLabelPdf } = await import('./passportPdf')
  saveFile(await backLabelPdf(passport(record, log, units)), nameOf(record, 'label', 'pdf'))
}

/** The photograph with what it shows written into its standard fields; other kinds than JPEG become PNG. */
export async function downloadPicture(
  record: PrintRecord,
  log: readonly SheetEvent[],
  units: UnitChoice,
): Promise<void> {
  const picture = await pictureFor(record)
  if (!picture) return
  const { title, line, process, madeAt, materials } = passport(record, log, units)
  const told = materials.map(([name, value]) => `${name}: ${value}`).join('; ')
  const description = `${process}. ${line}. ${told}`
  const isJpeg = picture.kind === 'JPEG'
  const offsetMinutes = madeAt === null ? 0 : -new Date(madeAt).getTimezoneOffset()
  const words = { title, description, createdAt: madeAt, offsetMinutes }
  const bytes = withWords(picture.data, words) as Uint8Array<ArrayBuffer>
  saveFile(
    new Blob([bytes], { type: isJpeg ? 'image/jpeg' : 'image/png' }),
    nameOf(record, 'print', isJpeg ? 'jpg' : 'png'),
  )
}

/** Side of a picture in a passport: 11 cm at 300 ppi. */
const PASSPORT_SIDE = 1300

/** The photograph the right way up, as it is seen: a PDF knows nothing of how a camera was held. */
async function uprightFor({ state }: PrintRecord): Promise<PassportPicture | null> {
  const id = state.photoIds.at(-1)
  const found = id ? await photoWithPicture(id) : null
  if (!found) return null
  const picture = await createImageBitmap(found.original)
  const scale = Math.min(1, PASSPORT_SIDE / Math.max(picture.width, picture.height))
  const [width, height] = [Math.round(picture.width * scale), Math.round(picture.height * scale)]
  const canvas = new OffscreenCanvas(width, height)
  const drawing = canvas.getContext('2d')
  if (drawing) drawing.imageSmoothingQuality = 'high'
  drawing?.drawImage(picture, 0, 0, width, height)
  picture.close()
  const jpeg = await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.9 })
  return { data: new Uint8Array(await jpeg.arrayBuffer()), kind: 'JPEG', width, height }
}

async function pictureFor({ state }: PrintRecord): Promise<PassportPicture | null> {
  const id = state.photoIds.at(-1)
  const found = id ? await photoWithPicture(id) : null
  if (!found) return null
  const { photo, original } = found
  const { widthPixels: width, heightPixels: height } = photo
  if (photo.mime === 'image/webp') {
    const picture = await createImageBitmap(original)
    const canvas = new OffscreenCanvas(picture.width, picture.height)
    canvas.getContext('2d')?.drawImage(picture, 0, 0)
    const png = await canvas.convertToBlob({ type: 'image/png' })
    return { data: new Uint8Array(await png.arrayBuffer()), kind: 'PNG', width, height }
  }
  return {
    data: new Uint8Array(await original.arrayBuffer()),
    kind: photo.mime === 'image/png' ? 'PNG' : 'JPEG',
    width,
    height,
  }
}
