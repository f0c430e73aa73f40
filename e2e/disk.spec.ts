import { spawnSync } from 'node:child_process'
import { closeSync, mkdtempSync, openSync, rmSync, writeSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium, type BrowserContext, type Page } from '@playwright/test'
import { expect, test } from './test.ts'
import { CHROMIUM, FLAGS, OWN_ADDRESS } from './browser.ts'
import { storedEvents } from './storage.ts'
import { open, plan } from './workroom.ts'

const notSaved = (page: Page) => page.getByRole('alert').filter({ hasText: 'not saved yet' })
const iron = (page: Page) => page.getByLabel('Iron citrate, drops counted')

test('while the disk is full work goes on, and every press is written with its own moment once there is room', async ({
  page,
}) => {
  await page.clock.install({ time: new Date('2026-03-02T10:00:00') })
  await open(page)
  await plan(page, 'Tide gauge')
  await page.keyboard.press(' ')
  await expect(page.getByRole('button', { name: 'Next drop' })).toBeVisible()
  // The browser itself says so when a write does not fit; here it says it of every write from now on.
  await page.evaluate(() => {
    const put = IDBObjectStore.prototype.put
    ;(window as unknown as { room: () => void }).room = () => {
      IDBObjectStore.prototype.put = put
    }
    IDBObjectStore.prototype.put = function () {
      throw new DOMException('no room', 'QuotaExceededError')
    }
  })
  const pressed: number[] = []
  for (let drop = 1; drop <= 3; drop++) {
    await page.keyboard.press(' ')
    await expect(iron(page)).toHaveValue(String(drop))
    pressed.push(await page.evaluate(() => Date.now()))
    await page.clock.fastForward(20_000)
  }
  await expect(notSaved(page)).toContainText('3 presses are not saved yet, since 10:00')
  // An undo takes the last one back, which was never written.
  await page.keyboard.press('u')
  await expect(iron(page)).toHaveValue('2')
  await expect(notSaved(page)).toContainText('2 presses')
  expect((await storedEvents(page)).map((event) => event.type)).toEqual(['begun'])

  await page.getByRole('button', { name: 'Save now' }).click()
  await expect(page.getByText('is full: this is not saved yet', { exact: false })).toBeVisible()
  await expect(notSaved(page)).toContainText('2 presses')
  await page.evaluate(() => (window as unknown as { room: () => void }).room())
  await page.getByRole('button', { name: 'Save now' }).click()
  await expect(page.getByText('2 presses saved, with the time of each.')).toBeVisible()
  await expect(notSaved(page)).toBeHidden()
  const drops = (await storedEvents(page)).filter((event) => event.type === 'dropped')
  expect(drops).toHaveLength(2)
  for (const [n, { at }] of drops.entries()) expect(Math.abs(at - pressed[n]!)).toBeLessThan(3000)
})

test(
  'a disk that is really full: presses wait, and nothing is lost, then or at later starts',
  { tag: '@long' },
  async () => {
    test.setTimeout(240_000)
    const small = mkdtempSync(join(tmpdir(), 'ember-small-'))
    const mounted = spawnSync('mount', ['-t', 'tmpfs', '-o', 'size=60m', 'tmpfs', small]).status === 0
    test.skip(!mounted, 'a small disk cannot be set up here')
    const filler = join(small, 'filler')
    const fill = () => {
      const file = openSync(filler, 'a')
      const block = Buffer.alloc(4096, 1)
      try {
        for (;;) writeSync(file, block)
      } catch {
        closeSync(file)
      }
    }
    const launch = (): Promise<BrowserContext> =>
      chromium.launchPersistentContext(join(small, 'profile'), {
        executablePath: CHROMIUM,
        args: [...FLAGS, '--disk-cache-size=1'],
        serviceWorkers: 'block',
        viewport: { width: 1280, height: 800 },
      })
    const lost = (page: Page) => page.getByRole('alert').filter({ hasText: 'has lost your workroom' })
    try {
      const context = await launch()
      const page = await context.newPage()
      await open(page, OWN_ADDRESS)
      await plan(page, 'Tide gauge')
      for (let drop = 0; drop <= 2; drop++) {
        await page.keyboard.press(' ')
        await expect(iron(page)).toHaveValue(String(drop))
      }
      fill()
      for (let drop = 3; drop <= 6; drop++) {
        await page.keyboard.press(' ')
        await expect(iron(page)).toHaveValue(String(drop))
      }
      await expect(notSaved(page)).toBeVisible()
      rmSync(filler)
      await page.getByRole('button', { name: 'Save now' }).click()
      await expect(page.getByText(/saved, with the time of each/)).toBeVisible()
      expect((await storedEvents(page)).length).toBe(7)
      await context.close()

      // The storage was put in order: it stays, start after start.
      for (let start = 0; start < 3; start++) {
        const next = await launch()
        const again = await next.newPage()
        await open(again, `${OWN_ADDRESS}/coat`)
        await expect(iron(again)).toHaveValue(String(6 + start))
        await again.keyboard.press(' ')
        await expect(iron(again)).toHaveValue(String(7 + start))
        await expect(lost(again)).toBeHidden()
        await next.close()
      }
    } finally {
      spawnSync('umount', ['-l', small])
      rmSync(small, { recursive: true, force: true })
    }
  },
)

test('a workroom that the browser has lost is not taken for a new one', async ({ page }) => {
  await open(page)
  await plan(page, 'Tide gauge')
  const lost = page.getByRole('alert').filter({ hasText: 'has lost your workroom, with 1 print' })
  await expect.poll(() => page.evaluate(() => localStorage.getItem('ember-sheet-count'))).toBe('1')
  await page.goto('/favicon.svg')
  await page.evaluate(
    () =>
      new Promise<void>((resolve) => {
        indexedDB.deleteDatabase('ember-sheet').onsuccess = () => resolve()
      }),
  )
  await open(page)
  await expect(lost).toBeVisible()
  await page.reload()
  await lost.getByRole('button', { name: 'Start with an empty workroom' }).click()
  await expect(lost).toBeHidden()
  await page.reload()
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
  await expect(lost).toBeHidden()

  // Deleted while it is open: no word of a newer version.
  await page.evaluate(() => indexedDB.deleteDatabase('ember-sheet') && undefined)
  await expect(page.getByRole('alert').filter({ hasText: 'was deleted from the browser' })).toBeVisible()
  await expect(page.getByText('A newer Ember Sheet')).toBeHidden()
})
