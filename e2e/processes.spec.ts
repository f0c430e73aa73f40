import { readFileSync } from 'node:fs'
import { expect, test } from './test.ts'
import { open } from './workroom.ts'

test.describe('processes', () => {
  test('a copy is changed, kept, used, and shared as a file that comes in again', async ({ page }) => {
    await open(page, '/shelf/processes/kallitype')
    await page.getByRole('button', { name: 'Copy and edit' }).click()
    await page.getByLabel('Name', { exact: true }).fill('Kallitype for thin rag')
    const silver = page.getByRole('group', { name: 'Silver', exact: true })
    await silver.getByLabel('silver nitrate, %').fill('strong')
    await expect(silver).toContainText('“strong” is not a number.')
    await expect(page.getByRole('button', { name: 'Save' })).toBeDisabled()
    await silver.getByLabel('silver nitrate, %').fill('8')
    await page.getByRole('group', { name: 'Develop in citrate' }).getByLabel('Minimum').fill('90 s')
    await page.getByRole('button', { name: 'Save' }).click()
    await expect(page.getByRole('heading', { name: 'Kallitype for thin rag' }).first()).toBeVisible()
    await expect(page.getByText('silver nitrate 8 %')).toBeVisible()

    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Save as file' }).click(),
    ])
    const text = readFileSync(await download.path(), 'utf8')
    await page.getByRole('button', { name: 'Remove' }).click()
    await expect(page.getByRole('button', { name: /Kallitype for thin rag/ })).toBeHidden()
    await page
      .getByLabel('process file')
      .setInputFiles({ name: 'p.json', mimeType: 'application/json', buffer: Buffer.from(text) })
    await expect(page.getByRole('heading', { name: 'Kallitype for thin rag' }).first()).toBeVisible()
    await page.getByRole('button', { name: 'New sheet with this process' }).click()
    await expect(page.getByRole('button', { name: /4 % w\/v silver nitrate in the mix/ })).toBeVisible()

    // A bad one is refused with the path of what is wrong, and nothing changes.
    await open(page, '/shelf/processes')
    const bad = JSON.parse(text)
    bad.process.steps[4].time.leastSeconds = 'long'
    await page.getByLabel('process file').setInputFiles({
      name: 'bad.json',
      mimeType: 'application/json',
      buffer: Buffer.from(JSON.stringify(bad)),
    })
    await expect(page.getByRole('status').filter({ hasText: 'Failed' })).toContainText(
      'process.steps.4.time.leastSeconds',
    )
    await page
      .getByLabel('process file')
      .setInputFiles({ name: 'bad.json', mimeType: 'application/json', buffer: Buffer.from('{') })
    await expect(page.getByRole('status').filter({ hasText: 'Failed' })).toContainText('not valid JSON')
  })
})
