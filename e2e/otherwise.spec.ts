import { expect, test } from './test.ts'
import { open, plan } from './workroom.ts'

test('fewer drops make a coat, a hair dryer is no fault, a rinse is left out with its meaning shown, and undone', async ({
  page,
}) => {
  await page.clock.install({ time: new Date('2026-03-02T10:00:00') })
  await open(page)
  await plan(page, 'Gate post')
  await page.keyboard.press(' ')
  const main = page.getByRole('main')
  // What the hands do is on the screen while drops are counted.
  await expect(main).toContainText(/gloves|glass|drops/i)
  await expect(page.getByRole('button', { name: "That's all: coat with this" })).toBeHidden()
  for (const [bottle, drops] of [
    ['Iron citrate', '12'],
    ['Ferricyanide', '10'],
  ] as const) {
    await page.getByLabel(`${bottle}, drops counted`).fill(drops)
    await page.getByLabel(`${bottle}, drops counted`).press('Enter')
  }
  // 22 drops of 0.05 ml on 8 × 10 in: 1.1 ml on 516 cm².
  await expect(main).toContainText('21.3 ml/m²')
  await page.getByRole('button', { name: "That's all: coat with this" }).click()
  await expect(page.getByRole('heading', { name: 'Coat the sheet', level: 1 })).toBeVisible()
  await page.clock.fastForward(70_000)
  await page.keyboard.press(' ')
  await page.clock.fastForward('02:00')
  await page.getByRole('button', { name: 'Dried with a hair dryer' }).click()
  await expect(page.getByRole('heading', { name: 'Coated and dry' })).toBeVisible()
  await page.keyboard.press(' ')
  await expect(page).toHaveURL(/light/)
  await page.getByRole('button', { name: 'Leave out: ' }).click()
  await expect(main).toContainText('What it is for:')
  await page.getByRole('button', { name: 'Keep the step' }).click()
  await page.keyboard.press(' ')
  await expect(page.getByRole('timer')).toBeVisible()
  await page.clock.fastForward('07:00')
  await page.getByRole('button', { name: 'Finish exposure' }).click()
  await expect(page.getByRole('button', { name: 'Go to Wet side' })).toBeVisible()
  await page.keyboard.press(' ')
  await page.getByRole('button', { name: 'Leave out: ' }).click()
  const title = await main.getByRole('heading', { level: 1 }).innerText()
  await page.getByRole('button', { name: 'Leave it out' }).click()
  await expect(main.getByRole('heading', { level: 1 })).not.toHaveText(title)
  await page.keyboard.press('u')
  await expect(main.getByRole('heading', { level: 1 })).toHaveText(title)
  await page.keyboard.press('y')
  await expect(main.getByRole('heading', { level: 1 })).not.toHaveText(title)
  await open(page, '/prints')
  await main.getByText('Gate post').first().click()
  await expect(main).toContainText('left out')
  await expect(main).toContainText('with a hair dryer')
  await expect(main).not.toContainText('under the minimum')
})

test('sheets come in coated, exposed and finished, and go on from there', async ({ page }) => {
  await open(page)
  const main = page.getByRole('main')
  const comesIn = async (title: string, how: string) => {
    await page.keyboard.press('n')
    await page.getByLabel('Title', { exact: true }).fill(title)
    await page.getByText('More settings:').click()
    await page.getByRole('combobox', { name: 'The sheet is' }).locator('xpath=ancestor::*[contains(@class,"el-select__wrapper")]').click()
    await page.getByRole('option', { name: how }).click()
    await page.getByRole('button', { name: 'Plan this sheet' }).first().click()
  } // prettier-ignore
  await comesIn('From the drawer', 'already coated')
  await expect(page).toHaveURL(/light/)
  await expect(main.getByRole('button', { name: /^Leave out/ })).toBeVisible()
  await comesIn('From a friend', 'already exposed')
  await expect(page).toHaveURL(/wet/)
  await comesIn('An old one', 'a finished print')
  await expect(main).toContainText('Came as a finished print')
  await expect(main.getByRole('heading', { name: 'An old one' })).toBeVisible()
  await page.keyboard.press('j')
  await page.getByText('Keep', { exact: true }).click()
  await page.getByRole('button', { name: 'Save' }).first().click()
  await expect(main).toContainText('Later check')
  await expect(main).toContainText('kept')
})
