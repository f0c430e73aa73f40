import { placeOf, type SheetPlace } from '@core/run/place'
import type { RunState } from '@core/run/runState'

interface Page {
  /** Name of its route. */
  name: string
  title: string
}
interface Station extends Page {
  /** Pages that can be turned to within the station, its own first; none where the station has only one. */
  pages: readonly Page[]
}

/** The stations in the order of work. A station is listed here once it works. */
export const stations: readonly Station[] = [
  {
    name: 'today',
    title: 'Today',
    pages: [
      { name: 'today', title: 'Next steps' },
      { name: 'plan', title: 'Plan the day' },
      { name: 'prepare', title: 'Preparations' },
    ],
  },
  {
    name: 'shelf',
    title: 'Shelf',
    pages: [
      { name: 'shelf', title: 'Bottles and jars' },
      { name: 'processes', title: 'Processes' },
      { name: 'shopping', title: 'Shopping list' },
      { name: 'waste', title: 'Waste' },
      { name: 'dropper', title: 'Droppers' },
    ],
  },
  {
    name: 'paper',
    title: 'Paper',
    pages: [
      { name: 'paper', title: 'Papers' },
      { name: 'tear', title: 'Tear a sheet' },
      { name: 'treat', title: 'Treat paper' },
    ],
  },
  { name: 'coat', title: 'Coat', pages: [] },
  {
    name: 'negative',
    title: 'Negative',
    pages: [
      { name: 'negative', title: 'Picture to film' },
      { name: 'calibrate', title: 'Calibrate' },
    ],
  },
  {
    name: 'light',
    title: 'Light',
    pages: [
      { name: 'light', title: 'Exposure' },
      { name: 'lights', title: 'Lights' },
      { name: 'sun', title: 'Sun' },
      { name: 'strip', title: 'Test strip' },
      { name: 'tablet', title: 'Step tablet' },
      { name: 'bases', title: 'Base exposures' },
      { name: 'instruments', title: 'Instruments' },
    ],
  },
  { name: 'wet', title: 'Wet side', pages: [] },
  {
    name: 'prints',
    title: 'Prints',
    pages: [
      { name: 'prints', title: 'All prints' },
      { name: 'trends', title: 'Trends' },
      { name: 'bin', title: 'Bin' },
    ],
  },
  {
    name: 'practice',
    title: 'Practice',
    pages: [
      { name: 'practice', title: 'A print' },
      { name: 'lessons', title: 'Lessons' },
      { name: 'try', title: 'Try it first' },
      { name: 'model', title: 'My own prints' },
    ],
  },
]

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
