// The wet side with twenty prints in its trays, each with its clock, and no one pressing anything.
import { writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { tmpdir } from 'node:os'

const PRINTS = 20
const WATCHED_SECONDS = 20
const LIMITS = { longTask: 50, core: 0.03 }

/** An archive of twenty prints that are in their first baths. */
async function archiveOfPrints({ load }) {
  const { demoScenario } = await load('demo/scenario.ts')
  const { sheetWithLog } = await load('demo/drawerStory.ts')
  const { demoShelf } = await load('demo/shelf.ts')
  const { seededRandom } = await load('core/quantity/random.ts')
  const { writeArchive } = await load('core/archive/archive.ts')
  const now = Date.now()
  const random = seededRandom(7)
  const shelf = demoShelf(random, now)
  const empty = Object.fromEntries(Object.keys(demoScenario(1, now).records).map((kind) => [kind, []]))
  const kinds = [
    ['classic-cyanotype', 'wash'],
    ['kallitype', 'clear'],
    ['van-dyke', 'fix'],
    ['salted-paper', 'final-wash'],
  ]
  const made = Array.from({ length: PRINTS }, (_, n) => {
    const [process, step] = kinds[n % kinds.length]
    const at = { step, ago: 1000 * (5 + 3 * n), isRunning: true }
    return sheetWithLog(
      { number: n + 1, title: `Print ${n + 1}`, process, paper: 'rag', exposureSeconds: 300, at },
      shelf,
      random,
      now,
    )
  })
  const records = {
    ...empty,
    papers: shelf.records.papers,
    lights: shelf.records.lights,
    bottles: shelf.records.bottles,
    sheets: made.map((one) => one.sheet),
    events: made.flatMap((one) => one.events),
  }
  const path = join(tmpdir(), 'ember-sheet-bench-wet.zip')
  writeFileSync(path, writeArchive({ records, pixels: new Map() }, 'Twenty prints', now))
  return path
}

export async function benchWet(browser, address, sources) {
  const path = await archiveOfPrints(sources)
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
  const page = await context.newPage()
  await page.goto(`${address}/workroom`)
  await page.getByRole('heading', { level: 1 }).waitFor()
  await page.getByLabel('Archive file').setInputFiles(path)
  await page.getByRole('button', { name: 'Import', exact: true }).last().click()
  await page.getByText(/Imported\./).waitFor()
  await page.goto(`${address}/wet`)
  await page.getByRole('heading', { level: 1 }).waitFor()
  await page.waitForTimeout(3000)
  await page.evaluate(() => {
    window.longest = 0
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries()) window.longest = Math.max(window.longest, entry.duration)
    }).observe({ type: 'longtask' })
  })
  const session = await context.newCDPSession(page)
  await session.send('Performance.enable')
  const busy = async () =>
    (await session.send('Performance.getMetrics')).metrics.find((metric) => metric.name === 'TaskDuration')
      .value
  const before = await busy()
  await page.waitForTimeout(WATCHED_SECONDS * 1000)
  const share = ((await busy()) - before) / WATCHED_SECONDS
  const longest = await page.evaluate(() => window.longest)
  const clocks = await page.getByRole('region', { name: 'Running clocks' }).getByRole('button').count()
  await context.close()
  console.log(`Wet side with ${clocks} running clocks, waiting:`)
  console.log(
    `  main thread busy ${(100 * share).toFixed(1)} % of a core, ${(share / LIMITS.core).toFixed(2)} of the limit of ${100 * LIMITS.core} %`,
  )
  console.log(`  longest task ${Math.round(longest)} ms (0 where none was over 50), limit ${LIMITS.longTask}`)
  return share <= LIMITS.core && longest <= LIMITS.longTask
}
