import { spawnSync } from 'node:child_process'
import { createReadStream, existsSync, mkdtempSync, rmSync, statSync } from 'node:fs'
import { createServer, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { tmpdir } from 'node:os'
import { extname, join, normalize } from 'node:path'
import { expect, test } from './test.ts'
import { open, plan } from './workroom.ts'

const BASE = '/studio/'
const TYPES: Record<string, string> = {
  '.html': 'text/html',
  '.js': 'text/javascript',
  '.css': 'text/css',
  '.svg': 'image/svg+xml',
  '.png': 'image/png',
  '.woff2': 'font/woff2',
  '.webmanifest': 'application/manifest+json',
}

test.describe('on a plain web host, under a path', () => {
  let folder = ''
  let server: Server
  let address = ''
  test.beforeAll(async () => {
    test.setTimeout(300_000)
    folder = mkdtempSync(join(tmpdir(), 'ember-host-'))
    const built = spawnSync(
      process.execPath,
      ['node_modules/vite/bin/vite.js', 'build', '--outDir', folder, '--emptyOutDir', '--logLevel', 'warn'],
      { env: { ...process.env, BASE_PATH: BASE }, encoding: 'utf8' },
    )
    expect(built.status, built.stderr).toBe(0)
    // Files and nothing else, and 404.html for all that is not there, as such hosts do.
    server = createServer((request, response) => {
      const path = decodeURIComponent((request.url ?? '/').split('?')[0] ?? '/')
      const inside = path.startsWith(BASE) ? path.slice(BASE.length) || 'index.html' : ''
      const file = join(folder, normalize(`/${inside}`))
      const isThere = inside !== '' && existsSync(file) && statSync(file).isFile()
      const sent = isThere ? file : join(folder, '404.html')
      response.writeHead(isThere ? 200 : 404, { 'Content-Type': TYPES[extname(sent)] ?? 'text/plain' })
      createReadStream(sent).pipe(response)
    }).listen(0, '127.0.0.1')
    await new Promise((resolve) => server.once('listening', resolve))
    address = `http://127.0.0.1:${(server.address() as AddressInfo).port}`
  })
  test.afterAll(() => {
    server.close()
    rmSync(folder, { recursive: true, force: true })
  })

  test('it works and keeps its records; what only the server has is not offered', async ({ page }) => {
    const failed: string[] = []
    page.on('pageerror', (error) => failed.push(error.message))
    await open(page, address + BASE)
    await expect(page.getByRole('button', { name: /demo/ })).toBeHidden()
    await plan(page, 'Tide gauge')
    expect(new URL(page.url()).pathname).toMatch(/^\/studio\/coat\//)
    // An address inside the app, asked of the host.
    await page.reload()
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
    await expect(page.getByText('Tide gauge').first()).toBeVisible()
    await page.getByRole('link', { name: /^Workroom/ }).click()
    await expect(page.getByRole('heading', { name: 'Stored data', exact: true })).toBeVisible()
    await expect(page.getByRole('heading', { name: 'Demo' })).toBeHidden()
    await page.getByRole('button', { name: 'Check stored data' }).click()
    await expect(page.getByText(/checked. No faults found/)).toBeVisible()
    expect(failed).toEqual([])
  })
})
