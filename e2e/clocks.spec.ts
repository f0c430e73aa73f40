import { execFileSync } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium, type Page } from '@playwright/test'
import { expect, test } from './test.ts'
import { CHROMIUM, FLAGS, OWN_ADDRESS } from './browser.ts'
import { storedEvents } from './storage.ts'
import { clockShown, coatAndDry, countDrops, open, plan } from './workroom.ts'

/** Brings a sheet under the light in real time. */
async function expose(page: Page, title: string, exposure: string): Promise<number> {
  await plan(page, title, { 'Picture size': '4x5', Exposure: exposure })
  await page.keyboard.press(' ')
  await countDrops(page, 5)
  for (const heading of ['Coat the sheet', 'Dry in the dark', 'Coated and dry']) {
    await page.keyboard.press(' ')
    await expect(page.getByRole('heading', { name: heading, level: 1 })).toBeVisible()
  }
  await page.keyboard.press(' ')
  await expect(page.getByRole('heading', { name: /Ready to expose/, level: 1 })).toBeVisible()
  const started = Date.now()
  await page.keyboard.press(' ')
  await expect(page.getByRole('heading', { name: /Exposing/, level: 1 })).toBeVisible()
  return started
}

/**
 * The clock of a page is right to the second: it shows the second that is running, taken between two moments of ours.
 * Key presses reach the page some milliseconds after we noted them, and the page redraws four times a second.
 */
async function expectRight(page: Page, remainingAt: (moment: number) => number): Promise<void> {
  // Asked again for a while, since a busy machine may draw late; a clock that was bent would stay wrong.
  await expect(async () => {
    const before = remainingAt(Date.now())
    const shown = await clockShown(page)
    const after = remainingAt(Date.now())
    expect(shown).toBeGreaterThanOrEqual(Math.ceil(after - 0.25))
    expect(shown).toBeLessThanOrEqual(Math.ceil(before + 0.75))
  }).toPass()
}

test('the browser is killed in mid-exposure and the clock is right to the second', async () => {
  const profile = mkdtempSync(join(tmpdir(), 'ember-profile-'))
  const launch = () => chromium.launchPersistentContext(profile, { executablePath: CHROMIUM, args: FLAGS })
  try {
    const first = await launch()
    const page = await first.newPage()
    await open(page, OWN_ADDRESS)
    const started = await expose(page, 'Keeper’s stair', '10 min')
    const heldFrom = Date.now()
    await page.keyboard.press(' ')
    await expect(page.getByRole('heading', { name: 'Paused for a check', level: 1 })).toBeVisible()
    await page.waitForTimeout(1500)
    const heldTo = Date.now()
    await page.keyboard.press(' ')
    await expect(page.getByRole('heading', { name: /Exposing/, level: 1 })).toBeVisible()

    // Every process of this profile at once, without a word of warning, as a power cut would.
    execFileSync('pkill', ['-9', '-f', profile])
    await first.close().catch(() => undefined)
    await new Promise((resolve) => setTimeout(resolve, 2500))

    const second = await launch()
    const again = await second.newPage()
    await open(again, `${OWN_ADDRESS}/light`)
    await expect(again.getByRole('heading', { name: /Exposing/, level: 1 })).toBeVisible()
    await expectRight(again, (moment) => 600 - (moment - started - (heldTo - heldFrom)) / 1000)
    await second.close()
  } finally {
    rmSync(profile, { recursive: true, force: true })
  }
})

test('two windows show the same, and a press in both counts once', async ({ context }) => {
  const [a, b] = [await context.newPage(), await context.newPage()]
  await open(a)
  await open(b)
  const started = await expose(a, 'Net loft', '10 min')

  await b.getByRole('link', { name: 'Light' }).click()
  await expect(b.getByRole('heading', { name: /Exposing/, level: 1 })).toBeVisible()
  for (const page of [a, b]) await expectRight(page, (moment) => 600 - (moment - started) / 1000)

  // The same moment, the same key, two windows: one look, not a look and a return.
  await Promise.all([a.keyboard.press('Enter'), b.keyboard.press('Enter')])
  for (const page of [a, b])
    await expect(page.getByRole('heading', { name: 'Exposed', level: 1 })).toBeVisible()
  await a.keyboard.press(' ')
  await expect(a.getByRole('heading', { name: 'Next: wash', level: 1 })).toBeVisible()
  await a.goto('/prints')
  await a.getByText('Net loft').click()
  await expect(a.locator('main').getByText('Expose', { exact: true })).toHaveCount(1)
})

test('a reload and a day asleep leave the clocks right, and the end of time is heard until it is answered', async ({
  page,
}) => {
  await page.addInitScript(() => {
    const spoken: string[] = []
    Object.assign(window, { spoken })
    speechSynthesis.speak = (said) => void spoken.push(said.text)
    localStorage.setItem('ember-sheet-preferences', JSON.stringify({ speech: true }))
  })
  await page.clock.install({ time: new Date('2026-03-02T10:00:00') })
  await open(page)
  await expose(page, 'Tide gauge', '8 min')
  await page.clock.fastForward('03:00')
  await page.reload()
  await expect(page.getByRole('timer')).toHaveText(/^[45]:\d\d$/)

  await page.clock.fastForward('06:00')
  const ledge = page.getByRole('region', { name: 'Running clocks' })
  await expect(ledge.getByRole('button')).toHaveText(/^\+\d:\d\d/)
  const ends = () =>
    page.evaluate(() =>
      (window as unknown as { spoken: string[] }).spoken.filter((said) => said.includes('exposure done')),
    )
  await expect.poll(ends).toHaveLength(1)

  // No one comes: the end is heard again, and says how far over the exposure is.
  const again = () =>
    page.evaluate(() =>
      (window as unknown as { spoken: string[] }).spoken.filter((said) => said.includes('still exposing')),
    )
  await page.clock.fastForward('01:00')
  await expect.poll(again).not.toHaveLength(0)
  await page.clock.fastForward('04:00')
  await expect.poll(again).toContainEqual(expect.stringContaining('over-exposed'))
  await expect(page.getByText('over-exposed')).toBeVisible()

  // Sleep: the page is frozen for a day by the clock, then thawed.
  await page.clock.fastForward(86_400_000)
  await expect(ledge.getByRole('button')).toHaveText(/^\+24\sh/)
  expect(await ends()).toHaveLength(1)
})

