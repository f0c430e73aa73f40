import sharp from 'sharp'
import { expect, test } from './test.ts'
import { button, margin, openPrint } from './demoPrints.ts'
import { DEMO_ADDRESS } from './browser.ts'
import { expectDim, open, pick } from './workroom.ts'

test('the collection is sifted and searched, walked by arrows, and two prints are set side by side', async ({
  page,
}) => {
  await open(page, `${DEMO_ADDRESS}/prints`)
  const prints = page.getByRole('listitem')
  await expect(page.getByRole('status').filter({ hasText: '24 prints' })).toBeVisible()
  await page.getByLabel('Search prints').fill('lens thin')
  await expect(prints).toHaveCount(1)
  await expect(prints).toContainText('21 Lamp-room lens')
  await page.getByRole('button', { name: 'show all' }).click()

  await pick(page, 'A value', 'Dmax')
  await page.getByLabel('From', { exact: true }).fill('deep')
  await expect(page.getByText(/“deep” (does not start with|is not) a number/)).toBeVisible()
  await page.getByLabel('From', { exact: true }).fill('0.9')
  await page.getByLabel('To', { exact: true }).fill('1,1')
  await expect(prints).toHaveCount(1)
  await expect(prints).toContainText('21 Lamp-room lens')
  await page.getByRole('button', { name: 'show all' }).click()
  await expect(page.getByRole('status').filter({ hasText: '24 prints' })).toBeVisible()

  await prints.first().getByRole('button').first().focus()
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('ArrowDown')
  const focused = () => page.evaluate(() => document.activeElement?.textContent?.trim().slice(0, 2))
  await expect.poll(focused).toBe('30')
  // Keys that come before the next frame is drawn count as well.
  const first = await prints.first().textContent()
  await page.evaluate(() => {
    for (const key of ['ArrowUp', 'ArrowLeft'])
      document.activeElement?.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }))
  })
  await expect.poll(focused).toBe(first?.trim().slice(0, 2))

  await page.getByLabel('Search prints').fill('lens state')
  await button(page, 'Select sheet 22 to compare').click({ force: true })
  await expect(margin(page)).toContainText('Sheet 22 is selected')
  await page.getByLabel('Search prints').fill('lens thin')
  await button(page, 'Select sheet 21 to compare').click({ force: true })
  await expect(margin(page)).toContainText('Sheet 22, beside sheet 21')
  await expect(margin(page)).toContainText('light: the south sill → the attic box')
  await page.getByRole('button', { name: 'Compare', exact: true }).click()

  await expect(page.getByRole('heading', { name: 'Sheet 21 and Sheet 22', level: 1 })).toBeVisible()
  const cameOut = page.getByRole('region', { name: 'Results' })
  await expect(cameOut.getByRole('row', { name: /Dmax 0\.98 1\.46/ })).toContainText('ΔE₀₀')
  await expect(cameOut.getByRole('row', { name: /Shadows thin right/ })).toBeVisible()
  const differs = page.getByRole('region', { name: 'Differences in their records' })
  await expect(differs.getByRole('row', { name: /light the south sill the attic box/ })).toBeVisible()
  await page.keyboard.press(' ')
  await expect(cameOut).toBeHidden()
  await expect(page.getByRole('img', { name: /Photo of sheet 2[12]/ })).toHaveCount(2)
  await page.keyboard.press('d')
  await expectDim(page)
  await page.keyboard.press('s')
  await expect(page.getByRole('heading', { name: 'Sheet 22 and Sheet 21', level: 1 })).toBeVisible()
})

