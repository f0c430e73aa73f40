/// <reference types="vite/client" />

declare module '@fontsource/*'
declare module '@fontsource-variable/*'
declare module 'element-plus/es/components/*/style/css'
