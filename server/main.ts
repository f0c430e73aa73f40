import { fileURLToPath } from 'node:url'
import { parseArgs } from 'node:util'
import { createServer } from './app'
import { addInstruments } from './instruments'

const { values } = parseArgs({
  options: {
    demo: { type: 'boolean', default: false },
    port: { type: 'string', default: process.env.PORT ?? '4180' },
    host: { type: 'string', default: '127.0.0.1' },
  },
})

const say = (line: string) => process.stdout.write(`${line}\n`)
const built = (folder: string) => fileURLToPath(new URL(`../${folder}`, import.meta.url))
const isOpen = !['127.0.0.1', 'localhost', '::1'].includes(values.host)
const app = createServer({
  appFolder: built('app'),
  demoFolder: built('demo'),
  opensDemo: values.demo,
  isOpen,
})
const server = app.listen(Number(values.port), values.host, () => {
  const address = server.address()
  const port = typeof address === 'object' && address ? address.port : values.port
  say(
    `Ember Sheet${values.demo ? ', with the demo workroom,' : ''} is at http://${values.host.includes(':') ? `[${values.host}]` : values.host}:${port}/`,
  )
  if (isOpen) say('It can be reached from other machines on this network. It asks nobody for a password.')
})
addInstruments(server, Date.now, Date.now(), isOpen)
server.on('error', (error: NodeJS.ErrnoException) => {
  const reason =
    error.code === 'EADDRINUSE' ? `Port ${values.port} is in use. Choose another: --port 4181` : error.message
  process.stderr.write(`${reason}\n`)
  process.exit(1)
})
