import type { SheetEventType } from '@core/schema/event'

const WORDS: Readonly<Record<SheetEventType, string>> = {
  begun: 'the beginning',
  dropped: 'the last drop',
  stepStarted: 'the start',
  stepFinished: 'the end of the step; its clock runs on as if it had not stopped',
  looked: 'the look; the light counts on',
  returned: 'the return under the light',
  waterChanged: 'the change of water',
  exposureChanged: 'the change of exposure',
  stripRead: 'the reading of the strip',
  roomRead: 'the reading of the room',
  coatJudged: 'what was said of the coat',
  noted: 'the note',
  judged: 'the judgement',
  measured: 'the measurement',
  photographed: 'the photograph',
  setAside: 'setting it aside',
  undone: 'the undo',
}

/** Names what an undo has taken back. */
export const undoneWords = (type: SheetEventType | undefined): string => (type ? WORDS[type] : 'nothing')
