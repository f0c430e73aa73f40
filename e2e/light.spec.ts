import { trueBaseDose, VIRTUAL_COATS } from '../core/tone/printResponse'
import { expect, test } from './test.ts'
import { DEMO_ADDRESS } from './browser.ts'
import { addLamp, coatAndDryQuickly, connect, runStrip } from './lamps.ts'
import { expectDim, open, pick, plan } from './workroom.ts'

test('a strip is planned, run by its cues, read by the densitometer, and the base exposure is true', async ({
  page,
}) => {
  await page.clock.install()
  await addLamp(page, 'the attic box', '4')
  await open(page, '/light/strip')
  await runStrip(page)
  await expect(page.getByText('Cover to step 1')).toBeVisible()
  await expect(page.getByText(/of 2880\smJ\/cm²/)).toBeVisible()
  await page.clock.fastForward(41_000)
  await expect(page.getByText('Cover to step 2')).toBeVisible()
  await expect(page.getByLabel('Steps of the test strip').getByText('covered')).toHaveCount(1)
  await page.clock.fastForward('11:20')
  await expect(page.getByText(/past the planned|left of/)).toContainText('past the planned')
  await page.keyboard.press(' ')
  await expect(page.getByRole('heading', { name: 'Exposed' })).toBeVisible()

  await page
    .getByRole('navigation', { name: 'Light pages' })
    .getByRole('link', { name: 'Instruments' })
    .click()
  await connect(page, 'Densitometer')
  await page.getByRole('link', { name: 'Test strip' }).click()
  await page.getByRole('link', { name: /Read sheet 1/ }).click()
  await page.getByRole('button', { name: 'Read all steps with the simulated densitometer' }).click()
  await expect(page.getByLabel('Step 12')).toHaveValue(/^\d\.\d+ \d\.\d+ \d\.\d+$/)
  const said = await page
    .getByRole('button', { name: /base exposure/ })
    .first()
    .innerText()
  const truth = trueBaseDose(VIRTUAL_COATS.developingOut, 0.04) / 4
  const [minutes = 0, seconds = 0] = [/(\d+) min/, /(\d+) s/].map((unit) =>
    Number(unit.exec(said.replace(/\u00a0/g, ' '))?.[1] ?? 0),
  )
  expect(Math.abs((minutes * 60 + seconds) / truth - 1), `${said} against ${truth} s`).toBeLessThan(0.05)

  await page.getByRole('button', { name: 'Save as base exposure' }).click()
  await expect(page.getByRole('heading', { name: 'Base exposures' })).toBeVisible()
  await expect(page.getByRole('article').first()).toContainText('from a test strip')

  // The next sheet starts from it, and a dimmer lamp gets longer.
  await page.keyboard.press('n')
  await expect(page.getByText('leave empty to use your base exposure')).toBeVisible()
})

test(
  'a strip that is too short says so; by eye the last mark cannot be chosen; typed L* are read',
  { tag: '@long' },
  async ({ page }) => {
    await page.clock.install()
    await addLamp(page, 'the attic box', '4')
    await open(page, '/light/strip')
    await page.getByLabel('Number of steps', { exact: true }).fill('1')
    await expect(page.getByText('A test strip has 2 to 24 steps.')).toBeVisible()
    await runStrip(page)
    await page.clock.fastForward('12:05')
    await page.keyboard.press(' ')
    await page
      .getByRole('navigation', { name: 'Light pages' })
      .getByRole('link', { name: 'Test strip' })
      .click()
    await page.getByRole('link', { name: /Read sheet 1/ }).click()
    for (let mark = 1; mark <= 12; mark++)
      await page.getByLabel(`Step ${mark}`, { exact: true }).fill((0.1 + mark * 0.1).toFixed(2))
    await expect(page.getByText('The strip is too short')).toBeVisible()
    await expect(page.getByRole('button', { name: 'Save as base exposure' })).toBeDisabled()
    await page.getByLabel('Step 3', { exact: true }).fill('black')
    await expect(page.getByText('“black” does not start with a number.')).toBeVisible()

    await page.getByText('L*', { exact: true }).click()
    const lightness = [80, 70, 60, 50, 40, 30, 24, 21, 20, 19.6, 19.5, 19.5]
    for (const [i, value] of lightness.entries())
      await page.getByLabel(`Step ${i + 1}`, { exact: true }).fill(String(value))
    await expect(page.getByRole('button', { name: /base exposure/ }).first()).toContainText('min')

    await page.getByText('by eye', { exact: true }).click()
    await page.getByRole('listitem').filter({ hasText: /^12/ }).getByRole('button').click()
    await expect(page.getByText('The last step has no later step to compare with.')).toBeVisible()
    await page.getByRole('listitem').filter({ hasText: /^9/ }).getByRole('button').click()
    await page.getByRole('button', { name: 'Save as base exposure' }).click()
    await expect(page.getByRole('article').first()).toContainText('by eye')
    await page.getByRole('button', { name: 'remove' }).click()
    await expect(page.getByText('No base exposure yet')).toBeVisible()
  },
)

