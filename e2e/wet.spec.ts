import { execFileSync } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium, type Page } from '@playwright/test'
import sharp from 'sharp'
import { scanOfTwoLayers } from '../scripts/two-layers.mjs'
import { expect, test } from './test.ts'
import { CHROMIUM, DEMO_ADDRESS, FLAGS, OWN_ADDRESS } from './browser.ts'
import { expectDim, open, pick, toTheWater, walkOn } from './workroom.ts'

const tray = (page: Page, process: string, title: string) =>
  page
    .getByRole('region', { name: `Trays of ${process}` })
    .getByRole('listitem')
    .filter({ hasText: title })
const margin = (page: Page) => page.getByRole('complementary', { name: 'Margin' })
const next = (page: Page) => page.locator('.BigTarget:not(.is-bare, .is-quiet)').first()

test(
  'three prints of three processes lie in the trays at once, each with its clock, and come to the line',
  { tag: '@long' },
  async ({ page }) => {
    await page.clock.install({ time: new Date('2026-03-02T10:00:00') })
    // What is pressed counts when it lies on the disk, and only then does its clock run.
    const clocks = page.getByRole('region', { name: 'Running clocks' })
    await toTheWater(page, 'Classic cyanotype', 'First')
    await next(page).click()
    await expect(page.getByRole('heading', { name: 'Wash', level: 1 })).toBeVisible()
    await expect(clocks).toContainText('Sheet 1')
    await toTheWater(page, 'Van Dyke brown', 'Second')
    await next(page).click()
    await expect(page.getByRole('heading', { name: 'Clear in water', level: 1 })).toBeVisible()
    await expect(clocks).toContainText('Sheet 2')
    await toTheWater(page, 'Kallitype', 'Third')

    // The developer's tray is empty; filled, its prints are counted.
    await expect(margin(page)).toContainText('This tray is not filled')
    await page.getByRole('button', { name: 'Citrate developer: not filled' }).click()
    const panel = page.getByRole('region', { name: 'Citrate developer' })
    await panel.getByLabel('Volume in the tray').fill('nothing')
    await panel.getByRole('button', { name: 'Fill the tray' }).click()
    await expect(panel).toContainText('nothing')
    await panel.getByLabel('Volume in the tray').fill('1 l')
    await panel.getByLabel('Temperature, °C').fill('21')
    await panel.getByRole('button', { name: 'Fill the tray' }).click()
    await expect(panel).toContainText('no prints yet')
    await panel.getByRole('button', { name: 'Close' }).click()
    await expect(margin(page)).toContainText('Next bath')

    await next(page).click()
    await expect(page.getByRole('heading', { name: 'Develop in citrate', level: 1 })).toBeVisible()
    for (const [process, title, number] of [
      ['Kallitype', 'Develop in citrate', '3'],
      ['Van Dyke brown', 'Clear in water', '2'],
      ['Classic cyanotype', 'Wash', '1'],
    ] as const)
      await expect(
        tray(page, process, title).getByRole('button', { name: new RegExp(`^Sheet ${number},`) }),
      ).toBeVisible()
    await expect(page.getByText(/^Rock the tray or turn the print in 0:\d\d\.$/)).toBeVisible()
    await page.keyboard.press('d')
    await expectDim(page)
    await page.keyboard.press('d')

    // Pulled too soon: the record says so, and what it means.
    await page.clock.fastForward(20_000)
    await next(page).click()
    await expect(page.getByRole('heading', { name: 'Next: clear in citric acid', level: 1 })).toBeVisible()
    await expect(margin(page)).toContainText(/Develop in citrate: 1\smin\s(3\d|40)\ss early/)
    await expect(tray(page, 'Kallitype', 'Develop in citrate')).toContainText('1 print; add 200 ml after 8')
    // Seven minutes in the acid: the paper does not suit.
    await next(page).click()
    await expect(page.getByRole('button', { name: 'Whites clear' })).toBeVisible()
    await page.clock.fastForward('07:00')
    await expect(margin(page)).toContainText('this paper does not suit the process')

    // The other prints by one key, each to the line.
    await page.keyboard.press('j')
    await expect(page.getByRole('heading', { level: 1 })).not.toHaveText('Clear in citric acid')
    for (const title of ['First', 'Second', 'Third']) {
      const number = { First: 1, Second: 2, Third: 3 }[title]
      await open(page, '/wet')
      const chip = page.getByRole('button', { name: `Sheet ${number}, ${title}` }).first()
      if (await chip.isVisible()) await chip.click()
      await walkOn(page, () => /\/prints\//.test(page.url()))
      await expect(page.getByRole('heading', { name: title, level: 1 })).toBeVisible()
    }
    await expect(margin(page)).toContainText('What to know about this print')
    await open(page, '/wet')
    await expect(page.getByText('No prints in the trays')).toBeVisible()
  },
)

test('a bath is replenished, poured away into its jar, and had back', async ({ page }) => {
  await open(page, `${DEMO_ADDRESS}/wet`)
  await page.getByRole('button', { name: /^Citrate developer: 3 prints; add 200\sml after 8/ }).click()
  const panel = page.getByRole('region', { name: 'Citrate developer' })
  await expect(panel).toContainText('3 prints')
  await panel.getByRole('button', { name: /of strength left/ }).click()
  await expect(margin(page)).toContainText('s·e^(−k·A/V)')
  await panel.getByRole('button', { name: 'Replenish' }).click()
  // Three dry prints have taken some along: what fits is not poured off.
  await expect(
    page.getByText(/Citrate developer: 200\sml added, 1\d\d\sml poured off first into waste jar/),
  ).toBeVisible()
  await panel.getByRole('button', { name: /^Pour into waste jar/ }).click()
  await expect(page.getByText(/Citrate developer into waste jar/)).toBeVisible()
  await expect(page.getByRole('button', { name: 'Citrate developer: not filled' })).toBeVisible()
  await page.getByRole('status').getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByRole('button', { name: /^Citrate developer: 3 prints/ })).toBeVisible()
  // A fresh one beside it is in use from then on, and the older one is at hand.
  await panel.getByRole('button', { name: 'Fill a fresh one beside it' }).click()
  await panel.getByLabel('Volume in the tray').fill('500 ml')
  await panel.getByRole('button', { name: 'Fill the tray' }).click()
  await expect(panel).toContainText('no prints yet')
  await expect(panel).toContainText(/Another stands beside it: filled .*, 3 prints/)
  await panel.getByRole('button', { name: 'Use this one' }).click()
  await expect(page.getByRole('button', { name: /^Citrate developer: 3 prints/ })).toBeVisible()
  await expect(panel).toContainText(/Another stands beside it: filled .*, no prints yet/)
})

