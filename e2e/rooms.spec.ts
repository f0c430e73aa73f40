import { readFileSync } from 'node:fs'
import { expect, test } from './test.ts'
import { DEMO_ADDRESS } from './browser.ts'
import { leftIn, make, open, pick, turnTo } from './workroom.ts'

const PAGES = [
  '/shelf',
  '/shelf/make',
  '/shelf/take-in',
  '/shelf/shopping',
  '/shelf/waste',
  '/shelf/dropper',
  '/shelf/processes',
  '/paper',
  '/paper/new',
  '/paper/tear',
  '/paper/treat',
  '/coat/begin',
  '/wet',
  '/plan',
  '/plan/prepare',
  '/negative',
  '/negative/calibrate',
  '/light',
  '/light/lights',
  '/light/sun',
  '/light/strip',
  '/light/tablet',
  '/light/bases',
  '/light/instruments',
]

test('a page with nothing on it has one title all the same', { tag: '@long' }, async ({ page }) => {
  await open(page)
  for (const path of PAGES) {
    await turnTo(page, path)
    await expect(page.locator('h1'), path).toHaveCount(1)
  }
})

test('an archive of the first version comes in: its bottles say what they hold', async ({ page }) => {
  await open(page, '/workroom')
  const archive = {
    name: 'old.zip',
    mimeType: 'application/zip',
    buffer: readFileSync('core/fixtures/archive-v1.zip'),
  }
  await page.locator('input[type=file]').setInputFiles(archive)
  const report = page.getByRole('region', { name: 'Import report' })
  await expect(report.getByRole('row', { name: /bottles 1 0 0/ })).toBeVisible()
  await report.getByRole('button', { name: 'Import' }).click()
  await expect(page.getByText('Imported.')).toBeVisible()
  await open(page, '/shelf')
  await page.getByRole('button', { name: /Iron citrate 25 % A-7/ }).click()
  await expect(page.getByRole('region', { name: 'Iron citrate A-7' })).toContainText('not measured')
  await page.keyboard.press('8')
  await expect(page.getByRole('listitem').filter({ hasText: 'Tide gauge' })).toBeVisible()
})

test('a solution that rests stands on the ledge until it is ripe', async ({ page }) => {
  await page.clock.install({ time: new Date('2026-03-02T10:00:00') })
  await make(page, 'van-dyke/sensitizer', '100 ml', 'V-1')
  const ledge = page.getByRole('region', { name: 'Running clocks' })
  await expect(ledge).toContainText('Van Dyke sensitizer V-1 · resting, ready')
  await page.keyboard.press('1')
  await ledge.getByRole('button', { name: /V-1/ }).click()
  await expect(page.getByRole('region', { name: 'Van Dyke sensitizer V-1' })).toBeVisible()
  await page.clock.fastForward(49 * 3_600_000)
  await expect(ledge).not.toContainText('V-1')
  await expect(page.getByRole('button', { name: /Van Dyke sensitizer .*V-1.*resting/ })).toBeHidden()
})

test(
  'a lot that is used up hands over to the next, in the order of opening',
  { tag: '@long' },
  async ({ page }) => {
    await page.clock.install({ time: new Date('2026-03-02T10:00:00') })
    await make(page, 'classic-cyanotype/iron', '10 ml', 'A-1')
    await page.getByRole('region', { name: 'Iron citrate A-1' }).getByLabel('Amount, ml').fill('0.4')
    await page.getByRole('button', { name: 'Set as amount left' }).click()
    await page.clock.fastForward(3_600_000)
    await make(page, 'classic-cyanotype/iron', '10 ml', 'A-2')
    await make(page, 'classic-cyanotype/ferricyanide', '10 ml', 'B-1')
    await open(page, '/coat/begin')
    await page.getByLabel('Title', { exact: true }).fill('Over two bottles')
    await page.getByRole('button', { name: 'Plan this sheet' }).first().click()
    await page.getByRole('button', { name: 'Start counting drops' }).click()
    await expect(page.getByText('Iron citrate A-1, 25 %, then Iron citrate A-2, 25 %')).toBeVisible()
    for (const due of ['20', '20']) {
      await page.getByRole('button', { name: 'All measured' }).click()
      await expect(page.locator('.DropCounter-count strong', { hasText: due }).first()).toBeVisible()
    }
    await expect(page.getByRole('button', { name: 'Mixed: start coating' })).toBeVisible()
    await page.keyboard.press(' ')
    await expect(page.getByRole('heading', { name: 'Coat the sheet', level: 1 })).toBeVisible()
    // 0.4 ml of the first and 0.6 of the second; the first stands empty.
    expect(await leftIn(page, 'A-2')).toBe('9.4 ml')
    await expect(page.getByRole('button', { name: /Iron citrate 25 % A-1.* empty/ })).toBeVisible()
  },
)

test('soaked paper with weak silver is told that it falls short, before a drop is spent', async ({
  page,
}) => {
  await open(page, '/coat/begin')
  await pick(page, 'Process', 'Salted paper', 'Salted')
  await page.getByText('Soaked 5 min').click()
  const balance = page.getByRole('region', { name: 'Salt and silver' })
  await expect(balance).toContainText('Barely enough silver for the salt')
  await page.getByText('More settings').click()
  await page.getByLabel('Coverage, ml/m²').fill('20')
  await expect(balance).toContainText('Too little silver for the salt')
  await page.getByLabel('Coats', { exact: true }).fill('2')
  await expect(balance).not.toContainText('falls short')
  await balance
    .getByRole('button', { name: /halide/ })
    .first()
    .click()
  await expect(page.getByRole('complementary', { name: 'Margin' })).toContainText('within reach')
})

test('on a telephone the bar of actions stays in sight above the clocks', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await open(page, `${DEMO_ADDRESS}/prints`)
  await page.getByLabel('Search prints').fill('bladderwrack')
  await page.getByText('25 Bladderwrack').first().click()
  const edges = () =>
    page.evaluate(() => {
      const [bar, ledge] = ['.PrintActs', '.TheLedge'].map((one) =>
        document.querySelector(one)?.getBoundingClientRect(),
      )
      return { top: bar?.top ?? NaN, overlap: (bar?.bottom ?? NaN) - (ledge?.top ?? NaN) }
    })
  await expect(page.getByRole('button', { name: 'Photo', exact: true })).toBeVisible()
  await expect.poll(async () => (await edges()).overlap).toBeLessThanOrEqual(1)
  expect((await edges()).top).toBeLessThan(844)
})
