import { expect, test } from './test.ts'
import { open, plan } from './workroom.ts'

test('choices of the device are kept: palette, units, voice', async ({ page, context }) => {
  await open(page, '/workroom')
  await page.getByText('Centimetres').click()
  await page.getByText('Dim room', { exact: true }).last().click()
  await page.getByRole('switch', { name: 'Spoken cues' }).locator('..').click()
  await page.reload()
  await expect(page.locator('html')).toHaveAttribute('data-palette', 'dim')
  await expect(page.getByRole('switch', { name: 'Spoken cues' })).toBeChecked()
  const other = await context.newPage()
  await open(other, '/coat/begin')
  await expect(other.getByLabel('Picture size')).toHaveValue('20 x 25 cm')
  // A second window follows at once.
  await page.keyboard.press('d')
  await expect(other.locator('html')).toHaveAttribute('data-palette', 'daylight')
})

test('when the browser keeps nothing, it says so and says what to do', async ({ page }) => {
  await page.addInitScript(() => {
    indexedDB.open = () => {
      throw new DOMException('denied', 'SecurityError')
    }
  })
  await page.goto('/')
  await expect(page.getByText(/does not let Ember Sheet store anything/)).toBeVisible()
  await expect(page.getByText(/Leave private browsing/)).toBeVisible()
})

test('every control can be reached and named from the keyboard', { tag: '@long' }, async ({ page }) => {
  await open(page)
  await plan(page, 'Gauge')
  for (const address of ['/', '/coat', '/coat/begin', '/prints', '/workroom']) {
    await open(page, address)
    const nameless = await page.evaluate(() =>
      [
        ...document.querySelectorAll<HTMLElement>(
          'button, a[href], input:not([type=hidden]), textarea, [role=link]',
        ),
      ]
        .filter((one) => !one.closest('[aria-hidden=true]'))
        .filter((one) => {
          const labels =
            one instanceof HTMLInputElement || one instanceof HTMLTextAreaElement
              ? [...(one.labels ?? [])]
              : []
          const name =
            one.getAttribute('aria-label') ??
            (one.textContent?.trim() || labels.map((label) => label.textContent).join(''))
          return !name.trim()
        })
        .map((one) => one.outerHTML.slice(0, 120)),
    )
    expect(nameless, address).toEqual([])
  }
  await open(page)
  const reached = new Set<string>()
  for (let tab = 0; tab < 20; tab++) {
    await page.keyboard.press('Tab')
    reached.add(await page.evaluate(() => document.activeElement?.textContent?.trim() ?? ''))
  }
  for (const name of ['1Today', '2Shelf', '3Paper', '4Coat', '5Negative', '8Prints', 'Dim room', 'Workroom'])
    expect([...reached].join('|').replace(/\s/g, '')).toContain(name.replace(/\s/g, ''))
})

test(
  'a very long name is shown within the page, hides nothing, and one that is longer still is refused in words',
  { tag: '@long' },
  async ({ page }) => {
    const long = 'Tidegaugeatthequay'.repeat(12).slice(0, 200)
    await open(page)
    await page.keyboard.press('n')
    await page.getByLabel('Title', { exact: true }).fill(`${long}!`)
    await page.getByRole('button', { name: 'Plan this sheet' }).first().click()
    await expect(page.getByText('This text is longer than 200 characters.')).toBeVisible()
    await page.getByLabel('Title', { exact: true }).fill(long)
    await page.getByRole('button', { name: 'Plan this sheet' }).first().click()
    const widths = () => page.getByRole('main').evaluate((main) => [main.scrollWidth, main.clientWidth])
    const fits = async () => {
      const [needed, given] = await widths()
      expect(needed).toBeLessThanOrEqual(given!)
    }
    await expect(page.getByRole('button', { name: 'Start counting drops' })).toBeVisible()
    await fits()
    await page.keyboard.press('8')
    await page.getByRole('listitem').first().click()
    await expect(page.getByRole('heading', { level: 1, name: long })).toBeVisible()
    await fits()
    // What is said of it can be closed.
    await page.getByRole('button', { name: 'More' }).click()
    await page.getByRole('button', { name: /bin/i }).first().click()
    await expect(page.getByRole('button', { name: 'Close this message' })).toBeInViewport()
  },
)
