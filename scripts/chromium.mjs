// Finds Debian's Chromium, and installs it where it is missing and this user may.
import { existsSync } from 'node:fs'
import { run, stop } from './setup.mjs'

const PLACES = ['/usr/bin/chromium', '/usr/bin/chromium-browser']

export function ensureChromium() {
  const asked = process.env.CHROMIUM_PATH
  if (asked) {
    if (!existsSync(asked)) stop(`CHROMIUM_PATH names ${asked}, which is not there.`)
    return asked
  }
  const found = PLACES.find((path) => existsSync(path))
  if (found) return found

  console.log('Installing Chromium…')
  const isRoot = process.getuid?.() === 0
  const apt = (args) =>
    isRoot
      ? run('apt-get', args, { mayFail: true, env: { DEBIAN_FRONTEND: 'noninteractive' } })
      : run('sudo', ['-n', 'apt-get', ...args], { mayFail: true })
  apt(['update', '-qq'])
  apt(['install', '-y', '-qq', '--no-install-recommends', 'chromium'])
  return (
    PLACES.find((path) => existsSync(path)) ??
    stop(
      'The browser tests need Chromium and it could not be installed. Install it (apt-get install chromium), or set CHROMIUM_PATH.',
    )
  )
}
