import type { Page } from '@playwright/test'
import { expect, test } from './test.ts'
import { leftIn, make, measureAll, open, pick, takeIn } from './workroom.ts'

// Three very different sensitizers, each from an empty shelf to a coat that dries in the dark.

const heading = (page: Page, name: string | RegExp) =>
  expect(page.getByRole('heading', { name, level: 1 })).toBeVisible()
const margin = (page: Page) => page.getByRole('complementary', { name: 'Margin' })

async function begin(
  page: Page,
  process: string,
  title: string,
  fields: Record<string, string> = {},
): Promise<void> {
  await open(page, '/coat/begin')
  await pick(page, 'Process', process, process)
  await page.getByText('More settings').click()
  await page.getByLabel('Title', { exact: true }).fill(title)
  for (const [label, text] of Object.entries(fields)) await page.getByLabel(label, { exact: true }).fill(text)
  await page.getByRole('button', { name: 'Plan this sheet' }).first().click()
  await expect(page.getByRole('button', { name: /^Start/ })).toBeVisible()
}

test.beforeEach(async ({ page }) => {
  await page.clock.install({ time: new Date('2026-03-02T10:00:00') })
  await open(page)
})

test('salted paper, from jars of powder to a coat that dries', { tag: '@long' }, async ({ page }) => {
  await takeIn(page, 'sodium chloride', '500 g')
  await takeIn(page, 'silver nitrate', '25 g', { Price: '50' })
  // Hazards are said before the bottle opens.
  await expect(margin(page)).toContainText('Before you open it: silver nitrate')
  await takeIn(page, 'citric acid', '250 g')
  await make(page, 'salted-paper/salt', '500 ml', 'SA-1')
  await make(page, 'salted-paper/silver', '50 ml', 'SI-1')
  // 12 % of 50 ml at 99.9 % is 6.006 g, out of 25.
  expect(await leftIn(page, 'SN-1')).toBe('19 g')
  expect(await leftIn(page, 'SI-1')).toBe('50 ml')

  await begin(page, 'Salted paper', 'Foghorn mouth')
  // Halide by brush against silver by brush, with its assumptions in the margin.
  const balance = page.getByRole('region', { name: 'Salt and silver' })
  await expect(balance).toContainText('Enough silver')
  await balance.getByRole('button', { name: /silver to halide/ }).click()
  await expect(margin(page)).toContainText('mmol/m²')
  await page.keyboard.press(' ')
  await heading(page, /Salted paper, 8 × 10 in/)
  await measureAll(page)
  await heading(page, 'Brush the salt on')
  await page.keyboard.press(' ')
  await heading(page, 'Dry the salted sheet')
  await page.clock.fastForward('31:00')
  await page.keyboard.press(' ')
  await expect(page.getByText('Silver SI-1, 12 % + 6 %')).toBeVisible()

  await measureAll(page)
  await heading(page, 'Coat with silver')
  await page.keyboard.press(' ')
  await heading(page, 'Dry in the dark')
  await expect(page.getByRole('region', { name: 'Running clocks' })).toContainText(
    'Sheet 1 · drying in the dark',
  )

  // What the coat used is off the lots; undoing the coat gives it back.
  expect(await leftIn(page, 'SI-1')).toBe('48 ml')
  await expect(page.getByRole('list', { name: 'Uses' })).toContainText('coat of sheet 1')
  await open(page, '/coat')
  await heading(page, 'Dry in the dark')
  await page.keyboard.press('u')
  await heading(page, 'Coat with silver')
  await page.keyboard.press('u')
  await expect(page.getByRole('button', { name: 'Ready: start coating' })).toBeVisible()
  expect(await leftIn(page, 'SI-1')).toBe('50 ml')
})

