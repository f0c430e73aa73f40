import { existsSync } from 'node:fs'
import { join } from 'node:path'
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
/** One line of what is wrong and what to do, and no trace. */
function stop(line: string): never {
  process.stderr.write(`${line}\n`)
  process.exit(1)
}
const port = Number(values.port)
if (!/^\d{1,5}$/.test(values.port) || port > 65_535)
  stop(`“${values.port}” is not a port. Choose a number from 0 to 65535: --port 4181`)
const built = (folder: string) => fileURLToPath(new URL(`../${folder}`, import.meta.url))
if (!existsSync(join(built('app'), 'index.html')))
  stop('The application has not been built. Run npm start, or npm run build, in the project folder.')
const isOpen = !['127.0.0.1', 'localhost', '::1'].includes(values.host)
const app = createServer({
  appFolder: built('app'),
  demoFolder: built('demo'),
  opensDemo: values.demo,
  isOpen,
})
const server = app.listen(port, values.host, () => {
  const address = server.address()
  const listening = typeof address === 'object' && address ? address.port : port
  say(
    `Ember Sheet${values.demo ? ', with the demo workroom,' : ''} is at http://${values.host.includes(':') ? `[${values.host}]` : values.host}:${listening}/`,
  )
  if (isOpen) say('It can be reached from other machines on this network. There is no password.')
})
addInstruments(server, Date.now, Date.now(), isOpen)
server.on('error', (error: NodeJS.ErrnoException) => {
  const reason =
    error.code === 'EADDRINUSE' ? `Port ${values.port} is in use. Choose another: --port 4181` : error.message
  stop(reason)
})
