import type { Download } from '@playwright/test'
import sharp from 'sharp'
import { expect, test } from './test.ts'
import { DEMO_ADDRESS } from './browser.ts'
import { filmOf } from './films.ts'
import { expectDim, open } from './workroom.ts'
import { choose, drop, made, slope } from './negatives.ts'

test('a picture becomes a 16-bit negative of exact size, inverted and mirrored', async ({ page }) => {
  await open(page, '/negative')
  await expect(page.getByRole('button', { name: 'Make negative' })).toBeDisabled()
  await drop(page, await slope())
  await expect(page.getByRole('heading', { name: 'slope.jpg' })).toBeVisible()
  await expect(page.getByText(/2880 × 3600 at 360 ppi/)).toBeVisible()
  await page.getByLabel('Resolution, ppi').fill('100')
  const download = await made(page)
  expect(download.suggestedFilename()).toBe('slope-negative.png')
  const { meta, at } = await filmOf(download)
  expect(meta).toMatchObject({ width: 800, height: 1000, depth: 'ushort', density: 100 })
  // Left is right on the film: the picture's white, all the ink, lies at the left.
  expect(at(2, 500)).toBeLessThan(2000)
  expect(at(797, 500)).toBeGreaterThan(63_000)
  for (let x = 20; x < 780; x += 40) expect(at(x + 20, 500)).toBeGreaterThan(at(x, 500))
  // L* 50 is sRGB 119 of 255; as much ink as the picture is light.
  expect(Math.abs(at(799 - Math.round((799 * 119) / 255), 500) / 65_535 - 0.5)).toBeLessThan(0.01)

  await page.getByRole('group', { name: 'Settings for' }).getByText('the film', { exact: true }).click()
  await page.getByText('not mirrored', { exact: true }).click()
  const straight = await filmOf(await made(page))
  expect(straight.at(2, 500)).toBeGreaterThan(63_000)
})

test('long works wait in a row, show how far they are and can be stopped, wherever one goes meanwhile', async ({
  page,
}) => {
  await open(page, '/negative')
  const sixteen = await sharp(await slope(400, 500))
    .toColourspace('grey16')
    .png()
    .toBuffer()
  await choose(page, sixteen, 'deep.png', 'image/png')
  await expect(page.getByText(/from 400 × 500, 16 bit/)).toBeVisible()
  await page.getByLabel('Picture size').fill('24 x 30 in')
  const make = page.getByRole('button', { name: 'Make negative' })
  await make.click()
  await page.getByLabel('Picture size').fill('4 x 5 in')
  await make.click()
  const row = page.getByRole('list', { name: 'Films in progress' })
  await expect(row.getByRole('progressbar')).toBeVisible()
  await expect(row.getByText('waiting')).toBeVisible()
  await page.keyboard.press('1')
  await expect(page.getByLabel('Running clocks')).toContainText('deep-negative.png')
  await page.getByLabel('Running clocks').getByText('deep-negative.png · in progress').click()
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    row.getByRole('button', { name: 'Stop deep-negative.png' }).first().click(),
  ])
  // The first one was stopped; the next one was made.
  expect((await filmOf(download)).meta).toMatchObject({ width: 1440, height: 1800 })
  await expect(row).toBeHidden()
  await expect(page.getByRole('alert')).toBeHidden()
  await expect(page.getByRole('list', { name: 'Recent films' }).getByText('deep-negative.png')).toHaveCount(1)
})

test('tones are pulled on the ladder by key and by mouse, and the film follows', async ({ page }) => {
  await open(page, '/negative')
  await choose(page, await slope())
  await page.getByLabel('Resolution, ppi').fill('72')
  const black = page.getByRole('slider', { name: 'Tone of the picture at the black point' })
  await black.focus()
  for (let i = 0; i < 4; i++) await page.keyboard.press('PageUp')
  await expect(black).toHaveAttribute('aria-valuetext', 'L* 20 becomes 0')
  await page.getByRole('button', { name: 'Add a point' }).click()
  const middle = page.getByRole('slider', { name: 'What point 1 becomes' })
  await middle.focus()
  await page.keyboard.press('ArrowUp')
  await expect(middle).toHaveAttribute('aria-valuenow', '51')
  const box = (await middle.boundingBox())!
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
  await page.mouse.down()
  await page.mouse.move(box.x + 5, box.y + 60, { steps: 4 })
  await page.mouse.up()
  expect(Number(await middle.getAttribute('aria-valuenow'))).toBeLessThan(40)
  const { at, width } = await filmOf(await made(page))
  // L* 18 is sRGB 46: below the black point, no ink at all.
  expect(at(width - 1 - Math.round((width * 40) / 255), 300)).toBe(65_535)
  await middle.focus()
  await page.keyboard.press('Delete')
  await expect(middle).toBeHidden()
  await page.getByRole('button', { name: 'reset' }).click()
  await expect(black).toHaveAttribute('aria-valuenow', '0')
})

