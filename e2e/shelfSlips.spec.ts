import type { Page } from '@playwright/test'
import { expect, test } from './test.ts'
import { make, open, pick, takeIn } from './workroom.ts'

const findings = (page: Page) => page.getByRole('list', { name: 'Check this' })
/** A recipe of one's own with one line. */
async function recipe(
  page: Page,
  what: string,
  amount: string,
  measure: string,
  volume = '100 ml',
): Promise<void> {
  await open(page, '/shelf')
  await open(page, '/shelf/make')
  await pick(page, 'Recipe', 'My own recipe', 'My own')
  await page.getByLabel('Volume', { exact: true }).fill(volume)
  await line(page, 1, what, amount, measure)
}
async function line(page: Page, n: number, what: string, amount: string, measure: string): Promise<void> {
  await pick(page, `Ingredient ${n}, substance`, new RegExp(`^${what}`), what)
  await page.getByLabel(`Ingredient ${n}, amount`).fill(amount)
  await pick(page, `Ingredient ${n}, unit`, measure)
}
const correction = (page: Page, words: string | RegExp) =>
  findings(page).getByRole('button', { name: words }).click()

test.describe('slips are noticed, said plainly and corrected', () => {
  test('a stated per cent that is not: 30 g in a litre', { tag: '@long' }, async ({ page }) => {
    await recipe(page, 'oxalic acid', '30', 'g', '1 l')
    await page.getByLabel('Strength on the label, %').fill('30')
    await expect(findings(page)).toContainText(
      '30 g in 1000 ml is 3 %, not 30 %. Possibly a factor-of-ten error.',
    )
    await correction(page, 'Change the label to 3 %')
    await expect(page.getByLabel('Strength on the label, %')).toHaveValue('3')
    await expect(findings(page)).toBeHidden()
  })

  test('1 g topped up to 6 ml is 16.7 %', async ({ page }) => {
    await recipe(page, 'potassium chloropalladite', '1', 'g', '6 ml')
    await page.getByLabel('Strength on the label, %').fill('15')
    await expect(findings(page)).toContainText('is 16.7 %, not 15 %')
    await correction(page, /Top up to 6.67 ml/)
    await expect(findings(page)).toBeHidden()
  })

  test(
    'more than stays dissolved, a spoon, and neighbours that must not meet',
    { tag: '@long' },
    async ({ page }) => {
      await recipe(page, 'oxalic acid', '30', '% w/v')
      await expect(findings(page)).toContainText('above the solubility at 20 °C')
      await correction(page, /^Make it/)
      await expect(findings(page)).toBeHidden()

      await recipe(page, 'sodium thiosulfate', '40', 'ml by spoon')
      await expect(findings(page)).toContainText('40 ml by spoon can be from')
      await correction(page, 'Weigh 40 g')
      await expect(findings(page)).toBeHidden()
      await page.getByRole('button', { name: 'Add ingredient' }).click()
      await line(page, 2, 'citric acid', '3', '% w/v')
      await expect(findings(page)).toContainText('gives off sulfur dioxide')
      await page.getByRole('button', { name: 'Remove ingredient 2' }).click()
      await expect(findings(page)).toBeHidden()

      await recipe(page, 'potassium ferricyanide', '10', '% w/v')
      await page.getByRole('button', { name: 'Add ingredient' }).click()
      await line(page, 2, 'hydrochloric acid', '2', '% w/v')
      await expect(findings(page)).toContainText('hydrogen cyanide')
    },
  )

  test(
    'another hydrate in the jar, a stock past its life or not ripe, and two stocks half and half',
    { tag: '@long' },
    async ({ page }) => {
      await open(page, '/shelf/take-in')
      await pick(page, 'Chemical', /^citric acid/, 'citric')
      await page.getByText('monohydrate', { exact: false }).click()
      await page.getByLabel('Amount', { exact: true }).fill('500 g')
      await page.getByRole('button', { name: 'Add to shelf' }).first().click()
      await expect(page.getByRole('heading', { name: 'Shelf', level: 1 })).toBeVisible()
      await recipe(page, 'citric acid', '6', '% w/v')
      await expect(findings(page)).toContainText(
        'The recipe is for the anhydrous form, but your jar holds the monohydrate form',
      )
      await correction(page, 'Use the form in your jar')
      await expect(findings(page)).toBeHidden()
      // 6 g × 210.14 / 192.12 at 99.5 %.
      await expect(page.getByRole('button', { name: /6.6 g weigh/ })).toBeVisible()

      await make(page, 'kallitype/oxalate', '50 ml', 'KO-1')
      // Another recipe in the address opens its own form, though one is open.
      await make(page, 'kallitype/silver', '50 ml', 'KS-1')
      await recipe(page, 'bottle KO-1', '50', 'ml')
      await page.getByRole('button', { name: 'Add ingredient' }).click()
      await line(page, 2, 'bottle KS-1', '50', 'ml')
      await expect(findings(page)).toContainText('This solution is still resting')
      await page.getByLabel('Strength on the label, %').fill('20')
      await expect(findings(page)).toContainText('The bottle is 20 %, but the combined mix is 10 %.')
      await correction(page, 'Change the label to 10 %')
      await expect(page.getByLabel('Strength on the label, %')).toHaveValue('10')
      await page.clock.setFixedTime(new Date(Date.now() + 400 * 86_400_000))
      await page.reload()
      await recipe(page, 'bottle KO-1', '50', 'ml')
      await expect(findings(page)).toContainText('This bottle is past its shelf life')
    },
  )

  test('a jar that runs short: the recipe shrinks to what is there', { tag: '@long' }, async ({ page }) => {
    await takeIn(page, 'silver nitrate', '5 g')
    await recipe(page, 'silver nitrate', '10', '% w/v')
    await expect(findings(page)).toContainText('You need 10 g, but 5 g are left.')
    await page.getByRole('button', { name: 'Scale to what you have' }).click()
    await expect(findings(page)).toBeHidden()
    await expect(page.getByLabel('Volume', { exact: true })).toHaveValue(/^(49\.9|50) ml$/)
  })
})