test('a talk with a print that went wrong: looks, record, question, test, and what it was', async ({
  page,
}) => {
  await openPrint(page, 'drawer loose', '24 Keeper’s stair')
  await page.keyboard.press('w')
  await expect(page.getByRole('heading', { name: 'What went wrong?' })).toBeVisible()
  await expect(margin(page)).toContainText('old at exposure, usable for 3 days')
  const first = page.getByRole('region', { name: 'Likely causes' }).getByRole('listitem').first()
  await expect(first).toContainText('Coat too old')
  await expect(first).toContainText('times more likely')

  // A question that no record answers moves the causes, and can be taken back.
  const heat = page.getByRole('heading', { name: 'Was the coat dried with warm air or near a heater?' })
  await expect(heat).toBeVisible()
  await page.keyboard.press('y')
  await expect(heat).toBeHidden()
  // An answer can be changed and removed, and any question answered, in whatever order.
  const answers = page.getByRole('list', { name: 'Your answers' })
  await expect(answers).toContainText('dried with heat')
  await answers
    .getByRole('listitem')
    .filter({ hasText: 'dried with heat' })
    .getByRole('button', { name: 'change to no' })
    .click()
  await expect(answers).toContainText('dried without heat')
  await page
    .getByRole('button', { name: /^Not sure: / })
    .first()
    .click()
  await pick(page, 'Something else that you know', /^Was the paper rubbed/, 'rubbed')
  await page.getByRole('button', { name: 'No', exact: true }).click()
  await expect(answers).toContainText('surface sound')
  await answers
    .getByRole('listitem')
    .filter({ hasText: 'surface sound' })
    .getByRole('button', { name: 'remove' })
    .click()
  await expect(answers).not.toContainText('surface sound')
  await answers
    .getByRole('listitem')
    .filter({ hasText: 'dried without heat' })
    .getByRole('button', { name: 'remove' })
    .click()
  await expect(heat).toBeVisible()

  // When it was first seen is one question; the answer moves the causes and can be removed.
  await pick(page, 'Something else that you know', 'When did you first see it?', 'When did')
  await page.getByRole('button', { name: 'on the dry coat' }).click()
  await expect(answers).toContainText('first seen on the dry coat')
  await expect(first).toContainText('first seen on the dry coat')
  await answers
    .getByRole('listitem')
    .filter({ hasText: 'first seen' })
    .getByRole('button', { name: 'remove' })
    .click()
  await expect(answers).not.toContainText('first seen')
  // A cause says what looks the same, how to prove it, and what can be done for this print.
  await expect(first).toContainText('Solution past its shelf life but then: the coat was fresh')
  await expect(first).toContainText('A coated scrap, never exposed.')
  await expect(first).toContainText('This print cannot be fixed. Print it again.')

  // What is seen is picked by look.
  await page.getByRole('button', { name: 'edit' }).click()
  await page.getByRole('checkbox', { name: /Not sharp/ }).check()
  await button(page, /Show likely causes \(3\)/).click()
  await expect(page.getByText('not sharp', { exact: false }).first()).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByText('You see: fogged whites; whites blue.')).toBeVisible()

  // The test that tells most becomes a planned sheet with one press.
  await button(page, 'Plan this sheet').click()
  await expect(page.getByLabel('Title', { exact: true })).toHaveValue(/^Keeper’s stair: /)
  await expect(margin(page)).toContainText('One thing changed:')
  await button(page, 'Plan this sheet').click()
  await expect(button(page, 'Start counting drops')).toBeVisible()
  await openPrint(page, 'drawer loose', '24 Keeper’s stair')
  await expect(page.getByText(/Reprinted as sheet 3[78]/)).toBeVisible()
  await page.keyboard.press('w')
  await expect(page.getByRole('heading', { name: /^In progress: / })).toBeVisible()
  await button(page, 'The fault is gone').click()
  await expect(page.getByText('Result: without the fault')).toBeVisible()

  await page.getByRole('button', { name: 'Less likely causes' }).click()
  const cause = page.getByRole('button', { name: /^Coat too old/ })
  if ((await cause.getAttribute('aria-expanded')) === 'false') await cause.click()
  const mine = page.getByRole('listitem').filter({ has: cause })
  await mine.getByRole('button', { name: 'Confirm this cause' }).click()
  await expect(page.getByText('It was: coat too old.')).toBeVisible()

  // It counts for the next print, and says so.
  await openPrint(page, 'cloud sat', '21 Lamp-room lens')
  await page.keyboard.press('w')
  await page.getByRole('checkbox', { name: /Weak and pale/ }).check()
  await page.keyboard.press('d')
  await expectDim(page)
  await page.keyboard.press('d')
  await button(page, /Show likely causes/).click()
  await expect(margin(page)).toContainText('2 confirmed cases of your own are included')
  await page.keyboard.press('d')
  await expectDim(page)
})

