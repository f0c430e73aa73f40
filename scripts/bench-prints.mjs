// Ten thousand prints with thumbnails: taking them in, opening, searching and scrolling the line, looking through all.
import { existsSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { tmpdir } from 'node:os'
import sharp from 'sharp'
import { ensureChromium } from './chromium.mjs'
import { FLAGS } from './server.mjs'
import { root } from './setup.mjs'

const PRINTS = Number(process.env.BENCH_PRINTS ?? 10_000)
/** Milliseconds. */
const LIMITS = { import: 20_000, open: 500, search: 50, longTask: 50, check: 10_000 }
const WORDS = ['lens', 'gauge kept', 'october', 'sheet 77', 'nowhere']

/** An archive of as many finished prints: the demo's, over and over, each with identities, numbers and days of its own. */
async function archiveOfPrints({ load }) {
  const path = join(tmpdir(), `ember-sheet-bench-${PRINTS}.zip`)
  if (existsSync(path)) return path
  const { demoScenario } = await load('demo/scenario.ts')
  const { seededRandom, seededUuid } = await load('core/quantity/random.ts')
  const { writeArchive } = await load('core/archive/archive.ts')
  const now = Date.now()
  const { records } = demoScenario(1, now)
  const random = seededRandom(11)
  const finished = records.sheets.filter((sheet) => sheet.number >= 18 && sheet.number <= 25)
  const small = await sharp(join(root, 'dist/demo/22-small.jpg')).resize(240).jpeg({ quality: 70 }).toBuffer()
  const many = { ...records, sheets: [], events: [], photos: [], paperRuns: [], takings: [], registerChecks: [], plans: [], diagnoses: [], baths: [], negatives: [], calibrations: [] } // prettier-ignore
  const pixels = new Map()
  for (let n = 0; n < PRINTS; n++) {
    const like = finished[n % finished.length]
    const [id, photoId] = [seededUuid(random), seededUuid(random)]
    const back = (PRINTS - n) * 3_600_000
    const { after, edition, pieceId, ...rest } = like
    void [after, edition, pieceId]
    many.sheets.push({ ...rest, id, number: n + 1, createdAt: like.createdAt - back, changedAt: like.changedAt - back }) // prettier-ignore
    for (const event of records.events.filter((one) => one.sheetId === like.id)) {
      const moved = { ...event, id: seededUuid(random), sheetId: id, at: event.at - back }
      many.events.push(event.type === 'photographed' ? { ...moved, photoId } : moved)
    }
    many.photos.push({ id: photoId, sheetId: id, takenAt: now - back, mime: 'image/jpeg', widthPixels: 480, heightPixels: 600, bytes: small.length, note: '' }) // prettier-ignore
    pixels.set(photoId, { original: small, thumbnail: small })
  }
  writeFileSync(path, writeArchive({ records: many, pixels }, 'Many prints', now))
  return path
}

/** @returns whether all is within its limits. */
export async function benchPrints(browser, address, sources) {
  const path = await archiveOfPrints(sources)
  // On the disk, as a workroom is: what a private window keeps in memory is several times slower to write.
  const profile = mkdtempSync(join(tmpdir(), 'ember-sheet-bench-'))
  const context = await browser.browserType().launchPersistentContext(profile, {
    executablePath: ensureChromium(),
    args: FLAGS,
    viewport: { width: 1280, height: 800 },
    serviceWorkers: 'block',
  })
  const page = await context.newPage()
  await page.goto(`${address}/workroom`)
  await page.getByRole('heading', { level: 1 }).waitFor()
  // Taken in by an application that has come to rest: at its start it brings its own scripts in ahead.
  await page.waitForTimeout(6000)
  const timed = async (work) => {
    const began = performance.now()
    await work()
    return performance.now() - began
  }
  const took = {}
  took.import = await timed(async () => {
    await page.getByLabel('Archive file').setInputFiles(path)
    await page.getByRole('button', { name: 'Import', exact: true }).last().click({ timeout: 300_000 })
    await page.getByText(/Imported\./).waitFor({ timeout: 300_000 })
  })
  // Warm: the application has come to rest with all of it in memory.
  await page.goto(address)
  const started = await timed(() => page.getByRole('heading', { level: 1 }).waitFor({ timeout: 120_000 }))
  console.log(`  starting with ${PRINTS} prints: ${(started / 1000).toFixed(1)} s`)
  await page.waitForTimeout(3000)
  took.open = await page.evaluate(
    () =>
      new Promise((resolve) => {
        const began = performance.now()
        document.dispatchEvent(new KeyboardEvent('keydown', { key: '8', bubbles: true }))
        const look = () =>
          document.querySelector('[data-sheet]') ? requestAnimationFrame(() => resolve(performance.now() - began)) : requestAnimationFrame(look) // prettier-ignore
        look()
      }),
  )
  await page.waitForTimeout(4000)
  const answers = []
  for (const words of WORDS)
    answers.push(
      await page.evaluate(async (text) => {
        const field = document.querySelector('.PrintsStation-find input')
        const said = () => document.querySelector('.PrintsStation-count').textContent
        const before = said()
        const began = performance.now()
        field.value = text
        field.dispatchEvent(new Event('input', { bubbles: true }))
        while (said() === before) await new Promise((resolve) => setTimeout(resolve))
        const answered = performance.now() - began
        return answered
      }, words),
    )
  console.log(`  each word: ${answers.map((one) => Math.round(one)).join(', ')} ms`)
  took.search = [...answers].sort((a, b) => a - b).at(-1)
  await page.getByRole('button', { name: 'show all' }).click()
  took.longTask = await page.evaluate(async () => {
    let longest = 0
    const watcher = new PerformanceObserver((list) => {
      for (const entry of list.getEntries()) longest = Math.max(longest, entry.duration)
    })
    watcher.observe({ entryTypes: ['longtask'] })
    const box = document.getElementById('page')
    for (let step = 0; step < 120; step++) {
      box.scrollTop += 400
      await new Promise((resolve) => requestAnimationFrame(resolve))
    }
    await new Promise((resolve) => setTimeout(resolve, 300))
    watcher.disconnect()
    return longest
  })
  console.log(`  ${JSON.stringify(took)}`)
  await page.goto(`${address}/workroom`)
  await page.getByRole('button', { name: 'Check stored data' }).waitFor({ timeout: 60_000 })
  await page.waitForTimeout(2000)
  took.check = await timed(async () => {
    await page.getByRole('button', { name: 'Check stored data' }).click()
    await page.getByText(/checked\. No faults found|faults? in/).waitFor({ timeout: 120_000 })
  })
  await context.close()
  rmSync(profile, { recursive: true, force: true })
  console.log(`Prints, ${PRINTS} of them, as shares of their limits:`)
  for (const [name, limit] of Object.entries(LIMITS))
    console.log(`  ${name}: ${(took[name] / limit).toFixed(2)} of ${limit} ms`)
  return Object.entries(LIMITS).every(([name, limit]) => took[name] <= limit)
}
