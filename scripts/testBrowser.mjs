// Finds the browser for the tests, or installs it, and says as its last line where it is.
import { ensureTestBrowser } from './chromium.mjs'

console.log(ensureTestBrowser())
