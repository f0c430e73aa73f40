import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import express, { type Express, type NextFunction, type Request, type Response } from 'express'
import helmet from 'helmet'
import { demoArchive } from './demoArchive'
import { readDemoPictures } from './demoPictures'
import { isKnownHost } from './hosts'

export interface ServerOptions {
  /** Folder of the built application. */
  appFolder: string
  /** Folder of the drawn demo photographs; absent where there is no demo to give. */
  demoFolder?: string
  /** Whether a window opens on the demo unless it was told otherwise. */
  opensDemo?: boolean
  /** Answers under any name, for other machines of the network; otherwise only under this machine's own. */
  isOpen?: boolean
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

/**
 * The worker that decodes pictures is WebAssembly, whose glue makes its calls from text. It has no page, and reads what the user
 * chose and what this server sends; everything else keeps the stricter policy.
 */
const DECODER_POLICY = { ...CONTENT_POLICY, scriptSrc: ["'self'", "'wasm-unsafe-eval'", "'unsafe-eval'"] }
const DECODERS = /^\/assets\/(negative\.worker|vips)-[^/]*\.js$/

/** Powers of the browser that the clocks use; all others stay off. */
const PERMISSIONS = 'screen-wake-lock=(self), camera=(), microphone=(), geolocation=(), payment=(), usb=()'

/** The service worker decides which version runs: a browser must never keep an old one by itself. */
function freshWorker(response: Response, path: string): void {
  if (/sw\.js$|\.webmanifest$/.test(path)) response.setHeader('Cache-Control', 'no-cache')
}

/** Serves the built application, and the demo's archive where there is a demo. The application works on without it. */
export function createServer({
  appFolder,
  demoFolder,
  opensDemo = false,
  isOpen = false,
}: ServerOptions): Express {
  const app = express()
  app.use(
    helmet({
      contentSecurityPolicy: { useDefaults: false, directives: CONTENT_POLICY },
      // Nothing is embedded from elsewhere; a page that says so may have threads, which the decoder of pictures wants.
      crossOriginEmbedderPolicy: { policy: 'require-corp' },
      referrerPolicy: { policy: 'no-referrer' },
      // Plain http on the loopback address: there is nothing to upgrade to.
      strictTransportSecurity: false,
    }),
  )
  app.use(DECODERS, helmet.contentSecurityPolicy({ useDefaults: false, directives: DECODER_POLICY }))
  app.use((request, response, next) => {
    response.setHeader('Permissions-Policy', PERMISSIONS)
    if (!isKnownHost(request.headers.host, isOpen))
      response.status(421).type('text').send('This Ember Sheet answers on its own machine only.')
    else if (request.method !== 'GET' && request.method !== 'HEAD')
      response.status(405).setHeader('Allow', 'GET, HEAD').type('text').send('This address accepts no data.')
    else next()
  })

  if (demoFolder) {
    // Without its pictures there is no demo, but the workroom of one's own works on.
    const pictures = readDemoPictures(demoFolder).catch(() => null)
    app.get('/demo/workroom.zip', async (_request, response) => {
      response.setHeader('Cache-Control', 'no-store')
      const drawn = await pictures
      if (drawn) response.type('application/zip').send(Buffer.from(demoArchive(drawn, Date.now())))
      else response.status(503).type('text').send('The demo has not been drawn. Run npm run demo once.')
    })
  }

  const page = readFileSync(join(appFolder, 'index.html'), 'utf8')
    .replace(
      '<meta name="ember-workroom" content="own"',
      `<meta name="ember-workroom" content="${opensDemo ? 'demo' : 'own'}"`,
    )
    .replace('<meta name="ember-server" content="none"', '<meta name="ember-server" content="here"')
  // Built files carry their content's hash in their name, so they never change under one.
  app.use(
    '/assets',
    express.static(join(appFolder, 'assets'), { immutable: true, maxAge: '1y', fallthrough: false }),
  )
  const sendPage = (_request: Request, response: Response) => {
    response.setHeader('Cache-Control', 'no-cache')
    response.type('html').send(page)
  }
  // Kept by the service worker under this name; it has to be the same page.
  app.get('/index.html', sendPage)
  app.use(express.static(appFolder, { index: false, setHeaders: freshWorker }))
  app.get('/{*path}', sendPage)
  // Neither a trace nor a path of this machine goes out with an error.
  app.use((error: { status?: number }, _request: Request, response: Response, next: NextFunction) => {
    if (response.headersSent) return next(error)
    const status = error.status && error.status >= 400 && error.status < 500 ? error.status : 500
    response
      .status(status)
      .type('text')
      .send(status === 404 ? 'There is no such file here.' : 'This could not be answered.')
  })
  return app
}
