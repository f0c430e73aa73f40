import type { Tested } from '../schema/event'
import type { Standing } from '../quantity/figure'
import type { Trait } from './faultBook'

/** A test of what will make a print fade or stain, and what to do about it. */
export interface PermanenceTest {
  id: Tested['test']
  name: string
  /** What of a process makes the test worth its while; empty for every print. */
  needs: readonly Trait[]
  /** What is used, and in which strength. */
  uses: string
  doing: string
  /** What a clean print shows, and what a stain means. */
  clean: string
  stain: string
  /** What to do with a print that shows something. */
  remedy: string
  /** Ids of cautions. */
  cautions: readonly string[]
  standing: Standing
  source: string
}

/** What the last test of each kind showed, in the order in which they were made. @param tested all tests of a print. */
export function lastTests(tested: readonly Tested[]): Tested[] {
  const last = new Map<Tested['test'], Tested>()
  for (const one of tested) {
    last.delete(one.test)
    last.set(one.test, one)
  }
  return [...last.values()]
}
