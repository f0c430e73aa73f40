import Vips from 'wasm-vips'

let opened: Promise<typeof Vips> | null = null

/** The same decoder where there is no browser, for tests; it is shut down with the process. */
export const openVips = (): Promise<typeof Vips> => (opened ??= Vips({ dynamicLibraries: [] }))
