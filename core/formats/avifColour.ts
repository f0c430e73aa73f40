import { CoreError } from '../errors'
import { isSrgb } from './colourHint'

/** What an AVIF says of its colours: within sRGB, or wider. */
export type AvifColour = 'srgb' | 'wide'

/** Numbers of sRGB's own primaries, and of none said. @see ITU-T H.273, table 2 */
const NARROW = [1, 2]
/** Curves of pictures that are brighter than white. @see ITU-T H.273, table 3 */
const HIGH_RANGE = [16, 18]

/**
 * What the head of an AVIF says of its colours.
 *
 * @throws CoreError `not-a-picture` for a picture of high dynamic range, whose white is no paper's.
 * @see ISO/IEC 14496-12 (the box colr); from memory
 */
export function avifColour(head: Uint8Array): AvifColour {
  const view = new DataView(head.buffer, head.byteOffset, head.byteLength)
  let isWide = false
  for (const at of boxesNamed(head, 'colr')) {
    const kind = String.fromCharCode(...head.subarray(at + 4, at + 8))
    if (kind === 'nclx' && at + 12 <= head.length) {
      if (HIGH_RANGE.includes(view.getUint16(at + 10)))
        throw new CoreError({
          code: 'not-a-picture',
          field: 'the picture',
          problem: 'Pictures of high dynamic range cannot be read here.',
          remedy: 'Export it as a TIFF with 16 bits per channel, or as a JPEG.',
        })
      isWide ||= !NARROW.includes(view.getUint16(at + 8))
    }
    // The length of the box is before its name.
    if (kind === 'prof' || kind === 'rICC')
      isWide ||= !isSrgb(head.subarray(at + 8, at - 4 + view.getUint32(at - 4)))
  }
  return isWide ? 'wide' : 'srgb'
}

function* boxesNamed(head: Uint8Array, name: string): Generator<number> {
  const letters = [...name].map((letter) => letter.charCodeAt(0))
  for (let at = 4; at + 8 <= head.length; at++)
    if (letters.every((letter, i) => head[at + i] === letter)) yield at
}
