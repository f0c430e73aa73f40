import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vite'
import { alias } from './vite.config'

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
    rollupOptions: {
      input: { main: here('./server/main.ts'), 'write-schema': here('./scripts/write-schema.ts') },
    },
  },
})
