import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium, type BrowserContext, type Page } from '@playwright/test'
import { expect, test } from './test.ts'
import { CHROMIUM, FLAGS, OWN_ADDRESS } from './browser.ts'
import { storedEvents, storedSheets, type StoredEvent } from './storage.ts'
import { measureAll, plan, secondsOf } from './workroom.ts'

/** Kills in one run; `npm run faults` asks for 50. */
const KILLS = Number(process.env.FAULT_KILLS ?? 4)

/** What a clock has to show: seconds by the stamps on the disk alone, or `null` for a clock that is not computed here. */
function secondsLeft(log: readonly StoredEvent[], words: string, now: number): number | null {
  const plan = log.find((event) => event.type === 'begun')?.steps ?? []
  const planned = (id: string) => {
    const step = plan.find((one) => one.id === id)
    return step?.plannedSeconds ?? step?.mostSeconds ?? step?.leastSeconds ?? NaN
  }
  if (words === 'being coated' || words === 'drying in the dark') {
    const began = log.findLast((event) => event.type === 'stepFinished')
    const length = planned(words === 'being coated' ? 'spread' : 'dry')
    return began ? length - (now - began.at) / 1000 : null
  }
  if (!words.startsWith('exposing')) return null
  // Frame position in the light from each start or return to the next look.
  const turns = log.filter((event) => ['stepStarted', 'looked', 'returned'].includes(event.type))
  const lit = turns.reduce(
    (sum, event, i) => (event.type === 'looked' ? sum : sum + (turns[i + 1]?.at ?? now) - event.at),
    0,
  )
  return planned('expose') - lit / 1000
}

/** Events that lay on the disk once and do not any more. */
const lost = (finished: ReadonlyMap<string, number>, ids: ReadonlySet<string>) =>
  [...finished.keys()].filter((id) => !ids.has(id))

/** Chance that is the same in every run. */
function chance(seed: number): () => number {
  let state = seed
  return () => (state = (state * 1_103_515_245 + 12_345) % 2_147_483_648) / 2_147_483_648
}

/** Brings a sheet into the frame, where its clock runs through all the kills. */
async function expose(page: Page): Promise<void> {
  await plan(page, 'Sheet in the frame')
  await page.keyboard.press(' ')
  await measureAll(page)
  await expect(page.getByRole('heading', { name: /^Coat the sheet/, level: 1 })).toBeVisible()
  for (const heading of [/^Dry in the dark/, 'Coated and dry', /^Ready to expose/, /^Exposing/]) {
    await page.keyboard.press(' ')
    await expect(page.getByRole('heading', { name: heading, level: 1 })).toBeVisible()
  }
}

test(
  'the browser is killed at random moments of a working session: nothing finished is lost, no clock is off',
  { tag: '@long' },
  async () => {
    test.setTimeout(300_000 + KILLS * 60_000)
    const profile = mkdtempSync(join(tmpdir(), 'ember-faults-'))
    const random = chance(20_261)
    const launch = (): Promise<BrowserContext> =>
      chromium.launchPersistentContext(profile, {
        executablePath: CHROMIUM,
        args: FLAGS,
        serviceWorkers: 'block',
        viewport: { width: 1280, height: 800 },
      })
    let sheets = 0
    let clocksSeen = 0
    const finished = new Map<string, number>()
    try {
      for (let kill = 0; kill < KILLS; kill++) {
        const context = await launch()
        const page = await context.newPage()
        await page.goto(OWN_ADDRESS)
        await expect(page.getByRole('heading', { level: 1 })).toBeVisible()

        // What was finished before the last kill is there, whole and in order, and nothing is there by half.
        const events = await storedEvents(page)
        const ids = new Set(events.map((event) => event.id))
        // Asked once of all: a thousand questions to the runner take longer than the session.
        expect(lost(finished, ids), `kill ${kill}`).toEqual([])
        const bySheet = new Map<string, number[]>()
        for (const event of events)
          bySheet.set(event.sheetId, [...(bySheet.get(event.sheetId) ?? []), event.index])
        const logs = [...bySheet.values()].map((indices) => indices.sort((a, b) => a - b))
        expect(logs).toEqual(logs.map((indices) => indices.map((_, i) => i)))
        for (const event of events) finished.set(event.id, event.at)

        // Every clock that runs shows what its stamp says, to the second it took to look.
        const idOf = new Map((await storedSheets(page)).map((sheet) => [sheet.number, sheet.id]))
        await page.waitForTimeout(300)
        const before = Date.now()
        const clocks = await page.locator('.TheLedge-clock').allInnerTexts()
        const after = Date.now()
        for (const text of clocks) {
          const [, shown, number, words] = /^\s*(\S+)\s+Sheet (\d+) · (.+)$/s.exec(text) ?? []
          const log = events.filter((event) => event.sheetId === idOf.get(Number(number)))
          const left = secondsLeft(log, words?.trim() ?? '', before)
          if (left === null) continue
          clocksSeen++
          // It counts up once it has run out, so the distance from the end is what is shown.
          expect(
            Math.abs(secondsOf(shown!) - Math.abs(left)),
            `kill ${kill}, ${text} beside ${left}`,
          ).toBeLessThanOrEqual(1.5 + (after - before) / 1000)
        }
        if (kill === 0) await expose(page)
        await page.keyboard.press('4')

        if (sheets <= kill / 3) {
          sheets++
          await plan(page, `Sheet of kill ${kill}`)
        }
        // Works on until the kill comes: presses as fast as they are taken, waiting for none.
        const until = Date.now() + 200 + random() * 1800
        const done = async (): Promise<void> => {
          for (;;) {
            await page.keyboard.press(' ')
            await page.waitForTimeout(random() * 40)
          }
        }
        const working = done().catch(() => undefined)
        while (Date.now() < until) await new Promise((resolve) => setTimeout(resolve, 20))
        // What lies on the disk at this moment has to be there ever after.
        for (const event of await storedEvents(page)) finished.set(event.id, event.at)
        const devtools = await context
          .browser()
          ?.newBrowserCDPSession()
          .catch(() => null)
        const pids = devtools ? await devtools.send('SystemInfo.getProcessInfo').catch(() => null) : null
        const main = pids?.processInfo.find((one) => one.type === 'browser')?.id
        // Closed in good order it would prove nothing.
        expect(main, 'the process of the browser itself').toBeDefined()
        process.kill(main as number, 'SIGKILL')
        await working
        await context.close().catch(() => undefined)
      }

      const context = await launch()
      const page = await context.newPage()
      await page.goto(`${OWN_ADDRESS}/workroom`)
      await page.getByRole('button', { name: 'Check stored data' }).click()
      await expect(page.getByText(/checked. No faults found/)).toBeVisible()
      const ids = new Set((await storedEvents(page)).map((event) => event.id))
      expect(lost(finished, ids)).toEqual([])
      expect(finished.size).toBeGreaterThan(KILLS)
      // The sheet in the frame was there after every kill but the first start.
      expect(clocksSeen).toBeGreaterThanOrEqual(KILLS - 1)
      test.info().annotations.push({
        type: 'seen',
        description: `${KILLS} kills, ${finished.size} events, ${clocksSeen} running clocks`,
      })
      await context.close()
    } finally {
      // A killed browser's children may still be writing for a moment.
      rmSync(profile, { recursive: true, force: true, maxRetries: 10, retryDelay: 300 })
    }
  },
)
