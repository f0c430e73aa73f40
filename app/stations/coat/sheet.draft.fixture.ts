import { startingChoices } from '@core/process/plan'
import { classicCyanotype } from '@library/processes/classicCyanotype'
import { T0, uuid } from '@core/fixtures/logs'
import { readDraft, type DraftRoom } from './sheet.draft'
import { type SheetDraft } from './newSheet'

export const draft = (changes: Partial<SheetDraft> = {}): SheetDraft => ({
  title: 'Tide gauge',
  portfolio: '',
  subject: '',
  sheets: '1',
  names: '',
  papers: '',
  cameIn: '',
  size: '8x10',
  coats: '1',
  tool: 'brush',
  pieceId: '',
  paperName: '',
  paperWeight: '',
  choices: startingChoices(classicCyanotype),
  light: 'uvBox',
  exposure: '',
  bottles: {},
  ratios: {},
  coverage: '',
  dropper: '',
  ...changes,
})
export const room = (changes: Partial<DraftRoom> = {}): DraftRoom => {
  let n = 100
  return {
    papers: [],
    bottles: [],
    lights: [],
    lengthUnit: 'in',
    coverageMillilitresPerM2: 38.8,
    dropsPerMillilitre: 20,
    proposed: null,
    now: T0,
    newId: () => uuid(n++),
    ...changes,
  }
}
export const read = (changes: Partial<SheetDraft> = {}, shelf: Partial<DraftRoom> = {}) =>
  readDraft(classicCyanotype, draft(changes), room(shelf))
