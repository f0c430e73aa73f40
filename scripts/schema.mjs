// npm run schema: writes docs/schema from the schemas that the archive is checked by.
import { ensurePackages, tool } from './setup.mjs'

ensurePackages()
tool('jest/bin/jest.js', ['core/archive/jsonSchemas.test.ts'], { env: { WRITE_SCHEMA: '1' } })
