import { expect, test } from './test.ts'
import { slope } from './negatives.ts'
import { marks, practise, runUntil } from './practising.ts'
import { expectDim, open, pick } from './workroom.ts'

test('a practice print by keyboard: watched, cleared, judged a day later, and nothing of it recorded', async ({
  page,
}) => {
  await open(page, '/')
  await page.keyboard.press('9')
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Practice')
  await page.keyboard.press(' ')
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Expose')
  const canvas = page.getByLabel('The practice print now')
  await expect(canvas).toHaveAttribute('data-drawn', /\d/)
  const edge = () =>
    canvas.evaluate((shown: HTMLCanvasElement) => shown.getContext('2d')!.getImageData(500, 10, 1, 1).data.slice(0, 3).join()) // prettier-ignore
  const before = await edge()
  await page.getByText('240×').click()
  // Chosen by hand, the answer lets go of the keys: space turns the light on.
  await page.keyboard.press(' ')
  await expect(page.getByText('The frame is closed.')).toBeVisible()
  await page.keyboard.press(' ')
  await runUntil(page, 4)
  await expect(page.getByText('The frame is closed.')).toBeVisible()
  await page.keyboard.press('o')
  await expect(canvas).toBeVisible()
  await expect.poll(edge).not.toBe(before)
  await runUntil(page, 8)
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Wash')
  await runUntil(page, 8)
  await page.keyboard.press('Enter')
  await page.getByRole('group', { name: 'Wet check' }).getByText('too light').click()
  await page.getByRole('heading', { level: 1 }).click()
  await page.keyboard.press('Enter')
  await expect(
    page.getByText('Your wet check said too light; by its exposure the print is right.'),
  ).toBeVisible()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('A day later')
  expect(await marks(page, 'Exposure')).toBeGreaterThan(60)
  expect(await marks(page, 'Clearing')).toBe(100)
  await page.keyboard.press('d')
  await expectDim(page)
  await open(page, '/prints')
  await expect(page.getByText('No print hangs here yet')).toBeVisible()
})