test(
  'a print is measured, typed and from a photo with a grey in it, and followed over time',
  { tag: '@long' },
  async ({ page }) => {
    await openPrint(page, 'lens state', '22 Lamp-room lens, second state')
    await expect(margin(page)).toContainText(/Dmax: will settle by about ΔE₀₀ \d\.\d, to L\* a\* b\* 1\d\.\d/)
    await openPrint(page, 'horn house landing', '19 Horn house')
    await expect(margin(page)).toContainText('Colour settling')
    await expect(margin(page)).toContainText('This change is settling. Any later change is fading.')

    await openPrint(page, 'slack water', '26 Tide gauge')
    await expect(page.getByRole('button', { name: 'Measure' })).toBeVisible()
    await page.keyboard.press('m')
    await page.getByLabel('Dmax, density').fill('black')
    await button(page, 'Save measurement').click()
    await expect(page.getByText('“black” does not start with a number.')).toBeVisible()
    await expect(margin(page)).toContainText('Dry-down')
    await page.getByRole('button', { name: 'include colour' }).click()
    await expect(page.getByLabel('L* a* b*').first()).toBeFocused()
    await page.getByLabel('Dmax, density').fill('1,45')
    await page.getByLabel('Paper white, density').fill('0.07')
    await page.getByText('Dry', { exact: true }).click()
    await button(page, 'Save measurement').click()
    await expect(page.getByText('black 1.45; white 0.07; typed')).toBeVisible()

    // A photograph: a field of 18 % grey, one of bare paper, one of the deepest tone.
    const field = (code: number, left: number) => ({
      input: {
        create: { width: 300, height: 400, channels: 3 as const, background: { r: code, g: code, b: code } },
      },
      left,
      top: 0,
    })
    // Below them lies a strip of three steps, each as wide.
    const step = (code: number, left: number) => ({ ...field(code, left), top: 400 })
    const photo = await sharp({ create: { width: 900, height: 800, channels: 3, background: '#000' } })
      .composite([
        field(118, 0),
        field(230, 300),
        field(60, 600),
        step(200, 0),
        step(140, 300),
        step(90, 600),
      ])
      .png()
      .toBuffer()
    await page
      .getByLabel('Photo file')
      .setInputFiles({ name: 'grey.png', mimeType: 'image/png', buffer: photo })
    await expect(page.getByText('Photo added')).toHaveCount(2)
    await page.keyboard.press('m')
    await page.getByRole('button', { name: 'from its photo, with a grey card' }).click()
    const canvas = page.getByRole('application', { name: /Photo to point at/ })
    await expect.poll(() => canvas.evaluate((one) => (one as HTMLCanvasElement).width)).toBe(900)
    const box = (await canvas.boundingBox())!
    for (const [what, across, down] of [['Grey card', 0.17, 0.25], ['Paper white', 0.5, 0.25], ['Dmax', 0.83, 0.25], ['First step of a step scale', 0.17, 0.75], ['Last step of the step scale', 0.83, 0.75]] as const) {
    await page.getByText(what, { exact: true }).click()
    await canvas.click({ position: { x: box.width * across, y: box.height * down } })
  } // prettier-ignore
    await page.getByLabel('Steps of the step scale').fill('many')
    await expect(page.getByText('Enter a whole number from 2 to 41.')).toBeVisible()
    await button(page, 'Read values').click()
    await expect(page.getByRole('alert')).toContainText(
      'The step scale needs both ends and a number of steps.',
    )
    await page.getByLabel('Steps of the step scale').fill('3')
    await button(page, 'Read values').click()
    // Codes 118, 230 and 60 are 18.1 %, 79.1 % and 4.5 % of light (IEC 61966-2-1): densities 0.74, 0.10 and 1.35.
    await expect(page.getByLabel('Paper white, density')).toHaveValue(/^0\.(09|10|11)$/)
    await expect(page.getByLabel('Dmax, density')).toHaveValue(/^1\.3[3-7]$/)
    // The steps are 57.8 %, 26.2 % and 10.2 % of light: densities 0.24, 0.58 and 0.99.
    const patches = page.getByLabel('Patch', { exact: true })
    await expect(patches).toHaveCount(3)
    await expect(patches.nth(2)).toHaveValue('step 3')
    const densities = page.getByLabel('Density', { exact: true })
    await expect(densities.nth(0)).toHaveValue(/^0\.2[2-5]$/)
    await expect(densities.nth(1)).toHaveValue(/^0\.(57|58|59)$/)
    await expect(densities.nth(2)).toHaveValue(/^(0\.9[7-9]|1\.00|1\.01)$/)
    await button(page, 'Save measurement').click()
    await expect(page.getByText('from a photo', { exact: false })).toBeVisible()
    await expect(page.getByText(/step 2 0\.5\d/).first()).toBeVisible()

    await open(page, `${DEMO_ADDRESS}/prints/trends`)
    const lamp = page.getByRole('region', { name: /^Lamp output/ })
    await expect(lamp).toContainText('is the sixth in a row that rises or falls')
    await lamp.getByRole('button', { name: 'Show as table' }).click()
    await expect(lamp.getByRole('table').first()).toContainText('4.21')
    await page.keyboard.press('d')
    await expectDim(page)
  },
)
