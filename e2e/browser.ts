import { existsSync, readFileSync } from 'node:fs'
import { join } from 'node:path'

const SHELL = '/usr/bin/chromium-headless-shell'
/** Debian's Chromium, and the flags with which it runs without a screen, a network and a voice home. */
export const CHROMIUM = process.env.CHROMIUM_PATH ?? (existsSync(SHELL) ? SHELL : '/usr/bin/chromium')
export const FLAGS: string[] = JSON.parse(readFileSync(join('scripts', 'chromium-flags.json'), 'utf8'))

export const OWN_ADDRESS = 'http://127.0.0.1:4871'
export const DEMO_ADDRESS = 'http://127.0.0.1:4872'
