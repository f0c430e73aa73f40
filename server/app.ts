import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import express, { type Express } from 'express'
import helmet from 'helmet'
import { demoArchive } from './demoArchive'
import { readDemoPictures } from './demoPictures'

export interface ServerOptions {
  /** Folder of the built application. */
  appFolder: string
  /** Folder of the drawn demo photographs; absent where the workroom is one's own. */
  demoFolder?: string
}

/** Everything from this machine and nothing from any other: no inline script, no foreign host, no framing. */
const CONTENT_POLICY = {
  defaultSrc: ["'none'"],
  scriptSrc: ["'self'"],
  workerSrc: ["'self'"],
  styleSrc: ["'self'"],
  fontSrc: ["'self'"],
  imgSrc: ["'self'", 'blob:'],
  connectSrc: ["'self'"],
  manifestSrc: ["'self'"],
  baseUri: ["'none'"],
  formAction: ["'none'"],
  frameAncestors: ["'none'"],
}

/** Powers of the browser that the clocks use; all others stay off. */
const PERMISSIONS = 'screen-wake-lock=(self), camera=(), microphone=(), geolocation=(), payment=(), usb=()'

/** Serves the built application, and the demo's archive where there is a demo. The application works on without it. */
export function createServer({ appFolder, demoFolder }: ServerOptions): Express {
  const app = express()
  app.use(
    helmet({
      contentSecurityPolicy: { useDefaults: false, directives: CONTENT_POLICY },
      referrerPolicy: { policy: 'no-referrer' },
      // Plain http on the loopback address: there is nothing to upgrade to.
      strictTransportSecurity: false,
    }),
  )
  app.use((_request, response, next) => {
    response.setHeader('Permissions-Policy', PERMISSIONS)
    next()
  })

  if (demoFolder) {
    const pictures = readDemoPictures(demoFolder)
    app.get('/demo/workroom.zip', async (_request, response) => {
      response.setHeader('Cache-Control', 'no-store')
      response.type('application/zip').send(Buffer.from(demoArchive(await pictures, Date.now())))
    })
  }

  const page = readFileSync(join(appFolder, 'index.html'), 'utf8').replace(
    '<meta name="ember-workroom" content="own"',
    `<meta name="ember-workroom" content="${demoFolder ? 'demo' : 'own'}"`,
  )
  // Built files carry their content's hash in their name, so they never change under one.
  app.use(
    '/assets',
    express.static(join(appFolder, 'assets'), { immutable: true, maxAge: '1y', fallthrough: false }),
  )
  app.use(express.static(appFolder, { index: false }))
  app.get('/{*path}', (_request, response) => {
    response.setHeader('Cache-Control', 'no-cache')
    response.type('html').send(page)
  })
  return app
}
