import { spawn, type ChildProcess } from 'node:child_process'
import { cpSync, mkdtempSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import sharp from 'sharp'
import { expect, test } from './test.ts'
import { freePort } from './browser.ts'
import { open, plan, turnTo } from './workroom.ts'

test.describe('installed', () => {
  test.use({ serviceWorkers: 'allow' })
  let port = 0
  let address = ''
  let folder = ''
  let server: ChildProcess | null = null

  function serve(): void {
    server = spawn('node', [join(folder, 'dist', 'server', 'main.js'), '--port', String(port)], {
      stdio: 'ignore',
    })
  }
  async function up(): Promise<void> {
    await expect.poll(() => fetch(address).then((answer) => answer.ok, () => false)).toBe(true) // prettier-ignore
  }
  test.beforeAll(async () => {
    port = await freePort()
    address = `http://127.0.0.1:${port}`
    folder = mkdtempSync(join(tmpdir(), 'ember-installed-'))
    cpSync('dist', join(folder, 'dist'), { recursive: true })
    writeFileSync(join(folder, 'package.json'), '{"type":"module"}')
    symlinkSync(join(process.cwd(), 'node_modules'), join(folder, 'node_modules'))
    serve()
    await up()
  })
  test.afterAll(() => {
    server?.kill()
    rmSync(folder, { recursive: true })
  })

  test(
    'it opens without any server, and takes a newer version only when asked and no clock runs',
    { tag: '@long' },
    async ({ page }) => {
      await open(page, address)
      await page.evaluate(() => navigator.serviceWorker.ready)
      server?.kill()
      await expect.poll(() => fetch(address).then(() => true, () => false)).toBe(false) // prettier-ignore
      await page.reload()
      await expect(page.getByRole('heading', { name: 'Start with one sheet of paper' })).toBeVisible()
      // A TIFF needs the decoder, which is fetched when it is first used: it is here too.
      await turnTo(page, '/negative')
      const deep = await sharp({ create: { width: 90, height: 60, channels: 3, background: '#456' } })
        .tiff()
        .toBuffer()
      await page
        .getByLabel('Picture file')
        .setInputFiles({ name: 'deep.tif', mimeType: 'image/tiff', buffer: deep })
      await expect(page.getByText(/from 90 × 60, 8 bit/)).toBeVisible()
      await turnTo(page, '/')
      await plan(page, 'Without a server')

      // A newer build: another page, so another list of what is kept.
      const worker = join(folder, 'dist', 'app', 'sw.js')
      const text = readFileSync(worker, 'utf8')
      const newer = text.replace(
        /(url:"index\.html",revision:")[0-9a-f]+/,
        '$1ffffffffffffffffffffffffffffffff',
      )
      expect(newer).not.toBe(text)
      writeFileSync(worker, newer)
      serve()
      await up()
      await page.keyboard.press(' ')
      for (const bottle of ['Iron citrate', 'Ferricyanide']) {
        const field = page.getByLabel(`${bottle}, drops counted`)
        await field.fill('20')
        await field.press('Enter')
      }
      await page.getByRole('button', { name: /^Mixed: start coating/ }).click()
      await expect(page.getByRole('heading', { name: 'Coat the sheet', level: 1 })).toBeVisible()
      await page.evaluate(async () => (await navigator.serviceWorker.getRegistration())?.update())
      await expect(page.getByText('You can update when no clock is running.')).toBeVisible()
      await expect(page.getByRole('button', { name: 'Update now' })).toBeHidden()
      await page.keyboard.press('8')
      await page.getByRole('listitem').getByText('Without a server').click()
      await expect(page.getByRole('heading', { level: 1, name: 'Without a server' })).toBeVisible()
      await page.keyboard.press('x')
      await page.getByRole('textbox', { name: /Reason for setting it aside/ }).fill('Enough.')
      await page.getByRole('button', { name: 'Set aside' }).click()
      const take = page.getByRole('button', { name: 'Update now' })
      await expect(take).toBeVisible()
      await take.click()
      await expect(take).toBeHidden()
      await expect(page.getByText('set aside').first()).toBeVisible()
    },
  )
})
