import { fileURLToPath } from 'node:url'
import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vite'

const here = (path: string) => fileURLToPath(new URL(path, import.meta.url))

export const alias = {
  '@core': here('./core'),
  '@library': here('./library'),
  '@demo': here('./demo'),
}

export default defineConfig({
  root: here('./app'),
  plugins: [vue()],
  resolve: { alias },
  worker: { format: 'es' },
  build: {
    outDir: here('./dist/app'),
    emptyOutDir: true,
    target: 'es2023',
    // The content policy allows no data: fonts or scripts, so every asset stays a file.
    assetsInlineLimit: 0,
    manifest: true,
  },
})
