import type { FaultBook } from '@core/judge/faultBook'
import { bathCauses } from './bathCauses'
import { causes } from './causes'
import { facts } from './facts'
import { moreCauses } from './moreCauses'
import { moreTests } from './moreTests'
import { symptoms } from './symptoms'
import { tests } from './tests'

/** Faults, what they look like, why they come, and how to tell. */
export const faults: FaultBook = {
  symptoms,
  facts,
  causes: [...causes, ...bathCauses, ...moreCauses],
  tests: [...tests, ...moreTests],
  standing: 'practice',
  source: 'Faults and their causes are common practice; how often each occurs is an estimate from memory',
}
