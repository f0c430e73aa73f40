import { expect, test } from './test.ts'
import { atRest, hasMovedOn, measureAll, open, pick } from './workroom.ts'

// Processes walked by the one key from the plan to a dry coat that waits for the light; those that are walked all the way
// to the line stand in whole-way.spec.ts.

const PROCESSES = [
  'Classic cyanotype',
  'Cyanotype, translucent upper sheet',
  'Van Dyke brown',
  'Salted paper',
  'Albumen-type paper',
  'Collodion-chloride',
  'Platinum-palladium',
  'Palladium, printing out',
]

for (const process of PROCESSES)
  test(`${process} comes to a dry coat`, { tag: '@long' }, async ({ page }) => {
    await page.clock.install({ time: new Date('2026-03-02T10:00:00') })
    await open(page, '/coat/begin')
    await pick(page, 'Process', process, process)
    await page.getByLabel('Title', { exact: true }).fill('Walked through')
    await expect(
      page.getByRole('region', { name: 'What you need' }).getByRole('button').first(),
    ).toBeVisible()
    await page.getByRole('button', { name: 'Plan this sheet' }).first().click()
    await expect(page.getByRole('button', { name: /^Start/ })).toBeVisible()

    // The main target as it stands: pressed until the sheet has moved on. A step that did not move would never end.
    const target = page.locator('.BigTarget:not(.is-bare, .is-quiet)').first()
    const seen: string[] = []
    for (let press = 0; press < 40; press++) {
      const before = await atRest(page)
      const heading = await page.getByRole('heading', { level: 1 }).innerText()
      if (heading === 'Coated and dry') break
      const measured = page.getByRole('button', { name: 'All measured' })
      seen.push(heading)
      if (await measured.isVisible()) await measured.click()
      else await target.click()
      await hasMovedOn(page, before, heading)
    }
    await expect(page.getByRole('heading', { name: 'Coated and dry', level: 1 })).toBeVisible()
    expect(new Set(seen).size).toBeGreaterThanOrEqual(2)
    // What waits for the light says how long it keeps, and by which light it may be looked at.
    await expect(page.getByText(/not after|best until/)).toBeVisible()
    await expect(page.getByRole('complementary', { name: 'Margin' })).toContainText('Room light')
    await page.keyboard.press(' ')
    await expect(page.getByRole('heading', { name: /^Ready to expose/, level: 1 })).toBeVisible()
  })

test('a second coat is laid over the first, each with its own clock', async ({ page }) => {
  await page.clock.install({ time: new Date('2026-03-02T10:00:00') })
  await open(page, '/coat/begin')
  await pick(page, 'Process', 'Kallitype', 'Kallitype')
  await page.getByText('More settings').click()
  await page.getByLabel('Title', { exact: true }).fill('Deeper')
  await page.getByLabel('Coats', { exact: true }).fill('2')
  await expect(
    page.getByText('36 drops of ferric oxalate').or(page.getByRole('button', { name: /72 drops in all/ })),
  ).toBeVisible()
  await page.getByRole('button', { name: 'Plan this sheet' }).first().click()
  await expect(page.getByRole('button', { name: 'Start counting drops' })).toBeVisible()
  await page.keyboard.press(' ')
  await measureAll(page)
  for (const heading of [
    'Coat the sheet, coat 1 of 2',
    'Dry in the dark, coat 1 of 2',
    'Next: coat the sheet, coat 2 of 2',
    'Coat the sheet, coat 2 of 2',
    'Dry in the dark, coat 2 of 2',
  ]) {
    await expect(page.getByRole('heading', { name: heading, level: 1, exact: true })).toBeVisible()
    await page.keyboard.press(' ')
  }
  await expect(page.getByRole('heading', { name: 'Coated and dry', level: 1 })).toBeVisible()
})
