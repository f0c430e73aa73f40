import { sha256 } from '@noble/hashes/sha2.js'
import { bytesToHex } from '@noble/hashes/utils.js'
import { CoreError } from '@core/errors'
import { mimeOf } from '@core/archive/archive'
import { MAX_PHOTO_BYTES, type Photo } from '@core/schema/records'
import { serve } from './call'

export interface ThumbnailAnswer {
  thumbnail: Blob
  mime: Photo['mime']
  widthPixels: number
  heightPixels: number
  /** Of the file, in hexadecimal. */
  sha256: string
}

/** Longest side of a thumbnail, in pixels: sharp on a dense screen at the size prints hang on the line. */
const LONGEST = 480

serve<Blob, ThumbnailAnswer>('photograph', async (file) => {
  if (file.size > MAX_PHOTO_BYTES)
    throw unreadable(`This picture is larger than ${MAX_PHOTO_BYTES / 2 ** 20} MiB.`)
  const mime = mimeOf(new Uint8Array(await file.slice(0, 16).arrayBuffer()))
  if (!mime) throw unreadable('This file is not a JPEG, PNG or WebP picture.')
  const picture = await createImageBitmap(file, { imageOrientation: 'from-image' }).catch(() => {
    throw unreadable('This picture is damaged and cannot be opened.')
  })
  const scale = Math.min(1, LONGEST / Math.max(picture.width, picture.height))
  const canvas = new OffscreenCanvas(
    Math.max(1, Math.round(picture.width * scale)),
    Math.max(1, Math.round(picture.height * scale)),
  )
  const context = canvas.getContext('2d')
  if (!context) throw unreadable('This browser cannot process pictures.')
  context.imageSmoothingQuality = 'high'
  context.drawImage(picture, 0, 0, canvas.width, canvas.height)
  const thumbnail = await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.85 })
  const sum = bytesToHex(sha256(new Uint8Array(await file.arrayBuffer())))
  return { thumbnail, mime, widthPixels: picture.width, heightPixels: picture.height, sha256: sum }
})

const unreadable = (problem: string) =>
  new CoreError({
    code: 'unreadable-picture',
    field: 'photograph',
    problem,
    remedy: 'Save it as a JPEG and add that file.',
  })
