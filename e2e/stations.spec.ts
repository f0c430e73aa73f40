import { expect, test } from './test.ts'
import { coatAndDry, countDrops, measureAll, open, photograph, plan } from './workroom.ts'

test('every station says what brings something to it, and offers that step', async ({ page }) => {
  await open(page)
  for (const [key, title, action] of [
    ['1', 'Start with one sheet of paper', 'Make a first print'],
    ['2', 'Your shelf is empty', 'Add a chemical'],
    ['3', 'No paper yet', 'Add a paper'],
    ['4', 'No sheet is being coated', 'New sheet'],
    ['5', 'Negative', 'Choose a picture'],
    ['6', 'No sheet is ready to expose', 'New sheet'],
    ['7', 'No prints in the trays', 'Go to Light'],
    ['8', 'No print hangs here yet', 'New sheet'],
  ] as const) {
    await page.keyboard.press(key)
    await expect(page.getByRole('heading', { name: title })).toBeVisible()
    await expect(page.getByRole('button', { name: action })).toBeVisible()
  }
  await expect(page.getByText('No clock is running.')).toBeVisible()
  await page.goto('/prints/00000000-0000-4000-8000-000000000009')
  await expect(page.getByRole('heading', { name: 'Sheet not found' })).toBeVisible()
  await page.goto('/no/such/place')
  await expect(page.getByRole('heading', { name: 'Start with one sheet of paper' })).toBeVisible()
})

test('a plan is refused where it cannot be read, and nothing typed is lost', async ({ page }) => {
  await open(page)
  await page.keyboard.press('n')
  const size = page.getByLabel('Picture size')
  for (const [typed, said] of [
    ['8', '“8” is not two lengths. Enter a size such as 8 x 10 in or 20 x 25 cm.'],
    ['8 x 10 parsec', '“parsec” is not a known unit.'],
    ['8 x 10 g', '“g” is a unit for a weight; this field needs a length.'],
    ['0 x 10', 'Both sides must be above zero.'],
  ] as const) {
    await size.fill(typed)
    await expect(page.getByText(said)).toBeVisible()
    await expect(size).toHaveAttribute('aria-invalid', 'true')
  }
  await size.fill('20,5 x 25 cm')
  await expect(size).toHaveAttribute('aria-invalid', 'false')
  await page.getByText('More settings').click()
  await page.getByLabel('Ratio').fill('2')
  await expect(page.getByText('“2” is not a ratio of 2 parts. Enter it like 1 : 1.')).toBeVisible()
  await page.getByLabel('Ratio').fill('2 : 1')
  await page.getByRole('button', { name: 'Plan this sheet' }).first().click()
  await expect(
    page.getByText('The sheet has no title. Enter a title so that you can find this sheet later.'),
  ).toBeVisible()
  await expect(size).toHaveValue('20,5 x 25 cm')
  await page.getByLabel('Title', { exact: true }).fill('Seven posts')
  await page.getByRole('button', { name: 'Plan this sheet' }).first().click()
  await expect(
    page
      .getByText('27 drops of iron citrate, 13 drops of ferricyanide')
      .or(page.getByText(/drops of iron citrate/))
      .first(),
  ).toBeVisible()
})

test('a plan can be changed until work begins, and the next sheet starts from the last', async ({ page }) => {
  await open(page)
  await plan(page, 'Horn house', {
    Paper: 'Heron rag',
    'Paper weight, g/m²': '300',
    'Bottle of iron citrate': 'A-7',
  })
  await page.getByRole('button', { name: 'Edit plan' }).click()
  await expect(page.getByLabel('Title', { exact: true })).toHaveValue('Horn house')
  await expect(page.getByLabel('Paper', { exact: true })).toHaveValue('Heron rag')
  await page.getByLabel('Picture size').fill('11x14')
  await page.getByRole('button', { name: 'Save changes' }).click()
  await expect(page.getByRole('heading', { name: /11 × 14 in/ })).toBeVisible()

  await page.keyboard.press('n')
  await expect(page.getByText('Sheet 2 · Classic cyanotype')).toBeVisible()
  await expect(page.getByLabel('Title', { exact: true })).toHaveValue('')
  await expect(page.getByLabel('Picture size')).toHaveValue(/11.×.14.in/)
  await expect(page.getByLabel('Bottle of iron citrate')).toHaveValue('A-7')
  // A paper that is known brings its weight with it.
  await page.getByLabel('Paper weight, g/m²').fill('')
  await page.getByLabel('Paper', { exact: true }).fill('')
  await page.getByLabel('Paper', { exact: true }).fill('Heron rag')
  await expect(page.getByLabel('Paper weight, g/m²')).toHaveValue('300')
})

