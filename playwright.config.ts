import { defineConfig } from '@playwright/test'
import { CHROMIUM, DEMO_ADDRESS, FLAGS, OWN_ADDRESS } from './e2e/browser.ts'

const server = (address: string, args: string) => ({
  command: `node dist/server/main.js --port ${new URL(address).port} ${args}`,
  url: address,
  reuseExistingServer: false,
})

export default defineConfig({
  testDir: './e2e',
  outputDir: './test-results',
  workers: 2,
  fullyParallel: true,
  timeout: 90_000,
  // A browser on a loaded machine may miss a beat. What passes only at the second try is listed as flaky.
  retries: 1,
  expect: { timeout: 15_000 },
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
  webServer: [server(OWN_ADDRESS, ''), server(DEMO_ADDRESS, '--demo')],
})
