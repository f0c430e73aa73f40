import { placeOf, type SheetPlace } from '@core/run/place'
import type { RunState } from '@core/run/runState'

/** The stations in the order of work. A station is listed here once it works. */
export const stations = [
  { name: 'today', title: 'Today' },
  { name: 'shelf', title: 'Shelf' },
  { name: 'paper', title: 'Paper' },
  { name: 'coat', title: 'Coat' },
  { name: 'negative', title: 'Negative' },
  { name: 'light', title: 'Light' },
  { name: 'wet', title: 'Wet side' },
  { name: 'prints', title: 'Prints' },
] as const

const STATION: Readonly<Record<SheetPlace, string>> = {
  planned: 'coat',
  paper: 'treatment',
  coat: 'coat',
  light: 'light',
  wet: 'wet',
  line: 'print',
  finished: 'print',
  setAside: 'print',
}

/** Name of the route at which a sheet is worked on now. */
export const stationOfSheet = (state: RunState): string => STATION[placeOf(state)]
