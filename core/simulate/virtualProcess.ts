import type { PrintColours } from '../negative/proof'

/** How well a figure of a model is founded: in print, as printers have it, made up so that the whole is plausible, or
 * taken from one's own prints. */
export type ModelStanding = 'published' | 'practice' | 'invented' | 'measured'

/** A figure of a model, and how well it is founded. */
export interface ModelFigure {
  value: number
  standing: ModelStanding
}

/** A toner that a process can be practised with: it replaces the metal of the print. */
export interface VirtualToner {
  /** Time constant, s. */
  seconds: ModelFigure
  /** Share of net density that a fully toned print gains, and share of the fixing loss that it is spared. */
  deepens: ModelFigure
  spares: ModelFigure
  colours: PrintColours
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
  /** Share of net density that each hour in that water or bath costs. */
  clearLossPerHour: ModelFigure
  /** What is washed out first is silver, which turns water that holds chlorine milky. */
  showsMilk: boolean
  toner: VirtualToner | null
  /** How long it has to be fixed, s, and the share of net density that each minute beyond takes; `null`: nothing is fixed. */
  fix: { seconds: ModelFigure; lossPerMinute: ModelFigure } | null
  /** Time constant at which the final wash takes the fixer out, s; `null` where nothing is fixed. */
  washSeconds: ModelFigure | null
  /** Share of net density that drying adds. */
  dryDown: ModelFigure
  /** Share of net density that comes with the first hours in air, and the time constant of that, h. */
  settling: ModelFigure
  settlingHours: ModelFigure
  /** Age of a dry coat at which its fog is 0.1, h. */
  keepsHours: ModelFigure
  /** Chalk left in the paper: share of net density that it costs. */
  chalkLoss: ModelFigure
  /** Paper without size: share of net density that sinks out of sight as it dries. */
  sinking: ModelFigure
  /** Light that it answers best, and where it ends, nm. */
  bestNanometres: ModelFigure
  toNanometres: ModelFigure
  /** Colours of the print when it is dry, and of the coat while it prints: its deepest tone and what no light has reached. */
  colours: PrintColours
  printing: PrintColours
  /** The finished print that this layer is printed over, made as well as it can be. */
  over?: VirtualProcess
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
  /** Size in the paper: 1 as it should be, 0 none. */
  sizing: number
  /** Steepness as a multiple of the usual: what a contrast agent does. */
  contrast: number
  /** Dose that the coat met in the room before it was printed, mJ/cm². */
  fogDose: number
  /** Peak of the lamp, nm. */
  nanometres: number
  /** Light of the lamp as a share of what it is taken to be. */
  lampShare: number
  /** A lamp that starts cold: dose on its clock in which 63 % of the way to its full light is gone, mJ/cm²; 0 when warm. */
  coldDose: number
}

/** What was done to it so far, seconds; and hours since it dried, `null` while it is wet or not processed yet. */
export interface SheetWork {
  /** Dose at the frame by the clock, mJ/cm²: what a warm lamp of full light gives in that time. */
  dose: number
  /** Baths: `null` while it has not been in them. */
  developed: number | null
  cleared: number | null
  toned: number | null
  fixed: number | null
  washed: number | null
  hoursDry: number | null
}

export const USUAL_CONDITIONS: SheetConditions = {
  coverage: 1,
  imbalance: 0,
  relativeHumidity: 50,
  coatAgeHours: 1,
  isBuffered: false,
  sizing: 1,
  contrast: 1,
  fogDose: 0,
  nanometres: 365,
  lampShare: 1,
  coldDose: 0,
}

export const UNTOUCHED: SheetWork = {
  dose: 0,
  developed: null,
  cleared: null,
  toned: null,
  fixed: null,
  washed: null,
  hoursDry: null,
}

/** A film: density of all its ink, of its clear parts, and the power by which density follows ink; 1 is even. */
export interface VirtualFilm {
  range: number
  base: number
  power: number
}

/** How many figures of a model have each standing. */
export function standingsOf(process: VirtualProcess): Record<ModelStanding, number> {
  const counts = { published: 0, practice: 0, invented: 0, measured: 0 }
  const isFigure = (one: unknown): one is ModelFigure =>
    typeof one === 'object' && one !== null && 'standing' in one && 'value' in one
  for (const one of Object.values(process)) if (isFigure(one)) counts[one.standing]++
  return counts
}

export const USUAL_FILM: VirtualFilm = { range: 2.1, base: 0, power: 1 }
