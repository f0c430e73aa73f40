import type { Page } from '@playwright/test'
import { expect, test } from './test.ts'
import { expectDim, open, pick } from './workroom.ts'

/** Lets the time of a practice print run until its clock has passed so many minutes. */
async function runUntil(page: Page, minutes: number): Promise<void> {
  await page.getByRole('heading', { level: 1 }).click()
  await page.keyboard.press(' ')
  const clock = page.locator('.PracticeStation-time')
  await expect
    .poll(async () => Number.parseInt((await clock.textContent())?.trim().split(':').at(-2) ?? '0', 10), {
      intervals: [50],
      timeout: 30_000,
    })
    .toBeGreaterThanOrEqual(minutes)
  await page.keyboard.press(' ')
}
const marks = async (page: Page, name: string) =>
  Number(await page.getByLabel('Marks').locator('div', { hasText: name }).locator('dd').first().textContent())

test('a practice print by keyboard: watched, cleared, judged a day later, and nothing of it recorded', async ({
  page,
}) => {
  await open(page, '/')
  await page.keyboard.press('9')
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Practice')
  await page.keyboard.press(' ')
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Expose')
  const canvas = page.getByLabel('The practice print now')
  await expect(canvas).toHaveAttribute('data-drawn', /\d/)
  const edge = () =>
    canvas.evaluate((shown: HTMLCanvasElement) => shown.getContext('2d')!.getImageData(500, 10, 1, 1).data.slice(0, 3).join()) // prettier-ignore
  const before = await edge()
  await page.getByText('240 times').click()
  await runUntil(page, 4)
  await expect(page.getByText('The frame is closed.')).toBeVisible()
  await page.keyboard.press('o')
  await expect(canvas).toBeVisible()
  await expect.poll(edge).not.toBe(before)
  await runUntil(page, 11)
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Wash and clear')
  await runUntil(page, 8)
  await page.keyboard.press('Enter')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('A day later')
  expect(await marks(page, 'Exposure')).toBeGreaterThan(60)
  expect(await marks(page, 'Clearing')).toBe(100)
  await page.keyboard.press('d')
  await expectDim(page)
  await open(page, '/prints')
  await expect(page.getByText('No print hangs here yet')).toBeVisible()
})

test('a practice print that is spoilt says what was wrong: no light, no clearing, no fixer, and a hidden fault', async ({
  page,
}) => {
  await open(page, '/practice')
  await pick(page, 'Process', /Van Dyke/, 'Van')
  await page.getByText('With a hidden fault').click()
  await page.getByRole('button', { name: 'Coat the sheet' }).click()
  await expect(page.getByText('One thing is wrong with this sheet.')).toBeVisible()
  for (const title of ['Wash and clear', 'Fix', 'Hang to dry', 'A day later']) {
    await page.getByRole('button', { name: /Done|Next step|Look a day/ }).click()
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(title)
  }
  await expect(page.getByText('This sheet was not exposed')).toBeVisible()
  await expect(page.getByText(/Sensitizer is left in the whites/)).toBeVisible()
  await expect(page.getByText('it will not last')).toBeVisible()
  expect(await marks(page, 'Exposure')).toBe(0)
  await pick(page, 'What was wrong with the sheet?', 'Coat too old')
  await expect(
    page.getByRole('status').filter({ hasText: /That was it|It was something else/ }),
  ).toBeVisible()
  await page.getByRole('button', { name: 'Practise again' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Practice')
})
