import type { FaultBook } from '@core/judge/faultBook'
import { causes } from './causes'
import { facts } from './facts'
import { symptoms } from './symptoms'
import { tests } from './tests'

/** Faults, what they look like, why they come, and how to tell. */
export const faults: FaultBook = {
  symptoms,
  facts,
  causes,
  tests,
  standing: 'practice',
  source: 'Faults and their causes are common practice; how often each occurs is an estimate from memory',
}
