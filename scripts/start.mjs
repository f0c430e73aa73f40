// npm start: everything set up, then the app with one's own workroom.
import { serve } from './serve.mjs'

serve([])
