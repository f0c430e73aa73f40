import { tearingPlan, type Sides, type TearingPlan, type Wanted } from '@core/paper/tearing'
import { serve } from './call'

export interface TearingQuestion {
  sheet: Sides
  wanted: Wanted[]
  loss: number
}

serve<TearingQuestion, TearingPlan>('tearing', ({ sheet, wanted, loss }) => tearingPlan(sheet, wanted, loss))
