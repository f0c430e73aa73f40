import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vite'
import { alias } from './vite.config.ts'

const here = (path: string) => fileURLToPath(new URL(path, import.meta.url))

/** The server and its demo scenario as plain Node modules: dependencies stay outside and come from node_modules. */
export default defineConfig({
  root: here('.'),
  resolve: { alias },
  build: {
    ssr: true,
    outDir: here('./dist/server'),
    emptyOutDir: true,
    target: 'node20',
    rolldownOptions: { input: { main: here('./server/main.ts'), draw: here('./server/draw.ts') } },
  },
})