test('the larger count that keeps the ratio better can be taken', async ({ page }) => {
  await open(page)
  await page.keyboard.press('n')
  await page.getByText('More settings').click()
  await page.getByLabel('Ratio').fill('2 : 1')
  await page.getByLabel('Title', { exact: true }).fill('Small lens')
  await page.getByLabel('Picture size', { exact: true }).fill('10 x 13 cm')
  await page.getByRole('button', { name: 'Plan this sheet' }).first().click()
  await expect(page.getByText('12 drops in all (8 + 4) would match the ratio better.')).toBeVisible()
  await page.getByRole('button', { name: 'Use 8 + 4' }).click()
  await measureAll(page)
  await expect(page.getByRole('heading', { name: 'Coat the sheet', level: 1 })).toBeVisible()
})

test('bottles set the true strengths, and the school does where none is named', async ({ page }) => {
  await open(page)
  await plan(page, 'Tide gauge', { 'Bottle of iron citrate': 'A-1' }, ['20 % + 8 %'])
  await expect(page.getByRole('button', { name: /10 % w\/v ferric ammonium citrate/ })).toBeVisible()
  await expect(page.getByRole('button', { name: /4 % w\/v potassium ferricyanide/ })).toBeVisible()
  // The bottle stands on the shelf at 20 % now, so another school does not change what is in it.
  await plan(page, 'Tide gauge, again', { 'Bottle of iron citrate': 'A-1' }, ['10 % + 10 %'])
  await expect(page.getByRole('button', { name: /10 % w\/v ferric ammonium citrate/ })).toBeVisible()
  await expect(page.getByRole('button', { name: /5 % w\/v potassium ferricyanide/ })).toBeVisible()
})

test('undo goes back press by press, over a reload too', async ({ page }) => {
  await open(page)
  await plan(page, 'Net loft', { 'Picture size': '4x5' })
  await page.keyboard.press(' ')
  await countDrops(page, 5)
  await page.keyboard.press(' ')
  await expect(page.getByRole('heading', { name: 'Coat the sheet', level: 1 })).toBeVisible()
  await page.reload()
  await expect(page.getByRole('heading', { name: 'Coat the sheet', level: 1 })).toBeVisible()
  await page.keyboard.press('u')
  await expect(page.getByText('Undone: the end of the step; its clock runs on.')).toBeVisible()
  const last = page.getByLabel('Ferricyanide, drops counted')
  for (const left of ['4', '3']) {
    await page.keyboard.press('u')
    await expect(last).toHaveValue(left)
  }
  await page.keyboard.press(' ')
  await expect(last).toHaveValue('4')
})

