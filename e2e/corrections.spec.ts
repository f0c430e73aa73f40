import { expect, test } from './test.ts'
import { coatAndDry, open, plan } from './workroom.ts'

// What was recorded wrongly is set right afterwards, and the record tells both.

test('a forgotten press is set right, a missed one entered, and both can be undone and redone', async ({
  page,
}) => {
  await page.clock.install({ time: new Date('2026-03-02T10:00:00') })
  await open(page)
  await plan(page, 'Forgotten', { Exposure: '10 min' })
  await coatAndDry(page)
  await page.keyboard.press(' ')
  await expect(page.getByRole('heading', { name: /^Ready to expose/ })).toBeVisible()
  await page.clock.setFixedTime(new Date('2026-03-02T12:00:00'))
  await page.keyboard.press(' ')
  await expect(page.getByRole('button', { name: 'Finish exposure' }).first()).toBeVisible()
  // Taken out after ten minutes, and only entered after half an hour.
  await page.clock.setFixedTime(new Date('2026-03-02T12:30:00'))
  await page.getByRole('main').getByRole('button', { name: 'Finish exposure' }).first().click()

  const main = page.getByRole('main')
  await open(page, '/prints')
  await main.getByText('Forgotten').first().click()
  await expect(page.getByRole('heading', { name: 'Forgotten', level: 1 })).toBeVisible()
  await expect(main).toContainText('30 min, planned 10 min, over-exposed')

  await page.keyboard.press('c')
  const exposure = main.getByRole('group', { name: 'Expose' })
  // Below a field stands what was understood; one that is emptied is no entry without a change.
  await exposure.getByLabel('Ended').fill('11:50')
  await expect(exposure).toContainText('= Mon, 2 Mar 2026, 11:50:00')
  await exposure.getByLabel('Ended').fill('')
  await main.getByRole('button', { name: 'Save corrections' }).click()
  await expect(exposure.getByLabel('Ended')).toHaveAttribute('aria-invalid', 'true')
  await exposure.getByLabel('Ended').fill('11:50')
  await main.getByRole('button', { name: 'Save corrections' }).click()
  await expect(main.getByRole('alert')).toContainText('These times do not fit together')
  await exposure.getByLabel('Ended').fill('12.10')
  await main.getByRole('combobox', { name: 'What' }).click()
  await page.getByRole('option', { name: 'Pause in Expose' }).click()
  await main.getByLabel('From').fill('12:05')
  await main.getByRole('button', { name: 'Save corrections' }).click()
  await expect(main.getByLabel('Until')).toHaveAttribute('aria-invalid', 'true')
  await main.getByLabel('Until').fill('12:06')
  await main.getByRole('button', { name: 'Save corrections' }).click()

  await expect(main).toContainText('9 min, planned 10 min, 90\u00a0% of the planned dose, 1 check')
  await expect(main).toContainText('20 min earlier than first recorded')
  await expect(main).toContainText('Entered later')
  await expect(main).not.toContainText('over-exposed')

  // Taken back at once, as they were saved, and brought again; over a reload, too.
  await page.keyboard.press('u')
  await expect(main).toContainText('30 min, planned 10 min, over-exposed')
  await page.reload()
  await main.getByRole('button', { name: 'Redo' }).click()
  await expect(main).toContainText('9 min, planned 10 min, 90\u00a0% of the planned dose, 1 check')
  await expect(main.getByRole('button', { name: 'Redo' })).toBeHidden()
})
