import { expect, test } from './test.ts'
import { open } from './workroom.ts'

// Whoever leaves a form for something that is missing finds it again as it was.

test('the first page is left for a solution and for a kit, and stays as it was', async ({ page }) => {
  await open(page, '/start')
  const main = page.getByRole('main')
  await main.getByText('Van Dyke brown', { exact: true }).first().click()
  await main.getByLabel('Title').fill('By way of the shelf')
  await main.getByLabel('Size').fill('5 x 7 in')
  const make = main.getByRole('link', { name: /^make 5\sml of / })
  await make.first().click()
  await expect(
    page.getByRole('heading', { name: /Van Dyke|Sensitizer|Silver|Iron/i, level: 1 }),
  ).toBeVisible()
  await expect(page.getByLabel('Volume', { exact: true })).toHaveValue(/^5\sml$/)
  await expect(page.getByRole('link', { name: 'Back to your first print' })).toBeVisible()
  await page.getByRole('button', { name: 'Start weighing' }).click()
  while (await page.getByRole('button', { name: /^Added\. / }).isVisible())
    await page.getByRole('button', { name: /^Added\. / }).click()
  await page.getByRole('button', { name: 'Finish: add to shelf' }).click()
  await expect(page.getByRole('heading', { name: 'What do you want to make?' })).toBeVisible()
  await expect(main.getByLabel('Title')).toHaveValue('By way of the shelf')
  await expect(main.getByLabel('Size')).toHaveValue('5 x 7 in')

  await main.getByRole('link', { name: 'add a kit or a bottle' }).click()
  await page.getByText('A kit', { exact: true }).click()
  await page.getByRole('button', { name: 'Water added: start the clock' }).click()
  await expect(main.getByLabel('Title')).toHaveValue('By way of the shelf')
  await page.reload()
  await expect(main.getByLabel('Title')).toHaveValue('By way of the shelf')
  await expect(main.getByText('Van Dyke brown', { exact: true }).first()).toBeVisible()
  await main.getByRole('button', { name: 'Plan this sheet' }).click()
  await expect(page.getByRole('button', { name: 'Start counting drops' })).toBeVisible()
  // What was planned is done with.
  await open(page, '/start')
  await expect(main.getByLabel('Title')).toHaveValue('')
})

test('a half-filled sheet outlives a detour and a reload, and can be started over', async ({ page }) => {
  // The same page with something asked of it: it comes back with that, too.
  await open(page, '/coat/begin?process=classic-cyanotype')
  const title = page.getByLabel('Title', { exact: true })
  // A form in which nothing was typed is not kept.
  await page.keyboard.press('Escape')
  await open(page, '/shelf')
  await open(page, '/coat/begin?process=classic-cyanotype')
  await expect(page.getByRole('button', { name: 'Start over' })).toBeHidden()
  await title.fill('Half')
  await page.getByLabel('Picture size').fill('4 x 5 in')
  const missing = page.getByRole('list', { name: 'Not on the shelf' })
  await expect(missing).toContainText('Ferricyanide: not enough on the shelf')
  await missing.getByRole('link', { name: /of ferricyanide/ }).click()
  await page.getByRole('link', { name: 'Back to the new sheet' }).click()
  await expect(title).toHaveValue('Half')
  expect(page.url()).toContain('process=classic-cyanotype')
  await page.reload()
  await expect(title).toHaveValue('Half')
  await expect(page.getByLabel('Picture size')).toHaveValue('4 x 5 in')
  await page.getByRole('button', { name: 'Start over' }).click()
  await expect(title).toHaveValue('')
  await expect(page.getByRole('button', { name: 'Start over' })).toBeHidden()
  await title.fill('Whole')
  await page.getByRole('button', { name: 'Plan this sheet' }).first().click()
  await expect(page.getByRole('button', { name: 'Start counting drops' })).toBeVisible()
  await open(page, '/coat/begin')
  await expect(title).toHaveValue('')
})
