import { serve } from './call'

/** Four beats a second, so that a clock's seconds change when they should. The answer never comes. */
serve<null, never, null>('the beat', (_, { tell }) => new Promise(() => setInterval(() => tell(null), 250)))
