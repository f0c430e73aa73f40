import { readFileSync } from 'node:fs'
import type { Download, Page } from '@playwright/test'
import sharp from 'sharp'
import { tiffOf } from '../core/fixtures/tiffMaker.ts'
import { expect, test } from './test.ts'
import { DEMO_ADDRESS } from './browser.ts'
import { filmOf } from './films.ts'
import { readPdf } from './files.ts'
import { expectDim, open } from './workroom.ts'

/** A picture that runs from black at its left to white at its right. */
const slope = (width = 800, height = 1000): Promise<Buffer> =>
  sharp(
    Buffer.from(
      Uint8Array.from({ length: width * height }, (_, i) => Math.round((255 * (i % width)) / (width - 1))),
    ),
    {
      raw: { width, height, channels: 1 },
    },
  )
    .toColourspace('srgb')
    .jpeg({ quality: 95 })
    .toBuffer()

const choose = (page: Page, buffer: Buffer, name = 'slope.jpg', mimeType = 'image/jpeg') =>
  page.getByLabel('Picture file').setInputFiles({ name, mimeType, buffer })

/** A file that is dragged onto the page and let go. */
async function drop(page: Page, buffer: Buffer): Promise<void> {
  const dataTransfer = await page.evaluateHandle(
    (bytes) => {
      const held = new DataTransfer()
      held.items.add(new File([Uint8Array.from(bytes)], 'slope.jpg', { type: 'image/jpeg' }))
      return held
    },
    [...buffer],
  )
  const over = page.getByRole('button', { name: 'Choose a picture' })
  await over.dispatchEvent('dragenter', { dataTransfer })
  await expect(page.locator('[data-drop]')).toBeVisible()
  await over.dispatchEvent('drop', { dataTransfer })
  await expect(page.locator('[data-drop]')).toBeHidden()
}

async function made(page: Page): Promise<Download> {
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Make negative' }).click(),
  ])
  return download
}
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

/** A PNG that says it has ten thousand million pixels of 16 bits. */
function bomb(): Buffer {
  const head = Buffer.alloc(60)
  Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 0, 0, 0, 13, 0x49, 0x48, 0x44, 0x52]).copy(
    head,
  )
  head.writeUInt32BE(100_000, 16)
  head.writeUInt32BE(100_000, 20)
  head[24] = 16
  return head
}

/** A TIFF of a few bytes that says it has a hundred thousand pixels each way. */
function tiffBomb(): Buffer {
  const fields = [
    [256, 4, 100_000],
    [257, 4, 100_000],
    [258, 3, 8],
    [259, 3, 1],
    [262, 3, 1],
    [273, 4, 8],
    [277, 3, 1],
    [279, 4, 10],
  ] as const
  const file = Buffer.alloc(8 + 2 + 12 * fields.length + 4)
  file.write('II*\0', 'latin1')
  file.writeUInt32LE(8, 4)
  file.writeUInt16LE(fields.length, 8)
  fields.forEach(([tag, type, value], i) => {
    const at = 10 + 12 * i
    file.writeUInt16LE(tag, at)
    file.writeUInt16LE(type, at + 2)
    file.writeUInt32LE(1, at + 4)
    file.writeUInt32LE(value, at + 8)
  })
  return file
}

