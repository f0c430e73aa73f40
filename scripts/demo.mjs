// npm run demo: everything set up, then the app with the demo workroom.
import { serve } from './serve.mjs'

serve(['--demo'])
