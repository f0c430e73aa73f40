// The built demo on a port of its own, for scripts that look at it or measure it.
import { spawn } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { root } from './setup.mjs'

/** Starts the server and resolves with its address once it listens; `stop` ends it. */
export function startServer(args) {
  const server = spawn(process.execPath, [join(root, 'dist', 'server', 'main.js'), '--port', '0', ...args], {
    stdio: ['ignore', 'pipe', 'inherit'],
  })
  return new Promise((resolve, reject) => {
    server.stdout.on('data', (text) => {
      const address = /http:\S+/.exec(String(text))?.[0]
      if (address) resolve({ address: address.replace(/\/$/, ''), stop: () => server.kill() })
    })
    server.on('exit', (code) => reject(new Error(`the server stopped with ${code}`)))
  })
}

export const FLAGS = JSON.parse(readFileSync(join(root, 'scripts', 'chromium-flags.json'), 'utf8'))
