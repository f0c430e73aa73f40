import { CoreError } from '../errors'

/** A kind of file that pictures come in and that can be read. */
export type PictureKind = 'jpeg' | 'png' | 'webp' | 'gif' | 'bmp' | 'avif' | 'tiff'

const FIT = 'Choose a TIFF, PNG, JPEG or WebP file.'
const EXPORT = 'Export it as a TIFF with 16 bits per channel, or as a JPEG.'
const RAW = 'Raw files of a camera cannot be read here'

/** Letters of a file by their place: from the start, or behind the length of its first box. */
type Mark = readonly [at: number, letters: string]

/** Files that people choose and that are no picture here, by their marks; each with what to do. */
const OTHERS: readonly (readonly [marks: readonly Mark[], what: string, remedy: string])[] = [
  [['heic', 'heix', 'hevc', 'hevx', 'heim', 'heis', 'mif1', 'msf1'].map((brand) => [4, `ftyp${brand}`] as const), 'HEIC pictures cannot be read here', EXPORT],
  [[[4, 'ftypcrx '], [8, 'CCD-RAW'], [0, 'IIU\0'], [6, 'HEAPCCDR'], [0, 'IIRO'], [0, 'IIRS'], [0, 'MMOR'], [0, 'FOVb']], RAW, EXPORT],
  [[[0, '8BPS']], 'Files with layers (PSD) cannot be read here', EXPORT],
  [[[0, '%PDF']], 'A PDF is a page and not a picture', 'Export the picture in it as a TIFF or JPEG.'],
  [[[0, '%!PS']], 'A PostScript file is a page and not a picture', 'Export it as a TIFF or JPEG.'],
  [[[0, '\xff\n'], [4, 'JXL ']], 'JPEG XL pictures cannot be read here', EXPORT],
  [[[4, 'jP  '], [0, '\xffO\xffQ']], 'JPEG 2000 pictures cannot be read here', EXPORT],
  [[[0, '#?RADIANCE'], [0, '#?RGBE'], [0, 'v/1']], 'Pictures of high dynamic range cannot be read here', EXPORT],
  [[[0, 'PK']], 'This is a ZIP file', 'Unpack it, and choose the picture in it.'],
] // prettier-ignore
const DRAWING = /^\s*(<\?xml[^>]*>\s*)?(<!--.*?-->\s*)?(<!DOCTYPE svg[^>]*>\s*)?<svg[\s>]/s

const KINDS: readonly (readonly [marks: readonly Mark[], kind: PictureKind])[] = [
  [[[0, '\xff\xd8\xff']], 'jpeg'],
  [[[0, '\x89PNG']], 'png'],
  [[[8, 'WEBP']], 'webp'],
  [[[0, 'GIF8']], 'gif'],
  [[[0, 'BM']], 'bmp'],
  [[[4, 'ftypavif'], [4, 'ftypavis']], 'avif'],
  [[[0, 'II*\0'], [0, 'II+\0'], [0, 'MM\0*'], [0, 'MM\0+']], 'tiff'],
] // prettier-ignore

/**
 * What kind of picture a file is, by its first bytes.
 *
 * @param head its first 64 bytes, or more.
 * @throws CoreError `not-a-picture` for anything else; what is known by name is named, with what to export instead.
 */
export function pictureKind(head: Uint8Array): PictureKind {
  const text = String.fromCharCode(...head.subarray(0, 1024))
  const has = (marks: readonly Mark[]) => marks.some(([at, letters]) => text.startsWith(letters, at))
  const other = OTHERS.find(([marks]) => has(marks))
  if (other) throw noPicture(`${other[1]}.`, other[2])
  if (DRAWING.test(text))
    throw noPicture(
      'A drawing of lines (SVG) has no pixels.',
      'Export it as a PNG at the size of the print, 360 ppi.',
    )
  // One maker's raw files are TIFFs with two letters of their own behind the start.
  if (text.startsWith('II*\0') && text.startsWith('CR', 8)) throw rawPicture()
  const kind = KINDS.find(([marks]) => has(marks))?.[1]
  if (!kind) throw notAPicture()
  return kind
}

const noPicture = (problem: string, remedy: string) =>
  new CoreError({ code: 'not-a-picture', field: 'the picture', problem, remedy })

/** What is said of a file that is damaged, or nothing that is known. */
export const notAPicture = (): CoreError =>
  noPicture('This file is not a supported picture, or it is damaged.', FIT)

/** A raw file that looks like a TIFF. */
export const rawPicture = (): CoreError => noPicture(`${RAW}.`, EXPORT)
