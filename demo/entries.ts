import type { Happening } from '@core/schema/event'
import { type Sheet } from '@core/schema/records'
import type { PrintLook } from './pictures/cyanotype'
import {
  bellBuoy,
  bladderwrack,
  fogWall,
  hornHouse,
  keepersStair,
  lampRoomLens,
  netLoft,
  ropeWalk,
  seaLettuce,
  tideGauge,
} from './pictures/scenes'
import { type Work } from './sheetStory'

export const MINUTE = 60_000
const HOUR = 60 * MINUTE
export const DAY = 24 * HOUR

/** One sheet of the scenario, in the words of whoever printed it. */
export interface Entry {
  number: number
  title: string
  subject: string
  photogram?: boolean
  paper: 'rag' | 'laid' | 'thin'
  light: 'box' | 'sill'
  long?: boolean
  work: Partial<Work> & Pick<Work, 'stage'> & { ago: number }
  look?: Omit<PrintLook, 'seed'>
  after?: (readonly [laterMs: number, what: Happening])[]
  edition?: Sheet['edition']
  /** Number of the sheet that it repeats. */
  again?: number
}

const judged = (
  moment: 'wet' | 'dry' | 'settled',
  parts: Partial<Extract<Happening, { type: 'judged' }>>,
): Happening => ({
  type: 'judged',
  moment,
  verdict: 'undecided',
  note: '',
  ...parts,
})
/** What the densitometer said of the deepest black and the bare white, with the blue's colour where it was read too. */
const measured = (
  moment: 'wet' | 'dry' | 'settled',
  black: number,
  white: number,
  blue?: readonly [number, number, number],
): Happening => ({
  type: 'measured',
  moment,
  by: 'instrument',
  readings: [
    { of: 'black', name: '', density: black, ...(blue && { lab: [...blue] as [number, number, number] }) },
    { of: 'white', name: '', density: white },
  ],
})
const noted = (text: string): Happening => ({ type: 'noted', text })

/**
 * The fog-signal portfolio: a printer's last month, with today's work under way.
 * `ago` is how long before the present moment the stage began.
 */
