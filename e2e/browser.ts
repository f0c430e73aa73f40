/** Debian's Chromium, and the flags with which it runs without a screen, a network and a voice home. */
export const CHROMIUM = process.env.CHROMIUM_PATH ?? '/usr/bin/chromium'
export const FLAGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
]

export const OWN_ADDRESS = 'http://127.0.0.1:4871'
export const DEMO_ADDRESS = 'http://127.0.0.1:4872'
