import { pdfDate, type FilmWords } from './filmWords'
import { joined } from './png16'

/**
 * A PDF of one page as large as its film, with one picture of 16 bits on it.
 *
 * A writer of our own: it takes the packed rows of the PNG as they are, which the format allows, while libraries unpack
 * a picture and bring it to 8 bits.
 *
 * @param packed rows of the picture, filtered as PNG has it and deflated.
 * @param words for its fields.
 * @see ISO 32000-1: 7.4.4.4 (predictors 10 to 15 are PNG's), 8.9.5 (image dictionaries, 16 bits a component); from memory
 */
export function filmPdf(
  packed: Uint8Array,
  width: number,
  height: number,
  channels: 1 | 3,
  pixelsPerInch: number,
  words?: FilmWords,
): Uint8Array {
  const text = (words: string) => new TextEncoder().encode(words)
  const points = (pixels: number) => ((72 * pixels) / pixelsPerInch).toFixed(4)
  const [w, h] = [points(width), points(height)]
  const drawing = `q ${w} 0 0 ${h} 0 0 cm /Film Do Q`
  const colours = channels === 1 ? '/DeviceGray' : '/DeviceRGB'
  const parts: Uint8Array[] = []
  const offsets: number[] = []
  let length = 0
  const add = (part: Uint8Array) => {
    parts.push(part)
    length += part.length
  }
  const object = (...body: Uint8Array[]) => {
    offsets.push(length)
    add(text(`${offsets.length} 0 obj\n`))
    body.forEach(add)
    add(text('\nendobj\n'))
  }
  add(text('%PDF-1.5\n'))
  add(Uint8Array.of(0x25, 0xe2, 0xe3, 0xcf, 0xd3, 0x0a))
  // A viewer that fits the page to its paper would make the film too small.
  object(text('<< /Type /Catalog /Pages 2 0 R /ViewerPreferences << /PrintScaling /None >> >>'))
  object(text('<< /Type /Pages /Kids [3 0 R] /Count 1 >>'))
  object(
    text(
      `<< /Type /Page /Parent 2 0 R /MediaBox [0 0 ${w} ${h}] /Resources << /XObject << /Film 5 0 R >> >> /Contents 4 0 R >>`,
    ),
  )
  object(text(`<< /Length ${drawing.length} >>\nstream\n${drawing}\nendstream`))
  object(
    text(
      `<< /Type /XObject /Subtype /Image /Width ${width} /Height ${height} /ColorSpace ${colours} /BitsPerComponent 16 ` +
        `/Filter /FlateDecode /DecodeParms << /Predictor 15 /Colors ${channels} /BitsPerComponent 16 /Columns ${width} >> ` +
        `/Length ${packed.length} >>\nstream\n`,
    ),
    packed,
    text('\nendstream'),
  )
  if (words)
    object(
      text(
        `<< /Title ${written(words.title)} /Subject ${written(words.description)} /Creator ${written(words.software)} ` +
          `/CreationDate (${pdfDate(words)}) >>`,
      ),
    )
  const table = length
  const line = (offset: number) => `${String(offset).padStart(10, '0')} 00000 n \n`
  add(
    text(
      `xref\n0 ${offsets.length + 1}\n0000000000 65535 f \n${offsets.map(line).join('')}` +
        `trailer\n<< /Size ${offsets.length + 1} /Root 1 0 R${words ? ` /Info ${offsets.length} 0 R` : ''} >>\nstartxref\n${table}\n%%EOF\n`,
    ),
  )
  return joined(parts)
}

/** A text string of any letters. @see ISO 32000-1, 7.9.2.2 (UTF-16BE with a byte order mark) */
const written = (text: string): string =>
  `<FEFF${Array.from({ length: text.length }, (_, i) => text.charCodeAt(i).toString(16).padStart(4, '0')).join('')}>`
