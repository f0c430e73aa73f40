import { printPicture, type PrintPicture } from '@core/simulate/printPicture'
import { virtualSheet } from '@core/simulate/virtualPrint'
import type { SheetConditions, SheetWork, VirtualProcess } from '@core/simulate/virtualProcess'
import type { GreyPicture } from '@core/negative/resample'
import { serve } from './call'

/** What a practice print looks like now; the negative is sent once, and kept. */
export interface PracticeQuestion {
  ink?: GreyPicture
  filmRange: number
  process: VirtualProcess
  conditions: SheetConditions
  work: SheetWork
}

let negative: GreyPicture = { width: 0, height: 0, data: new Float32Array() }

serve<PracticeQuestion, PrintPicture>('the practice print', (question, { handOver }) => {
  if (question.ink) negative = question.ink
  const { process, conditions, work, filmRange } = question
  const picture = printPicture(negative, filmRange, process, virtualSheet(process, conditions), work)
  handOver(picture.rgba.buffer)
  return picture
})
