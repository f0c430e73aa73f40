import { expect, type Page } from '@playwright/test'
import { coatAndDry, open } from './workroom.ts'

/** Adds a lamp and writes down what it reads. */
export async function addLamp(page: Page, name: string, milliwatts: string): Promise<void> {
  await open(page, '/light/lights')
  await page.getByLabel('Name').fill(name)
  await page.getByRole('button', { name: 'Add light' }).click()
  await page.getByLabel('Reading at the frame, mW/cm²').fill(milliwatts)
  await page.getByRole('button', { name: 'Save reading' }).click()
  await expect(
    page.getByRole('region', { name: 'Margin' }).or(page.getByLabel('Margin')).first(),
  ).toContainText(milliwatts)
}

/** Connects a simulated instrument. */
export const connect = async (page: Page, device: string): Promise<void> => {
  const panel = page.getByRole('article', { name: device })
  await panel.getByRole('button', { name: 'Connect', exact: true }).click()
  await expect(panel).toContainText('connected')
}

/** From the plan to the frame. */
export async function coatAndDryQuickly(page: Page): Promise<void> {
  await coatAndDry(page)
  await page.keyboard.press(' ')
  await expect(page.getByRole('heading', { name: /Ready to expose/ })).toBeVisible()
}

/** From a planned strip to a strip hanging on the line. */
export async function runStrip(page: Page): Promise<void> {
  await page.getByLabel('Shortest exposure').fill('40 s')
  await page.getByLabel('Longest exposure').fill('12 min')
  await page.getByLabel('Number of steps', { exact: true }).fill('12')
  await expect(page.getByLabel('Steps of the test strip').getByRole('listitem')).toHaveCount(12)
  await page.getByRole('button', { name: 'Plan a new sheet for this strip' }).click()
  await expect(page.getByLabel('Title', { exact: true })).toHaveValue('Test strip')
  await page.getByText('the attic box', { exact: true }).click()
  await page.getByLabel('Picture size').fill('8x10')
  await page.getByRole('button', { name: 'Plan this sheet' }).first().click()
  await expect(page.getByRole('button', { name: 'Start counting drops' })).toBeVisible()
  await coatAndDryQuickly(page)
  await page.keyboard.press(' ')
  await expect(page.getByRole('timer')).toBeVisible()
}
