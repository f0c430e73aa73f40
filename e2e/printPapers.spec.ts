import exifr from 'exifr'
import { expect, test } from './test.ts'
import { button, margin, openPrint } from './demoPrints.ts'
import { readPdf, saved } from './files.ts'

test('what a print is called, its place in an edition, and the bin: all of it can be taken back', async ({
  page,
}) => {
  await openPrint(page, 'beams closed', '23 Net loft')
  const more = () => page.getByRole('button', { name: 'More', exact: true }).click()
  // The page is there before its keys are.
  await expect(button(page, 'Note')).toBeVisible()
  await page.waitForTimeout(200)
  await page.keyboard.press('e')
  await page.getByLabel('Title', { exact: true }).fill('Net loft, noon')
  await page.getByLabel('Edition', { exact: true }).fill('three')
  await button(page, 'Save').click()
  await expect(page.getByText('“three” is not an edition number.')).toBeVisible()
  await page.getByLabel('Edition', { exact: true }).fill('2 of 7')
  await button(page, 'Save').click()
  await expect(page.getByRole('heading', { name: 'Net loft, noon', level: 1 })).toBeVisible()
  await expect(page.getByText('· 2/7')).toBeVisible()
  await page.getByRole('button', { name: 'Undo', exact: true }).last().click()
  await expect(page.getByRole('heading', { name: 'Net loft', level: 1 })).toBeVisible()

  await more()
  await button(page, 'Move to bin').click()
  await expect(page.getByRole('heading', { name: 'All prints' })).toBeVisible()
  await expect(page.getByRole('status').filter({ hasText: '23 prints' })).toBeVisible()
  await page.getByRole('link', { name: 'Bin' }).click()
  await page.getByRole('button', { name: 'restore' }).click()
  await expect(page.getByRole('heading', { name: 'The bin is empty' })).toBeVisible()
  await page.getByRole('button', { name: 'Undo', exact: true }).click()
  await page.getByRole('button', { name: 'delete permanently' }).click()
  await page.getByRole('alertdialog').getByRole('button', { name: 'Keep in the bin' }).click()
  await page.getByRole('button', { name: 'delete permanently' }).click()
  await page.getByRole('alertdialog').getByRole('button', { name: 'Delete permanently' }).click()
  await expect(page.getByRole('heading', { name: 'The bin is empty' })).toBeVisible()
  await page.keyboard.press('8')
  await page.getByLabel('Search prints').fill('net loft')
  await expect(page.getByText('No print matches.')).toBeVisible()
})

test('a print again, and its papers: passport, label, picture with its words', async ({ page, context }) => {
  await openPrint(page, 'third of a stop', '22 Lamp-room lens, second state')
  const more = () => page.getByRole('button', { name: 'More', exact: true }).click()
  await more()
  const passport = await saved(page, () => button(page, 'Passport').click())
  expect(passport.name).toMatch(/^passport-22-lamp-room-lens/)
  const { view, words } = await readPdf(context, passport.file, 1)
  expect(view.map(Math.round)).toEqual([0, 0, 595, 842])
  for (const said of ['Lamp-room lens, second state', 'print 1 of 7', 'Heron rag', 'Dmax', '1.46', 'Care'])
    // prettier-ignore
    expect(words).toContain(said)
  const label = await saved(page, () => button(page, 'Label for the back').click())
  const back = await readPdf(context, label.file, 1)
  expect(back.view.map(Math.round)).toEqual([0, 0, 283, 142])
  expect(back.words).toContain('Sheet 22')
  const picture = await saved(page, () => button(page, 'Picture with caption').click())
  const told = (await exifr.parse(picture.file, { pick: ['DocumentName', 'ImageDescription'] })) as Record<
    string,
    string
  >
  expect(told.DocumentName).toBe('Lamp-room lens, second state')
  expect(told.ImageDescription).toContain('Heron rag')

  await page.keyboard.press('r')
  await expect(page.getByLabel('Title', { exact: true })).toHaveValue('Lamp-room lens, second state')
  await expect(margin(page)).toContainText('Printing again')
  await expect(margin(page)).toContainText('All its materials are still available.')
  await expect(page.getByLabel('Exposure', { exact: true })).toHaveValue(/^1\d\smin/)
  await button(page, 'Plan this sheet').click()
  await expect(button(page, 'Start counting drops')).toBeVisible()
})
