import { z } from 'zod'
import { StandingWord } from './common'

const Percent = z.number().min(0).max(100)
const Sentence = z.string().min(1).max(600)

/** Relative humidity of room and paper that a process wants, %, and what too little and too much of it do to a print. */
export const WantedAir = z.strictObject({
  leastPercent: Percent,
  aimPercent: Percent,
  mostPercent: Percent,
  dry: Sentence,
  damp: Sentence,
  standing: StandingWord,
  source: Sentence,
})

export type WantedAir = z.infer<typeof WantedAir>
