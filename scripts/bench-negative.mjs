// A negative from a 10-megapixel JPEG, against the named peer doing the same work in the same run; memory; charts.
import { execFileSync } from 'node:child_process'
import { existsSync, mkdtempSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import sharp from 'sharp'
import { deepTiff, photograph } from './bench-pictures.mjs'

const PEER = '/usr/bin/convert'
const ROUNDS = 5
const PICTURE = [3872, 2592]
const median = (values) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]

function ensurePeer() {
  if (existsSync(PEER)) return true
  const apt = ['apt-get', '-y', '-qq', '--no-install-recommends', 'install', 'imagemagick']
  try {
    if (process.getuid?.() === 0) execFileSync(apt[0], apt.slice(1), { stdio: 'ignore' })
    else execFileSync('sudo', ['-n', ...apt], { stdio: 'ignore' })
  } catch {
    console.log('Negative: the peer is not here and could not be installed (apt-get install imagemagick).')
  }
  return existsSync(PEER)
}

/** Makes negatives in the app. @returns milliseconds, bytes, the most memory of its processes, and the longest task. */
async function inApp(browser, address, file, size, resolution, rounds) {
  const page = await (await browser.newContext({ acceptDownloads: true })).newPage()
  await page.goto(`${address}/negative`)
  await page.getByRole('heading', { level: 1 }).waitFor()
  await page.getByLabel('Picture file').setInputFiles(file)
  await page.getByRole('button', { name: 'Make negative' }).waitFor()
  // As the peer does it: what does not fit the size is cropped.
  const settings = page.getByRole('group', { name: 'Settings for' })
  await settings.getByText('the picture', { exact: true }).click()
  await page.getByText('fill the size, crop the rest', { exact: true }).click()
  await settings.getByText('the print', { exact: true }).click()
  await page.getByLabel('Picture size').fill(size)
  await page.getByLabel('Resolution, ppi').fill(resolution)
  // The first gesture on a page wakes its sound; that is no part of the work.
  await page.getByRole('heading', { level: 1 }).click()
  await page.waitForTimeout(1500)
  await page.evaluate(() => {
    window.longest = 0
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries()) window.longest = Math.max(window.longest, entry.duration)
    }).observe({ type: 'longtask' })
  })
  const took = []
  let [bytes, memory] = [0, 0]
  // Memory is watched in a round of its own where there are several: watching takes time of the same two cores.
  for (let round = 0; round < rounds + (rounds > 1 ? 1 : 0); round++) {
    const isWatched = rounds === 1 || round === rounds
    const done = page.waitForEvent('download', { timeout: 300_000 })
    const look = () => (memory = Math.max(memory, rendererMemory()))
    const watch = isWatched ? setInterval(look, 200) : 0
    const began = performance.now()
    await page.getByRole('button', { name: 'Make negative' }).click()
    const download = await done
    if (!isWatched || rounds === 1) took.push(performance.now() - began)
    clearInterval(watch)
    bytes = statSync(await download.path()).size
    await page.waitForTimeout(300)
  }
  const longest = await page.evaluate(() => window.longest)
  await page.context().close()
  return { took, bytes, memory, longest }
}

/** Resident bytes of the largest renderer of any Chromium here: page and worker live in one. */
function rendererMemory() {
  let most = 0
  for (const pid of readdirSync('/proc')) {
    if (!/^\d+$/.test(pid)) continue
    try {
      if (!readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes('--type=renderer')) continue
      const pages = Number(readFileSync(`/proc/${pid}/statm`, 'utf8').split(' ')[1])
      most = Math.max(most, 4096 * pages)
    } catch {
      // It ended meanwhile.
    }
  }
  return most
}

/** Opens such a TIFF. @returns milliseconds in the app, and of the same by a native library: decoded, to light, made small. */
async function openingInApp(browser, address, file) {
  const page = await (await browser.newContext()).newPage()
  await page.goto(`${address}/negative`)
  const [own, native] = [[], []]
  for (let round = 0; round < 3; round++) {
    const began = performance.now()
    await page.getByLabel('Picture file').setInputFiles(file)
    await page.getByText('Opening the picture…').waitFor({ state: 'hidden' })
    await page.getByText(/from 5184 × 3456, 16 bit/).waitFor()
    own.push(performance.now() - began)
    const start = performance.now()
    await sharp(file).toColourspace('scrgb').resize(640).raw({ depth: 'float' }).toBuffer()
    native.push(performance.now() - start)
    // Another picture between, so that the next one is opened again.
    await page.reload()
  }
  await page.context().close()
  return { own: median(own), native: median(native) }
}

