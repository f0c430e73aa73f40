const [START, APP1] = [0xd8, 0xe1]
const EXIF_DIRECTORY = 0x8769
/** Exposure time, aperture and focal length: fields that a scanner does not write. */
const OF_A_CAMERA = [0x829a, 0x829d, 0x920a]

/**
 * Whether the head of a JPEG says that a camera took it.
 *
 * @returns `false` also where it says nothing, or is no JPEG.
 * @see Exif 2.32 (CIPA DC-008); from memory
 */
export function isByCamera(head: Uint8Array): boolean {
  const view = new DataView(head.buffer, head.byteOffset, head.byteLength)
  try {
    if (view.getUint16(0) !== 0xff00 + START) return false
    for (let at = 2; view.getUint8(at) === 0xff; at += 2 + view.getUint16(at + 2)) {
      if (view.getUint8(at + 1) === 0xda) return false
      // “Exif”, and two zeros.
      if (view.getUint8(at + 1) === APP1 && view.getUint32(at + 4) === 0x45786966)
        return hasCameraFields(view, at + 10)
    }
  } catch (error) {
    if (!(error instanceof RangeError)) throw error
  }
  return false
}

function hasCameraFields(view: DataView, start: number): boolean {
  const isLittle = view.getUint8(start) === 0x49
  const fields = (offset: number) =>
    Array.from({ length: Math.min(200, view.getUint16(start + offset, isLittle)) }, (_, i) => {
      const at = start + offset + 2 + 12 * i
      return { tag: view.getUint16(at, isLittle), value: view.getUint32(at + 8, isLittle) }
    })
  const first = fields(view.getUint32(start + 4, isLittle))
  const below = first.find(({ tag }) => tag === EXIF_DIRECTORY)
  return [...first, ...(below ? fields(below.value) : [])].some(({ tag }) => OF_A_CAMERA.includes(tag))
}