test('the end of time is notified where the user allows it', { tag: '@long' }, async ({ page, context }) => {
  await context.grantPermissions(['notifications'])
  await page.addInitScript(() => {
    const notified: string[] = []
    const Fake = class {
      static permission = 'granted'
      static requestPermission = () => Promise.resolve('granted')
      constructor(readonly title: string) {
        notified.push(title)
      }
    }
    Object.assign(window, { notified, Notification: Fake })
  })
  const notified = () => page.evaluate(() => (window as unknown as { notified: string[] }).notified)
  await page.clock.install({ time: new Date('2026-03-02T10:00:00') })
  await open(page, '/workroom')
  await page.getByRole('switch', { name: 'Notifications' }).locator('..').click()
  await expect(page.getByRole('switch', { name: 'Notifications' })).toBeChecked()
  await expose(page, 'Fog bell', '2 min')
  await page.clock.fastForward('01:50')
  expect((await notified()).filter((title) => title.includes('restore'))).toEqual([])
  await page.clock.fastForward('00:20')
  await expect.poll(notified).toContain('Sheet 1: exposure done')
})

test(
  'a clock keeps time while its page is frozen and throttled',
  { tag: '@long' },
  async ({ page, context }) => {
    await open(page)
    const started = await expose(page, 'Bell buoy', '10 min')
    const devtools = await context.newCDPSession(page)
    await devtools.send('Emulation.setCPUThrottlingRate', { rate: 6 })
    await devtools.send('Page.setWebLifecycleState', { state: 'frozen' })
    await new Promise((resolve) => setTimeout(resolve, 4000))
    await devtools.send('Page.setWebLifecycleState', { state: 'active' })
    await devtools.send('Emulation.setCPUThrottlingRate', { rate: 1 })
    await expect
      .poll(async () => Math.abs((await clockShown(page)) - (600 - (Date.now() - started) / 1000)))
      .toBeLessThanOrEqual(1.2)
  },
)

test('the screen is kept awake while a clock runs', { tag: '@long' }, async ({ page }) => {
  await page.addInitScript(() => {
    const asked: string[] = []
    Object.assign(window, { asked })
    const request = (type: string) => {
      asked.push(type)
      return Promise.resolve(
        Object.assign(new EventTarget(), { release: () => Promise.resolve(void asked.push('let go')) }),
      )
    }
    Object.defineProperty(navigator, 'wakeLock', { value: { request } })
  })
  const asked = () => page.evaluate(() => (window as unknown as { asked: string[] }).asked)
  await open(page)
  expect(await asked()).toEqual([])
  await expose(page, 'Horn house', '10 min')
  await expect.poll(asked).toContain('screen')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: 'Exposed', level: 1 })).toBeVisible()
  await expect.poll(async () => (await asked()).at(-1)).toBe('let go')
})

test(
  'a system clock that is moved while a clock runs is said, and bends neither the clock nor the record',
  { tag: '@long' },
  async ({ page }) => {
    const start = new Date('2026-03-02T10:00:00').getTime()
    await page.clock.install({ time: start })
    await open(page)
    await plan(page, 'Tide gauge')
    await coatAndDry(page)
    await page.keyboard.press(' ')
    await expect(page.getByRole('heading', { name: /Ready to expose/, level: 1 })).toBeVisible()
    await page.keyboard.press(' ')
    await expect(page.getByRole('heading', { name: /Exposing/, level: 1 })).toBeVisible()
    await page.clock.fastForward('02:00')
    const before = await clockShown(page)
    // Back by an hour: the page's own timers and its monotonic clock know nothing of it.
    await page.clock.setSystemTime((await page.evaluate(() => Date.now())) - 3_600_000)
    await page.clock.runFor(1000)
    await expect(page.getByText('The system clock moved back by 1 h')).toBeVisible()
    const strayed = async () => Math.abs((await clockShown(page)) - before)
    await expect.poll(strayed).toBeLessThan(5)
    // Forward by two days: no print stays in the light that long while a computer sleeps.
    await page.clock.setSystemTime((await page.evaluate(() => Date.now())) + 2 * 86_400_000)
    await page.clock.runFor(1000)
    await expect(page.getByText(/The system clock moved forward by /)).toBeVisible()
    await expect.poll(strayed).toBeLessThan(8)
    await page.getByRole('button', { name: 'Open the frame to check' }).click()
    await expect.poll(async () => (await storedEvents(page)).at(-1)?.type).toBe('looked')
    const [begun, looked] = (await storedEvents(page)).filter(({ type }) => ['stepStarted', 'looked'].includes(type)).slice(-2) // prettier-ignore
    expect(Math.abs(looked!.at - begun!.at - 122_000)).toBeLessThan(8000)
  },
)