test(
  'gum over a toned salted print: one sheet, two layers, each in its own time',
  { tag: '@long' },
  async ({ page }) => {
    await page.clock.install({ time: new Date('2026-03-02T10:00:00') })
    await toTheWater(page, 'Salted paper', 'Signal mast')
    await next(page).click()
    // Its first waters hold silver, and are kept.
    await page.getByRole('button', { name: 'Keep this water' }).click()
    await expect(page.getByText(/ml into waste jar: silver rinses/)).toBeVisible()
    const heading = page.getByRole('heading', { level: 1 })
    await walkOn(page, async () => (await heading.innerText()) === 'Drying')
    await page.keyboard.press(' ')
    await expect(page.getByRole('button', { name: 'What went wrong?' })).toBeVisible()
    await page.keyboard.press('l')
    await expect(page.getByText('New layer over sheet 1 · Gum over a finished print')).toBeVisible()
    await expect(margin(page)).toContainText('The print below was toned')
    await expect(page.getByLabel('Title', { exact: true })).toHaveValue('Signal mast')
    await page.getByRole('button', { name: 'Plan this sheet' }).first().click()
    await page.getByRole('button', { name: /^Start/ }).click()
    await expect(page.getByText(/is still drying for \d+ more minutes/)).toBeVisible()
    await page.clock.fastForward('02:00:00')
    await walkOn(page, () => /\/prints\//.test(page.url()))

    const layers = page.getByRole('region', { name: 'Layers of this sheet' })
    await expect(layers.getByRole('listitem')).toHaveText([/1 Salted paper/, /2 Gum over a finished print/])
    await open(page, '/prints')
    await expect(page.getByRole('listitem').filter({ hasText: 'Signal mast' })).toHaveCount(1)
    await expect(page.getByText(/, 2 layers/)).toBeVisible()
  },
)

test(
  'the register of a print in two layers is read from its scan, with what to do',
  { tag: '@long' },
  async ({ page }) => {
    await open(page, `${DEMO_ADDRESS}/prints`)
    await page.getByLabel('Search prints').fill('Signal mast')
    await page.getByRole('listitem').getByText('Signal mast').click()
    await page.getByRole('link', { name: 'Check register' }).click()
    await expect(page.getByRole('heading', { name: 'Register of the layers' })).toBeVisible()
    await expect(page.getByRole('region', { name: 'Earlier checks' })).toContainText('largest error')
    const file = page.getByLabel('Scan or photo of the sheet')
    await file.setInputFiles({ name: 'bare.png', mimeType: 'image/png', buffer: await sharp({ create: { width: 900, height: 1100, channels: 3, background: '#ddd' } }).png().toBuffer() }) // prettier-ignore
    await expect(page.getByRole('alert')).toContainText('could not be found')
    await file.setInputFiles({
      name: 'two.png',
      mimeType: 'image/png',
      buffer: await scanOfTwoLayers(0.8, -0.5),
    })
    await expect(page.getByText(/Move the upper film 0.8\d? mm to the left and 0.5\d? mm down/)).toBeVisible()
    await expect(page.getByRole('img', { name: 'Register marks found' }).locator('circle')).toHaveCount(4)
    // The picture lies in the dim room's colour like every other.
    await page.keyboard.press('d')
    await expectDim(page)
    await page.keyboard.press('d')
    await page.getByRole('button', { name: 'Save with this sheet' }).click()
    await expect(page.getByRole('region', { name: 'Earlier checks' })).toContainText('two.png: largest error')
  },
)

test('the browser is killed with prints in three trays, and all goes on', { tag: '@long' }, async () => {
  const profile = mkdtempSync(join(tmpdir(), 'ember-wet-'))
  const launch = () => chromium.launchPersistentContext(profile, { executablePath: CHROMIUM, args: FLAGS })
  try {
    const first = await launch()
    const page = await first.newPage()
    await page.clock.install({ time: new Date() })
    const clocks = page.getByRole('region', { name: 'Running clocks' })
    for (const [process, title, begun] of [
      ['Classic cyanotype', 'Blue', 1],
      ['Van Dyke brown', 'Brown', 2],
    ] as const) {
      await open(page, `${OWN_ADDRESS}/coat/begin`)
      await pick(page, 'Process', process, process)
      await page.getByLabel('Title', { exact: true }).fill(title)
      await page.getByRole('button', { name: 'Plan this sheet' }).first().click()
      await expect(page.getByRole('button', { name: /^Start/ })).toBeVisible()
      await walkOn(page, () => /\/wet\//.test(page.url()))
      await next(page).click()
      // Its clock runs once what was pressed lies on the disk.
      await expect(clocks.getByRole('button')).toHaveCount(begun)
    }
    execFileSync('pkill', ['-9', '-f', profile])
    await first.close().catch(() => undefined)

    const second = await launch()
    const again = await second.newPage()
    await open(again, `${OWN_ADDRESS}/wet`)
    await expect(
      tray(again, 'Classic cyanotype', 'Wash').getByRole('button', { name: /^Sheet 1, Blue/ }),
    ).toBeVisible()
    await expect(
      tray(again, 'Van Dyke brown', 'Clear in water').getByRole('button', { name: /^Sheet 2, Brown/ }),
    ).toBeVisible()
    await expect(again.getByRole('region', { name: 'Running clocks' }).getByRole('button')).toHaveCount(2)
    await second.close()
  } finally {
    rmSync(profile, { recursive: true, force: true })
  }
})
