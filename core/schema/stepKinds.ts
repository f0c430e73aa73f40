import { z } from 'zod'

/** Where a step is worked: the station of the application, which is the place in the room. */
export const Station = z.enum(['paper', 'coat', 'light', 'wet', 'line'])

/** Column of the day's threads: where the sheet is meanwhile. */
export const Place = z.enum(['bench', 'dark', 'light', 'water', 'line'])

/**
 * What kind of work a step is, which decides how its clock behaves:
 * `count` counts drops; `act` is handwork inside a limit; `wait` must last at least so long; `expose` runs to a planned
 * end and can be held for a look; `bath` lasts at least so long and counts waters; `hang` ends by itself when dry.
 */
export const StepKind = z.enum(['count', 'act', 'wait', 'expose', 'bath', 'hang'])