/** A stand-in does as it was told until told otherwise; the next test, or the next try, begins with one that behaves. */

test('the day of the sun: curve, best window, any time, the sky by eye and by a forecast', async ({
  page,
}) => {
  await page.clock.install({ time: new Date('2026-06-21T10:00:00') })
  await open(page, '/light/sun')
  await page.getByLabel('Latitude, longitude').fill('nowhere')
  await page.getByRole('button', { name: 'Save place' }).click()
  await expect(page.getByText('“nowhere” is not a latitude and a longitude.')).toBeVisible()
  await page.getByLabel('Place', { exact: true }).fill('Utrecht')
  await page
    .getByRole('option', { name: 'Utrecht' })
    .or(page.getByText('Utrecht', { exact: true }))
    .last()
    .click()
  await expect(page.getByLabel('Latitude, longitude')).toHaveValue(/52\.1/)
  await page.getByRole('button', { name: 'Save place' }).click()
  await expect(page.getByRole('button', { name: /light now/ })).toContainText('mW/cm²')
  await expect(page.getByText(/best start/)).toBeVisible()
  await expect(page.getByText(/if you start at/)).toBeVisible()

  const now = async () =>
    Number(/[\d.]+/.exec(await page.getByRole('button', { name: /light now/ }).innerText())?.[0])
  const clear = await now()
  await page.getByText('overcast', { exact: true }).click()
  await expect.poll(async () => (await now()) / clear).toBeLessThan(0.4)
  await page.getByLabel('Or UV index forecast for now').fill('2')
  await page.getByRole('button', { name: 'Use this UV index' }).click()
  await expect(page.getByText('UV index 2').first()).toBeVisible()

  // The chart by keyboard and as a table.
  await page.getByRole('application', { name: /Light on the frame/ }).focus()
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('ArrowRight')
  await expect(page.locator('figcaption')).toContainText('on the hour')
  await page.getByRole('button', { name: 'Show as table' }).click()
  const rows = await page.getByRole('table', { name: 'on the hour' }).getByRole('row').count()
  expect(rows).toBeGreaterThan(12)
  await page.getByLabel('Day').fill('2026-12-21')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { level: 1 })).toContainText('21 Dec')
})

test('a tablet is typed, kept, compared, and says what suits a negative', async ({ page }) => {
  await open(page, '/light/tablet')
  const print = (steep: number) =>
    Array.from({ length: 21 }, (_, i) => (0.06 + 1.4 / (1 + Math.exp(steep * (i * 0.15 - 1.2)))).toFixed(2))
  const keep = async (name: string, readings: string[]) => {
    await page.getByLabel('Sensitizer and conditions').fill(name)
    await page.getByLabel('Readings, clear step first').fill(readings.join(' '))
    await expect(page.getByRole('button', { name: /density range the negative needs/ })).toBeVisible()
    await page.getByRole('button', { name: 'Save tablet' }).click()
    await expect(page.getByRole('checkbox', { name })).toBeChecked()
  }
  await page.getByLabel('Readings, clear step first').fill('1.4 1.3 grey')
  await expect(page.getByText('“grey” does not start with a number.')).toBeVisible()
  await page.getByLabel('Readings, clear step first').fill('1.4 1.3')
  await expect(page.getByText('A curve needs at least six steps.')).toBeVisible()
  await keep('soft', print(3))
  await keep('hard', print(6))
  const spoilt = print(4)
  spoilt[9] = '0.30'
  await page.getByLabel('Readings, clear step first').fill(spoilt.join(' '))
  await expect(page.getByLabel('Margin').first()).toContainText('Step 10: measure again')
  // A logistic's range between 0.04 above paper white and 90 % of its height: (ln 9 + ln(1.4/0.04 − 1)) / k.
  await page.getByLabel('Density range of a negative').fill(((Math.log(9) + Math.log(34)) / 6).toFixed(2))
  await expect(
    page.getByLabel('Papers and mixes that fit this negative').getByRole('listitem').first(),
  ).toContainText('hard: fits')
  const meet = page.getByRole('region', { name: 'What makes paper and negative meet' })
  await expect(meet).toContainText('6 drops')
  await expect(meet).toContainText('make a harder negative')
  await page.getByLabel('Density range of a negative').fill('1.6')
  await expect(meet).toContainText('2 drops')
  await expect(meet).not.toContainText('make a harder negative')
  // A tablet with chlorate in its coat tells of chlorate, and nothing of platinate.
  await pick(page, 'Learn from my tablet', 'hard')
  await meet.getByLabel('It was printed with', { exact: true }).fill('4')
  await pick(page, 'of', 'Oxalate with chlorate')
  await expect(meet).toContainText('0 parts')
  await expect(meet).toContainText('2 drops')
  await meet.getByRole('link', { name: 'Plan a sheet with it' }).first().click()
  const form = page.getByRole('main')
  await expect(form).toContainText('12 : 12 : 2')
  await expect(form.getByRole('radio', { name: 'Palladium', exact: true })).toBeChecked()
})

