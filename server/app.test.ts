import { mkdtempSync, mkdirSync, rmSync, writeFileSync } from 'node:fs'
import type { AddressInfo } from 'node:net'
import { request } from 'node:http'
import { hostname } from 'node:os'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { readArchive } from '@core/archive/archiveReading'
import { eventsIn } from '@core/archive/logs'
import { jpeg } from '@core/fixtures/workroom'
import { demoPictures } from '@demo/scenario'
import { isKnownHost, ownNames } from './hosts'
import { createServer } from './app'

/** A built application as small as can be, and drawn pictures of nine bytes each. */
const folder = mkdtempSync(join(tmpdir(), 'ember-server-'))
const appFolder = join(folder, 'app')
const demoFolder = join(folder, 'demo')
mkdirSync(join(appFolder, 'assets'), { recursive: true })
mkdirSync(demoFolder)
writeFileSync(join(appFolder, 'index.html'), '<meta name="ember-workroom" content="own" /><p>page</p>')
writeFileSync(join(appFolder, 'assets', 'main-abc.js'), 'export {}')
for (const number of demoPictures.keys())
  for (const name of [`${number}.jpg`, `${number}-small.jpg`]) writeFileSync(join(demoFolder, name), jpeg)
afterAll(() => rmSync(folder, { recursive: true }))

async function withServer<Value>(isDemo: boolean, ask: (address: string) => Promise<Value>): Promise<Value> {
  const server = createServer({ appFolder, opensDemo: isDemo, ...(isDemo && { demoFolder }) }).listen(
    0,
    '127.0.0.1',
  )
  await new Promise((resolve) => server.once('listening', resolve))
  try {
    return await ask(`http://127.0.0.1:${(server.address() as AddressInfo).port}`)
  } finally {
    server.closeAllConnections()
    await new Promise((resolve) => server.close(resolve))
  }
}

describe('the server', () => {
  it.each(['/', '/coat/begin', '/prints/some-sheet'])('answers %s with the page', async (path) => {
    const answer = await withServer(false, async (address) => (await fetch(address + path)).text())
    expect(answer).toContain('<p>page</p>')
    expect(answer).toContain('content="own"')
  })

  it('says in the page that it is the demo', async () => {
    expect(await withServer(true, async (address) => (await fetch(address)).text())).toContain(
      'content="demo"',
    )
  })

  it('lets nothing in but itself', async () => {
    const headers = await withServer(false, async (address) => (await fetch(address)).headers)
    const policy = Object.fromEntries(
      (headers.get('content-security-policy') ?? '').split(';').map((rule) => {
        const [name = '', ...sources] = rule.trim().split(' ')
        return [name, sources.join(' ')]
      }),
    )
    expect(policy).toMatchObject({
      'default-src': "'none'",
      'script-src': "'self'",
      'style-src': "'self'",
      'connect-src': "'self'",
      'frame-ancestors': "'none'",
      'img-src': "'self' blob:",
    })
    expect(headers.get('permissions-policy')).toContain('camera=()')
    expect(headers.get('x-powered-by')).toBeNull()
  })

  it('keeps built files for good and the page never', async () => {
    await withServer(false, async (address) => {
      expect((await fetch(`${address}/assets/main-abc.js`)).headers.get('cache-control')).toContain(
        'immutable',
      )
      expect((await fetch(address)).headers.get('cache-control')).toBe('no-cache')
    })
  })

  it('does not answer a missing asset with the page, nor a climbing path with a file', async () => {
    await withServer(false, async (address) => {
      const missing = await fetch(`${address}/assets/none.js`)
      expect([missing.status, await missing.text()]).toEqual([404, 'There is no such file here.'])
      expect(await (await fetch(`${address}/..%2f..%2f..%2fetc%2fpasswd`)).text()).not.toContain('root:')
    })
  })

  it('answers under this machine’s own names only, and takes nothing in', async () => {
    const asked = (host: string, method = 'GET') =>
      withServer(
        false,
        (address) =>
          new Promise<number>((resolve, reject) => {
            const { port } = new URL(address)
            request({ host: '127.0.0.1', port, method, headers: { Host: host } }, (answer) => {
              answer.resume()
              resolve(answer.statusCode ?? 0)
            })
              .on('error', reject)
              .end()
          }),
      )
    expect(await Promise.all(['localhost:4180', '127.0.0.1', '[::1]:80'].map((host) => asked(host)))).toEqual([200, 200, 200]) // prettier-ignore
    expect(await Promise.all(['elsewhere.example', 'localhost.evil.example', '127.0.0.1.evil'].map((host) => asked(host)))).toEqual([421, 421, 421]) // prettier-ignore
    expect(await asked('localhost', 'POST')).toBe(405)
  })

  it('answers a whole network under this machine’s names and addresses there, and under no other', () => {
    const names = [hostname(), `${hostname()}.local:4180`, ...ownNames().map((name) => `${name}:4180`)]
    expect(names.map((name) => isKnownHost(name, true))).toEqual(names.map(() => true))
    expect(names.filter((name) => !/^(127|\[::1)/.test(name) && isKnownHost(name, false))).toEqual([])
    for (const name of [
      'elsewhere.example',
      `${hostname()}.evil.example`,
      '192.0.2.7',
      '',
      undefined,
      '[::2]',
    ])
      expect(isKnownHost(name, true)).toBe(false)
  })

  it.each([
    '/assets/..%2f..%2fpackage.json',
    '/%2e%2e/%2e%2e/etc/passwd',
    '/assets/%00',
    '/%',
    '/assets/....//x',
  ])('gives no file for %s, and stays up', async (path) => {
    await withServer(false, async (address) => {
      const answer = await fetch(address + path)
      expect(await answer.text()).not.toMatch(/root:|"name": "ember-sheet"/)
      expect((await fetch(address)).status).toBe(200)
    })
  })

  it('writes the demo as a sound archive of this very moment', async () => {
    const before = Date.now()
    const bytes = await withServer(true, async (address) =>
      (await fetch(`${address}/demo/workroom.zip`)).arrayBuffer(),
    )
    const { records, logs, pixels } = readArchive(new Uint8Array(bytes))
    expect(pixels.size).toBe(records.photos.length)
    expect(records.photos.every((photo) => photo.bytes === jpeg.length)).toBe(true)
    const latest = Math.max(...[...logs.values()].flatMap(eventsIn).map((event) => event.at))
    expect(before - latest).toBeLessThan(5 * 60_000)
  }, 30_000)

  it('has no demo to give where there is none', async () => {
    const answer = await withServer(false, async (address) => fetch(`${address}/demo/workroom.zip`))
    expect(answer.headers.get('content-type')).toContain('text/html')
  })
})
