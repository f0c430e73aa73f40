import { copyFileSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import vue from '@vitejs/plugin-vue'
import { defineConfig, type Plugin, type Rolldown } from 'vite'
import { VitePWA } from 'vite-plugin-pwa'

const here = (path: string) => fileURLToPath(new URL(path, import.meta.url))

export const alias = {
  '@core': here('./core'),
  '@library': here('./library'),
  '@demo': here('./demo'),
}

/** Where a web host has the app: `BASE_PATH=/studio/ npm run build`. */
const base = process.env.BASE_PATH ?? '/'

/** What the first screen needs: everything that its script imports, and what that imports in turn. */
let first: Set<string> | null = null
function isOfFirstScreen(id: string, build: Rolldown.ChunkingContext): boolean {
  if (!first) {
    first = new Set([here('./app/main.ts')])
    for (const one of first)
      for (const imported of build.getModuleInfo(one)?.importedIds ?? []) first.add(imported)
  }
  return first.has(id)
}

const ROOT = here('./')
/** What lies in these folders of this repository, wherever it lies itself. */
const own = (folders: string) => new RegExp(`^${ROOT.replace(/[^\w/]/g, '\\$&')}(?:${folders})`)
/**
 * Few files: every page is fetched ahead, and each file costs the browser more to ask for than to read. What the first
 * screen needs is one, and what only some use (charts, PDF, the writer of calendars) stays a file of its own.
 */
const FILES: Rolldown.CodeSplittingGroup[] = [
  { name: (id, context) => (isOfFirstScreen(id, context) ? 'first' : null), priority: 5 },
  { name: 'charts', test: own('node_modules/(chart.js|vue-chartjs)'), priority: 4 },
  { name: 'base', test: own('(core|library|app/(storage|workers|state|words))/'), priority: 3 },
  {
    name: 'kit',
    test: own('node_modules/(@?element-plus|lodash|@floating-ui|@?vue|fflate)|app/kit/(?!ChartFigure)'),
    priority: 2,
  },
  {
    name: (id) => /^app\/stations\/(\w+)\//.exec(id.slice(ROOT.length))?.[1] ?? null,
    test: own('app/stations/(?!.*Pdf\\.ts)'),
    priority: 1,
  },
]

/** Web hosts answer unknown paths with this page: so an address inside the app can be opened there too. */
const pageForEveryPath: Plugin = {
  name: 'pageForEveryPath',
  writeBundle: ({ dir }) => copyFileSync(join(dir ?? '', 'index.html'), join(dir ?? '', '404.html')),
}

export default defineConfig({
  root: here('./app'),
  base,
  plugins: [
    vue(),
    pageForEveryPath,
    VitePWA({
      // A newer version waits until it is asked for: never in the middle of a running clock.
      registerType: 'prompt',
      injectRegister: false,
      manifest: {
        name: 'Ember Sheet',
        short_name: 'Ember Sheet',
        description: 'A workroom companion for photographers who coat their own paper.',
        theme_color: '#120602',
        background_color: '#120602',
        display: 'standalone',
        start_url: base,
        icons: [
          { src: `${base}icon-192.png`, sizes: '192x192', type: 'image/png' },
          { src: `${base}icon-512.png`, sizes: '512x512', type: 'image/png', purpose: 'any' },
          { src: `${base}icon-512.png`, sizes: '512x512', type: 'image/png', purpose: 'maskable' },
        ],
      },
      workbox: {
        // All of it, with the letters of pages and the decoder of pictures: the server may go away at any time.
        globPatterns: ['**/*.{js,css,html,woff2,svg,png,ttf,wasm}'],
        maximumFileSizeToCacheInBytes: 6 * 2 ** 20,
        navigateFallback: `${base}index.html`,
        navigateFallbackDenylist: [/^\/demo\//],
      },
    }),
  ],
  resolve: { alias },
  worker: { format: 'es' },
  build: {
    outDir: here('./dist/app'),
    emptyOutDir: true,
    target: 'es2023',
    // The content policy allows no data: fonts or scripts, so every asset stays a file.
    assetsInlineLimit: 0,
    manifest: true,
    rolldownOptions: { output: { codeSplitting: { groups: FILES } } },
  },
})
