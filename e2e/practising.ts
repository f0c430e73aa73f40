import type { Page } from '@playwright/test'
import { expect } from './test.ts'

/** Lets the time of a practice print run until its clock has passed so many minutes. */
export async function runUntil(page: Page, minutes: number): Promise<void> {
  await page.getByRole('heading', { level: 1 }).click()
  await page.keyboard.press(' ')
  const clock = page.locator('.PracticeHands-time')
  await expect
    .poll(async () => Number.parseInt((await clock.textContent())?.trim().split(':').at(-2) ?? '0', 10), {
      intervals: [50],
      timeout: 30_000,
    })
    .toBeGreaterThanOrEqual(minutes)
  await page.keyboard.press(' ')
}

export const marks = async (page: Page, name: string): Promise<number> =>
  Number(await page.getByLabel('Marks').locator('div', { hasText: name }).locator('dd').first().textContent())

/** Makes a practice print, each step for so many minutes by a part of its title; a step that is not named passes at once. */
export async function practise(page: Page, minutes: Readonly<Record<string, number>>): Promise<void> {
  await page.getByRole('button', { name: 'Coat the sheet' }).click()
  await throughSteps(page, minutes)
}

/** From the light to the day after. */
export async function throughSteps(page: Page, minutes: Readonly<Record<string, number>>): Promise<void> {
  for (;;) {
    const title = (await page.getByRole('heading', { level: 1 }).textContent()) ?? ''
    if (title === 'A day later') return
    const [, wanted] = Object.entries(minutes).find(([part]) => title.includes(part)) ?? []
    // A bath may pass its time by a minute, an exposure may not.
    if (wanted) {
      await page.getByText(title === 'Expose' ? '240×' : '960×').click()
      await runUntil(page, wanted)
    }
    await page.getByRole('button', { name: /Into the baths|Next step|Look a day/ }).click()
    await expect(page.getByRole('heading', { level: 1 })).not.toHaveText(title)
  }
}
