import type { Page } from '@playwright/test'
import { expect, test } from './test.ts'
import { DEMO_ADDRESS, OWN_ADDRESS } from './browser.ts'
import { expectDim, open } from './workroom.ts'

test.use({ baseURL: DEMO_ADDRESS })

/** Every address a page asks for, and whatever it complains of. */
function listen(page: Page) {
  const [requests, complaints]: [string[], string[]] = [[], []]
  page.on('request', (request) => requests.push(request.url()))
  page.on('console', (message) => message.type() === 'error' && complaints.push(message.text()))
  page.on('pageerror', (error) => complaints.push(error.message))
  return { requests, complaints }
}

test('the demo is a workroom in full swing', async ({ page }) => {
  const { requests, complaints } = listen(page)
  await open(page)
  const ledge = page.getByRole('region', { name: 'Running clocks' })
  await expect(ledge.getByRole('button')).toHaveText([
    /Sheet 36 · clearing/,
    /Sheet 30 · exposing/,
    /Sheet 31 · drying in the dark/,
    /Sheet 29 · washing/,
    /Sheet 34 · drying in the dark/,
    /Paper 2 · in the acid/,
  ])
  await expect(
    page.getByRole('region', { name: 'Where the sheets are' }).getByText('Lamp-room lens, third state'),
  ).toBeVisible()
  await expect(page.getByRole('complementary', { name: 'Margin' })).toContainText('Dry checks due')

  // Only the lines in sight hang in the page: all of them, at a tall window.
  await page.setViewportSize({ width: 1280, height: 2400 })
  await page.keyboard.press('8')
  for (const state of [
    'planned',
    'drying in the dark',
    'exposing',
    'washing',
    'dry check due',
    'set aside',
    'dry, kept',
    'to be printed again',
  ])
    await expect(page.getByRole('listitem').filter({ hasText: state }).first(), state).toBeVisible()
  await page.setViewportSize({ width: 1280, height: 800 })
  for (const address of [
    '/shelf',
    '/shelf/make',
    '/shelf/shopping',
    '/shelf/processes',
    '/paper',
    '/paper/tear',
    '/paper/treat',
    '/coat',
    '/coat/begin',
    '/light',
    '/wet',
    '/workroom',
  ])
    await open(page, address)
  // What opens over a page must not break the content policy either.
  await page.keyboard.press('?')
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible()
  await page.keyboard.press('Escape')
  await open(page, '/light')
  await page.keyboard.press('+')
  await expect(page.getByRole('dialog', { name: 'Change the exposure' })).toBeVisible()

  // Nothing is asked of any other host, and the content policy has nothing to complain of.
  expect(requests.length).toBeGreaterThan(20)
  expect(requests.filter((url) => !url.startsWith(DEMO_ADDRESS) && !url.startsWith('blob:'))).toEqual([])
  expect(complaints).toEqual([])
})

test('the server answers with strict headers, on the loopback address', async ({ request }) => {
  const answer = await request.get('/')
  const policy = answer.headers()['content-security-policy'] ?? ''
  expect(policy).toContain("default-src 'none'")
  expect(policy).toContain("script-src 'self'")
  expect(policy).not.toMatch(/unsafe|https?:|\*/)
  expect(answer.headers()).toMatchObject({
    'x-content-type-options': 'nosniff',
    'referrer-policy': 'no-referrer',
  })
  expect(await answer.text()).not.toMatch(/<script(?![^>]*src=)/)
})

test('a figure opens to its working in the margin, and closes again', async ({ page }) => {
  await open(page, '/coat')
  await page.getByRole('navigation', { name: 'Sheets here' }).getByRole('button', { name: '33' }).click()
  const strength = page.getByRole('button', { name: /ferric ammonium citrate in the mix/ })
  await expect(strength).toContainText('12.5')
  await strength.click()
  const margin = page.getByRole('complementary', { name: 'Margin' })
  await expect(margin).toContainText('c = Σ(cᵢ·Vᵢ) / V')
  await strength.click()
  await expect(margin).not.toContainText('c = Σ(cᵢ·Vᵢ) / V')
  await expect(margin).toContainText('Never mix with strong acid')
})

test('pictures in the dim room are shown in amber only', { tag: '@long' }, async ({ page }) => {
  await open(page, '/prints')
  await expect(page.getByRole('img', { name: 'Photo of Tide gauge' })).toBeVisible()
  await page.keyboard.press('d')
  await expectDim(page)
  await page.keyboard.press('n')
  await page.getByLabel('Paper', { exact: true }).fill('')
  await expect(page.getByRole('option', { name: 'Saltmarsh laid' })).toBeVisible()
  await expectDim(page)
  await open(page, '/prints')
  await page.getByRole('listitem').getByText('26 Tide gauge').click()
  await expect(page.getByRole('img', { name: 'Photo of Tide gauge' })).toBeVisible()
  await expectDim(page)
})

test(
  'the paced count drops by itself at every tick and stops when told',
  { tag: '@long' },
  async ({ page }) => {
    await open(page, '/coat')
    await page.getByRole('navigation', { name: 'Sheets here' }).getByRole('button', { name: '33' }).click()
    await page.keyboard.press(' ')
    await expect(page.getByRole('button', { name: 'Start metronome' })).toBeVisible()
    await page.keyboard.press('p')
    const counted = page.getByLabel('Iron citrate, drops counted')
    await expect(counted).toHaveValue('3')
    await page.keyboard.press('p')
    const stopped = Number(await counted.inputValue())
    await page.waitForTimeout(2600)
    expect(Number(await counted.inputValue())).toBe(stopped)
  },
)

test('clocks and print records can be used on a telephone', { tag: '@long' }, async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 780 })
  for (const address of ['/', '/light', '/wet', '/prints']) {
    await open(page, address)
    const overflow = await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)
    expect(overflow, address).toBeLessThanOrEqual(0)
  }
  await page.goto('/light')
  await expect(page.getByRole('timer')).toBeInViewport()
  await expect(page.getByRole('button', { name: 'Open the frame to check' })).toBeInViewport()
})

test('the demo and one’s own workroom do not know each other', async ({ page }) => {
  await open(page)
  await open(page, OWN_ADDRESS)
  await expect(page.getByRole('heading', { name: 'Start with one sheet of paper' })).toBeVisible()
})
