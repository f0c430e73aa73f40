import { expect, test } from './test.ts'
import { addLamp } from './lamps.ts'
import { pick } from './workroom.ts'

test('a base exposure is written down, a tablet of one’s own is kept', async ({ page }) => {
  await addLamp(page, 'the attic box', '4')
  await page
    .getByRole('navigation', { name: 'Light pages' })
    .getByRole('link', { name: 'Base exposures' })
    .click()
  await page.getByRole('button', { name: 'Enter a base exposure' }).click()
  await page.getByLabel('Base exposure', { exact: true }).fill('soon')
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByText('does not start with a number')).toBeVisible()
  await pick(page, 'Process', 'Kallitype', 'Kalli')
  await pick(page, 'Light', 'the attic box')
  await page.getByLabel('Base exposure', { exact: true }).fill('6 min')
  await page.getByRole('button', { name: 'Save' }).click()
  const base = page.getByRole('article').first()
  await expect(base).toContainText('Kallitype')
  await expect(base).toContainText(/1440\smJ\/cm²/)

  // The lamp is read again, dimmer: what is given now grows by itself.
  await page.getByRole('navigation', { name: 'Light pages' }).getByRole('link', { name: 'Lights' }).click()
  await page.getByText('the attic box', { exact: true }).click()
  await page.getByRole('button', { name: 'New tubes or bulb' }).click()
  await page.getByLabel('Reading at the frame, mW/cm²').fill('3')
  await page.getByRole('button', { name: 'Save reading' }).click()
  await page
    .getByRole('navigation', { name: 'Light pages' })
    .getByRole('link', { name: 'Base exposures' })
    .click()
  await expect(base.getByRole('button', { name: /with the light as it is now/ })).toContainText(/8\smin/)

  await page
    .getByRole('navigation', { name: 'Light pages' })
    .getByRole('link', { name: 'Step tablet' })
    .click()
  await page.getByText('Your own step tablet').click()
  await page.getByLabel('Name').fill('number four')
  await page.getByLabel('Densities of its steps, clear film first').fill('0.05 0.2')
  await page.getByRole('button', { name: 'Save step tablet' }).click()
  await expect(page.getByText('A step tablet needs at least six steps.')).toBeVisible()
  await page
    .getByLabel('Densities of its steps, clear film first')
    .fill('0.05 0.21 0.36 0.5 0.66 0.8 0.96 1.1')
  await page.getByRole('button', { name: 'Save step tablet' }).click()
  await expect(page.getByRole('radio', { name: 'number four' })).toBeChecked()
  await page.getByLabel('Readings, clear step first').fill('1.4 1.3 1.1 0.8 0.5 0.3 0.2 0.15 0.1')
  await expect(page.getByText('There are 9 readings, but the tablet has 8 steps.')).toBeVisible()
})
