import { existsSync, readFileSync } from 'node:fs'
import { createServer, type AddressInfo } from 'node:net'
import { join } from 'node:path'

/** The program itself: to kill the script that starts it would leave the browser running. */
const SHELL = '/usr/lib/chromium/chromium-headless-shell'
/** Debian's Chromium, and the flags with which it runs without a screen, a network and a voice home. */
export const CHROMIUM = process.env.CHROMIUM_PATH ?? (existsSync(SHELL) ? SHELL : '/usr/bin/chromium')
export const FLAGS: string[] = JSON.parse(readFileSync(join('scripts', 'chromium-flags.json'), 'utf8'))

/** Addresses of the two servers, which take a free port each and say which; the test runner reads it off their output. */
export const OWN_ADDRESS = process.env.OWN_ADDRESS ?? ''
export const DEMO_ADDRESS = process.env.DEMO_ADDRESS ?? ''

/** A port that no program listens on at this moment, for a test that starts and stops a server of its own. */
export async function freePort(): Promise<number> {
  const server = createServer().listen(0, '127.0.0.1')
  await new Promise((resolve) => server.once('listening', resolve))
  const { port } = server.address() as AddressInfo
  await new Promise((resolve) => server.close(resolve))
  return port
}
