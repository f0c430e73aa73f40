import { mkdir, readFile, writeFile } from 'node:fs/promises'
import { join } from 'node:path'
import sharp from 'sharp'
import type { PhotoPixels } from '@core/archive/archive'
import { drawPrint, type PrintLook } from '@demo/pictures/cyanotype'
import { demoPictures, PICTURE_WIDTH } from '@demo/scenario'

const THUMBNAIL_WIDTH = 384

const pathsOf = (folder: string, number: number) => ({
  original: join(folder, `${number}.jpg`),
  thumbnail: join(folder, `${number}-small.jpg`),
})

/** Draws every photograph of the demo into a folder. A part of the build, since it takes many seconds. */
export async function drawDemoPictures(folder: string): Promise<void> {
  await mkdir(folder, { recursive: true })
  for (const [number, look] of demoPictures) {
    const { original, thumbnail } = await develop(look)
    const paths = pathsOf(folder, number)
    await writeFile(paths.original, original)
    await writeFile(paths.thumbnail, thumbnail)
  }
}

/** The drawn photographs, by number of the sheet. */
export async function readDemoPictures(folder: string): Promise<ReadonlyMap<number, PhotoPixels>> {
  const read = async (path: string) => new Uint8Array(await readFile(path))
  const pictures = new Map<number, PhotoPixels>()
  for (const number of demoPictures.keys()) {
    const paths = pathsOf(folder, number)
    pictures.set(number, { original: await read(paths.original), thumbnail: await read(paths.thumbnail) })
  }
  return pictures
}

async function develop(look: PrintLook): Promise<PhotoPixels> {
  const { rgb, width, height } = drawPrint(look, PICTURE_WIDTH)
  const picture = sharp(rgb, { raw: { width, height, channels: 3 } })
  return {
    original: new Uint8Array(await picture.clone().jpeg({ quality: 90 }).toBuffer()),
    thumbnail: new Uint8Array(await picture.clone().resize(THUMBNAIL_WIDTH).jpeg({ quality: 84 }).toBuffer()),
  }
}
