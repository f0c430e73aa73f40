// What every launcher needs: the right Node, the packages of the lock file, a current build. Plain Node, so that it
// works before anything is installed, and quick the second time.
import { spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { dirname, join, relative } from 'node:path'
import { fileURLToPath } from 'node:url'

export const root = dirname(dirname(fileURLToPath(import.meta.url)))
const CACHE = join(root, 'node_modules', '.cache', 'ember-sheet')
const OLDEST_NODE = [20, 19]

export function stop(message) {
  process.stderr.write(`\n${message}\n`)
  process.exit(1)
}

/** Runs a command in the project and stops with its exit code when it fails, unless told to go on. */
export function run(command, args, { quiet = false, mayFail = false, env = {} } = {}) {
  const result = spawnSync(command, args, {
    cwd: root,
    stdio: quiet ? ['ignore', 'pipe', 'pipe'] : 'inherit',
    encoding: 'utf8',
    env: { ...process.env, ...env },
  })
  if (result.error && !mayFail) stop(`${command} could not be started: ${result.error.message}`)
  if (result.status !== 0 && !mayFail) {
    if (quiet) process.stderr.write(`${result.stdout ?? ''}${result.stderr ?? ''}`)
    stop(`${command} ${args.join(' ')} failed.`)
  }
  return result.status ?? 1
}

/** A tool of node_modules, run by this Node. */
export const tool = (name, args, options) =>
  run(process.execPath, [join(root, 'node_modules', name), ...args], options)

export function checkNode() {
  const [major, minor] = process.versions.node.split('.').map(Number)
  if (major < OLDEST_NODE[0] || (major === OLDEST_NODE[0] && minor < OLDEST_NODE[1]))
    stop(`Ember Sheet needs Node.js ${OLDEST_NODE.join('.')} or newer; this is ${process.versions.node}.`)
}

/** Installs the packages of the lock file when they are not the ones installed already. */
export function ensurePackages() {
  checkNode()
  const lock = join(root, 'package-lock.json')
  if (!existsSync(lock)) stop('package-lock.json is missing: this is not a whole copy of Ember Sheet.')
  const wanted = hashOf([lock])
  if (existsSync(join(root, 'node_modules')) && isStamped('packages', wanted)) return
  console.log('Installing the packages of the lock file…')
  // `npm ci` takes half the time. It refuses a lock file in which builds for other platforms are missing, and a registry
  // may not have them all: then `install --no-save` takes the very versions that the file names, and leaves it as it is.
  const quietly = ['--no-audit', '--no-fund', '--no-progress', '--loglevel=error']
  const isInstalled = [['ci'], ['install', '--no-save']].some(
    (way) => run('npm', [...way, ...quietly], { mayFail: true }) === 0,
  )
  if (!isInstalled)
    stop('The packages could not be installed. Is the package registry within reach? Then run this again.')
  stamp('packages', wanted)
}

/** Builds the application, the server and the demo's pictures when what they are made from has changed. */
export function ensureBuild() {
  const code = ['app', 'core', 'library', 'server', 'demo'].flatMap((folder) =>
    filesUnder(join(root, folder)),
  )
  const settings = ['package-lock.json', 'vite.config.ts', 'vite.server.config.ts', 'tsconfig.json'].map(
    (file) => join(root, file),
  )
  const wanted = hashOf([...code.filter((file) => !file.endsWith('.test.ts')), ...settings])
  const isThere =
    existsSync(join(root, 'dist', 'app', 'index.html')) && existsSync(join(root, 'dist', 'server', 'main.js'))
  if (!isThere || !isStamped('build', wanted)) {
    console.log('Building…')
    tool('vite/bin/vite.js', ['build', '--logLevel', 'warn'])
    tool('vite/bin/vite.js', ['build', '--config', 'vite.server.config.ts', '--logLevel', 'warn'])
    stamp('build', wanted)
  }
  const drawn = hashOf([
    ...code.filter((file) => file.startsWith(join(root, 'demo'))),
    join(root, 'server', 'demoPictures.ts'),
  ])
  if (!existsSync(join(root, 'dist', 'demo')) || !isStamped('pictures', drawn)) {
    console.log('Drawing the demo’s pictures…')
    run(process.execPath, [join(root, 'dist', 'server', 'draw.js')])
    stamp('pictures', drawn)
  }
}

const stampFile = (name) => join(CACHE, `${name}.sha256`)
const isStamped = (name, value) =>
  existsSync(stampFile(name)) && readFileSync(stampFile(name), 'utf8') === value

function stamp(name, value) {
  mkdirSync(CACHE, { recursive: true })
  writeFileSync(stampFile(name), value)
}

function hashOf(files) {
  const hash = createHash('sha256').update(process.env.BASE_PATH ?? '/')
  for (const file of [...files].sort()) hash.update(relative(root, file)).update(readFileSync(file))
  return hash.digest('hex')
}

function filesUnder(folder) {
  return readdirSync(folder).flatMap((name) => {
    const path = join(folder, name)
    return statSync(path).isDirectory() ? filesUnder(path) : [path]
  })
}
