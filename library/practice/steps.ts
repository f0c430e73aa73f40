import type { PracticeStep } from '@core/simulate/practiceFault'

const PRINTED_OUT = {
  light: 'expose',
  clear: 'wash',
  tone: 'tone',
  fix: 'fix',
  wash: 'final-wash',
  dry: 'hang',
}

/** Steps of the real process that a practice print goes through: their words, times, endpoints and cautions are shown. */
export const practiceSteps: Readonly<Record<string, Partial<Record<PracticeStep, string>>>> = {
  'classic-cyanotype': { light: 'expose', clear: 'wash', dry: 'hang' },
  'new-cyanotype': { light: 'expose', clear: 'acid-water', dry: 'hang' },
  'platinum-palladium': { light: 'expose', develop: 'develop', clear: 'clear-1', dry: 'hang' },
  'palladium-printing-out': { light: 'expose', clear: 'citric', dry: 'hang' },
  'gold-platinum': { light: 'expose', clear: 'acid-1', dry: 'hang' },
  'van-dyke': { ...PRINTED_OUT, clear: 'water' },
  'iron-silver': { ...PRINTED_OUT, clear: 'water' },
  kallitype: { ...PRINTED_OUT, develop: 'develop', clear: 'clear', tone: 'tone-selenium' },
  'salted-paper': PRINTED_OUT,
  'albumen-type': PRINTED_OUT,
  'collodion-chloride': PRINTED_OUT,
  'gum-over': { light: 'expose', clear: 'float', dry: 'hang' },
}
