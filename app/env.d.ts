/// <reference types="wicg-file-system-access" />
/// <reference types="vite/client" />
/// <reference types="vite-plugin-pwa/client" />

declare module '@fontsource/*'
declare module '@fontsource-variable/*'
declare module 'element-plus/es/components/*/style/css'