test('a picture in colour is parted into layers of one size, each a film of its own', async ({ page }) => {
  await open(page, '/negative')
  const red = await sharp({ create: { width: 200, height: 160, channels: 3, background: '#e02010' } })
    .png()
    .toBuffer()
  await choose(page, red, 'red.png', 'image/png')
  await page.getByLabel('Picture size').fill('5 x 4 in')
  await page.getByLabel('Resolution, ppi').fill('100')
  await page.getByText('layers', { exact: true }).click()
  await page.getByText('cyan, magenta, yellow', { exact: true }).click()
  await expect(page.getByRole('list', { name: 'Layers' }).getByRole('listitem')).toHaveCount(3)
  const downloads: Download[] = []
  page.on('download', (download) => downloads.push(download))
  await page.getByRole('button', { name: 'Make 3 negatives' }).click()
  await expect.poll(() => downloads.length).toBe(3)
  expect(downloads.map((one) => one.suggestedFilename())).toEqual([
    'red-cyan-negative.png',
    'red-magenta-negative.png',
    'red-yellow-negative.png',
  ])
  const films = await Promise.all(downloads.map(filmOf))
  // Red holds no cyan: all the ink there; much magenta and yellow: little ink.
  const [cyan, magenta, yellow] = films.map(({ at }) => at(290, 240)) as [number, number, number]
  expect(cyan).toBeLessThan(12_000)
  expect(magenta).toBeGreaterThan(50_000)
  expect(yellow).toBeGreaterThan(magenta)
  for (const { width, height } of films) expect([width, height]).toEqual([578, 478])
  await page.getByLabel('Red, %').first().fill('-400')
  await expect(page.getByRole('alert')).toContainText('The channel mix of cyan gives no light.')
})

test('what was made hangs on the sheet that uses it', async ({ page }) => {
  await open(page, `${DEMO_ADDRESS}/negative`)
  await choose(page, await slope(300, 380), 'horn.jpg')
  await page.getByLabel('Resolution, ppi').fill('72')
  await page.getByRole('combobox', { name: 'Sheet' }).click()
  await page.getByRole('option').first().click()
  await made(page)
  const last = page.getByRole('list', { name: 'Recent films' })
  await expect(last).toContainText('horn-negative.png')
  await last
    .getByRole('link', { name: /for sheet/ })
    .first()
    .click()
  await expect(page).toHaveURL(/\/prints\//)
  await expect(page.getByRole('complementary').getByText(/horn-negative\.png/)).toBeVisible()

  // And from the sheet: it sends for its negative, or is given one that was made for none.
  await page.getByRole('button', { name: 'More', exact: true }).click()
  await page.getByRole('button', { name: 'Make its negative' }).click()
  await expect(page.getByText(/^For sheet \d+/)).toBeVisible()
  await page.getByRole('button', { name: /^Remove horn-negative/ }).click()
  await expect(last).not.toContainText('horn-negative.png')
})

test('a film that was made for no sheet is given to one', async ({ page }) => {
  await open(page, `${DEMO_ADDRESS}/negative`)
  await choose(page, await slope(300, 380), 'loose.jpg')
  await page.getByLabel('Resolution, ppi').fill('72')
  await made(page)
  const last = page.getByRole('list', { name: 'Recent films' })
  await expect(last).toContainText('loose-negative.png')
  await page.getByRole('combobox', { name: 'Sheet' }).click()
  await page.getByRole('option').first().click()
  await last.getByRole('button', { name: /^use for sheet/ }).click()
  await expect(last.getByRole('link', { name: /for sheet/ }).first()).toBeVisible()
  await expect(last.getByRole('button', { name: /^use for sheet/ })).toHaveCount(0)
})

test('the negative in the dim room, its edge drawn by key', { tag: '@long' }, async ({ page }) => {
  await open(page, `${DEMO_ADDRESS}/negative`)
  await page.keyboard.press('d')
  await expectDim(page)
  await choose(page, await slope())
  const edge = page.getByRole('slider', { name: /Position of the divider/ })
  await edge.focus()
  await page.keyboard.press('ArrowRight')
  await expect(edge).toHaveValue('51')
  await expectDim(page)
  for (const part of ['the picture', 'the film', 'layers']) {
    await page.getByRole('group', { name: 'Settings for' }).getByText(part, { exact: true }).click()
    if (part === 'layers') await page.getByText('pigments by tonal range', { exact: true }).click()
    await expectDim(page)
  }
  await open(page, `${DEMO_ADDRESS}/negative/calibrate`)
  await page.getByRole('button', { name: 'New calibration' }).click()
  await expectDim(page)
})
