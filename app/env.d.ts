/// <reference types="wicg-file-system-access" />
/// <reference types="vite/client" />
/// <reference types="vite-plugin-pwa/client" />

declare module '@fontsource/*'
declare module '@fontsource-variable/*'
declare module 'element-plus/es/components/*/style/css'

/** Whether the user wants to save data: not every browser says so, and TypeScript's own types leave it out. */
interface Navigator {
  readonly connection?: { readonly saveData: boolean }
}
