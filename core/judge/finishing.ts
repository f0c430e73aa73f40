import type { Standing } from '../quantity/figure'
import { belongs, type Trait } from './faultBook'

/** One thing that is done with a dry print before it is shown or put away. */
export interface Finishing {
  id: string
  name: string
  /** What the hands do, sentence by sentence. */
  doing: readonly string[]
  /** What is different for prints of some material. */
  materials: readonly { needs: readonly Trait[]; says: string }[]
  /** What is recorded when it is done. */
  done: string
  /** Ids of cautions. */
  cautions: readonly string[]
  standing: Standing
  source: string
}

/** What is done with this print, and what its materials ask for. @param traits of the print, as `traitsOf` has them. */
export const finishingFor = ({ doing, materials }: Finishing, traits: ReadonlySet<Trait>): string[] => [
  ...doing,
  ...materials.filter(({ needs }) => belongs(needs, traits)).map(({ says }) => says),
]
