import { execFileSync } from 'node:child_process'
import { join } from 'node:path'

const root = join(__dirname, '..')

/** What the linter says of a file with this text at this place. */
function complaints(path: string, text: string): string[] {
  const eslint = join(root, 'node_modules', 'eslint', 'bin', 'eslint.js')
  try {
    execFileSync(
      process.execPath,
      [eslint, '--stdin', '--stdin-filename', join(root, path), '--format', 'json'],
      { cwd: root, input: text, encoding: 'utf8' },
    )
    return []
  } catch (error) {
    const [report] = JSON.parse((error as { stdout: string }).stdout) as { messages: { ruleId: string }[] }[]
    return report?.messages.map((message) => message.ruleId) ?? []
  }
}

describe('the walls between the folders', () => {
  it.each([
    ['core/process/x.ts', "import { ref } from 'vue'\nref(0)\n"],
    ['core/process/x.ts', "import { db } from '../../app/data/db'\ndb.open()\n"],
    ['core/process/x.ts', "import { processes } from '@library/index'\nprocesses.x\n"],
    ['core/process/x.ts', "import { readFileSync } from 'node:fs'\nreadFileSync('x')\n"],
    ['library/x.ts', "import { db } from '../app/data/db'\ndb.open()\n"],
    ['app/today/x.ts', "import { demoScenario } from '@demo/scenario'\ndemoScenario(1, 1)\n"],
    ['app/today/x.ts', "import { createServer } from '../../server/app'\ncreateServer({ appFolder: '' })\n"],
    ['demo/x.ts', "import { db } from '../app/data/db'\ndb.open()\n"],
  ])('%s may not: %s', (path, text) => expect(complaints(path, text)).toContain('no-restricted-imports'))

  it.each([
    ['core/process/x.ts', 'export const x = Date.now()\n', 'no-restricted-properties'],
    ['core/process/x.ts', 'export const x = Math.random()\n', 'no-restricted-properties'],
    ['core/process/x.ts', 'export const x = new Date()\n', 'no-restricted-syntax'],
    ['core/process/x.ts', 'export const x = document.title\n', 'no-restricted-globals'],
    ['library/x.ts', "export const x = localStorage.getItem('x')\n", 'no-restricted-globals'],
  ])('%s may not: %s', (path, text, rule) => expect(complaints(path, text)).toContain(rule))

  it('lets core use core and pure libraries, and the app use both', () => {
    expect(
      complaints(
        'core/process/x.ts',
        "import { z } from 'zod'\nimport { CoreError } from '../errors'\nexport const x = [z, CoreError]\n",
      ),
    ).toEqual([])
    expect(
      complaints(
        'app/today/x.ts',
        "import { processes } from '@library/index'\nimport { CoreError } from '@core/errors'\nexport const x = [processes, CoreError]\n",
      ),
    ).toEqual([])
  })
})
