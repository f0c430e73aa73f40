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
  source:
    'Faults and their usual causes are common practice of the trade; how often each comes and shows is this app’s starting value, from memory',
}