test('the light in the dim room: no blue anywhere, charts included', { tag: '@long' }, async ({ page }) => {
  await open(page, `${DEMO_ADDRESS}/light`)
  await page.keyboard.press('d')
  await expectDim(page)
  for (const path of ['lights', 'sun', 'strip', 'tablet', 'bases', 'instruments']) {
    await open(page, `${DEMO_ADDRESS}/light/${path}`)
    await page.waitForTimeout(400)
    await expectDim(page)
  }
  await open(page, `${DEMO_ADDRESS}/light/lights`)
  await page.getByText('the attic box').first().click()
  await expect(page.getByRole('application', { name: /output by hours/ })).toBeVisible()
  await page.getByRole('application', { name: /output by hours/ }).focus()
  await page.keyboard.press('ArrowRight')
  await expectDim(page)
  await open(page, `${DEMO_ADDRESS}/light/strip`)
  await page.getByRole('link', { name: /sheet 16/ }).click()
  await expect(page.getByRole('application', { name: 'Density by exposure' })).toBeVisible()
  await expectDim(page)
})

test('cues of a strip are spoken when the voice is on', { tag: '@long' }, async ({ page }) => {
  await page.addInitScript(() => {
    localStorage.setItem('ember-sheet-preferences', JSON.stringify({ speech: true }))
    const said: string[] = []
    Object.assign(window, { said })
    speechSynthesis.speak = (utterance) => void said.push(utterance.text)
  })
  await page.clock.install()
  await addLamp(page, 'the attic box', '4')
  await open(page, '/light/strip')
  await runStrip(page)
  await page.clock.runFor(41_000)
  await page.clock.runFor(12_000)
  const said = () => page.evaluate(() => (window as unknown as { said: string[] }).said)
  await expect.poll(said).toContain('Cover to step 2')
  expect((await said()).filter((words) => words.startsWith('Cover'))).toEqual([
    'Cover to step 1',
    'Cover to step 2',
  ])
})

test(
  'a lamp that is lit cold is counted by its warm-up, and the ledger of its hours grows',
  { tag: '@long' },
  async ({ page }) => {
    await page.clock.install()
    await addLamp(page, 'the attic box', '4')
    await page.getByText('Warm-up and distance').click()
    await page.getByLabel('Output at switch-on, % of full').fill('50')
    await page.getByLabel('Warm-up time (to two thirds of the rest)').fill('60 s')
    await page.getByRole('button', { name: 'Save', exact: true }).first().click()
    await page.getByLabel('Lamp to paper, mm').fill('150')
    await page.getByRole('button', { name: 'Save', exact: true }).nth(1).click()
    await page.getByText('Convert an exposure: distance, tissue, film').click()
    await page.getByLabel('New distance, mm').fill('300')
    await page.getByLabel('Transmission of one sheet, %').fill('50')
    const other = page.getByRole('button', { name: /new exposure/ })
    await expect(other).toContainText(/\d+\smin/)
    await page.getByRole('button', { name: 'Lamp is on' }).click()
    await plan(page, 'A cold start', { Exposure: '2 min' }, ['the attic box'])
    await coatAndDryQuickly(page)
    // The lamp has burnt through the waits; it is put out and lit again just before the cover comes off.
    await page.getByRole('link', { name: 'Lights' }).click()
    await page.getByText('the attic box', { exact: true }).click()
    await page.getByRole('button', { name: 'Lamp is off' }).click()
    await page.getByRole('button', { name: 'Lamp is on' }).click()
    await page.keyboard.press('6')
    await page.keyboard.press(' ')
    // Two minutes of full light from a lamp that starts at half with 60 s: t − 30·(1 − e^(−t/60)) = 120, so t = 147.4 s.
    await expect(page.getByRole('timer')).toHaveText(/2:2[5-8]/)
    await page.clock.fastForward('02:30')
    await expect(page.getByText(/past the planned/)).toBeVisible()
  },
)
