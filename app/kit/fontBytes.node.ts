import { readFileSync } from 'node:fs'
import type { FontStyle } from './fontBytes'

const FILES = {
  normal: 'DejaVuSansCondensed.ttf',
  bold: 'DejaVuSansCondensed-Bold.ttf',
  italic: 'DejaVuSerifCondensed-Italic.ttf',
} as const

/** The same letters where there is no browser, for tests. */
export const fontBytes = (style: FontStyle): Promise<Uint8Array> =>
  Promise.resolve(readFileSync(`node_modules/dejavu-fonts-ttf/ttf/${FILES[style]}`))
