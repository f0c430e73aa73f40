import boldUrl from 'dejavu-fonts-ttf/ttf/DejaVuSansCondensed-Bold.ttf?url'
import italicUrl from 'dejavu-fonts-ttf/ttf/DejaVuSerifCondensed-Italic.ttf?url'
import normalUrl from 'dejavu-fonts-ttf/ttf/DejaVuSansCondensed.ttf?url'

const URLS = { normal: normalUrl, bold: boldUrl, italic: italicUrl } as const
export type FontStyle = keyof typeof URLS

/** The letters of one style, fetched when the first page is written. */
export async function fontBytes(style: FontStyle): Promise<Uint8Array> {
  const response = await fetch(URLS[style])
  if (!response.ok) throw new Error(`font ${style}: ${response.status}`)
  return new Uint8Array(await response.arrayBuffer())
}
