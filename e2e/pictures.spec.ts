import { readFileSync } from 'node:fs'
import sharp from 'sharp'
import { tiffOf } from '../core/fixtures/tiffMaker.ts'
import { expect, test } from './test.ts'
import { filmOf } from './films.ts'
import { readPdf } from './files.ts'
import { open } from './workroom.ts'
import { choose, made, slope } from './negatives.ts'

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

test('an AVIF in wide colours keeps what sRGB cannot hold', async ({ page }) => {
  // P3's own red, which sRGB cannot hold: 0.229 of the light of white, L* 55.0; cut off to sRGB it would be 53.2.
  const red = sharp({ create: { width: 300, height: 240, channels: 3, background: '#f00' } })
  const profileOf = async (name: string) => {
    const { icc } = await sharp(await red.clone().withIccProfile(name).png().toBuffer()).metadata() // prettier-ignore
    return icc ?? Buffer.alloc(0)
  }
  const avif = await red.clone().withIccProfile('srgb').avif({ quality: 100, chromaSubsampling: '4:4:4' }).toBuffer() // prettier-ignore
  const [srgb, p3] = [await profileOf('srgb'), await profileOf('p3')]
  // Both profiles are as long, so that one takes the place of the other, and the numbers stay.
  expect(srgb).toHaveLength(p3.length)
  p3.copy(avif, avif.indexOf(srgb))
  await open(page, '/negative')
  await choose(page, avif, 'red.avif', 'image/avif')
  await expect(page.getByText(/from 300 × 240/)).toBeVisible()
  await page.getByLabel('Picture size').fill('2 x 1.6 in')
  await page.getByLabel('Resolution, ppi').fill('100')
  const film = await filmOf(await made(page))
  expect(1 - film.at(100, 80) / 65_535).toBeCloseTo(0.55, 2)
})
