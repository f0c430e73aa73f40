import { tearingPlan, type TearingPlan } from '@core/paper/tearing'
import { type Sides, type Wanted } from '@core/paper/tearingBlocks'
import { serve } from './call'

export interface TearingQuestion {
  sheet: Sides
  wanted: Wanted[]
  loss: number
}

serve<TearingQuestion, TearingPlan>('tearing', ({ sheet, wanted, loss }) => tearingPlan(sheet, wanted, loss))
