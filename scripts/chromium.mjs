// Finds Debian's Chromium, and installs it where it is missing and this user may.
import { existsSync } from 'node:fs'
import { run, stop } from './setup.mjs'

/** The whole browser; what is measured is measured in it. */
const BROWSER = { packageName: 'chromium', places: ['/usr/bin/chromium', '/usr/bin/chromium-browser'] }
/**
 * The same without any window to draw: tests take two thirds of the time in it. The program itself, not the script that
 * starts it: whoever kills the browser would only kill the script.
 */
const SHELL = {
  packageName: 'chromium-headless-shell',
  places: ['/usr/lib/chromium/chromium-headless-shell'],
}

const found = ({ places }) => places.find((path) => existsSync(path))

function asked() {
  const path = process.env.CHROMIUM_PATH
  if (path && !existsSync(path)) stop(`CHROMIUM_PATH names ${path}, which is not there.`)
  return path
}

function install({ packageName }) {
  console.log(`Installing ${packageName}…`)
  const isRoot = process.getuid?.() === 0
  const apt = (args) =>
    isRoot
      ? run('apt-get', args, { mayFail: true, env: { DEBIAN_FRONTEND: 'noninteractive' } })
      : run('sudo', ['-n', 'apt-get', ...args], { mayFail: true })
  const patience = ['-o', 'Acquire::http::Timeout=30', '-o', 'Acquire::Retries=1']
  apt([...patience, 'update', '-qq'])
  apt([...patience, 'install', '-y', '-qq', '--no-install-recommends', packageName])
}

export function ensureChromium() {
  const there = asked() ?? found(BROWSER)
  if (there) return there
  install(BROWSER)
  return (
    found(BROWSER) ??
    stop(
      'The browser tests need Chromium and it could not be installed. Install it (apt-get install chromium), or set CHROMIUM_PATH.',
    )
  )
}

/** The browser for tests: without a window where it can be had, otherwise the whole one. */
export function ensureTestBrowser() {
  const there = asked() ?? found(SHELL)
  if (there) return there
  install(SHELL)
  return found(SHELL) ?? ensureChromium()
}
