// npm run structure: which folder imports which, as counts; ends with an error where a cycle is found. With --write it
// draws the floors into docs/architecture.md.
import { execFileSync } from 'node:child_process'
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { dirname, join, normalize } from 'node:path'
import { root } from './setup.mjs'

const listed = execFileSync(
  'git',
  ['ls-files', '--cached', '--others', '--exclude-standard', 'core', 'library', 'app'],
  {
    cwd: root,
    encoding: 'utf8',
  },
)
const files = listed
  .split('\n')
  .filter((file) => /\.(ts|vue)$/.test(file) && !/\.(test|fixture)\.ts$/.test(file))
const known = new Set(files)
const ALIASES = { '@core/': 'core/', '@library/': 'library/' }
const IMPORT = /(?:from|import)\s*\(?\s*['"]([^'"]+)['"]/g

/** The file of this repository that an import names; `null` for packages. */
function target(from, name) {
  const alias = Object.keys(ALIASES).find((start) => name.startsWith(start))
  const path = alias
    ? ALIASES[alias] + name.slice(alias.length)
    : name.startsWith('.')
      ? normalize(join(dirname(from), name))
      : null
  return path && ([path, `${path}.ts`, `${path}.vue`].find((file) => known.has(file)) ?? null)
}
/** core/light, app/stations/wet, library: the folder that counts as one room. */
const folderOf = (file) => {
  const parts = dirname(file).split('/')
  if (parts[0] === 'library') return 'library'
  return parts.slice(0, parts[1] === 'stations' ? 3 : 2).join('/')
}

const imports = new Map()
for (const file of files) {
  const from = folderOf(file)
  if (!imports.has(from)) imports.set(from, new Map())
  for (const [, name] of readFileSync(join(root, file), 'utf8').matchAll(IMPORT)) {
    const to = target(file, name)
    if (!to || folderOf(to) === from) continue
    const counts = imports.get(from)
    counts.set(folderOf(to), (counts.get(folderOf(to)) ?? 0) + 1)
  }
}

/** Folders from the lowest floor up: each is above all that it imports. What is in a cycle has no floor. */
const floors = []
const placed = new Set()
for (;;) {
  const next = [...imports.keys()].filter(
    (folder) => !placed.has(folder) && [...imports.get(folder).keys()].every((one) => placed.has(one)),
  )
  if (!next.length) break
  floors.push(next.sort())
  next.forEach((folder) => placed.add(folder))
}
const inCycles = [...imports.keys()].filter((folder) => !placed.has(folder))

for (const floor of floors)
  for (const folder of floor) {
    const uses = [...imports.get(folder)].map(([one, count]) => `${one} ${count}`)
    console.log(`${folder.padEnd(26)} ${uses.join(', ') || '-'}`)
  }
if (inCycles.length) {
  console.error(`These folders import one another in a circle: ${inCycles.join(', ')}.`)
  process.exit(1)
}
/** What the benches load by its place, and is not there any more: no test runs them. */
const lost = readdirSync(join(root, 'scripts'))
  .filter((name) => name.startsWith('bench'))
  .flatMap((name) => [
    ...readFileSync(join(root, 'scripts', name), 'utf8').matchAll(
      /\{ ([\w, ]+) \} = await load\('([^']+)'\)/g,
    ),
  ])
  .flatMap(([, names, path]) => names.split(', ').map((name) => [name, path]))
  .filter(([name, path]) => {
    const text = existsSync(join(root, path)) ? readFileSync(join(root, path), 'utf8') : ''
    return !new RegExp(
      `export (?:async )?(?:const|function\\*?|class) ${name}\\b|export \\{[^}]*\\b${name}\\b`,
    ).test(text)
  })
if (lost.length) {
  console.error(`The benches load what is not there: ${lost.map((one) => one.join(' of ')).join(', ')}.`)
  process.exit(1)
}
console.log(`${placed.size} folders on ${floors.length} floors, no cycle.`)

if (process.argv.includes('--write')) {
  const id = (folder) => folder.replace(/\W/g, '_')
  const drawing = [
    '```mermaid',
    'flowchart BT',
    ...floors.map(
      (floor, i) =>
        `  subgraph floor_${i + 1}[ ]\n${floor.map((one) => `    ${id(one)}["${one}"]`).join('\n')}\n  end`,
    ),
    // Floors are joined, not folders: what a folder imports is what the linter allows it (eslint.walls.mjs).
    ...floors.slice(1).map((_, i) => `  floor_${i + 1} --- floor_${i + 2}`),
    '```',
  ].join('\n')
  const path = join(root, 'docs', 'architecture.md')
  const page = readFileSync(path, 'utf8')
  writeFileSync(
    path,
    page.replace(/<!-- floors -->[\s\S]*<!-- \/floors -->/, `<!-- floors -->\n${drawing}\n<!-- /floors -->`),
  )
}
