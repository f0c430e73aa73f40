import type Vips from 'wasm-vips'
import { CoreError } from '@core/errors'
import scriptUrl from 'wasm-vips?url'
import wasmUrl from 'wasm-vips/vips.wasm?url'

let opened: Promise<typeof Vips> | null = null

/**
 * The decoder of pictures, fetched when the first file needs it; its threads want a page that is isolated.
 *
 * @throws CoreError `not-isolated` where it is not, `not-loaded` where the decoder cannot be fetched.
 */
export function openVips(): Promise<typeof Vips> {
  if (!crossOriginIsolated)
    return Promise.reject(
      refuse(
        'not-isolated',
        'On this address the browser cannot read this kind of picture.',
        'Save the picture as a JPEG in sRGB, or open the app on the computer that it runs on. A web host has to send two headers: see the README.',
      ),
    )
  opened ??= load().catch(() => {
    // The next picture tries again.
    opened = null
    throw refuse(
      'not-loaded',
      'The decoder for this kind of picture could not be loaded.',
      'Start the app’s server once, then choose the picture again.',
    )
  })
  return opened
}

async function load(): Promise<typeof Vips> {
  const { default: start } = (await import(/* @vite-ignore */ scriptUrl)) as { default: typeof Vips }
  return start({ mainScriptUrlOrBlob: scriptUrl, locateFile: () => wasmUrl, dynamicLibraries: [] })
}

const refuse = (code: string, problem: string, remedy: string) =>
  new CoreError({ code, field: 'the picture', problem, remedy })