test('two prints wash side by side, each by its own clock', { tag: '@long' }, async ({ page }) => {
  await page.clock.install({ time: new Date('2026-03-02T10:00:00') })
  await open(page)
  for (const title of ['Bell buoy', 'Rope walk']) {
    await plan(page, title, { 'Picture size': '8x10', Exposure: '5 min' })
    await coatAndDry(page)
    await page.keyboard.press(' ')
    await expect(page.getByRole('heading', { name: /Ready to expose/ })).toBeVisible()
    await page.keyboard.press(' ')
    await expect(page.getByRole('heading', { name: /Exposing/, level: 1 })).toBeVisible()
    await page.clock.fastForward('05:10')
    await page.keyboard.press('Enter')
    await expect(page.getByRole('heading', { name: 'Exposed' })).toBeVisible()
    await page.keyboard.press(' ')
    await expect(page.getByRole('heading', { name: 'Next: wash' })).toBeVisible()
    if (title === 'Bell buoy') {
      await page.keyboard.press(' ')
      await expect(page.getByRole('heading', { name: 'Wash', exact: true, level: 1 })).toBeVisible()
    }
  }
  await page.keyboard.press(' ')
  await expect(page.getByRole('heading', { name: 'Wash', exact: true, level: 1 })).toBeVisible()
  const trays = page.getByRole('listitem').filter({ hasText: 'at least 5 min' })
  await expect(trays.getByRole('button')).toHaveText([/^Sheet 2, /, /^Sheet 1, /])
  await page.keyboard.press('w')
  await expect(page.getByRole('button', { name: 'Water changed (1)' })).toBeVisible()

  // The first has lain there since before the second was coated; taking it out leaves the other where it is.
  await page.getByRole('navigation', { name: 'Sheets here' }).getByRole('button', { name: 'Sheet 1' }).click()
  await expect(page.getByText('past the minimum 5 min: judge by eye')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Water changed', exact: true })).toBeVisible()
  await page.keyboard.press(' ')
  await expect(page.getByRole('heading', { name: 'Drying', level: 1, exact: true })).toBeVisible()
  await expect(page.getByRole('region', { name: 'Running clocks' }).getByRole('button')).toHaveText([
    /Sheet 2 · washing/,
  ])
})

test('a sheet is set aside with its reason, noted, and both can be taken back', async ({ page }) => {
  await open(page)
  await plan(page, 'Keeper’s stair')
  await page.keyboard.press(' ')
  await expect(page.getByRole('button', { name: 'Next drop' })).toBeVisible()
  await page.keyboard.press('8')
  await page.getByRole('listitem').getByText('Keeper’s stair').click()
  await expect(page.getByRole('heading', { name: 'Keeper’s stair', level: 1 })).toBeVisible()
  await page.keyboard.press('t')
  await page.getByRole('textbox', { name: 'Note' }).fill('The lamp flickers at the left end.')
  await page.getByRole('button', { name: 'Save note' }).click()
  await expect(page.getByText('The lamp flickers at the left end.')).toBeVisible()
  await page.getByRole('button', { name: 'Set aside' }).click()
  await page.getByRole('textbox', { name: /Reason for setting it aside/ }).fill('Dropped it, coat side down.')
  await page.getByRole('button', { name: 'Set aside' }).click()
  await expect(page.getByText('Classic cyanotype, set aside')).toBeVisible()
  await page.keyboard.press('u')
  await expect(page.getByText('Undone: setting it aside.')).toBeVisible()
  await expect(page.getByText('Dropped it, coat side down.')).toBeHidden()
  await expect(page.getByText('The lamp flickers at the left end.')).toBeVisible()
})

test(
  'several photographs of one print are kept and can be looked through',
  { tag: '@long' },
  async ({ page }) => {
    await open(page)
    await plan(page, 'Lens')
    await page.goto('/prints')
    await page.getByRole('listitem').getByText('Lens').click()
    const file = page.getByLabel('Photo file')
    const shown = page.getByRole('img', { name: 'Photo of Lens' })
    for (const [name, red] of [
      ['wet', 30],
      ['dry', 220],
    ] as const) {
      await file.setInputFiles({ name: `${name}.jpg`, mimeType: 'image/jpeg', buffer: await photograph(red) })
      await expect(shown).toBeVisible()
    }
    await expect(page.getByRole('button', { name: '2', exact: true })).toHaveAttribute('aria-pressed', 'true')
    const address = await shown.getAttribute('src')
    await page.getByRole('button', { name: '1', exact: true }).click()
    await expect(shown).not.toHaveAttribute('src', address ?? '')
    await page.keyboard.press('u')
    await expect(page.getByRole('button', { name: '2', exact: true })).toBeHidden()
  },
)

test(
  'more light is refused where it cannot be read, and given where it can',
  { tag: '@long' },
  async ({ page }) => {
    await page.clock.install({ time: new Date('2026-03-02T10:00:00') })
    await open(page)
    await plan(page, 'Posts', { Exposure: '6 min' })
    await coatAndDry(page)
    await page.keyboard.press(' ')
    await expect(page.getByRole('heading', { name: /Ready to expose/ })).toBeVisible()
    await page.keyboard.press('+')
    const typed = page.getByLabel('Or enter it')
    for (const [text, said] of [
      ['2', '“2” could be stops, percent or minutes. Enter 1/3 stop, 10 % or 2 min.'],
      ['-100 %', 'This would leave no exposure.'],
      ['2 drops', 'is a unit for a count of drops'],
    ] as const) {
      await typed.fill(text)
      await expect(page.getByText(said)).toBeVisible()
      await expect(page.getByRole('button', { name: 'Apply change', exact: true }).first()).toBeDisabled()
    }
    await typed.fill('-1/2 stop')
    await expect(page.getByText('to 4 min 15 s')).toBeVisible()
    await typed.press('Enter')
    await expect(page.getByText('Planned exposure now 4 min 15 s.')).toBeVisible()
    await expect(page.getByRole('button', { name: '4 min 15 s planned exposure' })).toBeVisible()
  },
)
