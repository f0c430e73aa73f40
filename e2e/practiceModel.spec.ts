import { expect, test } from './test.ts'
import { DEMO_ADDRESS, OWN_ADDRESS } from './browser.ts'
import { open, plan } from './workroom.ts'

test.use({ baseURL: DEMO_ADDRESS })

test('practice follows one’s own judged prints when it is asked to, and the app’s figures again', async ({
  page,
}) => {
  await open(page, '/practice/model')
  const row = page.getByRole('listitem').filter({ hasText: 'Classic cyanotype' })
  await expect(row).toContainText(/You: [\d\s]+ mJ\/cm², −0\.\d stops, Dmax 1\.\d\d \(sheet/)
  await expect(page.getByRole('listitem').filter({ hasText: 'New cyanotype' })).toContainText(
    'No print with a known dose',
  )
  await row.getByRole('button', { name: 'Use my prints' }).click()
  await expect(row).toContainText('In use:')
  await page.reload()
  await expect(row).toContainText('In use:')
  await page.getByRole('link', { name: 'A print', exact: true }).click()
  await expect(page.getByText('This process follows your own prints')).toBeVisible()
  await page.getByRole('link', { name: 'My own prints' }).first().click()
  await row.getByRole('button', { name: 'Use the app’s figures' }).click()
  await expect(row).not.toContainText('In use:')
  // Leaving it is undone like anything else.
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(row).toContainText('In use:')
})

test('a planned sheet is tried with its own choices, cost and cautions', async ({ page }) => {
  await open(page, OWN_ADDRESS)
  await plan(page, 'Slipway')
  await page.getByRole('button', { name: 'Edit plan' }).click()
  await page.getByRole('link', { name: 'Try it first' }).click()
  const planned = page.getByRole('region', { name: 'As planned' })
  await expect(planned).toContainText(/at least \d+\smin/)
  await expect(planned).toContainText(/no price known/)
  // A light that was never measured makes no dose of a time, and the page says so.
  await expect(page.getByText('No dose is known for this plan')).toBeVisible()
  await expect(page.locator('.TryPage .es-kicker')).toHaveText('Sheet 1 · Slipway')
})