const CHART = { steps: 31, repeats: 2, isScattered: true, hasStrip: true, seed: 0, tag: 0 }

/** A scan of 35 megapixels of the chart that a first calibration makes, its print from a virtual coat. */
async function scanOf35(load) {
  const { scanOfChart, plainScanner, turned } = await load('core/simulate/scan.ts')
  const { seededRandom } = await load('core/quantity/random.ts')
  const print = (ink) => 0.08 + 1.35 * (1 - ink) ** 2
  const scanner = { ...turned(plainScanner(CHART, 7), 3), noise: 0.003, isEightBit: true }
  const { width, height, data } = scanOfChart(CHART, print, scanner, seededRandom(3))
  const coded = (light) => 255 * (light <= 0.0031308 ? 12.92 * light : 1.055 * light ** (1 / 2.4) - 0.055)
  const grey = Buffer.from(Uint8Array.from(data, (light) => Math.round(coded(light))))
  const scale = Math.sqrt(35e6 / (width * height))
  return sharp(grey, { raw: { width, height, channels: 1 } })
    .resize(Math.round(width * scale), Math.round(height * scale))
    .toColourspace('srgb')
    .jpeg({ quality: 92 })
    .toBuffer()
}

/** Reads such a scan in the app. @returns milliseconds of reading it, and of only decoding it in the same page. */
async function readingInApp(browser, address, scan) {
  const page = await (await browser.newContext({ acceptDownloads: true })).newPage()
  await page.goto(`${address}/negative/calibrate`)
  await page.getByRole('button', { name: 'New calibration' }).click()
  await page.getByRole('button', { name: 'Create chart' }).click()
  const film = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Save the chart negative' }).click()
  await film
  await page.getByRole('button', { name: 'Chart is printed and dry' }).click()
  await page.getByLabel('Scan of the chart').waitFor({ state: 'attached' })
  const bytes = readFileSync(scan).toString('base64')
  const [reading, decoding] = [[], []]
  for (let round = 0; round < 3; round++) {
    decoding.push(
      await page.evaluate(async (text) => {
        const file = new Blob([Uint8Array.from(atob(text), (letter) => letter.charCodeAt(0))])
        const began = performance.now()
        const bitmap = await createImageBitmap(file)
        const canvas = new OffscreenCanvas(bitmap.width, bitmap.height).getContext('2d', {
          willReadFrequently: true,
        })
        canvas.drawImage(bitmap, 0, 0)
        canvas.getImageData(0, 0, bitmap.width, bitmap.height)
        return performance.now() - began
      }, bytes),
    )
    await page.getByText('by hand', { exact: true }).click()
    await page.getByText('a scan or photo', { exact: true }).click()
    const began = performance.now()
    await page.getByLabel('Scan of the chart').setInputFiles(scan)
    // Looked at in every frame: a locator looks only twice a second.
    for (const words of ['Reading…', 'Choose the scan'])
      await page.waitForFunction(
        (said) => document.querySelector('.ReadChart-file')?.textContent.includes(said),
        words,
        { polling: 'raf' },
      )
    reading.push(performance.now() - began)
    await page.getByText(/of 70 patches read/).waitFor()
  }
  await page.context().close()
  return { reading, decoding }
}

/**
 * @param load loads a module of the sources.
 * @returns whether every figure is within its budget.
 */
