import type { ModelFigure, VirtualToner } from '@core/simulate/virtualProcess'

/** As printers have it. */
export const practice = (value: number): ModelFigure => ({ value, standing: 'practice' })
/** Made up so that the whole is plausible. */
export const invented = (value: number): ModelFigure => ({ value, standing: 'invented' })

/** Iron coats end where blue begins, silver chloride sooner, dichromate later; see `library/spectrum.ts`. */
export const IRON = { bestNanometres: practice(405), toNanometres: practice(450) }
export const SILVER = { bestNanometres: practice(385), toNanometres: practice(420) }
export const DICHROMATE = { bestNanometres: practice(420), toNanometres: practice(500) }

/** A coat of iron before it is washed: yellow-green over blue-green to slate where much light fell. */
export const IRON_COAT = {
  deep: { L: 44, a: 1, b: -10 },
  middle: { L: 59, a: -12, b: 2 },
  paper: { L: 86, a: -9, b: 34 },
}
export const SILVER_COAT = {
  deep: { L: 22, a: 14, b: 8 },
  middle: { L: 55, a: 16, b: 12 },
  paper: { L: 93, a: 1, b: 8 },
}
export const FERRIC_COAT = {
  deep: { L: 40, a: 8, b: 20 },
  middle: { L: 66, a: 6, b: 26 },
  paper: { L: 86, a: 0, b: 34 },
}

/** Gold turns brown silver cooler, to a plum black. */
export const GOLD: VirtualToner = {
  seconds: practice(200),
  deepens: invented(0.05),
  spares: invented(0.6),
  colours: {
    deep: { L: 18, a: 4, b: -4 },
    middle: { L: 50, a: 6, b: -2 },
    paper: { L: 95, a: 0, b: 5 },
  },
}
/** Selenium makes silver warmer and deeper. */
export const SELENIUM: VirtualToner = {
  seconds: practice(60),
  deepens: practice(0.08),
  spares: invented(0.7),
  colours: {
    deep: { L: 18, a: 9, b: 3 },
    middle: { L: 50, a: 11, b: 5 },
    paper: { L: 95, a: 0, b: 6 },
  },
}

/** Plain hypo that is washed out: what processes with a fixer share. */
export const WASHED = { washSeconds: practice(420) }
export const NOT_FIXED = { fix: null, washSeconds: null, toner: null, showsMilk: false }
