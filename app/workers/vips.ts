import type Vips from 'wasm-vips'
import { CoreError } from '@core/errors'
import scriptUrl from 'wasm-vips?url'
import wasmUrl from 'wasm-vips/vips.wasm?url'

let opened: Promise<typeof Vips> | null = null

/** The decoder of pictures, fetched when the first file needs it; its threads want a page that is isolated. @throws CoreError `not-isolated` where it is not. */
export function openVips(): Promise<typeof Vips> {
  if (!crossOriginIsolated)
    return Promise.reject(
      new CoreError({
        code: 'not-isolated',
        field: 'the picture',
        problem: 'On this address the browser cannot read this kind of picture.',
        remedy:
          'Save the picture as a JPEG in sRGB. Or have the host send the two headers that the README names.',
      }),
    )
  opened ??= import(/* @vite-ignore */ scriptUrl).then(({ default: start }: { default: typeof Vips }) =>
    start({ mainScriptUrlOrBlob: scriptUrl, locateFile: () => wasmUrl, dynamicLibraries: [] }),
  ) as Promise<typeof Vips>
  return opened
}
