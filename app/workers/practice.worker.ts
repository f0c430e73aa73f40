import { negativeOnSheet, type NegativeOnSheet } from '@core/simulate/printLooks'
import { printPicture, type PrintPicture } from '@core/simulate/printPicture'
import type { PracticeLook } from '@core/simulate/practiceFault'
import type { SheetConditions, SheetWork, VirtualFilm, VirtualProcess } from '@core/simulate/virtualProcess'
import type { GreyPicture } from '@core/negative/resample'
import { serve } from './call'

/** What a practice print looks like now; the negative is sent once, and kept. */
export interface PracticeQuestion {
  ink?: GreyPicture
  film: VirtualFilm
  looks: readonly PracticeLook[]
  process: VirtualProcess
  conditions: SheetConditions
  work: SheetWork
}

let ink: GreyPicture = { width: 0, height: 0, data: new Float32Array() }
/** The negative on its sheet, and what it was made from. */
let prepared: { by: string; negative: NegativeOnSheet } | null = null

serve<PracticeQuestion, PrintPicture>('the practice print', (question, { handOver }) => {
  const { process, conditions, work, film, looks } = question
  const by = JSON.stringify([film, looks])
  if (question.ink) ink = question.ink
  if (!prepared || question.ink || prepared.by !== by)
    prepared = { by, negative: negativeOnSheet(ink, film, looks) }
  const picture = printPicture(prepared.negative, process, conditions, work)
  handOver(picture.rgba.buffer)
  return picture
})
