import { readPdf, saved } from './files.ts'
import { expect, test } from './test.ts'
import { open } from './workroom.ts'

test('a large sheet is measured, torn by the rule, treated on the clock, and becomes a sheet', async ({
  page,
  context,
}) => {
  await page.clock.install({ time: new Date('2026-03-02T10:00:00') })
  await open(page, '/paper/new')
  await page.getByRole('button', { name: 'Add paper' }).click()
  await expect(page.getByText('The paper has no name.')).toBeVisible()
  await page.getByLabel('Paper', { exact: true }).fill('Heron rag')
  await page.getByLabel('Measured size').fill('22.5 x 30 in')
  await page.getByLabel('Weight').fill('140 lb')
  await page.getByLabel('Large sheets').fill('3')
  await page.getByText('Buffered', { exact: true }).click()
  await page.getByRole('button', { name: 'Add paper' }).click()
  await expect(page.getByRole('button', { name: /Heron rag/ })).toContainText('298 g/m²')

  // Common practice: three rows of 10 in, halves of 11.25 in, six pieces.
  await page.getByRole('link', { name: 'Tear a sheet' }).click()
  await page.getByLabel('Piece 1').fill('11.25 x 10 in')
  await expect(page.getByText('6 pieces')).toBeVisible()
  await expect(page.getByText('100 % of the sheet')).toBeVisible()
  const marks = page.getByRole('list', { name: 'Order of tears' })
  await expect(marks.getByRole('listitem')).toHaveCount(5)
  await expect(marks).toContainText(/11\s1\/4\sin from the left edge, tear down/)
  await page.getByLabel('Piece 1').fill('40 x 50 in')
  await expect(page.getByRole('alert')).toContainText('None of these pieces fits')
  await page.getByLabel('Piece 1').fill('11.25 x 10')
  await page.getByLabel('Printing side').fill('pencil cross')
  await page.getByRole('button', { name: 'Save torn pieces' }).click()
  const torn = page.getByRole('region', { name: 'Torn pieces' })
  await expect(torn.getByRole('listitem')).toHaveCount(6)
  await expect(torn.getByRole('listitem').first()).toContainText(/HR-1\s*11\s1\/4\sin × 10\sin/)
  await expect(page.getByRole('button', { name: /Heron rag/ })).toContainText('2 sheets')

  // Treated: how much acid, how long, and one half of a piece left bare to see what it does.
  await page.getByRole('link', { name: 'Treat paper' }).click()
  await expect(page.getByRole('complementary', { name: 'Margin' })).toContainText('You need')
  await page.getByRole('button', { name: /^HR-1/ }).click()
  await page.getByRole('button', { name: /^HR-2/ }).click()
  await page.getByText('one half of HR-2').click()
  await expect(page.getByRole('region', { name: 'What you need' })).toContainText('citric acid for it')
  await page.getByRole('button', { name: 'Start treatment', exact: true }).click()
  await expect(page.getByRole('heading', { name: 'In the citric acid', level: 1 })).toBeVisible()
  await expect(page.getByText('dip only one half of HR-2 into the bath')).toBeVisible()
  await page.keyboard.press(' ')
  const ledge = page.getByRole('region', { name: 'Running clocks' })
  await expect(ledge).toContainText('Paper 1 · in the acid')
  await page.clock.fastForward('05:00')
  await page.reload()
  await expect(ledge.getByRole('button', { name: /Paper 1/ })).toContainText(/9:5\d|10:00/)
  await page.clock.fastForward('10:30')
  await page.keyboard.press('1')
  await expect(page.getByRole('heading', { level: 1 })).toContainText('paper 1')
  await ledge.getByRole('button', { name: /Paper 1/ }).click()
  for (const heading of ['Rinse', 'Drain and hang', 'Done']) {
    await page.keyboard.press(' ')
    await expect(page.getByRole('heading', { name: heading, level: 1 })).toBeVisible()
  }
  await page.keyboard.press('u')
  await expect(page.getByRole('heading', { name: 'Drain and hang', level: 1 })).toBeVisible()
  await page.keyboard.press(' ')
  await page.getByRole('button', { name: 'Go to Paper' }).click()
  await expect(torn.getByRole('listitem').filter({ hasText: 'HR-2' })).toContainText(
    'acid bath against chalk, one half',
  )

  await page.keyboard.press('n')
  await page.getByText('More settings').click()
  await page
    .getByRole('combobox', { name: 'Torn piece' })
    .locator('xpath=ancestor::*[contains(@class,"el-select__wrapper")]')
    .click()
  await page.getByRole('option', { name: /HR-1/ }).click()
  await expect(page.getByLabel('Paper', { exact: true })).toHaveValue('Heron rag')
  await page.getByLabel('Title', { exact: true }).fill('On its own piece')
  await page.getByRole('button', { name: 'Plan this sheet' }).first().click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Classic cyanotype')
  await page.keyboard.press('3')
  await expect(torn.getByRole('listitem').filter({ hasText: 'HR-1' })).toContainText('sheet 1')

  // The piece and what was done to it belong to the print: on its page and on its passport.
  await open(page, '/prints')
  await page.getByText('On its own piece').first().click()
  const margin = page.getByRole('complementary', { name: 'Margin' })
  await expect(margin).toContainText('HR-1, pencil cross')
  await expect(margin).toContainText(/Acid bath against chalk/)
  await page.getByRole('button', { name: 'More', exact: true }).click()
  const passport = await saved(page, () => page.getByRole('button', { name: 'Passport' }).click())
  const { words } = await readPdf(context, passport.file, 1)
  expect(words).toContain('HR-1, pencil cross')
  expect(words).toMatch(/acid bath against chalk/i)
})

test('mixed sizes are torn from one sheet, in centimetres', { tag: '@long' }, async ({ page }) => {
  await open(page, '/workroom')
  await page.getByText('centimetres').click()
  await open(page, '/paper/tear')
  await page.getByLabel('Measured sheet size').fill('56 x 76 cm')
  await page.getByLabel('Piece 1').fill('27.9 x 37.9 cm')
  await page.getByLabel('Number of pieces').fill('2')
  await page.getByRole('button', { name: 'Add a size' }).click()
  await page.getByLabel('Piece 2').fill('18 x 24')
  await page.getByLabel('Number of pieces').nth(1).fill('4')
  await page.getByLabel('Loss per torn edge').fill('2 mm')
  await expect(page.getByText(/2 of 27.9 x 37.9, 4 of 18 x 24/)).toBeVisible()
  await expect(page.getByRole('list', { name: 'Order of tears' })).toContainText(
    /\d+\.\d\scm from the (left|top) edge/,
  )
  await expect(page.getByText(/^Left over:/)).toBeVisible()
})