test('gold-platinum by drops, with what it is by metal', { tag: '@long' }, async ({ page }) => {
  await takeIn(page, 'ammonium ferric oxalate', '100 g')
  await takeIn(page, 'ascorbic acid', '50 g')
  await takeIn(page, 'ammonium chloroplatinite', '1 g', { Price: '80' })
  await takeIn(page, 'gold chloride', '1 g', { Price: '95' })
  await make(page, 'palladium-printing-out/iron', '20 ml', 'AF-1')
  await make(page, 'gold-platinum/platinum', '5 ml', 'PT-1')
  await make(page, 'gold-platinum/gold', '5 ml', 'AU-1')
  await begin(page, 'Gold-platinum, printing out', 'Lens')
  await expect(
    page.getByText(
      '20 drops of ammonium ferric oxalate, 5 drops of ammonium chloroplatinite, 15 drops of gold chloride.',
    ),
  ).toBeVisible()
  // 75 : 25 by drops; by hand 74.15 % by metal mass and 74.0 % by mole.
  await expect(page.getByRole('button', { name: /74.2.% gold, share of metal by mass/ })).toBeVisible()
  await expect(page.getByRole('button', { name: /74.% gold, share of metal by mole/ })).toBeVisible()
  await expect(page.getByRole('button', { name: /cost of this mix/ })).toBeVisible()
  await expect(margin(page)).toContainText('Safety: platinum salts')
  await page.keyboard.press(' ')
  await expect(page.getByRole('button', { name: 'Next drop' })).toBeVisible()
  for (const [bottle, drops] of [
    ['Ammonium ferric oxalate', 20],
    ['Ammonium chloroplatinite', 5],
    ['Gold chloride', 15],
  ] as const)
    for (let drop = 1; drop <= drops; drop++) {
      await page.keyboard.press(' ')
      await expect(page.getByLabel(`${bottle}, drops counted`)).toHaveValue(String(drop))
    }
  await page.keyboard.press(' ')
  await heading(page, 'Coat the sheet')
  await page.keyboard.press(' ')
  await heading(page, 'Dry in the dark')
  // 15 drops at 20 to the millilitre are 0.75 ml of 5.
  expect(await leftIn(page, 'AU-1')).toBe('4.25 ml')
})

test('kallitype for four sheets from one glass', { tag: '@long' }, async ({ page }) => {
  await takeIn(page, 'ferric oxalate', '50 g')
  await takeIn(page, 'silver nitrate', '10 g')
  await make(page, 'kallitype/oxalate', '50 ml', 'KO-1')
  await make(page, 'kallitype/silver', '50 ml', 'SI-1')
  // Ferric oxalate rests a day: it stands as resting, and using it today is said once.
  await open(page, '/shelf')
  await expect(page.getByRole('button', { name: /Ferric oxalate 20 % KO-1.* resting/ })).toBeVisible()
  await begin(page, 'Kallitype', 'Compressor hall', { 'Sheets from one mix': '4' })
  await expect(page.getByText('72 drops of ferric oxalate, 72 drops of silver.')).toBeVisible()
  await heading(page, /mix for 4 sheets/)
  await expect(page.getByRole('list', { name: 'Check this' })).toContainText('This solution is still resting')
  await page.keyboard.press(' ')
  await measureAll(page)
  await heading(page, 'Coat the sheet')
  await page.keyboard.press(' ')
  await heading(page, 'Dry in the dark')
  // What was really enough teaches the next plan.
  await page.getByLabel('how much, ml').fill('0.2 ml')
  await page.getByRole('button', { name: 'Too much' }).click()
  await expect(page.getByRole('button', { name: 'Too much' })).toHaveAttribute('aria-pressed', 'true')

  // The second sheet is coated from the same glass: nothing is counted again.
  await page.getByRole('button', { name: /^Sheet 2,/ }).click()
  await expect(page.getByText('Coated from the mix counted for sheet 1.')).toBeVisible()
  await page.keyboard.press(' ')
  await heading(page, 'Next: coat the sheet')
  await page.keyboard.press(' ')
  await expect(page.getByRole('heading', { name: 'Coat the sheet', level: 1, exact: true })).toBeVisible()
  await page.keyboard.press(' ')
  await heading(page, 'Dry in the dark')
  expect(await leftIn(page, 'SI-1')).toBe('46.4 ml')

  await open(page, '/coat/begin')
  await page
    .getByRole('region', { name: 'What you need' })
    .getByRole('button', { name: /coverage/ })
    .click()
  await expect(margin(page)).toContainText('Your own coats')
})
