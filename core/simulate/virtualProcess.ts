import type { PrintColours } from '../negative/proof'

/** How well a figure of a model is founded: in print, as printers have it, or made up so that the whole is plausible. */
export type ModelStanding = 'published' | 'practice' | 'invented'

/** A figure of a model, and how well it is founded. */
export interface ModelFigure {
  value: number
  standing: ModelStanding
}

/** A process as it is practised on: what its coat, its baths and its paper do, in figures. */
export interface VirtualProcess {
  processId: string
  /** Density of bare paper, and of the deepest black this coat comes to, dry. */
  white: ModelFigure
  black: ModelFigure
  /** Dose at which 63 % of the way to black is gone, mJ/cm², for a coat that does not mask itself. */
  speed: ModelFigure
  /** Steepness: 1 is an exponential approach. */
  steepness: ModelFigure
  /** How much of the density that has grown is in the light's way. */
  selfMasking: ModelFigure
  /** Share of the final net density that is seen while it prints. */
  printsOut: ModelFigure
  /** Time constant of the developer, s; `null` where water or nothing develops at once. */
  developSeconds: ModelFigure | null
  /** Density of sensitizer that is not cleared, and the time constant at which it goes, s. */
  stain: ModelFigure
  clearSeconds: ModelFigure
  /** How long it has to be fixed, s, and the share of net density that each minute beyond takes; `null`: nothing is fixed. */
  fix: { seconds: ModelFigure; lossPerMinute: ModelFigure } | null
  /** Share of net density that drying adds. */
  dryDown: ModelFigure
  /** Share of net density that comes with the first hours in air, and the time constant of that, h. */
  settling: ModelFigure
  settlingHours: ModelFigure
  /** Age of a dry coat at which its fog is 0.1, h. */
  keepsHours: ModelFigure
  /** Chalk left in the paper: share of net density that it costs. */
  chalkLoss: ModelFigure
  /** Light that it answers best, and where it ends, nm. */
  bestNanometres: ModelFigure
  toNanometres: ModelFigure
  /** Colours of the print when it is dry, and of the coat while it prints: its deepest tone and what no light has reached. */
  colours: PrintColours
  printing: PrintColours
}

/** How a virtual sheet was made and lit. */
export interface SheetConditions {
  /** Sensitizer on the paper, as a share of the usual; above 0. */
  coverage: number
  /** How far the parts of the sensitizer are from their recipe, in doublings; 0 as they should be. */
  imbalance: number
  relativeHumidity: number
  coatAgeHours: number
  isBuffered: boolean
  /** Peak of the lamp, nm. */
  nanometres: number
}

/** What was done to it so far, seconds; and hours since it dried, `null` while it is wet or not processed yet. */
export interface SheetWork {
  /** Dose at the frame, mJ/cm². */
  dose: number
  /** Baths: `null` while it has not been in them. */
  developed: number | null
  cleared: number | null
  fixed: number | null
  hoursDry: number | null
}

export const USUAL_CONDITIONS: SheetConditions = {
  coverage: 1,
  imbalance: 0,
  relativeHumidity: 50,
  coatAgeHours: 1,
  isBuffered: false,
  nanometres: 365,
}

export const UNTOUCHED: SheetWork = { dose: 0, developed: null, cleared: null, fixed: null, hoursDry: null }
