import { DEMO_ADDRESS } from './browser.ts'
import { expect, test } from './test.ts'
import { measureAll, open, pick, plan, coatAndDry, toTheWater, walkOn } from './workroom.ts'

// What was left out has its consequence at once, and first guesses say what they were made from.

test(
  'a short hypo clear makes the final wash an hour, on the clock and in the record',
  { tag: '@long' },
  async ({ page }) => {
    await page.clock.install({ time: new Date('2026-03-02T10:00:00') })
    await toTheWater(page, 'Kallitype', 'Hasty')
    const heading = () => page.getByRole('heading', { level: 1 }).innerText()
    await walkOn(page, async () => (await heading()) === 'Hypo clear')
    // It begins by itself after the fixer, and is left after ten seconds.
    const main = page.getByRole('main')
    await page.clock.fastForward('00:10')
    await main.getByRole('button', { name: 'Cleared: wash' }).click()
    await expect(page.getByRole('heading', { name: 'Final wash', level: 1 })).toBeVisible()
    await expect(main).toContainText('minimum time, since “Hypo clear” was short')
    await expect(main).toContainText(/1\sh/)
    await walkOn(page, () => /\/prints\//.test(page.url()))
    await expect(main).toContainText('minimum 1 h, since Hypo clear was short')
  },
)

test('a sheet takes from the tray it is floated on, and its record says from which', async ({ page }) => {
  await page.clock.install({ time: new Date('2026-03-02T10:00:00') })
  await open(page, '/coat/begin')
  await pick(page, 'Process', 'Albumen-type paper', 'Albumen-type paper')
  await page.getByLabel('Title', { exact: true }).fill('Afloat')
  await page.getByRole('button', { name: 'Plan this sheet' }).first().click()
  const main = page.getByRole('main')
  await main.getByRole('button', { name: 'Start', exact: true }).click()
  const tray = page.getByRole('region', { name: 'Salted albumen' })
  await tray.getByLabel('Volume in the tray').fill('600 ml')
  await tray.getByRole('button', { name: 'Fill the tray' }).click()
  await page.clock.fastForward(60_000)
  await tray.getByRole('button', { name: 'Filtered' }).click()
  await main.getByRole('button', { name: 'Lower it on' }).click()
  await page.clock.fastForward('10:05')
  await main.getByRole('button', { name: 'Lift it by a corner' }).click()
  await expect(page.getByRole('heading', { name: 'Dry the albumen', level: 1 })).toBeVisible()
  await page.clock.fastForward('35:00')
  await page.locator('.BigTarget:not(.is-bare, .is-quiet)').first().click()
  // The silver bath is measured by drops of salt: 40 of 2 % to 1 ml are 11.6 %, by hand 40·0.05·0.02/58.44·169.87.
  const silver = page.getByRole('region', { name: 'Silver bath' })
  await silver.getByRole('button', { name: 'Fill the tray' }).click()
  await silver.getByText('Strength by drops of salt').click()
  await silver.getByLabel('Drops to the end of the milk').fill('40')
  await expect(silver).toContainText('11.6 % w/v')
  // 8 × 10 in take 3.1 ml at 60 ml to the square metre.
  await open(page, '/prints')
  await page.getByText('Afloat').first().click()
  const margin = page.getByRole('complementary', { name: 'Margin' })
  await expect(margin).toContainText(/floated: 600\sml in the tray, ammonium chloride 2\.38\s%/)
  await expect(margin).toContainText(
    /first sheet in it; filtered .* before; took about 3\.\d+\sml on \d+\scm²/,
  )
})

test('a notification is offered at the first long exposure, once', async ({ page }) => {
  await page.addInitScript(() => {
    const asked = {
      permission: 'default',
      requestPermission: () => Promise.resolve((asked.permission = 'granted')),
    }
    Object.assign(window, { Notification: asked })
  })
  await page.clock.install({ time: new Date('2026-03-02T10:00:00') })
  await open(page)
  await plan(page, 'Long', { Exposure: '20 min' })
  await coatAndDry(page)
  await page.keyboard.press(' ')
  await expect(page.getByRole('heading', { name: /^Ready to expose/ })).toBeVisible()
  await page.keyboard.press(' ')
  await page.getByRole('button', { name: 'Notify me' }).click()
  await open(page, '/workroom')
  await expect(page.getByRole('switch', { name: 'Notifications' })).toBeChecked()
  await open(page, '/light')
  await expect(page.getByRole('heading', { name: /^Exposing/ })).toBeVisible()
  await expect(page.getByRole('button', { name: 'Notify me' })).toBeHidden()
})

test('the first page knows the lights of the workroom, how sure its guess is, and what the paper’s weight changes', async ({
  page,
}) => {
  await open(page, '/start')
  const main = page.getByRole('main')
  await expect(main).toContainText(/min \(.* to .*\) exposure as a first guess/)
  await expect(page.getByRole('complementary', { name: 'Margin' })).toContainText('hour, season and sky')
  await expect(main).toContainText('of washing at least; heavy paper takes longer')
  await pick(page, 'Weight of the paper', /^Heavy/, 'Heavy')
  await expect(main).not.toContainText('heavy paper takes longer')
  await main.getByRole('button', { name: 'Plan this sheet' }).click()
  await expect(page.getByRole('button', { name: 'Start counting drops' })).toBeVisible()
  // The sun of the first print is a light of the workroom now.
  await open(page, '/start')
  await expect(main.getByRole('radio', { name: 'Sun', exact: true })).toHaveCount(2)
})

test('a base exposure by the sun asks when and under what sky; an exposure follows its light', async ({
  page,
}) => {
  // By day, whenever this runs: after sunset no exposure follows the sun.
  await page.clock.setFixedTime(new Date().setUTCHours(12, 0, 0, 0))
  await open(page, `${DEMO_ADDRESS}/light/bases`)
  const main = page.getByRole('main')
  await main.getByRole('button', { name: 'Enter a base exposure' }).click()
  await pick(page, 'Light', 'the south sill')
  await main.getByLabel('Base exposure', { exact: true }).fill('9 min')
  await main.getByRole('button', { name: 'Save' }).click()
  await expect(main.getByLabel('When was it found?')).toHaveAttribute('aria-invalid', 'true')
  await main.getByLabel('When was it found?').fill('2026-06-21 02:00')
  await main.getByRole('button', { name: 'Save' }).click()
  await expect(main).toContainText('The sun was down at that time.')
  await main.getByLabel('When was it found?').fill('2026-06-21 13:00')
  await pick(page, 'Sky at that time', 'overcast')
  await main.getByRole('button', { name: 'Save' }).click()
  await expect(main).toContainText('measured 9 min')
  await expect(main).toContainText('under the south sill')

  // What is typed here is meant for the light that is chosen; what comes from another print is not.
  await open(page, `${DEMO_ADDRESS}/coat/begin`)
  const exposure = main.getByLabel('Exposure', { exact: true })
  await exposure.fill('8 min')
  await main.getByText('another UV box', { exact: true }).click()
  await expect(exposure).toHaveValue('8 min')
  await open(page, `${DEMO_ADDRESS}/prints`)
  await main.getByText('Lamp-room lens, second state').first().click()
  await main.getByRole('button', { name: 'Print again' }).click()
  await expect(exposure).toHaveValue(/min/)
  await main.getByText('another UV box', { exact: true }).click()
  await expect(main).toContainText('was for another light whose strength is not known')
  await expect(exposure).toHaveValue('')
})

test('sheets that are coated from one glass say how old it is', async ({ page }) => {
  await page.clock.install({ time: new Date('2026-03-02T10:00:00') })
  await open(page)
  await open(page, '/coat/begin')
  await page.getByText('More settings').click()
  await page.getByLabel('Title', { exact: true }).fill('Row')
  await page.getByLabel('Sheets from one mix', { exact: true }).fill('2')
  await page.getByRole('button', { name: 'Plan this sheet' }).first().click()
  await expect(page.getByRole('button', { name: 'Start counting drops' })).toBeVisible()
  await page.keyboard.press(' ')
  await measureAll(page)
  await expect(page.getByRole('heading', { name: 'Coat the sheet', level: 1 })).toBeVisible()
  await page.clock.fastForward('05:00')
  const main = page.getByRole('main')
  await expect(main).toContainText(/The glass is 5\smin old; coat from it within 4\sh/)
  await page.keyboard.press(' ')
  await main
    .getByRole('button', { name: /^2$|Sheet 2/ })
    .first()
    .click()
  await page.clock.fastForward('04:00:00')
  await expect(main).toContainText(/past its 4\sh\. Mix a new one/)
})
