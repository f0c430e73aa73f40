import { execFileSync } from 'node:child_process'
import { readdirSync } from 'node:fs'
import { join } from 'node:path'

const root = join(__dirname, '..')
/** The floors as the linter has them; its configuration is a module of its own kind, so it is asked for by another Node. */
const { CORE_FLOORS, APP_FLOORS, STATIONS } = JSON.parse(
  execFileSync(
    process.execPath,
    [
      '--input-type=module',
      '--eval',
      "process.stdout.write(JSON.stringify(await import('./eslint.walls.mjs')))",
    ],
    { cwd: root, encoding: 'utf8' },
  ),
) as Record<'CORE_FLOORS' | 'APP_FLOORS' | 'STATIONS', string[]>

interface Case {
  path: string
  text: string
}

const FORBIDDEN_IMPORTS: readonly Case[] = [
  { path: 'core/process/x.ts', text: "import { ref } from 'vue'\nref(0)\n" },
  { path: 'core/process/x.ts', text: "import { db } from '../../app/storage/db'\ndb.open()\n" },
  { path: 'core/process/x.ts', text: "import { processes } from '@library/index'\nprocesses.x\n" },
  { path: 'core/process/x.ts', text: "import { readFileSync } from 'node:fs'\nreadFileSync('x')\n" },
  { path: 'core/process/x.ts', text: "import { uuid } from '../fixtures/workroom'\nuuid(1)\n" },
  { path: 'core/process/x.test.ts', text: "import { processes } from '@library/index'\nprocesses.x\n" },
  { path: 'library/x.ts', text: "import { db } from '../app/storage/db'\ndb.open()\n" },
  {
    path: 'app/stations/today/x.ts',
    text: "import { demoScenario } from '@demo/scenario'\ndemoScenario(1, 1)\n",
  },
  {
    path: 'app/stations/today/x.ts',
    text: "import { createServer } from '../../../server/app'\ncreateServer({ appFolder: '' })\n",
  },
  { path: 'app/stations/today/x.ts', text: "import { db } from '../../storage/db'\ndb.open()\n" },
  { path: 'app/stations/today/x.ts', text: "import { ElButton } from 'element-plus'\nElButton.x\n" },
  { path: 'demo/x.ts', text: "import { db } from '../app/storage/db'\ndb.open()\n" },
]

const importing = (path: string, from: string): Case => ({ path, text: `import { x } from '${from}'\nx()\n` })
/** Every folder of core and app importing the one just above it, every station its neighbour. */
const UPWARD: readonly Case[] = [
  ...CORE_FLOORS.slice(1).map((above, i) => importing(`core/${CORE_FLOORS[i]}/x.ts`, `../${above}/x`)),
  ...APP_FLOORS.slice(1).map((above, i) =>
    above === 'frame'
      ? importing('app/stations/today/x.ts', '../../frame/x')
      : importing(`app/${APP_FLOORS[i]}/x.ts`, `../${above}/x`),
  ),
  ...STATIONS.map((name, i) =>
    importing(`app/stations/${name}/parts/x.ts`, `../../${STATIONS[(i + 1) % STATIONS.length]}/x`),
  ),
]
/** Swap sides nothing is wrong. */
const DOWNWARD: readonly Case[] = [
  ...CORE_FLOORS.slice(1).map((above, i) => importing(`core/${above}/x.ts`, `../${CORE_FLOORS[i]}/x`)),
  ...APP_FLOORS.slice(1)
    .filter((above) => above !== 'stations')
    .map((above, i) => importing(`app/${above}/x.ts`, `../${APP_FLOORS[i]}/x`)),
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
    path: 'app/stations/today/x.ts',
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
  const found = complaints([...FORBIDDEN_IMPORTS, ...UPWARD, ...FORBIDDEN_NAMES, ...ALLOWED, ...DOWNWARD])

  it.each([...FORBIDDEN_IMPORTS, ...UPWARD])('$path may not: $text', (one) =>
    expect(found.get(one)).toContain('no-restricted-imports'),
  )
  it.each(FORBIDDEN_NAMES)('$path may not: $text', (one) => expect(found.get(one)).toContain(one.rule))
  it.each([...ALLOWED, ...DOWNWARD])('$path may: $text', (one) => expect(found.get(one)).toEqual([]))

  const foldersIn = (...path: string[]) =>
    readdirSync(join(root, ...path), { withFileTypes: true })
      .filter((entry) => entry.isDirectory())
      .map((entry) => entry.name)
      .sort()
  it('knows every folder there is', () => {
    expect(foldersIn('core')).toEqual([...CORE_FLOORS, 'fixtures'].sort())
    expect(foldersIn('app')).toEqual([...APP_FLOORS, 'public'].sort())
    expect(foldersIn('app', 'stations')).toEqual([...STATIONS].sort())
  })
})
