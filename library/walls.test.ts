import { execFileSync } from 'node:child_process'
import { join } from 'node:path'

const root = join(__dirname, '..')

interface Case {
  path: string
  text: string
}

const FORBIDDEN_IMPORTS: readonly Case[] = [
  { path: 'core/process/x.ts', text: "import { ref } from 'vue'\nref(0)\n" },
  { path: 'core/process/x.ts', text: "import { db } from '../../app/data/db'\ndb.open()\n" },
  { path: 'core/process/x.ts', text: "import { processes } from '@library/index'\nprocesses.x\n" },
  { path: 'core/process/x.ts', text: "import { readFileSync } from 'node:fs'\nreadFileSync('x')\n" },
  { path: 'library/x.ts', text: "import { db } from '../app/data/db'\ndb.open()\n" },
  { path: 'app/today/x.ts', text: "import { demoScenario } from '@demo/scenario'\ndemoScenario(1, 1)\n" },
  {
    path: 'app/today/x.ts',
    text: "import { createServer } from '../../server/app'\ncreateServer({ appFolder: '' })\n",
  },
  { path: 'demo/x.ts', text: "import { db } from '../app/data/db'\ndb.open()\n" },
]
const FORBIDDEN_NAMES: readonly (Case & { rule: string })[] = [
  { path: 'core/process/x.ts', text: 'export const x = Date.now()\n', rule: 'no-restricted-properties' },
  { path: 'core/process/x.ts', text: 'export const x = Math.random()\n', rule: 'no-restricted-properties' },
  { path: 'core/process/x.ts', text: 'export const x = new Date()\n', rule: 'no-restricted-syntax' },
  { path: 'core/process/x.ts', text: 'export const x = document.title\n', rule: 'no-restricted-globals' },
  {
    path: 'library/x.ts',
    text: "export const x = localStorage.getItem('x')\n",
    rule: 'no-restricted-globals',
  },
]
const ALLOWED: readonly Case[] = [
  {
    path: 'core/process/x.ts',
    text: "import { z } from 'zod'\nimport { CoreError } from '../errors'\nexport const x = [z, CoreError]\n",
  },
  {
    path: 'app/today/x.ts',
    text: "import { processes } from '@library/index'\nimport { CoreError } from '@core/errors'\nexport const x = [processes, CoreError]\n",
  },
]

/** The rules that each case breaks. One linter reads them all: starting it costs far more than reading. */
function complaints(cases: readonly Case[]): Map<Case, string[]> {
  const program = `
    import { ESLint } from 'eslint'
    import { readFileSync } from 'node:fs'
    const eslint = new ESLint()
    const cases = JSON.parse(readFileSync(0, 'utf8'))
    const rules = []
    for (const { path, text } of cases) {
      const [report] = await eslint.lintText(text, { filePath: path })
      rules.push(report.messages.map((message) => message.ruleId))
    }
    process.stdout.write(JSON.stringify(rules))`
  const output = execFileSync(process.execPath, ['--input-type=module', '--eval', program], {
    cwd: root,
    input: JSON.stringify(cases),
    encoding: 'utf8',
  })
  const rules = JSON.parse(output) as string[][]
  return new Map(cases.map((one, i) => [one, rules[i] ?? []]))
}

describe('the walls between the folders', () => {
  const found = complaints([...FORBIDDEN_IMPORTS, ...FORBIDDEN_NAMES, ...ALLOWED])

  it.each(FORBIDDEN_IMPORTS)('$path may not: $text', (one) =>
    expect(found.get(one)).toContain('no-restricted-imports'),
  )
  it.each(FORBIDDEN_NAMES)('$path may not: $text', (one) => expect(found.get(one)).toContain(one.rule))
  it.each(ALLOWED)('$path may: $text', (one) => expect(found.get(one)).toEqual([]))
})
