import { existsSync, readFileSync } from 'node:fs'
import { join } from 'node:path'

/** The program itself: to kill the script that starts it would leave the browser running. */
const SHELL = '/usr/lib/chromium/chromium-headless-shell'
/** Debian's Chromium, and the flags with which it runs without a screen, a network and a voice home. */
export const CHROMIUM = process.env.CHROMIUM_PATH ?? (existsSync(SHELL) ? SHELL : '/usr/bin/chromium')
export const FLAGS: string[] = JSON.parse(readFileSync(join('scripts', 'chromium-flags.json'), 'utf8'))

export const OWN_ADDRESS = 'http://127.0.0.1:4871'
export const DEMO_ADDRESS = 'http://127.0.0.1:4872'
