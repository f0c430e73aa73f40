import { readFileSync } from 'node:fs'
import { readFile } from 'node:fs/promises'
import type { BrowserContext, Page } from '@playwright/test'

/** What a press saves as a file. */
export async function saved(page: Page, press: () => Promise<void>): Promise<{ file: Buffer; name: string }> {
  const waiting = page.waitForEvent('download')
  await press()
  const download = await waiting
  return { file: await readFile(await download.path()), name: download.suggestedFilename() }
}

/** The first page of a PDF as another program's reader shows it, in a page of its own. */
export async function readPdf(
  context: BrowserContext,
  pdf: Uint8Array,
  scale: number,
): Promise<{
  pages: number
  view: number[]
  words: string
  /** What the document says of itself, and how it is to be printed. */
  info: Record<string, unknown>
  width: number
  height: number
  data: number[]
}> {
  const reader = await context.newPage()
  const serve = { 'pdf.mjs': 'pdf.mjs', 'worker.mjs': 'pdf.worker.mjs' }
  for (const [name, file] of Object.entries(serve))
    await reader.route(`**/${name}`, (route) =>
      route.fulfill({
        contentType: 'text/javascript',
        body: readFileSync(`node_modules/pdfjs-dist/legacy/build/${file}`),
      }),
    )
  await reader.route('**/reader', (route) =>
    route.fulfill({ contentType: 'text/html', body: '<canvas></canvas>' }),
  )
  await reader.goto('http://reader.test/reader')
  const { pixels, ...read } = await reader.evaluate(
    async ({ base64, scale }) => {
      // As text, both ways: a list of a million numbers takes the best part of a minute to cross.
      const bytes = Uint8Array.from(atob(base64), (one) => one.charCodeAt(0))
      const address = 'http://reader.test/pdf.mjs'
      const pdfjs = await import(address)
      pdfjs.GlobalWorkerOptions.workerSrc = 'http://reader.test/worker.mjs'
      const file = await pdfjs.getDocument({ data: bytes }).promise
      const sheet = await file.getPage(1)
      const words = (await sheet.getTextContent()).items.map((item: { str: string }) => item.str).join(' ')
      const viewport = sheet.getViewport({ scale })
      const canvas = document.querySelector('canvas')!
      Object.assign(canvas, { width: viewport.width, height: viewport.height })
      const drawing = canvas.getContext('2d')!
      await sheet.render({ canvasContext: drawing, canvas, viewport }).promise
      const pixels = drawing.getImageData(0, 0, canvas.width, canvas.height)
      return {
        info: { ...(await file.getMetadata()).info, ...(await file.getViewerPreferences()) },
        pages: file.numPages,
        view: sheet.view,
        words,
        width: pixels.width,
        height: pixels.height,
        pixels: btoa(Array.from(pixels.data, (code) => String.fromCharCode(code)).join('')),
      }
    },
    { base64: Buffer.from(pdf).toString('base64'), scale },
  )
  await reader.close()
  return { ...read, data: [...Buffer.from(pixels, 'base64')] }
}
