import axe from 'axe-core'
import type { Page } from '@playwright/test'
import { expect, test } from './test.ts'
import { DEMO_ADDRESS } from './browser.ts'
import { findLayoutFaults } from './layout.ts'
import { open, turnTo } from './workroom.ts'

const PAGES = [
  '/', '/plan', '/plan/prepare', '/start', '/shelf', '/shelf/make', '/shelf/make?recipe=ferric-ammonium-citrate',
  '/shelf/take-in', '/shelf/shopping', '/shelf/waste', '/shelf/dropper', '/shelf/processes', '/shelf/processes/kallitype',
  '/paper', '/paper/new', '/paper/tear', '/paper/treat', '/coat', '/coat/begin', '/negative', '/negative/calibrate',
  '/light', '/light/lights', '/light/sun', '/light/strip', '/light/tablet', '/light/bases', '/light/instruments', '/wet',
  '/practice', '/practice/lessons', '/practice/try', '/practice/model', '/prints', '/prints/trends', '/prints/bin', '/workroom',
] // prettier-ignore
/** Where less room makes faults likelier; with the two sizes between them in `npm run test:long`. */
const SIZES = [
  { width: 1024, height: 768 },
  { width: 320, height: 700 },
  ...(process.env.LONG_TESTS === '1'
    ? [
        { width: 1280, height: 800 },
        { width: 390, height: 844 },
      ]
    : []),
]
/** 24 px is the smallest target of WCAG 2.2 (2.5.8, target size, minimum). */
const SMALLEST_TARGET = 24

/** What axe finds serious or critical on a page, and every fault of its layout at each size. */
async function faultsOf(page: Page, path: string): Promise<string[]> {
  const found: string[] = []
  // Read once for a page that is turned, not loaded: reading axe costs as much as what it does.
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(axe.source)
  const violations = await page.evaluate(async () => {
    const { axe: here } = window as unknown as { axe: typeof axe }
    const found = await here.run(
      { include: [['main'], ['.MarginColumn']] },
      {
        resultTypes: ['violations'],
        preload: false,
        rules: { 'label-content-name-mismatch': { enabled: true } },
      },
    )
    return found.violations.map(({ id, impact, nodes }) => ({
      id,
      impact,
      where: `${nodes[0]?.target.join(' ')} (${nodes.length})`,
    }))
  })
  for (const { id, impact, where } of violations)
    if (impact === 'serious' || impact === 'critical') found.push(`${path}: ${id} ${where}`)
  for (const size of SIZES) {
    await page.setViewportSize(size)
    // What follows the size of the page (charts, lists drawn as far as they are seen) takes a moment.
    let faults: string[] = []
    await expect
      .poll(async () => {
        faults = (await page.evaluate(findLayoutFaults, SMALLEST_TARGET)).map(
          ({ kind, text, detail }) => `${path} at ${size.width}: ${kind}, “${text}”, ${detail}`,
        )
        return faults.length
      })
      .toBe(0)
      .catch(() => found.push(...faults.slice(0, 5)))
  }
  await page.setViewportSize(SIZES[0]!)
  return found
}

const THIRD = Math.ceil(PAGES.length / 3)
for (const [part, pages] of [0, 1, 2].map((at) => PAGES.slice(at * THIRD, (at + 1) * THIRD)).entries())
  test(`every page has one title, is reached by keyboard, read aloud and seen whole at every size (${part + 1} of 3)`, async ({
    page,
  }) => {
    await open(page, DEMO_ADDRESS)
    const found: string[] = []
    for (const path of pages) {
      await turnTo(page, path)
      await expect(page.locator('h1'), path).toHaveCount(1)
      // What is read from storage may still take the place of what had the focus, so it is asked until the page rests.
      await expect(async () => {
        await page.locator('#page').focus()
        await page.keyboard.press('Tab')
        const focused = await page.evaluate(() => document.activeElement?.closest('[id=page] *') !== null)
        expect(focused, path).toBe(true)
      }).toPass()
      found.push(...(await faultsOf(page, path)))
    }
    expect(found).toEqual([])
  })

test('a print and its diagnosis are read aloud and seen whole at every size', async ({ page }) => {
  await open(page, `${DEMO_ADDRESS}/prints`)
  await page.getByText('24 Keeper’s stair').click()
  await expect(page.getByRole('heading', { level: 1, name: /Keeper’s stair/ })).toBeVisible()
  const found = await faultsOf(page, '/prints/…')
  await page.keyboard.press('w')
  await expect(page.getByRole('region', { name: 'Likely causes' })).toBeVisible()
  found.push(...(await faultsOf(page, '/prints/…/diagnose')))
  expect(found).toEqual([])
})

test('at the bench, what is pressed with a finger is at least 44 px high', async ({ browser }) => {
  const context = await browser.newContext({
    hasTouch: true,
    isMobile: true,
    viewport: { width: 1024, height: 768 },
    reducedMotion: 'reduce',
  })
  const page = await context.newPage()
  await open(page, DEMO_ADDRESS)
  for (const path of ['/coat', '/light', '/wet']) {
    await turnTo(page, path)
    await expect
      .poll(async () =>
        (await page.evaluate(findLayoutFaults, 44)).map(
          ({ kind, text, detail }) => `${kind}: ${text} ${detail}`,
        ),
      )
      .toEqual([])
  }
  await context.close()
})
