// npm run test:long: the unit tests with the full samples of every property test, then the fault run of 50 kills.
import { ensurePackages, run, tool } from './setup.mjs'

ensurePackages()
tool('jest/bin/jest.js', [], { env: { LONG_TESTS: '1' } })
run(process.execPath, ['scripts/faults.mjs'])
