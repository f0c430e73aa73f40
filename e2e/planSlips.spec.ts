import type { Page } from '@playwright/test'
import { readFileSync } from 'node:fs'
import { expect, test } from './test.ts'
import { expectDim, open, pick } from './workroom.ts'

const margin = (page: Page) => page.getByRole('complementary', { name: 'Margin' })

test('a plan is made, slips, is made again, refuses what cannot be, and goes into a calendar', async ({
  page,
}) => {
  const { default: ICAL } = await import('ical.js')
  await page.clock.install({ time: new Date('2026-03-02T10:00:00') })
  for (const [process, title] of [
    ['Classic cyanotype', 'Horn house'],
    ['Kallitype', 'Boiler fronts'],
  ] as const) {
    await open(page, '/coat/begin')
    await pick(page, 'Process', process, process)
    await page.getByLabel('Title', { exact: true }).fill(title)
    await page.getByRole('button', { name: 'Plan this sheet' }).first().click()
    await expect(page.getByRole('button', { name: /^Start/ })).toBeVisible()
  }
  await open(page, '/')
  await page.keyboard.press('p')
  await expect(page.getByRole('heading', { name: 'Plan the day' })).toBeVisible()
  await page.getByLabel('Finish by').fill('25:00')
  await page.getByRole('button', { name: 'Make a plan' }).first().click()
  await expect(page.getByText('“25:00” is not a time of day.')).toBeVisible()
  await page.getByLabel('Finish by').fill('10:20')
  await page.getByRole('button', { name: 'Make a plan' }).first().click()
  await expect(page.getByRole('alert', { name: 'No plan' })).toContainText('The best plan found ends at')
  await page.getByLabel('Finish by').fill('')
  await page.getByRole('button', { name: 'Make a plan' }).first().click()
  const made = page.getByRole('region', { name: 'The plan' })
  await expect(made).toContainText(/Finish 1\d:\d\d/)
  await expect(made.getByRole('row').filter({ hasText: 'Develop in citrate' })).toHaveCount(1)
  await page.getByRole('button', { name: 'Use this plan' }).first().click()
  await expect(page.getByText(/finish 1\d:\d\d/)).toBeVisible()
  await expect(page.getByText(/earliest finish|shortest possible plan/)).toBeVisible()

  // No one begins: it slips, and is planned again from now.
  await page.clock.fastForward('20:00')
  await expect(margin(page)).toContainText('Behind the plan')
  await page.keyboard.press('r')
  await expect(page.getByText(/New plan: finish/)).toBeVisible()
  await expect(margin(page)).not.toContainText('Behind the plan')

  // Later is a wish that can be had; before its own coat is dry is not.
  const order = page.getByRole('region', { name: 'Next steps' })
  await order
    .getByRole('link', { name: /Sheet 1 / })
    .first()
    .focus()
  await page.keyboard.press('Alt+ArrowDown')
  await expect(page.getByText(/New plan: finish/)).toBeVisible()
  const earlier = order.getByRole('button', { name: /^− 15 min: Expose/ }).last()
  const refused = page.getByText(
    /The earliest start is|needs the same equipment at that time|There is no room for it/,
  )
  for (let press = 0; press < 8 && !(await refused.isVisible()); press++) {
    const before = await order.innerText()
    await earlier.click()
    await expect
      .poll(async () => (await order.innerText()) !== before || (await refused.isVisible()))
      .toBe(true)
  }
  await expect(refused).toBeVisible()

  await page.keyboard.press('d')
  await expectDim(page)
  await page.keyboard.press('d')
  await page.getByRole('link', { name: 'Preparations' }).click()
  await expect(page.getByRole('listitem').filter({ hasText: /Citrate developer/ })).toBeVisible()
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Calendar file' }).click(),
  ])
  const events = new ICAL.Component(
    ICAL.parse(readFileSync(await download.path(), 'utf8')),
  ).getAllSubcomponents('vevent')
  const titles = events.map((event) => String(event.getFirstPropertyValue('summary')))
  expect(titles).toContain('Printing')
  expect(titles.filter((title) => title.startsWith('Dry check'))).toHaveLength(2)
  expect(titles.some((title) => /Citrate developer/.test(title))).toBe(true)
})
