// npm run test:long: the unit tests with the full samples of every property test, every browser test, then the fault run
// of 50 kills.
import { ensureTestBrowser } from './chromium.mjs'
import { ensureBuild, ensurePackages, run, tool } from './setup.mjs'

ensurePackages()
const chromium = ensureTestBrowser()
tool('jest/bin/jest.js', [], { env: { LONG_TESTS: '1' } })
ensureBuild()
tool('@playwright/test/cli.js', ['test'], { env: { LONG_TESTS: '1', CHROMIUM_PATH: chromium } })
run(process.execPath, ['scripts/faults.mjs'])
