// Starts the built server and passes on what was asked for on the command line.
import { spawn } from 'node:child_process'
import { join } from 'node:path'
import { ensureBuild, ensurePackages, root } from './setup.mjs'

export function serve(args) {
  ensurePackages()
  ensureBuild()
  const server = spawn(
    process.execPath,
    [join(root, 'dist', 'server', 'main.js'), ...args, ...process.argv.slice(2)],
    { stdio: 'inherit' },
  )
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal))
  server.on('exit', (code) => process.exit(code ?? 0))
}