test('a practice print that is spoilt says what was wrong: no light, no clearing, no fixer, and a hidden fault', async ({
  page,
}) => {
  await open(page, '/practice')
  const picture = page.getByLabel('Own picture', { exact: true })
  await picture.setInputFiles({ name: 'x.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('no picture') })
  await expect(page.getByText('not a supported picture')).toBeVisible()
  await picture.setInputFiles({ name: 'slope.jpg', mimeType: 'image/jpeg', buffer: await slope(400, 300) })
  await expect(page.getByRole('button', { name: 'The drawn negative' })).toBeVisible()
  await pick(page, 'Process', /Van Dyke/, 'Van')
  await pick(page, 'Hidden faults', /whites or contrast/, 'One of')
  await page.getByRole('button', { name: 'Coat the sheet' }).click()
  await expect(page.getByText('One thing is wrong with this sheet.')).toBeVisible()
  // The picture with clear film all round: 400 pixels are brought to no more than they are.
  await expect(page.getByLabel('The practice print now')).toHaveAttribute('width', '428')
  for (const title of ['Clear in water', 'Fix in weak hypo', 'Final wash', 'Hang to dry', 'A day later']) {
    await page.getByRole('button', { name: /Into the baths|Next step|Look a day/ }).click()
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(title)
  }
  await expect(page.getByText('This sheet was not exposed')).toBeVisible()
  await expect(page.getByText(/Sensitizer is left in the whites/)).toBeVisible()
  await expect(page.getByText('it will not last')).toBeVisible()
  expect(await marks(page, 'Exposure')).toBe(0)
  await expect(page.getByText('Not named yet.')).toBeVisible()
  await pick(page, 'What was wrong with the sheet?', 'Coat too old')
  await expect(
    page.getByRole('status').filter({ hasText: /That was it|It was something else/ }),
  ).toBeVisible()
  await page.getByRole('button', { name: 'Practise again' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Practice')
})

test('lessons: one failed, one passed, and one that a teacher wrote', async ({ page }) => {
  await open(page, '/practice/lessons')
  const list = page.getByRole('list', { name: 'Lessons' })
  await list.getByRole('link', { name: 'Clearing by eye' }).click()
  await expect(page.getByText('which should be paper white')).toBeVisible()
  // Not cleared at all.
  await practise(page, {})
  await expect(page.getByRole('status').filter({ hasText: 'Not passed yet.' })).toBeVisible()
  await expect(page.getByText('Clearing: 0, needed 95')).toBeVisible()
  await page.getByRole('button', { name: 'Practise again' }).click()
  await practise(page, { citric: 10 })
  await expect(page.getByRole('status').filter({ hasText: 'Passed.' })).toBeVisible()
  await page.getByRole('link', { name: 'All lessons' }).click()
  await expect(page.getByText('1 of 28 passed')).toBeVisible()

  const file = page.getByLabel('File of lessons', { exact: true })
  const json = (lesson: object) => ({
    name: 'lessons.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify({ format: 'ember-sheet-lessons', version: 1, lessons: [lesson] })),
  })
  const taught = { id: 'taught', title: 'From our class', processId: 'kallitype', sheet: { coverage: 0.5 }, causeId: 'coat-thin', before: 'Look closely.', after: 'It was thin.', aims: {} } // prettier-ignore
  await file.setInputFiles(json({ ...taught, processId: 'unknown' }))
  await expect(page.getByText(/is of a process that cannot be practised/)).toBeVisible()
  await file.setInputFiles(json(taught))
  await expect(page.getByText('1 of 29 passed')).toBeVisible()
  // Starting over is undone like anything else.
  await page.getByRole('button', { name: 'Start over' }).click()
  await expect(page.getByText('0 of 28 passed')).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByText('1 of 29 passed')).toBeVisible()
  await list.getByRole('link', { name: 'From our class' }).click()
  await expect(page.getByText('Look closely.').first()).toBeVisible()
  await page.getByRole('button', { name: 'Coat the sheet' }).click()
  for (const title of [
    'Develop in citrate',
    'Clear in citric acid',
    'Fix',
    'Final wash',
    'Hang to dry',
    'A day later',
  ]) {
    await page.getByRole('button', { name: /Into the baths|Next step|Look a day/ }).click()
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(title)
  }
  await expect(page.getByText('Name the cause to finish this lesson.')).toBeVisible()
  await pick(page, 'What was wrong with the sheet?', 'Coat too old')
  await expect(page.getByText('It was something else: Not enough sensitizer.')).toBeVisible()
  await expect(page.getByRole('status').filter({ hasText: 'Not passed yet.' })).toBeVisible()
  // The first cause that is named counts.
  await pick(page, 'What was wrong with the sheet?', 'Not enough sensitizer')
  await expect(page.getByText('That was it: Not enough sensitizer.')).toBeVisible()
  await expect(page.getByText('It was thin.')).toBeVisible()
  await expect(page.getByRole('status').filter({ hasText: 'Not passed yet.' })).toBeVisible()
})

test('a change is tried before paper is used: from a planned sheet to two ways side by side', async ({
  page,
}) => {
  await open(page, '/coat/begin')
  await page.getByRole('link', { name: 'Try it first' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Try it first')
  const [one, other] = [page.getByRole('region', { name: 'As planned' }), page.getByRole('region', { name: 'The other way' })] // prettier-ignore
  const blackOf = async (way: typeof one) =>
    Number(/black L\* (\d+)/.exec((await way.textContent()) ?? '')?.[1])
  for (const way of [one, other]) await expect(way.locator('canvas')).toHaveAttribute('data-drawn', /\d/)
  const before = await blackOf(other)
  // Three stops less, by key: a paler black.
  const exposure = other.getByRole('slider', { name: 'Exposure' })
  await exposure.focus()
  await page.keyboard.press('Home')
  await expect(other).toContainText('−3.0 stops')
  expect(await blackOf(other)).toBeGreaterThan(before + 5)
  const sound = await blackOf(one)
  await one.getByText('Paper with chalk').click()
  await expect.poll(() => blackOf(one)).toBeGreaterThan(sound + 5)
  // Another process beside it: its own time, cautions and price.
  await expect(other).toContainText('Potassium ferricyanide')
  await other
    .getByRole('combobox', { name: 'Process' })
    .locator('xpath=ancestor::*[contains(@class,"el-select__wrapper")]')
    .click()
  await page.keyboard.type('Kalli')
  await page.getByRole('option', { name: 'Kallitype' }).first().click()
  await expect(other).toContainText('Silver nitrate')
  await expect(other).not.toContainText('Potassium ferricyanide')
  await expect(other.getByText('Toned in')).toBeVisible()
  await expect(one).toContainText('Potassium ferricyanide')
  await expect(one).toContainText('no price known')
})

test('a school of printing damp moves the humidity, which can still be set', async ({ page }) => {
  await open(page, '/practice/try?process=gold-platinum')
  const one = page.getByRole('region', { name: 'One way' })
  await expect(one).toContainText('Gold-platinum')
  await expect(one.locator('output').filter({ hasText: '50 %' })).toBeVisible()
  await one.getByRole('combobox', { name: 'Printed' }).locator('xpath=ancestor::*[contains(@class,"el-select__wrapper")]').click() // prettier-ignore
  await page.getByRole('option', { name: /humid/i }).first().click()
  await expect(one.locator('output').filter({ hasText: '70 %' })).toBeVisible()
  await one.getByRole('slider', { name: 'Humidity' }).focus()
  await page.keyboard.press('ArrowLeft')
  await expect(one.locator('output').filter({ hasText: '65 %' })).toBeVisible()
})
