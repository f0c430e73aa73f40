import type { SheetEventType } from '@core/schema/event'

const WORDS: Readonly<Record<SheetEventType, string>> = {
  begun: 'the plan',
  dropped: 'the last drop',
  stepStarted: 'the start',
  stepFinished: 'the end of the step; its clock runs on',
  stepLeftOut: 'leaving out the step',
  looked: 'the check; the exposure clock runs on',
  returned: 'the restart of the exposure',
  waterChanged: 'the water change',
  exposureChanged: 'the changed exposure',
  stripRead: 'the test strip reading',
  roomRead: 'the room reading',
  coatJudged: 'the answer about the coat',
  noted: 'the note',
  judged: 'the judgement',
  measured: 'the measurement',
  tested: 'the test',
  photographed: 'the photo',
  setAside: 'setting it aside',
  undone: 'the undo',
  redone: 'the redo',
  corrected: 'the correction',
  enteredLate: 'the late entry',
}

/** Names what an undo has undone, or a redo brought back. */
export const undoneWords = (type: SheetEventType | undefined): string => (type ? WORDS[type] : 'nothing')
