// npm run bench: figures that should not grow unnoticed, as ratios measured side by side in one run.
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { gzipSync } from 'node:zlib'
import { ensureChromium } from './chromium.mjs'
import { FLAGS, startServer } from './server.mjs'
import { ensureBuild, ensurePackages, root } from './setup.mjs'

ensurePackages()
ensureBuild()
const { chromium } = await import('@playwright/test')

const FIRST_SCREEN_BUDGET = 250_000
const ROUNDS = 9

/** Files that the first screen needs: the entry, what it imports statically, and their styles; fonts left out. */
function firstScreenFiles() {
  const manifest = JSON.parse(readFileSync(join(root, 'dist/app/.vite/manifest.json'), 'utf8'))
  const files = new Set()
  const visit = (key) => {
    const chunk = manifest[key]
    if (files.has(chunk.file)) return
    files.add(chunk.file)
    for (const style of chunk.css ?? []) files.add(style)
    for (const imported of chunk.imports ?? []) visit(imported)
  }
  visit('index.html')
  return [...files]
}
const gzipped = (file) => gzipSync(readFileSync(join(root, 'dist/app', file)), { level: 9 }).length
const median = (values) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]

const files = firstScreenFiles()
const bytes = files.reduce((sum, file) => sum + gzipped(file), 0)
console.log(`First screen, JavaScript and CSS, gzip: ${bytes} bytes in ${files.length} files`)
console.log(`  ${(bytes / FIRST_SCREEN_BUDGET).toFixed(2)} of the budget of ${FIRST_SCREEN_BUDGET}`)

const browser = await chromium.launch({ executablePath: ensureChromium(), args: FLAGS })
const [own, demo] = [await startServer([]), await startServer(['--demo'])]

/** Milliseconds from navigation until the heading stands and a key is answered, in a context of its own or a kept one. */
async function timeToUsable(context, address) {
  const page = await context.newPage()
  const began = performance.now()
  await page.goto(address, { waitUntil: 'commit' })
  await page.getByRole('heading', { level: 1 }).waitFor()
  await page.keyboard.press('d')
  await page.waitForFunction(() => document.documentElement.dataset.palette === 'dim')
  const took = performance.now() - began
  await page.keyboard.press('d')
  await page.close()
  return took
}
async function timeToPlain(context, address) {
  const page = await context.newPage()
  const began = performance.now()
  await page.goto(`${address}/favicon.svg`)
  const took = performance.now() - began
  await page.close()
  return took
}

const [cold, warm, full, plain] = [[], [], [], []]
const kept = await browser.newContext()
const keptDemo = await browser.newContext()
await timeToUsable(kept, own.address)
await timeToUsable(keptDemo, demo.address)
for (let round = 0; round < ROUNDS; round++) {
  const fresh = await browser.newContext()
  plain.push(await timeToPlain(fresh, own.address))
  cold.push(await timeToUsable(fresh, own.address))
  await fresh.close()
  warm.push(await timeToUsable(kept, own.address))
  full.push(await timeToUsable(keptDemo, demo.address))
}
await browser.close()
own.stop()
demo.stop()

const line = (name, values) =>
  console.log(
    `  ${name}: ${Math.round(median(values))} ms, ${(median(values) / median(plain)).toFixed(1)} times a bare picture file`,
  )
console.log(`Navigation to the first usable screen, median of ${ROUNDS}:`)
line('first visit, empty workroom', cold)
line('later visit, empty workroom', warm)
line('later visit, demo workroom', full)
process.exit(bytes > FIRST_SCREEN_BUDGET ? 1 : 0)