export async function benchNegative(browser, address, load) {
  if (!ensurePeer()) return false
  const room = mkdtempSync(join(tmpdir(), 'ember-bench-'))
  try {
    // The distribution holds the peer to 256 MB, which the large films do not fit into.
    const limit = (name, value) => `<policy domain="resource" name="${name}" value="${value}"/>`
    const limits = [
      ['memory', '8GiB'],
      ['map', '8GiB'],
      ['disk', '8GiB'],
      ['area', '4GP'],
      ['width', '64KP'],
      ['height', '64KP'],
    ]
    writeFileSync(
      join(room, 'policy.xml'),
      `<policymap>${limits.map(([name, value]) => limit(name, value)).join('')}</policymap>`,
    )
    const jpeg = join(room, 'photograph.jpg')
    writeFileSync(jpeg, await photograph(...PICTURE))
    const lookup = join(room, 'lookup.png')
    const ramp = Buffer.from(Uint8Array.from({ length: 256 }, (_, i) => i))
    writeFileSync(
      lookup,
      await sharp(ramp, { raw: { width: 256, height: 1, channels: 1 } })
        .png()
        .toBuffer(),
    )
    // The part of the picture that fills the film, as the app takes it.
    const cropOf = (width, height) => {
      const scale = Math.min(PICTURE[0] / width, PICTURE[1] / height)
      return `${Math.round(width * scale)}x${Math.round(height * scale)}`
    }
    const peer = (width, height, rounds) => {
      const out = join(room, 'peer.png')
      const took = []
      for (let round = 0; round < rounds; round++) {
        const began = performance.now()
        execFileSync(
          PEER,
          [
            ...[
              jpeg,
              '-colorspace',
              'Gray',
              '-gravity',
              'center',
              '-crop',
              `${cropOf(width, height)}+0+0`,
              '+repage',
            ],
            ...['-resize', `${width}x${height}!`, lookup, '-clut', '-negate', '-flop', '-depth', '16'],
            ...['-define', 'png:compression-level=6', '-define', 'png:bit-depth=16', out],
          ],
          { env: { ...process.env, MAGICK_CONFIGURE_PATH: room } },
        )
        took.push(performance.now() - began)
      }
      return { took, bytes: statSync(out).size }
    }
    // The same work by a native library with its threads: to light, cropped, made the size, turned round, 16 bits.
    const native = async (width, height, rounds) => {
      const took = []
      for (let round = 0; round < rounds; round++) {
        const began = performance.now()
        await sharp(jpeg)
          .pipelineColourspace('rgb16')
          .toColourspace('grey16')
          .resize(width, height, { fit: 'cover' })
          .negate({ alpha: false })
          .flop()
          .png({ compressionLevel: 6, adaptiveFiltering: true })
          .toFile(join(room, 'native.png'))
        took.push(performance.now() - began)
      }
      return { took, bytes: statSync(join(room, 'native.png')).size }
    }
    console.log('Negative from a 10-megapixel JPEG, page and worker, against two peers in the same run:')
    let isWithin = true
    for (const [name, size, resolution, width, height, rounds] of [
      ['8 x 10 in at 360', '10 x 8 in', '360', 3600, 2880, ROUNDS],
      ['16 x 20 in at 360', '20 x 16 in', '360', 7200, 5760, 1],
      ['24 x 36 in at 300', '36 x 24 in', '300', 10_800, 7200, 1],
    ]) {
      const own = await inApp(browser, address, jpeg, size, resolution, rounds)
      const other = peer(width, height, rounds)
      const ratio = median(own.took) / median(other.took)
      const threaded = await native(width, height, rounds)
      console.log(
        `  ${name}: ${Math.round(median(own.took))} ms, ${ratio.toFixed(2)} of the peer’s ${Math.round(median(other.took))}, ${(median(own.took) / median(threaded.took)).toFixed(2)} of a native library’s ${Math.round(median(threaded.took))} (its file ${(threaded.bytes / other.bytes).toFixed(2)}); file ${(own.bytes / other.bytes).toFixed(2)} of its; renderer ${Math.round(own.memory / 1e6)} MB at most; longest task ${Math.round(own.longest)} ms`,
      )
      if (rounds > 1) isWithin &&= ratio <= 0.6 && own.bytes <= 1.1 * other.bytes
      isWithin &&= own.memory < 1.2e9 && own.longest <= 50
    }
    const tiff = join(room, 'deep.tif')
    writeFileSync(tiff, await deepTiff(jpeg))
    const opening = await openingInApp(browser, address, tiff)
    console.log(
      `Opening a TIFF of 18 megapixels, 16 bits, wide profile: ${Math.round(opening.own)} ms, ${(opening.own / opening.native).toFixed(2)} times a native library’s ${Math.round(opening.native)}`,
    )
    const scan = join(room, 'scan.jpg')
    writeFileSync(scan, await scanOf35(load))
    const { reading, decoding } = await readingInApp(browser, address, scan)
    const share = median(reading) / median(decoding)
    console.log(
      `Reading a chart from a scan of 35 megapixels: ${Math.round(median(reading))} ms, ${share.toFixed(2)} times only decoding it (at most 2.5)`,
    )
    return isWithin && share <= 2.5
  } finally {
    rmSync(room, { recursive: true, force: true })
  }
}
