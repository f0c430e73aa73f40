import { readFileSync } from 'node:fs'
import { expect, test, type Download, type Page } from '@playwright/test'
import sharp, { type Metadata } from 'sharp'
import { DEMO_ADDRESS } from './browser.ts'
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

async function made(page: Page): Promise<Download> {
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Make the negative' }).click(),
  ])
  return download
}
async function pixelsOf(
  download: Download,
): Promise<{ at: (x: number, y: number) => number; meta: Metadata }> {
  const bytes = readFileSync(await download.path())
  const meta = await sharp(bytes).metadata()
  const { data } = await sharp(bytes)
    .toColourspace('grey16')
    .raw({ depth: 'ushort' })
    .toBuffer({ resolveWithObject: true })
  const read = new Uint16Array(data.buffer, data.byteOffset, data.length / 2)
  return { meta, at: (x, y) => read[y * (meta.width ?? 0) + x] ?? Number.NaN }
}

test('a picture becomes a 16-bit negative of exact size, inverted and turned left to right', async ({
  page,
}) => {
  await open(page, '/negative')
  await expect(page.getByRole('button', { name: 'Make the negative' })).toBeDisabled()
  await choose(page, await slope())
  await expect(page.getByRole('heading', { name: 'slope.jpg' })).toBeVisible()
  await expect(page.getByText(/2880 × 3600 at 360 to the inch/)).toBeVisible()
  await page.getByLabel('Pixels to the inch').fill('100')
  const download = await made(page)
  expect(download.suggestedFilename()).toBe('slope-negative.png')
  const { meta, at } = await pixelsOf(download)
  expect(meta).toMatchObject({ width: 800, height: 1000, depth: 'ushort', density: 100 })
  // Left is right on the film: the picture's white, all the ink, lies at the left.
  expect(at(2, 500)).toBeLessThan(2000)
  expect(at(797, 500)).toBeGreaterThan(63_000)
  for (let x = 20; x < 780; x += 40) expect(at(x + 20, 500)).toBeGreaterThan(at(x, 500))
  // L* 50 is sRGB 119 of 255; as much ink as the picture is light.
  expect(Math.abs(at(799 - Math.round((799 * 119) / 255), 500) / 65_535 - 0.5)).toBeLessThan(0.01)

  await page.getByText('as it is seen', { exact: true }).click()
  const straight = await pixelsOf(await made(page))
  expect(straight.at(2, 500)).toBeGreaterThan(63_000)
})

test('a chart is saved, read, and its curve makes the tones land', async ({ page }) => {
  await open(page, '/negative/calibrate')
  const [chart] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'The chart as a negative' }).click(),
  ])
  const film = await pixelsOf(chart)
  expect(film.meta).toMatchObject({ depth: 'ushort', density: 360 })
  const readings = page.getByLabel('Readings, clear film first')
  await readings.fill('1.4 1.3')
  await expect(page.getByText('These are 2 patches, and the chart has 21.')).toBeVisible()
  const response = (ink: number) => 1.42 - 1.35 * (1 - (1 - ink) ** 2)
  const words = Array.from({ length: 21 }, (_, i) => response(i / 20).toFixed(3))
  await readings.fill([...words].reverse().join(' '))
  await expect(page.getByText('More ink printed darker.')).toBeVisible()
  words[6] = '-'
  await readings.fill(words.join(' '))
  await expect(page.getByRole('application', { name: 'What the chart says' })).toBeVisible()
  await page.getByLabel('Name of the curve').fill('rag and box')
  await page.getByRole('button', { name: 'Keep this curve' }).click()
  await expect(page.getByLabel('Curves').getByText('rag and box')).toBeVisible()

  await page.getByRole('link', { name: 'Back to the negative' }).click()
  await choose(page, await slope())
  await page.getByText('rag and box', { exact: true }).click()
  await expect(page.getByLabel('Margin').first()).toContainText('the chart scatters by')
  await page.getByLabel('Pixels to the inch').fill('100')
  const { at } = await pixelsOf(await made(page))
  // Print the negative by the very response: even steps of the picture's lightness are even steps of the print's.
  const lightness = (density: number) => 116 * Math.cbrt(10 ** -density) - 16
  const printed = (picture: number) => {
    const coded = picture > 8 ? ((picture + 16) / 116) ** 3 : picture / 903.3
    const srgb = coded <= 0.0031308 ? 12.92 * coded : 1.055 * coded ** (1 / 2.4) - 0.055
    return lightness(response(1 - at(799 - Math.round(799 * srgb), 500) / 65_535))
  }
  const [black, white] = [lightness(response(0)), lightness(response(1))]
  for (const tone of [20, 35, 50, 65, 80])
    expect(Math.abs(printed(tone) - (black + (tone / 100) * (white - black)))).toBeLessThan(1.5)
})

test('what is no picture is refused with a reason, and the work goes on', async ({ page }) => {
  await open(page, '/negative')
  const whole = await slope(300, 300)
  for (const [name, buffer, words] of [
    [
      'words.jpg',
      Buffer.from('not a picture at all, but a letter to a friend'),
      'not a picture that can be read',
    ],
    ['cut.jpg', whole.subarray(0, 200), 'not a picture that can be read'],
    ['empty.png', Buffer.alloc(0), 'not a picture that can be read'],
    ['bomb.png', bomb(), 'pixels'],
  ] as const) {
    await choose(page, buffer, name)
    await expect(page.getByRole('alert'), name).toContainText(words)
  }
  await choose(page, whole)
  await expect(page.getByRole('heading', { name: 'slope.jpg' })).toBeVisible()
  await expect(page.getByRole('alert')).toBeHidden()
  await page.getByLabel('Size of the picture').fill('big')
  await expect(page.getByText('Write it like 8 x 10 in or 20 x 25 cm.')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Make the negative' })).toBeDisabled()
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

test('a long work shows how far it is and can be stopped; a 16-bit picture keeps its bits', async ({
  page,
}) => {
  await open(page, '/negative')
  const sixteen = await sharp(await slope(400, 500))
    .toColourspace('grey16')
    .png()
    .toBuffer()
  await choose(page, sixteen, 'deep.png', 'image/png')
  await expect(page.getByText(/from 400 × 500, 16 bit/)).toBeVisible()
  await page.getByLabel('Size of the picture').fill('24 x 30 in')
  await page.getByRole('button', { name: 'Make the negative' }).click()
  await expect(page.getByRole('progressbar', { name: 'Share of the negative that is made' })).toBeVisible()
  await page.getByRole('button', { name: 'Stop' }).click()
  await expect(page.getByRole('button', { name: 'Make the negative' })).toBeEnabled()
  await expect(page.getByRole('alert')).toBeHidden()
  await page.getByLabel('Size of the picture').fill('4 x 5 in')
  const { meta } = await pixelsOf(await made(page))
  expect(meta).toMatchObject({ width: 1440, height: 1800 })
})

test('the negative in the dim room, its edge drawn by key', async ({ page }) => {
  await open(page, `${DEMO_ADDRESS}/negative`)
  await page.keyboard.press('d')
  await expectDim(page)
  await choose(page, await slope())
  const edge = page.getByRole('slider', { name: /Draw the edge across/ })
  await edge.focus()
  await page.keyboard.press('ArrowRight')
  await expect(edge).toHaveValue('51')
  await expectDim(page)
})
