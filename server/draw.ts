import { fileURLToPath } from 'node:url'
import { drawDemoPictures } from './demoPictures'

await drawDemoPictures(fileURLToPath(new URL('../demo', import.meta.url)))
