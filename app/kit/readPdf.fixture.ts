import { execFileSync } from 'node:child_process'

/** Reads a PDF with another program's reader, in a process of its own, since that is no module for tests. */
const READER = `
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs'
const parts = []
for await (const part of process.stdin) parts.push(part)
const file = await getDocument({ data: new Uint8Array(Buffer.concat(parts)), verbosity: 0 }).promise
const pages = []
for (let n = 1; n <= file.numPages; n++)
  pages.push((await (await file.getPage(n)).getTextContent()).items.map((item) => item.str).join(' '))
const { info } = await file.getMetadata()
process.stdout.write(JSON.stringify({ pages, title: info.Title }))
`

export async function readPdf(pdf: Blob): Promise<{ pages: string[]; title?: string }> {
  const input = Buffer.from(await pdf.arrayBuffer())
  const said = execFileSync(process.execPath, ['--input-type=module', '-e', READER], {
    input,
    stdio: ['pipe', 'pipe', 'ignore'],
  })
  return JSON.parse(said.toString()) as { pages: string[]; title?: string }
}
