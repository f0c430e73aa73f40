import type { PracticeFault } from '@core/simulate/practiceFault'
import type { ModelFigure, VirtualProcess } from '@core/simulate/virtualProcess'
import { printColours } from './printColours'

/** As printers have it. */
const practice = (value: number): ModelFigure => ({ value, standing: 'practice' })
/** Made up so that the whole is plausible. */
const invented = (value: number): ModelFigure => ({ value, standing: 'invented' })

/** Iron coats end where blue begins, silver chloride sooner; see `library/spectrum.ts`. */
const IRON = { bestNanometres: practice(405), toNanometres: practice(450) }
const SILVER = { bestNanometres: practice(385), toNanometres: practice(420) }

/** A coat of iron before it is washed: yellow-green, and slate where much light fell. */
const IRON_COAT = {
  deep: { L: 30, a: -4, b: -8 },
  middle: { L: 58, a: -8, b: 8 },
  paper: { L: 86, a: -9, b: 34 },
}
const SILVER_COAT = {
  deep: { L: 22, a: 14, b: 8 },
  middle: { L: 55, a: 16, b: 12 },
  paper: { L: 93, a: 1, b: 8 },
}
const FERRIC_COAT = {
  deep: { L: 40, a: 8, b: 20 },
  middle: { L: 66, a: 6, b: 26 },
  paper: { L: 86, a: 0, b: 34 },
}

/** Processes that can be practised, by the figures of a coat that does not exist but could. */
export const practiceProcesses: readonly VirtualProcess[] = [
  {
    processId: 'classic-cyanotype',
    white: invented(0.07),
    black: practice(1.38),
    speed: invented(640),
    steepness: invented(1.05),
    selfMasking: invented(0.12),
    printsOut: practice(0.45),
    developSeconds: null,
    stain: invented(0.16),
    clearSeconds: practice(90),
    fix: null,
    dryDown: practice(0.08),
    settling: practice(0.18),
    settlingHours: practice(8),
    keepsHours: practice(96),
    chalkLoss: invented(0.3),
    ...IRON,
    colours: printColours.prussian,
    printing: IRON_COAT,
  },
  {
    processId: 'new-cyanotype',
    white: invented(0.07),
    black: practice(1.55),
    speed: invented(260),
    steepness: invented(1.15),
    selfMasking: invented(0.2),
    printsOut: practice(0.65),
    developSeconds: null,
    stain: invented(0.12),
    clearSeconds: practice(60),
    fix: null,
    dryDown: practice(0.06),
    settling: practice(0.1),
    settlingHours: practice(6),
    keepsHours: practice(240),
    chalkLoss: invented(0.45),
    ...IRON,
    colours: printColours.prussian,
    printing: IRON_COAT,
  },
  {
    processId: 'van-dyke',
    white: invented(0.07),
    black: practice(1.5),
    speed: invented(330),
    steepness: invented(1.1),
    selfMasking: invented(0.25),
    printsOut: practice(0.6),
    developSeconds: null,
    stain: invented(0.12),
    clearSeconds: practice(45),
    fix: { seconds: practice(120), lossPerMinute: invented(0.03) },
    dryDown: practice(0.25),
    settling: invented(0.02),
    settlingHours: invented(12),
    keepsHours: practice(24),
    chalkLoss: invented(0.35),
    ...IRON,
    colours: printColours.umber,
    printing: FERRIC_COAT,
  },
  {
    processId: 'kallitype',
    white: invented(0.06),
    black: practice(1.55),
    speed: invented(300),
    steepness: invented(1.3),
    selfMasking: invented(0),
    printsOut: practice(0.12),
    developSeconds: practice(25),
    stain: invented(0.14),
    clearSeconds: practice(70),
    fix: { seconds: practice(120), lossPerMinute: invented(0.04) },
    dryDown: practice(0.1),
    settling: invented(0.02),
    settlingHours: invented(12),
    keepsHours: practice(24),
    chalkLoss: invented(0.35),
    ...IRON,
    colours: printColours.umber,
    printing: FERRIC_COAT,
  },
  {
    processId: 'salted-paper',
    white: invented(0.06),
    black: practice(1.45),
    speed: invented(420),
    steepness: invented(1.1),
    selfMasking: invented(0.45),
    printsOut: practice(1.15),
    developSeconds: null,
    stain: invented(0.05),
    clearSeconds: practice(80),
    fix: { seconds: practice(300), lossPerMinute: practice(0.02) },
    dryDown: practice(0.06),
    settling: invented(0.01),
    settlingHours: invented(12),
    keepsHours: practice(10),
    chalkLoss: invented(0.15),
    ...SILVER,
    colours: printColours.umber,
    printing: SILVER_COAT,
  },
  {
    processId: 'platinum-palladium',
    white: invented(0.06),
    black: practice(1.45),
    speed: invented(380),
    steepness: invented(1.25),
    selfMasking: invented(0.05),
    printsOut: practice(0.2),
    developSeconds: practice(20),
    stain: invented(0.12),
    clearSeconds: practice(150),
    fix: null,
    dryDown: practice(0.12),
    settling: invented(0.01),
    settlingHours: invented(12),
    keepsHours: practice(12),
    chalkLoss: invented(0.25),
    ...IRON,
    colours: printColours.graphite,
    printing: FERRIC_COAT,
  },
]

/** What may be wrong with a practice sheet without a word, by causes of the book of faults. Amounts are invented. */
export const practiceFaults: readonly PracticeFault[] = [
  { causeId: 'chalk', change: { isBuffered: true } },
  { causeId: 'coat-thin', change: { coverage: 0.4 } },
  { causeId: 'ratio-off', change: { imbalance: 1.3 } },
  { causeId: 'coat-old', change: {}, ageOfKeeping: 3 },
  { causeId: 'air-dry', change: { relativeHumidity: 18 } },
]