export const ENTRIES: readonly Entry[] = [
  {
    number: 17, title: 'Sea lettuce, one leaf over', subject: 'three leaves, from the slip', photogram: true, paper: 'laid', light: 'sill',
    work: { stage: 'hung', ago: 29 * DAY, exposureSeconds: 900, washSeconds: 390, waters: 2 },
    look: { scene: seaLettuce, depth: 0.95 },
    after: [
      [28 * HOUR, judged('dry', { verdict: 'undecided', shadows: 'right', highlights: 'veiled', whites: 'clean', note: 'The folds show. Too many leaves?' })],
      [14.3 * DAY, judged('settled', { verdict: 'again', note: 'Once more with the leaves apart.' })],
    ],
  },
  {
    number: 18, title: 'Seven posts', subject: 'Posts, high water', paper: 'rag', light: 'box',
    work: { stage: 'hung', ago: 27 * DAY, washSeconds: 640, waters: 3 },
    look: { scene: fogWall, depth: 0.93 },
    after: [
      [25 * HOUR, judged('dry', { verdict: 'keep', shadows: 'right', highlights: 'right', whites: 'clean', note: 'The far ones nearly go. As it was.' })],
      [25.1 * HOUR, measured('dry', 1.39, 0.07, [21.6, -1.7, -27.6])],
      [16 * DAY, judged('settled', { verdict: 'keep', note: '', lookAgainAt: 0 })],
      [16.01 * DAY, measured('settled', 1.44, 0.07, [19.2, -0.6, -30.8])],
    ],
  },
  {
    number: 19, title: 'Horn house', edition: { number: 1, of: 5 }, subject: 'Horn house, from the landing', paper: 'rag', light: 'box',
    work: { stage: 'hung', ago: 24 * DAY + 3 * HOUR, washSeconds: 660, waters: 3 },
    look: { scene: hornHouse, depth: 0.98 },
    after: [
      [20 * MINUTE, judged('wet', { whites: 'clean', note: 'Looks far too pale. Wait.' })],
      [22 * MINUTE, measured('wet', 1.2, 0.09)],
      [26.1 * HOUR, measured('dry', 1.41, 0.07, [21.1, -1.5, -28.2])],
      [26 * HOUR, judged('dry', { verdict: 'keep', shadows: 'right', highlights: 'right', whites: 'clean', note: 'There it is. The wall holds its plaster.' })],
      [15 * DAY, measured('settled', 1.46, 0.07, [18.9, -0.4, -31.4])],
      [15 * DAY, judged('settled', { verdict: 'keep', whites: 'clean', note: 'A shade deeper than the dry note. Signed, in the box.' })],
    ],
  },
  {
    number: 20, title: 'Horn house, second sheet', again: 19, subject: 'Horn house, from the landing', paper: 'laid', light: 'box',
    work: { stage: 'hung', ago: 23 * DAY, washSeconds: 170, waters: 0 },
    look: { scene: hornHouse, depth: 0.86, stain: 0.9 },
    after: [
      [1 * HOUR, noted('Telephone in the middle of the wash.')],
      [25 * HOUR, judged('dry', { verdict: 'again', shadows: 'right', whites: 'yellow', note: 'Yellow in the sky. Not three minutes in one water.' })],
      [25.1 * HOUR, measured('dry', 1.36, 0.14)],
      [26 * HOUR, { type: 'setAside', reason: 'Wash cut short: yellow sky. Wash by the clock, not by the telephone.' }],
    ],
  },
  {
    number: 21, title: 'Lamp-room lens', subject: 'Lens, first state', paper: 'rag', light: 'sill', long: false,
    work: { stage: 'hung', ago: 20 * DAY, exposureSeconds: 600, washSeconds: 620, waters: 3 },
    look: { scene: lampRoomLens, depth: 0.62 },
    after: [
      [24.5 * HOUR, judged('dry', { verdict: 'again', shadows: 'thin', highlights: 'blank', whites: 'clean', note: 'A cloud sat on the sun for half of it. Back to the box.' })],
      [24.6 * HOUR, measured('dry', 0.98, 0.07, [35, -4, -27])],
      [14.2 * DAY, judged('settled', { verdict: 'again', shadows: 'thin', note: 'No deeper. Print again with more.' })],
    ],
  },
  {
    number: 22, title: 'Lamp-room lens, second state', subject: 'Lens, second state', paper: 'rag', light: 'box',
    work: { stage: 'hung', ago: 16 * DAY, washSeconds: 640, waters: 4, given: { said: '+1/3 stop', plannedSeconds: 605 } },
    look: { scene: lampRoomLens, depth: 0.97 },
    edition: { number: 1, of: 7 },
    again: 21,
    after: [
      [27 * HOUR, judged('dry', { verdict: 'keep', shadows: 'right', highlights: 'right', whites: 'clean', note: 'The third of a stop did it. Prisms separate to the rim.' })],
      [25 * MINUTE, measured('wet', 1.24, 0.08)],
      [27.1 * HOUR, measured('dry', 1.46, 0.07, [18.8, -0.5, -31])],
    ],
  },
  {
    number: 23, title: 'Net loft', subject: 'Net loft, noon', paper: 'laid', light: 'box',
    work: { stage: 'hung', ago: 6 * DAY, washSeconds: 380, waters: 3 },
    look: { scene: netLoft, depth: 1 },
    after: [
      [25 * HOUR, judged('dry', { verdict: 'keep', shadows: 'blocked', highlights: 'right', whites: 'clean', note: 'Beams have closed up. I like it closed.' })],
      [25.1 * HOUR, measured('dry', 1.49, 0.08)],
    ],
  },
  {
    number: 24, title: 'Keeper’s stair', subject: 'Stair, from below', paper: 'rag', light: 'box',
    work: { stage: 'hung', ago: 5 * DAY + 2 * HOUR, washSeconds: 700, waters: 4, waitedMinutes: 80 * 60 },
    look: { scene: keepersStair, depth: 0.92, fog: 0.85 },
    after: [
      [10 * MINUTE, judged('wet', { whites: 'blue', note: 'Whites never cleared.' })],
      [20 * MINUTE, { type: 'setAside', reason: 'Fogged: the coated sheet lay over three days in the drawer with the loose corner.' }],
    ],
  },
  {
    number: 25, title: 'Bladderwrack', subject: 'two fronds, pressed, from the slip', photogram: true, paper: 'laid', light: 'sill',
    work: { stage: 'hung', ago: 3 * DAY, exposureSeconds: 840, washSeconds: 400, waters: 2 },
    look: { scene: bladderwrack, depth: 0.99 },
    after: [[26 * HOUR, judged('dry', { verdict: 'keep', shadows: 'right', highlights: 'right', whites: 'clean', note: 'Glass held it flat. The bladders let a little through.' })]],
  },
  {
    number: 26, title: 'Tide gauge', subject: 'Gauge, slack water', paper: 'rag', light: 'box',
    work: { stage: 'hung', ago: 26.5 * HOUR, washSeconds: 640, waters: 3 },
    look: { scene: tideGauge, depth: 0.95 },
    after: [
      [15 * MINUTE, judged('wet', { whites: 'clean', note: 'Marks readable down to the water.' })],
      [16 * MINUTE, measured('wet', 1.19, 0.08)],
    ],
  },
  {
    number: 27, title: 'Bell buoy, ashore', subject: 'Buoy on shingle', paper: 'rag', light: 'box',
    work: { stage: 'hung', ago: 25 * HOUR, washSeconds: 600, waters: 3 },
    look: { scene: bellBuoy, depth: 0.9 },
  },
  {
    number: 28, title: 'Rope walk', subject: 'Rope walk, west end', paper: 'rag', light: 'box',
    work: { stage: 'hung', ago: 48 * MINUTE, washSeconds: 630, waters: 3 },
    look: { scene: ropeWalk, depth: 0.8 },
    after: [[6 * MINUTE, noted('Photographed wet, for comparison tomorrow.')]],
  },
  {
    number: 29, title: 'Seven posts in fog', subject: 'Posts, low water', paper: 'rag', light: 'box',
    work: { stage: 'washing', ago: 4 * MINUTE },
    after: [[2.6 * MINUTE, { type: 'waterChanged', step: 'wash' }]],
  },
  {
    number: 30, title: 'Sea lettuce', subject: 'three leaves, wet-pressed', photogram: true, paper: 'laid', light: 'box',
    work: { stage: 'exposing', ago: 5 * MINUTE + 20_000, milliwattsPerCm2: 4.19 },
    after: [
      [4 * MINUTE, { type: 'looked', step: 'expose-objects' }],
      [4 * MINUTE + 16_000, { type: 'returned', step: 'expose-objects' }],
    ],
  },
  { number: 31, title: 'Lamp-room lens, third state', subject: 'Lens, third state', paper: 'rag', light: 'box', work: { stage: 'drying', ago: 4 * MINUTE + 25_000 } },
  { number: 32, title: 'Rope walk, looking east', subject: 'Rope walk, east end', paper: 'thin', light: 'box', work: { stage: 'dry', ago: 21 * MINUTE } },
  { number: 33, title: 'Keeper’s stair, second try', again: 24, subject: 'Stair, from below', paper: 'rag', light: 'box', work: { stage: 'planned', ago: 2 * HOUR } },
] // prettier-ignore
