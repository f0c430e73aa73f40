// npm run faults: the browser killed at 50 random moments of a working session.
import { ensureChromium } from './chromium.mjs'
import { ensureBuild, ensurePackages, run } from './setup.mjs'

ensurePackages()
ensureBuild()
ensureChromium()
run('npx', ['playwright', 'test', 'faults', '--retries=0'], {
  env: { LONG_TESTS: '1', FAULT_KILLS: process.env.FAULT_KILLS ?? '50' },
})
