import type { Locator, Page } from '@playwright/test'
import { DEMO_ADDRESS } from './browser.ts'
import { expect } from './test.ts'
import { open } from './workroom.ts'

/** Opens one print of the demo by words of its thread. */
export async function openPrint(page: Page, words: string, title: string): Promise<void> {
  await open(page, `${DEMO_ADDRESS}/prints`)
  await page.getByLabel('Search prints').fill(words)
  await page.getByRole('listitem').getByText(title, { exact: true }).click()
  // Its own heading, and not that of the line, which stands until the print is there.
  await expect(page.getByRole('heading', { name: title.replace(/^\d+ /, ''), level: 1 })).toBeVisible()
  await expect(page.getByRole('button', { name: 'Note' }).first()).toBeVisible()
}
export const button = (page: Page, name: string | RegExp): Locator =>
  page.getByRole('button', { name }).first()
/** What the margin says of what is on the page. */
export const margin = (page: Page): Locator => page.getByRole('complementary', { name: 'Margin' })