test('what is no picture is refused with a reason, and the work goes on', async ({ page }) => {
  await open(page, '/negative')
  const whole = await slope(300, 300)
  const tiff = await sharp(whole).tiff({ compression: 'none' }).toBuffer()
  for (const [name, buffer, words] of [
    ['words.jpg', Buffer.from('not a picture at all, but a letter to a friend'), 'not a supported picture'],
    ['cut.jpg', whole.subarray(0, 200), 'not a supported picture'],
    ['empty.png', Buffer.alloc(0), 'not a supported picture'],
    ['bomb.png', bomb(), 'pixels'],
    ['cut.tif', tiff.subarray(0, 3000), 'not a supported picture'],
    ['bomb.tif', tiffBomb(), 'pixels'],
    ['phone.heic', Buffer.from('\0\0\0\x18ftypheic'.padEnd(64, '\0')), 'HEIC pictures cannot be read here.'],
  ] as const) {
    await choose(page, buffer, name)
    await expect(page.getByRole('alert'), name).toContainText(words)
  }
  await choose(page, whole)
  await expect(page.getByRole('heading', { name: 'slope.jpg' })).toBeVisible()
  await expect(page.getByRole('alert')).toBeHidden()
  // What was assumed about a picture is shown with it.
  const inks = tiffOf([
    { width: 60, height: 60, data: new Array(14_400).fill(90), channels: 4, photometric: 5 },
  ])
  await choose(page, Buffer.from(inks), 'inks.tif')
  await expect(page.getByRole('heading', { name: 'inks.tif' })).toBeVisible()
  await expect(page.getByRole('main').getByRole('status')).toContainText('CMYK without a profile')
  await page.getByLabel('Picture size').fill('big')
  await expect(page.getByText('Enter a size such as 8 x 10 in or 20 x 25 cm.')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Make negative' })).toBeDisabled()
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

test('TIFF in, with its profile; TIFF and PDF out, with border, marks, strip and writing', async ({
  page,
  context,
}) => {
  await open(page, '/negative')
  const tiff = await sharp(await slope(500, 400))
    .toColourspace('rgb16')
    .withIccProfile('p3')
    .tiff({ compression: 'lzw' })
    .toBuffer()
  await choose(page, tiff, 'deep.tif', 'image/tiff')
  await expect(page.getByText(/from 500 × 400, 16 bit/)).toBeVisible()
  await page.getByLabel('Picture size').fill('5 x 4 in')
  await page.getByLabel('Resolution, ppi').fill('200')
  await page.getByRole('group', { name: 'Settings for' }).getByText('the film', { exact: true }).click()
  await page.getByLabel('Border, mm').fill('12.7')
  await page.getByText('TIFF', { exact: true }).click()
  const film = await filmOf(await made(page))
  expect(film.meta).toMatchObject({
    format: 'tiff',
    width: 1200,
    height: 1000,
    density: 200,
    depth: 'ushort',
  })
  // The border holds the light back; its marks let it through. On the film the strip lies at the right.
  expect(film.at(20, 20)).toBe(0)
  expect(film.at(50, 50)).toBeGreaterThan(30_000)
  expect(film.at(600, 50)).toBeGreaterThan(30_000)
  const strip = Array.from({ length: 11 }, (_, i) => film.at(1200 - 116 - Math.round((i + 0.5) * 37.3), 950))
  strip.forEach((value, i) => i && expect(value).toBeLessThan(strip[i - 1] ?? 0))
  // Writing in the upper border, at the right on the film.
  let written = 0
  for (let x = 640; x < 1080; x++) for (let y = 30; y < 70; y++) if (film.at(x, y) > 20_000) written++
  expect(written).toBeGreaterThan(300)

  await page.getByText('PDF', { exact: true }).click()
  const pdf = readFileSync(await (await made(page)).path())
  expect(pdf.toString('latin1').startsWith('%PDF-1.5')).toBe(true)
  const read = await readPdf(context, pdf, 1)
  // 6 × 5 in with its border: 432 × 360 points.
  expect([read.pages, ...read.view]).toEqual([1, 0, 0, 432, 360])
  expect(read.info).toMatchObject({ Title: 'deep.tif', Creator: 'Ember Sheet', PrintScaling: 'None' })
  expect(String(read.info.Subject)).toContain('curve: plain inversion; 200 ppi; mirrored')
  const greyAt = (x: number, y: number) => read.data[4 * (y * read.width + x)] ?? Number.NaN
  expect(greyAt(8, 8)).toBeLessThan(10)
  // On the film the picture's black lies at the right.
  expect(greyAt(385, 180)).toBeGreaterThan(greyAt(50, 180) + 150)
})

test('the whole picture is kept unless it is to fill the size; a drawing is offered its own way', async ({
  page,
}) => {
  await open(page, '/negative')
  await choose(page, await slope(900, 600))
  await expect(page.getByText(/2880 × 1920 at 360 ppi/)).toBeVisible()
  const settings = page.getByRole('group', { name: 'Settings for' })
  await settings.getByText('the picture', { exact: true }).click()
  await page.getByText('fill the size, crop the rest', { exact: true }).click()
  await expect(page.getByText(/2880 × 3600 at 360 ppi/)).toBeVisible()
  await expect(page.getByText('47 % of the picture is cropped.')).toBeVisible()
  // Plain controls set the ladder.
  await page.getByRole('slider', { name: 'Contrast', exact: true }).fill('50')
  await expect(page.getByRole('slider', { name: /^What point / })).toHaveCount(3)
  // What is pulled by hand, or reset, is no longer what the controls say.
  await page.getByRole('button', { name: 'reset', exact: true }).click()
  await expect(page.getByRole('slider', { name: 'Contrast', exact: true })).toHaveValue('0')

  const lines = await sharp({ create: { width: 300, height: 200, channels: 3, background: '#fff' } })
    .composite([
      { input: { create: { width: 60, height: 40, channels: 3, background: '#000' } }, left: 30, top: 20 },
    ])
    .png()
    .toBuffer()
  await choose(page, lines, 'plan.png', 'image/png')
  await page.getByRole('button', { name: 'Treat it as line art' }).click()
  await expect(page.getByRole('complementary', { name: 'Margin' })).toContainText(
    'Everything darker than the threshold is black',
  )
  await page.getByText('positive: light lines on a dark ground').click()
  await settings.getByText('the print', { exact: true }).click()
  await page.getByLabel('Resolution, ppi').fill('72')
  const { meta, at } = await filmOf(await made(page))
  expect([meta.width, meta.height]).toEqual([576, 384])
  // On a positive film the lines are ink, here at the right, and the ground is clear.
  expect(at(576 - 110, 76)).toBeLessThan(1000)
  expect(at(300, 300)).toBeGreaterThan(64_000)
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
