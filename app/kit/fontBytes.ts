import { CoreError } from '@core/errors'
import boldUrl from 'dejavu-fonts-ttf/ttf/DejaVuSansCondensed-Bold.ttf?url'
import italicUrl from 'dejavu-fonts-ttf/ttf/DejaVuSerifCondensed-Italic.ttf?url'
import normalUrl from 'dejavu-fonts-ttf/ttf/DejaVuSansCondensed.ttf?url'

const URLS = { normal: normalUrl, bold: boldUrl, italic: italicUrl } as const
export type FontStyle = keyof typeof URLS

/** The letters of one style, fetched when the first page is written. */
export async function fontBytes(style: FontStyle): Promise<Uint8Array> {
  const response = await fetch(URLS[style]).catch(() => null)
  if (!response?.ok)
    throw new CoreError({
      code: 'not-loaded',
      field: 'the page',
      problem: 'The letters for this page could not be loaded.',
      remedy: 'Start the app’s server, then try again.',
    })
  return new Uint8Array(await response.arrayBuffer())
}
