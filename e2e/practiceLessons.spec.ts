import type { Page } from '@playwright/test'
import { expect, test } from './test.ts'
import { practise, throughSteps } from './practising.ts'
import { open, pick } from './workroom.ts'

/** Colour of the middle of the print, or of a place of it. */
const colourAt = (page: Page, x: number, y: number) =>
  page.getByLabel('The practice print now').evaluate(
    (shown: HTMLCanvasElement, [left, top]) => [...shown.getContext('2d')!.getImageData(left!, top!, 1, 1).data.slice(0, 3)],
    [x, y],
  ) // prettier-ignore
const lesson = (page: Page, words: string) => page.getByRole('status').filter({ hasText: words })

test('what went wrong: a test sheet shows the fault gone, and the cause that it points to is right', async ({
  page,
}) => {
  await open(page, '/practice?lesson=wrong-7')
  await practise(page, { Expose: 10, Wash: 8 })
  // A hard line: the margin on the right is paler.
  const paler = async () => (await colourAt(page, 950, 10))[0]! - (await colourAt(page, 200, 10))[0]!
  await expect.poll(paler).toBeGreaterThan(20)
  for (const [test, said] of [
    ['Twice the light', 'the fault is still there'],
    ['On another paper', 'the fault is gone'],
  ] as const) {
    await pick(page, 'Test sheet', test)
    await page.getByRole('button', { name: 'Make the test sheet' }).click()
    await expect(page.getByText(`${test}: ${said}`)).toBeVisible()
  }
  // The test sheet is what is seen, until one looks at the print again.
  await expect.poll(paler).toBe(0)
  await page.getByRole('button', { name: 'Show the print' }).click()
  await expect.poll(paler).toBeGreaterThan(20)
  await pick(page, 'What was wrong with the sheet?', 'Only part of the paper was treated')
  await expect(lesson(page, 'Passed.')).toBeVisible()
})

test('two faults at once, by choice: both have to be named', async ({ page }) => {
  await open(page, '/practice')
  await pick(page, 'Hidden faults', /one of each/, 'Two')
  await practise(page, {})
  await expect(page.getByText('Two things are wrong with this sheet.')).toBeVisible()
  await pick(page, 'First cause', 'Fingerprints')
  await expect(page.getByText('Not named yet.')).toBeVisible()
  await pick(page, 'Second cause', 'Buffered paper (chalk)')
  await expect(
    page.getByRole('status').filter({ hasText: /That was it|It was something else/ }),
  ).toBeVisible()
})

test('a strip and its base exposure: too short it shows nothing, long enough it is read', async ({
  page,
}) => {
  await open(page, '/practice?lesson=base-exposure')
  await practise(page, { citric: 12 })
  await pick(page, 'Last step as black as possible', 'step 3')
  await page.getByRole('button', { name: 'Check the reading' }).click()
  await expect(page.getByText('the exposure was too short to show a base exposure')).toBeVisible()
  await expect(lesson(page, 'Not passed yet.')).toBeVisible()
  await page.getByRole('button', { name: 'Practise again' }).click()
  await practise(page, { Expose: 9, Develop: 4, citric: 12 })
  await expect(page.getByText('Read the steps to finish this lesson.')).toBeVisible()
  await pick(page, 'Last step as black as possible', 'step 3')
  await page.getByRole('button', { name: 'Check the reading' }).click()
  await expect(page.getByText('its light is the base exposure')).toBeVisible()
  await expect(lesson(page, 'Passed.')).toBeVisible()
})

test(
  'calibrating: the second print, through the curve of the first, is even',
  { tag: '@long' },
  async ({ page }) => {
    await open(page, '/practice?lesson=calibrating')
    const steps = { Expose: 4, Develop: 4, citric: 16 }
    await practise(page, steps)
    const off = async () => Number(/up to ([\d.]+) L\*/.exec((await page.locator('.PracticeStation-end').textContent()) ?? '')?.[1]) // prettier-ignore
    const before = await off()
    expect(before).toBeGreaterThan(8)
    await page.getByRole('button', { name: 'Correct the negative, print again' }).click()
    await throughSteps(page, steps)
    await expect(page.getByText('Through the curve')).toBeVisible()
    expect(await off()).toBeLessThan(before / 2)
    await expect(
      page.getByLabel('What the lesson needed').getByText(/Linearity: \d+, needed 70/),
    ).toBeVisible()
  },
)

test('no milk in water without chlorine, until there is salt in it; and what was not fixed darkens in two years', async ({
  page,
}) => {
  await open(page, '/practice?lesson=no-milk')
  await page.getByRole('button', { name: 'Coat the sheet' }).click()
  await page.getByRole('button', { name: 'Into the baths' }).click()
  const water = page.getByLabel('The water in a dark tray')
  const brightness = async () => /\d+/.exec((await water.getAttribute('style')) ?? '')?.[0]
  await expect(page.getByText('without chlorine no milk can show')).toBeVisible()
  const clear = Number(await brightness())
  await page.keyboard.press('s')
  expect(Number(await brightness())).toBeGreaterThan(clear + 80)
  await expect(page.getByText('without chlorine no milk can show')).toBeHidden()
  // The words and the cautions are those of the real step.
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('First wash, to no milk')
  await expect(page.getByText('Safety: silver nitrate')).toBeVisible()
  await throughSteps(page, {})
  const [sky] = await colourAt(page, 500, 150)
  await page.getByRole('button', { name: 'Look two years later' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Two years later')
  await expect.poll(async () => (await colourAt(page, 500, 150))[0]).toBeLessThan(sky! - 20)
})

test('a practice print waits while another station asks for hands, and a lesson that is chosen is a new sheet', async ({
  page,
}) => {
  await open(page, '/practice')
  await page.getByRole('button', { name: 'Coat the sheet' }).click()
  await page.getByRole('button', { name: 'Light on' }).click()
  await expect(page.locator('.PracticeHands-time')).not.toHaveText(/^\s*0:00/)
  await page.keyboard.press('8')
  await expect(page.getByRole('heading', { level: 1, name: 'Expose' })).toBeHidden()
  // Its keys are not those of this page.
  await page.keyboard.press('?')
  await expect(page.getByRole('dialog')).not.toContainText('Open the frame')
  await page.keyboard.press('Escape')
  await page.keyboard.press('9')
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Expose')
  const clock = await page.locator('.PracticeHands-time').textContent()
  await expect(page.getByRole('button', { name: 'Light on' })).toBeVisible()
  await page.getByRole('link', { name: 'Lessons' }).click()
  await page.getByRole('link', { name: 'A print', exact: true }).click()
  await expect(page.locator('.PracticeHands-time')).toHaveText(clock ?? '')
  await page.getByRole('link', { name: 'Lessons' }).click()
  await page.getByRole('link', { name: 'Wet against dry' }).click()
  await expect(page.getByText('Lesson: Wet against dry')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Coat the sheet' })).toBeVisible()
  await page.getByRole('link', { name: 'A print', exact: true }).click()
  await expect(page.getByText('Classic cyanotype, virtual')).toBeVisible()
})
