// npm test: everything set up, then lint, types, unit tests, build and browser tests. Goes on after a failure, so that
// one run tells all, and counts what passed and failed into a file for CI.
import { mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { ensureTestBrowser } from './chromium.mjs'
import { ensureBuild, ensurePackages, root, run, tool } from './setup.mjs'

ensurePackages()
const chromium = ensureTestBrowser()

const results = join(root, '.cache', 'results')
rmSync(results, { recursive: true, force: true })
mkdirSync(results, { recursive: true })
const jestFile = join(results, 'jest.json')
const playwrightFile = join(results, 'playwright.json')

const failures = []
function stage(name, work) {
  console.log(`\n== ${name}`)
  const began = Date.now()
  if (work() !== 0) failures.push(name)
  console.log(`   ${Math.round((Date.now() - began) / 1000)} s`)
}
const mayFail = { mayFail: true }

stage('lint', () => tool('eslint/bin/eslint.js', ['.'], mayFail))
stage('format', () => tool('prettier/bin/prettier.cjs', ['--check', '--log-level', 'warn', '.'], mayFail))
stage('unused', () => tool('knip/bin/knip.js', [], mayFail))
stage('types', () => tool('vue-tsc/bin/vue-tsc.js', ['--noEmit', '-p', 'tsconfig.json'], mayFail))
stage('types of core', () => tool('typescript/bin/tsc', ['--noEmit', '-p', 'tsconfig.core.json'], mayFail))
stage('unit tests', () => tool('jest/bin/jest.js', ['--json', `--outputFile=${jestFile}`], mayFail))
stage('build', () => {
  ensureBuild()
  return 0
})
stage('browser tests', () =>
  run(process.execPath, [join(root, 'node_modules', '@playwright', 'test', 'cli.js'), 'test'], {
    mayFail: true,
    env: { CHROMIUM_PATH: chromium, PLAYWRIGHT_JSON_OUTPUT_NAME: playwrightFile },
  }),
)

const read = (file) => {
  try {
    return JSON.parse(readFileSync(file, 'utf8'))
  } catch {
    return null
  }
}
const [jest, playwright] = [read(jestFile), read(playwrightFile)]
const flaky = playwright?.stats.flaky ?? 0
const passed = (jest?.numPassedTests ?? 0) + (playwright?.stats.expected ?? 0) + flaky
const counted = (jest?.numFailedTests ?? 0) + (playwright?.stats.unexpected ?? 0)
// A stage that failed without a failed test, such as lint, still counts as one failure.
const failed = Math.max(counted, failures.length)
writeFileSync(join(results, 'tally.txt'), `${passed} passed, ${failed} failed\n`)

if (flaky) console.log(`\nPassed only at the second try: ${flaky}. They are listed above and want a look.`)
console.log(failures.length ? `\nFailed: ${failures.join(', ')}` : '\nAll is well.')
console.log(`${passed} passed, ${failed} failed`)
process.exit(failures.length ? 1 : 0)
