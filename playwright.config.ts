import { defineConfig } from '@playwright/test'
import { CHROMIUM, FLAGS, OWN_ADDRESS } from './e2e/browser.ts'

/** A server on a free port. The address it prints is kept under the name of the group, in capitals. */
const server = (says: RegExp, args: string) => ({
  command: `node dist/server/main.js --port 0 ${args}`,
  wait: { stdout: says },
  timeout: 300_000,
})

export default defineConfig({
  testDir: './e2e',
  outputDir: './test-results',
  workers: 3,
  // Tests that are tagged so run in `npm run test:long`: each way a second time, long ways, and faults of the machine.
  ...(process.env.LONG_TESTS !== '1' && { grepInvert: /@long/ }),
  fullyParallel: true,
  // Limits only end what hangs; no test depends on how fast the machine is.
  timeout: 300_000,
  // No second tries: a test that fails now and then is a fault of the test or of the app.
  retries: 0,
  expect: { timeout: 60_000 },
  reporter: [
    ['list'],
    ['json', { outputFile: process.env.PLAYWRIGHT_JSON_OUTPUT_NAME ?? '.cache/results/playwright.json' }],
  ],
  use: {
    baseURL: OWN_ADDRESS,
    viewport: { width: 1280, height: 800 },
    // Keeping the whole application afresh in every test's own browser would cost more than the tests; one spec lets it.
    serviceWorkers: 'block',
    // Nothing moves by itself, so that nothing has to come to rest before it is pressed; one spec lets it move.
    contextOptions: { reducedMotion: 'reduce' },
    launchOptions: { executablePath: CHROMIUM, args: FLAGS },
  },
  webServer: [
    server(/Ember Sheet is at (?<own_address>http:[^\s]+?)\/?\s/, ''),
    server(/demo workroom, is at (?<demo_address>http:[^\s]+?)\/?\s/, '--demo'),
  ],
})
