// npm test: everything set up, then lint, types, unit tests, build and browser tests. Goes on after a failure, so that
// one run tells all, and counts what passed and failed into a file for CI.
import { spawn } from 'node:child_process'
import { mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { ensurePackages, root } from './setup.mjs'

/** Room for what is short-lived: parsers and tests make so much of it that sweeping it was a tenth of their time. */
const ROOMY = ['--max-semi-space-size=64']

/** Runs one of this Node's scripts, and keeps what it says until it is asked for. */
function later(script, args) {
  return new Promise((resolve) => {
    const child = spawn(process.execPath, [...ROOMY, join(root, script), ...args], { cwd: root })
    let said = ''
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (text) => (said += text))
    child.on('error', (error) => resolve({ status: 1, said: String(error) }))
    child.on('close', (status) => resolve({ status: status ?? 1, said }))
  })
}

// The browser comes while the packages come, and is not needed before the last stage.
const browser = later(join('scripts', 'testBrowser.mjs'), [])
ensurePackages()

const results = join(root, '.cache', 'results')
rmSync(results, { recursive: true, force: true })
mkdirSync(results, { recursive: true })
const jestFile = join(results, 'jest.json')
const playwrightFile = join(results, 'playwright.json')

const failures = []
const seconds = (began) => Math.round((Date.now() - began) / 1000)

const inModules = (name) => join('node_modules', name)
const CHECKS = [
  ['build', join('scripts', 'build.mjs'), []],
  ['lint', inModules('eslint/bin/eslint.js'), ['.']],
  ['structure', join('scripts', 'structure.mjs'), []],
  ['words', join('scripts', 'words.mjs'), ['--check']],
  ['styles', inModules('stylelint/bin/stylelint.mjs'), ['app/**/*.{vue,css}']],
  ['format', inModules('prettier/bin/prettier.cjs'), ['--check', '--log-level', 'warn', '.']],
  ['unused', inModules('knip/bin/knip.js'), []],
  ['types of the app', inModules('vue-tsc/bin/vue-tsc.js'), ['--noEmit', '-p', 'tsconfig.app.json']],
  ['types of core', inModules('typescript-native/bin/tsc'), ['--noEmit', '-p', 'tsconfig.core.json']],
  ['types of the rest', inModules('typescript-native/bin/tsc'), ['--noEmit', '-p', 'tsconfig.rest.json']],
]
/** One after the other, beside the unit tests: those use one core and leave the other alone. */
async function checks() {
  const found = []
  for (const [name, script, args] of CHECKS) {
    const began = Date.now()
    found.push({ name, ...(await later(script, args)), took: seconds(began) })
  }
  return found
}

/** A stage that shows what it does while it does it. */
async function stage(name, script, args, env = {}) {
  const began = Date.now()
  const status = await new Promise((resolve) =>
    spawn(process.execPath, [...ROOMY, join(root, script), ...args], {
      cwd: root,
      stdio: 'inherit',
      env: { ...process.env, ...env },
    }).on('close', (code) => resolve(code ?? 1)),
  )
  console.log(`\n== ${name}: ${seconds(began)} s`)
  if (status !== 0) failures.push(name)
}

console.log('\n== unit tests, with build, lint and types beside them')
const units = stage('unit tests', inModules('jest/bin/jest.js'), ['--json', `--outputFile=${jestFile}`])
for (const { name, status, said, took } of await checks()) {
  console.log(`\n== ${name}\n${said.trim()}\n   ${took} s`)
  if (status !== 0) failures.push(name)
}

const { status: hasBrowser, said: browserSaid } = await browser
const chromium = browserSaid.trim().split('\n').at(-1)
if (hasBrowser !== 0) console.log(browserSaid)
console.log('\n== browser tests, while the last unit tests run')
await stage('browser tests', inModules('@playwright/test/cli.js'), ['test'], {
  CHROMIUM_PATH: chromium,
  PLAYWRIGHT_JSON_OUTPUT_NAME: playwrightFile,
})
await units

const read = (file) => {
  try {
    return JSON.parse(readFileSync(file, 'utf8'))
  } catch {
    return null
  }
}
const [jest, playwright] = [read(jestFile), read(playwrightFile)]
if (!jest) console.log('\nThe unit tests ended before they could report: see their output above.')
if (!playwright) console.log('\nThe browser tests did not start or did not end: see their output above.')
const passed = (jest?.numPassedTests ?? 0) + (playwright?.stats.expected ?? 0)
const counted = (jest?.numFailedTests ?? 0) + (playwright?.stats.unexpected ?? 0)
// A stage that failed without a failed test, such as lint, still counts as one failure.
const failed = Math.max(counted, failures.length)
writeFileSync(join(results, 'tally.txt'), `${passed} passed, ${failed} failed\n`)

console.log(failures.length ? `\nFailed: ${failures.join(', ')}` : '\nAll is well.')
console.log(`${passed} passed, ${failed} failed`)
process.exit(failures.length ? 1 : 0)
