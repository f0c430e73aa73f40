/**
 * Which folder may import which. Everything outside a floor's own list of lower floors is refused, so that neither core
 * nor app can grow a cycle between folders.
 */

/** Floors of core, lowest first: a folder imports only what stands before it. `fixtures` is for tests. */
export const CORE_FLOORS = [
  'quantity',
  'schema',
  'run',
  'chemistry',
  'coating',
  'paper',
  'tone',
  'sun',
  'process',
  'light',
  'shelf',
  'formats',
  'negative',
  'chart',
  'scan',
  'calibration',
  'judge',
  'schedule',
  'instrument',
  'simulate',
  'archive',
]

/** Floors of app, lowest first. */
export const APP_FLOORS = ['storage', 'workers', 'state', 'words', 'kit', 'stations', 'frame']

export const STATIONS = [
  'today',
  'shelf',
  'paper',
  'coat',
  'negative',
  'light',
  'wet',
  'practice',
  'prints',
  'processes',
  'workroom',
]

const CORE_OUTSIDE = {
  regex:
    '^(?!\\.{1,2}/(?!.*\\.\\./(app|library|server|demo|e2e)/)|@core/|zod$|fflate$|papaparse$|ml-matrix$|uuid$|@noble/hashes/)',
  message: 'core imports core and pure libraries only',
}
const APP_OUTSIDE = { regex: '@demo/|/(server|demo|e2e)/', message: 'app imports library and core only' }
const ELEMENT = { regex: '^element-plus', message: 'only app/kit knows Element Plus: use its components' }
const DATABASE = {
  regex: '/storage/(db|workroomDb|bundles|pictures|runStates)$|^dexie$',
  message: 'the database is read and written by app/state: use or add an action or a query there',
}

const wall = (files, patterns, ignores = []) => ({
  files,
  ignores,
  rules: { 'no-restricted-imports': ['error', { patterns }] },
})

/** What the folders before and after `name` are to it. @param depth how the path to a sibling folder begins. */
const above = (floors, name, tree) => {
  const higher = floors.slice(floors.indexOf(name) + 1)
  return higher.length
    ? [
        {
          regex: `^(?:(?:\\.\\./)+|@${tree}/|.*/${tree}/)(?:${higher.join('|')})/`,
          message: `${tree}/${name} does not import ${higher.join(', ')}: arrows go one way (eslint.walls.mjs)`,
        },
      ]
    : []
}
const NO_FIXTURES = { regex: '/fixtures/', message: 'fixtures are for tests' }

const coreWalls = CORE_FLOORS.map((name) =>
  wall(
    [`core/${name}/**`],
    [CORE_OUTSIDE, NO_FIXTURES, ...above(CORE_FLOORS, name, 'core')],
    ['core/**/*.{test,fixture}.ts'],
  ),
)

const appWalls = APP_FLOORS.filter((name) => name !== 'stations').map((name) =>
  wall(
    [`app/${name}/**`],
    [
      APP_OUTSIDE,
      ...(name === 'kit' ? [] : [ELEMENT]),
      ...(['words', 'kit', 'frame'].includes(name) ? [DATABASE] : []),
      ...above(APP_FLOORS, name, 'app'),
    ],
    ['app/**/*.{test,fixture}.ts'],
  ),
)

/** A station imports no other: what two share moves down. */
const stationWalls = STATIONS.map((name) => {
  const others = STATIONS.filter((one) => one !== name).join('|')
  return wall(
    [`app/stations/${name}/**`],
    [
      APP_OUTSIDE,
      ELEMENT,
      DATABASE,
      ...above(APP_FLOORS, 'stations', 'app'),
      {
        regex: `^(?:\\.\\./)+(?:stations/)?(?:${others})/`,
        message: 'stations do not import one another: move what both need down, to words, kit, state or core',
      },
    ],
    ['app/**/*.{test,fixture}.ts'],
  )
})

export const walls = [
  wall(['core/*.ts'], [CORE_OUTSIDE]),
  ...coreWalls,
  wall(
    ['core/**/*.{test,fixture}.ts'],
    [
      {
        regex: '@library/|@demo/|/(app|library|server|demo|e2e)/|^vue|^dexie|^pinia',
        message: 'core is tested on its own',
      },
    ],
  ),
  wall(
    ['library/**'],
    [
      {
        regex: '^(?!\\./|\\.\\./(?!(app|server|demo|core)/)|@core/)',
        message: 'library imports core and itself only',
      },
    ],
    ['library/**/*.{test,fixture}.ts'],
  ),
  wall(
    ['library/**/*.{test,fixture}.ts'],
    [{ regex: '@demo/|/(app|server|demo)/', message: 'library is tested with core alone' }],
  ),
  wall(['app/*.ts', 'app/**/*.{test,fixture}.ts'], [APP_OUTSIDE]),
  ...appWalls,
  ...stationWalls,
  wall(
    ['demo/**'],
    [{ regex: '/(server|app|e2e)/|^vue|^dexie', message: 'demo imports library and core only' }],
  ),
]
