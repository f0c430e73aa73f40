// npm run build: the application, the server and the demo's pictures, where they are out of date.
import { ensureBuild, ensurePackages } from './setup.mjs'

ensurePackages()
ensureBuild()
